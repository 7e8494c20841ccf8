package zebrawood.field;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Estimate;
import zebrawood.measure.ShimStacks;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * A trapezoid that is a head's tilt: where the field's one side is larger, it lies further away by
 * the same share of the distance. The head is leaned towards the larger side, by shims under the
 * joint's other edge.
 *
 * <p>With {@code k} the growth from the field's middle to its edge, {@code F} the field and {@code
 * D} the distance to the work, the lean is {@code atan(2 k D / F)}, and a shim on a base {@code b}
 * is {@code b * tan(lean)}: plane geometry, see docs/physics.md. Good for leans of some degrees.
 * Nothing is advised below 0.2 mrad, within two deviations of none, or where more than a lean made
 * the trapezoid ({@link Keystone}).
 *
 * @param leans at most two: along y, and along x
 * @param otherwise whether there is a trapezoid that no lean makes
 */
public record HeadTilt(List<Lean> leans, boolean otherwise) {
  /** Less is not worth a shim. */
  private static final double LEAST_RAD = 0.0002;

  /**
   * One way to lean.
   *
   * @param side where the shim goes under the joint
   * @param tiltRad how far, more than 0
   */
  public record Lean(Side side, Estimate tiltRad) {
    /**
     * @param baseMm how far apart the joint's edges are, front to rear or side to side
     */
    public Estimate shimMm(double baseMm) {
      return new Estimate(baseMm * Math.tan(tiltRad.value()), baseMm * tiltRad.uncertainty());
    }
  }

  /**
   * @param distanceMm from where the beams seem to come to the work
   */
  public static HeadTilt of(Keystone grown, double fieldMm, double distanceMm) {
    List<Lean> leans = new ArrayList<>();
    double perMm = 2 * distanceMm / fieldMm;
    boolean otherwise =
        add(leans, grown.alongY(), grown.restY(), perMm, Side.FRONT, Side.REAR)
            | add(leans, grown.alongX(), grown.restX(), perMm, Side.LEFT, Side.RIGHT);
    return new HeadTilt(List.copyOf(leans), otherwise);
  }

  /** What one millimetre of wrong height does to the size of the field. */
  public static Message heightSaid(double fieldMm, double distanceMm) {
    return Message.of(
        "field.height.makes",
        Amount.of(100 / distanceMm, Quantity.PERCENT, 2),
        Amount.mm(fieldMm / 2 / distanceMm, 3));
  }

  /** Whether there is more than a lean. */
  private static boolean add(
      List<Lean> leans,
      Estimate grown,
      Estimate rest,
      double perMm,
      Side whenLarger,
      Side whenSmaller) {
    boolean more = beyondChance(rest) && Math.abs(rest.value()) * perMm > LEAST_RAD;
    double tilt = Math.atan(Math.abs(grown.value()) * perMm);
    if (!more && tilt > LEAST_RAD && beyondChance(grown)) {
      leans.add(
          new Lean(
              grown.value() > 0 ? whenLarger : whenSmaller,
              new Estimate(tilt, grown.uncertainty() * perMm)));
    }
    return more;
  }

  private static boolean beyondChance(Estimate of) {
    return Math.abs(of.value()) > 2 * of.uncertainty();
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
    if (otherwise) {
      said.add(Message.of("field.tilt.otherwise"));
    }
    if (leans.isEmpty()) {
      said.add(Message.of("field.tilt.none"));
      return said;
    }
    said.add(
        Message.of(
            columnBaseMm.isEmpty() && bracketBaseMm.isEmpty()
                ? "field.tilt.base"
                : "field.tilt.then"));
    return said;
  }

  private static Message shim(String key, Lean lean, double baseMm, Optional<ShimStacks> stacks) {
    double mm = lean.shimMm(baseMm).value();
    Message exact =
        Message.of(
            key,
            Message.bare(Amount.mm(mm, 2)),
            Amount.mm(lean.shimMm(baseMm).uncertainty(), 2),
            lean.side());
    return stacks
        .filter(s -> mm <= ShimStacks.THICKEST_MM)
        .map(s -> Message.of("field.tilt.stack", exact, s.stackFor(mm).said()))
        .orElse(exact);
  }
}
