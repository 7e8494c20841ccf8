package zebrawood.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.measure.Estimate;
import zebrawood.measure.PartFinding;
import zebrawood.measure.Resolution;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Does the beam of a laser module come down plumb? By marks at two heights.
 *
 * <p>Between the marks the work was lowered, or packing of a known height taken out; head and
 * module stood still. The lean is the mark's shift over that height, in mrad; each of two readings
 * has the deviation of its resolution.
 */
public final class ModulePlumb {
  private ModulePlumb() {}

  /**
   * @param shiftRightMm where the lower mark is from the upper one
   * @param loweredMm between both
   * @param resolutionMm of each mark's place
   * @param mostMrad the lean that does not matter; empty while nobody said so
   */
  public record Readings(
      double shiftRightMm,
      double shiftRearMm,
      double loweredMm,
      double resolutionMm,
      OptionalDouble mostMrad) {
    public Readings {
      var accepts =
          new Accepts()
              .between("shiftRightMm", shiftRightMm, -200, 200)
              .between("shiftRearMm", shiftRearMm, -200, 200)
              .positive("loweredMm", loweredMm, 1000)
              .positive("resolutionMm", resolutionMm, 10);
      mostMrad.ifPresent(mrad -> accepts.positive("mostMrad", mrad, 500));
      accepts.orThrow();
    }
  }

  /** How far it leans to the right and to the rear on its way down, in mrad. */
  public record Finding(Estimate rightMrad, Estimate rearMrad) {
    public double leanMrad() {
      return Math.hypot(rightMrad.value(), rearMrad.value());
    }
  }

  public static Finding solve(Readings r) {
    double error = 1000 * Math.sqrt(2) * Resolution.standardDeviation(r.resolutionMm) / r.loweredMm;
    return new Finding(
        new Estimate(1000 * r.shiftRightMm / r.loweredMm, error),
        new Estimate(1000 * r.shiftRearMm / r.loweredMm, error));
  }

  static PartFinding judge(Readings r, Finding f) {
    double lean = f.leanMrad();
    double unsure = 2 * f.rightMrad.uncertainty();
    Amount leans = Amount.of(lean, Quantity.ANGLE, 1);
    Amount error = Amount.of(f.rightMrad.uncertainty(), Quantity.ANGLE, 1);
    if (r.mostMrad.isEmpty()) {
      return PartFinding.within().warning(Message.of("focus.plumb.leans", leans, error));
    }
    double most = r.mostMrad.getAsDouble();
    if (lean + unsure <= most) {
      return PartFinding.within();
    }
    if (lean <= most) {
      return PartFinding.again(
          Advice.read("focus.plumb.lower-further").because("focus.plumb.leans", leans, error));
    }
    return PartFinding.adjust(
        Advice.act("focus.plumb.shim", way(f)).because("focus.plumb.leans", leans, error));
  }

  /** The sides to which it leans; one that it leans to by a quarter of the other is left out. */
  private static Message way(Finding f) {
    double right = f.rightMrad.value();
    double rear = f.rearMrad.value();
    List<Message> sides = new ArrayList<>();
    if (Math.abs(right) > Math.abs(rear) / 4) {
      sides.add(Message.of(right > 0 ? "focus.plumb.right" : "focus.plumb.left"));
    }
    if (Math.abs(rear) > Math.abs(right) / 4) {
      sides.add(Message.of(rear > 0 ? "focus.plumb.rear" : "focus.plumb.front"));
    }
    return Message.list(sides);
  }
}
