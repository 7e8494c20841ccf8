package zebrawood.mirrors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import zebrawood.Said;
import zebrawood.measure.Verdict;
import zebrawood.mirrors.QuickCheck.Spot;

class QuickCheckTest {
  private static final List<Spot> CORNERS =
      List.of(new Spot(0, 0), new Spot(0.3, 0), new Spot(0, 0.4), new Spot(0.3, 0.4));

  @Test
  void theWidestPairOfCornersDecides() {
    QuickCheck.Finding f = new QuickCheck(0.1, 0.5, true, CORNERS).solve();
    assertThat(f.wanderNowMm().getAsDouble()).isCloseTo(0.5, within(1e-12));
    assertThat(f.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(Said.by(f.advice()))
        .containsExactly(
            "Leave the mirrors: the mark is round, and the corners stay within 0.5 mm, limit 0.5.");
    assertThat(Said.by(new QuickCheck(0.1, 0.4, true, CORNERS).solve().advice()).getFirst())
        .startsWith("Burn the full set of marks");
  }

  @Test
  void aMarkThatIsNotRoundIsNotLetPass() {
    QuickCheck.Finding f = new QuickCheck(0.1, 0.5, false, CORNERS).solve();
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(Said.by(f.advice())).hasSize(1).first().asString().contains("nozzle and lens");
  }

  /** One round mark is a check without a figure: nothing is said of the wander. */
  @Test
  void aRoundMarkAloneIsACheckWithoutAFigure() {
    QuickCheck.Finding f = new QuickCheck(0.1, 0.5, true, List.of()).solve();
    assertThat(f.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(f.wanderNowMm()).isEmpty();
    assertThat(Said.by(f.advice())).singleElement().asString().contains("was not read");
    assertThat(new QuickCheck(0.1, 0.5, false, List.of()).solve().verdict())
        .isEqualTo(Verdict.ADJUST);
  }

  @Test
  void oneCornerIsTooFew() {
    assertThatThrownBy(() -> new QuickCheck(0, 0.5, true, CORNERS.subList(0, 1)))
        .hasMessageContaining("markResolutionMm is 0")
        .hasMessageContaining("corners");
    assertThatThrownBy(() -> new Spot(Double.NaN, 2000))
        .hasMessageContaining("rightMm is not a number")
        .hasMessageContaining("upMm is 2000");
  }
}
