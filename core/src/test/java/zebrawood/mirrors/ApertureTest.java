package zebrawood.mirrors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;

class ApertureTest {
  @Test
  void aCentredBeamLosesWhatTheTextbookSays() {
    for (double opening : new double[] {2, 6, 10, 20}) {
      assertThat(Aperture.lostShare(opening, 7, 0))
          .isCloseTo(Math.exp(-2 * opening * opening / 49), within(1e-6));
    }
  }

  /** Rays drawn from the beam and counted behind the opening. */
  @Test
  void aBeamOffTheMiddleAgreesWithCountedRays() {
    Random random = new Random(5);
    for (double off : new double[] {1, 3, 6}) {
      int through = 0;
      int all = 400_000;
      double sigma = 7.0 / 4;
      for (int i = 0; i < all; i++) {
        double x = off + sigma * random.nextGaussian();
        double y = sigma * random.nextGaussian();
        if (x * x + y * y < 36) {
          through++;
        }
      }
      assertThat(1 - Aperture.lostShare(12, 7, off))
          .isCloseTo(through / (double) all, within(0.003));
    }
    assertThatThrownBy(() -> Aperture.lostShare(0, 7, Double.NaN))
        .hasMessageContaining("openingMm is 0")
        .hasMessageContaining("offMm is not a number");
  }
}
