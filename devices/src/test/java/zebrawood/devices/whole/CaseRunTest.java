package zebrawood.devices.whole;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

class CaseRunTest {
  private static final int SEEDS = 60;

  private static CaseStart start(WholeKind kind, Map<Trait, Double> hidden, Set<Guard> inOrder) {
    return new CaseStart(
        kind, Message.verbatim("as it is"), hidden.keySet(), hidden, inOrder, false, 1);
  }

  private static Set<Guard> all(WholeKind kind) {
    Set<Guard> all = EnumSet.allOf(Guard.class);
    all.removeIf(g -> !g.isOf(kind));
    return all;
  }

  private static CaseRun safe(WholeKind kind, Map<Trait, Double> hidden) {
    return new CaseRun(start(kind, hidden, all(kind)));
  }

  private static void follow(CaseRun run) {
    for (int i = 0; i < 200 && !run.isOver(); i++) {
      Adviser.Step step = Adviser.next(run);
      run.act(step.deed(), step.amount());
    }
  }

  @ParameterizedTest
  @EnumSource
  void theAdviceFinishesEveryCaseWithinItsLimitsAndHarmsNobody(CaseKind kind) {
    for (long seed = 0; seed < SEEDS; seed++) {
      CaseRun run = new CaseRun(CaseStart.of(kind, seed));
      follow(run);
      Score score = Score.of(run);
      assertThat(score.finished()).as("%s %s: %s", kind, seed, run.stopped()).isTrue();
      assertThat(score.dangers()).isZero();
      assertThat(score.out()).as("%s %s", kind, seed).isEmpty();
      assertThat(score.asserted()).isEmpty();
      assertThat(score.minutes()).isGreaterThanOrEqualTo(score.bestMinutes());
      assertThat(score.burns()).isGreaterThanOrEqualTo(score.bestBurns());
    }
  }

  @Test
  void theSameNumberGivesTheSameCaseAndTheSameReadings() {
    for (CaseKind kind : CaseKind.values()) {
      CaseRun one = new CaseRun(CaseStart.of(kind, 7));
      CaseRun other = new CaseRun(CaseStart.of(kind, 7));
      follow(one);
      follow(other);
      assertThat(one.lines()).isEqualTo(other.lines());
    }
  }

  @Test
  void anyDeedsInAnyOrderEndInASoundState() {
    Random random = new Random(11);
    int acts = 0;
    while (acts < 10_000) {
      CaseKind kind = CaseKind.values()[random.nextInt(CaseKind.values().length)];
      CaseRun run = new CaseRun(CaseStart.of(kind, random.nextInt(1000)));
      int minutes = 0;
      while (!run.isOver() && acts++ < 10_000) {
        List<Deed> possible = new ArrayList<>(run.possible());
        possible.remove(Deed.HAND_OVER);
        Deed deed = possible.get(random.nextInt(possible.size()));
        double most = deed.changes().map(Trait::most).orElse(0.0);
        CaseRun.Line line = run.act(deed, most * (2 * random.nextDouble() - 1));
        assertThat(run.machine().isSound()).isTrue();
        assertThat(line.minute()).isEqualTo(minutes + deed.minutes());
        minutes = line.minute();
        assertThat(line.seen()).isNotEmpty();
        line.seen().forEach(m -> assertThat(Phrasebook.ENGLISH.say(m)).isNotBlank());
      }
      Score.of(run).said().forEach(m -> assertThat(Phrasebook.ENGLISH.say(m)).isNotBlank());
    }
  }

  @Test
  void whatWouldHurtStopsTheCaseAndSaysWhy() {
    Set<Guard> guards = all(WholeKind.GLASS_TUBE_GANTRY);
    record Wrong(Guard without, Deed deed, String says) {}
    for (Wrong wrong :
        List.of(
            new Wrong(Guard.WATER_ON, Deed.READ_FOCUS, "without coolant"),
            new Wrong(Guard.EXHAUST_ON, Deed.READ_FOCUS, "without exhaust"),
            new Wrong(Guard.AIR_ON, Deed.BURN_TRIAL_PIECE, "flamed"),
            new Wrong(Guard.EYEWEAR_ON, Deed.WIPE_LENS_DRY, "scratched"),
            new Wrong(Guard.EYEWEAR_ON, Deed.REPLACE_TUBE, "high voltage"))) {
      Set<Guard> less = EnumSet.copyOf(guards);
      less.remove(wrong.without());
      CaseRun run = new CaseRun(start(WholeKind.GLASS_TUBE_GANTRY, Map.of(), less));
      run.act(wrong.deed(), 0);
      assertThat(run.isOver()).isTrue();
      assertThat(Phrasebook.ENGLISH.sentence(run.stopped().orElseThrow())).contains(wrong.says());
      assertThat(run.possible()).isEmpty();
      assertThatThrownBy(() -> run.act(Deed.ASK, 0)).isInstanceOf(IllegalArgumentException.class);
    }
    CaseRun open = new CaseRun(start(WholeKind.DIODE_GANTRY, Map.of(), Set.of(Guard.MAINS_ON)));
    open.act(Deed.READ_FOCUS, 0);
    assertThat(Phrasebook.ENGLISH.sentence(open.stopped().orElseThrow())).contains("eyewear");
    CaseRun bridged = safe(WholeKind.GLASS_TUBE_GANTRY, Map.of());
    bridged.act(Deed.OPEN_LID, 0);
    assertThat(Phrasebook.ENGLISH.say(bridged.act(Deed.READ_FOCUS, 0).seen().getFirst()))
        .contains("lid is open");
    assertThat(bridged.isOver()).isFalse();
  }

  /** One state behind all readings: each fault shows wherever it would. */
  @Test
  void oneFaultShowsInEverythingThatRestsOnIt() {
    WholeMachine level = new WholeMachine(WholeKind.GLASS_TUBE_GANTRY);
    WholeMachine tilted = new WholeMachine(WholeKind.GLASS_TUBE_GANTRY);
    tilted.set(Trait.BED_Y, 5);
    assertThat(tilted.gapMm(0.5, 1) - tilted.gapMm(0.5, 0)).isEqualTo(5, within(1e-9));
    assertThat(tilted.darkness(0.5, 1)).isLessThan(0.6 * level.darkness(0.5, 1));
    assertThat(tilted.lineWidth(0.5, 1)).isGreaterThan(1.3);
    WholeMachine turned = new WholeMachine(WholeKind.GLASS_TUBE_GANTRY);
    turned.set(Trait.MIRROR_1, 12);
    assertThat(turned.power(0.5, 1)).isLessThan(turned.power(0.5, 0));
    WholeMachine warm = new WholeMachine(WholeKind.GLASS_TUBE_GANTRY);
    warm.set(Trait.COOLANT_WARM, 20);
    assertThat(warm.power(0.5, 0.5)).isEqualTo(0.8, within(1e-5));

    CaseRun run = safe(WholeKind.GLASS_TUBE_GANTRY, Map.of(Trait.SCALE_X, 20.0));
    // 20 per mille of 100 mm, and of the 0.2 m to the camera's cross.
    assertThat(Phrasebook.ENGLISH.say(run.act(Deed.BURN_TRIAL_PIECE, 0).seen().getFirst()))
        .contains("X side 10")
        .containsPattern("X side 10[12]\\.\\d");
    run.act(Deed.READ_CAMERA, 0);
    assertThat(run.known(Trait.CAMERA_X).orElseThrow().value()).isEqualTo(4, within(0.5));
  }

  @Test
  void whatWasChangedIsNotKnownUntilItIsReadAgain() {
    CaseRun run = safe(WholeKind.GLASS_TUBE_GANTRY, Map.of(Trait.BED_X, 2.0));
    run.act(Deed.READ_BED, 0);
    run.act(Deed.READ_FOCUS, 0);
    assertThat(run.known(Trait.FOCUS)).isPresent();
    run.act(Deed.LEVEL_X, -2);
    assertThat(run.known(Trait.BED_X)).isEmpty();
    assertThat(run.known(Trait.FOCUS)).isEmpty();
    assertThat(run.known(Trait.BED_Y)).isPresent();
    assertThat(run.machine().truth(Trait.BED_X)).isEqualTo(0, within(0.5));
    // Levelling lifts the middle.
    assertThat(run.machine().truth(Trait.FOCUS)).isEqualTo(-0.5, within(0.15));
    run.act(Deed.HAND_OVER, 0);
    assertThat(Score.of(run).asserted()).containsExactly(Trait.BED_X);
  }

  @Test
  void timePassesAndOtherPeopleAreAbout() {
    boolean moved = false;
    for (int seed = 0; seed < 20; seed++) {
      CaseRun run =
          new CaseRun(
              new CaseStart(
                  WholeKind.DIODE_GANTRY,
                  Message.verbatim(""),
                  Set.of(Trait.FOCUS),
                  Map.of(),
                  all(WholeKind.DIODE_GANTRY),
                  false,
                  seed));
      run.act(Deed.READ_FOCUS, 0);
      double before = run.machine().truth(Trait.LENS_DIRT);
      run.act(Deed.WAIT_A_DAY, 0);
      assertThat(run.machine().truth(Trait.LENS_DIRT)).isGreaterThan(before);
      if (!run.machine().isWithin(Trait.FOCUS)) {
        moved = true;
        assertThat(run.known(Trait.FOCUS)).isEmpty();
        assertThat(Phrasebook.ENGLISH.say(run.lines().getLast().seen().getFirst()))
            .contains("somebody");
      }
    }
    assertThat(moved).isTrue();
  }
}
