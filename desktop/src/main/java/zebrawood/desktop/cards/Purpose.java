package zebrawood.desktop.cards;

/** What a card of known darkness is read for. */
enum Purpose {
  /** A setting for a wanted look. */
  LOOK,
  /** How much power is left of what the kept card was burnt with. */
  POWER_LEFT
}
