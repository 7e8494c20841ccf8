package zebrawood.mirrors;

import java.util.ArrayList;
import java.util.List;
import zebrawood.measure.Accepts;
import zebrawood.measure.Numbers;
import zebrawood.measure.Verdict;

/**
 * The short way: is the mark under the nozzle round, and do the marks at the corners stay within
 * the limit? It says whether the mirrors still hold, not what to turn.
 *
 * @param corners marks at the head, at any corners
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

  /** What it came to. */
  public record Finding(double wanderNowMm, Verdict verdict, List<String> advice) {
    public Finding {
      advice = List.copyOf(advice);
    }
  }

  public QuickCheck {
    corners = List.copyOf(corners);
    new Accepts()
        .positive("markResolutionMm", markResolutionMm, 100)
        .positive("toleranceMm", toleranceMm, 1000)
        .atLeast("corners", corners, 2, "marks at corners far from one another")
        .orThrow();
  }

  public Finding solve() {
    double wander = 0;
    for (Spot one : corners) {
      for (Spot other : corners) {
        wander = Math.max(wander, Math.hypot(one.rightMm - other.rightMm, one.upMm - other.upMm));
      }
    }
    List<String> advice = new ArrayList<>();
    Verdict verdict = Verdict.WITHIN;
    if (wander > toleranceMm) {
      verdict = Verdict.ADJUST;
      advice.add(
          "Burn the full set of marks: they wander %s mm over the corners, limit %s."
              .formatted(Numbers.fixed(wander, 1), Numbers.plain(toleranceMm)));
    }
    if (!round) {
      verdict = Verdict.ADJUST;
      advice.add(
          "Look through nozzle and lens: the mark under the nozzle is not round, so the beam touches something, or the lens is dirty or tilted.");
    }
    if (advice.isEmpty()) {
      advice.add(
          "Leave the mirrors: the mark is round, and the corners stay within %s mm, limit %s."
              .formatted(Numbers.fixed(wander, 1), Numbers.plain(toleranceMm)));
    }
    return new Finding(wander, verdict, advice);
  }
}
