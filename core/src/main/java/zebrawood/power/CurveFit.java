package zebrawood.power;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import zebrawood.measure.Resolution;

/**
 * Fits what a source gives against percent: nothing up to a threshold, then a slope that may
 * flatten towards the top, {@code s u - c u²} with {@code u} the percent above the threshold.
 *
 * <p>By weighted least squares over the readings that stand clear of nothing. From five readings on
 * flattening is fitted too, and dropped where it would be a steepening. Errors are those of the
 * instrument, enlarged by the misfit (Bevington and Robinson, Data Reduction and Error Analysis,
 * third edition, chapters 7 and 11).
 */
public final class CurveFit {
  private static final int LEAST = 3;
  private static final int ENOUGH_TO_FLATTEN = 5;

  /** Below so many deviations a reading does not tell from nothing. */
  private static final double CLEAR = 3;

  private CurveFit() {}

  /** The readings that count, with their errors. */
  private record Weighed(double[] x, double[] y, double[] error) {}

  /** Coefficients of 1, x, x², with their covariance for errors of one. */
  private record Solved(double[] coefficients, double[][] covariance, double chiSquare) {}

  /**
   * @param points percentages and values in any unit
   * @param resolution of the instrument, in the values' unit
   * @param scatterPercent how far a reading repeats, in percent of itself; 0 where nobody said
   * @return empty where fewer than three readings stand clear of nothing, or they do not rise
   */
  public static Optional<FittedCurve> of(
      List<CurvePoint> points, double resolution, double scatterPercent) {
    double error = Resolution.standardDeviation(resolution);
    List<CurvePoint> lit = points.stream().filter(p -> p.value() > CLEAR * error).toList();
    int n = lit.size();
    if (lit.stream().mapToDouble(CurvePoint::percent).distinct().count() < LEAST) {
      return Optional.empty();
    }
    Weighed all =
        new Weighed(
            lit.stream().mapToDouble(CurvePoint::percent).toArray(),
            lit.stream().mapToDouble(CurvePoint::value).toArray(),
            lit.stream()
                .mapToDouble(p -> Math.hypot(error, scatterPercent / 100 * p.value()))
                .toArray());
    Solved straight = solve(all, 2);
    Solved taken = straight;
    OptionalDouble bend = OptionalDouble.empty();
    if (n >= ENOUGH_TO_FLATTEN) {
      Solved bent = solve(all, 3);
      double scatter = Math.max(1, bent.chiSquare / Math.max(1, n - 3));
      bend = OptionalDouble.of(Math.sqrt(bent.covariance[2][2] * scatter));
      taken = bent.coefficients[2] < 0 ? bent : straight;
    }
    int freedom = n - taken.covariance.length;
    double misfit = freedom > 0 ? Math.max(1, taken.chiSquare / freedom) : 1;
    FittedCurve curve =
        new FittedCurve(
            Arrays.stream(taken.coefficients).boxed().toList(),
            Arrays.stream(taken.covariance)
                .map(row -> Arrays.stream(row).map(v -> v * misfit).boxed().toList())
                .toList(),
            points.stream().mapToDouble(CurvePoint::percent).min().orElseThrow(),
            points.stream().mapToDouble(CurvePoint::percent).max().orElseThrow(),
            bend);
    return curve.rises() ? Optional.of(curve) : Optional.empty();
  }

  private static Solved solve(Weighed data, int terms) {
    int n = data.x.length;
    RealMatrix design = new Array2DRowRealMatrix(n, terms);
    RealVector seen = new ArrayRealVector(n);
    for (int i = 0; i < n; i++) {
      for (int k = 0; k < terms; k++) {
        design.setEntry(i, k, Math.pow(data.x[i], k) / data.error[i]);
      }
      seen.setEntry(i, data.y[i] / data.error[i]);
    }
    DecompositionSolver solver = new QRDecomposition(design).getSolver();
    RealVector found = solver.solve(seen);
    double chiSquare = design.operate(found).subtract(seen).getNorm();
    RealMatrix inverse = solver.getInverse();
    double[] coefficients = new double[3];
    System.arraycopy(found.toArray(), 0, coefficients, 0, terms);
    return new Solved(
        coefficients, inverse.multiplyTransposed(inverse).getData(), chiSquare * chiSquare);
  }
}
