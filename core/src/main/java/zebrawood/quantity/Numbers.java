package zebrawood.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.List;
import java.util.Locale;

/** Figures made ready to be shown or compared. */
public final class Numbers {
  private Numbers() {}

  /** The value, or exactly 0 when it is smaller than {@code nothing}; never minus zero. */
  public static double snap(double value, double nothing) {
    return Math.abs(value) < nothing ? 0.0 : value;
  }

  private static final long[] POWERS = {1, 10, 100, 1_000, 10_000, 100_000, 1_000_000};

  private static final double LONGEST = 1e18;

  /** Below this a value times any of the powers is a whole number that a double holds exactly. */
  private static final double PLAIN_SIZE = 1e9;

  /** With this many decimals, halves away from zero, and no sign on a zero. */
  public static String fixed(double value, int decimals) {
    if (!(Math.abs(value) < PLAIN_SIZE) || decimals >= POWERS.length) {
      return String.format(Locale.ROOT, "%." + decimals + "f", value);
    }
    long power = POWERS[decimals];
    long scaled = Math.round(Math.abs(value) * power);
    StringBuilder text = new StringBuilder(decimals + 12);
    if (value < 0 && scaled != 0) {
      text.append('-');
    }
    text.append(scaled / power);
    if (decimals > 0) {
      // The one before the rest keeps its zeros, and makes room for the point.
      int point = text.length();
      text.append(power + scaled % power).setCharAt(point, '.');
    }
    return text.toString();
  }

  /** To so many decimals, as a number. */
  public static double rounded(double value, int decimals) {
    double power = POWERS[decimals];
    return Math.abs(value) < PLAIN_SIZE ? Math.round(value * power) / power : value;
  }

  /** A number as a person writes it: no exponent for ordinary sizes, no trailing zeros. */
  public static String plain(double value) {
    if (Math.abs(value) >= PLAIN_SIZE || (value != 0 && Math.abs(value) < 1e-6)) {
      return exact(value);
    }
    String text = fixed(value, 6);
    int end = text.length();
    while (text.charAt(end - 1) == '0') {
      end--;
    }
    return text.substring(0, text.charAt(end - 1) == '.' ? end - 1 : end);
  }

  /** All of its digits, without an exponent unless there would be dozens of noughts. */
  public static String exact(double value) {
    boolean ordinary = Math.abs(value) < LONGEST && (value == 0 || Math.abs(value) > 1 / LONGEST);
    return ordinary
        ? BigDecimal.valueOf(value).stripTrailingZeros().toPlainString()
        : String.valueOf(value);
  }

  /** To so many digits that count, without an exponent. */
  public static String significant(double value, int digits) {
    return value == 0 || !Double.isFinite(value)
        ? plain(value)
        : new BigDecimal(value)
            .round(new MathContext(digits, RoundingMode.HALF_UP))
            .stripTrailingZeros()
            .toPlainString();
  }

  /** Highest less lowest. */
  public static double peakToValley(List<Double> values) {
    if (values.isEmpty()) {
      return 0;
    }
    double highest = Double.NEGATIVE_INFINITY;
    double lowest = Double.POSITIVE_INFINITY;
    for (double value : values) {
      highest = Math.max(highest, value);
      lowest = Math.min(lowest, value);
    }
    return highest - lowest;
  }
}
