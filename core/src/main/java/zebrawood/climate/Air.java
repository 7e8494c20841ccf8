package zebrawood.climate;

import zebrawood.measure.Accepts;
import zebrawood.measure.PartFinding;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;

/**
 * Does the room's water settle on the cold optics?
 *
 * <p>Dew point after Magnus with the coefficients 17.625 and 243.04 °C: O. A. Alduchov, R. E.
 * Eskridge, Improved Magnus form approximation of saturation vapor pressure, J. Appl. Meteor. 35
 * (1996) 601. Good to 0.4 K from -40 to 50 °C.
 */
public final class Air {
  private static final double A = 17.625;
  private static final double B_C = 243.04;

  /** Closer to the dew point than this, a draught or a wet day is enough. */
  public static final double SAFE_MARGIN_K = 2;

  private Air() {}

  /**
   * @param coolantC temperature of the coolant where it enters the machine
   */
  public record Readings(double temperatureC, double relativeHumidityPercent, double coolantC) {
    public Readings {
      new Accepts()
          .between("temperatureC", temperatureC, -40, 60)
          .between("relativeHumidityPercent", relativeHumidityPercent, 0.1, 100)
          .between("coolantC", coolantC, -60, 100)
          .orThrow();
    }
  }

  /**
   * @param marginK coolant above the dew point
   * @param lowestCoolantC the lowest coolant temperature allowed now, with a margin
   */
  public record Finding(
      double dewPointC, double marginK, boolean condenses, double lowestCoolantC) {}

  public static Finding solve(Readings readings) {
    double dewPointC = dewPointC(readings.temperatureC, readings.relativeHumidityPercent);
    double marginK = readings.coolantC - dewPointC;
    return new Finding(dewPointC, marginK, marginK <= 0, dewPointC + SAFE_MARGIN_K);
  }

  static double dewPointC(double temperatureC, double relativeHumidityPercent) {
    double gamma =
        Math.log(relativeHumidityPercent / 100) + A * temperatureC / (B_C + temperatureC);
    return B_C * gamma / (A - gamma);
  }

  /**
   * The humidity at which water settles on what is this cold; 100 percent where it is not below the
   * room.
   */
  public static double dewHumidityPercent(double roomC, double surfaceC) {
    double gamma = A * surfaceC / (B_C + surfaceC) - A * roomC / (B_C + roomC);
    return Math.min(100, 100 * Math.exp(gamma));
  }

  /** What is to be done about it. */
  public static PartFinding judge(Finding f) {
    Amount lowest = Amount.of(f.lowestCoolantC, Quantity.TEMPERATURE, 1);
    if (f.condenses) {
      return PartFinding.stop(
          Advice.act("climate.air.do-not-fire")
              .because("climate.air.water-settles-optics", lowest));
    }
    if (f.marginK < SAFE_MARGIN_K) {
      return PartFinding.adjust(
          Advice.act("climate.air.set-coolant-c", lowest)
              .because(
                  "climate.air.only-above-dew",
                  Amount.of(f.marginK, Quantity.TEMPERATURE_DIFFERENCE, 1)));
    }
    return PartFinding.within(
        Advice.leave("climate.air.leave-coolant")
            .because(
                "climate.air.above-dew-point",
                Amount.of(f.marginK, Quantity.TEMPERATURE_DIFFERENCE, 1),
                Amount.of(f.dewPointC, Quantity.TEMPERATURE, 1)));
  }
}
