package zebrawood.bed;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import zebrawood.measure.Accepts;
import zebrawood.measure.Estimate;
import zebrawood.measure.PlaneFit;
import zebrawood.measure.Resolution;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Numbers;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/** The plane of the bed's surface, what it leaves over, and the verdict; for screws and shims. */
final class LevelFit {
  /** Below a nanometre a rise is the rounding of the sum, not a height. */
  static final double NOTHING_MM = 1e-9;

  private static final int MOST_POINTS = 10_000;

  /** Feet or screws of one bed. */
  static final int MOST_FEET = 100;

  /** No gauge tells less apart, and no bed is truer. */
  private static final double FINEST_MM = 1e-9;

  /** A bed that leans more has fallen over. */
  private static final double STEEPEST_MM_PER_M = 300;

  /** No screw or shim moves a bed further. */
  static final double HIGHEST_MM = 300;

  private final List<GapPoint> points;
  private final double gaugeResolutionMm;
  private final double toleranceMm;
  private final PlaneFit plane;
  private final PlaneFit surface;
  final double nowMm;
  final double warpMm;

  LevelFit(List<GapPoint> points, double gaugeResolutionMm, double toleranceMm) {
    this(points, gaugeResolutionMm, toleranceMm, false);
  }

  /**
   * @param twisting whether a twist is fitted as well, where the places tell it
   */
  LevelFit(List<GapPoint> points, double gaugeResolutionMm, double toleranceMm, boolean twisting) {
    this.points = points;
    this.gaugeResolutionMm = gaugeResolutionMm;
    this.toleranceMm = toleranceMm;
    double error = Resolution.standardDeviation(gaugeResolutionMm);
    plane = PlaneFit.of(points, p -> -p.gapMm(), error);
    surface = twisting ? PlaneFit.twisted(points, p -> -p.gapMm(), error).orElse(plane) : plane;
    for (Estimate slope : List.of(plane.slopeX(), plane.slopeY())) {
      Accepts.canExist("points", "bed.slope", 1000 * slope.value(), STEEPEST_MM_PER_M);
      Accepts.canExist("points", "bed.slope", 1000 * slope.uncertainty(), STEEPEST_MM_PER_M);
    }
    this.nowMm = afterMm(p -> 0);
    this.warpMm = Numbers.snap(Numbers.peakToValley(surface.residualsMm()), NOTHING_MM);
  }

  static void check(
      Accepts accepts, List<GapPoint> points, double gaugeResolutionMm, double toleranceMm) {
    accepts
        .atLeast("points", points, 3, "bed.count.points")
        .notInOneLine("points", points)
        .atMost("points", points, MOST_POINTS)
        .between("gaugeResolutionMm", gaugeResolutionMm, FINEST_MM, 20)
        .between("toleranceMm", toleranceMm, FINEST_MM, 100);
  }

  /** The plane nearest to the bed: positive slopes rise to the right and to the rear. */
  PlaneFit plane() {
    return plane;
  }

  /** The same, or the twisted surface where a twist is fitted. */
  PlaneFit surface() {
    return surface;
  }

  boolean warped() {
    return exceeds(warpMm);
  }

  boolean twisted() {
    return surface != plane;
  }

  /** Highest to lowest of all places, when the bed is raised by this much at each. */
  double afterMm(ToDoubleFunction<GapPoint> riseMm) {
    List<Double> heights = new ArrayList<>(points.size());
    for (GapPoint point : points) {
      heights.add(riseMm.applyAsDouble(point) - point.gapMm());
    }
    return Numbers.peakToValley(heights);
  }

  Spot highest() {
    return spot(true);
  }

  Spot lowest() {
    return spot(false);
  }

  private Spot spot(boolean highest) {
    List<Double> residuals = surface.residualsMm();
    int best = 0;
    for (int i = 1; i < residuals.size(); i++) {
      boolean higher = residuals.get(i) > residuals.get(best);
      boolean lower = residuals.get(i) < residuals.get(best);
      best = (highest ? higher : lower) ? i : best;
    }
    return new Spot(points.get(best).xMm(), points.get(best).yMm(), residuals.get(best));
  }

  /**
   * Within, adjust or stop by the figures alone. A gauge coarser than the tolerance can still show
   * a bed that is out by more than a step of the gauge; closer than that it cannot decide.
   */
  Verdict verdict() {
    Verdict byFigures =
        exceeds(nowMm) ? exceeds(warpMm) ? Verdict.STOP : Verdict.ADJUST : Verdict.WITHIN;
    if (gaugeResolutionMm <= toleranceMm) {
      return byFigures;
    }
    double deciding = byFigures == Verdict.STOP ? warpMm : nowMm;
    return exceeds(deciding - gaugeResolutionMm) ? byFigures : Verdict.MEASURE_AGAIN;
  }

  /** A figure just at the limit does not exceed it, whatever the rounding of its sum. */
  private boolean exceeds(double mm) {
    return mm > toleranceMm + NOTHING_MM;
  }

  List<Message> warnings() {
    List<Message> warnings = new ArrayList<>();
    if (gaugeResolutionMm > toleranceMm) {
      warnings.add(
          Message.of(
              "bed.level-fit.gauge-tells-apart",
              Amount.plain(gaugeResolutionMm, Quantity.LENGTH),
              Amount.plain(toleranceMm, Quantity.LENGTH)));
    }
    if (surface.degreesOfFreedom() == 0) {
      warnings.add(
          Message.of(
              twisted()
                  ? "bed.level-fit.four-places-cannot"
                  : "bed.level-fit.three-places-cannot"));
    }
    return warnings;
  }

  Advice finerGauge() {
    return Advice.read(
        "bed.level-fit.read-same-places", Amount.plain(toleranceMm / 2, Quantity.LENGTH));
  }

  Advice noCure(Message what) {
    Spot high = highest();
    Spot low = lowest();
    return Advice.act("bed.level-fit.cannot-cure-what", what)
        .because(
            "bed.level-fit.warp-limit-highest",
            Amount.of(warpMm, Quantity.LENGTH, 2),
            Amount.plain(toleranceMm, Quantity.LENGTH),
            Amount.of(high.xMm(), Quantity.NUMBER, 0),
            Amount.of(high.yMm(), Quantity.NUMBER, 0),
            Amount.of(low.xMm(), Quantity.NUMBER, 0),
            Amount.of(low.yMm(), Quantity.NUMBER, 0));
  }

  Advice alreadyWithin() {
    return Advice.leave("bed.level-fit.leave")
        .because(
            "bed.level-fit.highest-lowest-limit",
            Amount.of(nowMm, Quantity.LENGTH, 2),
            Amount.plain(toleranceMm, Quantity.LENGTH));
  }
}
