package zebrawood.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * The short way: is the mark under the nozzle round, and do the marks at the corners stay within
 * the limit? It says whether the mirrors still hold, not what to turn.
 *
 * @param corners marks at the head, at any corners; none where only the mark under the nozzle was
 *     looked at
 */
public record QuickCheck(
    double markResolutionMm, double toleranceMm, boolean round, List<Spot> corners) {

  /** A mark at the head, looking the way the beam travels. */
  public record Spot(double rightMm, double upMm) {
    public Spot {
      new Accepts()
          .between("rightMm", rightMm, -1000, 1000)
          .between("upMm", upMm, -1000, 1000)
          .orThrow();
    }
  }

  /**
   * What it came to.
   *
   * @param wanderNowMm empty where no marks were read
   */
  public record Finding(OptionalDouble wanderNowMm, Verdict verdict, List<Advice> advice) {
    public Finding {
      advice = List.copyOf(advice);
    }
  }

  public QuickCheck {
    corners = List.copyOf(corners);
    var accepts =
        new Accepts()
            .positive("markResolutionMm", markResolutionMm, 100)
            .positive("toleranceMm", toleranceMm, 1000);
    if (!corners.isEmpty()) {
      accepts.atLeast("corners", corners, 2, "mirrors.quick-check.marks-corners-far");
    }
    accepts.orThrow();
  }

  public Finding solve() {
    double wander = 0;
    for (Spot one : corners) {
      for (Spot other : corners) {
        wander = Math.max(wander, Math.hypot(one.rightMm - other.rightMm, one.upMm - other.upMm));
      }
    }
    List<Advice> advice = new ArrayList<>();
    Verdict verdict = Verdict.WITHIN;
    if (wander > toleranceMm) {
      verdict = Verdict.ADJUST;
      advice.add(
          Advice.read("mirrors.quick-check.burn-full-set")
              .because(
                  "mirrors.quick-check.they-wander-over",
                  Amount.of(wander, Quantity.LENGTH, 1),
                  Message.bare(Amount.plain(toleranceMm, Quantity.LENGTH))));
    }
    if (!round) {
      verdict = Verdict.ADJUST;
      advice.add(
          Advice.act("mirrors.quick-check.look-through-nozzle")
              .because("mirrors.quick-check.mark-under-nozzle"));
    }
    if (advice.isEmpty() && corners.isEmpty()) {
      advice.add(
          Advice.leave("mirrors.quick-check.leave-mirrors")
              .because("mirrors.quick-check.round-alone"));
    } else if (advice.isEmpty()) {
      advice.add(
          Advice.leave("mirrors.quick-check.leave-mirrors")
              .because(
                  "mirrors.quick-check.mark-round-corners",
                  Amount.of(wander, Quantity.LENGTH, 1),
                  Message.bare(Amount.plain(toleranceMm, Quantity.LENGTH))));
    }
    return new Finding(
        corners.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(wander), verdict, advice);
  }
}
