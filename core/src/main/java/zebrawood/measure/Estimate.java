package zebrawood.measure;

/**
 * A value with its uncertainty.
 *
 * @param value in the unit that the field's name states
 * @param uncertainty one standard deviation, in the same unit
 */
public record Estimate(double value, double uncertainty) {
  /** Whether it is more than its own uncertainty: what is not is no reason to touch anything. */
  public boolean told() {
    return Math.abs(value) > uncertainty;
  }
}
