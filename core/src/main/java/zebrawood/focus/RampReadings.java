package zebrawood.focus;

import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * Widths of a line burnt along a tilted board. The surface rises by {@code riseMm} over {@code
 * runMm}, both and {@code alongMm} measured along the board, so that the gap to the head shrinks
 * evenly.
 *
 * @param samples at least five
 * @param gapAtStartMm from the reference on the head to the surface where {@code alongMm} is 0
 * @param widthResolutionMm what the instrument tells apart
 * @param bowMm how far the middle of the run stands above a straight-edge over its ends, less than
 *     0 for below; empty where nobody looked, and taken for straight
 */
public record RampReadings(
    List<Sample> samples,
    double runMm,
    double riseMm,
    double gapAtStartMm,
    double widthResolutionMm,
    OptionalDouble bowMm) {
  static final int LEAST_SAMPLES = 5;
  static final double LONGEST_MM = 5000;
  static final double WIDEST_MM = 50;

  /** Thinner than any wavelength that burns. */
  static final double THINNEST_MM = 1e-4;

  /** No instrument tells less apart. */
  static final double FINEST_MM = 1e-9;

  static final int MOST_SAMPLES = 20_000;

  /** Heights that lie nearer together are one. */
  private static final double LEAST_REACH_MM = 0.02;

  /** Refuses readings that were all taken at one height. */
  static void reach(String field, DoubleSummaryStatistics heightsMm) {
    double reach = heightsMm.getMax() - heightsMm.getMin();
    if (!(reach >= LEAST_REACH_MM)) {
      throw UnusableReading.of(
          field,
          Message.of("focus.found.one-height", Message.number(reach)),
          Message.of("focus.accepts.heights", Message.number(LEAST_REACH_MM)));
    }
  }

  /** One width, at a place along the board. */
  public record Sample(double alongMm, double lineWidthMm) {}

  public RampReadings {
    samples = List.copyOf(samples);
    var accepts = new Accepts().atLeast("samples", samples, LEAST_SAMPLES, "focus.count.samples");
    for (int i = 0; i < samples.size(); i++) {
      String at = "samples[" + i + "].";
      accepts
          .between(at + "alongMm", samples.get(i).alongMm, -LONGEST_MM, LONGEST_MM)
          .between(at + "lineWidthMm", samples.get(i).lineWidthMm, THINNEST_MM, WIDEST_MM);
    }
    slope(accepts, runMm, riseMm, gapAtStartMm);
    // Bowed by more, the surface falls again at one end.
    bowMm.ifPresent(mm -> accepts.between("bowMm", mm, -riseMm / 5, riseMm / 5));
    accepts
        .between("widthResolutionMm", widthResolutionMm, FINEST_MM, WIDEST_MM)
        .atMost("samples", samples, MOST_SAMPLES)
        .orThrow();
    reach(
        "samples",
        samples.stream().mapToDouble(s -> s.alongMm * riseMm / runMm).summaryStatistics());
  }

  /** Of a board that is straight. */
  public RampReadings(
      List<Sample> samples,
      double runMm,
      double riseMm,
      double gapAtStartMm,
      double widthResolutionMm) {
    this(samples, runMm, riseMm, gapAtStartMm, widthResolutionMm, OptionalDouble.empty());
  }

  /** From the reference to the surface at a place along the board. */
  public double gapMm(double alongMm) {
    return slope().gapMm(alongMm);
  }

  /** What every ramp's board must be. */
  static void slope(Accepts accepts, double runMm, double riseMm, double gapAtStartMm) {
    accepts
        .between("runMm", runMm, 1, LONGEST_MM)
        .between("riseMm", riseMm, 0.05, LONGEST_MM)
        .between("gapAtStartMm", gapAtStartMm, 0, LONGEST_MM);
    if (riseMm >= runMm) {
      accepts.complain(
          "riseMm", riseMm, Message.of("focus.accepts.less-than-run", Message.number(runMm)));
    }
  }

  Slope slope() {
    return new Slope(runMm, riseMm, gapAtStartMm, bowMm.orElse(0));
  }

  /**
   * How the gap shrinks along a board.
   *
   * @param bowMm of its middle, as an arch of a parabola
   */
  record Slope(double runMm, double riseMm, double gapAtStartMm, double bowMm) {
    double gapMm(double alongMm) {
      double share = alongMm / runMm;
      return gapAtStartMm - share * riseMm - 4 * bowMm * share * (1 - share);
    }

    double alongMm(double gapMm) {
      double risen = gapAtStartMm - gapMm;
      double steep = riseMm + 4 * bowMm;
      // steep * share - 4 * bow * share^2 = risen, written so that the bow may be nothing.
      double under = Math.max(0, steep * steep - 16 * bowMm * risen);
      return runMm * 2 * risen / (steep + Math.sqrt(under));
    }
  }
}
