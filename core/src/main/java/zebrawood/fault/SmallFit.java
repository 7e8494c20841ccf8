package zebrawood.fault;

import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.SingularValueDecomposition;

/**
 * Linear least squares through scores where some columns may be the same: what is not determined
 * stays nought. With none or one column beside the mean it is done by sums, since it is done ten
 * thousand times.
 */
final class SmallFit {
  private final double[] coefficients;
  private final double[] residuals;
  private final double squares;

  private SmallFit(double[] coefficients, double[] residuals) {
    this.coefficients = coefficients;
    this.residuals = residuals;
    double sum = 0;
    for (double rest : residuals) {
      sum += rest * rest;
    }
    squares = sum;
  }

  /**
   * @param columns beside the mean
   */
  static SmallFit of(double[] scores, double[]... columns) {
    return columns.length > 1 ? many(scores, columns) : one(scores, columns);
  }

  private static SmallFit one(double[] scores, double[][] columns) {
    int n = scores.length;
    double mean = mean(scores);
    double slope = 0;
    double middle = 0;
    if (columns.length == 1) {
      middle = mean(columns[0]);
      double xx = 0;
      double xy = 0;
      for (int i = 0; i < n; i++) {
        double x = columns[0][i] - middle;
        xx += x * x;
        xy += x * (scores[i] - mean);
      }
      slope = xx > 0 ? xy / xx : 0;
    }
    double[] residuals = new double[n];
    for (int i = 0; i < n; i++) {
      double fitted = columns.length == 1 ? slope * (columns[0][i] - middle) : 0;
      residuals[i] = scores[i] - mean - fitted;
    }
    return new SmallFit(new double[] {mean - slope * middle, slope}, residuals);
  }

  private static double mean(double[] values) {
    double sum = 0;
    for (double v : values) {
      sum += v;
    }
    return sum / values.length;
  }

  private static SmallFit many(double[] scores, double[][] columns) {
    double[][] design = new double[scores.length][columns.length + 1];
    for (int i = 0; i < scores.length; i++) {
      design[i][0] = 1;
      for (int k = 0; k < columns.length; k++) {
        design[i][k + 1] = columns[k][i];
      }
    }
    var matrix = new Array2DRowRealMatrix(design, false);
    var wanted = new ArrayRealVector(scores, false);
    var found = new SingularValueDecomposition(matrix).getSolver().solve(wanted);
    var rest = wanted.subtract(matrix.operate(found));
    return new SmallFit(found.toArray(), rest.toArray());
  }

  double coefficient(int index) {
    return coefficients[index];
  }

  /** Score less fit. */
  double[] residuals() {
    return residuals;
  }

  double squares() {
    return squares;
  }

  double chiSquare(double error) {
    return squares / (error * error);
  }
}
