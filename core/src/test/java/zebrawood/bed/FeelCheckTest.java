package zebrawood.bed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import zebrawood.bed.FeelCheck.FeelFinding;
import zebrawood.bed.FeelCheck.FeelReadings;
import zebrawood.bed.FeelCheck.FeltPlace;
import zebrawood.measure.Verdict;

class FeelCheckTest {
  private static FeelFinding judge(Feel... feels) {
    List<FeltPlace> places = new ArrayList<>();
    for (int i = 0; i < feels.length; i++) {
      places.add(new FeltPlace("place " + i, i, i, feels[i]));
    }
    return FeelCheck.judge(new FeelReadings(places, Optional.empty()));
  }

  @Test
  void slidesEverywhereIsWithin() {
    assertThat(judge(Feel.SLIDES, Feel.SLIDES, Feel.SLIDES).verdict()).isEqualTo(Verdict.WITHIN);
  }

  @Test
  void differencesSayWhereToRaiseAndLower() {
    FeelFinding finding = judge(Feel.SLIDES, Feel.TOUCHES, Feel.GAP);
    assertThat(finding.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(finding.advice(ENGLISH))
        .anyMatch(a -> a.startsWith("Lower the bed at place 1"))
        .anyMatch(a -> a.startsWith("Raise the bed at place 2"));
  }

  @Test
  void alikeButWrongEverywhereIsTheWrongGauge() {
    assertThat(judge(Feel.GAP, Feel.GAP, Feel.GAP).verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(judge(Feel.GAP, Feel.GAP, Feel.GAP).advice(ENGLISH).getFirst()).contains("thicker");
    assertThat(judge(Feel.TOUCHES, Feel.TOUCHES, Feel.TOUCHES).advice(ENGLISH).getFirst())
        .contains("thinner");
  }

  @Test
  void twoPlacesTellNothing() {
    assertThatThrownBy(() -> judge(Feel.SLIDES, Feel.SLIDES)).hasMessageContaining("at least 3");
  }

  @Test
  void aFeltCheckHasNoFigures() {
    BedTask task =
        new BedTask.ByFeel(
            new FeelReadings(
                List.of(
                    new FeltPlace("a", 0, 0, Feel.SLIDES),
                    new FeltPlace("b", 1, 0, Feel.SLIDES),
                    new FeltPlace("c", 0, 1, Feel.SLIDES)),
                Optional.empty()));
    assertThat(task.figures(task.solve())).isEmpty();
    assertThat(task.toleranceMm()).isEmpty();
  }

  /** 6.0 slides everywhere, 6.2 nowhere: level to 0.2 mm, which is a figure. */
  @Test
  void twoGaugesMakeAFigure() {
    BedTask fine = felt(6.0, 6.2);
    assertThat(fine.solve().verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(fine.figures(fine.solve()).getFirst().value()).isCloseTo(0.2, within(1e-9));
    assertThat(fine.figures(fine.solve()).getFirst().overLimit()).isFalse();
    BedTask coarse = felt(6.0, 7.0);
    assertThat(coarse.solve().verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(coarse.solve().advice(ENGLISH).getFirst()).contains("6.30 mm at most");
    assertThatThrownBy(() -> felt(6.0, 5.0)).hasMessageContaining("nowhereMm");
  }

  private static BedTask felt(double slides, double nowhere) {
    return new BedTask.ByFeel(
        new FeelReadings(
            List.of(
                new FeltPlace("a", 0, 0, Feel.SLIDES),
                new FeltPlace("b", 1, 0, Feel.SLIDES),
                new FeltPlace("c", 0, 1, Feel.SLIDES)),
            Optional.of(new FeelCheck.Gauges(slides, nowhere, 0.3))));
  }
}
