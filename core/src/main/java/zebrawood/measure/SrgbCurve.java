package zebrawood.measure;

/** How much light a level of a picture stands for, by the curve of sRGB (IEC 61966-2-1). */
public final class SrgbCurve {
  private static final int LEVELS = 256;
  private static final double[] LINEAR = new double[LEVELS];

  static {
    for (int i = 0; i < LEVELS; i++) {
      double c = i / (LEVELS - 1.0);
      LINEAR[i] = c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }
  }

  private SrgbCurve() {}

  /** Of a whole level, 0 to 255: 0 to 1. */
  public static double linear(int level) {
    return LINEAR[level];
  }

  /** Of a level between two: by a straight line. */
  public static double linear(double level) {
    double l = Math.clamp(level, 0, LEVELS - 1);
    int low = (int) l;
    int high = Math.min(LEVELS - 1, low + 1);
    return LINEAR[low] + (l - low) * (LINEAR[high] - LINEAR[low]);
  }
}
