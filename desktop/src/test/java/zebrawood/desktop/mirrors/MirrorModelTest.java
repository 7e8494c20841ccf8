package zebrawood.desktop.mirrors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zebrawood.ledger.Figure;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Verdict;
import zebrawood.mirrors.MirrorReadings.Towards;
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
    assertThat(model.pathFrom1Mm(MarkPlace.MIRROR_2_REAR)).isEqualTo(170);
    assertThat(model.pathFrom1Mm(MarkPlace.MIRROR_2_FRONT)).isEqualTo(630);
    assertThat(model.pathFrom2Mm(MarkPlace.HEAD_FRONT_LEFT)).isEqualTo(140);
    assertThat(model.pathFrom2Mm(MarkPlace.HEAD_FRONT_RIGHT)).isEqualTo(800);
    model.mirrorOneAtProperty().set(MirrorOneAt.FRONT);
    assertThat(model.pathFrom1Mm(MarkPlace.MIRROR_2_REAR)).isEqualTo(630);
  }

  @Test
  void aTrialTurnThatWentTheOtherWayTurnsTheAdviceRound() {
    read("0 0 2 0 0 0 0 0 -2 0 -2 0");
    var before = found().finding().mirrors().get("1").sideways();
    assertThat(before.clockMinutes()).isNotZero();
    model.clockwise().getFirst().set(Towards.LEFT);
    assertThat(found().finding().mirrors().get("1").sideways().clockMinutes())
        .isEqualTo(-before.clockMinutes());
  }

  @Test
  void theBeamsDiameterTellsWhatTheOpeningCutsOff() {
    read("0 0 0 0 5 0 5 0 5 0 5 0");
    assertThat(found().visit().lostShareNow()).isEmpty();
    model.limits().getLast().set(7);
    assertThat(found().visit().lostShareNow().orElseThrow()).isBetween(0.02, 0.3);
    assertThat(found().finding().verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(found().visit().figures(found().finding()))
        .extracting(Figure::id)
        .containsExactly("wander", "offset", "misfit");
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
  void everyPlaceHasWordsOfItsOwn() {
    assertThat(List.of(MarkPlace.values()))
        .extracting(MarkPlace::words)
        .doesNotHaveDuplicates()
        .allMatch(w -> w.startsWith("Mirror 2") || w.startsWith("Head"));
    assertThat(Map.copyOf(model.marks())).hasSize(6);
  }
}
