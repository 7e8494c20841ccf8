package zebrawood.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;

class FewReadingsTest {
  @Test
  void manyReadingsThatFitNeedNoMore() {
    assertThat(FewReadings.factor(100, 100)).isCloseTo(1, within(0.02));
    assertThat(FewReadings.factor(400, 100)).isCloseTo(2, within(0.05));
    assertThat(FewReadings.factor(900, 300)).isCloseTo(Math.sqrt(3), within(1e-9));
    assertThat(FewReadings.factor(0, 0)).isEqualTo(1);
  }

  @Test
  void aMisfitFarAboveTheInstrumentIsStudents() {
    // Student's t at 97.7 % over 2, with one more degree of freedom for the density of errors.
    assertThat(FewReadings.factor(3 * 1e4, 3) / 100).isBetween(1.2, 1.7);
    assertThat(FewReadings.factor(8 * 1e4, 8) / 100).isBetween(1.05, 1.25);
  }

  /** A mean of few readings whose scatter is what was stated, or several times of it. */
  @Test
  void twoOfItHoldAMeanOfFewReadings() {
    Random random = new Random(4);
    for (double true1 : new double[] {1, 3.5}) {
      for (int n : new int[] {3, 5, 9}) {
        int held = 0;
        int trials = 800;
        for (int i = 0; i < trials; i++) {
          double[] read = random.doubles(n).map(d -> true1 * random.nextGaussian()).toArray();
          double mean = java.util.Arrays.stream(read).average().orElseThrow();
          double square = java.util.Arrays.stream(read).map(d -> (d - mean) * (d - mean)).sum();
          double u = FewReadings.factor(square, n - 1) / Math.sqrt(n);
          held += Math.abs(mean) <= 2 * u ? 1 : 0;
        }
        assertThat(100.0 * held / trials).as("%s, %s", true1, n).isBetween(88.0, 99.99);
      }
    }
  }
}
