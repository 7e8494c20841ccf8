package zebrawood.controller;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;

class AxisAndRunUpTest {
  @Test
  void twoHundredCommandedAndLessMeasuredIsPutRightInOneStep() {
    AxisScale.Finding f =
        AxisScale.solve(new AxisScale.Readings(200, 199.1, 0.5, 2, OptionalDouble.of(80)));
    assertThat(f.factor().value()).isCloseTo(1.0045, within(1e-4));
    assertThat(f.stepsPerMm().orElseThrow()).isCloseTo(80.3616, within(1e-3));
    assertThat(f.within()).isFalse();
    assertThat(f.travelThatDecidesMm()).isCloseTo(204, within(1.0));
    AxisScale.Finding rough =
        AxisScale.solve(new AxisScale.Readings(20, 19.9, 0.5, 2, OptionalDouble.empty()));
    assertThat(rough.decides()).isFalse();
  }

  /** A rule read to its step at both ends, many times: the true factor lies within two sigma. */
  @Test
  void theUncertaintyIsHonest() {
    Random random = new Random(2);
    int inside = 0;
    int rounds = 4000;
    for (int i = 0; i < rounds; i++) {
      double truth = 0.97 + 0.06 * random.nextDouble();
      double travel = 200 / truth;
      double from = random.nextDouble() * 30;
      double read = Math.round((from + travel) / 0.5) * 0.5 - Math.round(from / 0.5) * 0.5;
      AxisScale.Finding f =
          AxisScale.solve(new AxisScale.Readings(200, read, 0.5, 2, OptionalDouble.empty()));
      if (Math.abs(f.factor().value() - truth) <= 2 * f.factor().uncertainty()) {
        inside++;
      }
    }
    assertThat(inside / (double) rounds).isBetween(0.93, 0.99);
  }

  /** Stepping in time: accelerate, cross the width, brake. */
  @Test
  void theRunUpAndTheTimeOfALineAgreeWithStepping() {
    RunUp.Readings r = new RunUp.Readings(300, 2000, 80);
    double dt = 1e-6;
    double v = 0;
    double x = 0;
    double t = 0;
    while (v < 300) {
      v += 2000 * dt;
      x += v * dt;
      t += dt;
    }
    RunUp.Finding f = RunUp.solve(r);
    assertThat(f.runUpMm()).isCloseTo(x, within(0.01));
    assertThat(f.lineS()).isCloseTo(2 * t + 80 / 300.0, within(1e-4));
    for (double faster : new double[] {0.8, 0.95, 1.05, 1.3}) {
      RunUp.Readings other = new RunUp.Readings(f.bestSpeedMmS() * faster, 2000, 80);
      assertThat(RunUp.solve(other).lineS()).isGreaterThan(f.bestLineS());
    }
    assertThatThrownBy(() -> new RunUp.Readings(0, Double.NaN, 1))
        .hasMessageContaining("speedMmS is 0")
        .hasMessageContaining("accelerationMmS2 is not a number");
  }

  @Test
  void aResetIsToldByManySettingsAtOnce() {
    Settings left =
        Settings.parse(
            "idle: 255\nsoft: 1\nseek: 1\ntop: 1000\nfollow: 1\nreach_x: 400.000", Dialects.TERSE);
    Settings reset =
        Settings.parse(
            "idle: 25\nsoft: 0\nseek: 0\ntop: 1000.0\nfollow: 1\nreach_x: 400\nmore: 1",
            Dialects.TERSE);
    List<Difference> differences = Difference.between(left, reset);
    assertThat(differences)
        .extracting(Difference::name)
        .containsExactly("idle", "soft", "seek", "more");
    assertThat(differences.getLast().before()).isEqualTo(Optional.empty());
    assertThat(ENGLISH.say(differences.getFirst().said())).isEqualTo("idle: 25, was 255");
    assertThat(Difference.looksLikeReset(differences)).isTrue();
    assertThat(Difference.looksLikeReset(differences.subList(0, 2))).isFalse();
  }
}
