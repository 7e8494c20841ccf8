package zebrawood.desktop.cards;

/** The crosses of a card, in the order in which they are pressed. */
enum Corner {
  LOWER_LEFT,
  LOWER_RIGHT,
  UPPER_RIGHT,
  UPPER_LEFT
}
