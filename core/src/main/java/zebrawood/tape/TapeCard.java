package zebrawood.tape;

import java.util.Arrays;
import java.util.List;

/** What is printed on a target, in mm from its middle, x to the right and y up. */
public final class TapeCard {
  public static final int NUMBERS = 8;
  public static final double SPAN_MM = 32;
  public static final double CORNER_MM = 16;
  static final double RING_MM = 2.2;
  public static final double DISC_MM = 2;
  public static final double SMALL_MM = 1;
  public static final double NUMBER_MM = 1.5;

  /** Ring, then the discs clockwise from it. */
  static final double[][] CORNERS = {{-16, 16}, {16, 16}, {16, -16}, {-16, -16}};

  /** Clockwise from the ring; the n-th is larger. */
  static final double[][] SMALL = {
    {-10, 16}, {8, 16}, {16, 10}, {16, -8}, {10, -16}, {-8, -16}, {-16, -10}, {-16, 8}
  };

  private static final double CROSS_MM = 12;
  private static final double HALF_LINE_MM = 0.15;

  private TapeCard() {}

  /** Middles of the small discs, x right and y up, clockwise from the ring. */
  public static List<double[]> small() {
    return Arrays.stream(SMALL).map(double[]::clone).toList();
  }

  /** How far a place lies from the nearest print; less than 0 within it. */
  static double fromPrintMm(double x, double y) {
    double least = Math.abs(Math.hypot(x + CORNER_MM, y - CORNER_MM) - 1.65) - 0.55;
    for (int i = 1; i < 4; i++) {
      least = Math.min(least, Math.hypot(x - CORNERS[i][0], y - CORNERS[i][1]) - DISC_MM);
    }
    for (double[] s : SMALL) {
      least = Math.min(least, Math.hypot(x - s[0], y - s[1]) - NUMBER_MM);
    }
    // The figure, whatever it is drawn with.
    least = Math.min(least, Math.max(Math.abs(x + 12.2), Math.abs(y - 12.2)) - 1.7);
    return Math.min(least, fromGreyMm(x, y));
  }

  /** How far a place lies from the cross and its arrowhead. */
  static double fromGreyMm(double x, double y) {
    double least = segment(x, y, -CROSS_MM, 0, CROSS_MM, 0);
    least = Math.min(least, segment(x, y, 0, -CROSS_MM, 0, CROSS_MM));
    least = Math.min(least, segment(x, y, 0, CROSS_MM, -1.2, CROSS_MM - 1.6));
    least = Math.min(least, segment(x, y, 0, CROSS_MM, 1.2, CROSS_MM - 1.6));
    return least - HALF_LINE_MM;
  }

  private static double segment(double x, double y, double ax, double ay, double bx, double by) {
    double dx = bx - ax;
    double dy = by - ay;
    double t = Math.clamp(((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy), 0, 1);
    return Math.hypot(x - ax - t * dx, y - ay - t * dy);
  }
}
