package zebrawood.ledger;

import java.time.format.DateTimeFormatter;
import java.util.Optional;
import zebrawood.ledger.Standing.Cause;
import zebrawood.measure.Numbers;

/** A standing in words, alike on the rail, the machine page and paper. */
public final class StandingWords {
  private StandingWords() {}

  /** Such as "stale: machine moved". */
  public static String of(Standing standing, DateTimeFormatter day) {
    return switch (standing) {
      case Standing.Holds(Entry proof) -> "holds · " + day.format(proof.at());
      case Standing.Stale(Entry proof, Cause cause) -> "stale · " + because(cause);
      case Standing.Out(Entry last) -> "out" + overLimit(last);
      case Standing.Open(Optional<Entry> check, Optional<Station> waitsFor)
          when waitsFor.isPresent() ->
          "waits for " + waitsFor.get().title();
      case Standing.Open(Optional<Entry> check, Optional<Station> waitsFor) ->
          check.isPresent() ? "checked, no figures" : "open";
    };
  }

  /** Why a station is stale, in lower case. */
  public static String because(Cause cause) {
    return switch (cause) {
      case Cause.Happened(Event event, Doubt doubt) -> lowerFirst(event.kind().words());
      case Cause.Aged(var since, int days) -> "not read for " + days + " days";
      case Cause.Upstream(Station station, var since) -> station.title() + " changed";
    };
  }

  /** What a check without figures came to. */
  public static String of(Entry entry) {
    return switch (entry.verdict()) {
      case WITHIN -> "passed";
      case ADJUST, STOP -> "not passed";
      case MEASURE_AGAIN -> "undecided";
    };
  }

  private static String overLimit(Entry last) {
    return last.tellingFigure()
        .filter(f -> f.limit().isPresent() && f.value() > f.limit().getAsDouble())
        .map(f ->
            " by "
                + Numbers.fixed(f.value() - f.limit().getAsDouble(), f.decimals())
                + " "
                + f.unit())
        .orElse("");
  }

  private static String lowerFirst(String words) {
    int colon = words.indexOf(':');
    String head = colon < 0 ? words : words.substring(0, colon);
    return head.substring(0, 1).toLowerCase(java.util.Locale.ROOT) + head.substring(1);
  }
}
