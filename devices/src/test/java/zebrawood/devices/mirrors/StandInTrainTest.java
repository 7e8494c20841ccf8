package zebrawood.devices.mirrors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.devices.mirrors.StandInTrain.Kind;
import zebrawood.devices.mirrors.StandInTrain.Knob;
import zebrawood.devices.mirrors.StandInTrain.Spot;
import zebrawood.mirrors.Alignment;
import zebrawood.mirrors.MirrorFinding;
import zebrawood.mirrors.MirrorReadings;
import zebrawood.mirrors.MirrorReadings.At;
import zebrawood.mirrors.MirrorReadings.Mark;
import zebrawood.mirrors.MirrorReadings.Mount;
import zebrawood.mirrors.MirrorReadings.Screw;
import zebrawood.mirrors.MirrorReadings.Towards;
import zebrawood.mirrors.ScrewTrial;
import zebrawood.mirrors.Suspicion;

/** The linear solver against rays in three dimensions. */
class StandInTrainTest {
  /** More of them with -Dzebrawood.trains. */
  private static final int TRAINS = Integer.getInteger("zebrawood.trains", 2000);

  private static final double[] GANTRY = {250, 700};
  private static final double[] CARRIAGE = {150, 850};
  private static final double[][] CORNERS = {{400, 150}, {1100, 850}, {850, 150}, {1550, 850}};
  private static final Mount MOUNT =
      new Mount(
          new Screw(StandInTrain.ARM_MM, StandInTrain.PITCH_MM, Towards.RIGHT),
          new Screw(StandInTrain.ARM_MM, StandInTrain.PITCH_MM, Towards.UP));

  private static MirrorFinding burn(StandInTrain train, double step) {
    return Alignment.solve(marks(train, step));
  }

  private static MirrorReadings marks(StandInTrain train, double step) {
    List<Mark> marks = new ArrayList<>();
    for (double p1 : GANTRY) {
      Spot at2 = train.readAtMirror2(p1, step);
      marks.add(new Mark(At.MIRROR_2, p1, OptionalDouble.empty(), at2.rightMm(), at2.upMm()));
      for (double p2 : CARRIAGE) {
        Spot atHead = train.readAtHead(p1 + p2, p2, step);
        marks.add(
            new Mark(At.HEAD, p1 + p2, OptionalDouble.of(p2), atHead.rightMm(), atHead.upMm()));
      }
    }
    return new MirrorReadings(step, 16, 0.8, Map.of("1", MOUNT, "2", MOUNT), marks);
  }

  private static void obey(StandInTrain train, MirrorFinding f) {
    train.turn(Knob.SIDEWAYS_1, signed(f.mirrors().get("1").sideways()));
    train.turn(Knob.UP_DOWN_1, signed(f.mirrors().get("1").upDown()));
    train.turn(Knob.SIDEWAYS_2, signed(f.mirrors().get("2").sideways()));
    train.turn(Knob.UP_DOWN_2, signed(f.mirrors().get("2").upDown()));
  }

  /** As a hand turns it: to a minute of the clock's face. */
  private static double signed(MirrorFinding.Turn turn) {
    return turn.clockMinutes() / 60.0;
  }

  @Test
  void readExactlyTheAnglesOfTheRaysAreFound() {
    for (int number = 0; number < 200; number++) {
      StandInTrain train = new StandInTrain(Kind.SOUND, 8, 4, number);
      MirrorFinding f = burn(train, 1e-6);
      for (int mirror = 1; mirror <= 2; mirror++) {
        double[] truth = train.trueErrorMrad(mirror);
        MirrorFinding.Mirror m = f.mirrors().get(String.valueOf(mirror));
        // The hand's noise of 0.05 mm over 0.45 m is 0.15 mrad; small angles cost less.
        assertThat(m.beamErrorRightMrad().value()).isCloseTo(truth[0], within(0.6));
        assertThat(m.beamErrorUpMrad().value()).isCloseTo(truth[1], within(0.6));
      }
    }
  }

  @Test
  void oneRoundBringsMostAndTwoRoundsNearlyAllWithinTheLimit() {
    double[] once = new double[TRAINS];
    double[] twice = new double[TRAINS];
    int honest = 0;
    for (int i = 0; i < TRAINS; i++) {
      StandInTrain train = new StandInTrain(Kind.SOUND, 8, 4, 1000 + i);
      MirrorFinding f = burn(train, 0.5);
      for (int mirror = 1; mirror <= 2; mirror++) {
        double[] truth = train.trueErrorMrad(mirror);
        MirrorFinding.Mirror m = f.mirrors().get(String.valueOf(mirror));
        honest +=
            Math.abs(m.beamErrorRightMrad().value() - truth[0])
                    < 2 * m.beamErrorRightMrad().uncertainty()
                ? 1
                : 0;
        honest +=
            Math.abs(m.beamErrorUpMrad().value() - truth[1]) < 2 * m.beamErrorUpMrad().uncertainty()
                ? 1
                : 0;
      }
      obey(train, f);
      once[i] = train.trueWanderMm(CORNERS);
      obey(train, burn(train, 0.5));
      twice[i] = train.trueWanderMm(CORNERS);
    }
    Arrays.sort(once);
    Arrays.sort(twice);
    assertThat(once[TRAINS / 2]).isLessThan(0.7);
    assertThat(twice[TRAINS * 99 / 100]).isLessThan(1.2);
    assertThat(honest / (4.0 * TRAINS)).isBetween(0.93, 0.97);
  }

  private static MirrorReadings withRepeat(StandInTrain train, double step, MirrorReadings r) {
    List<Mark> marks = new ArrayList<>(r.marks());
    for (int i = 0; i < 2; i++) {
      Spot again = train.readAtHead(1550, 850, step);
      marks.add(new Mark(At.HEAD, 1550, OptionalDouble.of(850), again.rightMm(), again.upMm()));
    }
    return new MirrorReadings(step, 16, 0.8, r.mounts(), marks);
  }

  private static Optional<Suspicion.Kind> suspected(Kind kind, long number) {
    StandInTrain train = new StandInTrain(kind, 4, 2, number);
    MirrorReadings once = marks(train, 0.1);
    return Alignment.solve(withRepeat(train, 0.1, once)).suspicion().map(Suspicion::kind);
  }

  @Test
  void whatNoAnglesMakeIsNamedByItsSignature() {
    Map<Kind, Suspicion.Kind> names =
        Map.of(
            Kind.TWISTED_RAIL, Suspicion.Kind.TWISTED_RAIL,
            Kind.UNSQUARE_GANTRY, Suspicion.Kind.UNSQUARE_GANTRY,
            Kind.LOOSE_MOUNT, Suspicion.Kind.LOOSE_MOUNT);
    names.forEach((kind, name) -> {
      int named = 0;
      int wrongly = 0;
      for (int i = 0; i < 200; i++) {
        Optional<Suspicion.Kind> suspected = suspected(kind, i);
        named += suspected.filter(name::equals).isPresent() ? 1 : 0;
        wrongly +=
            suspected.filter(s -> s != name && s != Suspicion.Kind.NOT_NAMED).isPresent() ? 1 : 0;
      }
      assertThat(named).as("of 200 with " + kind).isGreaterThan(160);
      assertThat(wrongly).as("of 200 with " + kind).isLessThan(20);
    });
    int sound = 0;
    for (int i = 0; i < 200; i++) {
      sound += suspected(Kind.SOUND, i).isEmpty() ? 1 : 0;
    }
    assertThat(sound).as("of 200 where nothing is wrong").isGreaterThan(195);
  }

  @Test
  void aTrialTurnTellsAnyScrewsResponseAndSense() {
    int honest = 0;
    int all = 0;
    for (int i = 0; i < 500; i++) {
      StandInTrain train = StandInTrain.withUnknownScrews(Kind.SOUND, 4, 2, i);
      Knob knob = Knob.values()[i % 4];
      boolean sideways = i % 2 == 0;
      int mirror = i % 4 < 2 ? 1 : 2;
      double[] truth = train.trueErrorMrad(mirror);
      Spot before = far(train, mirror);
      train.turn(knob, 0.25);
      Spot after = far(train, mirror);
      double moved = train.trueErrorMrad(mirror)[sideways ? 0 : 1] - truth[sideways ? 0 : 1];
      var outcome =
          new ScrewTrial(
                  mirror,
                  sideways,
                  0.25,
                  after.rightMm() - before.rightMm(),
                  after.upMm() - before.upMm(),
                  mirror == 1 ? 700 : 850)
              .solve(0.5);
      if (outcome instanceof ScrewTrial.Outcome.Works(var towards, var learned)) {
        all++;
        boolean positive = towards == Towards.RIGHT || towards == Towards.UP;
        assertThat(positive).isEqualTo(moved > 0);
        honest +=
            Math.abs(learned.mradPerTurn().value() - Math.abs(moved) / 0.25)
                    <= 2 * learned.mradPerTurn().uncertainty()
                ? 1
                : 0;
      }
    }
    assertThat(all).as("trials of 500 that told").isGreaterThan(450);
    assertThat(honest / (double) all).isBetween(0.9, 1.0);
  }

  private static Spot far(StandInTrain train, int mirror) {
    return mirror == 1 ? train.readAtMirror2(700, 0.5) : train.readAtHead(1550, 850, 0.5);
  }
}
