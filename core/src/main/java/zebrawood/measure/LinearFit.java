package zebrawood.measure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * Linear least squares with equal reading errors: which coefficients make {@code design *
 * coefficients} come nearest to the readings, and how well are they known?
 *
 * <p>Shapes: {@code design} has a row for each reading and a column for each coefficient; {@code
 * readings} one number a row. The covariance is {@code s^2 (A'A)^-1} with s the error of one
 * reading; it is enlarged by chi-square over the degrees of freedom where that is above 1, since
 * the misfit then shows that the readings are worse than the instrument. With as many readings as
 * coefficients there is no degree of freedom and nothing to enlarge by.
 *
 * <p>Not for readings of unequal quality, nor for columns that are nearly the same: centre them
 * first. Source: Bevington and Robinson, Data Reduction and Error Analysis, 3rd ed., chapter 7.
 */
public final class LinearFit {
  private final RealMatrix design;
  private final RealVector coefficients;
  private final double readingVariance;
  private final RealVector residuals;
  private final int degreesOfFreedom;
  private final double chiSquare;
  private double[][] covariance;

  private LinearFit(
      RealMatrix design,
      RealVector coefficients,
      double readingVariance,
      RealVector residuals,
      int degreesOfFreedom,
      double chiSquare) {
    this.design = design;
    this.coefficients = coefficients;
    this.readingVariance = readingVariance;
    this.residuals = residuals;
    this.degreesOfFreedom = degreesOfFreedom;
    this.chiSquare = chiSquare;
  }

  /**
   * @param design a row for each reading
   * @param readings as many as rows
   * @param readingError standard deviation of one reading, more than 0
   * @throws IllegalArgumentException when there are fewer readings than coefficients
   * @throws org.hipparchus.exception.MathIllegalArgumentException when the columns do not determine
   *     the coefficients
   */
  public static LinearFit of(double[][] design, double[] readings, double readingError) {
    int rows = design.length;
    int columns = design[0].length;
    if (rows < columns) {
      throw new IllegalArgumentException(rows + " readings for " + columns + " coefficients");
    }
    RealMatrix a = new Array2DRowRealMatrix(design, false);
    RealVector b = new ArrayRealVector(readings, false);
    QRDecomposition qr = new QRDecomposition(a);
    DecompositionSolver solver = qr.getSolver();
    RealVector x = solver.solve(b);
    RealVector residuals = b.subtract(a.operate(x));
    int freedom = rows - columns;
    double chiSquare = residuals.dotProduct(residuals) / (readingError * readingError);
    return new LinearFit(a, x, readingError * readingError, residuals, freedom, chiSquare);
  }

  /** Made when first asked for: many fits are only asked for their coefficients. */
  private double[][] covariance() {
    if (covariance == null) {
      double enlarge = degreesOfFreedom > 0 ? Math.max(1, chiSquare / degreesOfFreedom) : 1;
      covariance =
          MatrixUtils.inverse(design.transposeMultiply(design))
              .scalarMultiply(readingVariance * enlarge)
              .getData();
    }
    return covariance;
  }

  /** Of all coefficients with one another, row by row. */
  public List<List<Double>> covariances() {
    return Arrays.stream(covariance()).map(row -> Arrays.stream(row).boxed().toList()).toList();
  }

  public double coefficient(int index) {
    return coefficients.getEntry(index);
  }

  public Estimate estimate(int index) {
    return new Estimate(
        coefficients.getEntry(index), Math.sqrt(Math.max(0, covariance()[index][index])));
  }

  /** A weighted sum of the coefficients, with the uncertainty that their covariance gives it. */
  public Estimate combination(double... weights) {
    double value = 0;
    double variance = 0;
    for (int i = 0; i < weights.length; i++) {
      double row = 0;
      for (int j = 0; j < weights.length; j++) {
        row += covariance()[i][j] * weights[j];
      }
      value += coefficients.getEntry(i) * weights[i];
      variance += weights[i] * row;
    }
    return new Estimate(value, Math.sqrt(Math.max(0, variance)));
  }

  /** Reading less fit, in the order of the readings. */
  public List<Double> residuals() {
    List<Double> all = new ArrayList<>(residuals.getDimension());
    for (int i = 0; i < residuals.getDimension(); i++) {
      all.add(residuals.getEntry(i));
    }
    return Collections.unmodifiableList(all);
  }

  /** How many coefficients there are. */
  public int columns() {
    return design.getColumnDimension();
  }

  public int degreesOfFreedom() {
    return degreesOfFreedom;
  }

  /** Sum of squared residuals over the variance of one reading. */
  public double chiSquare() {
    return chiSquare;
  }
}
