package zebrawood.focus;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.FDistribution;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealVector;
import zebrawood.focus.WaistFit.Reading;

/**
 * Is a line wider on one side of its focus than on the other? A law that is the same on both sides
 * then puts the focus where it is not.
 *
 * @param share by which the side of the larger gap or height is wider; less than 0 where it is the
 *     other one
 * @param shiftMm how far the focus moves when both sides may differ
 */
record Sides(double share, double shiftMm) {
  /** Once in fifty by chance; it costs no more than a larger uncertainty. */
  private static final double BEYOND_CHANCE = 0.98;

  private static final int MOST_STEPS = 12;

  /** Both sides are begun from so many places around the focus. */
  private static final int BEGINNINGS = 2;

  /**
   * An F test of one more parameter: the law times {@code 1 + share / 2} above the focus, and times
   * {@code 1 - share / 2} below it.
   *
   * @param fitted the law's parameters, the focus first
   * @param chiSquare of that fit
   * @param withinMm how far off the focus may lie
   * @return empty where both sides are as alike as the readings tell, or too few to tell
   */
  static Optional<Sides> compared(
      Law law, List<Reading> readings, double[] fitted, double chiSquare, double withinMm) {
    int freedom = readings.size() - fitted.length - 1;
    if (freedom < 2) {
      return Optional.empty();
    }
    return IntStream.rangeClosed(-BEGINNINGS, BEGINNINGS)
        .mapToObj(i -> {
          double[] start = Arrays.copyOf(fitted, fitted.length + 1);
          start[0] += withinMm * i / BEGINNINGS;
          return start;
        })
        .flatMap(start -> refined(law, readings, start).stream())
        .filter(fit -> Math.abs(fit.parameters[0] - fitted[0]) <= withinMm)
        .min(Comparator.comparingDouble(Fit::chiSquare))
        .filter(fit -> {
          // Readings that fit better than their instrument tells apart prove nothing.
          double f = (chiSquare - fit.chiSquare) / Math.max(1, fit.chiSquare / freedom);
          return f > 0 && new FDistribution(1, freedom).cumulativeProbability(f) > BEYOND_CHANCE;
        })
        .map(fit ->
            new Sides(fit.parameters[fitted.length], Math.abs(fit.parameters[0] - fitted[0])));
  }

  private record Fit(double[] parameters, double chiSquare) {}

  /** Steps of Gauss and Newton, halved while they lead away. */
  private static Optional<Fit> refined(Law law, List<Reading> readings, double[] start) {
    double[] at = start;
    double now = chiSquare(law, readings, at);
    for (int step = 0; step < MOST_STEPS; step++) {
      double[] direction;
      try {
        direction = direction(law, readings, at);
      } catch (MathRuntimeException notDetermined) {
        return Optional.empty();
      }
      double length = 1;
      double[] next = moved(at, direction, length);
      while (length > 1e-3 && !(chiSquare(law, readings, next) < now)) {
        length /= 2;
        next = moved(at, direction, length);
      }
      double then = chiSquare(law, readings, next);
      if (!(then < now)) {
        break;
      }
      boolean settled = now - then < 1e-6 * (1 + now);
      at = next;
      now = then;
      if (settled) {
        break;
      }
    }
    return Double.isFinite(now) ? Optional.of(new Fit(at, now)) : Optional.empty();
  }

  private static double[] moved(double[] at, double[] direction, double length) {
    double[] next = at.clone();
    for (int k = 0; k < at.length; k++) {
      next[k] += length * direction[k];
    }
    return next;
  }

  private static double side(double t) {
    return Math.signum(t) / 2;
  }

  private static double chiSquare(Law law, List<Reading> readings, double[] p) {
    double share = p[p.length - 1];
    double sum = 0;
    for (Reading r : readings) {
      double t = r.heightMm() - p[0];
      double off = (r.value() - law.value(p, t) * (1 + share * side(t))) / r.error();
      sum += off * off;
    }
    return sum;
  }

  private static double[] direction(Law law, List<Reading> readings, double[] p) {
    int last = p.length - 1;
    double[][] rows = new double[readings.size()][p.length];
    double[] off = new double[readings.size()];
    for (int i = 0; i < off.length; i++) {
      Reading r = readings.get(i);
      double t = r.heightMm() - p[0];
      double value = law.value(p, t);
      double factor = 1 + p[last] * side(t);
      law.slopes(p, t, rows[i]);
      for (int k = 0; k < last; k++) {
        rows[i][k] *= factor / r.error();
      }
      rows[i][last] = value * side(t) / r.error();
      off[i] = (r.value() - value * factor) / r.error();
    }
    RealVector found =
        new QRDecomposition(new Array2DRowRealMatrix(rows, false))
            .getSolver()
            .solve(new ArrayRealVector(off, false));
    return found.toArray();
  }
}
