package zebrawood.measure;

import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;
import zebrawood.words.Message;

/**
 * A flat thing as a camera without distortion sees it: the map that keeps straight lines straight
 * (a homography, eight numbers), by least squares through four places or more.
 */
public final class Projective implements PlaneMap {
  private final double[] h;

  private Projective(double[] h) {
    this.h = h;
  }

  /**
   * Through places, n x 2 each, no three of four on one line.
   *
   * @throws UnusableReading where they lie so, or fall together
   */
  public static Projective through(double[][] from, double[][] to) {
    double[] a = middleAndSize(from);
    double[] b = middleAndSize(to);
    int n = from.length;
    RealMatrix m = new Array2DRowRealMatrix(2 * n, 8);
    double[] right = new double[2 * n];
    for (int i = 0; i < n; i++) {
      double x = (from[i][0] - a[0]) / a[2];
      double y = (from[i][1] - a[1]) / a[2];
      double u = (to[i][0] - b[0]) / b[2];
      double v = (to[i][1] - b[1]) / b[2];
      m.setRow(2 * i, new double[] {x, y, 1, 0, 0, 0, -u * x, -u * y});
      m.setRow(2 * i + 1, new double[] {0, 0, 0, x, y, 1, -v * x, -v * y});
      right[2 * i] = u;
      right[2 * i + 1] = v;
    }
    double[] s;
    try {
      s = new QRDecomposition(m, 1e-12).getSolver().solve(new ArrayRealVector(right)).toArray();
    } catch (MathRuntimeException e) {
      throw UnusableReading.of(
          "corners",
          Message.of("measure.found.on-a-line"),
          Message.of("measure.accepts.four-corners"));
    }
    // Both changes of size and middle are taken into the nine numbers.
    double[] h = new double[9];
    double[] third = {s[6] / a[2], s[7] / a[2], 1 - (s[6] * a[0] + s[7] * a[1]) / a[2]};
    for (int row = 0; row < 2; row++) {
      double p = s[3 * row] / a[2];
      double q = s[3 * row + 1] / a[2];
      double r = s[3 * row + 2] - p * a[0] - q * a[1];
      h[3 * row] = b[2] * p + b[row] * third[0];
      h[3 * row + 1] = b[2] * q + b[row] * third[1];
      h[3 * row + 2] = b[2] * r + b[row] * third[2];
    }
    System.arraycopy(third, 0, h, 6, 3);
    return new Projective(h);
  }

  /** Middle, and the farthest place from it, so that no column outweighs another. */
  private static double[] middleAndSize(double[][] places) {
    double[] of = {0, 0, 1e-9};
    for (double[] p : places) {
      of[0] += p[0] / places.length;
      of[1] += p[1] / places.length;
    }
    for (double[] p : places) {
      of[2] = Math.max(of[2], Math.hypot(p[0] - of[0], p[1] - of[1]));
    }
    return of;
  }

  @Override
  public double[] at(double x, double y) {
    double w = h[6] * x + h[7] * y + h[8];
    return new double[] {(h[0] * x + h[1] * y + h[2]) / w, (h[3] * x + h[4] * y + h[5]) / w};
  }
}
