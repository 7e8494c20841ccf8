package zebrawood.desktop.workshop;

/** How large everything in the window is. */
public enum Size {
  P80(80),
  P90(90),
  P100(100),
  P110(110),
  P125(125),
  P150(150),
  P175(175),
  P200(200);

  private final int percent;

  Size(int percent) {
    this.percent = percent;
  }

  public int percent() {
    return percent;
  }

  /** The next larger one, or smaller; the same at the end. */
  public Size next(int steps) {
    return values()[Math.clamp((long) ordinal() + steps, 0, values().length - 1)];
  }
}
