package zebrawood.marks;

import java.util.stream.IntStream;
import zebrawood.measure.Picture;

/**
 * A picture made smaller by whole blocks of pixels, with running sums, so that the mean of any
 * rectangle takes four looks.
 */
final class Grey {
  private final int width;
  private final int height;
  private final float[] light;
  private final double[] sums;

  /**
   * @param block pixels of a side that become one
   */
  Grey(Picture picture, int block) {
    this(
        picture.width() / block,
        picture.height() / block,
        light(picture, picture.width() / block, picture.height() / block, block));
  }

  private Grey(int width, int height, float[] light) {
    this.width = width;
    this.height = height;
    this.light = light;
    sums = new double[(width + 1) * (height + 1)];
    for (int y = 0; y < height; y++) {
      double row = 0;
      for (int x = 0; x < width; x++) {
        row += light[y * width + x];
        sums[(y + 1) * (width + 1) + x + 1] = sums[y * (width + 1) + x + 1] + row;
      }
    }
  }

  private static float[] light(Picture picture, int width, int height, int block) {
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
    return light;
  }

  int width() {
    return width;
  }

  int height() {
    return height;
  }

  /** The mean about a pixel, as far as the picture goes. */
  double mean(int x, int y, int radius) {
    int left = Math.max(0, x - radius);
    int right = Math.min(width, x + radius + 1);
    int top = Math.max(0, y - radius);
    int bottom = Math.min(height, y + radius + 1);
    int stride = width + 1;
    double sum =
        sums[bottom * stride + right]
            - sums[top * stride + right]
            - sums[bottom * stride + left]
            + sums[top * stride + left];
    return sum / ((double) (right - left) * (bottom - top));
  }

  /** How much darker every place is than what lies about it, a little smoothed. */
  Grey darkness(int small, int large) {
    float[] raw = new float[width * height];
    IntStream.range(0, height)
        .parallel()
        .forEach(y -> {
          for (int x = 0; x < width; x++) {
            raw[y * width + x] = (float) (mean(x, y, large) - mean(x, y, small));
          }
        });
    Grey once = new Grey(width, height, raw);
    float[] smooth = new float[width * height];
    IntStream.range(0, height)
        .parallel()
        .forEach(y -> {
          for (int x = 0; x < width; x++) {
            smooth[y * width + x] = (float) once.mean(x, y, small);
          }
        });
    return new Grey(width, height, smooth);
  }

  float at(int x, int y) {
    return light[y * width + x];
  }
}
