package zebrawood.ledger;

/** How much of a station an event puts in doubt. */
public enum Doubt {
  /** A quick check without figures clears it. */
  QUICK_CHECK,
  /** Only readings within the limit clear it. */
  READ_AGAIN
}
