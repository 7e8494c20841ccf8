package zebrawood.rotary;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.rotary.RotaryReadings.Kind;

class CrownTest {
  /**
   * A work is let down between two rollers until it touches one: shares nothing with the formula.
   */
  private static double restsAt(double rollerMm, double apartMm, double diameterMm) {
    double low = 0;
    double high = 1000;
    for (int i = 0; i < 200; i++) {
      double axis = (low + high) / 2;
      boolean touches = Math.hypot(apartMm / 2, axis) < (rollerMm + diameterMm) / 2;
      if (touches) {
        low = axis;
      } else {
        high = axis;
      }
    }
    return high + diameterMm / 2;
  }

  @Test
  void aWorkOnRollersStandsWhereItTouchesThem() {
    Random random = new Random(4);
    for (int i = 0; i < 500; i++) {
      double roller = 20 + 30 * random.nextDouble();
      double apart = roller + 5 + 30 * random.nextDouble();
      double before = apart - roller + 3 + 80 * random.nextDouble();
      double now = apart - roller + 3 + 80 * random.nextDouble();
      assertThat(
              Crown.riseMm(
                      Kind.ROLLERS,
                      OptionalDouble.of(roller),
                      OptionalDouble.of(apart),
                      before,
                      now)
                  .orElseThrow())
          .isEqualTo(restsAt(roller, apart, now) - restsAt(roller, apart, before), within(1e-6));
    }
  }

  @Test
  void whatIsNotKnownIsNotSaid() {
    OptionalDouble none = OptionalDouble.empty();
    assertThat(Crown.riseMm(Kind.ROLLERS, OptionalDouble.of(30), none, 60, 70)).isEmpty();
    assertThat(Crown.riseMm(Kind.ROLLERS, none, OptionalDouble.of(40), 60, 70)).isEmpty();
    // The thinner one falls through.
    assertThat(Crown.riseMm(Kind.ROLLERS, OptionalDouble.of(20), OptionalDouble.of(60), 30, 70))
        .isEmpty();
  }
}
