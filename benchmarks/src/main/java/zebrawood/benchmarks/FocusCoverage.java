package zebrawood.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import zebrawood.focus.Ladder;
import zebrawood.focus.LadderFinding;
import zebrawood.focus.LadderReadings;
import zebrawood.focus.LadderReadings.Rung;
import zebrawood.focus.Ramp;
import zebrawood.focus.RampFinding;
import zebrawood.focus.RampReadings;
import zebrawood.focus.RampReadings.Sample;
import zebrawood.measure.Verdict;

/**
 * How honest the focus is on readings that people have: few, coarse, shaken, of a burn that barely
 * marks or is wider on one side, of a board that is bowed; and on scatter alone. Beams and burns
 * are made here, by none of the solver's laws but the Gaussian beam's. Argument: how many of each.
 */
public final class FocusCoverage {
  private static final double RUN_MM = 200;

  /** Half the depth over which a width grows by a tenth, in Rayleigh ranges. */
  private static final double HALF_DEPTH = Math.sqrt(0.21);

  private final Random random = new Random(5);
  private final int count;

  private FocusCoverage(int count) {
    this.count = count;
  }

  public static void main(String[] args) {
    new FocusCoverage(args.length > 0 ? Integer.parseInt(args[0]) : 400).run();
  }

  /**
   * A ramp as somebody reads it.
   *
   * @param oneSide by which the burn is wider above the focus
   * @param bowMm how far the board's middle stands up
   * @param threshold how many times the dose in focus is what marks; 0 for a burn as wide as its
   *     beam
   */
  private record Read(
      int places, double stepMm, double scatterMm, double oneSide, double bowMm, double threshold) {
    static Read plain(int places, double stepMm, double scatterMm) {
      return new Read(places, stepMm, scatterMm, 0, 0, 0);
    }
  }

  private void run() {
    for (int n : new int[] {5, 6, 9, 15, 25}) {
      ramp("ramp, " + n + " widths to 0.02", Read.plain(n, 0.02, 0.006));
      ramp("ramp, " + n + " widths to 0.02, shaken as much", Read.plain(n, 0.02, 0.02));
    }
    ramp("ramp, 9 widths to 0.05, shaken as much", Read.plain(9, 0.05, 0.05));
    ramp("ramp, 15 widths to 0.1, shaken as much", Read.plain(15, 0.1, 0.1));
    for (double times : new double[] {2, 3, 6}) {
      ramp("ramp, dose " + times + " times", new Read(25, 0.02, 0.006, 0, 0, times));
    }
    for (double side : new double[] {0.06, 0.1, 0.2}) {
      ramp("ramp, one side wider by " + side, new Read(20, 0.02, 0.006, side, 0, 0));
      ramp("  the same, read to 0.005", new Read(20, 0.005, 0.002, side, 0, 0));
    }
    for (double bow : new double[] {0.1, 0.3}) {
      ramp("ramp, board bowed by " + bow, new Read(20, 0.02, 0.006, 0, bow, 0));
    }
    for (int n : new int[] {4, 5, 7, 11}) {
      ladder("ladder, " + n + " widths to 0.02", n, 0.02, 0.006, false);
      ladder("ladder, " + n + " widths, shaken", n, 0.02, 0.02, false);
      ladder("ladder, " + n + " scores to 0.5", n, 0.5, 0.15, true);
      ladder("ladder, " + n + " scores, shaken", n, 0.5, 0.5, true);
      scatter(n);
    }
  }

  private static double rounded(double value, double step) {
    return Math.round(value / step) * step;
  }

  private void ramp(String name, Read read) {
    Coverage coverage = new Coverage();
    for (int i = 0; i < count; i++) {
      double rayleigh = 0.8 + 3 * random.nextDouble();
      double waist = 0.1 + 0.15 * random.nextDouble();
      double focus = 8 + 3 * random.nextDouble();
      double rise = rayleigh * (4.5 + 2 * random.nextDouble());
      double start = focus + rise * (0.3 + 0.4 * random.nextDouble());
      List<Sample> samples = new ArrayList<>();
      for (int k = 0; k < read.places; k++) {
        double along = RUN_MM * (k + 0.5) / read.places;
        double share = along / RUN_MM;
        double above = start - share * rise - 4 * read.bowMm * share * (1 - share) - focus;
        double wide = waist * Math.hypot(1, above / rayleigh);
        double burnt = read.threshold > 0 ? marked(waist, wide, read.threshold) : wide;
        double side = above > 0 ? 1 + read.oneSide : 1;
        double seen = rounded(burnt * side + read.scatterMm * random.nextGaussian(), read.stepMm);
        if (burnt > 0.01 && seen > 0.001) {
          samples.add(new Sample(along, seen));
        }
      }
      if (samples.size() < 5) {
        continue;
      }
      RampFinding f = Ramp.solve(new RampReadings(samples, RUN_MM, rise, start, read.stepMm));
      coverage.count(
          f.verdict(), f.focusGapMm(), focus, HALF_DEPTH * rayleigh, !f.warnings().isEmpty());
    }
    coverage.print(name);
  }

  /** A Gaussian line of dose, wide where the beam is, that marks above a threshold. */
  private static double marked(double waist, double wide, double times) {
    double above = times * waist / wide;
    return above > 1 ? wide * Math.sqrt(Math.log(above) / 2) : 0;
  }

  private void ladder(String name, int rungs, double step, double scatter, boolean scores) {
    Coverage coverage = new Coverage();
    for (int i = 0; i < count; i++) {
      double rayleigh = 0.8 + 3 * random.nextDouble();
      double waist = 0.1 + 0.15 * random.nextDouble();
      double focus = 8 + 3 * random.nextDouble();
      double reach = rayleigh * (3 + 2 * random.nextDouble());
      double low = focus - reach * (0.25 + 0.5 * random.nextDouble());
      List<Rung> all = new ArrayList<>();
      for (int k = 0; k < rungs; k++) {
        double height = low + reach * k / (rungs - 1);
        double off = (height - focus) / rayleigh;
        double truth = scores ? 10 / (1 + off * off) : waist * Math.hypot(1, off);
        double seen = rounded(truth + scatter * random.nextGaussian(), step);
        all.add(rung(height, scores ? seen : Math.max(step, seen), scores));
      }
      LadderFinding f = Ladder.solve(new LadderReadings(all, step));
      coverage.count(
          f.verdict(), f.focusHeightMm(), focus, HALF_DEPTH * rayleigh, !f.warnings().isEmpty());
    }
    coverage.print(name);
  }

  private static Rung rung(double height, double value, boolean score) {
    OptionalDouble none = OptionalDouble.empty();
    OptionalDouble some = OptionalDouble.of(value);
    return new Rung(height, score ? none : some, score ? some : none);
  }

  /** Scores and widths that tell nothing. */
  private void scatter(int rungs) {
    int decided = 0;
    for (int i = 0; i < 2 * count; i++) {
      boolean scores = i % 2 == 0;
      double spread = random.nextBoolean() ? 1 : 6;
      List<Rung> all = new ArrayList<>();
      for (int k = 0; k < rungs; k++) {
        double step = scores ? 0.5 : 0.02;
        double level = scores ? 0 : 0.4;
        double seen = rounded(level + spread * step * random.nextGaussian(), step);
        all.add(rung(k, scores ? seen : Math.max(step, seen), scores));
      }
      LadderFinding f = Ladder.solve(new LadderReadings(all, scores ? 0.5 : 0.02));
      decided += f.verdict() == Verdict.MEASURE_AGAIN ? 0 : 1;
    }
    System.out.printf(
        "scatter alone, %d rungs: decided %.2f %%%n", rungs, Coverage.share(decided, 2 * count));
  }
}
