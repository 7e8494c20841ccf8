package zebrawood.cooling;

import zebrawood.climate.Bucket;
import zebrawood.measure.Accepts;
import zebrawood.measure.PartFinding;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Does the chiller carry off the heat of this duty?
 *
 * <p>Its capacity from a pull-down: with the machine off, litres of water cooled by so many kelvin
 * in so many minutes is litres times 4186 J/K times kelvin over seconds. What hose and tank take
 * from the room meanwhile is not counted, so the true capacity is a little more.
 */
public final class Chiller {
  private Chiller() {}

  /**
   * @param litres what is in the loop and the chiller's tank
   * @param heatW what the machine gives to the water at this duty
   */
  public record Readings(double litres, double fromC, double toC, double minutes, double heatW) {
    public Readings {
      var accepts =
          new Accepts()
              .positive("litres", litres, 10_000)
              .between("fromC", fromC, -40, 100)
              .between("toC", toC, -40, 100)
              .positive("minutes", minutes, 10_000)
              .between("heatW", heatW, 0, 100_000);
      if (toC >= fromC) {
        accepts.complain("toC", toC, Message.of("cooling.chiller.less-than-fromc"));
      }
      accepts.orThrow();
    }
  }

  /**
   * @param shareUsed the heat's part of the capacity
   */
  public record Finding(double capacityW, double shareUsed, boolean enough) {}

  public static Finding solve(Readings r) {
    double capacity = r.litres * Bucket.WATER_J_PER_KG_K * (r.fromC - r.toC) / (r.minutes * 60);
    double share = r.heatW / capacity;
    return new Finding(capacity, share, share <= 1);
  }

  static PartFinding judge(Readings r, Finding f) {
    Message figures =
        Message.of(
            "cooling.chiller.figures",
            Amount.of(r.heatW, Quantity.POWER, 0),
            Amount.of(f.capacityW, Quantity.POWER, 0));
    return f.enough
        ? PartFinding.within(Advice.leave("cooling.chiller.leave").because(figures))
        : PartFinding.adjust(Advice.act("cooling.chiller.less-duty").because(figures));
  }
}
