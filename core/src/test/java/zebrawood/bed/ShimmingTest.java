package zebrawood.bed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.measure.ShimStacks;
import zebrawood.measure.Verdict;

class ShimmingTest {
  private static final List<Foot> FEET =
      List.of(
          new Foot("front left", -20, 150),
          new Foot("front right", 170, 150),
          new Foot("rear left", -20, 300),
          new Foot("rear right", 170, 300));

  private static ShimReadings readings(double slopeX, double slopeY, double start, double round) {
    List<GapPoint> points = new ArrayList<>();
    for (double x : new double[] {5, 75, 145}) {
      for (double y : new double[] {5, 145}) {
        double gap = start + slopeX * x + slopeY * y;
        points.add(new GapPoint(x, y, round > 0 ? Math.round(gap / round) * round : gap));
      }
    }
    return new ShimReadings(points, 0.05, 0.2, FEET);
  }

  @Test
  void theRingLeansUpWhereTheGapIsLarger() {
    ShimFinding finding = Shimming.underHead(readings(0.004, 0, 180, 0));
    assertThat(finding.slopeXMmPerM().value()).isCloseTo(4, within(1e-9));
    assertThat(finding.slopeYMmPerM().value()).isCloseTo(0, within(1e-9));
    assertThat(finding.verdict()).isEqualTo(Verdict.ADJUST);
  }

  /**
   * An independent model in three dimensions: the column with its head turns as a rigid body about
   * its feet when they are shimmed, and the ring's plane must then be parallel to the table.
   */
  @Test
  void aRigidColumnOnTheseShimsHasItsRingParallelToTheTable() {
    Random random = new Random(2);
    for (int trial = 0; trial < 200; trial++) {
      double slopeX = (random.nextDouble() - 0.5) * 0.01;
      double slopeY = (random.nextDouble() - 0.5) * 0.01;
      ShimFinding finding = Shimming.underHead(readings(slopeX, slopeY, 180, 0));
      double[] normal = normalOfFeet(finding);
      double[] ring = unit(-slopeX, -slopeY, 1);
      double[] turned = rotateAsVerticalTo(normal, ring);
      assertThat(Math.hypot(turned[0], turned[1])).isLessThan(1e-4);
      assertThat(finding.shims()).allMatch(s -> s.thicknessMm().value() >= 0);
      assertThat(finding.shims().stream().mapToDouble(t -> t.thicknessMm().value()).min())
          .hasValue(0);
    }
  }

  /** Normal of the plane through the tops of the first three shims. */
  private static double[] normalOfFeet(ShimFinding finding) {
    double[][] top = new double[3][];
    for (int i = 0; i < 3; i++) {
      top[i] =
          new double[] {
            FEET.get(i).xMm(), FEET.get(i).yMm(), finding.shims().get(i).thicknessMm().value()
          };
    }
    double[] a = minus(top[1], top[0]);
    double[] b = minus(top[2], top[0]);
    double[] n = {a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]};
    return unit(n[0], n[1], n[2]);
  }

  private static double[] minus(double[] a, double[] b) {
    return new double[] {a[0] - b[0], a[1] - b[1], a[2] - b[2]};
  }

  private static double[] unit(double x, double y, double z) {
    double length = Math.sqrt(x * x + y * y + z * z);
    return new double[] {x / length, y / length, z / length};
  }

  /** The rotation that takes the vertical to {@code n}, applied to {@code v} (Rodrigues). */
  private static double[] rotateAsVerticalTo(double[] n, double[] v) {
    double sin = Math.hypot(n[0], n[1]);
    if (sin < 1e-15) {
      return v;
    }
    double[] k = {-n[1] / sin, n[0] / sin, 0};
    double cos = n[2];
    double dot = k[0] * v[0] + k[1] * v[1];
    double[] cross = {k[1] * v[2], -k[0] * v[2], k[0] * v[1] - k[1] * v[0]};
    double[] out = new double[3];
    for (int i = 0; i < 3; i++) {
      out[i] = v[i] * cos + cross[i] * sin + k[i] * dot * (1 - cos);
    }
    return out;
  }

  @Test
  void aBedIsRaisedWhereItIsLow() {
    ShimFinding finding = Shimming.underBed(readings(0.004, 0, 20, 0));
    assertThat(finding.slopeXMmPerM().value()).isCloseTo(-4, within(1e-9));
    assertThat(finding.shims().get(0).thicknessMm().value()).isZero();
    assertThat(finding.shims().get(1).thicknessMm().value()).isCloseTo(0.76, within(1e-9));
    assertThat(finding.advice(ENGLISH).getFirst()).startsWith("Put 0.76 mm under foot");
  }

  @Test
  void refusesFeetThatCannotTiltAnything() {
    List<GapPoint> points = readings(0, 0, 20, 0).points();
    assertThatThrownBy(() -> new ShimReadings(points, 0.1, 0.2, FEET.subList(0, 2)))
        .hasMessageContaining("at least 3 feet");
    assertThatThrownBy(() ->
            new ShimReadings(
                points,
                0.1,
                0.2,
                List.of(new Foot("a", 0, 0), new Foot("b", 50, 0), new Foot("c", 100, 0))))
        .hasMessageContaining("in one line");
  }

  @Test
  void stacksTakeTheFewestPiecesThatComeNearEnough() {
    ShimStacks stacks = new ShimStacks(List.of(0.1, 0.2, 0.5, 1.0), 0.025);
    assertThat(stacks.stackFor(0).piecesMm()).isEmpty();
    assertThat(stacks.stackFor(0.71).piecesMm()).containsExactly(0.5, 0.2);
    assertThat(stacks.stackFor(3.3).piecesMm()).containsExactly(1.0, 1.0, 1.0, 0.2, 0.1);
    assertThat(ENGLISH.say(stacks.stackFor(0.71).said())).isEqualTo("0.5 + 0.2 mm");
    assertThat(ENGLISH.say(stacks.stackFor(0.4).said())).isEqualTo("2 × 0.2 mm");
    assertThat(ENGLISH.say(stacks.stackFor(0).said())).isEqualTo("nothing");
  }

  /** Every stack of up to four pieces, tried one after the other. */
  @Test
  void noOtherStackIsBetter() {
    double[] pieces = {0.13, 0.35, 0.8};
    ShimStacks stacks = new ShimStacks(List.of(0.13, 0.35, 0.8), 0.03);
    for (double wanted = 0; wanted < 1.6; wanted += 0.01) {
      double bestMiss = wanted;
      int fewest = wanted <= 0.03 ? 0 : Integer.MAX_VALUE;
      for (int a = 0; a <= 13; a++) {
        for (int b = 0; b <= 5; b++) {
          for (int c = 0; c <= 2; c++) {
            double miss = Math.abs(a * pieces[0] + b * pieces[1] + c * pieces[2] - wanted);
            bestMiss = Math.min(bestMiss, miss);
            if (miss <= 0.03 - 1e-9) {
              fewest = Math.min(fewest, a + b + c);
            }
          }
        }
      }
      ShimStacks.Stack stack = stacks.stackFor(wanted);
      double miss = Math.abs(stack.totalMm() - wanted);
      if (fewest < Integer.MAX_VALUE) {
        assertThat(stack.piecesMm().size()).as("for %s", wanted).isLessThanOrEqualTo(fewest);
        assertThat(miss).isLessThanOrEqualTo(0.03 + 1e-9);
      } else {
        assertThat(miss).as("for %s", wanted).isLessThanOrEqualTo(bestMiss + 0.005);
      }
    }
  }

  @Test
  void stacksRefuseWhatIsNoShim() {
    assertThatThrownBy(() -> new ShimStacks(List.of(), 0.1)).hasMessageContaining("thicknesses");
    assertThatThrownBy(() -> new ShimStacks(List.of(0.001), 0.1)).hasMessageContaining("0.001");
    assertThatThrownBy(() -> new ShimStacks(List.of(0.1), 0.1).stackFor(51))
        .hasMessageContaining("51");
  }

  @Test
  void sayWhatTheStacksLeave() {
    ShimReadings readings = readings(0.004, 0.001, 180, 0.05);
    BedTask.OnShims task =
        new BedTask.OnShims(readings, true, List.of(0.1, 0.2, 0.5), Optional.empty());
    ShimFinding finding = (ShimFinding) task.solve();
    assertThat(task.afterStacksMm(finding))
        .isLessThan(finding.peakToValleyNowMm() / 2)
        .isGreaterThanOrEqualTo(0);
  }
}
