package zebrawood.camera;

import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.RotationConvention;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A camera with a lens, where it stands and how it is turned: from a place over the bed to its
 * place in the picture and back.
 *
 * <p>Thirteen numbers are fitted: a turn vector (radians, on top of a camera that looks straight
 * down with the bed's x to the right of the picture), the camera's place (mm), the logarithm of the
 * focal length, the centre (px) and four coefficients.
 */
final class CameraView {
  static final int TURN = 0;
  static final int PLACE = 3;
  static final int FOCAL = 6;
  static final int CENTRE = 7;
  static final int BEND = 9;
  static final int NUMBERS = 13;

  private final double[] numbers;
  private final CameraLens lens;

  /** Rows: the camera's x, y and z as the bed has them. */
  private final double[][] axes;

  private double farthest = Double.NaN;

  /** Of any numbers: what no lens can have counts as the nearest that one can. */
  CameraView(double[] numbers) {
    this.numbers = numbers.clone();
    this.lens =
        CameraLens.near(
            Math.exp(numbers[FOCAL]),
            List.of(numbers[CENTRE], numbers[CENTRE + 1]),
            numbers[BEND],
            numbers[BEND + 1],
            numbers[BEND + 2],
            numbers[BEND + 3]);
    this.axes = axes(numbers);
  }

  private double farthest() {
    if (Double.isNaN(farthest)) {
      farthest = lens.farthest();
    }
    return farthest;
  }

  double[] numbers() {
    return numbers.clone();
  }

  CameraLens lens() {
    return lens;
  }

  double x() {
    return numbers[PLACE];
  }

  double y() {
    return numbers[PLACE + 1];
  }

  double z() {
    return numbers[PLACE + 2];
  }

  /** Rodrigues' formula, the second and third axis of the bed turned round: it looks down. */
  private static double[][] axes(double[] numbers) {
    double[][] r = turn(numbers[0], numbers[1], numbers[2]);
    return new double[][] {
      {r[0][0], -r[0][1], -r[0][2]}, {r[1][0], -r[1][1], -r[1][2]}, {r[2][0], -r[2][1], -r[2][2]}
    };
  }

  static double[][] turn(double x, double y, double z) {
    double angle = Math.sqrt(x * x + y * y + z * z);
    double s = angle < 1e-8 ? 1 : Math.sin(angle) / angle;
    double c = angle < 1e-4 ? 0.5 : (1 - Math.cos(angle)) / (angle * angle);
    return new double[][] {
      {1 - c * (y * y + z * z), c * x * y - s * z, c * x * z + s * y},
      {c * x * y + s * z, 1 - c * (x * x + z * z), c * y * z - s * x},
      {c * x * z - s * y, c * y * z + s * x, 1 - c * (x * x + y * y)}
    };
  }

  /** The turn vector of axes whose rows are the camera's, as the bed has them. */
  static double[] turnOf(double[][] axes) {
    double[][] r = {
      {axes[0][0], -axes[0][1], -axes[0][2]},
      {axes[1][0], -axes[1][1], -axes[1][2]},
      {axes[2][0], -axes[2][1], -axes[2][2]}
    };
    Rotation rotation = new Rotation(r, 1e-6);
    Vector3D axis = rotation.getAxis(RotationConvention.VECTOR_OPERATOR);
    double angle = rotation.getAngle();
    return new double[] {angle * axis.getX(), angle * axis.getY(), angle * axis.getZ()};
  }

  /** A place as the camera has it: to its right, down, and along its axis, in mm. */
  private double[] seen(double x, double y, double z) {
    double dx = x - numbers[PLACE];
    double dy = y - numbers[PLACE + 1];
    double dz = z - numbers[PLACE + 2];
    double[] seen = new double[3];
    for (int i = 0; i < 3; i++) {
      seen[i] = axes[i][0] * dx + axes[i][1] * dy + axes[i][2] * dz;
    }
    return seen;
  }

  /** Where a place over the bed lies in the picture, whether or not the lens sees it there. */
  double[] px(double x, double y, double z) {
    double[] s = seen(x, y, z);
    double aside = Math.hypot(s[0], s[1]);
    if (aside < 1e-9) {
      return new double[] {lens.centreX(), lens.centreY()};
    }
    double r = lens.focalPx() * lens.radius(Math.atan2(aside, s[2])) / aside;
    return new double[] {lens.centreX() + r * s[0], lens.centreY() + r * s[1]};
  }

  /** Whether the lens sees a place at all, the picture's edges aside. */
  boolean sees(double x, double y, double z) {
    double[] s = seen(x, y, z);
    return Math.atan2(Math.hypot(s[0], s[1]), s[2]) <= farthest();
  }

  /**
   * Where on the plane at this height a place of the picture lies; empty beyond the lens's rim, and
   * where the ray does not meet that plane.
   */
  Optional<double[]> place(double xPx, double yPx, double heightMm) {
    double[] ray = ray(xPx, yPx);
    double down = heightMm - numbers[PLACE + 2];
    if (Double.isNaN(ray[0]) || !(ray[2] * down > 0)) {
      return Optional.empty();
    }
    double along = down / ray[2];
    return Optional.of(
        new double[] {numbers[PLACE] + along * ray[0], numbers[PLACE + 1] + along * ray[1]});
  }

  /** The direction, as the bed has it, from which a place of the picture is lit; NaN beyond it. */
  double[] ray(double xPx, double yPx) {
    double dx = (xPx - lens.centreX()) / lens.focalPx();
    double dy = (yPx - lens.centreY()) / lens.focalPx();
    double radius = Math.hypot(dx, dy);
    double angle = lens.angle(radius, farthest());
    if (Double.isNaN(angle)) {
      return new double[] {Double.NaN, Double.NaN, Double.NaN};
    }
    double aside = radius < 1e-12 ? 0 : Math.sin(angle) / radius;
    double[] c = {aside * dx, aside * dy, Math.cos(angle)};
    double[] ray = new double[3];
    for (int i = 0; i < 3; i++) {
      ray[i] = axes[0][i] * c[0] + axes[1][i] * c[1] + axes[2][i] * c[2];
    }
    return ray;
  }

  /**
   * By how much the place in the picture moves.
   *
   * @param byNumbers 2 x 13, filled: with each of the fitted numbers
   * @param byPlace 2 x 3, filled: with the place itself
   * @return the place in the picture
   */
  double[] slopes(double x, double y, double z, double[][] byNumbers, double[][] byPlace) {
    double[] s = seen(x, y, z);
    double f = lens.focalPx();
    double aside = Math.hypot(s[0], s[1]);
    double square = aside * aside + s[2] * s[2];
    double angle = Math.atan2(aside, s[2]);
    double r = lens.radius(angle);
    double slope = lens.radiusSlope(angle);
    // Of the place in the picture, with the place as the camera has it.
    double[][] bySeen = new double[2][3];
    double ex = aside < 1e-9 ? 1 : s[0] / aside;
    double ey = aside < 1e-9 ? 0 : s[1] / aside;
    double perAside = aside < 1e-9 ? 1 / s[2] : r / aside;
    double radial = slope * s[2] / square;
    bySeen[0][0] = f * (radial * ex * ex + perAside * ey * ey);
    bySeen[0][1] = f * (radial - perAside) * ex * ey;
    bySeen[1][0] = bySeen[0][1];
    bySeen[1][1] = f * (radial * ey * ey + perAside * ex * ex);
    double inwards = -f * slope * aside / square;
    bySeen[0][2] = inwards * ex;
    bySeen[1][2] = inwards * ey;
    double[][] turned = slopeOfTurn(s);
    for (int i = 0; i < 2; i++) {
      for (int k = 0; k < 3; k++) {
        double byTurn = 0;
        double by = 0;
        for (int m = 0; m < 3; m++) {
          byTurn += bySeen[i][m] * turned[m][k];
          by += bySeen[i][m] * axes[m][k];
        }
        byNumbers[i][TURN + k] = byTurn;
        byNumbers[i][PLACE + k] = -by;
        byPlace[i][k] = by;
      }
      double e = i == 0 ? ex : ey;
      double unit = aside < 1e-9 ? 0 : f * e;
      byNumbers[i][FOCAL] = unit * r;
      byNumbers[i][CENTRE] = i == 0 ? 1 : 0;
      byNumbers[i][CENTRE + 1] = i == 1 ? 1 : 0;
      double power = angle;
      for (int k = 0; k < 4; k++) {
        power *= angle * angle;
        byNumbers[i][BEND + k] = unit * power;
      }
    }
    return new double[] {
      lens.centreX() + f * perAside * s[0], lens.centreY() + f * perAside * s[1]
    };
  }

  /**
   * Of the place as the camera has it, with the turn vector: the left Jacobian of the rotations.
   */
  private double[][] slopeOfTurn(double[] s) {
    double x = numbers[0];
    double y = numbers[1];
    double z = numbers[2];
    double angle = Math.sqrt(x * x + y * y + z * z);
    double b = angle < 1e-4 ? 0.5 : (1 - Math.cos(angle)) / (angle * angle);
    double c = angle < 1e-3 ? 1.0 / 6 : (angle - Math.sin(angle)) / (angle * angle * angle);
    double[][] left = {
      {1 - c * (y * y + z * z), c * x * y - b * z, c * x * z + b * y},
      {c * x * y + b * z, 1 - c * (x * x + z * z), c * y * z - b * x},
      {c * x * z - b * y, c * y * z + b * x, 1 - c * (x * x + y * y)}
    };
    double[][] slopes = new double[3][3];
    for (int k = 0; k < 3; k++) {
      double[] w = {left[0][k], left[1][k], left[2][k]};
      slopes[0][k] = w[1] * s[2] - w[2] * s[1];
      slopes[1][k] = w[2] * s[0] - w[0] * s[2];
      slopes[2][k] = w[0] * s[1] - w[1] * s[0];
    }
    return slopes;
  }
}
