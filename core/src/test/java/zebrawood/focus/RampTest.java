package zebrawood.focus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import zebrawood.focus.RampReadings.Sample;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;

class RampTest {
  private static final double RUN = 200;
  private static final double RISE = 14;
  private static final double START = 14;

  /** A Gaussian beam's diameter, from ISO 11146's own formula. */
  private static double width(double gap, double focus, double waist, double rayleigh) {
    return waist * Math.sqrt(1 + Math.pow((gap - focus) / rayleigh, 2));
  }

  private static RampReadings ramp(double focus, double resolution, double... alongs) {
    return new RampReadings(
        DoubleStream.of(alongs)
            .mapToObj(a -> new Sample(a, width(START - a * RISE / RUN, focus, 0.15, 1.5)))
            .toList(),
        RUN,
        RISE,
        START,
        resolution);
  }

  private static double[] every(double step) {
    return IntStream.rangeClosed(0, (int) (RUN / step)).mapToDouble(i -> i * step).toArray();
  }

  @Test
  void exactWidthsGiveTheFocusExactly() {
    RampFinding f = Ramp.solve(ramp(6.3, 0.01, every(10)));
    assertThat(f.focusGapMm().orElseThrow().value()).isCloseTo(6.3, within(1e-6));
    assertThat(f.thinnestAlongMm().getAsDouble()).isCloseTo(110, within(1e-4));
    assertThat(f.lineWidthAtFocusMm().getAsDouble()).isCloseTo(0.15, within(1e-6));
    // 1.1^2 - 1 = 0.21: half the depth is sqrt(0.21) Rayleigh ranges.
    assertThat(f.depthOfFocusMm().getAsDouble()).isCloseTo(2 * 1.5 * 0.458257569, within(1e-5));
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(f.higherLaw()).isFalse();
    assertThat(f.leftOut()).isEmpty();
  }

  @Test
  void theOrderOfTheSamplesDoesNotMatter() {
    RampReadings sorted = ramp(7.1, 0.01, every(8));
    List<Sample> mixed = new ArrayList<>(sorted.samples());
    Collections.shuffle(mixed, new Random(4));
    RampFinding a = Ramp.solve(sorted);
    RampFinding b = Ramp.solve(new RampReadings(mixed, RUN, RISE, START, 0.01));
    assertThat(b.focusGapMm().orElseThrow().value())
        .isCloseTo(a.focusGapMm().orElseThrow().value(), within(1e-9));
    assertThat(b.verdict()).isEqualTo(a.verdict());
  }

  @Test
  void twoStandardDeviationsHoldTheTruthAsOftenAsTheySay() {
    Random random = new Random(11);
    int held = 0;
    int trials = 500;
    for (int i = 0; i < trials; i++) {
      double focus = 6 + 2 * random.nextDouble();
      List<Sample> read =
          ramp(focus, 0.02, every(8)).samples().stream()
              .map(s ->
                  new Sample(
                      s.alongMm(),
                      Math.round((s.lineWidthMm() + 0.004 * random.nextGaussian()) / 0.02) * 0.02))
              .toList();
      RampFinding f = Ramp.solve(new RampReadings(read, RUN, RISE, START, 0.02));
      double off = f.focusGapMm().orElseThrow().value() - focus;
      held += Math.abs(off) <= 2 * f.focusGapMm().orElseThrow().uncertainty() ? 1 : 0;
    }
    assertThat(100.0 * held / trials).isBetween(92.5, 98.0);
  }

  @Test
  void aThinnestPlaceAtOrBeyondTheEndAsksForMore() {
    RampFinding beyond = Ramp.solve(ramp(6.3, 0.01, 0, 20, 40, 60, 80, 100));
    assertThat(beyond.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(beyond.advice(zebrawood.words.Phrasebook.ENGLISH).getFirst())
        .contains("smaller gap at its start");
    RampFinding before = Ramp.solve(ramp(6.3, 0.01, 120, 130, 140, 160, 180, 200));
    assertThat(before.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(before.advice(zebrawood.words.Phrasebook.ENGLISH).getFirst())
        .contains("larger gap at its start");
    // Between the last two, though inside of all.
    assertThat(Ramp.solve(ramp(6.3, 0.01, 0, 30, 60, 90, 105, 120)).verdict())
        .isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(Ramp.solve(ramp(6.3, 0.01, 0, 30, 60, 90, 112, 120)).verdict())
        .isEqualTo(Verdict.ADJUST);
  }

  @Test
  void anInstrumentThatIsTooCoarseAsksForMore() {
    RampFinding f = Ramp.solve(ramp(6.3, 0.4, 80, 90, 105, 115, 130, 140));
    assertThat(f.focusGapMm().orElseThrow().uncertainty())
        .isGreaterThan(f.depthOfFocusMm().getAsDouble() / 4);
    assertThat(f.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
  }

  @Test
  void widthsThatGrowFromNoMiddleGiveNoFigures() {
    RampFinding hill =
        Ramp.solve(
            new RampReadings(
                List.of(
                    new Sample(0, 0.1),
                    new Sample(50, 0.2),
                    new Sample(100, 0.25),
                    new Sample(150, 0.2),
                    new Sample(200, 0.1)),
                RUN,
                RISE,
                START,
                0.01));
    assertThat(hill.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(hill.focusGapMm()).isEmpty();
    assertThat(hill.depthOfFocusMm()).isEmpty();
    assertThat(hill.advice()).isNotEmpty();
  }

  @Test
  void aSlipIsLeftOutAndNamed() {
    List<Sample> read = new ArrayList<>(ramp(6.3, 0.01, every(10)).samples());
    Sample good = read.get(4);
    read.set(4, new Sample(good.alongMm(), good.lineWidthMm() + 0.3));
    RampFinding f = Ramp.solve(new RampReadings(read, RUN, RISE, START, 0.01));
    assertThat(f.leftOut()).containsExactly(4);
    assertThat(f.focusGapMm().orElseThrow().value()).isCloseTo(6.3, within(1e-6));
    assertThat(f.warnings(zebrawood.words.Phrasebook.ENGLISH).getFirst()).contains("at 40.0 mm");
  }

  @Test
  void aBowedBoardIsReadAsItIs() {
    for (double bow : new double[] {-0.8, 0.5}) {
      List<Sample> read =
          DoubleStream.of(every(10))
              .mapToObj(a -> {
                double share = a / RUN;
                double gap = START - share * RISE - 4 * bow * share * (1 - share);
                return new Sample(a, width(gap, 6.3, 0.15, 1.5));
              })
              .toList();
      RampFinding f =
          Ramp.solve(
              new RampReadings(read, RUN, RISE, START, 0.01, java.util.OptionalDouble.of(bow)));
      assertThat(f.focusGapMm().orElseThrow().value()).isCloseTo(6.3, within(1e-6));
      double share = f.thinnestAlongMm().getAsDouble() / RUN;
      assertThat(START - share * RISE - 4 * bow * share * (1 - share)).isCloseTo(6.3, within(1e-6));
    }
    assertThatThrownBy(() ->
            new RampReadings(
                ramp(6.3, 0.01, every(10)).samples(),
                RUN,
                RISE,
                START,
                0.01,
                java.util.OptionalDouble.of(5)))
        .hasMessageContaining("bowMm");
  }

  @Test
  void aSlipOfTypingIsLeftOutOfSevenToo() {
    for (int at = 0; at < 7; at++) {
      List<Sample> read = new ArrayList<>();
      for (Sample s : ramp(6.3, 0.02, 20, 50, 75, 100, 120, 145, 185).samples()) {
        double seen = Math.round(s.lineWidthMm() / 0.02) * 0.02;
        read.add(new Sample(s.alongMm(), read.size() == at ? 10 * seen : seen));
      }
      RampFinding f = Ramp.solve(new RampReadings(read, RUN, RISE, START, 0.02));
      assertThat(f.leftOut()).containsExactly(at);
      assertThat(f.focusGapMm().orElseThrow().value()).isCloseTo(6.3, within(0.15));
    }
  }

  @Test
  void aLawOfHigherOrderIsTakenWhereItFitsClearlyBetter() {
    List<Sample> read =
        DoubleStream.of(every(10))
            .mapToObj(a -> {
              double t = START - a * RISE / RUN - 6.3;
              return new Sample(a, Math.sqrt(0.02 + 0.004 * t * t + 0.0006 * t * t * t * t));
            })
            .toList();
    RampFinding f = Ramp.solve(new RampReadings(read, RUN, RISE, START, 0.01));
    assertThat(f.higherLaw()).isTrue();
    assertThat(f.focusGapMm().orElseThrow().value()).isCloseTo(6.3, within(1e-5));
    double half = f.depthOfFocusMm().getAsDouble() / 2;
    assertThat(Math.sqrt(0.02 + 0.004 * half * half + 0.0006 * Math.pow(half, 4)))
        .isCloseTo(1.1 * Math.sqrt(0.02), within(1e-5));
  }

  /** A line that marks where the beam's dose on its axis is so many times what marks at all. */
  private static double marked(double gap, double focus, double times) {
    double wide = width(gap, focus, 1, 1.5);
    return times <= wide ? 0 : 0.15 * wide * Math.sqrt(Math.log(times / wide) / 2);
  }

  @Test
  void aLineThatNeverGrowsATenthWiderTellsTheDepthOfItsBeam() {
    List<Sample> read =
        DoubleStream.of(every(5))
            .mapToObj(a -> new Sample(a, marked(START - a * RISE / RUN, 6.3, 2.3)))
            .filter(s -> s.lineWidthMm() > 0.03)
            .toList();
    double most = read.stream().mapToDouble(Sample::lineWidthMm).max().orElseThrow();
    assertThat(most).as("it never grows a tenth").isLessThan(1.1 * marked(6.3, 6.3, 2.3));
    RampFinding f = Ramp.solve(new RampReadings(read, RUN, RISE, START, 0.002));
    assertThat(f.depthOfFocusMm().getAsDouble()).isCloseTo(2 * 1.5 * 0.458, within(0.3));
    assertThat(f.focusGapMm().orElseThrow().value()).isCloseTo(6.3, within(0.05));
  }

  @Test
  void withFewReadingsTwoDeviationsHoldTheTruthToo() {
    Random random = new Random(12);
    for (int n : new int[] {6, 9}) {
      int held = 0;
      int trials = 400;
      for (int i = 0; i < trials; i++) {
        double focus = 6 + 2 * random.nextDouble();
        double step = RUN / n;
        // The eye scatters by as much as the scale tells apart.
        List<Sample> read =
            IntStream.range(0, n)
                .mapToObj(k -> {
                  double along = (k + 0.5) * step;
                  double wide = width(START - along * RISE / RUN, focus, 0.15, 2.5);
                  double seen = wide + 0.02 * random.nextGaussian();
                  return new Sample(along, Math.max(0.02, Math.round(seen / 0.02) * 0.02));
                })
                .toList();
        RampFinding f = Ramp.solve(new RampReadings(read, RUN, RISE, START, 0.02));
        held +=
            f.focusGapMm()
                    .filter(g -> Math.abs(g.value() - focus) <= 2 * g.uncertainty())
                    .isPresent()
                ? 1
                : 0;
      }
      assertThat(100.0 * held / trials).as(n + " readings").isBetween(89.0, 98.0);
    }
  }

  @Test
  void aLineThatIsWiderOnOneSideIsSaidAndCounts() {
    for (double share : new double[] {0.1, 0.2}) {
      List<Sample> read =
          DoubleStream.of(every(10))
              .mapToObj(a -> {
                double gap = START - a * RISE / RUN;
                return new Sample(a, width(gap, 6.3, 0.15, 1.5) * (gap > 6.3 ? 1 + share : 1));
              })
              .toList();
      RampFinding f = Ramp.solve(new RampReadings(read, RUN, RISE, START, 0.002));
      assertThat(f.focusGapMm().orElseThrow().value())
          .as("the focus lies there, two deviations either way")
          .isCloseTo(6.3, within(2 * f.focusGapMm().orElseThrow().uncertainty()));
      assertThat(f.warnings(zebrawood.words.Phrasebook.ENGLISH))
          .anyMatch(w -> w.contains("wider on the side of the larger gap"));
    }
    assertThat(Ramp.solve(ramp(6.3, 0.002, every(10))).warnings()).isEmpty();
  }

  @Test
  void whatCannotBeUsedIsRefusedByName() {
    assertThatThrownBy(() -> ramp(6, 0.01, 0, 10, 20, 30))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("samples")
        .hasMessageContaining("at least 5");
    Sample nan = new Sample(10, Double.NaN);
    List<Sample> read = new ArrayList<>(ramp(6, 0.01, every(20)).samples());
    read.set(2, nan);
    assertThatThrownBy(() -> new RampReadings(read, RUN, RISE, START, 0.01))
        .hasMessageContaining("samples[2].lineWidthMm");
    assertThatThrownBy(() -> new RampReadings(read.subList(3, 9), RUN, 250, -1, 0))
        .hasMessageContaining("riseMm")
        .hasMessageContaining("gapAtStartMm")
        .hasMessageContaining("widthResolutionMm");
  }
}
