package zebrawood.bed;

import zebrawood.measure.Accepts;
import zebrawood.measure.Place;

/**
 * One reading of the gauge.
 *
 * @param gapMm from the reference on the head down to the bed: a larger gap is a lower bed
 */
public record GapPoint(double xMm, double yMm, double gapMm) implements Place {
  /** No machine of this kind is larger. */
  static final double FARTHEST_MM = 20_000;

  /** More than the longest working distance of any lens in use. */
  public static final double LARGEST_GAP_MM = 2_000;

  public GapPoint {
    new Accepts()
        .between("xMm", xMm, -FARTHEST_MM, FARTHEST_MM)
        .between("yMm", yMm, -FARTHEST_MM, FARTHEST_MM)
        .between("gapMm", gapMm, 0, LARGEST_GAP_MM)
        .orThrow();
  }
}
