package zebrawood.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.focus.FocusTask.ByAxes;
import zebrawood.focus.FocusTask.ByEqualWidths;
import zebrawood.focus.FocusTask.ByGauge;
import zebrawood.focus.FocusTask.ByLadder;
import zebrawood.focus.FocusTask.ByLive;
import zebrawood.focus.FocusTask.ByPencil;
import zebrawood.focus.FocusTask.ByProbe;
import zebrawood.focus.RampReadings.Slope;
import zebrawood.measure.Estimate;
import zebrawood.measure.Resolution;
import zebrawood.quantity.Amount;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Where the focus is by one reading of it.
 *
 * @param gapMm empty where the reading decides nothing, or is on a scale of which no gap is known
 * @param heightMm on the scale of a ladder whose heights are no gaps; else empty
 * @param depthMm of focus, where the reading tells it
 * @param lineWidthMm there, where the reading tells it
 * @param law through the readings, where there is one
 * @param axes the two foci of an oblong spot, along x and along y; else empty
 * @param probe what an autofocus was found to do; else empty
 * @param widths of a photograph; else empty
 * @param again what to read, where nothing is decided
 */
public record FocusEstimate(
    Optional<Estimate> gapMm,
    Optional<Estimate> heightMm,
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

  /** Of a line that was fitted; where that decides nothing, what to read instead. */
  static FocusEstimate of(WaistFinding f) {
    return new FocusEstimate(
        f.place().filter(place -> f.decided()),
        Optional.empty(),
        f.depthOfFocusMm(),
        f.lineWidthAtFocusMm(),
        f.law(),
        List.of(),
        Optional.empty(),
        f instanceof RampPhotoFinding photo ? photo.samples() : List.of(),
        f.decided() ? List.of() : f.advice(),
        f.warnings());
  }

  /** Without a law, a depth or axes. */
  private static FocusEstimate bare(
      Optional<Estimate> gap, Optional<Probe> probe, List<Advice> again, List<Message> warnings) {
    return new FocusEstimate(
        gap,
        Optional.empty(),
        OptionalDouble.empty(),
        OptionalDouble.empty(),
        Optional.empty(),
        List.of(),
        probe,
        List.of(),
        again,
        warnings);
  }

  private static FocusEstimate plainly(double gapMm, double uncertaintyMm, List<Message> warnings) {
    return bare(
        Optional.of(new Estimate(gapMm, uncertaintyMm)), Optional.empty(), List.of(), warnings);
  }

  /** Where nobody read a height. */
  static FocusEstimate unread() {
    return bare(Optional.empty(), Optional.empty(), List.of(), List.of());
  }

  /** A length that nobody measured is trusted to a millimetre. */
  private static final double UNCHECKED_MM = 1;

  static FocusEstimate by(ByGauge gauge) {
    double resolution = gauge.resolutionMm().orElse(UNCHECKED_MM);
    return plainly(
        gauge.lengthMm(),
        Resolution.standardDeviation(resolution),
        gauge.resolutionMm().isPresent()
            ? List.of()
            : List.of(Message.of("focus.gauge.unchecked")));
  }

  static FocusEstimate by(ByPencil pencil) {
    Slope slope = pencil.board().slope();
    return plainly(
        slope.gapMm(pencil.alongMm()),
        pencil.giveOrTakeMm() / 2 * slope.riseMm() / slope.runMm(),
        List.of());
  }

  static FocusEstimate by(ByEqualWidths equal) {
    Slope slope = equal.board().slope();
    double error = equal.giveOrTakeMm() / 2 / Math.sqrt(2);
    return plainly(
        slope.gapMm((equal.oneMm() + equal.otherMm()) / 2),
        error * slope.riseMm() / slope.runMm(),
        List.of());
  }

  /** The best height, the middle of the two at which it fades, or the mean of both. */
  static FocusEstimate by(ByLive live) {
    double one = live.giveOrTakeMm() / 2;
    Optional<Estimate> middle =
        live.fadesMm().isPresent()
            ? Optional.of(
                new Estimate(
                    (live.fadesMm().getAsDouble() + live.fadesAgainMm().getAsDouble()) / 2,
                    one / Math.sqrt(2)))
            : Optional.empty();
    if (live.bestMm().isEmpty() || middle.isEmpty()) {
      return plainly(
          middle.map(Estimate::value).orElse(live.bestMm().orElse(0)),
          middle.map(Estimate::uncertainty).orElse(one),
          List.of());
    }
    // Weighted by one over the variance: the middle has half of it.
    double best = live.bestMm().getAsDouble();
    double gap = (best + 2 * middle.get().value()) / 3;
    double apart = Math.abs(best - middle.get().value());
    return plainly(
        gap,
        Math.max(one / Math.sqrt(3), apart / 2),
        apart > 2 * Math.hypot(one, middle.get().uncertainty())
            ? List.of(Message.of("focus.live.apart", Amount.mm(apart, 2)))
            : List.of());
  }

  static FocusEstimate by(ByLadder ladder) {
    FocusEstimate found = of(Ladder.solve(ladder.readings()));
    return ladder.scale().map(found::on).orElse(found);
  }

  /** What was found is a height on that scale, and a gap only where one was read there. */
  private FocusEstimate on(FocusTask.HeightScale scale) {
    Optional<Estimate> gap =
        gapMm.flatMap(height ->
            scale.gapAtBestMm().stream()
                .mapToObj(mm ->
                    new Estimate(
                        mm,
                        Math.hypot(
                            height.uncertainty(),
                            Resolution.standardDeviation(scale.resolutionMm()))))
                .findFirst());
    List<Advice> next =
        gapMm
            .map(height ->
                List.of(
                    Advice.act(
                        "focus.ladder.go",
                        Message.bare(Amount.mm(height.value(), 2)),
                        Amount.mm(height.uncertainty(), 2)),
                    Advice.read("focus.ladder.read-gap").because("focus.ladder.read-gap.why")))
            .orElse(again);
    return new FocusEstimate(
        gap, gapMm, depthMm, lineWidthMm, law, axes, probe, widths, next, warnings);
  }

  /**
   * The gap at which the sum of both squared widths is least: each is a parabola, so that the foci
   * are weighted by how steeply their widths grow.
   */
  static FocusEstimate by(ByAxes axes) {
    RampFinding x = Ramp.solve(axes.alongX());
    RampFinding y = Ramp.solve(axes.alongY());
    List<Message> warnings =
        Stream.of(x, y).flatMap(f -> f.warnings().stream()).distinct().toList();
    if (!x.decided() || !y.decided()) {
      List<Advice> again = new ArrayList<>();
      add(again, "focus.axes.x", x);
      add(again, "focus.axes.y", y);
      return bare(Optional.empty(), Optional.empty(), again, warnings);
    }
    Estimate focusX = x.focusGapMm().orElseThrow();
    Estimate focusY = y.focusGapMm().orElseThrow();
    double steepX = steepness(x);
    double steepY = steepness(y);
    double shareX = steepX / (steepX + steepY);
    double gap = shareX * focusX.value() + (1 - shareX) * focusY.value();
    double uncertainty =
        Math.hypot(shareX * focusX.uncertainty(), (1 - shareX) * focusY.uncertainty());
    double widest = Math.max(widthAt(x, gap), widthAt(y, gap));
    double depth = 2 * Math.min(reach(x, y, gap, widest, 1), reach(x, y, gap, widest, -1));
    double apart = Math.abs(focusX.value() - focusY.value());
    if (apart > depth) {
      warnings = new ArrayList<>(warnings);
      warnings.add(Message.of("focus.axes.apart", Amount.mm(apart, 2), Amount.mm(depth, 2)));
    }
    return new FocusEstimate(
        Optional.of(new Estimate(gap, uncertainty)),
        Optional.empty(),
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
    if (!f.decided()) {
      f.advice().forEach(a -> again.add(a.at(Message.of(key))));
    }
  }

  /** A tenth more of the width at half of the depth: the factor of the squared distance. */
  private static double steepness(RampFinding f) {
    double half = f.depthOfFocusMm().getAsDouble() / 2;
    double width = f.lineWidthAtFocusMm().getAsDouble();
    return 0.21 * width * width / (half * half);
  }

  /** How far from the compromise the wider axis has grown by a tenth, up or down. */
  private static double reach(RampFinding x, RampFinding y, double gap, double widest, int way) {
    double low = 0;
    double high = x.depthOfFocusMm().getAsDouble() + y.depthOfFocusMm().getAsDouble();
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (low + high) / 2;
      double there = gap + way * middle;
      if (Math.max(widthAt(x, there), widthAt(y, there)) <= GROWN * widest) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low;
  }

  private static final double GROWN = 1.1;
  private static final int HALVINGS = 40;

  private static double widthAt(RampFinding f, double gapMm) {
    double off = gapMm - f.focusGapMm().orElseThrow().value();
    double width = f.lineWidthAtFocusMm().getAsDouble();
    return Math.sqrt(width * width + steepness(f) * off * off);
  }

  /** The scatter of the probes themselves counts, and what their reading cannot tell apart. */
  static FocusEstimate by(ByProbe probe) {
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
