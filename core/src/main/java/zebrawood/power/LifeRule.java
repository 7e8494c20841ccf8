package zebrawood.power;

import zebrawood.measure.Accepts;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * What a tube's life costs at a higher current, by two lines of its own data sheet: hours fall with
 * a power of the current. A planning rule, as good as those two lines, and no promise.
 *
 * @param hours at the current {@code ma}
 * @param fewerHours at the higher current {@code higherMa}
 */
public record LifeRule(double ma, double hours, double higherMa, double fewerHours) {
  private static final double MOST_HOURS = 1_000_000;

  public LifeRule {
    var accepts =
        new Accepts()
            .positive("ma", ma, 10_000)
            .positive("hours", hours, MOST_HOURS)
            .positive("higherMa", higherMa, 10_000)
            .positive("fewerHours", fewerHours, MOST_HOURS);
    if (accepts.fine() && !(higherMa > ma && fewerHours <= hours)) {
      accepts.complain(
          "higherMa", Message.number(higherMa), Message.of("power.accepts.higher-fewer"));
    }
    accepts.orThrow();
  }

  public double exponent() {
    return Math.log(hours / fewerHours) / Math.log(higherMa / ma);
  }

  /** Hours at a current, by the rule. */
  public double hoursAt(double currentMa) {
    return hours * Math.pow(ma / currentMa, exponent());
  }

  /** How long it lasts at the agreed current and at the tube's maximum. */
  public Message said(double agreedMa, double maximumMa) {
    return Message.of(
        "power.life.rule",
        Amount.of(agreedMa, Quantity.SMALL_CURRENT, 1),
        Math.round(hoursAt(agreedMa)),
        Amount.of(maximumMa, Quantity.SMALL_CURRENT, 1),
        Math.round(hoursAt(maximumMa)));
  }
}
