package zebrawood.jobfile;

import java.util.OptionalDouble;

/**
 * What of a machine decides how long a program takes.
 *
 * @param accelerationXMmS2 of each axis; empty where it is not known
 * @param rapidMmS of moves without a speed of their own; empty where it is not known
 */
public record Motion(
    OptionalDouble accelerationXMmS2, OptionalDouble accelerationYMmS2, OptionalDouble rapidMmS) {
  /** Nothing of it is known. */
  public static final Motion NOT_KNOWN =
      new Motion(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());

  boolean knowsAcceleration() {
    return accelerationXMmS2.isPresent() && accelerationYMmS2.isPresent();
  }

  /** Along a direction, so that neither axis is asked for more than it has. */
  double along(double cosine, double sine) {
    double x = Math.abs(cosine) < 1e-9 ? Double.MAX_VALUE : 1 / Math.abs(cosine);
    double y = Math.abs(sine) < 1e-9 ? Double.MAX_VALUE : 1 / Math.abs(sine);
    return Math.min(
        x * accelerationXMmS2.getAsDouble(), Math.min(y, 1e12) * accelerationYMmS2.getAsDouble());
  }
}
