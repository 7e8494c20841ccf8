package zebrawood.ledger;

import java.util.OptionalDouble;

/**
 * One figure of an entry, as the notebook and the hand-over sheet show it.
 *
 * @param id the same for the same figure in every entry of a station
 * @param uncertainty one standard deviation, in the same unit
 * @param limit the figure's limit when the entry was made, from the machine's data sheet
 */
public record Figure(
    String id,
    String label,
    double value,
    String unit,
    OptionalDouble uncertainty,
    OptionalDouble limit) {

  /** As finely as it is read: temperatures to a tenth, what is counted or large to a whole. */
  public int decimals() {
    return switch (unit) {
      case "°C", "K", "OD" -> 1;
      case "µS/cm", "%", "m³/h", "lines", "m" -> 0;
      default -> 2;
    };
  }
}
