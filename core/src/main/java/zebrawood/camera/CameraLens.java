package zebrawood.camera;

import java.util.List;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * A lens from pinhole to fisheye: a ray at the angle t from its axis meets the picture {@code
 * focalPx * t * (1 + k1 t^2 + k2 t^4 + k3 t^6 + k4 t^8)} from its centre.
 *
 * <p>Source: J. Kannala, S. S. Brandt, A generic camera model and calibration method for
 * conventional, wide-angle, and fish-eye lenses, IEEE Transactions on Pattern Analysis and Machine
 * Intelligence 28 (2006), 1335-1340 (its radially symmetric part).
 *
 * @param focalPx pixels a radian near the axis
 * @param centrePx where the axis meets the picture: x to the right, y down
 */
public record CameraLens(
    double focalPx, List<Double> centrePx, double k1, double k2, double k3, double k4) {
  /** No ray is looked at further from the axis, in radians: what lies there is the lens's rim. */
  public static final double MOST_ANGLE = Math.toRadians(85);

  private static final double MOST_PX = 1e6;
  private static final double MOST_K = 100;
  private static final int STEPS = 400;
  private static final int NEWTON_STEPS = 60;

  public CameraLens {
    centrePx = List.copyOf(centrePx);
    var accepts =
        new Accepts()
            .between("focalPx", focalPx, 1, MOST_PX)
            .between("k1", k1, -MOST_K, MOST_K)
            .between("k2", k2, -MOST_K, MOST_K)
            .between("k3", k3, -MOST_K, MOST_K)
            .between("k4", k4, -MOST_K, MOST_K);
    if (centrePx.size() != 2) {
      accepts.complain(
          "centrePx",
          Message.of("accepts.of-them", centrePx.size()),
          Message.of("camera.accepts.two-numbers"));
    } else {
      accepts
          .between("centrePx[0]", centrePx.get(0), -MOST_PX, MOST_PX)
          .between("centrePx[1]", centrePx.get(1), -MOST_PX, MOST_PX);
    }
    accepts.orThrow();
  }

  /** The lens with these figures, each no further than a lens can have it. */
  static CameraLens near(
      double focalPx, List<Double> centrePx, double k1, double k2, double k3, double k4) {
    return new CameraLens(
        Math.clamp(focalPx, 1, MOST_PX),
        centrePx.stream().map(c -> Math.clamp(c, -MOST_PX, MOST_PX)).toList(),
        Math.clamp(k1, -MOST_K, MOST_K),
        Math.clamp(k2, -MOST_K, MOST_K),
        Math.clamp(k3, -MOST_K, MOST_K),
        Math.clamp(k4, -MOST_K, MOST_K));
  }

  double centreX() {
    return centrePx.get(0);
  }

  double centreY() {
    return centrePx.get(1);
  }

  /** How far from the centre a ray at this angle meets the picture, in focal lengths. */
  double radius(double angle) {
    double q = angle * angle;
    return angle * (1 + q * (k1 + q * (k2 + q * (k3 + q * k4))));
  }

  /** By how much that grows with the angle. */
  double radiusSlope(double angle) {
    double q = angle * angle;
    return 1 + q * (3 * k1 + q * (5 * k2 + q * (7 * k3 + q * 9 * k4)));
  }

  /**
   * Up to where a picture's place belongs to one ray, in radians: beyond, the polynomial turns
   * back, or the rim of the lens is reached.
   */
  double farthest() {
    double step = MOST_ANGLE / STEPS;
    for (int i = 1; i <= STEPS; i++) {
      if (!(radiusSlope(i * step) > 0)) {
        return (i - 1) * step;
      }
    }
    return MOST_ANGLE;
  }

  /**
   * The angle from the axis at which a ray meets the picture so far from the centre.
   *
   * @param radius in focal lengths
   * @param farthest of this lens
   * @return NaN beyond that
   */
  double angle(double radius, double farthest) {
    if (!(radius <= radius(farthest))) {
      return Double.NaN;
    }
    double low = 0;
    double high = farthest;
    double angle = Math.min(radius, farthest);
    for (int i = 0; i < NEWTON_STEPS; i++) {
      double off = radius(angle) - radius;
      if (off > 0) {
        high = angle;
      } else {
        low = angle;
      }
      double next = angle - off / radiusSlope(angle);
      // A step that leaves what is left of the range is halved into it.
      if (!(next >= low && next <= high)) {
        next = (low + high) / 2;
      }
      if (Math.abs(next - angle) < 1e-13) {
        return next;
      }
      angle = next;
    }
    return angle;
  }
}
