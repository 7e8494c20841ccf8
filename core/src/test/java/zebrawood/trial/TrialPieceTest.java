package zebrawood.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.trial.TrialReadings.Cut;
import zebrawood.trial.TrialReadings.Where;

class TrialPieceTest {
  private static final Optional<Boolean> YES = Optional.of(true);

  private static List<Cut> cuts(int through) {
    List<Cut> cuts = new ArrayList<>();
    for (Where where : Where.values()) {
      cuts.add(new Cut(where, where.ordinal() < through));
    }
    return cuts;
  }

  /** A piece drawn 70 by 50 with a kerf of 0.2 mm, measured to 0.02. */
  private static TrialReadings piece(double x, double y, double slant, int through) {
    return new TrialReadings(
        List.of(70.0, 50.0),
        OptionalDouble.of(x),
        OptionalDouble.of(y),
        0.02,
        0.1,
        OptionalDouble.of(28),
        OptionalDouble.of(0.4),
        OptionalDouble.of(slant),
        OptionalDouble.of(0.1),
        cuts(through),
        YES,
        YES,
        YES,
        YES,
        OptionalDouble.of(300),
        OptionalDouble.empty(),
        Optional.empty());
  }

  @Test
  void aGoodPieceIsGoodAndTheCombTellsTheKerf() {
    TrialFinding f = TrialPiece.solve(piece(69.8, 49.82, 0.03, 5), false);
    assertThat(f.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(f.kerfMm().orElseThrow().value()).isCloseTo(0.2, within(1e-9));
    assertThat(f.kerfMm().orElseThrow().uncertainty())
        .isCloseTo(0.02 / Math.sqrt(12) / 10, within(1e-9));
    assertThat(f.offXMm().orElseThrow().value()).isCloseTo(0, within(1e-9));
    assertThat(f.worstMm().orElseThrow()).isCloseTo(0.02, within(1e-9));
    assertThat(f.pointsTo()).isEmpty();
  }

  @Test
  void eachFailurePointsToItsStation() {
    assertThat(TrialPiece.solve(piece(69.4, 49.8, 0.03, 5), false).pointsTo())
        .containsExactly("controller");
    assertThat(TrialPiece.solve(piece(69.4, 49.8, 0.03, 5), true).pointsTo())
        .containsExactly("field");
    assertThat(TrialPiece.solve(piece(69.8, 49.8, 0.3, 5), false).pointsTo())
        .containsExactly("mirrors");
    TrialFinding corner = TrialPiece.solve(piece(69.8, 49.8, 0, 4), false);
    assertThat(corner.pointsTo()).containsExactly("bed");
    assertThat(corner.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(TrialPiece.solve(piece(69.8, 49.8, 0, 0), false).pointsTo())
        .containsExactly("power");
  }

  @Test
  void whatLiesAtItsLimitIsMeasuredMoreFinely() {
    TrialFinding f = TrialPiece.solve(piece(69.8 + 0.0995, 49.8, 0, 5), false);
    assertThat(f.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(f.pointsTo()).isEmpty();
  }

  @Test
  void whatNobodyLookedAtIsNotGood() {
    TrialReadings none =
        new TrialReadings(
            List.of(70.0, 50.0),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            0.02,
            0.1,
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            List.of(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            Optional.empty());
    TrialFinding f = TrialPiece.solve(none, false);
    assertThat(f.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(f.advice()).hasSize(7);
    assertThatThrownBy(() -> piece(-1, 50, 0, 5))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("measuredXMm");
  }
}
