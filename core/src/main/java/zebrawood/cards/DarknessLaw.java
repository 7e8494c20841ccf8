package zebrawood.cards;

import java.util.List;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;

/**
 * How dark a square comes out, in one smooth law: nothing below a least power, more with power over
 * some power of the speed, and no more than a darkest. Its numbers have weak priors, so that a card
 * of one row still has a law.
 */
final class DarknessLaw {
  /** Of the power: the logarithm of how many times more the second card's beam has. */
  static final int RATIO = 4;

  private static final int NUMBERS = 5;
  private static final int MOST_ROUNDS = 200;

  /** What the numbers are about, before anything is read, and how far off they may be. */
  private static final double[] USUAL = {Math.log(0.9), 0, Math.log(1.5), 1, 0};

  private static final double[] USUALLY_OFF = {0.5, 10, 1, 0.5, 3};

  /** How darkness rises to its darkest. */
  enum Rise {
    /** As a share that is left falls with each pass. */
    EXPONENTIAL,
    LOGISTIC;

    double of(double u) {
      return this == EXPONENTIAL ? -Math.expm1(-Math.exp(u)) : 1 / (1 + Math.exp(-u));
    }

    double slope(double u) {
      double risen = of(u);
      return this == EXPONENTIAL ? Math.exp(u) * (1 - risen) : risen * (1 - risen);
    }
  }

  /**
   * One square.
   *
   * @param second whether it is of the card that was burnt later
   * @param count how many squares it is the mean of
   */
  record Square(double percent, double speedMmS, double darkness, boolean second, double count) {}

  private final Rise rise;
  private final double leastPercent;
  private final double middlePercent;
  private final double middleSpeedMmS;
  private final boolean twoCards;
  private final double[] numbers;

  private DarknessLaw(
      Rise rise,
      double leastPercent,
      double middlePercent,
      double middleSpeedMmS,
      boolean twoCards,
      double[] numbers) {
    this.rise = rise;
    this.leastPercent = leastPercent;
    this.middlePercent = middlePercent;
    this.middleSpeedMmS = middleSpeedMmS;
    this.twoCards = twoCards;
    this.numbers = numbers;
  }

  int size() {
    return twoCards ? NUMBERS : NUMBERS - 1;
  }

  double number(int index) {
    return numbers[index];
  }

  double darkness(double percent, double speedMmS, boolean second) {
    double power = power(percent, second);
    return power <= 0 ? 0 : Math.exp(numbers[0]) * rise.of(along(power, speedMmS));
  }

  /** What is above the least that does anything. */
  private double power(double percent, boolean second) {
    return (second ? percent * Math.exp(numbers[RATIO]) : percent) - leastPercent;
  }

  private double along(double power, double speedMmS) {
    return numbers[1]
        + Math.exp(numbers[2])
            * (Math.log(power / (middlePercent - leastPercent))
                - numbers[3] * Math.log(speedMmS / middleSpeedMmS));
  }

  /** By how much it changes with each number. */
  double[] slopes(double percent, double speedMmS, boolean second) {
    double[] slopes = new double[size()];
    double power = power(percent, second);
    if (power <= 0) {
      return slopes;
    }
    double u = along(power, speedMmS);
    double darkest = Math.exp(numbers[0]);
    double rising = darkest * rise.slope(u);
    double exponent = Math.exp(numbers[2]);
    slopes[0] = darkest * rise.of(u);
    slopes[1] = rising;
    slopes[2] = rising * (u - numbers[1]);
    slopes[3] = -rising * exponent * Math.log(speedMmS / middleSpeedMmS);
    if (twoCards && second) {
      slopes[RATIO] = rising * exponent * (power + leastPercent) / power;
    }
    return slopes;
  }

  /** One over the square of how far off each number may be before anything is read. */
  double[] priorWeights() {
    double[] weights = new double[size()];
    for (int i = 0; i < weights.length; i++) {
      weights[i] = 1 / (USUALLY_OFF[i] * USUALLY_OFF[i]);
    }
    return weights;
  }

  /** What the priors pull each number by. */
  double[] priorPull() {
    double[] pull = priorWeights();
    for (int i = 0; i < pull.length; i++) {
      pull[i] *= USUAL[i] - numbers[i];
    }
    return pull;
  }

  /** The law of these forms that misses least. */
  static DarknessLaw of(List<Square> squares, double error) {
    double least = squares.stream().mapToDouble(Square::percent).min().orElseThrow();
    double most = squares.stream().mapToDouble(Square::percent).max().orElseThrow();
    double dark = squares.stream().mapToDouble(Square::darkness).max().orElseThrow();
    double leastDark =
        squares.stream()
            .filter(s -> s.darkness > Math.max(0.1 * dark, 4 * error))
            .mapToDouble(Square::percent)
            .min()
            .orElse(least);
    DarknessLaw best = null;
    double bestMiss = Double.POSITIVE_INFINITY;
    for (Rise rise : Rise.values()) {
      for (double share : new double[] {0, 0.15, 0.3, 0.45, 0.6, 0.75, 0.9}) {
        double threshold = share * leastDark;
        DarknessLaw start = start(squares, rise, threshold, Math.max(most, leastDark), dark);
        DarknessLaw law = start.fitted(squares, error);
        double miss = law.miss(squares, error);
        if (best == null || miss < bestMiss) {
          best = law;
          bestMiss = miss;
        }
      }
    }
    return best;
  }

  private static DarknessLaw start(
      List<Square> squares, Rise rise, double threshold, double most, double dark) {
    double logPercent = squares.stream().mapToDouble(s -> Math.log(s.percent)).average().orElse(0);
    double logSpeed = squares.stream().mapToDouble(s -> Math.log(s.speedMmS)).average().orElse(0);
    double middle = Math.max(Math.exp(logPercent), (threshold + most) / 2);
    double[] numbers = USUAL.clone();
    numbers[0] = Math.log(Math.clamp(1.1 * dark, 0.05, 1.5));
    return new DarknessLaw(
        rise,
        threshold,
        middle,
        Math.exp(logSpeed),
        squares.stream().anyMatch(Square::second),
        numbers);
  }

  private DarknessLaw with(double[] found) {
    double[] all = numbers.clone();
    System.arraycopy(found, 0, all, 0, found.length);
    return new DarknessLaw(rise, leastPercent, middlePercent, middleSpeedMmS, twoCards, all);
  }

  /** Misses over the error of one square, then how far the numbers are from the usual ones. */
  private double[] misses(List<Square> squares, double error) {
    double[] misses = new double[squares.size() + size()];
    for (int i = 0; i < squares.size(); i++) {
      Square s = squares.get(i);
      misses[i] =
          (darkness(s.percent, s.speedMmS, s.second) - s.darkness) * Math.sqrt(s.count) / error;
    }
    for (int j = 0; j < size(); j++) {
      misses[squares.size() + j] = (numbers[j] - USUAL[j]) / USUALLY_OFF[j];
    }
    return misses;
  }

  private double miss(List<Square> squares, double error) {
    double sum = 0;
    for (double m : misses(squares, error)) {
      sum += m * m;
    }
    return sum;
  }

  /** The same form, fitted once more. */
  DarknessLaw fitted(List<Square> squares, double error) {
    try {
      double[] start = new double[size()];
      System.arraycopy(numbers, 0, start, 0, start.length);
      double[] found =
          new LevenbergMarquardtOptimizer()
              .optimize(
                  new LeastSquaresBuilder()
                      .start(start)
                      .target(new double[squares.size() + size()])
                      .model(at -> with(at.toArray()).model(squares, error))
                      .maxEvaluations(MOST_ROUNDS)
                      .maxIterations(MOST_ROUNDS)
                      .build())
              .getPoint()
              .toArray();
      return with(found);
    } catch (MathRuntimeException e) {
      // This form does not suit these squares: it stays where it began, and loses.
      return this;
    }
  }

  private Pair<RealVector, RealMatrix> model(List<Square> squares, double error) {
    double[][] slopes = new double[squares.size() + size()][];
    for (int i = 0; i < squares.size(); i++) {
      Square s = squares.get(i);
      slopes[i] = slopes(s.percent, s.speedMmS, s.second);
      for (int j = 0; j < size(); j++) {
        slopes[i][j] *= Math.sqrt(s.count) / error;
      }
    }
    for (int j = 0; j < size(); j++) {
      slopes[squares.size() + j] = new double[size()];
      slopes[squares.size() + j][j] = 1 / USUALLY_OFF[j];
    }
    return new Pair<>(
        new ArrayRealVector(misses(squares, error), false),
        new Array2DRowRealMatrix(slopes, false));
  }
}
