package zebrawood.upkeep;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import java.util.stream.Stream;
import zebrawood.machine.Build;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.machine.SourceKind;

/**
 * What is looked after, in the order in which it makes sense on one visit: what protects, then what
 * is cleaned, then what moves, then what is read against the figures as left. The intervals are
 * where to begin; how it is found changes them.
 */
public enum UpkeepTask {
  STOP_AND_LID(30, 0, 5, m -> m.has(Fitting.EMERGENCY_STOP) || m.has(Fitting.LID_SWITCH)),
  ALARMS(30, 0, 5, m -> m.has(Fitting.FLOW_SWITCH) || m.has(Fitting.CHILLER)),
  EXTINGUISHER(365, 0, 2, m -> true),
  LENS(14, 40, 5, m -> lens(m.build())),
  HEAD_WINDOW(14, 40, 5, m -> m.build() == Build.GANTRY_WITH_HEAD_MODULE),
  PROTECTIVE_WINDOW(7, 20, 5, m -> m.build() == Build.FIBRE_CUTTING_HEAD),
  MIRRORS(30, 80, 10, m -> m.build() == Build.GANTRY_WITH_MIRRORS),
  CAMERA_WINDOW(30, 0, 2, m -> m.has(Fitting.CAMERA)),
  HONEYCOMB(14, 30, 15, m -> m.build().headTravels()),
  FILTERS(30, 100, 10, m -> m.has(Fitting.EXHAUST)),
  COOLANT(90, 0, 20, Machine::cooledByWater),
  RAILS(30, 100, 10, m -> m.build().headTravels()),
  BELTS(90, 300, 10, m -> m.build().headTravels()),
  FANS(90, 0, 5, m -> true),
  FUSES(365, 0, 5, m -> true),
  TUBE_CURRENT(30, 0, 10, m -> m.source().kind() == SourceKind.CO2_GLASS_TUBE),
  LEVEL(90, 0, 15, m -> m.build().headTravels()),
  CAMERA_CHECK(90, 0, 3, m -> m.has(Fitting.CAMERA)),
  SETTINGS_COPIED(90, 0, 5, m -> true);

  private final double days;
  private final double hours;
  private final int minutes;
  private final Predicate<Machine> fitted;

  UpkeepTask(double days, double hours, int minutes, Predicate<Machine> fitted) {
    this.days = days;
    this.hours = hours;
    this.minutes = minutes;
    this.fitted = fitted;
  }

  private static boolean lens(Build build) {
    return build == Build.GANTRY_WITH_MIRRORS || build == Build.GALVO;
  }

  /** What a machine has to look after. */
  public static List<UpkeepTask> of(Machine machine) {
    return Stream.of(values()).filter(t -> t.fitted.test(machine)).toList();
  }

  public double usualDays() {
    return days;
  }

  /** Hours of beam; empty for what the beam does not wear. */
  public OptionalDouble usualHours() {
    return hours > 0 ? OptionalDouble.of(hours) : OptionalDouble.empty();
  }

  public int minutes() {
    return minutes;
  }

  /** Such as {@code head-window}. */
  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** The station whose figure as left it is compared with, or that is proven again after it. */
  public Optional<String> station() {
    return switch (this) {
      case LENS, HEAD_WINDOW, PROTECTIVE_WINDOW -> Optional.of("focus");
      case MIRRORS -> Optional.of("mirrors");
      case CAMERA_WINDOW, CAMERA_CHECK -> Optional.of("camera");
      case COOLANT, ALARMS -> Optional.of("cooling");
      case TUBE_CURRENT -> Optional.of("power");
      case HONEYCOMB, LEVEL -> Optional.of("bed");
      case SETTINGS_COPIED -> Optional.of("controller");
      default -> Optional.empty();
    };
  }

  /**
   * Whether a beam goes through it or is turned by it, so that a burn tells whether it is clean.
   */
  public boolean optic() {
    return this == LENS || this == HEAD_WINDOW || this == PROTECTIVE_WINDOW || this == MIRRORS;
  }
}
