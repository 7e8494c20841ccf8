package zebrawood.quantity;

import java.util.Set;

/**
 * A unit of one quantity.
 *
 * @param symbol as shown
 * @param spellings as typed, in lower case; the symbol is one of them
 * @param factor canonical units for one of these; for an inverse unit, the canonical value of one
 * @param offset the canonical value of nothing, for temperatures
 * @param inverse whether it counts how many go into a length, such as lines per inch
 * @param moreDecimals decimals that it carries beyond those of the canonical unit
 */
public record Unit(
    String symbol,
    Set<String> spellings,
    double factor,
    double offset,
    boolean inverse,
    int moreDecimals) {
  public Unit {
    spellings = Set.copyOf(spellings);
  }

  public double toCanonical(double value) {
    return inverse ? factor / value : value * factor + offset;
  }

  public double fromCanonical(double canonical) {
    return inverse ? factor / canonical : (canonical - offset) / factor;
  }
}
