package zebrawood.desktop.mirrors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.sheet.Proven;
import zebrawood.ledger.Figure;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.machine.Train;
import zebrawood.measure.Verdict;
import zebrawood.mirrors.MirrorReadings.Towards;
import zebrawood.mirrors.MirrorVisit;
import zebrawood.mirrors.MirrorVisit.ScrewsBy;
import zebrawood.mirrors.MountScrew;
import zebrawood.records.mirrors.MarksSvg;
import zebrawood.records.mirrors.MirrorRecord;

class MirrorModelTest {
  private static final Machine ALDER =
      new Machine(
          "id",
          "Alder",
          Build.GANTRY_WITH_MIRRORS,
          new Source(SourceKind.CO2_GLASS_TUBE, 90, 10_600),
          700,
          500,
          BedSupport.SCREWS,
          0.3);

  private final MirrorModel model = new MirrorModel(ALDER);

  private void read(String marks) {
    String[] words = marks.split(" ");
    int next = 0;
    for (var mark : model.marks().values()) {
      mark.get(0).textProperty().set(words[next].equals("-") ? "" : words[next]);
      mark.get(1).textProperty().set(words[next + 1].equals("-") ? "" : words[next + 1]);
      next += 2;
    }
  }

  private MirrorOutcome.Found found() {
    assertThat(model.outcomeProperty().get()).isInstanceOf(MirrorOutcome.Found.class);
    return (MirrorOutcome.Found) model.outcomeProperty().get();
  }

  @Test
  void marksAreAskedForUntilTheyDecide() {
    assertThat(model.outcomeProperty().get())
        .isEqualTo(new MirrorOutcome.Waiting("Mirror 2, rear"));
    read("0 0 0 0 - - - - - - - -");
    assertThat(model.outcomeProperty().get())
        .isInstanceOfSatisfying(
            MirrorOutcome.Waiting.class,
            w -> assertThat(w.next()).contains("at least two marks at the head"));
    read("0 0 0 0 0 0 - - - - - -");
    assertThat(model.outcomeProperty().get())
        .isInstanceOfSatisfying(
            MirrorOutcome.Waiting.class,
            w -> assertThat(w.next()).contains("carriage further from mirror 2"));
    read("0 0 0 0 0 0 1 - - - - -");
    assertThat(model.outcomeProperty().get())
        .isEqualTo(new MirrorOutcome.Waiting("Head, rear right, up"));
    read("0 0 0 0 0 0 1 1 - - - -");
    assertThat(found().finding().wanderNowMm()).isCloseTo(Math.sqrt(2), within(1e-9));
  }

  @Test
  void pathsFollowFromTheMachineAndFromWhereMirrorOneStands() {
    assertThat(model.pathsMm(MarkPlace.MIRROR_2_REAR)).containsExactly(170);
    assertThat(model.pathsMm(MarkPlace.MIRROR_2_FRONT)).containsExactly(630);
    assertThat(model.pathsMm(MarkPlace.HEAD_FRONT_LEFT)).containsExactly(770, 140);
    assertThat(model.pathsMm(MarkPlace.HEAD_FRONT_RIGHT)).containsExactly(1430, 800);
    model.mirrorOneAtProperty().set(MirrorOneAt.FRONT);
    assertThat(model.pathsMm(MarkPlace.MIRROR_2_REAR)).containsExactly(630);
  }

  private int sidewaysMinutes() {
    return found().finding().alignment().orElseThrow().mirrors().get("1").sideways().clockMinutes();
  }

  private void tried(int screw, String right, String up) {
    model.screws().get(screw).trial().get(1).textProperty().set(right);
    model.screws().get(screw).trial().get(2).textProperty().set(up);
  }

  @Test
  void screwsAreTriedFirstAndTheTrialIsBelieved() {
    read("0 0 2 0 0 0 0 0 -2 0 -2 0");
    assertThat(found().finding().untried())
        .containsExactly(new MountScrew(1, true), new MountScrew(2, true));
    assertThat(found().finding().advice().getFirst())
        .startsWith("Try the sideways screw of mirror 1: a quarter turn clockwise");
    int drawn = sidewaysMinutes();
    assertThat(drawn).isNegative();
    // A quarter turn, 630 mm away: twice what the drawing says, the other way.
    tried(0, "-6.5", "0");
    assertThat(found().finding().untried()).containsExactly(new MountScrew(2, true));
    assertThat(sidewaysMinutes()).isBetween(1, -drawn / 2 + 1);
    assertThat(found().finding().advice().get(1))
        .startsWith("Turn the sideways screw of mirror 1 clockwise");
    tried(0, "0", "4");
    assertThat(found().finding().warnings())
        .anyMatch(w -> w.contains("It is the other screw of the mount"));
    tried(0, "0", "");
    assertThat(model.outcomeProperty().get())
        .isEqualTo(new MirrorOutcome.Waiting("Mirror 1, sideways, up"));
    tried(0, "", "");
    model.screwsByProperty().set(ScrewsBy.DRAWING);
    assertThat(found().finding().advice().getFirst()).startsWith("Turn the sideways screw");
    model.screws().getFirst().clockwise().set(Towards.LEFT);
    assertThat(sidewaysMinutes()).isEqualTo(-drawn);
  }

  @Test
  void theBeamsDiameterTellsWhatIsLostAtEachRim() {
    read("0 0 0 0 5 0 5 0 5 0 5 0");
    assertThat(found().finding().lost()).isEmpty();
    model.limits().get(3).set(7);
    model.limits().get(4).set(20);
    model.tube().getFirst().set(6);
    model.tube().getLast().set(-1);
    assertThat(found().finding().lost())
        .extracting(MirrorVisit.Lost::where)
        .containsExactly("mirror 1", "mirror 2", "the head");
    assertThat(found().finding().lost().getLast().share()).isBetween(0.02, 0.3);
    assertThat(found().finding().warnings())
        .anyMatch(w -> w.startsWith("The head's rim would scorch"));
    assertThat(found().finding().advice().getFirst())
        .isEqualTo(
            "Move the tube before any screw: its beam meets mirror 1 6 mm right and 1 mm below of the middle.");
    assertThat(found().finding().verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(found().visit().figures(found().finding()))
        .extracting(Figure::id)
        .containsExactly("wander", "offset", "misfit");
  }

  @Test
  void theQuickCheckAsksForCornersAndARoundMarkAndProvesNothing() {
    model.schoolProperty().set(MirrorModel.School.QUICK);
    read("- - - - 0 0 0.5 0 - - 0 0.5");
    assertThat(model.outcomeProperty().get())
        .isEqualTo(new MirrorOutcome.Waiting("whether the mark under the nozzle is round"));
    model.proofs().get(MirrorModel.Proof.ROUND).set(Proven.YES);
    assertThat(found().finding().verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(found().visit().figures(found().finding())).isEmpty();
    assertThat(MarksSvg.of(MirrorRecord.of(MirrorRecord.readings(model.typed(), found().visit()))))
        .isEmpty();
    model.proofs().get(MirrorModel.Proof.ROUND).set(Proven.NO);
    assertThat(found().finding().advice().getFirst()).contains("is not round");
    model.marks().get(MarkPlace.HEAD_FRONT_RIGHT).getFirst().set(3);
    assertThat(found().finding().advice().getFirst()).startsWith("Burn the full set of marks");
    assertThat(found().finding().verdict()).isEqualTo(Verdict.ADJUST);
  }

  @Test
  void nozzleAndDotAreLookedAtOnlyWhenTheyAreRead() {
    read("0 0 0 0 0 0 0 0 0 0 0 0");
    assertThat(found().finding().plumb()).isEmpty();
    model.plumb().get(0).set(0);
    assertThat(model.outcomeProperty().get())
        .isEqualTo(new MirrorOutcome.Waiting("High mark, rear"));
    model.plumb().get(1).set(0);
    model.plumb().get(2).set(2);
    model.plumb().get(3).set(0);
    assertThat(found().finding().verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(found().finding().advice()).anyMatch(a -> a.contains("5.2 mm left"));
    for (int i = 0; i < 4; i++) {
      model.pointer().get(i).set(i == 2 ? 2 : 1);
    }
    assertThat(found().finding().advice())
        .anyMatch(a -> a.startsWith("Move the red dot 1 mm right"));
  }

  @Test
  void otherTrainsAskForTheirOwnMarks() {
    MirrorModel one = new MirrorModel(ALDER.withTrain(new Train(List.of(45.0))));
    assertThat(one.marks().keySet()).containsExactly(MarkPlace.HIGH, MarkPlace.LOW);
    one.marks().values().forEach(m -> m.forEach(e -> e.set(0)));
    one.marks().get(MarkPlace.LOW).getFirst().set(2);
    var finding = ((MirrorOutcome.Found) one.outcomeProperty().get()).finding();
    assertThat(finding.alignment().orElseThrow().mirrors().get("1").beamErrorRightMrad())
        .isCloseTo(20, within(1e-9));
    MirrorModel three = new MirrorModel(ALDER.withTrain(new Train(List.of(45.0, 30.0, 45.0))));
    assertThat(three.marks()).hasSize(8);
    assertThat(three.pathsMm(MarkPlace.HEAD_REAR_LEFT)).containsExactly(910, 310, 140);
    assertThat(three.pathsMm(MarkPlace.MIRROR_3_FRONT)).containsExactly(1230, 630);
    three.marks().values().forEach(m -> m.forEach(e -> e.set(0)));
    assertThat(((MirrorOutcome.Found) three.outcomeProperty().get()).finding().verdict())
        .isEqualTo(Verdict.WITHIN);
  }

  @Test
  void aClickOnTheTapeIsReadToItsStepAndInchesAreUnderstood() {
    model.click(MarkPlace.HEAD_REAR_LEFT, 1.31, -0.9);
    assertThat(model.marks().get(MarkPlace.HEAD_REAR_LEFT).get(0).text()).isEqualTo("1.5");
    assertThat(model.marks().get(MarkPlace.HEAD_REAR_LEFT).get(1).text()).isEqualTo("-1");
    var entry = model.marks().get(MarkPlace.HEAD_REAR_RIGHT).getFirst();
    entry.textProperty().set("-1/16 in");
    assertThat(entry.number()).isCloseTo(-1.5875, within(1e-9));
    assertThat(entry.understood()).contains("-1/16 in is -1.6 mm");
  }

  @Test
  void aScrewThatDidNotDoWhatWasAskedIsTold() {
    read("0 0 2 0 0 0 0 0 -2 0 -2 0");
    model.setBefore(found().visit().taught());
    assertThat(found().finding().warnings())
        .anyMatch(w -> w.contains("the sideways screw of mirror 1 took off 0.0 ± "))
        .anyMatch(w -> w.contains("it has play, or was not turned as far"));
    read("0 0 0 0 0 0 0 0 0 0 0 0");
    assertThat(found().finding().warnings()).isEmpty();
    read("0 0 4 0 0 0 0 0 -4 0 -4 0");
    assertThat(found().finding().warnings())
        .anyMatch(w -> w.contains("it was turned the other way"));
  }

  @Test
  void whatIsTypedIsKeptDrawnAndFilledAgain() {
    read("0.5 -0.5 3 -1.5 -1 0 -3.5 2 -3.5 -1 -6 1");
    model.leastPulse().textProperty().set("4 mA");
    MirrorRecord kept = MirrorRecord.of(MirrorRecord.readings(model.typed(), found().visit()));
    assertThat(kept.readings()).isEqualTo(found().visit());
    assertThat(kept.readings().leastPulse()).isEqualTo("4 mA");
    assertThat(kept.readings().solve()).isEqualTo(found().finding());
    assertThat(MarksSvg.of(kept)).contains("<circle").doesNotContain("NaN");
    MirrorModel other = new MirrorModel(ALDER);
    other.type(kept.typed());
    assertThat(other.outcomeProperty().get()).isEqualTo(model.outcomeProperty().get());
    other.clearReadings();
    assertThat(other.nothingRead()).isTrue();
    assertThat(other.limits().getFirst().text()).as("the tape stays").isEqualTo("0.5");
  }

  @Test
  void whatIsNoMarkIsRefusedByName() {
    read("0 0 0 0 0 0 far 0 0 0 0 0");
    assertThat(model.outcomeProperty().get())
        .isEqualTo(
            new MirrorOutcome.Refused(
                "Head, rear right, right: \"far\" is not usable. Accepted is a number from -200 to 200 mm."));
  }

  @Test
  void theStandInIsBroughtWithinTheLimitByTheAdvice() {
    int within = 0;
    for (long number = 0; number < 40; number++) {
      MirrorModel practised = new MirrorModel(ALDER);
      MirrorPractice practice = new MirrorPractice(practised, Clock.systemUTC());
      practice.start(number);
      for (int round = 0; round < 3; round++) {
        practice.readAll();
        MirrorOutcome.Found now = (MirrorOutcome.Found) practised.outcomeProperty().get();
        if (!now.finding().untried().isEmpty()) {
          practice.obey(now);
          now = (MirrorOutcome.Found) practised.outcomeProperty().get();
          assertThat(now.finding().untried()).as("a quarter turn is enough to learn").isEmpty();
        }
        if (now.finding().verdict() == Verdict.WITHIN) {
          within++;
          assertThat(practice.words()).startsWith("Within the limit after");
          break;
        }
        practice.obey(now);
        assertThat(practised.nothingRead()).isTrue();
      }
      practice.end();
      assertThat(practice.words()).isEmpty();
    }
    assertThat(within).as("of 40, by reading tape to half a millimetre").isGreaterThan(36);
  }

  @Test
  void whatIsLooseOrBentIsNamedMendedAndThenAligned() {
    for (MirrorPractice.Task task :
        List.of(
            MirrorPractice.Task.TWISTED_RAIL,
            MirrorPractice.Task.UNSQUARE_GANTRY,
            MirrorPractice.Task.LOOSE_MOUNT)) {
      int within = 0;
      for (long number = 0; number < 20; number++) {
        MirrorModel practised = new MirrorModel(ALDER);
        practised.limits().getFirst().set(0.1);
        MirrorPractice practice = new MirrorPractice(practised, Clock.systemUTC());
        practice.taskProperty().set(task);
        practice.start(number);
        practice.readAll();
        for (int step = 0; step < 12; step++) {
          if (!(practised.outcomeProperty().get() instanceof MirrorOutcome.Found now)) {
            throw new AssertionError(practised.outcomeProperty().get());
          }
          if (now.finding().verdict() == Verdict.WITHIN) {
            within++;
            break;
          }
          practice.obey(now);
          if (practised.nothingRead()) {
            practice.readAll();
          }
        }
      }
      assertThat(within).as("of 20 with " + task).isGreaterThan(15);
    }
  }

  @Test
  void everyPlaceHasWordsOfItsOwn() {
    assertThat(List.of(MarkPlace.values())).extracting(MarkPlace::words).doesNotHaveDuplicates();
    assertThat(Map.copyOf(model.marks())).hasSize(6);
  }
}
