package zebrawood.rotary;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.rotary.RotaryReadings.Kind;
import zebrawood.rotary.RotaryReadings.Length;
import zebrawood.rotary.RotaryReadings.Taper;
import zebrawood.rotary.RotaryReadings.Turn;

class RotaryTest {
  private static RotaryReadings readings(
      Kind kind, double steps, double diameter, double set, Turn turn, Length length, Taper taper) {
    return new RotaryReadings(
        kind,
        steps,
        kind == Kind.ROLLERS ? OptionalDouble.of(30) : OptionalDouble.empty(),
        diameter,
        0.05,
        set > 0 ? OptionalDouble.of(set) : OptionalDouble.empty(),
        List.of(100.0, 80.0),
        1.0,
        0.5,
        Optional.ofNullable(turn),
        Optional.ofNullable(length),
        Optional.ofNullable(taper),
        Optional.empty(),
        Optional.empty());
  }

  private static RotaryFinding solve(
      Kind kind, double steps, double diameter, double set, Turn turn, Length length, Taper taper) {
    return Rotary.solve(readings(kind, steps, diameter, set, turn, length, taper));
  }

  @Test
  void aChuckTakesItsStepsOverTheCircumference() {
    RotaryFinding f = solve(Kind.CHUCK, 6400, 60, 0, null, null, null);
    // 6400 / 188.4956
    assertThat(f.stepsPerMm().value()).isEqualTo(33.95305, within(1e-4));
    assertThat(f.stepsPerMm().uncertainty()).isEqualTo(33.95305 * 0.05 / 60, within(1e-6));
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(f.seamMm()).isZero();
    assertThat(f.arcRadiusMm()).isEmpty();
    assertThat(f.stretchLarge()).isEqualTo(1);
  }

  @Test
  void aLineThatLeavesAGapHadTooFewSteps() {
    double set = 6400 / (Math.PI * 60);
    double circumference = Math.PI * 60;
    // The chuck has a gear of which nobody knew: 6500 steps a turn go 6400 / 6500 of the way.
    double gap = circumference * (1 - 6400.0 / 6500);
    RotaryFinding f =
        solve(Kind.CHUCK, 6400, 60, set, new Turn(circumference, gap, 0.1), null, null);
    assertThat(f.stepsPerTurnFound().orElseThrow()).isEqualTo(6500, within(1e-6));
    assertThat(f.changeFactor().orElseThrow()).isEqualTo(6500.0 / 6400, within(1e-9));
    assertThat(f.warnings().stream().map(m -> m.key())).containsExactly("rotary.steps-replaced");
    // The joint is known as well as the gap was read.
    assertThat(f.seamMm()).isEqualTo(0.1 / Math.sqrt(12), within(1e-3));
  }

  @Test
  void aStripFallsByTheDepthOfFocus() {
    RotaryFinding f = solve(Kind.CHUCK, 6400, 60, 0, null, null, null);
    double half = f.stripMm() / 2 / 30;
    assertThat(30 * (1 - Math.cos(half))).isEqualTo(1, within(1e-9));
    assertThat(f.strips()).isEqualTo((int) Math.ceil(100 / f.stripMm()));
  }

  @Test
  void aConeUnrollsRoundItsTip() {
    // Half angle 45 degrees: the tip is as far along the axis as the radius.
    RotaryFinding f = solve(Kind.CHUCK, 6400, 200, 0, null, null, new Taper(220, 180, 20));
    assertThat(f.tiltDeg()).isEqualTo(45, within(1e-9));
    assertThat(f.fallMm()).isEqualTo(80, within(1e-9));
    assertThat(f.arcRadiusMm().orElseThrow()).isEqualTo(100 * Math.sqrt(2), within(1e-9));
    assertThat(f.stretchLarge()).isEqualTo(280.0 / 200, within(1e-9));
    assertThat(f.stretchSmall()).isEqualTo(120.0 / 200, within(1e-9));
  }

  @Test
  void whatContradictsIsMeasuredAgain() {
    double set = 6400 / (Math.PI * 60);
    RotaryFinding f = solve(Kind.CHUCK, 6400, 60, set, null, new Length(100, 104, 0.5), null);
    assertThat(f.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    RotaryFinding slipping =
        solve(
            Kind.ROLLERS,
            6400,
            60,
            6400 / (Math.PI * 30),
            new Turn(Math.PI * 60, 20, 0.5),
            null,
            null);
    assertThat(slipping.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
  }

  @Test
  void artworkThatWouldLieOnItselfIsStopped() {
    RotaryFinding f = solve(Kind.CHUCK, 6400, 30, 60, null, null, null);
    assertThat(f.verdict()).isEqualTo(Verdict.STOP);
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThatThrownBy(() -> solve(Kind.CHUCK, 6400, 60, 0, new Turn(188, 0, 0.5), null, null))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("setStepsPerMm");
    assertThatThrownBy(() -> solve(Kind.CHUCK, 6400, 60, 30, new Turn(188, 95, 0.5), null, null))
        .hasMessageContaining("turn.closesByMm");
    assertThatThrownBy(() -> solve(Kind.CHUCK, 6400, 60, 30, null, null, new Taper(50, 50, 10)))
        .hasMessageContaining("taper.largeDiameterMm");
    assertThatThrownBy(() -> solve(Kind.CHUCK, 6400, Double.NaN, 30, null, null, null))
        .hasMessageContaining("workDiameterMm");
    assertThatThrownBy(() ->
            new RotaryReadings(
                Kind.ROLLERS,
                6400,
                OptionalDouble.empty(),
                60,
                0.1,
                OptionalDouble.empty(),
                List.of(10.0, 10.0),
                1,
                1,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty()))
        .hasMessageContaining("rollerDiameterMm");
  }

  /** A rotary that is simulated step by step: what is stated holds as often as it should. */
  @Test
  void whatIsStatedHolds() {
    Random random = new Random(8);
    int covered = 0;
    int tried = 2000;
    for (int i = 0; i < tried; i++) {
      Kind kind = random.nextBoolean() ? Kind.CHUCK : Kind.ROLLERS;
      double diameter = 20 + 100 * random.nextDouble();
      double steps = 3200 + random.nextInt(6400);
      double truth =
          kind == Kind.CHUCK
              ? steps / (Math.PI * diameter)
              : steps / (Math.PI * 30) * (1 + 0.01 * random.nextGaussian());
      double set = truth * (1 + 0.01 * random.nextGaussian());
      double typedDiameter = diameter + 0.05 * random.nextGaussian();
      double gone = Math.PI * diameter * set / truth;
      double gap = Math.PI * diameter - gone;
      double read = 0.5;
      Turn turn = new Turn(Math.PI * diameter, read * Math.round(gap / read), read);
      double measured = 100 * set / truth;
      Length length = new Length(100, read * Math.round(measured / read), read);
      RotaryFinding f = solve(kind, steps, typedDiameter, set, turn, length, null);
      covered +=
          Math.abs(f.stepsPerMm().value() - truth) < 2 * f.stepsPerMm().uncertainty() ? 1 : 0;
    }
    assertThat((double) covered / tried).isBetween(0.93, 0.99);
  }
}
