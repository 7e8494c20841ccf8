package zebrawood.desktop.mirrors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.desktop.Models.ALDER;
import static zebrawood.desktop.Models.advice;
import static zebrawood.desktop.Models.finding;
import static zebrawood.desktop.Models.found;
import static zebrawood.desktop.Models.refusal;
import static zebrawood.desktop.Models.said;
import static zebrawood.desktop.Models.waitsFor;
import static zebrawood.desktop.Models.warnings;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.desktop.Models;
import zebrawood.desktop.form.Field;
import zebrawood.ledger.Figure;
import zebrawood.machine.Train;
import zebrawood.machine.Train.GantryEnd;
import zebrawood.machine.Train.TravelEnd;
import zebrawood.measure.Verdict;
import zebrawood.mirrors.MirrorReadings.Towards;
import zebrawood.mirrors.MirrorVisitReadings;
import zebrawood.mirrors.MirrorVisitReadings.ScrewsBy;
import zebrawood.mirrors.MountScrew;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.picture.SvgCanvas;
import zebrawood.words.Message;

class MirrorsModelTest {
  private final MirrorsModel work = new MirrorsModel(ALDER, DisplayUnits.METRIC);

  private void type(String... pairs) {
    Models.type(work, pairs);
  }

  private void read(String marks) {
    String[] words = marks.split(" ");
    work.form()
        .allAtOnce(() -> {
          int next = 0;
          for (MarkFields mark : work.marks.values()) {
            mark.right().textProperty().set(words[next].equals("-") ? "" : words[next]);
            mark.up().textProperty().set(words[next + 1].equals("-") ? "" : words[next + 1]);
            next += 2;
          }
        });
  }

  @Test
  void marksAreAskedForUntilTheyDecide() {
    assertThat(waitsFor(work)).isEqualTo("Mirror 2, rear");
    read("0 0 0 0 - - - - - - - -");
    assertThat(waitsFor(work)).contains("at least two marks at the head");
    read("0 0 0 0 0 0 - - - - - -");
    assertThat(waitsFor(work)).contains("carriage further from mirror 2");
    read("0 0 0 0 0 0 1 - - - - -");
    assertThat(waitsFor(work)).isEqualTo("Head, rear right, up");
    read("0 0 0 0 0 0 1 1 - - - -");
    assertThat(finding(work).alignment().orElseThrow().wanderNowMm())
        .isCloseTo(Math.sqrt(2), within(1e-9));
  }

  @Test
  void pathsFollowFromTheMachineAndFromWhereTheMirrorsStand() {
    BeamLegs legs = work.legs;
    assertThat(legs.pathsMm(MarkPlace.MIRROR_2_REAR)).containsExactly(170);
    assertThat(legs.pathsMm(MarkPlace.MIRROR_2_FRONT)).containsExactly(630);
    assertThat(legs.pathsMm(MarkPlace.HEAD_FRONT_LEFT)).containsExactly(770, 140);
    assertThat(legs.pathsMm(MarkPlace.HEAD_FRONT_RIGHT)).containsExactly(1430, 800);
    legs.railAt().set(TravelEnd.FRONT);
    assertThat(legs.pathsMm(MarkPlace.MIRROR_2_REAR)).containsExactly(630);
    legs.lastAt().set(GantryEnd.RIGHT);
    assertThat(legs.pathsMm(MarkPlace.HEAD_FRONT_RIGHT)).containsExactly(310, 140);
    assertThat(legs.furthestAfter(2)).isEqualTo(MarkPlace.HEAD_REAR_LEFT);
    MirrorsModel told =
        new MirrorsModel(
            ALDER.withTrain(
                new Train(
                    List.of(45.0, 45.0),
                    java.util.Optional.of(GantryEnd.RIGHT),
                    java.util.Optional.of(TravelEnd.FRONT),
                    Optional.empty())),
            DisplayUnits.METRIC);
    assertThat(told.legs.pathsMm(MarkPlace.HEAD_FRONT_RIGHT))
        .as("as the machine is known to be")
        .containsExactly(310, 140);
  }

  private int sidewaysMinutes() {
    return finding(work).alignment().orElseThrow().mirrors().get("1").sideways().clockMinutes();
  }

  private void tried(String right, String up) {
    type("trial.1.sideways.right", right, "trial.1.sideways.up", up);
  }

  @Test
  void screwsAreTriedFirstAndTheTrialIsBelieved() {
    read("0 0 2 0 0 0 0 0 -2 0 -2 0");
    assertThat(finding(work).untried())
        .containsExactly(new MountScrew(1, true), new MountScrew(2, true));
    assertThat(advice(work).getFirst())
        .startsWith("Try the sideways screw of mirror 1: a quarter turn clockwise");
    int drawn = sidewaysMinutes();
    assertThat(drawn).isNegative();
    // A quarter turn, 630 mm away: twice what the drawing says, the other way.
    tried("-6.5", "0");
    assertThat(finding(work).untried()).containsExactly(new MountScrew(2, true));
    assertThat(sidewaysMinutes()).isBetween(1, -drawn / 2 + 1);
    assertThat(advice(work).get(1)).startsWith("Turn the sideways screw of mirror 1 clockwise");
    tried("0", "4");
    assertThat(warnings(work)).anyMatch(w -> w.contains("It is the other screw of the mount"));
    tried("0", "");
    assertThat(waitsFor(work)).isEqualTo("Mirror 1, sideways, up");
    tried("", "");
    work.screws.by().set(ScrewsBy.DRAWING);
    assertThat(advice(work).getFirst()).startsWith("Turn the sideways screw");
    work.screws.all().getFirst().clockwise().set(Towards.LEFT);
    assertThat(sidewaysMinutes()).isEqualTo(-drawn);
  }

  @Test
  void theBeamsDiameterTellsWhatIsLostAtEachRim() {
    read("0 0 0 0 5 0 5 0 5 0 5 0");
    assertThat(finding(work).lost()).isEmpty();
    type("beam", "7", "face", "20", "reading.tube.right", "6", "reading.tube.up", "-1");
    assertThat(finding(work).lost())
        .extracting(lost -> said(lost.where()))
        .containsExactly("mirror 1", "mirror 2", "the head");
    assertThat(finding(work).lost().getLast().share()).isBetween(0.02, 0.3);
    assertThat(warnings(work)).anyMatch(w -> w.contains("the head would scorch"));
    assertThat(advice(work).getFirst())
        .isEqualTo(
            "Move the tube before any screw: its beam meets mirror 1 6 mm right and 1 mm below of the middle.");
    assertThat(finding(work).verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(work.figures(found(work)))
        .extracting(Figure::id)
        .containsExactly("wander", "offset", "misfit");
  }

  @Test
  void theQuickCheckAsksForCornersAndARoundMarkAndProvesNothing() {
    work.way.set(MirrorsWay.QUICK);
    assertThat(work.place().head()).as("the tape that is drawn").isTrue();
    read("- - - - 0 0 0.5 0 - - 0 0.5");
    assertThat(waitsFor(work)).isEqualTo("whether the mark under the nozzle is round");
    type("reading.proof.round", "YES");
    assertThat(finding(work).verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(work.figures(found(work))).isEmpty();
    assertThat(work.hasPaperDrawing()).isFalse();
    type("reading.proof.round", "NO");
    assertThat(advice(work).getFirst()).contains("is not round");
    type("reading.head_front_right.right", "3");
    assertThat(advice(work).getFirst()).startsWith("Burn the full set of marks");
    assertThat(finding(work).verdict()).isEqualTo(Verdict.ADJUST);
  }

  @Test
  void nozzleAndDotAreLookedAtOnlyWhenTheyAreRead() {
    read("0 0 0 0 0 0 0 0 0 0 0 0");
    assertThat(finding(work).plumb()).isEmpty();
    type("reading.high.right", "0");
    assertThat(waitsFor(work)).isEqualTo("High mark, rear");
    type("reading.high.rear", "0", "reading.low.right", "2", "reading.low.rear", "0");
    assertThat(finding(work).verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(advice(work)).anyMatch(a -> a.contains("5.2 mm left"));
    type("reading.dot.right", "1", "reading.dot.rear", "1");
    type("reading.dot.low.right", "2", "reading.dot.low.rear", "1");
    assertThat(advice(work)).anyMatch(a -> a.startsWith("Move the red pointer 1 mm right"));
  }

  @Test
  void otherTrainsAskForTheirOwnMarks() {
    MirrorsModel one =
        new MirrorsModel(ALDER.withTrain(new Train(List.of(45.0))), DisplayUnits.METRIC);
    assertThat(one.marks.keySet()).containsExactly(MarkPlace.HIGH, MarkPlace.LOW);
    one.marks.values().forEach(m -> m.set(0, 0));
    one.marks.get(MarkPlace.LOW).right().set(2);
    assertThat(
            finding(one).alignment().orElseThrow().mirrors().get("1").beamErrorRightMrad().value())
        .isCloseTo(20, within(1e-9));
    MirrorsModel three =
        new MirrorsModel(
            ALDER.withTrain(new Train(List.of(45.0, 30.0, 45.0))), DisplayUnits.METRIC);
    assertThat(three.marks).hasSize(8);
    assertThat(three.legs.pathsMm(MarkPlace.HEAD_REAR_LEFT)).containsExactly(910, 310, 140);
    assertThat(three.legs.pathsMm(MarkPlace.MIRROR_3_FRONT)).containsExactly(1230, 630);
    three.marks.values().forEach(m -> m.set(0, 0));
    assertThat(finding(three).verdict()).isEqualTo(Verdict.WITHIN);
    for (MirrorsModel each : List.of(one, three)) {
      assertThat(drawn(each)).contains("<circle").doesNotContain("NaN");
    }
  }

  private static String drawn(MirrorsModel work) {
    SvgCanvas canvas = new SvgCanvas(382, 352);
    work.draw(canvas);
    return canvas.svg();
  }

  @Test
  void aClickOnTheTapeIsReadToItsStepAndInchesAreUnderstood() {
    MarkFields mark = work.marks.get(MarkPlace.HEAD_REAR_LEFT);
    work.focused(java.util.Optional.<Field>of(mark.right()));
    MarksPicture picture = new MarksPicture(work, 382, 352);
    double[] at = picture.at(140, 100).orElseThrow();
    work.pressed(140, 100, 382, 352);
    assertThat(mark.right().number()).isCloseTo(at[0], within(0.25));
    assertThat(mark.up().number()).isCloseTo(at[1], within(0.25));
    assertThat(mark.right().number() * 2 % 1).isZero();
    assertThat(picture.at(140, 340)).as("below the tape").isEmpty();
    type("reading.head_rear_right.right", "-1/16 in");
    var typed = work.marks.get(MarkPlace.HEAD_REAR_RIGHT).right();
    assertThat(typed.number()).isCloseTo(-1.5875, within(1e-9));
    assertThat(said(typed.understood().orElseThrow())).contains("-1/16 in is -1.5875 mm");
  }

  @Test
  void aScrewThatDidNotDoWhatWasAskedIsTold() {
    read("0 0 2 0 0 0 0 0 -2 0 -2 0");
    work.setBefore(found(work).readings().taught());
    assertThat(warnings(work))
        .anyMatch(w -> w.contains("the sideways screw of mirror 1 took off 0.0 ± "))
        .anyMatch(w -> w.contains("it has play, or was not turned as far"));
    read("0 0 0 0 0 0 0 0 0 0 0 0");
    assertThat(warnings(work)).isEmpty();
    read("0 0 4 0 0 0 0 0 -4 0 -4 0");
    assertThat(warnings(work)).anyMatch(w -> w.contains("it was turned the other way"));
  }

  @Test
  void whatIsTypedIsFilledAgainAndDrawn() {
    read("0.5 -0.5 3 -1.5 -1 0 -3.5 2 -3.5 -1 -6 1");
    work.leastPulse.set("4 mA");
    assertThat(drawn(work)).contains("<circle").doesNotContain("NaN");
    MirrorsModel other = new MirrorsModel(ALDER, DisplayUnits.METRIC);
    other.form().type(work.form().typed());
    assertThat(other.outcome()).isEqualTo(work.outcome());
    MirrorVisitReadings visit = found(other).readings();
    assertThat(visit.leastPulse()).isEqualTo("4 mA");
    other.form().clearReadings();
    assertThat(other.form().nothingRead()).isTrue();
    assertThat(other.resolution.text()).as("the tape stays").isEqualTo("0.5");
  }

  @Test
  void whatIsNoMarkIsRefusedByName() {
    read("0 0 0 0 0 0 far 0 0 0 0 0");
    assertThat(refusal(work))
        .isEqualTo("Head, rear right, right: far is no number. Accepted is -200 mm to 200 mm.");
  }

  @Test
  void theStandInIsBroughtWithinTheLimitByTheAdvice() {
    int within = 0;
    for (long number = 0; number < 40; number++) {
      MirrorsModel practised = new MirrorsModel(ALDER, DisplayUnits.METRIC);
      MirrorPractice practice = new MirrorPractice(practised);
      practice.start(number);
      for (int round = 0; round < 3; round++) {
        practice.readAll();
        if (!finding(practised).untried().isEmpty()) {
          practice.obey(found(practised));
          assertThat(finding(practised).untried())
              .as("a quarter turn is enough to learn")
              .isEmpty();
        }
        if (practised.outcome().within()) {
          within++;
          assertThat(said(practice.words().orElseThrow())).startsWith("In order. Rounds");
          break;
        }
        practice.obey(found(practised));
        assertThat(practised.form().nothingRead()).isTrue();
      }
      practice.end();
      assertThat(practice.words()).isEmpty();
    }
    assertThat(within).as("of 40, by reading tape to half a millimetre").isGreaterThan(36);
  }

  @ParameterizedTest
  @EnumSource(names = "SOUND", mode = EnumSource.Mode.EXCLUDE)
  void whatIsLooseOrBentIsNamedMendedAndThenAligned(MirrorPractice.Task task) {
    int within = 0;
    for (long number = 0; number < 20; number++) {
      MirrorsModel practised = new MirrorsModel(ALDER, DisplayUnits.METRIC);
      practised.resolution.set(0.1);
      MirrorPractice practice = new MirrorPractice(practised);
      practice.task().set(task);
      practice.start(number);
      practice.readAll();
      for (int step = 0; step < 12 && !practised.outcome().within(); step++) {
        practice.obey(found(practised));
        if (practised.form().nothingRead()) {
          practice.readAll();
        }
      }
      within += practised.outcome().within() ? 1 : 0;
    }
    assertThat(within).as("of 20").isGreaterThan(15);
  }

  @Test
  void everyPlaceHasWordsOfItsOwn() {
    assertThat(List.of(MarkPlace.values()))
        .extracting(place -> said(Message.of(place)))
        .doesNotHaveDuplicates();
    assertThat(Map.copyOf(work.marks)).hasSize(6);
  }
}
