package zebrawood.mirrors;

import zebrawood.words.Message;

/**
 * What the marks that fit no angles look like.
 *
 * @param said what it is, by how much, and the measurement that would decide
 */
public record Suspicion(Kind kind, Message said) {
  /** By its signature. */
  public enum Kind {
    /** The last mirror tips as the gantry travels: the misfit is up and down only. */
    TWISTED_RAIL,
    /** The last mirror turns as the gantry travels: the misfit is sideways only. */
    UNSQUARE_GANTRY,
    /** Two marks at the same place disagree. */
    LOOSE_MOUNT,
    /** All but one fit. */
    ONE_MARK,
    NOT_NAMED
  }
}
