package zebrawood.climate;

import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.measure.PartFinding;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;

/**
 * How long may the machine run on a bucket and a pump?
 *
 * <p>The bucket is one lump of water that takes the heat and loses some to the air: m c dT/dt = P -
 * k (T - air), so T nears air + P/k with the time constant m c/k. Holds for a stirred bucket; one
 * litre is taken as one kilogram.
 */
public final class Bucket {
  public static final double WATER_J_PER_KG_K = 4186;

  /** Where the sum would come to rest, if the water did not boil long before. */
  private static final double MOST_C = 10_000;

  private Bucket() {}

  /**
   * @param heatW what the machine gives to the water at this duty
   * @param lossWPerK what the bucket gives to the air for each kelvin above it
   */
  public record Readings(
      double litres, double startC, double limitC, double airC, double heatW, double lossWPerK) {
    public Readings {
      new Accepts()
          .between("litres", litres, 0.1, 10_000)
          .between("startC", startC, -40, 100)
          .between("limitC", limitC, -40, 100)
          .between("airC", airC, -40, 60)
          .between("heatW", heatW, 0, 100_000)
          .between("lossWPerK", lossWPerK, 0, 10_000)
          .orThrow();
    }
  }

  /**
   * @param minutesToLimit empty when the limit is never reached; 0 when it is passed at the start
   * @param steadyC where the temperature comes to rest; empty when nothing is lost to the air
   */
  public record Finding(OptionalDouble minutesToLimit, OptionalDouble steadyC) {}

  public static Finding solve(Readings r) {
    OptionalDouble steady =
        r.lossWPerK > 0
            ? OptionalDouble.of(r.airC + r.heatW / r.lossWPerK)
            : r.heatW == 0 ? OptionalDouble.of(r.startC) : OptionalDouble.empty();
    steady.ifPresent(c -> Accepts.canExist("lossWPerK", "climate.bucket.steady", c, MOST_C));
    return new Finding(minutesToLimit(r, steady), steady);
  }

  private static OptionalDouble minutesToLimit(Readings r, OptionalDouble steady) {
    if (r.startC >= r.limitC) {
      return OptionalDouble.of(0);
    }
    double heatCapacity = r.litres * WATER_J_PER_KG_K;
    if (steady.isEmpty()) {
      return OptionalDouble.of(heatCapacity * (r.limitC - r.startC) / r.heatW / 60);
    }
    double rest = steady.getAsDouble();
    if (rest <= r.limitC) {
      return OptionalDouble.empty();
    }
    double seconds = heatCapacity / r.lossWPerK * Math.log((rest - r.startC) / (rest - r.limitC));
    return OptionalDouble.of(seconds / 60);
  }

  /**
   * Minutes from the limit down to {@code toC} with the machine off, or empty when the air is too
   * warm for it.
   */
  public static OptionalDouble minutesToCool(Readings r, double toC) {
    if (toC >= r.limitC) {
      return OptionalDouble.of(0);
    }
    if (toC <= r.airC || r.lossWPerK == 0) {
      return OptionalDouble.empty();
    }
    double seconds =
        r.litres * WATER_J_PER_KG_K / r.lossWPerK * Math.log((r.limitC - r.airC) / (toC - r.airC));
    return OptionalDouble.of(seconds / 60);
  }

  /** What is to be done about it. */
  public static PartFinding judge(Readings r, Finding f) {
    if (f.minutesToLimit.isEmpty()) {
      return PartFinding.within(
          Advice.leave("climate.bucket.run-as-long")
              .because(
                  "climate.bucket.bucket-comes-rest",
                  Amount.of(f.steadyC.orElse(r.startC), Quantity.TEMPERATURE, 1),
                  Amount.plain(r.limitC, Quantity.NUMBER)));
    }
    double minutes = f.minutesToLimit.getAsDouble();
    return minutes == 0
        ? PartFinding.stop(
            Advice.act("climate.bucket.do-not-fire")
                .because(
                    "climate.bucket.water-limit-already",
                    Amount.plain(r.limitC, Quantity.TEMPERATURE)))
        : PartFinding.adjust(
            Advice.act(
                    "climate.bucket.pause-after-minutes",
                    Amount.of(Math.floor(minutes), Quantity.NUMBER, 0))
                .because(
                    "climate.bucket.water-then-limit",
                    Amount.plain(r.limitC, Quantity.TEMPERATURE)));
  }
}
