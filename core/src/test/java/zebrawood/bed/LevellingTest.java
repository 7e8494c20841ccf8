package zebrawood.bed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.measure.Estimate;
import zebrawood.measure.TurnDirection;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;

class LevellingTest {
  private static final List<Screw> CORNERS =
      List.of(
          screw("front left", 0, 0, 0.7),
          screw("front right", 600, 0, 0.7),
          screw("rear left", 0, 400, 0.7),
          screw("rear right", 600, 400, 0.7));

  private static Screw screw(String id, double x, double y, double pitch) {
    return new Screw(id, x, y, pitch, Clockwise.RAISES);
  }

  private static BedReadings corners(double fl, double fr, double rl, double rr) {
    return new BedReadings(
        List.of(
            new GapPoint(0, 0, fl),
            new GapPoint(600, 0, fr),
            new GapPoint(0, 400, rl),
            new GapPoint(600, 400, rr)),
        0.1,
        0.3,
        CORNERS,
        Optional.empty());
  }

  private static BedReadings with(
      List<GapPoint> points, double resolution, double tolerance, List<Screw> screws, String keep) {
    return new BedReadings(points, resolution, tolerance, screws, Optional.ofNullable(keep));
  }

  @Test
  void aLargerGapIsALowerBed() {
    BedFinding finding = Levelling.solve(corners(6, 6.6, 6, 6.6));
    assertThat(finding.slopeXMmPerM().value()).isCloseTo(-1, within(1e-9));
    assertThat(finding.slopeYMmPerM().value()).isZero();
    assertThat(finding.verdict()).isEqualTo(Verdict.ADJUST);
    ScrewTurn right = finding.screws().get(1);
    assertThat(right.riseMm().value()).isPositive();
    assertThat(right.direction()).isEqualTo(TurnDirection.CLOCKWISE);
    assertThat(right.eighths()).isPositive();
  }

  @Test
  void aScrewThatLowersClockwiseIsTurnedTheOtherWay() {
    List<Screw> lowering =
        CORNERS.stream()
            .map(s -> new Screw(s.id(), s.xMm(), s.yMm(), s.pitchMm(), Clockwise.LOWERS))
            .toList();
    BedReadings readings = corners(6, 6.6, 6, 6.6);
    BedFinding finding = Levelling.solve(with(readings.points(), 0.1, 0.3, lowering, null));
    assertThat(finding.screws().get(1).direction()).isEqualTo(TurnDirection.COUNTER_CLOCKWISE);
    assertThat(finding.screws().get(1).eighths()).isNegative();
    assertThat(finding.screws().get(1).riseMm().value()).isPositive();
  }

  @Test
  void theKeptScrewStaysAndTheOthersComeToIt() {
    BedReadings readings = corners(6, 6.6, 6.3, 6.9);
    BedFinding finding = Levelling.solve(with(readings.points(), 0.1, 0.3, CORNERS, "rear right"));
    assertThat(finding.screws().get(3).direction()).isEqualTo(TurnDirection.NONE);
    assertThat(finding.screws().get(3).turns().value()).isZero();
    assertThat(finding.screws().get(0).riseMm().value()).isCloseTo(-0.9, within(1e-9));
    assertThat(finding.screws().get(0).turns().value()).isCloseTo(0.9 / 0.7, within(1e-9));
  }

  @Test
  void levelIsWithinAndAWarpStops() {
    assertThat(Levelling.solve(corners(6, 6.1, 6.1, 6)).verdict()).isEqualTo(Verdict.WITHIN);
    BedFinding warped = Levelling.solve(corners(6, 7, 7, 6));
    assertThat(warped.verdict()).isEqualTo(Verdict.STOP);
    assertThat(warped.warpMm()).isCloseTo(1, within(1e-9));
    assertThat(warped.peakToValleyAfterMm()).isEqualTo(warped.warpMm());
    assertThat(warped.advice(ENGLISH).getFirst()).contains("cannot cure", "1.00 mm of warp");
  }

  @Test
  void aFigureJustAtTheLimitIsWithin() {
    for (double start = 5; start < 8; start += 0.1) {
      double low = Math.round(10 * start + 3) / 10.0;
      double high = Math.round(10 * start) / 10.0;
      assertThat(Levelling.solve(corners(high, low, high, low)).verdict())
          .as("%s and %s", high, low)
          .isEqualTo(Verdict.WITHIN);
    }
  }

  @Test
  void aGaugeCoarserThanTheToleranceCannotProveTheBedLevel() {
    BedReadings readings = corners(6, 6, 6, 6);
    BedFinding finding = Levelling.solve(with(readings.points(), 0.5, 0.3, CORNERS, null));
    assertThat(finding.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(finding.advice(ENGLISH).getFirst()).contains("0.15 mm apart or better");
    assertThat(finding.warnings(ENGLISH).getFirst()).contains("0.5 mm").contains("0.3 mm");
    BedFinding far = Levelling.solve(with(corners(6, 8, 6, 8).points(), 0.5, 0.3, CORNERS, null));
    assertThat(far.verdict()).isEqualTo(Verdict.ADJUST);
  }

  @Test
  void threePlacesAreEnoughAndSayWhatTheyCannotShow() {
    BedFinding finding =
        Levelling.solve(
            with(corners(6, 6.6, 6.3, 0).points().subList(0, 3), 0.1, 0.3, CORNERS, null));
    assertThat(finding.warpMm()).isZero();
    assertThat(finding.warnings(ENGLISH)).anyMatch(w -> w.contains("cannot show a warp"));
  }

  /** Finds the common height of least total turning by trying many. */
  @Test
  void turnsAsLittleAsAnyCommonHeightAllows() {
    Random random = new Random(5);
    for (int trial = 0; trial < 300; trial++) {
      List<Screw> screws = new ArrayList<>();
      int count = 3 + random.nextInt(4);
      for (int i = 0; i < count; i++) {
        screws.add(
            screw(
                "s" + i,
                random.nextDouble() * 600,
                random.nextDouble() * 400,
                List.of(0.5, 0.7, 1.0, 1.25).get(random.nextInt(4))));
      }
      BedReadings corners =
          corners(
              6 + random.nextDouble(),
              6 + random.nextDouble(),
              6 + random.nextDouble(),
              6 + random.nextDouble());
      BedFinding finding = Levelling.solve(with(corners.points(), 0.01, 5, screws, null));
      double total = finding.screws().stream().mapToDouble(t -> t.turns().value()).sum();
      for (double shift = -1; shift <= 1; shift += 0.002) {
        double other = 0;
        for (int i = 0; i < count; i++) {
          other +=
              Math.abs(finding.screws().get(i).riseMm().value() + shift) / screws.get(i).pitchMm();
        }
        assertThat(total).isLessThanOrEqualTo(other + 1e-9);
      }
    }
  }

  @Test
  void aRangeOfEquallyGoodHeightsIsEnteredInItsMiddle() {
    BedFinding finding = Levelling.solve(corners(6, 6.6, 6, 6.6));
    assertThat(finding.screws().get(0).riseMm().value()).isCloseTo(-0.3, within(1e-9));
    assertThat(finding.screws().get(1).riseMm().value()).isCloseTo(0.3, within(1e-9));
  }

  @Test
  void theOrderOfReadingsDoesNotMatter() {
    Random random = new Random(9);
    List<GapPoint> points = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      points.add(new GapPoint(random.nextInt(600), random.nextInt(400), 6 + random.nextDouble()));
    }
    BedFinding first = Levelling.solve(with(points, 0.05, 0.3, CORNERS, null));
    Collections.shuffle(points, random);
    BedFinding second = Levelling.solve(with(points, 0.05, 0.3, CORNERS, null));
    assertThat(second.slopeXMmPerM().value()).isCloseTo(first.slopeXMmPerM().value(), within(1e-9));
    assertThat(second.warpMm()).isCloseTo(first.warpMm(), within(1e-9));
    assertThat(second.verdict()).isEqualTo(first.verdict());
  }

  /** Truth recovered from simulation: gaps of a known plane, rounded to the gauge. */
  @Test
  void theTrueSlopeLiesWithinTwoUncertaintiesAsOftenAsItShould() {
    Random random = new Random(21);
    int inside = 0;
    int trials = 4000;
    for (int trial = 0; trial < trials; trial++) {
      double slopeX = (random.nextDouble() - 0.5) * 0.006;
      double slopeY = (random.nextDouble() - 0.5) * 0.006;
      double start = 6 + random.nextDouble();
      List<GapPoint> points = new ArrayList<>();
      for (int i = 0; i < 25; i++) {
        double x = 150 * (i % 5);
        double y = 100 * (i / 5.0);
        double gap = start - slopeX * x - slopeY * y;
        points.add(new GapPoint(x, y, Math.round(gap * 10) / 10.0));
      }
      BedFinding f = Levelling.solve(with(points, 0.1, 0.3, CORNERS, null));
      if (Math.abs(f.slopeXMmPerM().value() - 1000 * slopeX)
          <= 2 * f.slopeXMmPerM().uncertainty()) {
        inside++;
      }
    }
    assertThat(inside / (double) trials).isBetween(0.93, 0.985);
  }

  @Test
  void roundingToEighthsCostsNoMoreThanASixteenthAtEachScrew() {
    Random random = new Random(33);
    for (int trial = 0; trial < 500; trial++) {
      BedFinding f =
          Levelling.solve(
              corners(
                  6 + random.nextDouble(),
                  6 + random.nextDouble(),
                  6 + random.nextDouble(),
                  6 + random.nextDouble()));
      assertThat(f.peakToValleyAfterEighthsMm())
          .isLessThanOrEqualTo(f.peakToValleyAfterMm() + 4 * 0.7 / 16 + 1e-9);
      for (ScrewTurn turn : f.screws()) {
        assertThat(Math.abs(turn.eighths()) / 8.0)
            .isCloseTo(turn.turns().value(), within(1 / 16.0 + 1e-9));
        assertThat(turn.direction() == TurnDirection.NONE).isEqualTo(turn.turns().value() == 0);
      }
    }
  }

  @Test
  void writesTurnsInLowestTerms() {
    assertThat(turned(3).roundedTurns()).isEqualTo("3/8");
    assertThat(turned(-10).roundedTurns()).isEqualTo("1 1/4");
    assertThat(turned(4).roundedTurns()).isEqualTo("1/2");
    assertThat(turned(16).roundedTurns()).isEqualTo("2");
    assertThat(turned(0).roundedTurns()).isEqualTo("0");
  }

  private static ScrewTurn turned(int eighths) {
    return new ScrewTurn(
        "a", new Estimate(0, 0), new Estimate(0, 0), TurnDirection.CLOCKWISE, eighths);
  }

  @Test
  void refusesWhatCannotBeUsedNamingTheField() {
    List<GapPoint> points = corners(6, 6, 6, 6).points();
    assertThatThrownBy(() -> new GapPoint(0, 0, Double.NaN)).hasMessageContaining("gapMm");
    assertThatThrownBy(() -> new GapPoint(0, 0, -1)).hasMessageContaining("gapMm is -1");
    assertThatThrownBy(() -> screw("a", 0, 0, 0)).hasMessageContaining("pitchMm");
    assertThatThrownBy(() -> with(points.subList(0, 2), 0.1, 0.3, CORNERS, null))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("at least 3 points");
    List<GapPoint> line =
        List.of(new GapPoint(0, 0, 6), new GapPoint(100, 0, 6), new GapPoint(200, 0, 6));
    assertThatThrownBy(() -> with(line, 0.1, 0.3, CORNERS, null))
        .hasMessageContaining("in one line");
    assertThatThrownBy(() -> with(points, 0, Double.NaN, CORNERS.subList(0, 2), "b"))
        .hasMessageContaining("gaugeResolutionMm")
        .hasMessageContaining("toleranceMm")
        .hasMessageContaining("at least 3 screws")
        .hasMessageContaining("keepScrew");
    assertThatThrownBy(() ->
            with(
                points,
                0.1,
                0.3,
                List.of(CORNERS.get(0), CORNERS.get(1), CORNERS.get(2), CORNERS.get(0)),
                null))
        .hasMessageContaining("\"front left\" twice");
  }
}
