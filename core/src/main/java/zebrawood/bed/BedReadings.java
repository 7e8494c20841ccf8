package zebrawood.bed;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * Gaps read over a bed that stands on screws.
 *
 * @param points at least three, not in one line
 * @param gaugeResolutionMm smallest step the gauge can tell apart
 * @param toleranceMm largest allowed difference of height, highest to lowest
 * @param screws at least three, not in one line
 * @param keepScrew the screw that is not to be turned; when absent, the bed goes to the height that
 *     needs the least total turning
 * @param frame stiff where it is absent; one that follows its corners needs four screws and four
 *     places, and counts as stiff with fewer
 */
public record BedReadings(
    List<GapPoint> points,
    double gaugeResolutionMm,
    double toleranceMm,
    List<Screw> screws,
    Optional<String> keepScrew,
    Optional<Frame> frame) {
  private static final int CORNERS = 4;

  /** A stiff one. */
  public BedReadings(
      List<GapPoint> points,
      double gaugeResolutionMm,
      double toleranceMm,
      List<Screw> screws,
      Optional<String> keepScrew) {
    this(points, gaugeResolutionMm, toleranceMm, screws, keepScrew, Optional.empty());
  }

  public BedReadings {
    points = List.copyOf(points);
    screws = List.copyOf(screws);
    List<String> ids = new ArrayList<>();
    for (Screw screw : screws) {
      ids.add(screw.id());
    }
    var accepts = new Accepts();
    LevelFit.check(accepts, points, gaugeResolutionMm, toleranceMm);
    accepts
        .atLeast("screws", screws, 3, "bed.count.screws")
        .atMost("screws", screws, LevelFit.MOST_FEET)
        .notInOneLine("screws", screws)
        .distinct("screws", ids);
    keepScrew
        .filter(kept -> !ids.contains(kept))
        .ifPresent(kept ->
            accepts.complain(
                "keepScrew",
                Message.quoted("\"" + kept + "\""),
                Message.of("bed.accepts.one-of", Message.quoted(ids.toString()))));
    accepts.orThrow();
  }

  boolean is(Frame its) {
    return frame.orElse(Frame.STIFF) == its && screws.size() >= CORNERS;
  }
}
