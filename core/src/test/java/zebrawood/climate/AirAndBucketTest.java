package zebrawood.climate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zebrawood.measure.Verdict;

class AirAndBucketTest {
  /** Saturation pressure over water after Buck (1981), another fit than the one under test. */
  private static double buckHPa(double celsius) {
    return 6.1121 * Math.exp((18.678 - celsius / 234.5) * celsius / (257.14 + celsius));
  }

  @Test
  void theDewPointAgreesWithAnotherVapourPressureFormula() {
    for (double t = 0; t <= 45; t += 3) {
      for (double rh = 10; rh <= 100; rh += 10) {
        double wanted = rh / 100 * buckHPa(t);
        double low = -60;
        double high = t + 1;
        for (int i = 0; i < 80; i++) {
          double middle = (low + high) / 2;
          if (buckHPa(middle) < wanted) {
            low = middle;
          } else {
            high = middle;
          }
        }
        assertThat(Air.dewPointC(t, rh)).as("%s C %s %%", t, rh).isCloseTo(low, within(0.35));
      }
    }
  }

  /** From psychrometric tables, to half a degree. */
  @ParameterizedTest
  @CsvSource({"20,50,9.3", "25,60,16.7", "30,80,26.2", "22,45,9.5", "35,40,19.4", "18,100,18"})
  void theDewPointAgreesWithTables(double temperature, double humidity, double dewPoint) {
    assertThat(Air.dewPointC(temperature, humidity)).isCloseTo(dewPoint, within(0.3));
  }

  @Test
  void waterOnTheOpticsStopsAndALittleMarginWarns() {
    assertThat(Air.judge(Air.solve(new Air.Readings(25, 60, 15))).verdict())
        .isEqualTo(Verdict.STOP);
    assertThat(Air.judge(Air.solve(new Air.Readings(25, 60, 17.5))).verdict())
        .isEqualTo(Verdict.ADJUST);
    assertThat(Air.judge(Air.solve(new Air.Readings(25, 60, 20))).verdict())
        .isEqualTo(Verdict.WITHIN);
    assertThat(Air.solve(new Air.Readings(25, 5, 20)).dewPointC()).isFinite();
  }

  @Test
  void humidityEndsAtAHundred() {
    assertThatThrownBy(() -> new Air.Readings(25, 101, Double.NaN))
        .hasMessageContaining(
            "relativeHumidityPercent is 101, accepted is a number from 0.1 to 100")
        .hasMessageContaining("coolantC is not a number");
  }

  /** Small steps in time, heat in and out. */
  private static double minutesBySteps(Bucket.Readings r) {
    double t = r.startC();
    double dt = 0.5;
    for (double seconds = 0; seconds < 400_000; seconds += dt) {
      if (t >= r.limitC()) {
        return seconds / 60;
      }
      t += dt * (r.heatW() - r.lossWPerK() * (t - r.airC())) / (r.litres() * 4186);
    }
    return Double.POSITIVE_INFINITY;
  }

  @Test
  void minutesAgreeWithSmallStepsInTime() {
    Random random = new Random(4);
    for (int i = 0; i < 60; i++) {
      Bucket.Readings r =
          new Bucket.Readings(
              5 + 30 * random.nextDouble(),
              15 + 8 * random.nextDouble(),
              25 + 3 * random.nextDouble(),
              15 + 12 * random.nextDouble(),
              100 + 600 * random.nextDouble(),
              2 + 10 * random.nextDouble());
      double steady = r.airC() + r.heatW() / r.lossWPerK();
      if (Math.abs(steady - r.limitC()) > 0.5) {
        double stepped = minutesBySteps(r);
        assertThat(Bucket.solve(r).minutesToLimit().orElse(Double.POSITIVE_INFINITY))
            .isCloseTo(stepped, within(0.02 + 0.002 * Math.min(stepped, 1e6)));
      }
    }
  }

  @Test
  void theEndsOfTheBucket() {
    assertThat(Bucket.solve(new Bucket.Readings(20, 30, 28, 20, 300, 5)).minutesToLimit())
        .as("above the limit at the start")
        .hasValue(0);
    assertThat(Bucket.solve(new Bucket.Readings(20, 20, 28, 20, 30, 5)).minutesToLimit())
        .as("comes to rest below it")
        .isEmpty();
    Bucket.Finding tight = Bucket.solve(new Bucket.Readings(20, 20, 28, 20, 300, 0));
    assertThat(tight.steadyC()).isEmpty();
    assertThat(tight.minutesToLimit().orElseThrow())
        .isCloseTo(20 * 4186 * 8 / 300.0 / 60, within(1e-9));
    Bucket.Readings cooling = new Bucket.Readings(20, 20, 28, 18, 300, 6);
    assertThat(Bucket.minutesToCool(cooling, 20).orElseThrow()).isPositive();
    assertThat(Bucket.minutesToCool(cooling, 17)).isEmpty();
  }
}
