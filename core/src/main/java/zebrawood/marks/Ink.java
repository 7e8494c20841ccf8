package zebrawood.marks;

import java.util.Arrays;
import java.util.stream.IntStream;
import zebrawood.measure.Picture;
import zebrawood.measure.ReducedPicture;

/**
 * How much ink stands at each place of a picture, whatever tone, shade and exposure are: the
 * black-hat of its light (its closing less itself) over the closing. What is wider than the
 * closing's square is no ink.
 */
final class Ink {
  private final int width;
  private final int height;
  private final int block;
  private final float[] ink;

  private Ink(int width, int height, int block, float[] ink) {
    this.width = width;
    this.height = height;
    this.block = block;
    this.ink = ink;
  }

  /**
   * @param block pixels of a side that become one
   * @param widest of what is ink, in blocks
   * @param lightOnDark whether the marks are lighter than the stock
   */
  static Ink of(Picture picture, int block, int widest, boolean lightOnDark) {
    ReducedPicture reduced = ReducedPicture.of(picture, block);
    int width = reduced.width();
    int height = reduced.height();
    float[] light = light(reduced, lightOnDark);
    int radius = Math.max(1, (widest + 1) / 2);
    float[] closed =
        filtered(filtered(light, width, height, radius, true), width, height, radius, false);
    float[] ink = new float[light.length];
    for (int i = 0; i < ink.length; i++) {
      ink[i] = Math.max(0, closed[i] - light[i]) / Math.max(LEAST_LIGHT, closed[i]);
    }
    return new Ink(width, height, block, ink);
  }

  /** So far from the median lies the 70th of a hundred, in standard deviations. */
  private static final float OF_DEVIATION = 0.524f;

  /** Below this a stock is black, and shares of its light say nothing. */
  private static final float LEAST_LIGHT = 24;

  private static float[] light(ReducedPicture picture, boolean lightOnDark) {
    int width = picture.width();
    float[] light = new float[width * picture.height()];
    for (int i = 0; i < light.length; i++) {
      double here = picture.light(i % width, i / width);
      light[i] = (float) (lightOnDark ? 255 - here : here);
    }
    return light;
  }

  /** The largest, or the smallest, within a square: along the rows, then along the columns. */
  private static float[] filtered(
      float[] from, int width, int height, int radius, boolean largest) {
    float[] rows = new float[from.length];
    IntStream.range(0, height)
        .parallel()
        .forEach(y -> line(from, y * width, 1, width, rows, radius, largest));
    float[] both = new float[from.length];
    IntStream.range(0, width)
        .parallel()
        .forEach(x -> line(rows, x, width, height, both, radius, largest));
    return both;
  }

  /** A running extreme: the places that may still be one, in order (a monotonic queue). */
  private static void line(
      float[] from, int start, int step, int n, float[] to, int radius, boolean largest) {
    int[] queue = new int[n];
    int head = 0;
    int tail = 0;
    for (int i = 0; i < n + radius; i++) {
      if (i < n) {
        float now = from[start + i * step];
        while (tail > head && beats(now, from[start + queue[tail - 1] * step], largest)) {
          tail--;
        }
        queue[tail++] = i;
      }
      int at = i - radius;
      if (at >= 0) {
        while (queue[head] < at - radius) {
          head++;
        }
        to[start + at * step] = from[start + queue[head] * step];
      }
    }
  }

  private static boolean beats(float now, float before, boolean largest) {
    return largest ? now >= before : now <= before;
  }

  int width() {
    return width;
  }

  int height() {
    return height;
  }

  /** Pixels of the picture from one place to the next. */
  int block() {
    return block;
  }

  /** Nothing where there is no picture. */
  float at(int x, int y) {
    return x < 0 || y < 0 || x >= width || y >= height ? 0 : ink[y * width + x];
  }

  /** The mean of the nine about a place. */
  float about(int x, int y) {
    float sum = 0;
    for (int dy = -1; dy <= 1; dy++) {
      for (int dx = -1; dx <= 1; dx++) {
        sum += at(x + dx, y + dy);
      }
    }
    return sum / 9;
  }

  /** The sheet's own ink about a place, and its spread: the median and what lies above it. */
  float[] usual() {
    int step = (int) Math.max(1, Math.sqrt(ink.length / 12_000.0));
    float[] some = new float[(height / step + 1) * (width / step + 1)];
    int n = 0;
    for (int y = 1; y < height - 1; y += step) {
      for (int x = 1; x < width - 1; x += step) {
        some[n++] = about(x, y);
      }
    }
    Arrays.sort(some, 0, n);
    float median = some[n / 2];
    // Marks may cover a fifth of the sheet: its spread is told by what lies below that.
    return new float[] {median, (some[(int) (0.7 * n)] - median) / OF_DEVIATION};
  }
}
