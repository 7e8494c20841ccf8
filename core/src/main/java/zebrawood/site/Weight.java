package zebrawood.site;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.measure.Numbers;

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

  static Part judge(Readings r, Finding f) {
    List<String> warnings = new ArrayList<>();
    if (r.massKg > LIFTING_GEAR_KG) {
      warnings.add(
          "%s kg: with lifting gear and people who know it, never by hand."
              .formatted(Numbers.plain(r.massKg)));
    } else if (f.people > 1) {
      warnings.add(
          "%s kg: %d people lift it, one says when.".formatted(Numbers.plain(r.massKg), f.people));
    }
    if (r.floorKgPerM2.isPresent() && f.kgPerM2 > r.floorKgPerM2.getAsDouble()) {
      double areaM2 = r.massKg / r.floorKgPerM2.getAsDouble();
      return new Part(
          zebrawood.measure.Verdict.STOP,
          List.of(
              "Do not set it here: %s kg/m² on a floor for %s. Spread it over %s m², or ask who answers for the building."
                  .formatted(
                      Numbers.fixed(f.kgPerM2, 0),
                      Numbers.plain(r.floorKgPerM2.getAsDouble()),
                      Numbers.fixed(Math.ceil(areaM2 * 10) / 10, 1))),
          warnings);
    }
    return Part.within("The floor carries it.").warning(warnings);
  }
}
