package zebrawood.cards;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.cards.PulseReadings.Setting;
import zebrawood.cards.PulseReadings.Source;
import zebrawood.cards.PulseReadings.Wobble;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;

class PulsesTest {
  private static final Source SOURCE =
      new Source(20, 20, 200, Optional.of(List.of(4.0, 50.0, 200.0)), OptionalDouble.of(1.0));

  private static PulseReadings at(double khz, double ns, double percent, Optional<Wobble> wobble) {
    return new PulseReadings(
        SOURCE, 0.05, new Setting(percent, 1000, khz, OptionalDouble.of(ns), 0.03, wobble, 2));
  }

  @Test
  void aPulseIsWorkedOutByHand() {
    PulseFinding f = Pulses.solve(at(50, 200, 50, Optional.empty()));
    assertThat(f.pulseMj()).isCloseTo(0.2, within(1e-12));
    assertThat(f.peakKw().orElseThrow()).isCloseTo(1, within(1e-12));
    assertThat(f.pulsePitchMm()).isCloseTo(0.02, within(1e-12));
    assertThat(f.overlap()).isCloseTo(0.6, within(1e-12));
    assertThat(f.hatchOverlap()).isCloseTo(0.4, within(1e-12));
    // 0.2 mJ in a spot of 25 um radius: 2 * 2e-4 J / (pi * 6.25e-6 cm2).
    assertThat(f.fluenceJCm2()).isCloseTo(20.37183, within(1e-4));
    // 10 W for 1 / (1000 * 0.03) s/mm2, twice.
    assertThat(f.energyJMm2()).isCloseTo(2 * 10 / 30.0, within(1e-12));
    assertThat(f.secondsPerCm2()).isCloseTo(100 / 30.0, within(1e-12));
    assertThat(f.verdict()).isEqualTo(Verdict.WITHIN);
  }

  @Test
  void aWobblesPathIsAsLongAsItsSmallSteps() {
    for (double diameter : new double[] {0.01, 0.1, 0.5, 2}) {
      for (double step : new double[] {0.01, 0.05, 0.3142, 1.5}) {
        Wobble wobble = new Wobble(diameter, step);
        double length = 0;
        int n = 200_000;
        double x = diameter / 2;
        double y = 0;
        for (int i = 1; i <= n; i++) {
          double t = 2 * Math.PI * i / n;
          double toX = diameter / 2 * Math.cos(t) + step * i / n;
          double toY = diameter / 2 * Math.sin(t);
          length += Math.hypot(toX - x, toY - y);
          x = toX;
          y = toY;
        }
        assertThat(Pulses.pathRatio(wobble)).isCloseTo(length / step, within(1e-6 * length / step));
      }
    }
    PulseFinding f = Pulses.solve(at(50, 200, 50, Optional.of(new Wobble(0.1, 0.02))));
    assertThat(f.lineWidthMm()).isCloseTo(0.15, within(1e-12));
    assertThat(f.secondsPerCm2()).isCloseTo(f.pathRatio() * 100 / 30, within(1e-9));
  }

  @Test
  void outsideOfTheSourceItStopsAndNamesWhatItTakes() {
    assertThat(Pulses.solve(at(10, 200, 50, Optional.empty())).verdict()).isEqualTo(Verdict.STOP);
    assertThat(Pulses.solve(at(50, 100, 50, Optional.empty())).verdict()).isEqualTo(Verdict.STOP);
    // At 20 kHz all of 20 W is exactly the 1 mJ that it gives.
    assertThat(Pulses.solve(at(20, 200, 100, Optional.empty())).verdict())
        .isEqualTo(Verdict.WITHIN);
    PulseFinding both = Pulses.solve(at(15, 100, 100, Optional.empty()));
    assertThat(both.verdict()).isEqualTo(Verdict.STOP);
    assertThat(both.advice()).hasSize(3);
  }

  @Test
  void badFieldsAreNamedTogether() {
    assertThatThrownBy(() ->
            new PulseReadings(
                new Source(0, 200, 20, Optional.empty(), OptionalDouble.empty()),
                Double.NaN,
                new Setting(50, 1000, 50, OptionalDouble.empty(), 0, Optional.empty(), 0)))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("source.averageW")
        .hasMessageContaining("spotMm")
        .hasMessageContaining("setting.hatchMm")
        .hasMessageContaining("setting.passes");
  }
}
