package zebrawood.bed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.measure.TurnDirection;
import zebrawood.measure.Verdict;

/** Beds with an adjuster a corner, one corner of which stands low. */
class FrameTest {
  private static final double[][] CORNERS = {{0, 0}, {600, 0}, {0, 400}, {600, 400}};
  private static final List<String> NAMES = List.of("FL", "FR", "RL", "RR");

  private static List<Screw> screws() {
    List<Screw> screws = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      screws.add(new Screw(NAMES.get(i), CORNERS[i][0], CORNERS[i][1], 0.8, Clockwise.RAISES));
    }
    return screws;
  }

  /** Where each corner carries its own share of the plate. */
  private static double height(double[] corners, double x, double y) {
    double u = x / 600;
    double v = y / 400;
    return (1 - u) * (1 - v) * corners[0]
        + u * (1 - v) * corners[1]
        + (1 - u) * v * corners[2]
        + u * v * corners[3];
  }

  private static List<GapPoint> read(double[] corners, int n, Random scatter) {
    List<GapPoint> points = new ArrayList<>();
    for (int i = 0; i < n * n; i++) {
      double x = 20 + 560.0 * (i % n) / (n - 1);
      double y = 20 + 360.0 * (i / n) / (n - 1);
      points.add(new GapPoint(x, y, 10 - height(corners, x, y) + 0.02 * scatter.nextGaussian()));
    }
    return points;
  }

  private static BedFinding solve(List<GapPoint> points, Frame frame, String keep) {
    return Levelling.solve(
        new BedReadings(points, 0.05, 0.3, screws(), Optional.of(keep), Optional.of(frame)));
  }

  @Test
  void oneLowCornerOfABedThatFollowsIsOneScrewsTurn() {
    double[] low = {0, 0, 0, -1.2};
    List<GapPoint> points = read(low, 3, new Random(1));
    assertThat(solve(points, Frame.STIFF, "FL").verdict()).isEqualTo(Verdict.STOP);
    BedFinding f = solve(points, Frame.FOLLOWS, "FL");
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(f.screws().get(3).riseMm().value()).isCloseTo(1.2, within(0.12));
    assertThat(f.screws().get(3).direction()).isEqualTo(TurnDirection.CLOCKWISE);
    assertThat(f.screws().get(1).riseMm().value()).isCloseTo(0, within(0.12));
    assertThat(f.peakToValleyAfterMm()).isLessThan(0.15).isEqualTo(f.warpMm());
    BedFinding open = solve(points, Frame.NOT_KNOWN, "FL");
    assertThat(open.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(open.advice(ENGLISH).getFirst()).contains("Turn the screw RR one whole turn");
  }

  /** The turns of many twisted beds leave them level by the bed's own law, and rises are honest. */
  @Test
  void aTwistIsTurnedOut() {
    Random random = new Random(7);
    int held = 0;
    int all = 0;
    for (int i = 0; i < 200; i++) {
      double[] corners = new double[4];
      for (int k = 0; k < 4; k++) {
        corners[k] = 0.8 * random.nextGaussian();
      }
      BedFinding f = solve(read(corners, 3, random), Frame.FOLLOWS, "FL");
      for (int k = 1; k < 4; k++) {
        double rise = corners[0] - corners[k];
        all++;
        held +=
            Math.abs(f.screws().get(k).riseMm().value() - rise)
                    <= 2 * f.screws().get(k).riseMm().uncertainty()
                ? 1
                : 0;
      }
    }
    assertThat((double) held / all).isBetween(0.85, 0.99);
  }

  @Test
  void aBowIsBeyondCureHoweverItGoes() {
    List<GapPoint> points = new ArrayList<>();
    for (GapPoint p : read(new double[4], 3, new Random(3))) {
      double middle = p.xMm() == 300 && p.yMm() == 200 ? 1.5 : 0;
      points.add(new GapPoint(p.xMm(), p.yMm(), p.gapMm() + middle));
    }
    for (Frame frame : Frame.values()) {
      assertThat(solve(points, frame, "FL").verdict()).isEqualTo(Verdict.STOP);
    }
  }

  @Test
  void withThreeScrewsOrThreePlacesItIsStiff() {
    List<GapPoint> points = read(new double[] {0, 0, 0, -1.2}, 2, new Random(1));
    BedFinding three =
        Levelling.solve(
            new BedReadings(
                points,
                0.05,
                0.3,
                screws().subList(0, 3),
                Optional.of("FL"),
                Optional.of(Frame.FOLLOWS)));
    assertThat(three.warpMm()).isGreaterThan(0.3);
    BedFinding places = solve(points.subList(0, 3), Frame.FOLLOWS, "FL");
    assertThat(places.warnings(ENGLISH)).anyMatch(w -> w.contains("Three places"));
    BedFinding four = solve(points, Frame.FOLLOWS, "FL");
    assertThat(four.peakToValleyAfterMm()).isZero();
    assertThat(four.warnings(ENGLISH)).anyMatch(w -> w.contains("Four places"));
  }

  /** Four places on a plus tell no twist: its two lines cross at right angles. */
  @Test
  void placesThatTellNoTwistFitAPlane() {
    List<GapPoint> plus =
        List.of(
            new GapPoint(300, 0, 10),
            new GapPoint(300, 400, 10.4),
            new GapPoint(0, 200, 10.2),
            new GapPoint(600, 200, 10.2));
    assertThat(solve(plus, Frame.FOLLOWS, "FL").slopeYMmPerM().value()).isCloseTo(-1, within(1e-9));
  }
}
