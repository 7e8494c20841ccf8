package zebrawood.focus;

import zebrawood.measure.Accepts;
import zebrawood.quantity.Amount;
import zebrawood.words.Message;

/**
 * Which ramp shows a focus that is only roughly known?
 *
 * <p>In: the gap where the focus is thought to be and how far it may be off, the lens's depth of
 * focus, the board's length and the clearance that the head needs. Out: rise and gap at the start,
 * in mm. The board must cover twice the depth beyond where the focus may be, on both sides: there
 * the line is twice as wide as at its thinnest. The gap at its end is never less than the
 * clearance; where it would be, the board cannot reach so near, and that is told.
 *
 * @param riseMm over the board's length
 * @param gapAtStartMm where the line begins
 * @param tooNear whether the clearance cuts the ramp short
 * @param everyMm along the board between widths worth reading: a quarter of the depth each
 */
public record RampPlan(double riseMm, double gapAtStartMm, boolean tooNear, double everyMm) {
  private static final double BEYOND_DEPTHS = 2;
  private static final double STEEPEST = 0.5;
  private static final double PER_DEPTH = 4;

  public static RampPlan of(
      double focusGapMm, double unsureMm, double depthMm, double runMm, double clearanceMm) {
    new Accepts()
        .between("focusGapMm", focusGapMm, 0, RampReadings.LONGEST_MM)
        .between("unsureMm", unsureMm, 0, 500)
        .positive("depthMm", depthMm, 200)
        .positive("runMm", runMm, RampReadings.LONGEST_MM)
        .between("clearanceMm", clearanceMm, 0, 500)
        .orThrow();
    double half = unsureMm + BEYOND_DEPTHS * depthMm;
    double start = focusGapMm + half;
    double end = Math.max(clearanceMm, focusGapMm - half);
    double rise = Math.min(start - end, STEEPEST * runMm);
    return new RampPlan(
        rise,
        start,
        focusGapMm - half < clearanceMm || start - end > STEEPEST * runMm,
        depthMm / PER_DEPTH * runMm / rise);
  }

  public Message said() {
    return Message.of(
        tooNear ? "focus.plan.cut" : "focus.plan.made",
        Amount.mm(riseMm, 1),
        Amount.mm(gapAtStartMm, 1),
        Amount.mm(everyMm, 0));
  }
}
