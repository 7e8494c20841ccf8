package zebrawood.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import zebrawood.power.Ageing.Reading;
import zebrawood.power.Ageing.Trend;

class AgeingTest {
  private static List<Reading> falling(double perHour, double... off) {
    List<Reading> readings = new ArrayList<>();
    for (int i = 0; i < off.length; i++) {
      readings.add(new Reading(200 * i, 90 - perHour * 200 * i + off[i]));
    }
    return readings;
  }

  @Test
  void aStraightFallReachesItsLimitWhereALineDoes() {
    Trend trend =
        Ageing.of(falling(0.005, 0.1, -0.1, 0.1, -0.1, 0.1, -0.1, 0.1, -0.1), 72).orElseThrow();
    assertThat(trend.fallPer1000()).isCloseTo(5 / 90.0, within(0.002));
    // 18 W at 5 mW an hour are 3600 h; by equal shares it takes longer.
    assertThat(trend.at().getAsDouble()).isBetween(3500.0, 4200.0);
    assertThat(trend.from().getAsDouble()).isLessThan(trend.at().getAsDouble());
    assertThat(trend.until().getAsDouble()).isGreaterThan(trend.at().getAsDouble());
    assertThat(trend.leftOut()).isEmpty();
  }

  @Test
  void aBadReadingIsLeftOut() {
    double[] off = {0.3, -0.2, 0.1, -25, -0.3, 0.2, 0.1, -0.1};
    Trend with = Ageing.of(falling(0.005, off), 72).orElseThrow();
    assertThat(with.leftOut()).containsExactly(3);
    List<Reading> rest = new ArrayList<>(falling(0.005, off));
    rest.remove(3);
    Trend without = Ageing.of(rest, 72).orElseThrow();
    assertThat(with.at().getAsDouble()).isCloseTo(without.at().getAsDouble(), within(1.0));
  }

  @Test
  void whatDoesNotFallHasNoDate() {
    Trend trend = Ageing.of(falling(0, 0.5, -0.5, 0.4, -0.4, 0.5, -0.5), 72).orElseThrow();
    assertThat(trend.until()).isEmpty();
    assertThat(Ageing.of(falling(0.005, 0, 0, 0), 72)).as("three readings").isEmpty();
  }

  @Test
  void whatIsBelowItAlreadyCrossesNow() {
    Trend trend = Ageing.of(falling(0.02, 0.1, -0.1, 0.1, -0.1, 0.1, -0.1), 85).orElseThrow();
    assertThat(trend.from().getAsDouble()).isEqualTo(1000);
    assertThat(trend.until().getAsDouble()).isEqualTo(1000);
  }
}
