package zebrawood.mirrors;

import java.util.ArrayList;
import java.util.List;
import zebrawood.measure.Accepts;
import zebrawood.measure.Estimate;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Where does the beam burn when the red dot is aimed with, and how much does that change with the
 * height?
 *
 * <p>In: how far the burn lies from the dot at two heights of the surface, in mm. Out: the offset
 * at the height of the work and the change with height, each with its standard deviation. Dot and
 * beam are straight, so the offset is linear in height.
 */
public final class RedDot {
  private static final double SURE = 2;

  private RedDot() {}

  /**
   * @param atRightMm burn less dot where the surface stands for the work
   * @param lowRightMm burn less dot with the surface lowered
   * @param limitMm how far off the dot may be at the work
   */
  public record Readings(
      double atRightMm,
      double atRearMm,
      double lowRightMm,
      double lowRearMm,
      double loweredMm,
      double limitMm,
      double markResolutionMm) {
    public Readings {
      new Accepts()
          .between("atRightMm", atRightMm, -200, 200)
          .between("atRearMm", atRearMm, -200, 200)
          .between("lowRightMm", lowRightMm, -200, 200)
          .between("lowRearMm", lowRearMm, -200, 200)
          .positive("loweredMm", loweredMm, 1000)
          .positive("limitMm", limitMm, 100)
          .positive("markResolutionMm", markResolutionMm, 100)
          .orThrow();
    }
  }

  /**
   * @param slopeMmPerMm change of the offset for each mm that the surface is lower
   */
  public record Finding(
      Estimate offsetMm, Estimate slopeMmPerMm, Verdict verdict, List<Advice> advice) {
    public Finding {
      advice = List.copyOf(advice);
    }
  }

  public static Finding solve(Readings r) {
    double one = r.markResolutionMm / Math.sqrt(12);
    double offset = Math.hypot(r.atRightMm, r.atRearMm);
    double right = (r.lowRightMm - r.atRightMm) / r.loweredMm;
    double rear = (r.lowRearMm - r.atRearMm) / r.loweredMm;
    double slope = Math.hypot(right, rear);
    double slopeU = one * Math.sqrt(2) / r.loweredMm;
    List<Advice> advice = new ArrayList<>();
    Verdict verdict = Verdict.WITHIN;
    if (offset > r.limitMm) {
      verdict = Verdict.ADJUST;
      advice.add(
          Advice.act(
              "mirrors.pointer.move-red-dot",
              way(r.atRightMm, "right", "left"),
              way(r.atRearMm, "rear", "front")));
    } else if (offset + SURE * one > r.limitMm && r.markResolutionMm > r.limitMm) {
      verdict = Verdict.MEASURE_AGAIN;
      advice.add(
          Advice.read("mirrors.pointer.read-dot-burn")
              .because("mirrors.pointer.rule-coarser-than"));
    }
    if (slope > SURE * slopeU) {
      advice.add(
          Advice.act("mirrors.pointer.aim-height-work")
              .because(
                  "mirrors.pointer.burn-leaves-dot", Amount.mm(10 * slope, 1), Amount.mm(10, 0)));
    }
    return new Finding(new Estimate(offset, one), new Estimate(slope, slopeU), verdict, advice);
  }

  private static Message way(double mm, String on, String back) {
    return Message.of(
        "mirrors.way.by",
        Amount.plain(Math.abs(mm), Quantity.LENGTH),
        Message.of("mirrors.way." + (mm >= 0 ? on : back)));
  }
}
