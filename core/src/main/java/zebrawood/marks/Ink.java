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

  /** Lines that are filtered together: one step of all of them is one step of the processor's. */
  private static final int BESIDE = 32;

  /** The largest, or the smallest, within a square: along the rows, then along the columns. */
  private static float[] filtered(
      float[] from, int width, int height, int radius, boolean largest) {
    // The smallest is the largest of what has the other sign.
    float sign = largest ? 1 : -1;
    float[] rows = new float[from.length];
    lines(
        height,
        (first, lines) -> {
          float[] some = new float[lines * width];
          for (int k = 0; k < lines; k++) {
            for (int x = 0; x < width; x++) {
              some[x * lines + k] = sign * from[(first + k) * width + x];
            }
          }
          float[] found = largest(some, lines, radius);
          for (int k = 0; k < lines; k++) {
            for (int x = 0; x < width; x++) {
              rows[(first + k) * width + x] = found[x * lines + k];
            }
          }
        });
    float[] both = new float[from.length];
    lines(
        width,
        (first, lines) -> {
          float[] some = new float[lines * height];
          for (int y = 0; y < height; y++) {
            System.arraycopy(rows, y * width + first, some, y * lines, lines);
          }
          float[] found = largest(some, lines, radius);
          for (int y = 0; y < height; y++) {
            for (int k = 0; k < lines; k++) {
              both[y * width + first + k] = sign * found[y * lines + k];
            }
          }
        });
    return both;
  }

  /** Some lines beside one another: the first of them and how many. */
  @FunctionalInterface
  private interface Lines {
    void filter(int first, int lines);
  }

  private static void lines(int all, Lines some) {
    IntStream.rangeClosed(0, (all - 1) / BESIDE)
        .parallel()
        .forEach(i -> some.filter(i * BESIDE, Math.min(BESIDE, all - i * BESIDE)));
  }

  /**
   * The running maximum of lines beside one another, whatever the radius costs the same (M. van
   * Herk, Pattern Recognition Letters 13, 517, 1992).
   *
   * @param lines so many, a place of each of them beside one another
   */
  private static float[] largest(float[] from, int lines, int radius) {
    float[] to = new float[from.length];
    int n = from.length / lines;
    int block = 2 * radius + 1;
    float[] since = from.clone();
    float[] until = from.clone();
    for (int i = 1; i < n; i++) {
      if (i % block != 0) {
        for (int k = i * lines; k < (i + 1) * lines; k++) {
          since[k] = Math.max(since[k - lines], since[k]);
        }
      }
    }
    for (int i = n - 2; i >= 0; i--) {
      if (i % block != block - 1) {
        for (int k = i * lines; k < (i + 1) * lines; k++) {
          until[k] = Math.max(until[k + lines], until[k]);
        }
      }
    }
    for (int i = 0; i < n; i++) {
      int low = Math.max(0, i - radius);
      int high = Math.min(n - 1, i + radius);
      // Within one block either of the two has all of the window, and nothing else.
      float[] a = low == 0 ? since : until;
      int atA = (low == 0 ? high : low) * lines;
      boolean one = low == 0 || low / block == high / block;
      float[] b = one ? a : since;
      int atB = one ? atA : high * lines;
      int at = i * lines;
      for (int k = 0; k < lines; k++) {
        to[at + k] = Math.max(a[atA + k], b[atB + k]);
      }
    }
    return to;
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
