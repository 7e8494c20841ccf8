package zebrawood.quantity;

/** The units that one person wants to see. Values are kept and computed in canonical ones. */
public record DisplayUnits(Length length, Temperature temperature, Speed speed, Interval interval) {
  public static final DisplayUnits METRIC =
      new DisplayUnits(
          Length.MILLIMETRE, Temperature.CELSIUS, Speed.MM_PER_SECOND, Interval.MILLIMETRE);

  public enum Length {
    MILLIMETRE,
    INCH
  }

  public enum Temperature {
    CELSIUS,
    FAHRENHEIT
  }

  public enum Speed {
    MM_PER_SECOND,
    MM_PER_MINUTE,
    M_PER_MINUTE,
    INCH_PER_SECOND
  }

  /** How the distance of two lines is said. */
  public enum Interval {
    MILLIMETRE,
    LINES_PER_INCH,
    LINES_PER_CM
  }

  public DisplayUnits with(Length other) {
    return new DisplayUnits(other, temperature, speed, interval);
  }

  public DisplayUnits with(Temperature other) {
    return new DisplayUnits(length, other, speed, interval);
  }

  public DisplayUnits with(Speed other) {
    return new DisplayUnits(length, temperature, other, interval);
  }

  public DisplayUnits with(Interval other) {
    return new DisplayUnits(length, temperature, speed, other);
  }

  public boolean inches() {
    return length == Length.INCH;
  }
}
