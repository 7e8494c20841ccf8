package zebrawood.field;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.ShimStacks;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * A trapezoid that is a head's tilt: where the field's one side is larger, it lies further away by
 * the same share of the distance. The head is leaned towards the larger side, by shims under the
 * joint's other edge.
 *
 * <p>With {@code p} the trapezoid in percent of the field {@code F} and {@code D} the distance to
 * the work, the lean is {@code atan(p / 100 * D / F)}, and a shim on a base {@code b} is {@code b *
 * tan(lean)}: plane geometry, see docs/physics.md. Good for leans of some degrees; below 0.2 mrad
 * nothing is advised.
 *
 * @param leans at most two: along y, and along x
 */
public record HeadTilt(List<Lean> leans) {
  /** Less is not worth a shim. */
  private static final double LEAST_RAD = 0.0002;

  /**
   * One way to lean.
   *
   * @param side where the shim goes under the joint
   * @param tiltRad how far, more than 0
   */
  public record Lean(Side side, double tiltRad) {
    /**
     * @param baseMm how far apart the joint's edges are, front to rear or side to side
     */
    public double shimMm(double baseMm) {
      return baseMm * Math.tan(tiltRad);
    }
  }

  /**
   * @param distanceMm from where the beams seem to come to the work
   */
  public static HeadTilt of(ControllerCoefficients plain, double fieldMm, double distanceMm) {
    List<Lean> leans = new ArrayList<>();
    add(leans, plain.trapezoidXPercent(), fieldMm, distanceMm, Side.FRONT, Side.REAR);
    add(leans, plain.trapezoidYPercent(), fieldMm, distanceMm, Side.LEFT, Side.RIGHT);
    return new HeadTilt(List.copyOf(leans));
  }

  /** What one millimetre of wrong height does to the size of the field. */
  public static Message heightSaid(double fieldMm, double distanceMm) {
    return Message.of(
        "field.height.makes",
        Amount.of(100 / distanceMm, Quantity.PERCENT, 2),
        Amount.mm(fieldMm / 2 / distanceMm, 3));
  }

  private static void add(
      List<Lean> leans,
      double percent,
      double fieldMm,
      double distanceMm,
      Side whenLarger,
      Side whenSmaller) {
    double tilt = Math.atan(Math.abs(percent) / 100 * distanceMm / fieldMm);
    if (tilt > LEAST_RAD) {
      leans.add(new Lean(percent > 0 ? whenLarger : whenSmaller, tilt));
    }
  }

  /**
   * The shims, at each joint whose base is known.
   *
   * @param columnBaseMm how far apart the edges of the column's foot are
   * @param bracketBaseMm how far apart those of the head's bracket are
   * @param stacks made of what is at hand; empty where nobody said what that is
   */
  public List<Message> said(
      OptionalDouble columnBaseMm, OptionalDouble bracketBaseMm, Optional<ShimStacks> stacks) {
    List<Message> said = new ArrayList<>();
    for (Lean lean : leans) {
      columnBaseMm.stream()
          .mapToObj(mm -> shim("field.tilt.column", lean, mm, stacks))
          .forEach(said::add);
      bracketBaseMm.stream()
          .mapToObj(mm -> shim("field.tilt.bracket", lean, mm, stacks))
          .forEach(said::add);
    }
    said.add(
        Message.of(
            columnBaseMm.isEmpty() && bracketBaseMm.isEmpty()
                ? "field.tilt.base"
                : "field.tilt.then"));
    return said;
  }

  private static Message shim(String key, Lean lean, double baseMm, Optional<ShimStacks> stacks) {
    double mm = lean.shimMm(baseMm);
    Message exact = Message.of(key, Amount.mm(mm, 2), lean.side());
    return stacks
        .filter(s -> mm <= ShimStacks.THICKEST_MM)
        .map(s -> Message.of("field.tilt.stack", exact, s.stackFor(mm).said()))
        .orElse(exact);
  }
}
