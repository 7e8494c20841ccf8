package zebrawood.site;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.measure.PartFinding;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/** Does the floor carry the machine, and how many lift it? */
public final class Weight {
  private static final double STANDARD_GRAVITY_M_S2 = 9.80665;

  /** Above this no group of hands is safe any more. */
  private static final double LIFTING_GEAR_KG = 100;

  private Weight() {}

  /**
   * @param footAreaCm2 what one foot stands on, with its plate if it has one
   * @param lengthMm of the floor that it stands on
   * @param floorKgPerM2 what the floor may carry, from the building's papers
   * @param oneLiftsKg the most that one person lifts here
   */
  public record Readings(
      double massKg,
      int feet,
      OptionalDouble footAreaCm2,
      double lengthMm,
      double widthMm,
      OptionalDouble floorKgPerM2,
      double oneLiftsKg) {
    public Readings {
      var accepts =
          new Accepts()
              .positive("massKg", massKg, 100_000)
              .between("feet", feet, 3, 40)
              .positive("lengthMm", lengthMm, 30_000)
              .positive("widthMm", widthMm, 30_000)
              .positive("oneLiftsKg", oneLiftsKg, 60);
      footAreaCm2.ifPresent(a -> accepts.positive("footAreaCm2", a, 100_000));
      floorKgPerM2.ifPresent(f -> accepts.positive("floorKgPerM2", f, 100_000));
      accepts.orThrow();
    }
  }

  /**
   * @param kgPerM2 over its whole footprint
   * @param kgPerFoot with all feet bearing alike
   * @param footMPa pressure under a foot, when its area was read
   */
  public record Finding(double kgPerM2, double kgPerFoot, OptionalDouble footMPa, int people) {}

  public static Finding solve(Readings r) {
    double perFoot = r.massKg / r.feet;
    double areaM2 = r.lengthMm * r.widthMm * 1e-6;
    return new Finding(
        r.massKg / areaM2,
        perFoot,
        r.footAreaCm2.isPresent()
            ? OptionalDouble.of(
                perFoot * STANDARD_GRAVITY_M_S2 / (r.footAreaCm2.getAsDouble() * 1e-4) * 1e-6)
            : OptionalDouble.empty(),
        (int) Math.ceil(r.massKg / r.oneLiftsKg - 1e-9));
  }

  static PartFinding judge(Readings r, Finding f) {
    List<Message> warnings = new ArrayList<>();
    if (r.massKg > LIFTING_GEAR_KG) {
      warnings.add(
          Message.of("site.weight.with-lifting-gear", Amount.plain(r.massKg, Quantity.MASS)));
    } else if (f.people > 1) {
      warnings.add(
          Message.of(
              "site.weight.people-lift-one", Amount.plain(r.massKg, Quantity.MASS), f.people));
    }
    if (r.floorKgPerM2.isPresent() && f.kgPerM2 > r.floorKgPerM2.getAsDouble()) {
      double areaM2 = r.massKg / r.floorKgPerM2.getAsDouble();
      return new PartFinding(
          zebrawood.measure.Verdict.STOP,
          List.of(
              Advice.act("site.weight.do-not-set")
                  .because(
                      "site.weight.floor-spread-over",
                      Amount.of(f.kgPerM2, Quantity.FLOOR_LOAD, 0),
                      Amount.plain(r.floorKgPerM2.getAsDouble(), Quantity.NUMBER),
                      Amount.of(Math.ceil(areaM2 * 10) / 10, Quantity.FLOOR, 1))),
          warnings);
    }
    return PartFinding.within(Advice.act("site.weight.floor-carries")).warning(warnings);
  }
}
