package zebrawood.measure;

/**
 * A picture of something flat, drawn anew as it looks from straight above: so many pixels a
 * millimetre, its upper left corner so many pixels in.
 */
public final class SeenFromAbove implements Picture {
  private final Picture picture;
  private final Projective back;
  private final int width;
  private final int height;

  /**
   * @param back from pixels here to pixels of the picture
   */
  public SeenFromAbove(Picture picture, Projective back, int width, int height) {
    this.picture = picture;
    this.back = back;
    this.width = width;
    this.height = height;
  }

  @Override
  public int width() {
    return width;
  }

  @Override
  public int height() {
    return height;
  }

  /** Between the four pixels that lie about the place; beside the picture, its nearest. */
  @Override
  public double light(int x, int y) {
    double[] at = back.at(x + 0.5, y + 0.5);
    double u = Math.clamp(at[0] - 0.5, 0, picture.width() - 1);
    double v = Math.clamp(at[1] - 0.5, 0, picture.height() - 1);
    int left = (int) u;
    int top = (int) v;
    int right = Math.min(left + 1, picture.width() - 1);
    int below = Math.min(top + 1, picture.height() - 1);
    double fu = u - left;
    double fv = v - top;
    return (1 - fv) * ((1 - fu) * picture.light(left, top) + fu * picture.light(right, top))
        + fv * ((1 - fu) * picture.light(left, below) + fu * picture.light(right, below));
  }
}
