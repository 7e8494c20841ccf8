package zebrawood.measure;

import java.util.Locale;

/** Figures made ready to be shown or compared. */
public final class Numbers {
  private Numbers() {}

  /** The value, or exactly 0 when it is smaller than {@code nothing}; never minus zero. */
  public static double snap(double value, double nothing) {
    return Math.abs(value) < nothing ? 0.0 : value;
  }

  /** With this many decimals, and no sign on a zero. */
  public static String fixed(double value, int decimals) {
    String text = String.format(Locale.ROOT, "%." + decimals + "f", value);
    return text.matches("-0\\.?0*") ? text.substring(1) : text;
  }

  /** As few decimals as needed, up to six. */
  public static String plain(double value) {
    return Accepts.plain(value);
  }

  /** Highest less lowest. */
  public static double peakToValley(java.util.List<Double> values) {
    return values.stream().mapToDouble(d -> d).max().orElse(0)
        - values.stream().mapToDouble(d -> d).min().orElse(0);
  }
}
