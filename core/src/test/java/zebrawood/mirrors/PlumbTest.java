package zebrawood.mirrors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.Said;
import zebrawood.measure.Verdict;

class PlumbTest {
  private static final double TO_HIGH_MM = 60;
  private static final double LOWERED_MM = 100;

  private static Plumb.Readings read(
      double highRight, double highRear, double lowRight, double lowRear, double step) {
    return new Plumb.Readings(
        highRight, highRear, lowRight, lowRear, LOWERED_MM, TO_HIGH_MM, 10, 0.1, step);
  }

  /** A straight line from the mirror, that leans this much on its way down. */
  private static Plumb.Readings line(double rightMrad, double rearMrad, double step) {
    double high = TO_HIGH_MM / 1000;
    double low = (TO_HIGH_MM + LOWERED_MM) / 1000;
    return read(high * rightMrad, high * rearMrad, low * rightMrad, low * rearMrad, step);
  }

  @Test
  void aLineThatLeansIsFoundAndTheAdviceMakesItUpright() {
    Plumb.Finding f = Plumb.solve(line(20, -15, 0.1));
    assertThat(f.rightMrad().value()).isCloseTo(20, within(1e-9));
    assertThat(f.rearMrad().value()).isCloseTo(-15, within(1e-9));
    assertThat(f.edgeLeanMm().value()).as("25 mrad over 10 mm").isCloseTo(0.25, within(1e-9));
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    // Upright, the low mark lies below the mirror: from 160 mm x 20 mrad, and from -15 mrad.
    assertThat(Said.by(f.advice()))
        .containsExactly(
            "Tip the mirror on the head until the low mark has moved 3.2 mm left and 2.4 mm to the rear: the edge leans 0.25 ± 0.00 mm over 10 mm.");
  }

  @Test
  void nearTheLimitItAsksForMoreHeightAndSaysHowMuch() {
    Plumb.Finding near = Plumb.solve(line(8, 0, 0.5));
    assertThat(near.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(Said.by(near.advice()).getFirst()).startsWith("Lower the work further");
    double needed =
        Double.parseDouble(Said.by(near.advice()).getFirst().replaceAll(".*: (\\d+) mm.*", "$1"));
    Plumb.Finding decided =
        Plumb.solve(
            new Plumb.Readings(0, 0, needed * 8 / 1000, 0, needed, TO_HIGH_MM, 10, 0.1, 0.5));
    assertThat(decided.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(Said.by(Plumb.solve(line(9.99, 0, 0.5)).advice()).getFirst())
        .startsWith("Read both marks more finely");
    assertThat(Plumb.solve(line(1, 1, 0.1)).verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(Said.by(Plumb.solve(line(1, 1, 0.1)).advice())).isEmpty();
  }

  /** Marks anywhere between the lines of the rule. */
  @Test
  void theTruthLiesWithinTwoUncertainties() {
    Random random = new Random(4);
    double step = 0.5;
    int inside = 0;
    int all = 5000;
    for (int i = 0; i < all; i++) {
      double[] at = random.doubles(4, -10, 10).toArray();
      Plumb.Finding f =
          Plumb.solve(
              read(
                  Math.round(at[0] / step) * step,
                  Math.round(at[1] / step) * step,
                  Math.round(at[2] / step) * step,
                  Math.round(at[3] / step) * step,
                  step));
      double right = 1000 * (at[2] - at[0]) / LOWERED_MM;
      double rear = 1000 * (at[3] - at[1]) / LOWERED_MM;
      inside += Math.abs(f.rightMrad().value() - right) <= 2 * f.rightMrad().uncertainty() ? 1 : 0;
      inside += Math.abs(f.rearMrad().value() - rear) <= 2 * f.rearMrad().uncertainty() ? 1 : 0;
    }
    // The difference of two evenly spread errors has a triangular share: 96.6 % within two.
    assertThat(inside / (2.0 * all)).isBetween(0.95, 0.98);
  }

  @Test
  void whatIsNoHeightIsRefused() {
    assertThatThrownBy(() -> new Plumb.Readings(0, 300, 0, 0, 0, TO_HIGH_MM, 10, 0.1, 0.5))
        .hasMessageContaining("highRearMm is 300")
        .hasMessageContaining("loweredMm is 0");
  }
}
