package zebrawood.desktop.focus;

/** What the heights of a ladder are. */
public enum HeightKind {
  NOT_SAID,
  GAP,
  SCALE
}
