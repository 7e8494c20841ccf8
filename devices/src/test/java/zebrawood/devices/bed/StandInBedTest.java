package zebrawood.devices.bed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.bed.BedFinding;
import zebrawood.bed.BedReadings;
import zebrawood.bed.Clockwise;
import zebrawood.bed.GapPoint;
import zebrawood.bed.Levelling;
import zebrawood.bed.Screw;
import zebrawood.bed.ScrewTurn;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Numbers;

class StandInBedTest {
  private static final double WIDTH = 600;
  private static final double DEPTH = 400;
  private static final List<Screw> SCREWS =
      List.of(
          new Screw("a", 20, 20, 0.7, Clockwise.RAISES),
          new Screw("b", 580, 20, 0.7, Clockwise.LOWERS),
          new Screw("c", 20, 380, 0.7, Clockwise.RAISES),
          new Screw("d", 580, 380, 0.7, Clockwise.RAISES));

  private static StandInBed bed(StandInBed.Variant variant, long seed) {
    return new StandInBed(variant, WIDTH, DEPTH, SCREWS, 0.1, seed);
  }

  private static BedFinding read(StandInBed bed) {
    List<GapPoint> points = new ArrayList<>();
    for (double x : new double[] {20, 300, 580}) {
      for (double y : new double[] {20, 200, 380}) {
        points.add(new GapPoint(x, y, bed.readGapMm(x, y)));
      }
    }
    return Levelling.solve(new BedReadings(points, 0.1, 0.3, SCREWS, Optional.empty()));
  }

  private static void obey(StandInBed bed, BedFinding finding) {
    for (ScrewTurn turn : finding.screws()) {
      bed.turn(turn.id(), turn.eighths() / 8.0);
    }
  }

  private static double trueHighToLowMm(StandInBed bed) {
    List<Double> gaps = new ArrayList<>();
    for (double x = 20; x <= 580; x += 40) {
      for (double y = 20; y <= 380; y += 40) {
        gaps.add(bed.trueGapMm(x, y));
      }
    }
    return Numbers.peakToValley(gaps);
  }

  @Test
  void oneRoundOfTheAdviceLevelsAlmostEveryTiltedBed() {
    int levelAfterOne = 0;
    int levelAfterTwo = 0;
    int trials = 200;
    for (int seed = 0; seed < trials; seed++) {
      StandInBed bed = bed(StandInBed.Variant.TILTED, seed);
      obey(bed, read(bed));
      levelAfterOne += trueHighToLowMm(bed) <= 0.3 ? 1 : 0;
      BedFinding second = read(bed);
      if (second.verdict() == Verdict.ADJUST) {
        obey(bed, second);
      }
      levelAfterTwo += trueHighToLowMm(bed) <= 0.35 ? 1 : 0;
    }
    assertThat(levelAfterOne / (double) trials).isGreaterThan(0.85);
    assertThat(levelAfterTwo / (double) trials).isGreaterThan(0.97);
  }

  @Test
  void aWarpedBedStaysOutAndIsToldSo() {
    for (int seed = 0; seed < 50; seed++) {
      StandInBed bed = bed(StandInBed.Variant.WARPED, seed);
      obey(bed, read(bed));
      assertThat(read(bed).verdict()).isEqualTo(Verdict.STOP);
      assertThat(trueHighToLowMm(bed)).isGreaterThan(0.3);
    }
  }

  @Test
  void readingsAreNoisyAndRoundedToTheGauge() {
    StandInBed bed = bed(StandInBed.Variant.TILTED, 4);
    List<Double> seen = new ArrayList<>();
    for (int i = 0; i < 200; i++) {
      double gap = bed.readGapMm(300, 200);
      assertThat(gap / 0.1 - Math.round(gap / 0.1)).isCloseTo(0, within(1e-9));
      seen.add(gap);
    }
    double mean = seen.stream().mapToDouble(d -> d).average().orElseThrow();
    assertThat(mean).isCloseTo(bed.trueGapMm(300, 200), within(0.06));
  }

  @Test
  void screwsObeyTheirSenseAndHavePlay() {
    StandInBed bed = bed(StandInBed.Variant.TILTED, 1);
    double before = bed.trueGapMm(580, 20);
    bed.turn("b", 0.005);
    assertThat(bed.trueGapMm(580, 20)).as("lost in the play").isEqualTo(before);
    bed.turn("b", 1);
    assertThat(bed.trueGapMm(580, 20)).as("clockwise lowers").isGreaterThan(before + 0.3);
    assertThatThrownBy(() -> bed.turn("z", 1)).hasMessageContaining("no screw z");
  }

  @Test
  void theSameNumberIsTheSameBed() {
    assertThat(bed(StandInBed.Variant.WARPED, 8).trueGapMm(100, 100))
        .isEqualTo(bed(StandInBed.Variant.WARPED, 8).trueGapMm(100, 100));
  }

  /** Against turning the screws about at random, better and better: another way to the same. */
  @Test
  void noTurningLeavesLessThanTheLeastAndSomeComesNearIt() {
    double[][] places = {
      {20, 20},
      {300, 20},
      {580, 20},
      {20, 200},
      {300, 200},
      {580, 200},
      {20, 380},
      {300, 380},
      {580, 380}
    };
    for (StandInBed.Variant variant : StandInBed.Variant.values()) {
      for (long seed = 0; seed < 10; seed++) {
        StandInBed bed = bed(variant, seed);
        double least = bed.leastPeakToValleyMm(places);
        Random random = new Random(seed);
        double found = bed.peakToValleyMm(places);
        double step = 1;
        for (int trial = 0; trial < 20_000; trial++) {
          double[] turns = new double[SCREWS.size()];
          for (int i = 0; i < turns.length; i++) {
            turns[i] = step * random.nextGaussian();
            bed.turn(SCREWS.get(i).id(), turns[i]);
          }
          double now = bed.peakToValleyMm(places);
          assertThat(now).isGreaterThanOrEqualTo(least - 1e-9);
          if (now < found) {
            found = now;
          } else {
            for (int i = 0; i < turns.length; i++) {
              bed.turn(SCREWS.get(i).id(), -turns[i]);
            }
            found = Math.max(found, bed.peakToValleyMm(places));
          }
          step = Math.max(0.02, step * 0.999);
        }
        assertThat(found).isLessThan(least + 0.08);
      }
    }
  }
}
