package zebrawood.desktop.sheet;

import java.time.ZoneId;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Standing;
import zebrawood.ledger.StandingWords;
import zebrawood.ledger.Station;
import zebrawood.measure.LengthUnit;

/** A standing as it stands at the head of a sheet. */
public final class StateWords {
  private StateWords() {}

  public static String of(Standing standing, ZoneId zone) {
    return switch (standing) {
      case Standing.Holds(Entry proof) -> Text.of("state.holds", When.day(proof.at(), zone));
      case Standing.Stale(Entry proof, Standing.Cause cause) ->
          Text.of("state.stale", When.day(cause.since(), zone), StandingWords.because(cause));
      case Standing.Out(Entry last) -> Text.of("state.out", When.day(last.at(), zone));
      case Standing.Open(var check, var waitsFor) when waitsFor.isPresent() ->
          Text.of("state.waits", waitsFor.map(Station::title).orElse(""));
      case Standing.Open(var check, var waitsFor) ->
          Text.of(check.isPresent() ? "state.checked" : "state.open");
    };
  }

  public static String styleClass(Standing standing) {
    return switch (standing) {
      case Standing.Holds h -> "state-holds";
      case Standing.Stale s -> "state-stale";
      case Standing.Out o -> "state-out";
      case Standing.Open o -> "state-open";
    };
  }

  /** The last as-left or proving figure, in words. */
  public static String before(Standing standing, LengthUnit unit, ZoneId zone) {
    return switch (standing) {
      case Standing.Holds(Entry proof) -> figure(proof, unit, zone);
      case Standing.Stale(Entry proof, var cause) -> figure(proof, unit, zone);
      case Standing.Out(Entry last) -> figure(last, unit, zone);
      case Standing.Open o -> "";
    };
  }

  private static String figure(Entry entry, LengthUnit unit, ZoneId zone) {
    return entry
        .tellingFigure()
        .map(f ->
            Text.of(
                "state.before",
                entry.kind().words(),
                When.day(entry.at(), zone),
                f.label().toLowerCase(java.util.Locale.ROOT),
                FigureText.withUnit(f, unit)))
        .orElse("");
  }
}
