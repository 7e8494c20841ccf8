package zebrawood.focus;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.measure.Accepts;
import zebrawood.measure.Estimate;

/**
 * The one reference that a machine's gaps are measured from, and how the others lie to it.
 *
 * @param from what gaps are measured from
 * @param lensRingAboveNozzleMm where that was measured
 * @param headLineAboveNozzleMm where that was measured
 * @param headSheetAboveNozzleMm where that was measured
 * @param noNozzle whether the head has none: then what is above its tip is above the lens ring
 */
public record References(
    FocusReference from,
    OptionalDouble lensRingAboveNozzleMm,
    OptionalDouble headLineAboveNozzleMm,
    OptionalDouble headSheetAboveNozzleMm,
    Optional<Boolean> noNozzle) {
  public References {
    var accepts = new Accepts();
    lensRingAboveNozzleMm.ifPresent(
        mm -> accepts.between("lensRingAboveNozzleMm", mm, -1000, 1000));
    headLineAboveNozzleMm.ifPresent(
        mm -> accepts.between("headLineAboveNozzleMm", mm, -1000, 1000));
    headSheetAboveNozzleMm.ifPresent(
        mm -> accepts.between("headSheetAboveNozzleMm", mm, -1000, 1000));
    accepts.orThrow();
  }

  /** The places that this head has, in the order of the constants. */
  public List<FocusReference> places() {
    return Stream.of(FocusReference.values())
        .filter(place -> place != FocusReference.NOZZLE_TIP || !noNozzle.orElse(false))
        .toList();
  }

  private OptionalDouble aboveNozzleMm(FocusReference of) {
    return switch (of) {
      case NOZZLE_TIP -> OptionalDouble.of(0);
      case LENS_RING -> noNozzle.orElse(false) ? OptionalDouble.of(0) : lensRingAboveNozzleMm;
      case HEAD_LINE -> headLineAboveNozzleMm;
      case HEAD_SHEET -> headSheetAboveNozzleMm;
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

  /** A maker's figure is rounded, and a reference is found with a caliper: closer is the same. */
  private static final double SAME_PLACE_MM = 1;

  /**
   * From which places on the head a maker's figure can be meant, in the order of the constants:
   * those from which the best gap is that figure, within a millimetre or two of its standard
   * deviations.
   *
   * @param best the gap at the best focus, from this reference
   */
  public List<FocusReference> meantBy(double makerMm, Estimate best) {
    double allowed = Math.max(SAME_PLACE_MM, 2 * best.uncertainty());
    return places().stream()
        .filter(to -> {
          OptionalDouble gap = gapMm(best.value(), to);
          return gap.isPresent() && Math.abs(gap.getAsDouble() - makerMm) <= allowed;
        })
        .toList();
  }

  /** The places on the head whose gap is not known for want of a measurement. */
  public List<FocusReference> notMeasured() {
    return places().stream().filter(to -> gapMm(0, to).isEmpty()).toList();
  }
}
