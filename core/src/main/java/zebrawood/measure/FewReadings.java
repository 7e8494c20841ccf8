package zebrawood.measure;

import org.hipparchus.special.Erf;

/**
 * How much larger is the deviation of a fitted figure when few readings tell how large their own
 * error is?
 *
 * <p>The error of a reading is taken for the one that its instrument has, or for any larger one:
 * that is four times as likely, and the density falls with the square of the error. The readings'
 * misfit then tells which (Bayes' rule), and the figure's deviation is such that two of it hold
 * what two of a normal distribution hold, 95.4 %. With many readings that fit this is 1, with many
 * that do not it is the square root of chi-square over the degrees of freedom, with few that do not
 * it is Student's t in place of a normal deviation. Source: Gelman and others, Bayesian Data
 * Analysis, 3rd ed., chapters 2 and 3 (normal data with unknown variance).
 */
public final class FewReadings {
  private static final double HELD = Erf.erf(Math.sqrt(2));

  /** How much likelier an error is that is larger than the instrument's. */
  private static final double LARGER = 4;

  private static final int STEPS = 150;

  /** Errors of so many times the instrument's are not looked at. */
  private static final double LARGEST_RATIO = 1e3;

  /** From here on the two ways come to the same, to a hundredth. */
  private static final int MANY = 200;

  private FewReadings() {}

  /**
   * @param chiSquare of the fit, with the instrument's own error
   * @param degreesOfFreedom readings less fitted figures; with none nothing tells the error
   * @return the factor on the deviation that the instrument's error gives, at least nearly 1
   */
  public static double factor(double chiSquare, int degreesOfFreedom) {
    if (degreesOfFreedom < 1) {
      return 1;
    }
    double plain = Math.sqrt(Math.max(1, chiSquare / degreesOfFreedom));
    if (degreesOfFreedom > MANY || plain > LARGEST_RATIO / 10) {
      return plain;
    }
    // Weights of ratios of the error to the instrument's, evenly spaced by their logarithm.
    double[] ratios = new double[STEPS + 1];
    double[] weights = new double[STEPS + 1];
    double step = Math.log(LARGEST_RATIO) / STEPS;
    double most = Double.NEGATIVE_INFINITY;
    double[] logs = new double[STEPS + 1];
    for (int i = 0; i <= STEPS; i++) {
      double log = i * step;
      ratios[i] = Math.exp(log);
      logs[i] =
          -degreesOfFreedom * log
              - chiSquare / (2 * ratios[i] * ratios[i])
              - log
              + Math.log(LARGER * step);
      most = Math.max(most, logs[i]);
    }
    double own = -chiSquare / 2;
    most = Math.max(most, own);
    double sum = 0;
    for (int i = 0; i <= STEPS; i++) {
      weights[i] = Math.exp(logs[i] - most) * (i == 0 || i == STEPS ? 0.5 : 1);
      sum += weights[i];
    }
    double asStated = Math.exp(own - most);
    weights[0] += asStated;
    sum += asStated;
    double low = 0.5;
    double high = 20 * plain + 20;
    for (int i = 0; i < 26; i++) {
      double middle = (low + high) / 2;
      double held = 0;
      for (int k = 0; k <= STEPS; k++) {
        held += weights[k] * Erf.erf(2 * middle / ratios[k] / Math.sqrt(2));
      }
      if (held / sum < HELD) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return (low + high) / 2;
  }
}
