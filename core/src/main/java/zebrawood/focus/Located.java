package zebrawood.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.focus.FocusTask.ByAxes;
import zebrawood.focus.FocusTask.ByEqualWidths;
import zebrawood.focus.FocusTask.ByGauge;
import zebrawood.focus.FocusTask.ByPencil;
import zebrawood.focus.FocusTask.ByProbe;
import zebrawood.focus.RampReadings.Slope;
import zebrawood.measure.Estimate;
import zebrawood.measure.Resolution;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Where the focus is by one reading of it.
 *
 * @param gapMm empty where the reading decides nothing
 * @param depthMm of focus, where the reading tells it
 * @param lineWidthMm there, where the reading tells it
 * @param law through the readings, where there is one
 * @param axes the two foci of an oblong spot, along x and along y; else empty
 * @param probe what an autofocus was found to do; else empty
 * @param widths of a photograph; else empty
 * @param again what to read, where nothing is decided
 */
public record Located(
    Optional<Estimate> gapMm,
    OptionalDouble depthMm,
    OptionalDouble lineWidthMm,
    Optional<FittedLaw> law,
    List<Estimate> axes,
    Optional<Probe> probe,
    List<RampPhotoFinding.Sample> widths,
    List<Advice> again,
    List<Message> warnings) {
  /**
   * An autofocus as it was found.
   *
   * @param offsetMm to be added to what it chooses
   * @param scatterMm standard deviation of one probing
   */
  public record Probe(Estimate offsetMm, double scatterMm) {}

  static Located of(RampFinding f) {
    return of(
        f.verdict(),
        f.focusGapMm(),
        f.focusGapMmUncertainty(),
        f.depthOfFocusMm(),
        f.lineWidthAtFocusMm(),
        f.law(),
        List.of(),
        f.advice(),
        f.warnings());
  }

  static Located of(RampPhotoFinding f) {
    return of(
        f.verdict(),
        f.focusGapMm(),
        f.focusGapMmUncertainty(),
        f.depthOfFocusMm(),
        f.lineWidthAtFocusMm(),
        f.law(),
        f.samples(),
        f.advice(),
        f.warnings());
  }

  static Located of(LadderFinding f) {
    return of(
        f.verdict(),
        f.focusHeightMm(),
        f.focusHeightMmUncertainty(),
        f.depthOfFocusMm(),
        OptionalDouble.empty(),
        f.law(),
        List.of(),
        f.advice(),
        f.warnings());
  }

  private static Located of(
      Verdict verdict,
      OptionalDouble gap,
      OptionalDouble uncertainty,
      OptionalDouble depth,
      OptionalDouble width,
      Optional<FittedLaw> law,
      List<RampPhotoFinding.Sample> widths,
      List<Advice> advice,
      List<Message> warnings) {
    boolean decided = verdict == Verdict.ADJUST;
    return new Located(
        decided
            ? Optional.of(new Estimate(gap.getAsDouble(), uncertainty.getAsDouble()))
            : Optional.empty(),
        depth,
        width,
        law,
        List.of(),
        Optional.empty(),
        widths,
        decided ? List.of() : advice,
        warnings);
  }

  /** Without a law, a depth or axes. */
  private static Located bare(
      Optional<Estimate> gap, Optional<Probe> probe, List<Advice> again, List<Message> warnings) {
    return new Located(
        gap,
        OptionalDouble.empty(),
        OptionalDouble.empty(),
        Optional.empty(),
        List.of(),
        probe,
        List.of(),
        again,
        warnings);
  }

  private static Located plainly(double gapMm, double uncertaintyMm, List<Message> warnings) {
    return bare(
        Optional.of(new Estimate(gapMm, uncertaintyMm)), Optional.empty(), List.of(), warnings);
  }

  /** A length that nobody measured is trusted to a millimetre. */
  private static final double UNCHECKED_MM = 1;

  static Located by(ByGauge gauge) {
    double resolution = gauge.resolutionMm().orElse(UNCHECKED_MM);
    return plainly(
        gauge.lengthMm(),
        Resolution.standardDeviation(resolution),
        gauge.resolutionMm().isPresent()
            ? List.of()
            : List.of(Message.of("focus.gauge.unchecked")));
  }

  static Located by(ByPencil pencil) {
    Slope slope = pencil.board().slope();
    return plainly(
        slope.gapMm(pencil.alongMm()),
        pencil.giveOrTakeMm() / 2 * slope.riseMm() / slope.runMm(),
        List.of());
  }

  static Located by(ByEqualWidths equal) {
    Slope slope = equal.board().slope();
    double error = equal.giveOrTakeMm() / 2 / Math.sqrt(2);
    return plainly(
        slope.gapMm((equal.oneMm() + equal.otherMm()) / 2),
        error * slope.riseMm() / slope.runMm(),
        List.of());
  }

  /**
   * The gap at which the sum of both squared widths is least: each is a parabola, so that the foci
   * are weighted by how steeply their widths grow.
   */
  static Located by(ByAxes axes) {
    RampFinding x = Ramp.solve(axes.alongX());
    RampFinding y = Ramp.solve(axes.alongY());
    List<Message> warnings =
        Stream.of(x, y).flatMap(f -> f.warnings().stream()).distinct().toList();
    if (x.verdict() != Verdict.ADJUST || y.verdict() != Verdict.ADJUST) {
      List<Advice> again = new ArrayList<>();
      add(again, "focus.axes.x", x);
      add(again, "focus.axes.y", y);
      return bare(Optional.empty(), Optional.empty(), again, warnings);
    }
    Estimate focusX = estimate(x);
    Estimate focusY = estimate(y);
    double steepX = steepness(x);
    double steepY = steepness(y);
    double shareX = steepX / (steepX + steepY);
    double gap = shareX * focusX.value() + (1 - shareX) * focusY.value();
    double uncertainty =
        Math.hypot(shareX * focusX.uncertainty(), (1 - shareX) * focusY.uncertainty());
    double widest = Math.max(widthAt(x, gap), widthAt(y, gap));
    double depth = Math.min(x.depthOfFocusMm().getAsDouble(), y.depthOfFocusMm().getAsDouble());
    return new Located(
        Optional.of(new Estimate(gap, uncertainty)),
        OptionalDouble.of(depth),
        OptionalDouble.of(widest),
        Optional.empty(),
        List.of(focusX, focusY),
        Optional.empty(),
        List.of(),
        List.of(),
        warnings);
  }

  private static void add(List<Advice> again, String key, RampFinding f) {
    if (f.verdict() != Verdict.ADJUST) {
      f.advice().forEach(a -> again.add(a.at(Message.of(key))));
    }
  }

  private static Estimate estimate(RampFinding f) {
    return new Estimate(f.focusGapMm().getAsDouble(), f.focusGapMmUncertainty().getAsDouble());
  }

  /** A tenth more of the width at half of the depth: the factor of the squared distance. */
  private static double steepness(RampFinding f) {
    double half = f.depthOfFocusMm().getAsDouble() / 2;
    double width = f.lineWidthAtFocusMm().getAsDouble();
    return 0.21 * width * width / (half * half);
  }

  private static double widthAt(RampFinding f, double gapMm) {
    double off = gapMm - f.focusGapMm().getAsDouble();
    double width = f.lineWidthAtFocusMm().getAsDouble();
    return Math.sqrt(width * width + steepness(f) * off * off);
  }

  /** The scatter of the probes themselves counts, and what their reading cannot tell apart. */
  static Located by(ByProbe probe) {
    int n = probe.chosenMm().size();
    double mean = probe.chosenMm().stream().mapToDouble(d -> d).average().orElseThrow();
    double scatter =
        Math.sqrt(
            probe.chosenMm().stream().mapToDouble(d -> (d - mean) * (d - mean)).sum() / (n - 1));
    double one = Math.max(scatter, Resolution.standardDeviation(probe.resolutionMm()));
    Estimate offset =
        new Estimate(
            probe.focusGapMm() - mean,
            Math.hypot(one / Math.sqrt(n), probe.focusGapUncertaintyMm()));
    return bare(
        Optional.of(new Estimate(probe.focusGapMm(), probe.focusGapUncertaintyMm())),
        Optional.of(new Probe(offset, one)),
        List.of(),
        List.of());
  }
}
