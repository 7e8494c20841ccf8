package zebrawood.desktop.focus;

/** How large a photographed board is in its picture. */
enum PhotoScale {
  /** Seen from straight above: two places a known length apart. */
  TWO_PLACES,
  /** Seen at an angle: the board's corners, and its two sides. */
  CORNERS
}
