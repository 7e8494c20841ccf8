package zebrawood.tape;

import java.util.ArrayList;
import java.util.List;

/** Places of a picture that are darker than what lies about them, each as one connected piece. */
final class Blobs {
  /** A blob is told by a window that is wider than it: in a narrow one its middle is the mean. */
  private static final int[] WINDOWS = {12, 30, 75, 160};

  private static final double OF_WINDOW = 0.6;
  private static final int LEAST_AREA = 9;
  private static final int MOST = 4000;

  private Blobs() {}

  /**
   * A blob by its moments.
   *
   * @param long1 and {@code short1}: semi-axes of the full ellipse with its second moments
   * @param fullness its area over that ellipse's: 1 of a disc, 0.6 of a ring whose hole is half
   */
  record Blob(double x, double y, double long1, double short1, double fullness) {
    double radius() {
      return Math.sqrt(long1 * short1);
    }

    boolean disc() {
      return fullness > 0.86 && long1 < 3 * short1;
    }

    boolean ring() {
      return fullness > 0.3 && fullness < 0.82 && long1 < 3 * short1;
    }
  }

  /**
   * @param dark of the local mean's light: what is darker is a blob
   */
  static List<Blob> of(float[] light, int width, int height, double dark) {
    double[] sums = new double[(width + 1) * (height + 1)];
    for (int y = 0; y < height; y++) {
      double row = 0;
      for (int x = 0; x < width; x++) {
        row += light[y * width + x];
        sums[(y + 1) * (width + 1) + x + 1] = sums[y * (width + 1) + x + 1] + row;
      }
    }
    List<Blob> all = new ArrayList<>();
    for (int window : WINDOWS) {
      for (Blob blob : at(light, sums, width, height, window, dark)) {
        if (all.size() < MOST && all.stream().noneMatch(b -> same(b, blob))) {
          all.add(blob);
        }
      }
    }
    return all;
  }

  private static boolean same(Blob a, Blob b) {
    return Math.hypot(a.x - b.x, a.y - b.y) < 0.3 * a.radius()
        && Math.abs(a.radius() - b.radius()) < 0.2 * a.radius();
  }

  private static List<Blob> at(
      float[] light, double[] sums, int width, int height, int window, double share) {
    boolean[] dark = new boolean[light.length];
    for (int y = 0; y < height; y++) {
      int top = Math.max(0, y - window);
      int bottom = Math.min(height, y + window + 1);
      for (int x = 0; x < width; x++) {
        int left = Math.max(0, x - window);
        int right = Math.min(width, x + window + 1);
        int stride = width + 1;
        double mean =
            (sums[bottom * stride + right]
                    - sums[top * stride + right]
                    - sums[bottom * stride + left]
                    + sums[top * stride + left])
                / ((double) (right - left) * (bottom - top));
        dark[y * width + x] = light[y * width + x] < share * mean;
      }
    }
    List<Blob> found = new ArrayList<>();
    int[] stack = new int[light.length];
    int largest = (int) (9.0 * window * window);
    for (int start = 0; start < dark.length; start++) {
      if (dark[start]) {
        blob(dark, stack, start, width, height, largest, OF_WINDOW * window, found);
      }
    }
    return found;
  }

  private static void blob(
      boolean[] dark,
      int[] stack,
      int start,
      int width,
      int height,
      int largest,
      double longest,
      List<Blob> found) {
    int top = 0;
    stack[top++] = start;
    dark[start] = false;
    double n = 0;
    double sx = 0;
    double sy = 0;
    double sxx = 0;
    double syy = 0;
    double sxy = 0;
    while (top > 0) {
      int at = stack[--top];
      int x = at % width;
      int y = at / width;
      n++;
      sx += x;
      sy += y;
      sxx += (double) x * x;
      syy += (double) y * y;
      sxy += (double) x * y;
      if (x > 0 && dark[at - 1]) {
        dark[at - 1] = false;
        stack[top++] = at - 1;
      }
      if (x < width - 1 && dark[at + 1]) {
        dark[at + 1] = false;
        stack[top++] = at + 1;
      }
      if (y > 0 && dark[at - width]) {
        dark[at - width] = false;
        stack[top++] = at - width;
      }
      if (y < height - 1 && dark[at + width]) {
        dark[at + width] = false;
        stack[top++] = at + width;
      }
    }
    if (n < LEAST_AREA || n > largest) {
      return;
    }
    double mx = sx / n;
    double my = sy / n;
    // A pixel is a square: it has a twelfth of its own.
    double cxx = sxx / n - mx * mx + 1 / 12.0;
    double cyy = syy / n - my * my + 1 / 12.0;
    double cxy = sxy / n - mx * my;
    double half = (cxx + cyy) / 2;
    double root = Math.sqrt(Math.max(0, half * half - cxx * cyy + cxy * cxy));
    double a = 2 * Math.sqrt(half + root);
    double b = 2 * Math.sqrt(Math.max(1e-6, half - root));
    if (a > longest) {
      return;
    }
    found.add(new Blob(mx + 0.5, my + 0.5, a, b, n / (Math.PI * a * b)));
  }
}
