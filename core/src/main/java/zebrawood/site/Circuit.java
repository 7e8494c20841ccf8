package zebrawood.site;

import java.util.List;
import zebrawood.measure.Accepts;
import zebrawood.measure.Numbers;

/**
 * Does everything that hangs on this breaker go with it for hours?
 *
 * <p>Current is the sum of the loads over the voltage, power factor 1; compared with the share of
 * the breaker that may be drawn continuously.
 */
public final class Circuit {
  /** A sum just at the share is within it, whatever the rounding. */
  private static final double ROUNDING = 1e-9;

  private Circuit() {}

  /** One thing on the breaker. */
  public record Load(String name, double watts) {
    public Load {
      new Accepts().filled("name", name).between("watts", watts, 0, 1_000_000).orThrow();
    }
  }

  /**
   * @param continuousShare the part of the breaker's rating that may flow for hours; 0.8 is common
   */
  public record Readings(double volts, double breakerA, double continuousShare, List<Load> loads) {
    public Readings {
      loads = List.copyOf(loads);
      new Accepts()
          .between("volts", volts, 12, 1000)
          .positive("breakerA", breakerA, 1000)
          .positive("continuousShare", continuousShare, 1)
          .atLeast("loads", loads, 1, "load")
          .orThrow();
    }
  }

  /**
   * @param shareOfBreaker the sum's part of the breaker's rating
   */
  public record Finding(double amps, double shareOfBreaker, boolean ok) {}

  public static Finding solve(Readings readings) {
    double watts = readings.loads.stream().mapToDouble(Load::watts).sum();
    double amps = watts / readings.volts;
    double share = amps / readings.breakerA;
    return new Finding(amps, share, share <= readings.continuousShare + ROUNDING);
  }

  static Part judge(Readings readings, Finding f) {
    String sum =
        "%s A of %s A".formatted(Numbers.fixed(f.amps, 1), Numbers.plain(readings.breakerA));
    if (f.ok) {
      return Part.within("Leave the circuit: " + sum + " run continuously.");
    }
    double tooMuchW =
        (f.shareOfBreaker - readings.continuousShare) * readings.breakerA * readings.volts;
    String advice =
        "Take %s W off this breaker, or have a licensed electrician lay another circuit; the local code wins."
            .formatted(Numbers.fixed(Math.ceil(tooMuchW), 0));
    return f.shareOfBreaker > 1 ? Part.stop(advice) : Part.adjust(advice);
  }
}
