package zebrawood.ledger;

import java.time.Instant;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Estimate;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;

/**
 * One figure of an entry, as the notebook and the hand-over sheet show it.
 *
 * @param id the same for the same figure in every entry of a station; its words stand in the
 *     station's bundle under {@code <station>.figure.<id>}
 * @param label the words that an earlier version kept with it
 * @param unit the canonical unit of its quantity
 * @param uncertainty one standard deviation, in the same unit
 * @param limit the figure's limit when the entry was made, from the machine's data sheet
 * @param keptFrom when it was read, where that was on an earlier visit and nothing of it was read
 *     on this one
 */
public record Figure(
    String id,
    Optional<String> label,
    double value,
    String unit,
    OptionalDouble uncertainty,
    OptionalDouble limit,
    Optional<Instant> keptFrom) {
  private static final int MOST_DECIMALS = 5;

  public static Figure of(String id, double value, Quantity quantity) {
    return new Figure(
        id,
        Optional.empty(),
        value,
        quantity.canonical().symbol(),
        OptionalDouble.empty(),
        OptionalDouble.empty(),
        Optional.empty());
  }

  public static Figure of(String id, Estimate estimate, Quantity quantity) {
    return of(id, estimate.value(), quantity).uncertain(estimate.uncertainty());
  }

  public Figure uncertain(double standardDeviation) {
    return new Figure(
        id, label, value, unit, OptionalDouble.of(standardDeviation), limit, keptFrom);
  }

  public Figure limited(OptionalDouble most) {
    return new Figure(id, label, value, unit, uncertainty, most, keptFrom);
  }

  public Figure limited(double most) {
    return limited(OptionalDouble.of(most));
  }

  /** The same, read on an earlier visit. */
  public Figure keptFrom(Instant readAt) {
    return new Figure(id, label, value, unit, uncertainty, limit, Optional.of(readAt));
  }

  /** Whether both say the same of the same, whenever they were read. */
  public boolean sameAs(Figure other) {
    return id.equals(other.id)
        && value == other.value
        && unit.equals(other.unit)
        && uncertainty.equals(other.uncertainty);
  }

  /** Empty where another version kept it in a unit that is not known here. */
  public Optional<Quantity> quantity() {
    return Quantity.ofUnit(unit);
  }

  /** A value of the same kind, to be said: the figure itself, its uncertainty, its limit. */
  public Amount amount(double of) {
    return quantity()
        .map(q -> Amount.of(of, q, Math.max(q.usualDecimals(), decimalsKnown())))
        .orElseGet(() -> Amount.of(of, Quantity.NUMBER, 2));
  }

  public Amount amount() {
    return amount(value);
  }

  /** So many that the uncertainty is no less than two of the last one. */
  private int decimalsKnown() {
    double u = uncertainty.orElse(0);
    return u > 0 ? Math.clamp((int) Math.ceil(-Math.log10(u / 2)), 0, MOST_DECIMALS) : 0;
  }

  public boolean overLimit() {
    return limit.isPresent() && value > limit.getAsDouble();
  }
}
