package zebrawood.desktop.sheet;

import java.time.ZoneId;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.ledger.FigureWords;
import zebrawood.ledger.Standing;
import zebrawood.ledger.StandingWords;
import zebrawood.words.Phrasebook;

/** A standing as it stands at the head of a sheet. */
public final class StateWords {
  private StateWords() {}

  public static String of(Standing standing, ZoneId zone) {
    return switch (standing) {
      case Standing.Holds(Entry proof) -> Text.of("state.holds", When.day(proof.time(), zone));
      case Standing.Stale(Entry proof, Standing.Cause cause) ->
          Text.of("state.stale", When.day(cause.since(), zone), StandingWords.because(cause));
      case Standing.Out(Entry last) -> Text.of("state.out", When.day(last.time(), zone));
      case Standing.Open(var check, var waitsFor) when waitsFor.isPresent() ->
          Text.of("state.waits", waitsFor.get().title());
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
  public static String before(Standing standing, ZoneId zone) {
    return switch (standing) {
      case Standing.Holds(Entry proof) -> figure(proof, zone);
      case Standing.Stale(Entry proof, var cause) -> figure(proof, zone);
      case Standing.Out(Entry last) -> figure(last, zone);
      case Standing.Open o -> "";
    };
  }

  private static String figure(Entry entry, ZoneId zone) {
    return entry
        .tellingFigure()
        .map(f ->
            Text.of(
                "state.before",
                entry.kind(),
                When.day(entry.time(), zone),
                Phrasebook.lowerFirst(FigureWords.label(entry.stationId(), f, Text.words())),
                FigureWords.withUnit(f, Text.words())))
        .orElse("");
  }
}
