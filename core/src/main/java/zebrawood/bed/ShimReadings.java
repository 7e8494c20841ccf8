package zebrawood.bed;

import java.util.List;
import zebrawood.measure.Accepts;

/**
 * Gaps read where something without screws is to be shimmed: a bed, or the column of a fixed head.
 *
 * @param points at least three, not in one line; the gap is from the head's reference (the lens
 *     ring of a fixed head) to the bed or table
 * @param feet at least three, not in one line: where shims can go
 */
public record ShimReadings(
    List<GapPoint> points, double gaugeResolutionMm, double toleranceMm, List<Foot> feet) {
  public ShimReadings {
    points = List.copyOf(points);
    feet = List.copyOf(feet);
    var accepts = new Accepts();
    LevelFit.check(accepts, points, gaugeResolutionMm, toleranceMm);
    accepts
        .atLeast("feet", feet, 3, "bed.count.feet")
        .atMost("feet", feet, LevelFit.MOST_FEET)
        .notInOneLine("feet", feet)
        .distinct("feet", feet.stream().map(Foot::id).toList())
        .orThrow();
  }
}
