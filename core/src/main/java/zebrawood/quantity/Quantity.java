package zebrawood.quantity;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What can be measured. The first unit is the canonical one: values are kept and computed in it.
 * The others are understood when they are typed.
 *
 * <p>Factors: NIST Special Publication 811 (2008), appendix B.
 */
public enum Quantity {
  NUMBER(unit("", 1)),
  PERCENT(unit("%", 1)),
  /** Anything that is read with a rule or a caliper. */
  LENGTH(
      unit("mm", 1),
      unit("in", 25.4, 2, "inch", "inches", "\"", "”", "″", "''"),
      unit("cm", 10),
      unit("m", 1000),
      unit("um", 0.001, 0, "micron", "microns"),
      unit("thou", 0.0254, 0, "mil", "mils"),
      unit("ft", 304.8, 0, "foot", "feet")),
  /** Lengths of a room or of a run of duct. */
  DISTANCE(
      unit("m", 1),
      unit("ft", 0.3048, 0, "foot", "feet", "'"),
      unit("mm", 0.001),
      unit("cm", 0.01),
      unit("in", 0.0254, 0, "inch", "inches", "\"")),
  AREA(unit("cm²", 1, 0, "cm2"), unit("in²", 6.4516, 1, "in2"), unit("mm²", 0.01, 0, "mm2")),
  FLOOR(unit("m²", 1, 0, "m2"), unit("ft²", 0.09290304, 0, "ft2")),
  SLOPE(unit("mm/m", 1)),
  ANGLE(unit("mrad", 1), unit("°", 17.453292519943295, 0, "deg"), unit("rad", 1000)),
  TEMPERATURE(
      unit("°C", 1, 0, "c", "degc", "deg c"),
      temperature("°F", 5.0 / 9, -160.0 / 9, "f", "degf", "deg f"),
      temperature("K", 1, -273.15, "kelvin")),
  TEMPERATURE_DIFFERENCE(unit("K", 1, 0, "°c", "c"), unit("°F", 5.0 / 9, 0, "f")),
  SPEED(
      unit("mm/s", 1),
      unit("mm/min", 1.0 / 60, -1),
      unit("m/min", 1000.0 / 60, 2),
      unit("in/s", 25.4, 1, "ips"),
      unit("in/min", 25.4 / 60, 0, "ipm"),
      unit("m/s", 1000)),
  ACCELERATION(unit("mm/s²", 1, 0, "mm/s2"), unit("m/s²", 1000, 0, "m/s2")),
  AIR_SPEED(unit("m/s", 1), unit("ft/min", 0.00508, 0, "fpm")),
  PRESSURE(
      unit("Pa", 1),
      unit("kPa", 1000),
      unit("mbar", 100, 0, "hpa"),
      unit("inH₂O", 249.089, 0, "inh2o")),
  GAS_PRESSURE(unit("bar", 1), unit("psi", 0.06894757), unit("kPa", 0.01), unit("MPa", 10)),
  STRESS(unit("MPa", 1), unit("psi", 0.006894757)),
  FLOW(
      unit("m³/h", 1, 0, "m3/h"),
      unit("l/min", 0.06),
      unit("l/s", 3.6),
      unit("cfm", 1.6990108, 0, "ft3/min")),
  CURRENT(unit("A", 1), unit("mA", 0.001)),
  SMALL_CURRENT(unit("mA", 1), unit("A", 1000)),
  VOLTAGE(unit("V", 1), unit("kV", 1000)),
  RESISTANCE(
      unit("Ω", 1, 0, "ohm", "ohms"),
      unit("kΩ", 1000, 0, "kohm"),
      unit("mΩ", 0.001, 0, "mohm"),
      unit("MΩ", 1e6, 0, "megohm")),
  POWER(unit("W", 1), unit("kW", 1000), unit("mW", 0.001)),
  HEAT_LOSS(unit("W/K", 1)),
  MASS(unit("kg", 1), unit("g", 0.001), unit("lb", 0.45359237, 0, "lbs")),
  FLOOR_LOAD(unit("kg/m²", 1, 0, "kg/m2"), unit("lb/ft²", 4.882428, 0, "lb/ft2")),
  VOLUME(unit("l", 1, 0, "litre", "litres"), unit("ml", 0.001), unit("gal", 3.785411784)),
  CONDUCTIVITY(unit("µS/cm", 1, 0, "us/cm"), unit("mS/cm", 1000, 0, "ms/cm")),
  TIME(unit("s", 1, 0, "sec"), unit("ms", 0.001), unit("min", 60), unit("h", 3600)),
  MINUTES(unit("min", 1), unit("s", 1.0 / 60, 0, "sec"), unit("h", 60)),
  /** Of beam, as a counter has them. */
  HOURS(unit("h", 1, 0, "hour", "hours"), unit("min", 1.0 / 60)),
  DAYS(unit("d", 1, 0, "day", "days"), unit("weeks", 7, 0, "week", "w")),
  PULSE_TIME(unit("ms", 1), unit("s", 1000), unit("us", 0.001)),
  PULSE_LENGTH(unit("ns", 1), unit("us", 1000), unit("ps", 0.001), unit("ms", 1e6)),
  PULSE_ENERGY(unit("mJ", 1), unit("J", 1000), unit("uJ", 0.001)),
  PULSE_RATE(unit("kHz", 1), unit("Hz", 0.001), unit("MHz", 1000)),
  WAVELENGTH(unit("nm", 1), unit("um", 1000, 0, "micron")),
  OPTICAL_DENSITY(unit("OD", 1)),
  TURNS(unit("", 1, 0, "turn", "turns")),
  LINES(unit("lines", 1)),
  /** The distance of two lines of a fill. */
  LINE_INTERVAL(
      unit("mm", 1),
      inverse("lines/in", 25.4, -2, "lpi"),
      inverse("lines/cm", 10, -2, "l/cm"),
      unit("in", 25.4, 2, "inch", "\""),
      unit("um", 0.001));

  private final List<Unit> units;

  Quantity(Unit... units) {
    this.units = List.of(units);
  }

  private static Unit unit(String symbol, double factor) {
    return unit(symbol, factor, 0);
  }

  private static Unit unit(String symbol, double factor, int more, String... spellings) {
    return new Unit(symbol, spelled(symbol, spellings), factor, 0, false, more);
  }

  private static Unit temperature(
      String symbol, double factor, double offset, String... spellings) {
    return new Unit(symbol, spelled(symbol, spellings), factor, offset, false, 0);
  }

  private static Unit inverse(String symbol, double factor, int more, String... spellings) {
    return new Unit(symbol, spelled(symbol, spellings), factor, 0, true, more);
  }

  private static Set<String> spelled(String symbol, String... spellings) {
    List<String> all = new ArrayList<>(List.of(spellings));
    all.add(symbol);
    return Set.copyOf(all.stream().map(Quantity::plainly).distinct().toList());
  }

  /** In lower case, with both micro signs and the ohm sign as a keyboard has them. */
  static String plainly(String typed) {
    return typed
        .toLowerCase(Locale.ROOT)
        .replace('\u00b5', 'u')
        .replace('\u03bc', 'u')
        .replace('\u2126', '\u03c9')
        .strip();
  }

  public Unit canonical() {
    return units.getFirst();
  }

  public boolean isCanonical(Unit unit) {
    return unit == canonical();
  }

  public List<Unit> units() {
    return units;
  }

  /** The unit that somebody meant by this spelling. Milli and mega differ by their letter alone. */
  public Optional<Unit> spelled(String typed) {
    String exact = typed.strip();
    String plain = plainly(typed);
    return units.stream()
        .filter(u -> u.symbol().equals(exact))
        .findFirst()
        .or(() -> units.stream().filter(u -> u.spellings().contains(plain)).findFirst());
  }

  /** The unit in which it is shown. */
  public Unit shownIn(DisplayUnits display) {
    return switch (this) {
      case LENGTH, DISTANCE, AREA, FLOOR -> units.get(display.inches() ? 1 : 0);
      case TEMPERATURE, TEMPERATURE_DIFFERENCE ->
          units.get(display.temperature() == DisplayUnits.Temperature.FAHRENHEIT ? 1 : 0);
      case SPEED -> units.get(display.speed().ordinal());
      case LINE_INTERVAL -> units.get(display.interval().ordinal());
      default -> canonical();
    };
  }

  /**
   * Decimals of the canonical unit, as finely as a figure of it is read: temperatures and tubes'
   * currents to a tenth, what is counted or large to a whole.
   */
  public int usualDecimals() {
    return switch (this) {
      case TEMPERATURE, TEMPERATURE_DIFFERENCE, OPTICAL_DENSITY, SMALL_CURRENT -> 1;
      case CONDUCTIVITY, PERCENT, FLOW, LINES, DISTANCE, DAYS, MINUTES -> 0;
      default -> 2;
    };
  }

  /** The quantity whose canonical unit is written so, for what is kept in files. */
  public static Optional<Quantity> ofUnit(String symbol) {
    return switch (symbol) {
      case "mm" -> Optional.of(LENGTH);
      case "m" -> Optional.of(DISTANCE);
      default -> Stream.of(values()).filter(q -> q.canonical().symbol().equals(symbol)).findFirst();
    };
  }
}
