package zebrawood.cards;

import java.util.OptionalInt;
import zebrawood.measure.Accepts;

/**
 * How a square is burnt.
 *
 * @param passes how often, one upon the other; empty for once
 */
public record CardFill(Lines lines, boolean outline, OptionalInt passes) {
  /** The usual one of a card that says nothing of it. */
  static final CardFill USUAL = new CardFill(Lines.BOTH_WAYS, false, OptionalInt.empty());

  static final int MOST_PASSES = 100;

  /** The lines that a square is filled with. */
  public enum Lines {
    /** Along x, there and back in turn. */
    BOTH_WAYS,
    /** Along x, all from the left. */
    ONE_WAY,
    /** Along x there and back, then along y there and back. */
    CROSSED,
    /** None: its outline alone, as for cutting. */
    NONE
  }

  boolean outlined() {
    return outline || lines == Lines.NONE;
  }

  /** Whether something is burnt along y. */
  boolean upright() {
    return outlined() || lines == Lines.CROSSED;
  }

  void check(Accepts accepts) {
    passes.ifPresent(n -> accepts.between("fill.passes", n, 1, MOST_PASSES));
  }
}
