package zebrawood.desktop.focus;

/** What is done against scorched backs. */
public enum ScorchCure {
  NOTHING,
  RAISE_HONEYCOMB,
  RAISE_WORK,
  DRAW_SMOKE
}
