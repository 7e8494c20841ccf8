package zebrawood.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.measure.Verdict;
import zebrawood.power.CeilingReadings.Sample;

class CeilingTest {
  private static final OptionalDouble NONE = OptionalDouble.empty();

  private static CeilingReadings readings(double capMa, double... dialAndMa) {
    List<Sample> samples = new ArrayList<>();
    for (int i = 0; i < dialAndMa.length; i += 2) {
      samples.add(new Sample(dialAndMa[i], dialAndMa[i + 1]));
    }
    return new CeilingReadings(30, NONE, OptionalDouble.of(capMa), 0.5, samples);
  }

  @Test
  void theDialIsReadOffStraightLines() {
    CeilingFinding f = Ceiling.solve(readings(22, 40, 14, 60, 20, 80, 26));
    // Between 60 and 80 %: a third of the way from 20 to 26 mA.
    assertThat(f.dialPercent().orElseThrow().value()).isCloseTo(60 + 20.0 / 3, within(1e-9));
    // 0.5 / sqrt(12), both ends weighted, over 0.3 mA a percent.
    assertThat(f.dialPercent().orElseThrow().uncertainty())
        .isCloseTo(0.5 / Math.sqrt(12) * Math.hypot(2.0 / 3, 1.0 / 3) / 0.3, within(1e-9));
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(f.softwareFullScaleMa()).isEqualTo(22);
    assertThat(f.highestSampleMa()).isEqualTo(26);
  }

  /** A supply that flattens: what a straight line misses of it between three settings. */
  @Test
  void aBentSupplyIsNotReadAsStraight() {
    Random random = new Random(7);
    int held = 0;
    int trials = 400;
    for (int i = 0; i < trials; i++) {
      double b = 1 + 1.5 * random.nextDouble();
      double first = 10 + 10 * random.nextDouble();
      double[] read = new double[6];
      for (int k = 0; k < 3; k++) {
        double dial = first + 35 * k;
        read[2 * k] = dial;
        read[2 * k + 1] = Math.round(2 * supply(dial, b)) / 2.0;
      }
      double cap = 15 + 5 * random.nextDouble();
      double truth = -100 / b * Math.log(1 - cap / 28 * (1 - Math.exp(-b)));
      var dial = Ceiling.solve(readings(cap, read)).dialPercent().orElseThrow();
      held += Math.abs(dial.value() - truth) <= 2 * dial.uncertainty() ? 1 : 0;
    }
    assertThat(100.0 * held / trials).isBetween(86.0, 99.5);
  }

  private static double supply(double dialPercent, double bend) {
    return 28 * (1 - Math.exp(-bend * dialPercent / 100)) / (1 - Math.exp(-bend));
  }

  @Test
  void readingsThatFallArePooledWithTheirNeighbours() {
    // 18 and 16 become 17 at both places; the ceiling lies between 60 and 80.
    CeilingFinding f = Ceiling.solve(readings(20, 20, 10, 40, 18, 60, 16, 80, 23));
    assertThat(f.dialPercent().orElseThrow().value()).isCloseTo(70, within(1e-9));
    List<Sample> mixed = new ArrayList<>(readings(20, 20, 10, 40, 18, 60, 16, 80, 23).samples());
    Collections.shuffle(mixed, new Random(3));
    assertThat(
            Ceiling.solve(new CeilingReadings(30, NONE, OptionalDouble.of(20), 0.5, mixed))
                .dialPercent()
                .orElseThrow()
                .value())
        .isCloseTo(70, within(1e-9));
  }

  @Test
  void nothingIsSaidBeyondWhatWasRead() {
    CeilingFinding above = Ceiling.solve(readings(27, 40, 12, 60, 20, 80, 26));
    assertThat(above.dialPercent()).isEmpty();
    assertThat(above.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(above.advice(ENGLISH).getFirst()).startsWith("Read the current above 80 %");
    CeilingFinding below = Ceiling.solve(readings(8, 40, 12, 60, 20, 80, 26));
    assertThat(below.dialPercent()).isEmpty();
    assertThat(below.advice(ENGLISH).getFirst()).startsWith("Read the current below 40 %");
  }

  @Test
  void aReadingAboveTheTubesMaximumStops() {
    CeilingFinding f = Ceiling.solve(readings(22, 40, 12, 60, 20, 90, 30.5));
    assertThat(f.verdict()).isEqualTo(Verdict.STOP);
    assertThat(f.advice(ENGLISH).getFirst()).startsWith("Turn the dial down at once");
  }

  @Test
  void oneOfShareAndCurrentIsGiven() {
    List<Sample> samples = readings(20, 40, 12, 60, 20, 80, 26).samples();
    assertThat(
            Ceiling.solve(new CeilingReadings(30, OptionalDouble.of(0.8), NONE, 0.5, samples))
                .capMa())
        .isEqualTo(24);
    assertThatThrownBy(() -> new CeilingReadings(30, NONE, NONE, 0.5, samples))
        .hasMessageContaining("capFraction");
    assertThatThrownBy(() ->
            new CeilingReadings(30, OptionalDouble.of(0.8), OptionalDouble.of(20), 0.5, samples))
        .hasMessageContaining("capFraction");
    assertThatThrownBy(() -> new CeilingReadings(30, NONE, OptionalDouble.of(31), 0.5, samples))
        .hasMessageContaining("capMa");
    assertThatThrownBy(
            () -> new CeilingReadings(30, OptionalDouble.of(0.8), NONE, 0, samples.subList(0, 2)))
        .hasMessageContaining("samples")
        .hasMessageContaining("meterResolutionMa");
  }
}
