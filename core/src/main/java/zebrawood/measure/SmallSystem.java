package zebrawood.measure;

import java.util.Optional;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;

/** Normal equations of a least-squares fit of a few numbers, added up point by point. */
public final class SmallSystem {
  private SmallSystem() {}

  /**
   * @param normal as many rows as numbers are looked for, and one column more
   */
  public static void add(double[][] normal, double[] terms, double value, double weight) {
    int n = terms.length;
    for (int i = 0; i < n; i++) {
      for (int k = 0; k < n; k++) {
        normal[i][k] += weight * terms[i] * terms[k];
      }
      normal[i][n] += weight * terms[i] * value;
    }
  }

  /** Empty where the points do not decide them. */
  public static Optional<double[]> solve(double[][] normal) {
    int n = normal.length;
    double[][] a = new double[n][n];
    double[] b = new double[n];
    for (int i = 0; i < n; i++) {
      System.arraycopy(normal[i], 0, a[i], 0, n);
      b[i] = normal[i][n];
    }
    var lu = new LUDecomposition(new Array2DRowRealMatrix(a, false), 1e-12);
    return lu.getSolver().isNonSingular()
        ? Optional.of(lu.getSolver().solve(new ArrayRealVector(b, false)).toArray())
        : Optional.empty();
  }
}
