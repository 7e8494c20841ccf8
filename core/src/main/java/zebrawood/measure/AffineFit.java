package zebrawood.measure;

import java.util.Arrays;

/**
 * The map of the plane that takes places nearest to where they were found, by least squares: {@code
 * x = shiftX + xx u + xy v} and {@code y = shiftY + yx u + yy v}. Free, or one that only moves,
 * turns and scales (B. K. P. Horn, Journal of the Optical Society of America A 4, 629, 1987, in the
 * plane).
 *
 * @param errorX factor of a coordinate's error to that of {@code xx} and {@code yx}, and {@code
 *     errorY} to that of the others
 */
public record AffineFit(
    double shiftX,
    double shiftY,
    double xx,
    double xy,
    double yx,
    double yy,
    double errorX,
    double errorY) {

  /** Places, and where each was found: four arrays of one length. */
  public record Pairs(double[] u, double[] v, double[] x, double[] y) {
    public Pairs {
      if (u.length < 2 || u.length != v.length || u.length != x.length || u.length != y.length) {
        throw new IllegalArgumentException("two pairs or more, each with four coordinates");
      }
    }

    private double[] means() {
      return new double[] {mean(u), mean(v), mean(x), mean(y)};
    }
  }

  private static double mean(double[] values) {
    return Arrays.stream(values).average().orElseThrow();
  }

  /**
   * @param pairs three or more, not all in one line
   */
  public static AffineFit of(Pairs pairs) {
    double[] mean = pairs.means();
    double suu = 0;
    double svv = 0;
    double suv = 0;
    double sux = 0;
    double svx = 0;
    double suy = 0;
    double svy = 0;
    for (int i = 0; i < pairs.u.length; i++) {
      double u = pairs.u[i] - mean[0];
      double v = pairs.v[i] - mean[1];
      double x = pairs.x[i] - mean[2];
      double y = pairs.y[i] - mean[3];
      suu += u * u;
      svv += v * v;
      suv += u * v;
      sux += u * x;
      svx += v * x;
      suy += u * y;
      svy += v * y;
    }
    double det = suu * svv - suv * suv;
    return about(
        mean,
        new double[] {
          (svv * sux - suv * svx) / det,
          (suu * svx - suv * sux) / det,
          (svv * suy - suv * svy) / det,
          (suu * svy - suv * suy) / det
        },
        Math.sqrt(svv / det),
        Math.sqrt(suu / det));
  }

  /**
   * Without shear: moved, turned and scaled alone.
   *
   * @param pairs two or more, not all at one place
   */
  public static AffineFit similarity(Pairs pairs) {
    double[] mean = pairs.means();
    double along = 0;
    double across = 0;
    double squares = 0;
    for (int i = 0; i < pairs.u.length; i++) {
      double u = pairs.u[i] - mean[0];
      double v = pairs.v[i] - mean[1];
      double x = pairs.x[i] - mean[2];
      double y = pairs.y[i] - mean[3];
      along += u * x + v * y;
      across += u * y - v * x;
      squares += u * u + v * v;
    }
    double a = along / squares;
    double b = across / squares;
    double error = 1 / Math.sqrt(squares);
    return about(mean, new double[] {a, -b, b, a}, error, error);
  }

  private static AffineFit about(double[] mean, double[] matrix, double errorX, double errorY) {
    return new AffineFit(
        mean[2] - matrix[0] * mean[0] - matrix[1] * mean[1],
        mean[3] - matrix[2] * mean[0] - matrix[3] * mean[1],
        matrix[0],
        matrix[1],
        matrix[2],
        matrix[3],
        errorX,
        errorY);
  }

  public double x(double u, double v) {
    return shiftX + xx * u + xy * v;
  }

  public double y(double u, double v) {
    return shiftY + yx * u + yy * v;
  }

  public double sizeX() {
    return Math.hypot(xx, yx);
  }

  public double sizeY() {
    return Math.hypot(xy, yy);
  }

  /** How far the first axis is turned, counter-clockwise, in radians. */
  public double turnOfX() {
    return Math.atan2(yx, xx);
  }

  public double turnOfY() {
    return Math.atan2(-xy, yy);
  }

  public boolean mirrored() {
    return xx * yy - xy * yx <= 0;
  }
}
