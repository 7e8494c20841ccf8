package zebrawood.rotary;

import java.util.OptionalDouble;
import zebrawood.rotary.RotaryReadings.Kind;

/** How high the crown of one work stands above that of another in the same rotary. */
public final class Crown {
  private Crown() {}

  /**
   * A chuck holds the axis of both at one height: half of what the diameters differ. A work on two
   * rollers of diameter d, a apart, stands sqrt(((D + d) / 2)² - (a / 2)²) above them with its
   * axis.
   *
   * @param rollerMm and apartMm of rollers alone
   * @return to the upper side positive; empty where a work falls through its rollers or their
   *     places are not known
   */
  public static OptionalDouble riseMm(
      Kind kind, OptionalDouble rollerMm, OptionalDouble apartMm, double beforeMm, double nowMm) {
    if (kind == Kind.CHUCK) {
      return OptionalDouble.of((nowMm - beforeMm) / 2);
    }
    if (rollerMm.isEmpty() || apartMm.isEmpty()) {
      return OptionalDouble.empty();
    }
    double rise =
        above(rollerMm.getAsDouble(), apartMm.getAsDouble(), nowMm)
            - above(rollerMm.getAsDouble(), apartMm.getAsDouble(), beforeMm);
    return Double.isFinite(rise) ? OptionalDouble.of(rise) : OptionalDouble.empty();
  }

  private static double above(double rollerMm, double apartMm, double diameterMm) {
    double sum = (diameterMm + rollerMm) / 2;
    return Math.sqrt(sum * sum - apartMm * apartMm / 4) + diameterMm / 2;
  }
}
