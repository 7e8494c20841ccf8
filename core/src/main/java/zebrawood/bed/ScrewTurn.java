package zebrawood.bed;

import zebrawood.measure.Estimate;
import zebrawood.measure.TurnDirection;

/**
 * What to do with one screw.
 *
 * @param riseMm how far to raise the bed there; negative is down
 * @param turns exact, never negative
 * @param eighths the same rounded to eighths of a turn, clockwise positive
 */
public record ScrewTurn(
    String id, Estimate riseMm, Estimate turns, TurnDirection direction, int eighths) {

  /** Eighths in lowest terms, such as "3/8" or "1 1/4"; "0" for less than a sixteenth. */
  public String roundedTurns() {
    int whole = Math.abs(eighths) / 8;
    int rest = Math.abs(eighths) % 8;
    if (rest == 0) {
      return String.valueOf(whole);
    }
    int common = rest % 4 == 0 ? 4 : rest % 2 == 0 ? 2 : 1;
    String fraction = rest / common + "/" + 8 / common;
    return whole == 0 ? fraction : whole + " " + fraction;
  }

  /** Whether there is anything to turn that is more than its own uncertainty. */
  public boolean asks() {
    return direction != TurnDirection.NONE && turns.told();
  }
}
