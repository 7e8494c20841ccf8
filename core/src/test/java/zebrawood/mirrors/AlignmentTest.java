package zebrawood.mirrors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.measure.TurnDirection;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.mirrors.MirrorReadings.At;
import zebrawood.mirrors.MirrorReadings.Mark;
import zebrawood.mirrors.MirrorReadings.Mount;
import zebrawood.mirrors.MirrorReadings.Screw;
import zebrawood.mirrors.MirrorReadings.Towards;

class AlignmentTest {
  private static final Mount MOUNT =
      new Mount(new Screw(40, 0.5, Towards.RIGHT), new Screw(40, 0.5, Towards.DOWN));

  private static MirrorReadings readings(double resolution, List<Mark> marks) {
    return new MirrorReadings(resolution, 16, 0.8, Map.of("1", MOUNT, "2", MOUNT), marks);
  }

  private static Mark at2(double p1, double right, double up) {
    return new Mark(At.MIRROR_2, p1, OptionalDouble.empty(), right, up);
  }

  private static Mark head(double p1, double p2, double right, double up) {
    return new Mark(At.HEAD, p1, OptionalDouble.of(p2), right, up);
  }

  /** Marks of a train with these angles in mrad and offsets in mm, by the definitions alone. */
  private static List<Mark> train(double[] a1, double[] a2, double[] at2, double[] atHead) {
    List<Mark> marks = new ArrayList<>();
    for (double p1 : new double[] {300, 800}) {
      marks.add(at2(p1, at2[0] + a1[0] * p1 / 1000, at2[1] + a1[1] * p1 / 1000));
      for (double p2 : new double[] {150, 850}) {
        double whole = p1 + p2;
        marks.add(
            head(
                whole,
                p2,
                atHead[0] - a1[0] * whole / 1000 + a2[0] * p2 / 1000,
                atHead[1] + a1[1] * whole / 1000 + a2[1] * p2 / 1000));
      }
    }
    return marks;
  }

  @Test
  void theTruthOfExactMarksIsFoundInAnyOrder() {
    List<Mark> marks =
        train(
            new double[] {3, -2},
            new double[] {-4, 1.5},
            new double[] {1, 2},
            new double[] {-2, 3});
    Collections.shuffle(marks, new Random(3));
    MirrorFinding f = Alignment.solve(readings(0.1, marks));
    assertThat(f.mirrors().get("1").beamErrorRightMrad().value()).isCloseTo(3, within(1e-9));
    assertThat(f.mirrors().get("1").beamErrorUpMrad().value()).isCloseTo(-2, within(1e-9));
    assertThat(f.mirrors().get("2").beamErrorRightMrad().value()).isCloseTo(-4, within(1e-9));
    assertThat(f.mirrors().get("2").beamErrorUpMrad().value()).isCloseTo(1.5, within(1e-9));
    assertThat(f.headShiftRightMm()).isCloseTo(-2, within(1e-9));
    assertThat(f.headShiftUpMm()).isCloseTo(3, within(1e-9));
    assertThat(f.wanderAfterMm()).isCloseTo(0, within(1e-9));
    assertThat(f.wanderNowMm()).isGreaterThan(3);
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    // 2 x 0.5/40 rad is 25 mrad a turn sideways, the root of 2 instead of 2 up and down.
    assertThat(f.mirrors().get("1").sideways().turns().value()).isCloseTo(3 / 25.0, within(1e-9));
    assertThat(f.mirrors().get("1").sideways().direction())
        .as("the beam is too far right, clockwise would move it further")
        .isEqualTo(TurnDirection.COUNTER_CLOCKWISE);
    assertThat(f.mirrors().get("1").upDown().turns().value())
        .isCloseTo(2 / (1000 * Math.sqrt(2) * 0.5 / 40), within(1e-9));
    assertThat(f.mirrors().get("1").upDown().direction())
        .isEqualTo(TurnDirection.COUNTER_CLOCKWISE);
    assertThat(f.advice(ENGLISH).getFirst())
        .isEqualTo(
            "Turn the sideways screw of mirror 1 counter-clockwise by 0.12 ± 0.00 turn: 7 minutes on a clock's face.");
  }

  /** Read to 0.5 mm, as tape is: the truth lies within two of the uncertainties told. */
  @Test
  void uncertaintiesAreHonest() {
    Random random = new Random(7);
    int inside = 0;
    int all = 0;
    for (int i = 0; i < 4000; i++) {
      double[] a1 = {16 * random.nextDouble() - 8, 16 * random.nextDouble() - 8};
      double[] a2 = {16 * random.nextDouble() - 8, 16 * random.nextDouble() - 8};
      double[] off = {8 * random.nextDouble() - 4, 8 * random.nextDouble() - 4};
      List<Mark> marks =
          train(a1, a2, off, new double[] {random.nextDouble(), random.nextDouble()}).stream()
              .map(m ->
                  new Mark(
                      m.at(),
                      m.pathFrom1Mm(),
                      m.pathFrom2Mm(),
                      Math.round(m.rightMm() / 0.5) * 0.5,
                      Math.round(m.upMm() / 0.5) * 0.5))
              .toList();
      MirrorFinding f = Alignment.solve(readings(0.5, marks));
      double[][] truth = {a1, a2};
      for (int m = 1; m <= 2; m++) {
        var mirror = f.mirrors().get(String.valueOf(m));
        all += 2;
        inside +=
            Math.abs(mirror.beamErrorRightMrad().value() - truth[m - 1][0])
                    <= 2 * mirror.beamErrorRightMrad().uncertainty()
                ? 1
                : 0;
        inside +=
            Math.abs(mirror.beamErrorUpMrad().value() - truth[m - 1][1])
                    <= 2 * mirror.beamErrorUpMrad().uncertainty()
                ? 1
                : 0;
      }
    }
    assertThat(inside / (double) all).isBetween(0.93, 0.98);
  }

  @Test
  void marksThatDoNotDecideAreRefusedNamingTheOneToAdd() {
    assertThatThrownBy(() -> readings(0.5, List.of(at2(300, 0, 0), at2(800, 0, 0))))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("none at the head");
    assertThatThrownBy(() ->
            readings(
                0.5,
                List.of(
                    at2(300, 0, 0), at2(800, 0, 0), head(1000, 200, 0, 0), head(1000, 200, 1, 1))))
        .hasMessageContaining("a mark at the head with the carriage further from mirror 2");
    assertThatThrownBy(() ->
            readings(
                0.5,
                List.of(
                    at2(300, 0, 0), at2(300, 0, 0), head(500, 200, 0, 0), head(1100, 800, 1, 1))))
        .hasMessageContaining("a mark at mirror 2 with the gantry further from mirror 1");
    assertThat(
            Alignment.solve(
                    readings(
                        0.5,
                        List.of(
                            head(500, 200, 0, 0), head(1100, 800, 0, 0), head(1000, 200, 0, 0))))
                .verdict())
        .as("three marks at the head are enough")
        .isEqualTo(Verdict.WITHIN);
  }

  @Test
  void whatIsLooseIsSaidAndNoScrewIsBlamed() {
    List<Mark> marks =
        new ArrayList<>(train(new double[] {1, 0}, new double[2], new double[2], new double[2]));
    marks.set(1, head(450, 150, 4, -3));
    MirrorFinding f = Alignment.solve(readings(0.2, marks));
    assertThat(f.verdict()).isEqualTo(Verdict.STOP);
    assertThat(f.advice(ENGLISH))
        .hasSize(1)
        .first()
        .asString()
        .startsWith("Look for what is loose or bent before you turn a screw: all fit but the one")
        .contains("at the head that was read 4 right, -3 up: burn it again");
    assertThat(f.warnings(ENGLISH).getFirst())
        .contains("the worst 1.79 mm at the head that was read 4 right");
    assertThat(f.warnings(ENGLISH).get(1)).startsWith("Exact turns would leave ");
    MirrorFinding fine =
        Alignment.solve(
            readings(0.2, train(new double[2], new double[2], new double[2], new double[] {5, 0})));
    assertThat(fine.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(fine.advice(ENGLISH).get(1)).contains("5.0 mm to the left");
    assertThat(fine.mirrors().get("1").sideways().direction()).isEqualTo(TurnDirection.NONE);
  }

  @Test
  void everyBadFieldIsNamed() {
    assertThatThrownBy(() ->
            new MirrorReadings(
                0, Double.NaN, 0.8, Map.of("1", MOUNT, "3", MOUNT), List.of(head(500, 200, 0, 0))))
        .hasMessageContaining("markResolutionMm is 0")
        .hasMessageContaining("apertureMm is not a number")
        .hasMessageContaining("mounts.2 is missing")
        .hasMessageContaining("mounts.3 is an unknown mirror");
    assertThatThrownBy(() -> head(200, 500, 0, 0)).hasMessageContaining("the whole path");
    assertThatThrownBy(
            () -> new Mount(new Screw(40, 0.5, Towards.UP), new Screw(40, 0.5, Towards.UP)))
        .hasMessageContaining("\"right\" or \"left\"");
  }
}
