package zebrawood.measure;

import java.util.stream.IntStream;

/** A picture in which blocks of pixels have become one, each as light as they are on average. */
public final class ReducedPicture implements Picture {
  private final int width;
  private final int height;
  private final float[] light;

  private ReducedPicture(int width, int height, float[] light) {
    this.width = width;
    this.height = height;
    this.light = light;
  }

  /**
   * @param block pixels of a side that become one; what is left over at the right and below is lost
   */
  public static ReducedPicture of(Picture picture, int block) {
    int width = picture.width() / block;
    int height = picture.height() / block;
    float[] light = new float[width * height];
    IntStream.range(0, height)
        .parallel()
        .forEach(y -> {
          double[] row = new double[width * block];
          double[] sums = new double[width];
          for (int dy = 0; dy < block; dy++) {
            picture.row(0, y * block + dy, row);
            int at = 0;
            for (int x = 0; x < width; x++) {
              for (int dx = 0; dx < block; dx++) {
                sums[x] += row[at++];
              }
            }
          }
          for (int x = 0; x < width; x++) {
            light[y * width + x] = (float) (sums[x] / (block * block));
          }
        });
    return new ReducedPicture(width, height, light);
  }

  @Override
  public int width() {
    return width;
  }

  @Override
  public int height() {
    return height;
  }

  @Override
  public double light(int x, int y) {
    return light[y * width + x];
  }
}
