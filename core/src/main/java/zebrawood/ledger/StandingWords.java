package zebrawood.ledger;

import java.time.ZoneId;
import java.util.Optional;
import zebrawood.ledger.Standing.Cause;
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
    };
  }

  /** Why a station is stale, to stand inside a sentence. */
  public static Message because(Cause cause) {
    return switch (cause) {
      case Cause.Happened(Event event, Doubt doubt) ->
          Message.of(Message.keyOf(event.kind()) + ".short");
      case Cause.Aged(var since, int days) -> Message.of("ledger.cause.aged", days);
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
            Message.of("ledger.standing.out-by", f.amount(f.value() - f.limit().getAsDouble())))
        .orElse(Message.of("ledger.standing.out"));
  }
}
