package zebrawood.measure;

/**
 * A picture of something flat, drawn anew as it looks from straight above: so many pixels a
 * millimetre, its upper left corner so many pixels in.
 */
public final class SeenFromAbove implements Picture {
  /** The map is asked at every so many pixels, and taken as even between them. */
  private static final int STEP = 8;

  private final Picture picture;
  private final int width;
  private final int height;
  private final int columns;
  private final float[] xs;
  private final float[] ys;

  /**
   * @param back from pixels here to pixels of the picture
   */
  public SeenFromAbove(Picture picture, PlaneMap back, int width, int height) {
    this.picture = picture;
    this.width = width;
    this.height = height;
    columns = width / STEP + 2;
    int rows = height / STEP + 2;
    xs = new float[columns * rows];
    ys = new float[columns * rows];
    for (int row = 0; row < rows; row++) {
      for (int column = 0; column < columns; column++) {
        double[] at = back.at(column * STEP + 0.5, row * STEP + 0.5);
        xs[row * columns + column] = (float) (at[0] - 0.5);
        ys[row * columns + column] = (float) (at[1] - 0.5);
      }
    }
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
    int cell = y / STEP * columns + x / STEP;
    double across = x % STEP / (double) STEP;
    double down = y % STEP / (double) STEP;
    double u = Math.clamp(between(xs, cell, across, down), 0, picture.width() - 1);
    double v = Math.clamp(between(ys, cell, across, down), 0, picture.height() - 1);
    int left = (int) u;
    int top = (int) v;
    int right = Math.min(left + 1, picture.width() - 1);
    int below = Math.min(top + 1, picture.height() - 1);
    double fu = u - left;
    double fv = v - top;
    return (1 - fv) * ((1 - fu) * picture.light(left, top) + fu * picture.light(right, top))
        + fv * ((1 - fu) * picture.light(left, below) + fu * picture.light(right, below));
  }

  private double between(float[] of, int cell, double across, double down) {
    return (1 - down) * ((1 - across) * of[cell] + across * of[cell + 1])
        + down * ((1 - across) * of[cell + columns] + across * of[cell + columns + 1]);
  }
}
