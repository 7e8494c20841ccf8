package zebrawood.devices.whole;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import org.hipparchus.special.Erf;
import zebrawood.quantity.Quantity;

/**
 * The hidden state of one machine, and what follows from it. All that is read or burnt is worked
 * out from here, so that two readings never contradict each other.
 *
 * <p>A place is a share of the bed: 0, 0 in front on the left, where the beam comes in, 1, 1 at the
 * rear on the right. Beam and focus: a Gaussian beam's area grows as 1 + (z / zR)² (A. E. Siegman,
 * Lasers, 1986, chapter 17); what is cut off beside the lens is that of a straight edge; power
 * falls by 1 % a kelvin of warm coolant.
 */
public final class WholeMachine {
  private static final double RAYLEIGH_MM = 2.5;
  private static final double BEAM_MM = 3.5;
  private static final double OPENING_MM = 8;
  private static final double A_KELVIN = 0.01;

  /** From the source to the first corner of the bed, in metres. */
  private static final double WAY_M = 0.3;

  private final WholeKind kind;
  private final Map<Trait, Double> hidden = new EnumMap<>(Trait.class);
  private final Set<Guard> guards = EnumSet.noneOf(Guard.class);

  WholeMachine(WholeKind kind) {
    this.kind = kind;
  }

  public WholeKind kind() {
    return kind;
  }

  /** By how much it is off, truly. */
  public double truth(Trait trait) {
    return hidden.getOrDefault(trait, 0.0);
  }

  public boolean isWithin(Trait trait) {
    return Math.abs(truth(trait)) <= trait.limit();
  }

  void set(Trait trait, double value) {
    if (trait.isOf(kind)) {
      double least = trait.quantity() == Quantity.PERCENT ? -99 : -trait.most();
      hidden.put(trait, Math.clamp(value, least, trait.most()));
    }
  }

  void add(Trait trait, double by) {
    set(trait, truth(trait) + by);
  }

  public boolean has(Guard guard) {
    return guards.contains(guard) || !guard.isOf(kind);
  }

  void set(Guard guard, boolean so) {
    if (so) {
      guards.add(guard);
    } else {
      guards.remove(guard);
    }
  }

  /** How far the bed's surface is from the focus there, in mm. */
  double gapMm(double x, double y) {
    return truth(Trait.FOCUS) + truth(Trait.BED_X) * (x - 0.5) + truth(Trait.BED_Y) * (y - 0.5);
  }

  /** How far the beam is from the lens's middle there, in mm. */
  double walkMm(double x, double y) {
    return truth(Trait.HEAD)
        + truth(Trait.MIRROR_1) * (WAY_M + 0.5 * y)
        + truth(Trait.MIRROR_2) * (WAY_M + 0.7 * x);
  }

  /** Of what it should be at the work, without the focus. */
  double power(double x, double y) {
    double power = 1 - truth(Trait.TUBE_WEAK) / 100;
    power *= 1 - truth(Trait.LENS_DIRT) / 100;
    power *= 1 - truth(Trait.MIRROR_DIRT) / 100;
    power *= Math.max(0, 1 - A_KELVIN * truth(Trait.COOLANT_WARM));
    power *= Math.clamp(1 + truth(Trait.TOP_WORD) / 100, 0, 2);
    power *= truth(Trait.LASER_MODE) > 0.5 ? 0.6 : 1;
    double inside = OPENING_MM - Math.abs(walkMm(x, y));
    power *= (1 + Erf.erf(Math.sqrt(2) * inside / BEAM_MM)) / 2;
    if (kind == WholeKind.CUTTING_HEAD) {
      power *= Math.exp(-Math.pow(truth(Trait.NOZZLE) / 0.3, 2));
      power *= Math.max(0.2, 1 - Math.abs(truth(Trait.GAS)) / 100);
    }
    return power;
  }

  /** How dark a square is there, of 1. */
  double darkness(double x, double y) {
    double z = gapMm(x, y) / RAYLEIGH_MM;
    return Math.clamp(power(x, y) / (1 + z * z), 0, 1);
  }

  /** How wide a line is there against the finest, which blurs what is measured in it. */
  double lineWidth(double x, double y) {
    double z = gapMm(x, y) / RAYLEIGH_MM;
    return Math.sqrt(1 + z * z);
  }

  /** No state of it contradicts itself. */
  boolean isSound() {
    return hidden.entrySet().stream()
            .allMatch(e ->
                e.getKey().isOf(kind)
                    && Double.isFinite(e.getValue())
                    && Math.abs(e.getValue()) <= Math.max(99, e.getKey().most()))
        && guards.stream().allMatch(g -> g.isOf(kind))
        && darkness(0.5, 0.5) >= 0
        && darkness(1, 1) <= 1;
  }
}
