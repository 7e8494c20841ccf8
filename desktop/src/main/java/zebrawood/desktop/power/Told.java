package zebrawood.desktop.power;

/** How a source without a current of its own is told its power. */
enum Told {
  WORDS,
  /** By its driver or its panel: nobody sees a word. */
  DRIVER
}
