package zebrawood.devices.whole;

import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Everything that a hand can do, right or wrong, and how many minutes it takes. */
public enum Deed {
  ASK(2),
  LOOK_AT_GUARDS(3),
  PUT_EYEWEAR_ON(1, Guard.EYEWEAR_ON),
  SHUT_LID(1, Guard.LID_SHUT),
  OPEN_LID(1),
  TAKE_BRIDGE_OUT(10, Guard.LID_SWITCH_WORKS),
  EXHAUST_ON(1, Guard.EXHAUST_ON),
  EXHAUST_OFF(1),
  AIR_ON(1, Guard.AIR_ON),
  WATER_ON(2, Guard.WATER_ON),
  WATER_OFF(1),
  POWER_OFF(1),
  POWER_ON(1, Guard.MAINS_ON),
  WAIT_DISCHARGED(10),
  READ_COOLANT(2, Trait.COOLANT_WARM),
  COOL_IT(30, Trait.COOLANT_WARM, false),
  LOOK_AT_OPTICS(5, Trait.LENS_DIRT, Trait.MIRROR_DIRT),
  CLEAN_LENS(10, Trait.LENS_DIRT, false),
  CLEAN_MIRRORS(10, Trait.MIRROR_DIRT, false),
  WIPE_LENS_DRY(1),
  READ_TUBE(8, Trait.TUBE_WEAK),
  REPLACE_TUBE(120, Trait.TUBE_WEAK, false),
  READ_SETTINGS(6, Trait.TOP_WORD, Trait.LASER_MODE),
  SET_TOP_WORD(3, Trait.TOP_WORD, false),
  SET_LASER_MODE(2, Trait.LASER_MODE, false),
  RESTORE_SETTINGS(5),
  READ_BED(10, Trait.BED_X, Trait.BED_Y),
  LEVEL_X(4, Trait.BED_X, true),
  LEVEL_Y(4, Trait.BED_Y, true),
  READ_MIRRORS(15, Trait.MIRROR_1, Trait.MIRROR_2, Trait.HEAD),
  TURN_MIRROR_1(4, Trait.MIRROR_1, true),
  TURN_MIRROR_2(4, Trait.MIRROR_2, true),
  MOVE_HEAD(6, Trait.HEAD, true),
  READ_FOCUS(8, Trait.FOCUS),
  MOVE_FOCUS(2, Trait.FOCUS, true),
  READ_NOZZLE(4, Trait.NOZZLE),
  MOVE_NOZZLE(3, Trait.NOZZLE, true),
  READ_GAS(3, Trait.GAS),
  SET_GAS(2, Trait.GAS, true),
  READ_SQUARE(10, Trait.SCALE_X, Trait.SCALE_Y, Trait.SQUARENESS),
  SET_SCALE_X(3, Trait.SCALE_X, true),
  SET_SCALE_Y(3, Trait.SCALE_Y, true),
  SQUARE_GANTRY(12, Trait.SQUARENESS, true),
  READ_FIELD(15, Trait.FIELD_SCALE, Trait.FIELD_TURN),
  SET_FIELD_SCALE(3, Trait.FIELD_SCALE, true),
  SET_FIELD_TURN(3, Trait.FIELD_TURN, true),
  READ_CAMERA(8, Trait.CAMERA_X, Trait.CAMERA_Y),
  MOVE_CAMERA_X(2, Trait.CAMERA_X, true),
  MOVE_CAMERA_Y(2, Trait.CAMERA_Y, true),
  BURN_NINE_SQUARES(10),
  BURN_TRIAL_PIECE(12),
  WAIT_AN_HOUR(60),
  WAIT_A_DAY(1440),
  GET_HELP(5),
  HAND_OVER(5);

  private final int minutes;
  private final List<Trait> reads;
  private final Optional<Trait> changes;
  private final boolean amount;
  private final Optional<Guard> guard;

  Deed(int minutes, Trait... reads) {
    this.minutes = minutes;
    this.reads = List.of(reads);
    changes = Optional.empty();
    amount = false;
    guard = Optional.empty();
  }

  Deed(int minutes, Trait changes, boolean amount) {
    this.minutes = minutes;
    reads = List.of();
    this.changes = Optional.of(changes);
    this.amount = amount;
    guard = Optional.empty();
  }

  Deed(int minutes, Guard guard) {
    this.minutes = minutes;
    reads = List.of();
    changes = Optional.empty();
    amount = false;
    this.guard = Optional.of(guard);
  }

  public int minutes() {
    return minutes;
  }

  /** What a reading tells. */
  public List<Trait> reads() {
    return reads;
  }

  /** What it puts right, or moves by its amount. */
  public Optional<Trait> changes() {
    return changes;
  }

  /** Whether it is done by so much. */
  public boolean hasAmount() {
    return amount;
  }

  /** What it puts in order of what guards people. */
  public Optional<Guard> guard() {
    return guard;
  }

  /** Whether the beam is on. */
  public boolean burns() {
    return switch (this) {
      case READ_MIRRORS,
          READ_FOCUS,
          READ_TUBE,
          READ_SQUARE,
          READ_FIELD,
          READ_CAMERA,
          READ_NOZZLE,
          BURN_NINE_SQUARES,
          BURN_TRIAL_PIECE ->
          true;
      default -> false;
    };
  }

  /** Whether it can be done on such a machine at all. */
  public boolean isOf(WholeKind kind) {
    return switch (this) {
      case OPEN_LID -> kind.enclosed();
      case WATER_OFF -> kind.cooledByWater();
      case WAIT_DISCHARGED -> kind == WholeKind.GLASS_TUBE_GANTRY;
      case RESTORE_SETTINGS -> kind != WholeKind.GALVO;
      default ->
          guard.map(g -> g.isOf(kind)).orElse(true)
              && changes.map(t -> t.isOf(kind)).orElse(true)
              && (reads.isEmpty() || reads.stream().anyMatch(t -> t.isOf(kind)));
    };
  }

  public static Set<Deed> of(WholeKind kind) {
    Set<Deed> all = EnumSet.noneOf(Deed.class);
    Stream.of(values()).filter(d -> d.isOf(kind)).forEach(all::add);
    return all;
  }

  /** As it is typed: {@code read-bed}. */
  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** What reads this. */
  public static Deed reading(Trait trait) {
    return Stream.of(values()).filter(d -> d.reads.contains(trait)).findFirst().orElseThrow();
  }

  /** What puts this right. */
  public static Deed mending(Trait trait) {
    return Stream.of(values())
        .filter(d -> d.changes.equals(Optional.of(trait)))
        .findFirst()
        .orElseThrow();
  }

  /** What puts this guard in order. */
  public static Deed guarding(Guard guard) {
    return Stream.of(values())
        .filter(d -> d.guard.equals(Optional.of(guard)))
        .findFirst()
        .orElseThrow();
  }
}
