package zebrawood.devices.whole;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import zebrawood.quantity.Quantity;

/**
 * One thing in which a machine may be off; 0 is as it should be. Its limit is what the customer
 * accepts.
 */
public enum Trait {
  COOLANT_WARM(Quantity.TEMPERATURE_DIFFERENCE, 3, 0.3, 20, "GC"),
  MIRROR_DIRT(Quantity.PERCENT, 6, 1, 100, "G"),
  LENS_DIRT(Quantity.PERCENT, 6, 1, 100, "GDAC"),
  TUBE_WEAK(Quantity.PERCENT, 15, 2, 100, "G"),
  TOP_WORD(Quantity.PERCENT, 2, 0, 300, "GDC"),
  LASER_MODE(Quantity.NUMBER, 0.5, 0, 1, "D"),
  BED_X(Quantity.LENGTH, 0.3, 0.04, 15, "GDC"),
  BED_Y(Quantity.LENGTH, 0.3, 0.04, 15, "GDC"),
  MIRROR_1(Quantity.ANGLE, 1, 0.1, 40, "G"),
  MIRROR_2(Quantity.ANGLE, 1, 0.1, 40, "G"),
  HEAD(Quantity.LENGTH, 0.5, 0.1, 10, "G"),
  FOCUS(Quantity.LENGTH, 0.5, 0.08, 20, "GDAC"),
  NOZZLE(Quantity.LENGTH, 0.06, 0.01, 2, "C"),
  GAS(Quantity.PERCENT, 6, 1, 90, "C"),
  SCALE_X(Quantity.NUMBER, 1, 0.2, 100, "GDC"),
  SCALE_Y(Quantity.NUMBER, 1, 0.2, 100, "GDC"),
  SQUARENESS(Quantity.ANGLE, 1, 0.2, 50, "GDC"),
  FIELD_SCALE(Quantity.PERCENT, 0.2, 0.03, 20, "A"),
  FIELD_TURN(Quantity.ANGLE, 1, 0.15, 60, "A"),
  CAMERA_X(Quantity.LENGTH, 0.5, 0.08, 30, "GD"),
  CAMERA_Y(Quantity.LENGTH, 0.5, 0.08, 30, "GD");

  private final Quantity quantity;
  private final double limit;
  private final double noise;
  private final double most;
  private final String kinds;

  Trait(Quantity quantity, double limit, double noise, double most, String kinds) {
    this.quantity = quantity;
    this.limit = limit;
    this.noise = noise;
    this.most = most;
    this.kinds = kinds;
  }

  /** mm, kelvin, per cent, mrad; a plain number is per mille, or 1 for wrong. */
  public Quantity quantity() {
    return quantity;
  }

  public double limit() {
    return limit;
  }

  /** One deviation of a reading of it. */
  public double noise() {
    return noise;
  }

  /** It is never off by more. */
  public double most() {
    return most;
  }

  public boolean isOf(WholeKind kind) {
    return kinds.indexOf(letter(kind)) >= 0;
  }

  private static char letter(WholeKind kind) {
    return switch (kind) {
      case GLASS_TUBE_GANTRY -> 'G';
      case DIODE_GANTRY -> 'D';
      case GALVO -> 'A';
      case CUTTING_HEAD -> 'C';
    };
  }

  public static Set<Trait> of(WholeKind kind) {
    Set<Trait> all = EnumSet.noneOf(Trait.class);
    Stream.of(values()).filter(t -> t.isOf(kind)).forEach(all::add);
    return all;
  }

  /** What is read again where this was changed, for it rests on it. */
  public List<Trait> doubts() {
    return switch (this) {
      case BED_X, BED_Y -> List.of(FOCUS);
      case MIRROR_1 -> List.of(MIRROR_2, HEAD);
      case MIRROR_2 -> List.of(HEAD);
      case FOCUS -> List.of(CAMERA_X, CAMERA_Y);
      case HEAD -> List.of(CAMERA_X, CAMERA_Y);
      case SCALE_X -> List.of(CAMERA_X);
      case SCALE_Y -> List.of(CAMERA_Y);
      case TUBE_WEAK -> List.of(MIRROR_1, MIRROR_2, HEAD);
      default -> List.of();
    };
  }
}
