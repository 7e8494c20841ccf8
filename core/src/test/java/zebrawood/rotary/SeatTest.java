package zebrawood.rotary;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.measure.Estimate;
import zebrawood.measure.Verdict;
import zebrawood.rotary.RotaryReadings.Kind;
import zebrawood.rotary.Seating.Axis;
import zebrawood.rotary.Seating.Gaps;
import zebrawood.rotary.Seating.Gauge;
import zebrawood.rotary.Seating.Height;
import zebrawood.words.Phrasebook;

class SeatTest {
  private static final Optional<Axis> NO_AXIS = Optional.empty();
  private static final Optional<Gaps> NO_GAPS = Optional.empty();
  private static final Optional<Gauge> NO_GAUGE = Optional.empty();

  private static RotaryFinding solve(double diameter, Seating seating, School school, double set) {
    return Rotary.solve(
        new RotaryReadings(
            Kind.CHUCK,
            6400,
            OptionalDouble.empty(),
            diameter,
            0.05,
            set > 0 ? OptionalDouble.of(set) : OptionalDouble.empty(),
            List.of(100.0, 80.0),
            1.0,
            0.5,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.ofNullable(seating),
            Optional.ofNullable(school)));
  }

  private static RotaryFinding lying(double diameter, Seating seating) {
    return solve(diameter, seating, null, 6400 / (Math.PI * diameter));
  }

  private static List<String> advice(RotaryFinding f) {
    return f.advice().stream().map(a -> a.what().key()).toList();
  }

  /** The circle walked round by its angle until a place is met: shares nothing with the solver. */
  private static double heightAt(double radius, double crownAt, double place) {
    double low = 0;
    double high = Math.PI;
    for (int i = 0; i < 200; i++) {
      double angle = (low + high) / 2;
      if (crownAt + radius * Math.cos(angle) > place) {
        low = angle;
      } else {
        high = angle;
      }
    }
    return radius * Math.sin((low + high) / 2);
  }

  private static double read(double value, double to) {
    return to * Math.round(value / to);
  }

  @Test
  void anAxisThatIsTurnedIsMovedAtItsFarEnd() {
    RotaryFinding f =
        lying(60, new Seating(Optional.of(new Axis(100, 1.5, 0.1)), NO_GAPS, NO_GAUGE));
    // 1.5 mm over 100 mm; over an artwork of 80 mm it is 1.2 mm.
    assertThat(f.axisMrad().orElseThrow().value()).isEqualTo(15, within(1e-9));
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(advice(f)).containsExactly("rotary.far-end-back");
    RotaryFinding fine =
        lying(60, new Seating(Optional.of(new Axis(100, 0.2, 0.1)), NO_GAPS, NO_GAUGE));
    assertThat(fine.verdict()).isEqualTo(Verdict.WITHIN);
    RotaryFinding coarse =
        lying(60, new Seating(Optional.of(new Axis(20, 0, 0.5)), NO_GAPS, NO_GAUGE));
    assertThat(coarse.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(advice(coarse)).containsExactly("rotary.axis-again");
  }

  @Test
  void equalGapsAreInTheMiddleAndALargerOneInFrontIsBeforeIt() {
    RotaryFinding equal =
        lying(60, new Seating(NO_AXIS, Optional.of(new Gaps(20, 7.6, 7.6, 0.1)), NO_GAUGE));
    assertThat(equal.middleMm().orElseThrow().value()).isEqualTo(0, within(1e-6));
    assertThat(equal.verdict()).isEqualTo(Verdict.WITHIN);
    double front = 30 - heightAt(30, 3, -20);
    double rear = 30 - heightAt(30, 3, 20);
    RotaryFinding off =
        lying(60, new Seating(NO_AXIS, Optional.of(new Gaps(20, front, rear, 0.1)), NO_GAUGE));
    assertThat(off.middleMm().orElseThrow().value()).isEqualTo(3, within(1e-6));
    assertThat(advice(off)).containsExactly("rotary.move-forward");
  }

  @Test
  void theMiddleHoldsAsOftenAsItSays() {
    Random random = new Random(5);
    int gapsHeld = 0;
    int gaugeHeld = 0;
    int tried = 1500;
    for (int i = 0; i < tried; i++) {
      double radius = 5 + 55 * random.nextDouble();
      double off = 0.2 * radius * random.nextGaussian() / 2;
      double typed = 2 * (radius + 0.025 * random.nextGaussian());
      double aside = 0.5 * radius;
      if (Math.abs(off) + aside > 0.95 * radius) {
        gapsHeld++;
        gaugeHeld++;
        continue;
      }
      Gaps gaps =
          new Gaps(
              aside,
              read(radius - heightAt(radius, off, -aside), 0.1),
              read(radius - heightAt(radius, off, aside), 0.1),
              0.1);
      List<Height> heights = new ArrayList<>();
      for (int k = -3; k <= 3; k++) {
        double at = aside * k / 3;
        heights.add(new Height(at, read(12 + heightAt(radius, off, at), 0.05)));
      }
      Estimate byGaps =
          lying(typed, new Seating(NO_AXIS, Optional.of(gaps), NO_GAUGE)).middleMm().orElseThrow();
      Estimate byGauge =
          lying(typed, new Seating(NO_AXIS, NO_GAPS, Optional.of(new Gauge(heights, 0.05))))
              .middleMm()
              .orElseThrow();
      gapsHeld += Math.abs(byGaps.value() - off) <= 2 * byGaps.uncertainty() ? 1 : 0;
      gaugeHeld += Math.abs(byGauge.value() - off) <= 2 * byGauge.uncertainty() ? 1 : 0;
    }
    assertThat((double) gapsHeld / tried).isBetween(0.93, 1.0);
    assertThat((double) gaugeHeld / tried).isBetween(0.93, 1.0);
  }

  @Test
  void whatNoRoundWorkLeavesIsRefused() {
    assertThatThrownBy(
            () -> lying(60, new Seating(NO_AXIS, Optional.of(new Gaps(20, 29, 0, 0.1)), NO_GAUGE)))
        .hasMessageContaining("seating.gaps.frontMm");
    assertThatThrownBy(
            () -> lying(60, new Seating(NO_AXIS, Optional.of(new Gaps(30, 1, 1, 0.1)), NO_GAUGE)))
        .hasMessageContaining("seating.gaps.asideMm");
    List<Height> two = List.of(new Height(-5, 1), new Height(5, 1));
    assertThatThrownBy(
            () -> lying(60, new Seating(NO_AXIS, NO_GAPS, Optional.of(new Gauge(two, 0.1)))))
        .hasMessageContaining("seating.gauge.heights");
  }

  @Test
  void eachSchoolIsToldInItsOwnWords() {
    double needed = 6400 / (Math.PI * 60);
    RotaryFinding steps = solve(60, null, School.STEPS, needed * 1.05);
    assertThat(advice(steps)).containsExactly("rotary.set");
    RotaryFinding typed = solve(60, null, School.DIAMETER, needed * 1.05);
    assertThat(Phrasebook.ENGLISH.sentence(typed.advice().getFirst().what()))
        .contains("Type 60.000 mm");
    RotaryFinding scaled = solve(60, null, School.SCALE, needed * 1.25);
    assertThat(Phrasebook.ENGLISH.sentence(scaled.advice().getFirst().what())).contains("to 80 %");
    assertThat(advice(solve(60, null, School.SCALE, 0))).containsExactly("rotary.scale-needs-set");
  }

  @Test
  void aThickerWorkStandsHigher() {
    OptionalDouble none = OptionalDouble.empty();
    assertThat(Crown.riseMm(Kind.CHUCK, none, none, 60, 70)).hasValue(5);
    // Rollers of 30, 40 apart: a work of 20 lies 15 above them, one of 70 sqrt(50² - 20²).
    double rise = Math.sqrt(50 * 50 - 20 * 20) + 35 - (15 + 10);
    assertThat(
            Crown.riseMm(Kind.ROLLERS, OptionalDouble.of(30), OptionalDouble.of(40), 20, 70)
                .orElseThrow())
        .isEqualTo(rise, within(1e-9));
    assertThat(Crown.riseMm(Kind.ROLLERS, OptionalDouble.of(30), OptionalDouble.of(40), 5, 70))
        .isEmpty();
  }
}
