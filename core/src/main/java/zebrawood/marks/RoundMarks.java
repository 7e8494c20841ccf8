package zebrawood.marks;

import java.util.ArrayList;
import java.util.List;
import zebrawood.measure.Picture;

/** Discs and rings of a picture, told by their moments: each one connected piece of ink. */
public final class RoundMarks {
  /** Halves of widths at which ink is told: what is wider than ink can be is none. */
  private static final int[] SCALES_PX = {12, 30, 75, 160};

  private static final double OF_SCALE = 0.6;
  private static final int LEAST_AREA = 9;
  private static final int MOST = 4000;

  private RoundMarks() {}

  /**
   * A piece of ink by its moments, in pixels of the picture.
   *
   * @param long1 and {@code short1}: semi-axes of the full ellipse with its second moments
   * @param fullness its area over that ellipse's: 1 of a disc, 0.6 of a ring whose hole is half
   */
  public record RoundMark(double x, double y, double long1, double short1, double fullness) {
    public double radius() {
      return Math.sqrt(long1 * short1);
    }

    public boolean disc() {
      return fullness > 0.86 && long1 < 3 * short1;
    }

    public boolean ring() {
      return fullness > 0.3 && fullness < 0.82 && long1 < 3 * short1;
    }

    private boolean same(RoundMark other) {
      return Math.hypot(x - other.x, y - other.y) < 0.3 * radius()
          && Math.abs(radius() - other.radius()) < 0.2 * radius();
    }
  }

  /**
   * Every piece of ink, of round shape or not; at most four thousand.
   *
   * @param leastInk of the sheet's light about it: less is no mark
   */
  public static List<RoundMark> of(Picture picture, double leastInk) {
    List<RoundMark> all = new ArrayList<>();
    for (int scale : SCALES_PX) {
      for (RoundMark mark : at(Ink.of(picture, 1, 2 * scale, false), scale, leastInk)) {
        if (all.size() < MOST && all.stream().noneMatch(m -> m.same(mark))) {
          all.add(mark);
        }
      }
    }
    return all;
  }

  private static List<RoundMark> at(Ink ink, int scale, double leastInk) {
    int width = ink.width();
    int height = ink.height();
    boolean[] dark = new boolean[width * height];
    for (int i = 0; i < dark.length; i++) {
      dark[i] = ink.at(i % width, i / width) > leastInk;
    }
    List<RoundMark> found = new ArrayList<>();
    int[] stack = new int[dark.length];
    int largest = (int) (9.0 * scale * scale);
    for (int start = 0; start < dark.length; start++) {
      if (dark[start]) {
        piece(dark, stack, start, width, height, largest, OF_SCALE * scale, found);
      }
    }
    return found;
  }

  private static void piece(
      boolean[] dark,
      int[] stack,
      int start,
      int width,
      int height,
      int largest,
      double longest,
      List<RoundMark> found) {
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
    found.add(new RoundMark(mx + 0.5, my + 0.5, a, b, n / (Math.PI * a * b)));
  }
}
