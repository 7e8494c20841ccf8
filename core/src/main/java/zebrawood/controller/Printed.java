package zebrawood.controller;

import java.util.OptionalDouble;
import java.util.regex.Pattern;

/** A value as a controller prints it. */
public final class Printed {
  private static final Pattern NUMBER =
      Pattern.compile("[+-]?(?:\\d{1,15}(?:[.,]\\d{0,15})?|[.,]\\d{1,15})(?:[eE][+-]?\\d{1,2})?");

  private Printed() {}

  /** The number it is; empty where it is none. */
  public static OptionalDouble number(String printed) {
    String text = printed.strip();
    return NUMBER.matcher(text).matches()
        ? OptionalDouble.of(Double.parseDouble(text.replace(',', '.')))
        : OptionalDouble.empty();
  }

  /** Whether two values mean the same: 400 and 400.000 do. */
  public static boolean same(String one, String other) {
    OptionalDouble a = number(one);
    OptionalDouble b = number(other);
    if (a.isPresent() && b.isPresent()) {
      double tolerance = 0.0005 * Math.max(1, 1e-3 * Math.abs(a.getAsDouble()));
      return Math.abs(a.getAsDouble() - b.getAsDouble()) <= tolerance;
    }
    return one.strip().equalsIgnoreCase(other.strip());
  }
}
