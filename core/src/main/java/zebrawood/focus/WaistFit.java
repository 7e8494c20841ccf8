package zebrawood.focus;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.hipparchus.distribution.continuous.FDistribution;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;
import zebrawood.measure.Estimate;
import zebrawood.measure.FewReadings;

/**
 * At which height is a line thinnest, or a score best?
 *
 * <p>In: heights and widths in mm, or scores, with the error of each. The readings themselves are
 * fitted by least squares, not their squares: what is told apart is the same for wide and for thin
 * lines. A width follows a Gaussian beam's law (ISO 11146-1:2005, section 9), a score the intensity
 * on the beam's axis or a parabola, whichever is nearer. A law with one more even term is taken
 * where an F test says that it is better by more than chance would have it once in ten thousand.
 * The covariance is {@code (J'J)^-1}, J by s, with s each reading's own error, enlarged by
 * chi-square over the degrees of freedom where that is above 1.
 *
 * <p>A reading that lies six robust deviations from the rest is a slip or a gap in the line: it is
 * left out and told, one at a time, a fifth of them at most; only from eight readings on.
 *
 * <p>Nothing is found where widths do not grow away from a middle. Not for a beam that is oblong
 * and read across both its axes at once: its two foci come out as one between them.
 */
final class WaistFit {
  /** Once in ten thousand by chance: it is asked of two laws at every reading. */
  private static final double CLEARLY = 0.9999;

  /** Of scatter alone such a middle comes out once in a hundred: its place is free as well. */
  private static final double NO_NOISE = 0.999999;

  private static final int USUAL_PARAMETERS = 3;
  private static final int LEAST_FOR_MORE = 8;
  private static final int LEAST_FOR_FLOOR = 5;
  private static final double FAR_OFF = 6;
  private static final double MOST_LEFT_OUT = 0.2;

  private static final int LEAST_FOR_A_SLIP = 6;

  /** In variances of the readings' own errors: all of them fit; one of them cannot be meant. */
  private static final double FITS = 4;

  private static final double MISFIT_OF_A_SLIP = 50;

  /** In errors of a reading. */
  private static final double FAR_OFF_FOR_FEW = 30;

  /** Of normally spread deviations, the standard one over the middle of their sizes. */
  private static final double SIGMA_PER_MEDIAN = 1.4826;

  private static final int MOST_STEPS = 500;

  /** Of the heights that were read: a focus that is known no better is not known. */
  private static final double UNKNOWN_REACHES = 10;

  /** A law that is deep only between two readings follows one slip. */
  private static final double SHARPEST_SHARE = 1e-4;

  private static final double FLATTEST_REACHES = 1e4;

  /** Of the misfit in standard deviations. */
  private static final double SETTLED = 1e-11;

  /**
   * One reading.
   *
   * @param error one standard deviation of the value
   */
  record Reading(double heightMm, double value, double error) {}

  /**
   * What was found.
   *
   * @param heightMm of the focus
   * @param best the width or score there
   * @param depthMm over which a width grows by no more than a tenth, or a score loses no more of
   *     its range; empty where the readings do not tell it
   * @param higher whether the law has one more term than usual
   * @param leftOut indexes of the readings that were slips
   * @param heightsMm of those that count, in rising order, each once
   * @param misfit of one reading, in its own errors
   * @param clear whether scatter alone would hardly make such a middle
   * @param sides empty where one side is as wide as the other, as far as the readings tell
   */
  record FittedWaist(
      Estimate heightMm,
      double best,
      OptionalDouble depthMm,
      boolean higher,
      List<Integer> leftOut,
      List<Double> heightsMm,
      double misfit,
      boolean clear,
      Optional<Sides> sides,
      FittedLaw law) {
    /**
     * Whether it lies at least one reading inside of the first and the last, two deviations either
     * way.
     */
    boolean inside() {
      double give = 2 * heightMm.uncertainty();
      return heightsMm.size() > 2
          && heightMm.value() - give >= heightsMm.get(1)
          && heightMm.value() + give <= heightsMm.get(heightsMm.size() - 2);
    }

    /** Whether even the value itself lies outside. */
    boolean outside() {
      return heightsMm.size() <= 2
          || heightMm.value() < heightsMm.get(1)
          || heightMm.value() > heightsMm.get(heightsMm.size() - 2);
    }

    /** Whether the waist lies in the lower half of the heights that were read. */
    boolean inLowerHalf() {
      return heightMm.value() < heightsMm.get(heightsMm.size() / 2);
    }

    boolean wellKnown() {
      return depthMm.isPresent() && heightMm.uncertainty() <= depthMm.getAsDouble() / 4;
    }

    boolean decided() {
      return inside() && wellKnown() && clear;
    }
  }

  private WaistFit() {}

  static Optional<FittedWaist> ofWidths(List<Reading> readings) {
    return of(readings, List.of(Law.GAUSSIAN_WIDTH), List.of(Law.HIGHER_WIDTH, Law.DOSE_WIDTH));
  }

  static Optional<FittedWaist> ofScores(List<Reading> readings) {
    return of(readings, List.of(Law.PARABOLA_SCORE), List.of(Law.INTENSITY_OVER_FLOOR));
  }

  private static Optional<FittedWaist> of(List<Reading> all, List<Law> plain, List<Law> higher) {
    List<Integer> kept = new ArrayList<>(IntStream.range(0, all.size()).boxed().toList());
    List<Integer> leftOut = new ArrayList<>();
    slipOfFew(all, plain).ifPresent(i -> leftOut.add(kept.remove((int) i)));
    while (true) {
      List<Reading> readings = kept.stream().map(all::get).toList();
      Optional<Fit> fit = best(readings, plain, higher);
      if (fit.isEmpty()) {
        return Optional.empty();
      }
      Optional<Integer> slip =
          all.size() >= LEAST_FOR_MORE && leftOut.size() + 1 <= MOST_LEFT_OUT * all.size()
              ? fit.get().slip()
              : Optional.empty();
      if (slip.isEmpty()) {
        return fit.get().waist(leftOut);
      }
      leftOut.add(kept.remove((int) slip.get()));
    }
  }

  /**
   * A slip of typing among six or seven readings, too few to tell how they scatter: the one without
   * which all others fit as well as they can, and that lies very far off what these say.
   */
  private static Optional<Integer> slipOfFew(List<Reading> all, List<Law> plain) {
    if (all.size() < LEAST_FOR_A_SLIP || all.size() >= LEAST_FOR_MORE) {
      return Optional.empty();
    }
    if (nearest(all, plain).filter(f -> f.fitsAll(MISFIT_OF_A_SLIP)).isPresent()) {
      return Optional.empty();
    }
    List<Integer> slips =
        IntStream.range(0, all.size())
            .filter(i -> {
              List<Reading> others = new ArrayList<>(all);
              Reading one = others.remove(i);
              return nearest(others, plain)
                  .filter(f -> f.fitsAll(FITS) && f.misses(one) > FAR_OFF_FOR_FEW)
                  .isPresent();
            })
            .boxed()
            .toList();
    return slips.size() == 1 ? Optional.of(slips.getFirst()) : Optional.empty();
  }

  /** A floor under scores is a term of the usual kind, a law beyond a beam's own is not. */
  private static int leastForMore(List<Law> higher) {
    return higher.contains(Law.INTENSITY_OVER_FLOOR) ? LEAST_FOR_FLOOR : LEAST_FOR_MORE;
  }

  /** The nearest of the plain laws, or the higher one where that is clearly nearer. */
  private static Optional<Fit> best(List<Reading> readings, List<Law> plain, List<Law> higher) {
    Optional<Fit> usual = nearest(readings, plain);
    if (readings.size() < leastForMore(higher) || usual.filter(Fit::withinErrors).isPresent()) {
      return usual;
    }
    return nearest(readings, higher)
        .filter(more -> usual.isEmpty() || more.better(usual.get()))
        .or(() -> usual);
  }

  private static Optional<Fit> nearest(List<Reading> readings, List<Law> laws) {
    return laws.stream()
        .flatMap(law -> Fit.of(law, readings).stream())
        .min(Comparator.comparingDouble(f -> f.chiSquare));
  }

  /** One law through the readings. */
  private static final class Fit {
    final Law law;
    final List<Reading> readings;
    final double[] parameters;

    /** In standard deviations. */
    final double[] residuals;

    final double chiSquare;

    private Fit(Law law, List<Reading> readings, double[] parameters) {
      this.law = law;
      this.readings = readings;
      this.parameters = parameters;
      residuals =
          readings.stream()
              .mapToDouble(
                  r -> (r.value - law.value(parameters, r.heightMm - parameters[0])) / r.error)
              .toArray();
      chiSquare = Arrays.stream(residuals).map(r -> r * r).sum();
    }

    static Optional<Fit> of(Law law, List<Reading> readings) {
      if (readings.size() < law.parameters
          || readings.stream().mapToDouble(Reading::heightMm).distinct().count() < 3) {
        return Optional.empty();
      }
      return WaistStarts.of(law, readings)
          .flatMap(start -> refined(law, readings, start).stream())
          .min(Comparator.comparingDouble(f -> f.chiSquare));
    }

    private static Optional<Fit> refined(Law law, List<Reading> readings, double[] start) {
      try {
        double[] found =
            new LevenbergMarquardtOptimizer()
                .optimize(
                    new LeastSquaresBuilder()
                        .start(start)
                        .target(readings.stream().mapToDouble(r -> r.value / r.error).toArray())
                        .model(at -> model(law, readings, at))
                        .lazyEvaluation(false)
                        .checker((step, before, now) -> settled(before.getCost(), now.getCost()))
                        .maxEvaluations(MOST_STEPS)
                        .maxIterations(MOST_STEPS)
                        .build())
                .getPoint()
                .toArray();
        Fit fit = new Fit(law, readings, found);
        return law.opens(found, fit.farthest()) ? Optional.of(fit) : Optional.empty();
      } catch (MathRuntimeException noEnd) {
        return Optional.empty();
      }
    }

    /** Before the optimizer complains that it cannot come nearer, as it does of exact readings. */
    private static boolean settled(double before, double now) {
      return Math.abs(before - now) <= SETTLED * (1 + before);
    }

    private static Pair<RealVector, RealMatrix> model(
        Law law, List<Reading> readings, RealVector at) {
      double[] p = at.toArray();
      double[] values = new double[readings.size()];
      double[][] rows = new double[readings.size()][p.length];
      for (int i = 0; i < values.length; i++) {
        double t = readings.get(i).heightMm - p[0];
        double error = readings.get(i).error;
        values[i] = law.value(p, t) / error;
        law.slopes(p, t, rows[i]);
        for (int k = 0; k < p.length; k++) {
          rows[i][k] /= error;
        }
      }
      return new Pair<>(new ArrayRealVector(values, false), new Array2DRowRealMatrix(rows, false));
    }

    int degreesOfFreedom() {
      return readings.size() - law.parameters;
    }

    /** Whether all readings lie near it, by so many times the variance of their errors. */
    boolean fitsAll(double times) {
      return chiSquare <= times * degreesOfFreedom();
    }

    /** How far off another reading is, in its errors. */
    double misses(Reading other) {
      double there = law.value(parameters, other.heightMm - parameters[0]);
      return Math.abs(other.value - there) / other.error;
    }

    /** A law that is nearer than the readings' own errors would explain nothing. */
    boolean withinErrors() {
      return chiSquare <= degreesOfFreedom();
    }

    /**
     * A floor where it is nearer at all: the two shapes of a score differ far from the focus alone.
     * Another law of a width where it is better beyond chance.
     */
    boolean better(Fit usual) {
      int freedom = degreesOfFreedom();
      if (freedom < 1 || chiSquare >= usual.chiSquare) {
        return false;
      }
      if (law == Law.INTENSITY_OVER_FLOOR) {
        return true;
      }
      double f = (usual.chiSquare - chiSquare) / (chiSquare / freedom);
      return Double.isInfinite(f)
          || new FDistribution(1, freedom).cumulativeProbability(f) > CLEARLY;
    }

    /** The reading farthest off, where it is too far to be chance. */
    Optional<Integer> slip() {
      double[] sizes = Arrays.stream(residuals).map(Math::abs).sorted().toArray();
      double scale = Math.max(1, SIGMA_PER_MEDIAN * sizes[sizes.length / 2]);
      int worst =
          IntStream.range(0, residuals.length)
              .boxed()
              .max(Comparator.comparingDouble(i -> Math.abs(residuals[i])))
              .orElseThrow();
      return Math.abs(residuals[worst]) > FAR_OFF * scale ? Optional.of(worst) : Optional.empty();
    }

    Optional<FittedWaist> waist(List<Integer> leftOut) {
      double enlarge = FewReadings.factor(chiSquare, degreesOfFreedom());
      RealMatrix jacobian = model(law, readings, new ArrayRealVector(parameters)).getSecond();
      double sigma;
      try {
        sigma =
            enlarge
                * Math.sqrt(
                    MatrixUtils.inverse(jacobian.transposeMultiply(jacobian)).getEntry(0, 0));
      } catch (MathRuntimeException notDetermined) {
        return Optional.empty();
      }
      OptionalDouble half = law.halfDepth(parameters, farthest());
      double halfDepth = half.orElse(reachMm() / 4);
      Optional<Sides> sides = Sides.compared(law, readings, parameters, chiSquare, halfDepth);
      sigma = Math.hypot(sigma, sides.map(Sides::shiftMm).orElse(0.0));
      double reach = reachMm();
      OptionalDouble depth =
          half.isPresent() ? OptionalDouble.of(2 * half.getAsDouble()) : OptionalDouble.empty();
      FittedWaist found =
          new FittedWaist(
              new Estimate(
                  parameters[0], sigma > 0 ? Math.min(sigma, UNKNOWN_REACHES * reach) : sigma),
              law.value(parameters, 0),
              depth,
              law.parameters > USUAL_PARAMETERS,
              leftOut.stream().sorted().toList(),
              readings.stream().map(Reading::heightMm).distinct().sorted().toList(),
              degreesOfFreedom() > 0 ? Math.sqrt(chiSquare / degreesOfFreedom()) : 1,
              moreThanNoise(enlarge),
              sides,
              new FittedLaw(law, Arrays.stream(parameters).boxed().toList()));
      // Outside of what was read it is not trusted anyhow, and tells where to read on.
      boolean tellsNothing =
          sigma > UNKNOWN_REACHES * reach
              || depth.isPresent()
                  && (depth.getAsDouble() < SHARPEST_SHARE * reach
                      || depth.getAsDouble() > FLATTEST_REACHES * reach);
      return !(sigma > 0) || !found.outside() && tellsNothing
          ? Optional.empty()
          : Optional.of(found);
    }

    /** Whether a middle explains the readings better than one value for all of them. */
    private boolean moreThanNoise(double enlarge) {
      double weights = readings.stream().mapToDouble(r -> 1 / (r.error * r.error)).sum();
      double mean =
          readings.stream().mapToDouble(r -> r.value / (r.error * r.error)).sum() / weights;
      double alike =
          readings.stream().mapToDouble(r -> (r.value - mean) / r.error).map(d -> d * d).sum();
      double explained = (alike - chiSquare) / (enlarge * enlarge);
      return new ChiSquaredDistribution(law.parameters - 1).cumulativeProbability(explained)
          > NO_NOISE;
    }

    private double farthest() {
      return readings.stream()
          .mapToDouble(r -> Math.abs(r.heightMm - parameters[0]))
          .max()
          .orElseThrow();
    }

    private double reachMm() {
      var heights = readings.stream().mapToDouble(Reading::heightMm).summaryStatistics();
      return heights.getMax() - heights.getMin();
    }
  }
}
