package zebrawood.quantity;

/**
 * A value that is to be said.
 *
 * @param value in the quantity's canonical unit
 * @param decimals of the canonical unit; {@link #AS_NEEDED} for as few as it takes
 */
public record Amount(double value, Quantity quantity, int decimals) {
  public static final int AS_NEEDED = -1;

  public static Amount of(double value, Quantity quantity, int decimals) {
    return new Amount(value, quantity, decimals);
  }

  /** As a person writes it. */
  public static Amount plain(double value, Quantity quantity) {
    return new Amount(value, quantity, AS_NEEDED);
  }

  public static Amount mm(double value, int decimals) {
    return new Amount(value, Quantity.LENGTH, decimals);
  }

  /** Without its unit, as programs write it: with a point. */
  public String number(DisplayUnits units) {
    Unit unit = quantity.shownIn(units);
    double shown = unit.fromCanonical(value);
    return decimals == AS_NEEDED
        ? Numbers.plain(quantity.isCanonical(unit) ? shown : Numbers.rounded(shown, 4))
        : Numbers.fixed(shown, Math.max(0, decimals + unit.moreDecimals()));
  }
}
