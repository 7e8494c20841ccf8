package zebrawood.focus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import zebrawood.focus.LadderReadings.Rung;
import zebrawood.measure.Verdict;

class LadderTest {
  private static List<Rung> scored(DoubleUnaryOperator score, double... heights) {
    return DoubleStream.of(heights)
        .mapToObj(
            h -> new Rung(h, OptionalDouble.empty(), OptionalDouble.of(score.applyAsDouble(h))))
        .toList();
  }

  private static List<Rung> wide(DoubleUnaryOperator width, double... heights) {
    return DoubleStream.of(heights)
        .mapToObj(
            h -> new Rung(h, OptionalDouble.of(width.applyAsDouble(h)), OptionalDouble.empty()))
        .toList();
  }

  private static double focus(List<Rung> rungs, double resolution) {
    return Ladder.solve(new LadderReadings(rungs, resolution))
        .focusHeightMm()
        .orElseThrow()
        .value();
  }

  @Test
  void everySymmetricLawGivesItsMiddle() {
    double[] heights = {3, 4, 5, 5.5, 6, 7, 9};
    assertThat(focus(wide(h -> Math.hypot(0.1, 0.06 * (h - 5.7)), heights), 0.01))
        .isCloseTo(5.7, within(1e-5));
    assertThat(focus(scored(h -> 9 - (h - 5.7) * (h - 5.7), heights), 0.5))
        .isCloseTo(5.7, within(1e-5));
    assertThat(focus(scored(h -> 10 / (1 + (h - 5.7) * (h - 5.7)), heights), 0.5))
        .isCloseTo(5.7, within(1e-5));
    assertThat(
            focus(
                scored(h -> 2 + 8 / (1 + (h - 5.7) * (h - 5.7)), 2, 3, 4, 5, 5.5, 6, 7, 8, 9), 0.1))
        .isCloseTo(5.7, within(1e-3));
    assertThat(focus(scored(h -> -1 - (h - 5.7) * (h - 5.7), heights), 0.5))
        .as("scores may be less than 0")
        .isCloseTo(5.7, within(1e-5));
  }

  @Test
  void fourRungsAreEnoughAndEndsAreNot() {
    var inside = new LadderReadings(wide(h -> Math.hypot(0.1, 0.08 * (h - 5.4)), 4, 5, 6, 7), 0.01);
    assertThat(Ladder.solve(inside).verdict()).isEqualTo(Verdict.ADJUST);
    var atEnd = new LadderReadings(wide(h -> Math.hypot(0.1, 0.08 * (h - 6.4)), 4, 5, 6, 7), 0.01);
    var finding = Ladder.solve(atEnd);
    assertThat(finding.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(finding.advice(zebrawood.words.Phrasebook.ENGLISH).getFirst())
        .startsWith("Add rungs above the highest");
  }

  @Test
  void scoresReadByEyeHoldTheTruthAsOftenAsTheySay() {
    Random random = new Random(3);
    int held = 0;
    int trials = 800;
    double[] heights = IntStream.range(0, 15).mapToDouble(i -> 2 + 0.5 * i).toArray();
    for (int i = 0; i < trials; i++) {
      double truth = 4.5 + 2 * random.nextDouble();
      List<Rung> rungs =
          scored(
              h -> {
                double t = (h - truth) / 1.8;
                return Math.round(2 * (10 / (1 + t * t) + 0.2 * random.nextGaussian())) / 2.0;
              },
              heights);
      LadderFinding f = Ladder.solve(new LadderReadings(rungs, 0.5));
      held +=
          Math.abs(f.focusHeightMm().orElseThrow().value() - truth)
                  <= 2 * f.focusHeightMm().orElseThrow().uncertainty()
              ? 1
              : 0;
    }
    assertThat(100.0 * held / trials).isBetween(92.0, 98.0);
  }

  @Test
  void aConstantAddedToAllScoresChangesNothing() {
    double[] heights = {2, 3, 4, 5, 5.5, 6, 7, 8, 9};
    DoubleUnaryOperator seen = h -> Math.round(10 / (1 + (h - 5.7) * (h - 5.7) / 4)) + (h % 2) / 2;
    LadderFinding plain = Ladder.solve(new LadderReadings(scored(seen, heights), 0.5));
    assertThat(plain.verdict()).isEqualTo(Verdict.ADJUST);
    for (double more : new double[] {-30, -8, 1000}) {
      LadderFinding moved =
          Ladder.solve(new LadderReadings(scored(h -> seen.applyAsDouble(h) + more, heights), 0.5));
      assertThat(moved.verdict()).isEqualTo(plain.verdict());
      assertThat(moved.focusHeightMm().orElseThrow().value())
          .isCloseTo(plain.focusHeightMm().orElseThrow().value(), within(1e-4));
      assertThat(moved.depthOfFocusMm().getAsDouble())
          .isCloseTo(plain.depthOfFocusMm().getAsDouble(), within(1e-3));
    }
  }

  @Test
  void noiseAloneDecidesNothing() {
    Random random = new Random(8);
    int decided = 0;
    int trials = 0;
    for (int n : new int[] {4, 6, 10, 20}) {
      double[] heights = IntStream.range(0, n).mapToDouble(i -> i).toArray();
      for (int i = 0; i < 150; i++) {
        double spread = random.nextBoolean() ? 0.5 : 4;
        LadderFinding f =
            Ladder.solve(
                new LadderReadings(
                    scored(
                        h -> Math.round(2 * (spread * random.nextGaussian() - 5)) / 2.0, heights),
                    0.5));
        decided += f.verdict() == Verdict.MEASURE_AGAIN ? 0 : 1;
        trials++;
      }
    }
    assertThat(100.0 * decided / trials).isLessThan(1.5);
  }

  @Test
  void kindsAreNotMixed() {
    List<Rung> rungs = new ArrayList<>(wide(h -> 0.1 + h / 100, 1, 2, 3, 4));
    rungs.set(2, new Rung(3, OptionalDouble.empty(), OptionalDouble.of(4)));
    assertThatThrownBy(() -> new LadderReadings(rungs, 0.01))
        .hasMessageContaining("rungs[2]")
        .hasMessageContaining("the same kind");
    rungs.set(2, new Rung(3, OptionalDouble.empty(), OptionalDouble.empty()));
    assertThatThrownBy(() -> new LadderReadings(rungs, 0.01)).hasMessageContaining("neither");
    assertThatThrownBy(() -> new LadderReadings(rungs.subList(0, 2), 0.01))
        .hasMessageContaining("at least 4");
  }

  @Test
  void flatScoresGiveNothing() {
    LadderFinding flat = Ladder.solve(new LadderReadings(scored(h -> 5, 1, 2, 3, 4, 5), 1));
    assertThat(flat.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
  }
}
