package zebrawood.power;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import zebrawood.measure.LinearFit;
import zebrawood.measure.Resolution;

/**
 * Fits what a source gives against percent: nothing up to a threshold, then a slope that may
 * flatten towards the top, {@code s u - c u²} with {@code u} the percent above the threshold.
 *
 * <p>By weighted least squares over the readings that stand clear of nothing. From five readings on
 * flattening is fitted too, and dropped where it would be a steepening. What a form with one term
 * more differs counts as uncertainty: sources do not follow a parabola. Errors are those of the
 * instrument, enlarged by the misfit (Bevington and Robinson, Data Reduction and Error Analysis,
 * third edition, chapters 7 and 11).
 */
public final class CurveFit {
  private static final int LEAST = 3;
  private static final int ENOUGH_TO_FLATTEN = 5;

  /** So many readings bear a form with one term more, to see how far the form decides. */
  private static final int ENOUGH_FOR_ANOTHER = 5;

  /** Below so many deviations a reading does not tell from nothing. */
  private static final double CLEAR = 3;

  private CurveFit() {}

  /** The readings that count, with their errors. */
  private record Weighed(double[] x, double[] y, double[] error) {}

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
    LinearFit straight = solve(all, 2);
    LinearFit taken = straight;
    OptionalDouble bend = OptionalDouble.empty();
    if (n >= ENOUGH_TO_FLATTEN) {
      LinearFit bent = solve(all, 3);
      bend = OptionalDouble.of(bent.estimate(2).uncertainty());
      taken = bent.coefficient(2) < 0 ? bent : straight;
    }
    FittedCurve curve =
        new FittedCurve(
            coefficients(taken, 3),
            taken.covariances(),
            points.stream().mapToDouble(CurvePoint::percent).min().orElseThrow(),
            points.stream().mapToDouble(CurvePoint::percent).max().orElseThrow(),
            bend,
            n >= ENOUGH_FOR_ANOTHER
                ? Optional.of(coefficients(solve(all, 4), 4))
                : n >= LEAST ? Optional.of(coefficients(solve(all, 3), 3)) : Optional.empty());
    return curve.rises() ? Optional.of(curve) : Optional.empty();
  }

  /** Of 1, x and x²; a straight line has none of the last. */
  private static List<Double> coefficients(LinearFit fit, int of) {
    int terms = fit.columns();
    return IntStream.range(0, of).mapToObj(i -> i < terms ? fit.coefficient(i) : 0.0).toList();
  }

  private static LinearFit solve(Weighed data, int terms) {
    int n = data.x.length;
    double[][] design = new double[n][terms];
    double[] seen = new double[n];
    for (int i = 0; i < n; i++) {
      for (int k = 0; k < terms; k++) {
        design[i][k] = Math.pow(data.x[i], k) / data.error[i];
      }
      seen[i] = data.y[i] / data.error[i];
    }
    return LinearFit.of(design, seen, 1);
  }
}
