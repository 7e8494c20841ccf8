package zebrawood.site;

import java.util.List;
import zebrawood.measure.Accepts;
import zebrawood.measure.PartFinding;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;

/**
 * Does everything that hangs on this breaker go with it for hours?
 *
 * <p>Current is the sum of the loads over the voltage, power factor 1; compared with the share of
 * the breaker that may be drawn continuously.
 */
public final class Circuit {
  /** A sum just at the share is within it, whatever the rounding. */
  private static final double ROUNDING = 1e-9;

  /** No room has a feed that gives more. */
  private static final double MOST_A = 5000;

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
          .between("breakerA", breakerA, 0.5, 1000)
          .between("continuousShare", continuousShare, 0.05, 1)
          .atLeast("loads", loads, 1, "site.count.load")
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
    Accepts.canExist("loads", "site.circuit.current", amps, MOST_A);
    double share = amps / readings.breakerA;
    return new Finding(amps, share, share <= readings.continuousShare + ROUNDING);
  }

  static PartFinding judge(Readings readings, Finding f) {
    Amount flows = Amount.of(f.amps, Quantity.CURRENT, 1);
    if (f.ok) {
      return PartFinding.within(
          Advice.leave("site.circuit.leave")
              .because(
                  "site.circuit.continuously",
                  flows,
                  Amount.plain(readings.breakerA, Quantity.CURRENT)));
    }
    double tooMuchW =
        (f.shareOfBreaker - readings.continuousShare) * readings.breakerA * readings.volts;
    Advice advice =
        Advice.act("site.circuit.take-off-this", Amount.of(Math.ceil(tooMuchW), Quantity.POWER, 0));
    return f.shareOfBreaker > 1 ? PartFinding.stop(advice) : PartFinding.adjust(advice);
  }
}
