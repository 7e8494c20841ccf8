package zebrawood.controller;

import zebrawood.measure.Accepts;

/**
 * How much room does an engraving speed need beside the work, and which speed is the highest worth
 * using?
 *
 * <p>With an even acceleration a the axis comes to speed v within v^2 / (2 a), on each side. A line
 * of width w takes w / v + 2 v / a; that is least at v = sqrt(a w / 2), and faster than that each
 * line takes longer.
 */
public final class RunUp {
  private RunUp() {}

  public record Readings(double speedMmS, double accelerationMmS2, double widthMm) {
    public Readings {
      new Accepts()
          .positive("speedMmS", speedMmS, 1e6)
          .positive("accelerationMmS2", accelerationMmS2, 1e7)
          .positive("widthMm", widthMm, 1e5)
          .orThrow();
    }
  }

  /**
   * @param runUpMm on each side
   * @param lineS what one line takes at this speed
   * @param bestSpeedMmS the highest speed worth using for this width
   */
  public record Finding(double runUpMm, double lineS, double bestSpeedMmS, double bestLineS) {}

  public static Finding solve(Readings r) {
    double best = Math.sqrt(r.accelerationMmS2 * r.widthMm / 2);
    return new Finding(
        r.speedMmS * r.speedMmS / (2 * r.accelerationMmS2),
        lineS(r, r.speedMmS),
        best,
        lineS(r, best));
  }

  private static double lineS(Readings r, double v) {
    return r.widthMm / v + 2 * v / r.accelerationMmS2;
  }
}
