package zebrawood.mirrors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.mirrors.MirrorReadings.Towards;
import zebrawood.mirrors.ScrewTrial.Outcome.Contradicts;
import zebrawood.mirrors.ScrewTrial.Outcome.Works;

class ScrewTrialTest {
  private static ScrewTrial quarter(boolean sideways, double right, double up) {
    return new ScrewTrial(1, sideways, 0.25, right, up, 800);
  }

  @Test
  void aQuarterTurnTellsAmountAndDirection() {
    assertThat(quarter(true, -4, 0).solve(0.5))
        .isInstanceOfSatisfying(
            Works.class,
            w -> {
              assertThat(w.clockwiseMovesBeam()).isEqualTo(Towards.LEFT);
              assertThat(w.response().mradPerTurn().value())
                  .as("4 mm over 0.8 m and a quarter")
                  .isCloseTo(20, within(1e-9));
              // Two readings to half a millimetre, and the hand's half minute of a quarter turn.
              assertThat(w.response().mradPerTurn().uncertainty())
                  .isCloseTo(Math.hypot(0.5 / Math.sqrt(6) / 0.8 / 0.25, 20 / 30.0), within(1e-9));
            });
    assertThat(new ScrewTrial(2, false, -0.25, 0, -3, 800).solve(0.5))
        .isInstanceOfSatisfying(
            Works.class, w -> assertThat(w.clockwiseMovesBeam()).isEqualTo(Towards.UP));
  }

  @Test
  void contradictionsSayWhatItMayBe() {
    assertThat(quarter(true, 0.5, 0).solve(0.5))
        .isInstanceOfSatisfying(
            Contradicts.class,
            c -> assertThat(ENGLISH.sentence(c.because())).contains("play", "locked"));
    assertThat(quarter(false, 5, 1).solve(0.5))
        .isInstanceOfSatisfying(
            Contradicts.class,
            c ->
                assertThat(ENGLISH.sentence(c.because()))
                    .startsWith(
                        "Look which screw that was: for the up-and-down screw of mirror 1 the mark went 5 mm right and only 1 mm up."));
  }

  @Test
  void theResponsesUncertaintyIsHonest() {
    Random random = new Random(11);
    int inside = 0;
    int all = 5000;
    for (int i = 0; i < all; i++) {
      double truth = 12 + 20 * random.nextDouble();
      double turned = 0.25 + random.nextGaussian() / 120;
      double before = 4 * random.nextDouble();
      double after = before + truth * turned * 0.8;
      var outcome = quarter(true, Math.round(2 * after) / 2.0 - Math.round(2 * before) / 2.0, 0);
      if (outcome.solve(0.5) instanceof Works(var towards, var response)) {
        inside +=
            Math.abs(response.mradPerTurn().value() - truth)
                    <= 2 * response.mradPerTurn().uncertainty()
                ? 1
                : 0;
      }
    }
    assertThat(inside / (double) all).isBetween(0.93, 0.98);
  }

  @Test
  void aTurnOfNothingIsRefused() {
    assertThatThrownBy(() -> new ScrewTrial(4, true, 0, 1, Double.NaN, 800))
        .hasMessageContaining("mirror is 4")
        .hasMessageContaining("clockwiseTurns is 0")
        .hasMessageContaining("at least a minute of a clock's face")
        .hasMessageContaining("movedUpMm is not a number");
  }
}
