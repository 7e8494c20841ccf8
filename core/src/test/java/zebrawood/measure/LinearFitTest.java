package zebrawood.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Random;
import org.junit.jupiter.api.Test;

class LinearFitTest {
  /** A straight line by the sums of a textbook, in 60 digits. */
  private static double[] lineBySums(double[] x, double[] y) {
    MathContext digits = new MathContext(60);
    BigDecimal n = BigDecimal.valueOf(x.length);
    BigDecimal sx = BigDecimal.ZERO;
    BigDecimal sy = BigDecimal.ZERO;
    BigDecimal sxx = BigDecimal.ZERO;
    BigDecimal sxy = BigDecimal.ZERO;
    for (int i = 0; i < x.length; i++) {
      BigDecimal bx = new BigDecimal(x[i]);
      BigDecimal by = new BigDecimal(y[i]);
      sx = sx.add(bx);
      sy = sy.add(by);
      sxx = sxx.add(bx.multiply(bx));
      sxy = sxy.add(bx.multiply(by));
    }
    BigDecimal slope =
        n.multiply(sxy)
            .subtract(sx.multiply(sy))
            .divide(n.multiply(sxx).subtract(sx.multiply(sx)), digits);
    BigDecimal start = sy.subtract(slope.multiply(sx)).divide(n, digits);
    return new double[] {start.doubleValue(), slope.doubleValue()};
  }

  @Test
  void agreesWithExactArithmetic() {
    Random random = new Random(3);
    for (int trial = 0; trial < 200; trial++) {
      int n = 3 + random.nextInt(20);
      double[] x = random.doubles(n, -500, 500).toArray();
      double[] y = random.doubles(n, -10, 10).toArray();
      double[][] design = new double[n][];
      for (int i = 0; i < n; i++) {
        design[i] = new double[] {1, x[i]};
      }
      LinearFit fit = LinearFit.of(design, y, 0.1);
      double[] exact = lineBySums(x, y);
      assertThat(fit.coefficient(0)).isCloseTo(exact[0], within(1e-9));
      assertThat(fit.coefficient(1)).isCloseTo(exact[1], within(1e-11));
    }
  }

  @Test
  void countsDegreesOfFreedomAsReadingsLessCoefficients() {
    LinearFit fit =
        LinearFit.of(new double[][] {{1, 0}, {1, 1}, {1, 2}, {1, 3}}, new double[] {0, 1, 2, 3}, 1);
    assertThat(fit.degreesOfFreedom()).isEqualTo(2);
    assertThat(fit.chiSquare()).isCloseTo(0, within(1e-20));
  }

  @Test
  void knowsTheMeanOfFourReadingsToHalfAReading() {
    double[][] ones = {{1}, {1}, {1}, {1}};
    LinearFit alike = LinearFit.of(ones, new double[] {5, 5, 5, 5}, 0.2);
    assertThat(alike.estimate(0).uncertainty()).isCloseTo(0.1, within(1e-12));
  }

  @Test
  void enlargesTheUncertaintyWhenTheMisfitIsWorseThanTheInstrument() {
    double[][] ones = {{1}, {1}, {1}, {1}};
    LinearFit spread = LinearFit.of(ones, new double[] {4, 6, 4, 6}, 0.2);
    // chi-square 4 / 0.04 = 100 over 3 degrees of freedom
    assertThat(spread.chiSquare()).isCloseTo(100, within(1e-9));
    assertThat(spread.estimate(0).uncertainty())
        .isCloseTo(0.1 * Math.sqrt(100.0 / 3), within(1e-9));
  }

  @Test
  void carriesTheCovarianceIntoCombinations() {
    double[][] design = {{1, -1}, {1, 0}, {1, 1}};
    LinearFit fit = LinearFit.of(design, new double[] {1, 2, 3}, 1);
    // at x = 2: variance 1/3 + 4/2
    assertThat(fit.combination(1, 2).value()).isCloseTo(4, within(1e-12));
    assertThat(fit.combination(1, 2).uncertainty())
        .isCloseTo(Math.sqrt(1.0 / 3 + 2), within(1e-12));
  }

  @Test
  void refusesFewerReadingsThanCoefficients() {
    assertThatThrownBy(() -> LinearFit.of(new double[][] {{1, 2}}, new double[] {1}, 1))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
