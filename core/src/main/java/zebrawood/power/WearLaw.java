package zebrawood.power;

import java.util.List;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.special.Gamma;
import zebrawood.measure.Estimate;
import zebrawood.measure.LinearFit;
import zebrawood.power.Ageing.Reading;

/** One law through the readings. */
final class WearLaw {
  /** Of the sums of products of columns between 0 and 1: less cannot be turned round. */
  private static final double LEAST_DETERMINANT = 1e-6;

  /** Series of which another meter, or a cleaned lens, makes a jump. */
  private static final double JUMPS = 0.4;

  /** Of the value, from the lowest to the highest. */
  private static final double LARGEST_JUMP = 0.2;

  /** Of the value: what no reading repeats better than. */
  private static final double LEAST_SCATTER = 0.003;

  private final double power;
  final int jump;
  private final double span;
  final LinearFit fit;
  private final int freedom;
  private final double squares;
  private final double given;
  final boolean determined;
  final TDistribution students;
  private double scatter;

  /** The logarithm of how likely the readings are by it, but for what all laws share. */
  double likelihood;

  /**
   * @param jump the first reading after a jump; their number for none
   */
  WearLaw(List<Reading> readings, double power, int jump) {
    this.power = power;
    this.jump = jump;
    int n = readings.size();
    double start = readings.getFirst().at();
    span = readings.getLast().at() - start;
    boolean jumps = jump < n;
    double[][] design = new double[n][];
    for (int i = 0; i < n; i++) {
      double x = Math.pow((readings.get(i).at() - start) / span, power);
      design[i] = jumps ? new double[] {1, x, i >= jump ? 1 : 0} : new double[] {1, x};
    }
    fit = LinearFit.of(design, readings.stream().mapToDouble(Reading::value).toArray(), 1);
    freedom = fit.degreesOfFreedom();
    double typical = readings.get(n / 2).value();
    squares = fit.chiSquare() + freedom * Math.pow(LEAST_SCATTER * typical, 2);
    double determinant = determinant(design);
    determined = determinant > LEAST_DETERMINANT;
    given =
        -0.5 * Math.log(determinant)
            + (jumps
                ? Math.log(JUMPS / (n - 2 * Ageing.BESIDE_A_JUMP + 1) / (LARGEST_JUMP * typical))
                : Math.log(1 - JUMPS));
    students = new TDistribution(Math.max(1, freedom));
    countAs(1);
  }

  /** Where neighbours are off alike, the readings count as fewer by this factor. */
  void countAs(double alike) {
    scatter = Math.sqrt(squares / freedom * alike);
    double free = freedom / alike;
    likelihood = Gamma.logGamma(free / 2) - free / 2 * Math.log(Math.PI * squares) + given;
  }

  /** Of the sums of products of the columns. */
  private static double determinant(double[][] design) {
    RealMatrix columns = new Array2DRowRealMatrix(design, false);
    return new LUDecomposition(columns.transposeMultiply(columns)).getDeterminant();
  }

  private double x(double sinceFirst) {
    return Math.pow(Math.max(0, sinceFirst) / span, power);
  }

  boolean jumps() {
    return fit.columns() == 3;
  }

  /**
   * @param jumped whether on the scale of the last readings, else of the first
   */
  Estimate value(double sinceFirst, boolean jumped) {
    double x = x(sinceFirst);
    Estimate plain = jumps() ? fit.combination(1, x, jumped ? 1 : 0) : fit.combination(1, x);
    // The fit takes an error of 1 and enlarges it by a misfit above that.
    double own = Math.sqrt(Math.max(1, fit.chiSquare() / freedom));
    return new Estimate(plain.value(), plain.uncertainty() / own * scatter);
  }

  double slopeAtEnd() {
    return fit.coefficient(1) * power / span;
  }

  /** After a jump both are as likely: that the scale changed, and that the source fell. */
  double below(double sinceFirst, double limit) {
    return jumps()
        ? (below(value(sinceFirst, false), limit) + below(value(sinceFirst, true), limit)) / 2
        : below(value(sinceFirst, false), limit);
  }

  private double below(Estimate there, double limit) {
    return students.cumulativeProbability((limit - there.value()) / there.uncertainty());
  }

  /** What a later or earlier reading is off, by its own error when it was not fitted. */
  double awayOf(Reading reading, double first) {
    Estimate there = value(reading.at() - first, true);
    return (reading.value() - there.value()) / Math.hypot(scatter, there.uncertainty());
  }
}
