package zebrawood.mirrors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.Said;
import zebrawood.measure.Verdict;

class RedDotTest {
  private static RedDot.Finding read(
      double right, double rear, double lowRight, double lowRear, double step) {
    return RedDot.solve(new RedDot.Readings(right, rear, lowRight, lowRear, 40, 0.5, step));
  }

  @Test
  void anOffsetIsMovedAwayAndASlantTiesAimingToTheHeight() {
    RedDot.Finding f = read(-3, 4, -1, 4, 0.1);
    assertThat(f.offsetMm().value()).isCloseTo(5, within(1e-12));
    assertThat(f.slopeMmPerMm().value()).isCloseTo(2 / 40.0, within(1e-12));
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(Said.by(f.advice()))
        .containsExactly(
            "Move the red pointer 3 mm left and 4 mm to the rear at the height of the work, or give the job software that offset.",
            "Aim at the height of the work only: the burn leaves the dot by 0.5 mm for every 10 mm of height.");
  }

  @Test
  void aDotThatStaysWithTheBurnIsLeftAlone() {
    RedDot.Finding f = read(0.2, 0.1, 0.2, 0.1, 0.1);
    assertThat(f.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(Said.by(f.advice())).isEmpty();
    assertThat(Said.by(read(0, 0, 0, 0, 1).advice()))
        .as("a rule coarser than the limit decides nothing")
        .containsExactly(
            "Read the dot and the burn more finely: the rule is coarser than the limit.");
  }

  @Test
  void theSlopesUncertaintyIsHonest() {
    Random random = new Random(9);
    int inside = 0;
    int all = 5000;
    for (int i = 0; i < all; i++) {
      double high = 8 * random.nextDouble() + 1;
      double low = high + 4 * random.nextDouble();
      RedDot.Finding f = read(Math.round(2 * high) / 2.0, 0, Math.round(2 * low) / 2.0, 0, 0.5);
      inside +=
          Math.abs(f.slopeMmPerMm().value() - (low - high) / 40)
                  <= 2 * f.slopeMmPerMm().uncertainty()
              ? 1
              : 0;
    }
    assertThat(inside / (double) all).isBetween(0.94, 0.99);
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThatThrownBy(() -> new RedDot.Readings(0, 0, 0, 0, 0, 0, 0.5))
        .hasMessageContaining("loweredMm is 0")
        .hasMessageContaining("limitMm is 0");
  }
}
