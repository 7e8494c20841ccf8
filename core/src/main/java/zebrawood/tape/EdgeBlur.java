package zebrawood.tape;

import java.util.Arrays;

/**
 * How far the edges of a printed disc are spread, by the way from 16 to 84 percent of its darkness
 * along a radius: twice the standard deviation of an edge that is long and straight. A disc is
 * neither, so that the same is asked of discs with a known spread, and read backwards.
 */
final class EdgeBlur {
  static final double STEP_MM = 0.04;
  static final double REACH_MM = 3.6;

  private static final double LEAST_MM = 0.02;
  private static final double GRID_MM = 0.1;
  private static final int KNOWN = 18;
  private static final double[] SPREADS = new double[KNOWN];
  private static final double[] WIDTHS = new double[KNOWN];

  static {
    for (int i = 0; i < KNOWN; i++) {
      SPREADS[i] = LEAST_MM + 0.1 * i;
      WIDTHS[i] = width(disc(SPREADS[i]));
    }
  }

  private EdgeBlur() {}

  /** Light along a radius of a black disc on white paper that is spread so far. */
  private static double[] disc(double spreadMm) {
    double[] profile = new double[(int) (REACH_MM / STEP_MM)];
    for (int k = 0; k < profile.length; k++) {
      double dark = 0;
      double all = 0;
      // Across the spread alone: farther than 4 deviations nothing counts.
      int n = (int) Math.ceil(4 * spreadMm / Math.min(GRID_MM, spreadMm / 2));
      for (int v = -n; v <= n; v++) {
        for (int u = -n; u <= n; u++) {
          double x = 4 * spreadMm * u / n;
          double y = 4 * spreadMm * v / n;
          double weight = Math.exp(-(x * x + y * y) / (2 * spreadMm * spreadMm));
          all += weight;
          dark += Math.hypot(k * STEP_MM + x, y) < TapeCard.DISC_MM ? weight : 0;
        }
      }
      profile[k] = 1 - dark / all;
    }
    return profile;
  }

  private static double width(double[] profile) {
    double black = profile[0];
    double white = Arrays.stream(profile).max().orElseThrow();
    return STEP_MM
        * (crossing(profile, black + 0.84 * (white - black))
            - crossing(profile, black + 0.16 * (white - black)));
  }

  private static double crossing(double[] profile, double level) {
    for (int k = 1; k < profile.length; k++) {
      if (profile[k] >= level) {
        return k - (profile[k] - level) / Math.max(1e-9, profile[k] - profile[k - 1]);
      }
    }
    return profile.length;
  }

  /**
   * @param profile light from a disc's middle outwards, {@link #STEP_MM} apart, to {@link
   *     #REACH_MM}
   * @return standard deviation of the spread in mm, at most 1.7
   */
  static double ofMm(double[] profile) {
    double width = width(profile);
    if (width <= WIDTHS[0]) {
      return width / 2;
    }
    for (int i = 1; i < KNOWN; i++) {
      if (width <= WIDTHS[i] || i == KNOWN - 1) {
        double part = (width - WIDTHS[i - 1]) / Math.max(1e-9, WIDTHS[i] - WIDTHS[i - 1]);
        return SPREADS[i - 1] + Math.clamp(part, 0, 1) * (SPREADS[i] - SPREADS[i - 1]);
      }
    }
    return SPREADS[KNOWN - 1];
  }
}
