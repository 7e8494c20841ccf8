package zebrawood.focus;

import java.util.Optional;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;

/**
 * How wide is a dark line across this profile, at half the depth of its darkening?
 *
 * <p>In: light in equal steps across the line. Fitted is a bar with edges blurred by a Gaussian, on
 * a board whose light changes evenly from side to side: the width at half its depth is then read
 * off the fitted curve, so that grain does not decide where the half is. Neighbouring values of
 * wood are alike; the width's uncertainty counts as many values as are independent of one another,
 * told from the residuals' own likeness.
 *
 * <p>Nothing where the line is too faint to be told from the grain, too wide for the profile, or
 * not near its middle.
 */
final class LineProfile {
  private static final int PARAMETERS = 6;
  private static final int MOST_STEPS = 60;

  /** A line must be this many deviations of the grain deep. */
  private static final double LEAST_DEPTH = 4;

  /** And darken the board by this share. */
  private static final double LEAST_SHARE = 0.04;

  /** A line that fills more of the profile than this leaves too little of the board. */
  private static final double MOST_OF_PROFILE = 0.6;

  /**
   * In steps of the profile, from its middle.
   *
   * @param softness standard deviation of its edges over the width of the bar between them
   */
  record Width(double steps, double uncertaintySteps, double middleSteps, double softness) {}

  private LineProfile() {}

  /**
   * @param light of every step across, NaN where nothing was seen
   * @param mostOff steps that the line's middle may be off the profile's
   */
  static Optional<Width> of(double[] light, double mostOff) {
    int n = light.length;
    double[] at = new double[n];
    double[] value = new double[n];
    int m = 0;
    for (int i = 0; i < n; i++) {
      if (!Double.isNaN(light[i])) {
        at[m] = i - (n - 1) / 2.0;
        value[m++] = light[i];
      }
    }
    if (m < 3 * PARAMETERS) {
      return Optional.empty();
    }
    double[] x = java.util.Arrays.copyOf(at, m);
    double[] y = java.util.Arrays.copyOf(value, m);
    double[] start = start(x, y, mostOff);
    try {
      double[] p =
          new LevenbergMarquardtOptimizer()
              .withCostRelativeTolerance(1e-7)
              .withParameterRelativeTolerance(1e-6)
              .optimize(
                  new LeastSquaresBuilder()
                      .start(start)
                      .target(y)
                      .model(q -> model(x, q))
                      .lazyEvaluation(false)
                      .maxEvaluations(MOST_STEPS)
                      .maxIterations(MOST_STEPS)
                      .build())
              .getPoint()
              .toArray();
      return width(x, y, p, mostOff);
    } catch (MathRuntimeException noEnd) {
      return Optional.empty();
    }
  }

  /** Base, slope, depth, middle, and the logarithms of half the bar and of the blur. */
  private static double[] start(double[] x, double[] y, double mostOff) {
    double[] sorted = y.clone();
    java.util.Arrays.sort(sorted);
    double base = sorted[(int) (0.7 * (sorted.length - 1))];
    double darkest = base;
    double middle = 0;
    for (int i = 1; i + 1 < x.length; i++) {
      double smooth = (y[i - 1] + y[i] + y[i + 1]) / 3;
      if (Math.abs(x[i]) <= mostOff && smooth < darkest) {
        darkest = smooth;
        middle = x[i];
      }
    }
    double half = (base + darkest) / 2;
    int dark = 0;
    for (int i = 0; i < x.length; i++) {
      dark += y[i] < half && Math.abs(x[i] - middle) < 3 * mostOff + 4 ? 1 : 0;
    }
    double halfBar = Math.max(0.8, dark / 2.0);
    return new double[] {
      base, 0, Math.max(1, base - darkest), middle, Math.log(halfBar), Math.log(halfBar * 0.5)
    };
  }

  private static Pair<RealVector, RealMatrix> model(double[] x, RealVector at) {
    double[] p = at.toArray();
    double half = Math.exp(Math.clamp(p[4], -5, 8));
    double blur = Math.exp(Math.clamp(p[5], -5, 8));
    double[] values = new double[x.length];
    double[][] rows = new double[x.length][];
    double peak = 2 * phi(half / blur) - 1;
    double peakSlope = 2 * density(half / blur);
    for (int i = 0; i < x.length; i++) {
      double right = (x[i] - p[3] + half) / blur;
      double left = (x[i] - p[3] - half) / blur;
      double bar = phi(right) - phi(left);
      double dRight = density(right);
      double dLeft = density(left);
      double shape = bar / peak;
      values[i] = p[0] + p[1] * x[i] - p[2] * shape;
      double byMiddle = -(dRight - dLeft) / blur / peak;
      double byHalf = ((dRight + dLeft) / blur - shape * peakSlope / blur) / peak;
      double byBlur =
          (-(dRight * right - dLeft * left) / blur + shape * peakSlope * half / (blur * blur))
              / peak;
      rows[i] =
          new double[] {
            1, x[i], -shape, -p[2] * byMiddle, -p[2] * byHalf * half, -p[2] * byBlur * blur
          };
    }
    return new Pair<>(new ArrayRealVector(values, false), new Array2DRowRealMatrix(rows, false));
  }

  private static Optional<Width> width(double[] x, double[] y, double[] p, double mostOff) {
    double half = Math.exp(Math.clamp(p[4], -5, 8));
    double blur = Math.exp(Math.clamp(p[5], -5, 8));
    double across = fullWidth(half, blur);
    var fitted = model(x, new ArrayRealVector(p));
    double[] off = fitted.getFirst().toArray();
    double sum = 0;
    for (int i = 0; i < off.length; i++) {
      off[i] = y[i] - off[i];
      sum += off[i] * off[i];
    }
    double variance = sum / (x.length - PARAMETERS);
    double likeness = likeness(off, sum);
    double noise = Math.sqrt(variance);
    double board = p[0] + p[1] * p[3];
    double span = x[x.length - 1] - x[0];
    boolean told =
        p[2] > LEAST_DEPTH * noise
            && p[2] > LEAST_SHARE * board
            && board - p[2] > -0.5 * board
            && Math.abs(p[3]) <= mostOff
            && across < MOST_OF_PROFILE * span;
    if (!told) {
      return Optional.empty();
    }
    RealMatrix jacobian = fitted.getSecond();
    RealMatrix normal = jacobian.transposeMultiply(jacobian);
    // A bar narrower than its blur leaves the two undetermined, not the width.
    double ridge = 1e-6 * normal.getTrace() / PARAMETERS;
    for (int k = 4; k < PARAMETERS; k++) {
      normal.addToEntry(k, k, Math.min(ridge, 1e-3 * normal.getEntry(k, k)) + 1e-12);
    }
    RealMatrix covariance = MatrixUtils.inverse(normal);
    double step = 1e-4;
    double byHalf =
        (fullWidth(half * Math.exp(step), blur) - fullWidth(half * Math.exp(-step), blur))
            / (2 * step);
    double byBlur =
        (fullWidth(half, blur * Math.exp(step)) - fullWidth(half, blur * Math.exp(-step)))
            / (2 * step);
    double widthVariance =
        byHalf * byHalf * covariance.getEntry(4, 4)
            + 2 * byHalf * byBlur * covariance.getEntry(4, 5)
            + byBlur * byBlur * covariance.getEntry(5, 5);
    return Optional.of(
        new Width(
            across,
            Math.sqrt(Math.max(0, widthVariance * variance * likeness)),
            p[3],
            blur / (2 * half)));
  }

  /** By how much the variance of a mean is larger than of as many independent values. */
  static double likeness(double[] off, double sum) {
    double factor = 1;
    for (int lag = 1; lag < Math.min(40, off.length / 4); lag++) {
      double like = 0;
      for (int i = 0; i + lag < off.length; i++) {
        like += off[i] * off[i + lag];
      }
      if (like <= 0) {
        break;
      }
      factor += 2 * like / sum;
    }
    return factor;
  }

  /** Between the places where the blurred bar is half as deep as in its middle. */
  static double fullWidth(double half, double blur) {
    double wanted = 0.5 * (2 * phi(half / blur) - 1);
    double low = 0;
    double high = half + 6 * blur;
    for (int i = 0; i < 60; i++) {
      double middle = (low + high) / 2;
      double depth = phi((middle + half) / blur) - phi((middle - half) / blur);
      if (depth > wanted) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low + high;
  }

  private static double density(double z) {
    return Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI);
  }

  /**
   * Normal distribution function to 1e-7: Abramowitz and Stegun, Handbook of Mathematical
   * Functions, 7.1.26, many times faster than one to the last place.
   */
  private static double phi(double z) {
    double u = Math.abs(z) / Math.sqrt(2);
    if (u > 5) {
      return z > 0 ? 1 : 0;
    }
    double t = 1 / (1 + 0.3275911 * u);
    double tail =
        t
            * (0.254829592
                + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))))
            * Math.exp(-u * u)
            / 2;
    return z > 0 ? 1 - tail : tail;
  }
}
