package zebrawood.tape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleBinaryOperator;
import zebrawood.marks.RoundMarks.RoundMark;

/**
 * Sides of a target by themselves: two corner marks with the small discs between them, which stand
 * at the same shares of every side, clockwise. By them a target is known that lacks a corner, or
 * whose ring blur has closed.
 */
final class Sides {
  private static final double[] DISCS = {6 / 32.0, 24 / 32.0};
  private static final double[] WHITE = {0.105, 0.36, 0.47, 0.6, 0.87};
  private static final double NEAR = 0.02;

  /** Of the paper's light: blur of 1 mm leaves so much of a small disc's darkness. */
  private static final double DARK = 0.86;

  private static final double EVEN = 0.7;
  private static final int MOST_MARKS = 60;

  private Sides() {}

  /** From one corner to the next clockwise, in pixels. */
  record Side(double[] from, double[] to) {
    /** Whether the next side turns clockwise, by a right angle about. */
    boolean turns(Side next) {
      double ax = to[0] - from[0];
      double ay = to[1] - from[1];
      double bx = next.to[0] - to[0];
      double by = next.to[1] - to[1];
      return ax * by - ay * bx > 0.5 * Math.hypot(ax, ay) * Math.hypot(bx, by);
    }

    /** Where the corner behind either end must be, as far as the card is not seen at a slant. */
    double[] behind(boolean last) {
      double[] at = last ? to : from;
      return new double[] {at[0] - (to[1] - from[1]), at[1] + (to[0] - from[0])};
    }
  }

  /**
   * @param light at a place in pixels
   * @param block pixels of the picture that one of the marks' is
   */
  static List<Side> of(List<RoundMark> marks, int block, DoubleBinaryOperator light) {
    List<RoundMark> some =
        marks.stream()
            .sorted((a, b) -> Double.compare(b.radius(), a.radius()))
            .limit(MOST_MARKS)
            .toList();
    List<Side> sides = new ArrayList<>();
    for (RoundMark a : some) {
      for (RoundMark b : some) {
        double far = Math.hypot(a.x() - b.x(), a.y() - b.y());
        double r = (a.radius() + b.radius()) / 2;
        if (a == b
            || far < 9 * r
            || far > 45 * r
            || Math.max(a.radius(), b.radius()) > 2 * Math.min(a.radius(), b.radius())) {
          continue;
        }
        double[] from = {a.x() * block, a.y() * block};
        double[] to = {b.x() * block, b.y() * block};
        if (seen(from, to, light)) {
          sides.add(new Side(from, to));
        }
      }
    }
    return sides;
  }

  private static boolean seen(double[] from, double[] to, DoubleBinaryOperator light) {
    double[] white = new double[WHITE.length];
    for (int i = 0; i < white.length; i++) {
      white[i] = at(from, to, WHITE[i], light);
    }
    double[] sorted = white.clone();
    Arrays.sort(sorted);
    double paper = sorted[sorted.length / 2];
    if (paper < 0.02 || sorted[0] < EVEN * paper || sorted[sorted.length - 1] > paper / EVEN) {
      return false;
    }
    double[] along = new double[2];
    double[] back = new double[2];
    for (int i = 0; i < 2; i++) {
      along[i] = darkest(from, to, DISCS[i], light);
      back[i] = darkest(to, from, DISCS[i], light);
    }
    // The same side looked along the other way has its discs elsewhere.
    return Math.max(along[0], along[1]) < DARK * paper && along[0] + along[1] < back[0] + back[1];
  }

  private static double darkest(
      double[] from, double[] to, double share, DoubleBinaryOperator light) {
    double least = Double.MAX_VALUE;
    for (double off = -NEAR; off <= NEAR; off += NEAR / 2) {
      least = Math.min(least, at(from, to, share + off, light));
    }
    return least;
  }

  private static double at(double[] from, double[] to, double share, DoubleBinaryOperator light) {
    return light.applyAsDouble(
        from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1]));
  }
}
