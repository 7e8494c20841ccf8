package zebrawood.ledger;

import java.time.ZoneId;
import java.util.Optional;
import zebrawood.ledger.Standing.Cause;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Dates;
import zebrawood.words.Message;

/** A standing as it is said on the rail, the machine page and paper alike. */
public final class StandingWords {
  private StandingWords() {}

  /** Such as "stale: machine moved". */
  public static Message of(Standing standing, ZoneId zone) {
    return switch (standing) {
      case Standing.Holds(Entry proof) ->
          Message.of("ledger.standing.holds", Dates.day(proof.time(), zone));
      case Standing.Stale(Entry proof, Cause cause) ->
          Message.of("ledger.standing.stale", because(cause));
      case Standing.Out(Entry last) -> out(last);
      case Standing.Open(Optional<Entry> check, Optional<Station> waitsFor)
          when waitsFor.isPresent() ->
          Message.of("ledger.standing.waits", waitsFor.get().title());
      case Standing.Open(Optional<Entry> check, Optional<Station> waitsFor) ->
          Message.of(check.isPresent() ? "ledger.standing.checked" : "ledger.standing.open");
      case Standing.Idle i -> Message.of("ledger.standing.idle");
    };
  }

  /** In two or three words, beside a mark that says the rest. */
  public static Message brief(Standing standing, ZoneId zone) {
    return switch (standing) {
      case Standing.Holds(Entry proof) ->
          Message.of("ledger.brief.holds", Dates.day(proof.time(), zone));
      case Standing.Stale(Entry proof, Cause.Happened(Event event, Doubt doubt)) ->
          Message.of(Message.keyOf(event.kind()) + ".brief");
      case Standing.Stale(Entry proof, Cause.Aged a) -> Message.of("ledger.brief.aged");
      case Standing.Stale(Entry proof, Cause.CameDue d) -> Message.of("ledger.brief.due");
      case Standing.Stale(Entry proof, Cause.Upstream u) -> because(u);
      case Standing.Out(Entry last) ->
          last.tellingFigure()
              .filter(Figure::overLimit)
              .map(StandingWords::overLimit)
              .orElse(Message.of("ledger.standing.out"));
      case Standing.Open(Optional<Entry> check, Optional<Station> waitsFor)
          when check.isPresent() && waitsFor.isEmpty() ->
          Message.of("ledger.brief.checked");
      case Standing.Open(Optional<Entry> check, Optional<Station> waitsFor)
          when waitsFor.isPresent() ->
          Message.of("ledger.brief.waits", waitsFor.get().title());
      case Standing.Open o -> of(o, zone);
      case Standing.Idle i -> Message.NONE;
    };
  }

  private static Message overLimit(Figure figure) {
    return figure.quantity().equals(Optional.of(Quantity.LINES))
        ? Message.of("ledger.brief.lines", Math.round(figure.value()))
        : Message.of("ledger.brief.out", twoDigits(figure.amount()));
  }

  /** About how much: without the decimals that tell nothing more than the first two digits do. */
  private static Amount twoDigits(Amount amount) {
    int decimals = 1 - (int) Math.floor(Math.log10(amount.value()));
    return Amount.of(amount.value(), amount.quantity(), Math.clamp(decimals, 0, amount.decimals()));
  }

  /** Why a station is stale, to stand inside a sentence. */
  public static Message because(Cause cause) {
    return switch (cause) {
      case Cause.Happened(Event event, Doubt doubt) ->
          Message.of(Message.keyOf(event.kind()) + ".short");
      case Cause.Aged(var since, int days) -> Message.of("ledger.cause.aged", days);
      case Cause.CameDue(var since) -> Message.of("ledger.cause.due");
      case Cause.Upstream(Station station, var since) ->
          Message.of("ledger.cause.upstream", station.title());
    };
  }

  /** What a check without figures came to. */
  public static Message of(Entry entry) {
    if (entry.unread()) {
      return Message.of("ledger.check.unread");
    }
    return Message.of(
        switch (entry.verdict()) {
          case WITHIN -> "ledger.check.passed";
          case ADJUST, STOP -> "ledger.check.not-passed";
          case MEASURE_AGAIN -> "ledger.check.undecided";
        });
  }

  private static Message out(Entry last) {
    return last.tellingFigure()
        .filter(Figure::overLimit)
        .map(f ->
            Message.of(
                "ledger.standing.out-of",
                f.amount(),
                Message.bare(f.amount(f.limit().getAsDouble()))))
        .orElse(Message.of("ledger.standing.out"));
  }

  /** Why a station is read next, for the notebook. */
  public static Message reasonToRead(Standing standing) {
    return switch (standing) {
      case Standing.Holds h -> Message.of("ledger.reason.check");
      case Standing.Stale(Entry proof, Standing.Cause cause) -> because(cause);
      case Standing.Out o -> Message.of("ledger.reason.was-out");
      case Standing.Open o -> Message.of("ledger.reason.commissioning");
      case Standing.Idle i -> Message.of("ledger.reason.called");
    };
  }
}
