package zebrawood.power;

import zebrawood.measure.Accepts;

/**
 * Watts from a probe that is heated by a pulse of known length.
 *
 * <p>A body of heat capacity C that loses heat to the room in proportion to how much warmer it is
 * (Newton's law of cooling) obeys {@code C dT/dt = P - k C (T - room)}; with k from how it cools
 * after the pulse, and the temperatures at the pulse's two ends, P follows without neglecting what
 * was lost during the pulse.
 */
public final class EnergyProbe {
  private EnergyProbe() {}

  /**
   * How the probe cools with nothing on it.
   *
   * @param roomC of the air
   * @param fromC at first, and {@code toC} after {@code seconds}
   */
  public record Cooling(double roomC, double fromC, double toC, double seconds) {
    private static final double LEAST_ABOVE_K = 0.5;

    public Cooling {
      var accepts =
          new Accepts()
              .between("roomC", roomC, -20, 60)
              .between("toC", toC, roomC + LEAST_ABOVE_K, 1000)
              .between("fromC", fromC, toC, 1000)
              .positive("seconds", seconds, 3600);
      accepts.orThrow();
    }

    /** The share lost in a second. */
    double perSecond() {
      return Math.log((fromC - roomC) / (toC - roomC)) / seconds;
    }
  }

  /**
   * @param joulesPerKelvin heat that warms the probe by one degree, from its maker
   * @param startC before the pulse, and {@code endC} right after it
   * @param seconds how long the pulse was
   */
  public static double watts(
      double joulesPerKelvin, double startC, double endC, double seconds, Cooling cooling) {
    new Accepts()
        .positive("joulesPerKelvin", joulesPerKelvin, 100_000)
        .between("startC", startC, -20, 1000)
        .between("endC", endC, startC, 1000)
        .positive("seconds", seconds, 600)
        .orThrow();
    double k = cooling.perSecond();
    double start = startC - cooling.roomC;
    double end = endC - cooling.roomC;
    if (k * seconds < 1e-9) {
      return joulesPerKelvin * (end - start) / seconds;
    }
    double left = Math.exp(-k * seconds);
    return joulesPerKelvin * k * (end - start * left) / (1 - left);
  }
}
