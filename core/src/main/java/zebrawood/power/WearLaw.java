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
  private final boolean jumps;

  /** The first meter's first. */
  private final int[] scales;

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
    jumps = jump < n;
    scales = readings.stream().mapToInt(Reading::scale).distinct().toArray();
    double[][] design = new double[n][];
    for (int i = 0; i < n; i++) {
      design[i] = row(readings.get(i).at() - start, readings.get(i).scale(), i >= jump);
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

  /** What stands before the coefficients: 1, the wear, a mark for each other scale, the jump's. */
  private double[] row(double sinceFirst, int scale, boolean jumped) {
    double[] row = new double[1 + scales.length + (jumps ? 1 : 0)];
    row[0] = 1;
    row[1] = x(sinceFirst);
    for (int k = 1; k < scales.length; k++) {
      row[1 + k] = scales[k] == scale ? 1 : 0;
    }
    if (jumps) {
      row[row.length - 1] = jumped ? 1 : 0;
    }
    return row;
  }

  boolean jumps() {
    return jumps;
  }

  /** In the value's unit. */
  double jumpsBy() {
    return fit.coefficient(fit.columns() - 1);
  }

  /**
   * On the scale of the meter that read first.
   *
   * @param jumped whether after the jump, else before it
   */
  Estimate value(double sinceFirst, boolean jumped) {
    return value(sinceFirst, scales[0], jumped);
  }

  private Estimate value(double sinceFirst, int scale, boolean jumped) {
    Estimate plain = fit.combination(row(sinceFirst, scale, jumped));
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
    Estimate there = value(reading.at() - first, reading.scale(), true);
    return (reading.value() - there.value()) / Math.hypot(scatter, there.uncertainty());
  }
}
