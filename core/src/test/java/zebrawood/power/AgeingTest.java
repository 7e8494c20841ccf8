package zebrawood.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
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

  /** Read again within the hour, long after all others. */
  @Test
  void twoReadingsAtOnceAfterALongGapAreWorkedOut() {
    List<Reading> readings = new ArrayList<>();
    for (int i = 0; i < 7; i++) {
      readings.add(new Reading(i, 90 + (i % 2 == 0 ? 0.2 : -0.2)));
    }
    readings.add(new Reading(6000, 80));
    readings.add(new Reading(6000.1, 80.2));
    readings.add(new Reading(6000.1, 79.9));
    Trend trend = Ageing.of(readings, 72).orElseThrow();
    assertThat(trend.now().orElseThrow().value()).isCloseTo(80, within(1.0));
    assertThat(trend.from().getAsDouble()).isFinite();
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

  /** Twelve readings of 2 % over the first share of a life of 8000 hours, by a law of wear. */
  private static List<Reading> worn(
      DoubleUnaryOperator law, double watched, double jump, boolean told, Random random) {
    List<Reading> readings = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      double share = watched * i / 11;
      double scale = i >= 6 ? 1 + jump : 1;
      readings.add(
          new Reading(
              8000 * share,
              60
                  * scale
                  * (1 - 0.2 * law.applyAsDouble(share))
                  * (1 + 0.02 * random.nextGaussian()),
              told && i >= 6 ? 1 : 0));
    }
    return readings;
  }

  @Test
  void eightInTenAreEightInTenHoweverATubeWears() {
    List<DoubleUnaryOperator> laws =
        List.of(
            t -> t,
            t -> Math.pow(t, 1.5),
            t -> t * t,
            Math::sqrt,
            t -> (1 - Math.exp(-t)) / (1 - Math.exp(-1)),
            t -> t < 0.5 ? 0.4 * t : 0.2 + 1.6 * (t - 0.5));
    Random random = new Random(9);
    for (int k = 0; k < laws.size(); k++) {
      int held = 0;
      for (int i = 0; i < 60; i++) {
        Trend trend = Ageing.of(worn(laws.get(k), 0.8, 0, false, random), 48).orElseThrow();
        held +=
            trend.from().orElse(Double.MAX_VALUE) <= 8000
                    && trend.until().orElse(Double.MAX_VALUE) >= 8000
                ? 1
                : 0;
      }
      assertThat(held / 60.0).as("law %s", k).isBetween(0.64, 1.0);
    }
  }

  @Test
  void anotherMeterLeavesBothOpenAndIsAskedFor() {
    Random random = new Random(10);
    int held = 0;
    int told = 0;
    for (int i = 0; i < 40; i++) {
      Trend trend = Ageing.of(worn(t -> t, 0.7, -0.12, false, random), 48).orElseThrow();
      held += trend.until().orElse(Double.MAX_VALUE) >= 8000 ? 1 : 0;
      told += trend.step().filter(s -> s.share() < -0.05 && s.share() > -0.2).isPresent() ? 1 : 0;
    }
    assertThat(held).isGreaterThan(30);
    assertThat(told).isGreaterThan(18);
  }

  /** Five percent are too few to be seen as a jump, and enough to be taken for wear. */
  @Test
  void anotherMeterThatWasToldIsNoWear() {
    Random random = new Random(11);
    int held = 0;
    for (int i = 0; i < 100; i++) {
      Trend trend = Ageing.of(worn(t -> t, 0.8, -0.05, true, random), 48).orElseThrow();
      held +=
          trend.from().orElse(Double.MAX_VALUE) <= 8000
                  && trend.until().orElse(Double.MAX_VALUE) >= 8000
              ? 1
              : 0;
      assertThat(trend.step()).isEmpty();
    }
    assertThat(held).isBetween(68, 97);
  }

  /** Each with the other meter, and one reading alone, which tells nothing of wear. */
  @Test
  void aMeterWithOneReadingTellsOnlyItsScale() {
    List<Reading> readings = new ArrayList<>(falling(0.005, 0.1, -0.1, 0.1, -0.1, 0.1, -0.1));
    Trend before = Ageing.of(readings, 72).orElseThrow();
    readings.add(new Reading(1100, 60, 1));
    Trend after = Ageing.of(readings, 72).orElseThrow();
    assertThat(after.leftOut()).isEmpty();
    assertThat(after.now().orElseThrow().value())
        .isCloseTo(before.now().orElseThrow().value(), within(1.0));
    assertThat(
            Ageing.of(
                List.of(
                    new Reading(0, 60, 0),
                    new Reading(1, 60, 1),
                    new Reading(2, 60, 2),
                    new Reading(3, 60, 3)),
                50))
        .as("a meter for each")
        .isEmpty();
  }
}
