package zebrawood.desktop.field;

/** What the corners of a fast small square look like. */
public enum CornerLook {
  NOT_LOOKED,
  SHARP,
  ROUNDED,
  BURNT_IN,
  OPEN
}
