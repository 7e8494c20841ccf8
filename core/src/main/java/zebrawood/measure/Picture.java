package zebrawood.measure;

/**
 * A picture that is measured in: upright, its origin at the top left, x to the right and y down. A
 * pixel's middle lies half a pixel from its edges.
 */
public interface Picture {
  int width();

  int height();

  /**
   * How light a pixel is as the picture has it, 0 to 255: the weighted mean of its colours (ITU-R
   * BT.709), not made linear.
   */
  double light(int x, int y);

  /** The same for a piece of a row: as many as {@code into} holds, from x on. */
  default void row(int x, int y, double[] into) {
    for (int i = 0; i < into.length; i++) {
      into[i] = light(x + i, y);
    }
  }

  /** How much light a pixel stands for, 0 to 1: each colour made linear, then weighted alike. */
  default double linear(int x, int y) {
    return SrgbCurve.linear(light(x, y));
  }

  /** Whether a colour of it is at the end of what the picture can tell. */
  default boolean atLimit(int x, int y) {
    double light = light(x, y);
    return light <= 0 || light >= 255;
  }
}
