package zebrawood.cards;

/**
 * How dark a square came out.
 *
 * @param darkness 0 for the bare stock, 1 for black
 */
public record CardSample(double speedMmS, double percent, double darkness) {
  /** Whether it got no less than the other: no less power, no more speed. */
  boolean noGentlerThan(CardSample other) {
    return percent >= other.percent && speedMmS <= other.speedMmS;
  }
}
