package zebrawood.desktop.text;

import java.time.ZoneId;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Standing;
import zebrawood.ledger.StandingWords;

/** A standing as it stands at the head of a sheet. */
public final class StateWords {
  private StateWords() {}

  public static String of(Standing standing, ZoneId zone) {
    return switch (standing) {
      case Standing.Holds(Entry proof) -> Text.of("state.holds", DayWords.day(proof.time(), zone));
      case Standing.Stale(Entry proof, Standing.Cause cause) ->
          Text.of("state.stale", DayWords.day(cause.since(), zone), StandingWords.because(cause));
      case Standing.Out(Entry last) -> Text.of("state.out", DayWords.day(last.time(), zone));
      case Standing.Open(var check, var waitsFor) when waitsFor.isPresent() ->
          Text.of("state.waits", waitsFor.get().title());
      case Standing.Open(var check, var waitsFor) ->
          Text.of(check.isPresent() ? "state.checked" : "state.open");
      case Standing.Idle i -> Text.of("state.idle");
    };
  }

  public static String styleClass(Standing standing) {
    return switch (standing) {
      case Standing.Holds h -> "state-holds";
      case Standing.Stale s -> "state-stale";
      case Standing.Out o -> "state-out";
      case Standing.Open o -> "state-open";
      case Standing.Idle i -> "state-open";
    };
  }
}
