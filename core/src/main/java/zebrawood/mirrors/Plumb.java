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
 * Does the beam come out of the nozzle plumb, and how slanted is an edge that it cuts?
 *
 * <p>In: the places of two marks on the table, in mm right and to the rear, and how much lower the
 * table was for the second. Out: the slant in mrad with its standard deviation, and what it makes
 * of an edge. The slant is the shift over the height; an edge leans by slant times thickness. Two
 * marks leave nothing to judge a misread one by. The mirror on the head is tipped until the lower
 * mark falls where the upper one did, moved on as well: it turns about the mirror, not about the
 * upper mark.
 */
public final class Plumb {
  private static final double SURE = 2;

  /** No table goes lower. */
  private static final double MOST_HEIGHT_MM = 500;

  private Plumb() {}

  /**
   * @param highRightMm mark with the table high
   * @param lowRightMm mark with the table low
   * @param loweredMm between the two
   * @param mirrorToHighMm from the mirror on the head down to the high mark
   * @param thicknessMm of the stock whose edge matters
   * @param edgeMm how far the edge may lean over that thickness
   */
  public record Readings(
      double highRightMm,
      double highRearMm,
      double lowRightMm,
      double lowRearMm,
      double loweredMm,
      double mirrorToHighMm,
      double thicknessMm,
      double edgeMm,
      double markResolutionMm) {
    public Readings {
      new Accepts()
          .between("highRightMm", highRightMm, -200, 200)
          .between("highRearMm", highRearMm, -200, 200)
          .between("lowRightMm", lowRightMm, -200, 200)
          .between("lowRearMm", lowRearMm, -200, 200)
          .positive("loweredMm", loweredMm, 1000)
          .positive("mirrorToHighMm", mirrorToHighMm, 1000)
          .positive("thicknessMm", thicknessMm, 200)
          .positive("edgeMm", edgeMm, 20)
          .positive("markResolutionMm", markResolutionMm, 100)
          .orThrow();
    }
  }

  /**
   * @param rightMrad how far the beam leans to the right on its way down
   * @param edgeLeanMm from the top of the stock to its bottom; its uncertainty in the direction of
   *     the lean
   */
  public record Finding(
      Estimate rightMrad,
      Estimate rearMrad,
      Estimate edgeLeanMm,
      Verdict verdict,
      List<Advice> advice) {
    public Finding {
      advice = List.copyOf(advice);
    }
  }

  public static Finding solve(Readings r) {
    double u = 1000 * r.markResolutionMm / Math.sqrt(6) / r.loweredMm;
    Estimate right = new Estimate(1000 * (r.lowRightMm - r.highRightMm) / r.loweredMm, u);
    Estimate rear = new Estimate(1000 * (r.lowRearMm - r.highRearMm) / r.loweredMm, u);
    double lean = Math.hypot(right.value(), rear.value()) * r.thicknessMm / 1000;
    double leanU = u * r.thicknessMm / 1000;
    List<Advice> advice = new ArrayList<>();
    Verdict verdict;
    if (lean + SURE * leanU <= r.edgeMm) {
      verdict = Verdict.WITHIN;
    } else if (lean <= r.edgeMm) {
      verdict = Verdict.MEASURE_AGAIN;
      double decides = SURE * r.markResolutionMm / Math.sqrt(6) * r.thicknessMm / (r.edgeMm - lean);
      advice.add(
          decides < MOST_HEIGHT_MM
              ? Advice.act("mirrors.plumb.lower-table-further")
                  .because(
                      "mirrors.plumb.would-decide",
                      Amount.of(Math.ceil(decides), Quantity.LENGTH, 0))
              : Advice.read("mirrors.plumb.read-both-marks")
                  .because("mirrors.plumb.edge-leans-just"));
    } else {
      verdict = Verdict.ADJUST;
      double below = (r.mirrorToHighMm + r.loweredMm) / 1000;
      advice.add(
          Advice.act(
                  "mirrors.plumb.tip-mirror-head",
                  way(right.value() * below, "left", "right"),
                  way(rear.value() * below, "front", "rear"))
              .because(
                  "mirrors.plumb.edge-leans-over",
                  Message.bare(Amount.mm(lean, 2)),
                  Amount.of(leanU, Quantity.LENGTH, 2),
                  Amount.plain(r.thicknessMm, Quantity.LENGTH)));
    }
    return new Finding(right, rear, new Estimate(lean, leanU), verdict, advice);
  }

  private static Message way(double mm, String back, String on) {
    return Message.of(
        "mirrors.way.by",
        Amount.mm(Math.abs(mm), 1),
        Message.of("mirrors.way." + (mm > 0 ? back : on)));
  }
}
