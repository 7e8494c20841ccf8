package zebrawood.devices.whole;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import zebrawood.words.Message;

class AdviserTest {
  private static CaseRun run(Map<Trait, Double> hidden, Set<Trait> counts, Set<Guard> inOrder) {
    return new CaseRun(
        new CaseStart(
            WholeKind.GLASS_TUBE_GANTRY,
            Message.verbatim("It."),
            counts,
            hidden,
            inOrder,
            false,
            2));
  }

  private static List<Deed> followed(CaseRun run) {
    List<Deed> deeds = new ArrayList<>();
    while (!run.isOver() && deeds.size() < 100) {
      Adviser.Step step = Adviser.next(run);
      deeds.add(step.deed());
      run.act(step.deed(), step.amount());
    }
    return deeds;
  }

  @Test
  void guardsComeBeforeEverything() {
    List<Deed> deeds =
        followed(run(Map.of(), Set.of(Trait.FOCUS), Set.of(Guard.MAINS_ON, Guard.LID_SHUT)));
    assertThat(deeds)
        .containsExactly(
            Deed.LOOK_AT_GUARDS,
            Deed.PUT_EYEWEAR_ON,
            Deed.TAKE_BRIDGE_OUT,
            Deed.EXHAUST_ON,
            Deed.AIR_ON,
            Deed.WATER_ON,
            Deed.READ_FOCUS,
            Deed.HAND_OVER);
  }

  @Test
  void aTubeIsReplacedWithTheMainsOffAndDischarged() {
    CaseRun run =
        run(Map.of(Trait.TUBE_WEAK, 50.0), Set.of(Trait.TUBE_WEAK), EnumSet.allOf(Guard.class));
    List<Deed> deeds = followed(run);
    assertThat(deeds)
        .containsSubsequence(
            Deed.READ_TUBE,
            Deed.POWER_OFF,
            Deed.WAIT_DISCHARGED,
            Deed.REPLACE_TUBE,
            Deed.POWER_ON,
            Deed.READ_TUBE,
            Deed.HAND_OVER);
    assertThat(run.stopped()).isEmpty();
    assertThat(run.machine().truth(Trait.TUBE_WEAK)).isZero();
  }

  /** Its advice is of what was seen: another truth behind the same readings changes nothing. */
  @Test
  void itKnowsNoMoreThanWasSeen() {
    Map<Trait, Double> one = new EnumMap<>(Map.of(Trait.FOCUS, 3.0));
    Map<Trait, Double> other = new EnumMap<>(Map.of(Trait.FOCUS, 3.0, Trait.CAMERA_X, 9.0));
    Set<Trait> counts = Set.of(Trait.FOCUS);
    assertThat(followed(run(one, counts, EnumSet.allOf(Guard.class))))
        .isEqualTo(followed(run(other, counts, EnumSet.allOf(Guard.class))));
  }

  @Test
  void whatSomebodyElseSwitchedOffIsLookedForAgain() {
    for (int seed = 0; seed < 60; seed++) {
      CaseRun run =
          new CaseRun(
              new CaseStart(
                  WholeKind.DIODE_GANTRY,
                  Message.verbatim("It."),
                  Set.of(Trait.FOCUS),
                  Map.of(),
                  Set.of(Guard.EYEWEAR_ON, Guard.EXHAUST_ON, Guard.AIR_ON, Guard.MAINS_ON),
                  false,
                  seed));
      run.act(Deed.LOOK_AT_GUARDS, 0);
      run.act(Deed.WAIT_A_DAY, 0);
      boolean off = !run.machine().has(Guard.EXHAUST_ON);
      assertThat(Adviser.next(run).deed()).isEqualTo(off ? Deed.LOOK_AT_GUARDS : Deed.READ_FOCUS);
      followed(run);
      assertThat(run.stopped()).isEmpty();
    }
  }

  @Test
  void mainsThatSomebodySwitchedOffAreNoReasonForANewTube() {
    for (WholeKind kind : WholeKind.values()) {
      CaseRun run = new CaseRun(CaseStart.of(CaseKind.COMMISSION, seedOf(kind)));
      run.act(Deed.LOOK_AT_GUARDS, 0);
      run.act(Deed.POWER_OFF, 0);
      assertThat(followed(run)).doesNotContain(Deed.REPLACE_TUBE).contains(Deed.POWER_ON);
      assertThat(run.handedOver()).isTrue();
    }
  }

  private static long seedOf(WholeKind kind) {
    long seed = 0;
    while (CaseStart.of(CaseKind.COMMISSION, seed).kind() != kind) {
      seed++;
    }
    return seed;
  }

  @Test
  void everyKindOfMachineComesSoonWhereItCan() {
    for (CaseKind kind : CaseKind.values()) {
      Set<WholeKind> seen = EnumSet.noneOf(WholeKind.class);
      for (long seed = 1; seed <= 30; seed++) {
        seen.add(CaseStart.of(kind, seed).kind());
      }
      assertThat(seen).as(kind.id()).containsExactlyInAnyOrderElementsOf(kind.kinds());
    }
  }

  @Test
  void tooManyDeedsEndACaseAndHurtNobody() {
    CaseRun run = run(Map.of(), Set.of(Trait.FOCUS), EnumSet.allOf(Guard.class));
    while (!run.isOver()) {
      run.act(Deed.ASK, 0);
    }
    assertThat(run.stopped()).isPresent();
    assertThat(Score.of(run).dangers()).isZero();
  }
}
