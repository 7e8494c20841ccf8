package zebrawood.mirrors;

import static org.assertj.core.api.Assertions.assertThat;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.mirrors.MirrorReadings.At;
import zebrawood.mirrors.MirrorReadings.Mark;
import zebrawood.mirrors.MirrorReadings.Mount;
import zebrawood.mirrors.MirrorReadings.Screw;
import zebrawood.mirrors.MirrorReadings.Towards;
import zebrawood.mirrors.Suspicion.Kind;

/** Marks drawn from what is wrong, by its definition; rays make the same test elsewhere. */
class MisfitTest {
  private static final double STEP = 0.1;
  private static final Mount MOUNT =
      new Mount(new Screw(40, 0.5, Towards.RIGHT), new Screw(40, 0.5, Towards.UP));

  private final Random random = new Random(2);
  private final List<Mark> marks = new ArrayList<>();

  /** Corners of a larger grid than the usual four, with what is added at each. */
  private void burn(Added added) {
    for (double p1 : new double[] {200, 500, 800}) {
      mark(At.MIRROR_2, p1, OptionalDouble.empty(), 2 * p1 / 1000, -p1 / 1000);
      for (double p2 : new double[] {150, 500, 850}) {
        double[] more = added.at(p1, p2);
        double whole = (p1 + p2) / 1000;
        mark(At.HEAD, p1 + p2, OptionalDouble.of(p2), 1 - 2 * whole + more[0], more[1] - whole);
      }
    }
  }

  private interface Added {
    double[] at(double gantryMm, double carriageMm);
  }

  private void mark(At at, double p1, OptionalDouble p2, double right, double up) {
    double noise = STEP / Math.sqrt(12);
    marks.add(
        new Mark(
            at, p1, p2, right + noise * random.nextGaussian(), up + noise * random.nextGaussian()));
  }

  private MirrorFinding solve() {
    return Alignment.solve(
        new MirrorReadings(STEP, 16, 0.8, Map.of("1", MOUNT, "2", MOUNT), marks));
  }

  private Kind named() {
    return solve().suspicion().orElseThrow().kind();
  }

  @Test
  void marksThatFitRaiseNoSuspicion() {
    for (int i = 0; i < 200; i++) {
      marks.clear();
      burn((p1, p2) -> new double[2]);
      assertThat(solve().suspicion()).isEmpty();
    }
  }

  @Test
  void anAngleThatGrowsWithTravelIsNamedByItsAxis() {
    burn((p1, p2) -> new double[] {0, 8e-6 * p1 * p2});
    assertThat(named()).isEqualTo(Kind.TWISTED_RAIL);
    assertThat(ENGLISH.say(solve().suspicion().orElseThrow().said())).contains("mrad");
    marks.clear();
    burn((p1, p2) -> new double[] {-8e-6 * p1 * p2, 0});
    assertThat(named()).isEqualTo(Kind.UNSQUARE_GANTRY);
  }

  @Test
  void oneOddMarkIsPickedOut() {
    burn((p1, p2) -> p1 == 500 && p2 == 850 ? new double[] {1.5, -2} : new double[2]);
    assertThat(named()).isEqualTo(Kind.ONE_MARK);
    Mark odd =
        marks.stream()
            .filter(m -> m.pathFrom1Mm() == 1350 && m.rightMm() > -1)
            .findFirst()
            .orElseThrow();
    assertThat(solve().warnings(ENGLISH).getFirst())
        .contains("the head that was read " + zebrawood.quantity.Numbers.plain(odd.rightMm()));
  }

  @Test
  void twoMarksAtOnePlaceThatDisagreeAreALooseMount() {
    burn((p1, p2) -> new double[2]);
    mark(At.HEAD, 950, OptionalDouble.of(150), 1, 1);
    assertThat(named()).isEqualTo(Kind.LOOSE_MOUNT);
    assertThat(ENGLISH.say(solve().suspicion().orElseThrow().said()))
        .contains("the head", "mm apart");
  }

  @Test
  void whatHasNoPatternIsNotNamedAndTheDecidingMeasurementIsAskedFor() {
    burn((p1, p2) -> new double[] {2 * random.nextGaussian(), 2 * random.nextGaussian()});
    assertThat(named()).isEqualTo(Kind.NOT_NAMED);
    assertThat(ENGLISH.say(solve().suspicion().orElseThrow().said()))
        .contains("burn two of them again");
  }

  @Test
  void threeMarksAtTheHeadLeaveNothingToJudge() {
    mark(At.HEAD, 350, OptionalDouble.of(150), 4, 0);
    mark(At.HEAD, 1050, OptionalDouble.of(850), 0, 3);
    mark(At.HEAD, 950, OptionalDouble.of(150), -5, 1);
    assertThat(solve().suspicion()).isEmpty();
  }
}
