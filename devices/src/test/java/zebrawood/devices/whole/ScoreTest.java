package zebrawood.devices.whole;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.words.Message;

class ScoreTest {
  /**
   * Somebody who sees all: guards, then each thing put right by its truth, in order, as often as a
   * hand needs, then each read once. Nobody does it in less than what is called the best.
   */
  private static CaseRun knowingAll(CaseStart start) {
    CaseRun run = new CaseRun(start);
    for (Guard guard : Guard.values()) {
      if (guard.isOf(start.kind()) && !run.machine().has(guard)) {
        run.act(Deed.guarding(guard), 0);
      }
    }
    if (start.asLeft()) {
      run.act(Deed.RESTORE_SETTINGS, 0);
    }
    List<Trait> counted = start.counts().stream().sorted().toList();
    for (Trait trait : counted) {
      for (int i = 0; i < 12 && !run.machine().isWithin(trait); i++) {
        Deed deed = Deed.mending(trait);
        run.act(deed, deed.hasAmount() ? -run.machine().truth(trait) : 0);
      }
    }
    Set<Deed> readings = EnumSet.noneOf(Deed.class);
    counted.forEach(t -> readings.add(Deed.reading(t)));
    readings.forEach(d -> run.act(d, 0));
    run.act(Deed.HAND_OVER, 0);
    return run;
  }

  @ParameterizedTest
  @EnumSource
  void theBestIsReachedByWhoKnowsAllAndBeatenByNobody(CaseKind kind) {
    int reached = 0;
    for (long seed = 0; seed < 80; seed++) {
      Score score = Score.of(knowingAll(CaseStart.of(kind, seed)));
      assertThat(score.finished()).isTrue();
      assertThat(score.out()).as("%s %s", kind, seed).isEmpty();
      assertThat(score.asserted()).isEmpty();
      assertThat(score.minutes()).isGreaterThanOrEqualTo(score.bestMinutes());
      assertThat(score.burns()).isEqualTo(score.bestBurns());
      // A hand is off by a few per cent, and some guards stand in nobody's way.
      reached += score.minutes() <= 1.35 * score.bestMinutes() + 12 ? 1 : 0;
    }
    assertThat(reached).isGreaterThan(60);
  }

  private static CaseRun tilted() {
    Map<Trait, Double> hidden = new EnumMap<>(Map.of(Trait.BED_X, 3.0));
    Set<Guard> all = EnumSet.allOf(Guard.class);
    return new CaseRun(
        new CaseStart(
            WholeKind.GLASS_TUBE_GANTRY,
            Message.verbatim("It leans."),
            Set.of(Trait.BED_X, Trait.BED_Y),
            hidden,
            all,
            false,
            9));
  }

  @Test
  void whatIsHandedOverWithoutAReadingIsAsserted() {
    CaseRun run = tilted();
    run.act(Deed.HAND_OVER, 0);
    Score score = Score.of(run);
    assertThat(score.out()).containsExactly(Trait.BED_X);
    assertThat(score.within()).containsExactly(Trait.BED_Y);
    assertThat(score.asserted()).containsExactly(Trait.BED_X, Trait.BED_Y);
    assertThat(score.minutes()).isEqualTo(5);
    // To read, to raise one side, to hand over.
    assertThat(score.bestMinutes()).isEqualTo(10 + 4 + 5);
    assertThat(score.bestBurns()).isZero();
  }

  @Test
  void helpAndDangerAreCounted() {
    CaseRun run = tilted();
    run.act(Deed.GET_HELP, 0);
    run.act(Deed.GET_HELP, 0);
    run.act(Deed.WIPE_LENS_DRY, 0);
    Score score = Score.of(run);
    assertThat(score.helps()).isEqualTo(2);
    assertThat(score.dangers()).isEqualTo(1);
    assertThat(score.finished()).isFalse();
  }
}
