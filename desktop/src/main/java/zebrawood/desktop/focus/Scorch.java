package zebrawood.desktop.focus;

/** What is done against scorched backs. */
public enum Scorch {
  NOTHING,
  RAISE_HONEYCOMB,
  RAISE_WORK,
  DRAW_SMOKE
}
