package zebrawood.field;

import java.util.ArrayList;
import java.util.List;

/**
 * A trapezoid that is a head's tilt: where the field's one side is larger, it lies further away by
 * the same share of the distance. The head is leaned towards the larger side, by shims under the
 * joint's other edge.
 *
 * @param leans at most two: along y, and along x
 */
public record HeadTilt(List<Lean> leans) {
  /** Less is not worth a shim. */
  private static final double LEAST_RAD = 0.0002;

  /**
   * One way to lean.
   *
   * @param side where the shim goes under the joint
   * @param tiltRad how far, more than 0
   */
  public record Lean(Side side, double tiltRad) {
    /**
     * @param baseMm how far apart the joint's edges are, front to rear or side to side
     */
    public double shimMm(double baseMm) {
      return baseMm * Math.tan(tiltRad);
    }
  }

  /**
   * @param distanceMm from where the beams seem to come to the work
   */
  public static HeadTilt of(PlainTerms plain, double fieldMm, double distanceMm) {
    List<Lean> leans = new ArrayList<>();
    add(leans, plain.trapezoidXPercent(), fieldMm, distanceMm, Side.FRONT, Side.REAR);
    add(leans, plain.trapezoidYPercent(), fieldMm, distanceMm, Side.LEFT, Side.RIGHT);
    return new HeadTilt(List.copyOf(leans));
  }

  private static void add(
      List<Lean> leans,
      double percent,
      double fieldMm,
      double distanceMm,
      Side whenLarger,
      Side whenSmaller) {
    double tilt = Math.atan(Math.abs(percent) / 100 * distanceMm / fieldMm);
    if (tilt > LEAST_RAD) {
      leans.add(new Lean(percent > 0 ? whenLarger : whenSmaller, tilt));
    }
  }
}
