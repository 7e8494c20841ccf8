package zebrawood.focus;

import java.util.OptionalDouble;
import zebrawood.measure.Accepts;

/**
 * The one reference that a machine's gaps are measured from, and how the others lie to it.
 *
 * @param from what gaps are measured from
 * @param lensRingAboveNozzleMm where that was measured
 * @param headLineAboveNozzleMm where that was measured
 */
public record References(
    FocusReference from,
    OptionalDouble lensRingAboveNozzleMm,
    OptionalDouble headLineAboveNozzleMm) {
  public References {
    var accepts = new Accepts();
    lensRingAboveNozzleMm.ifPresent(
        mm -> accepts.between("lensRingAboveNozzleMm", mm, -1000, 1000));
    headLineAboveNozzleMm.ifPresent(
        mm -> accepts.between("headLineAboveNozzleMm", mm, -1000, 1000));
    accepts.orThrow();
  }

  private OptionalDouble aboveNozzleMm(FocusReference of) {
    return switch (of) {
      case NOZZLE_TIP -> OptionalDouble.of(0);
      case LENS_RING -> lensRingAboveNozzleMm;
      case HEAD_LINE -> headLineAboveNozzleMm;
    };
  }

  /** A gap as it is from another reference; empty where nobody measured how the two lie. */
  public OptionalDouble gapMm(double gapMm, FocusReference to) {
    OptionalDouble its = aboveNozzleMm(from);
    OptionalDouble other = aboveNozzleMm(to);
    if (to == from) {
      return OptionalDouble.of(gapMm);
    }
    return its.isPresent() && other.isPresent()
        ? OptionalDouble.of(gapMm + other.getAsDouble() - its.getAsDouble())
        : OptionalDouble.empty();
  }
}
