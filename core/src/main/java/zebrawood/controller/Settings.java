package zebrawood.controller;

import java.util.Collections;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Numbers;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * Numbered settings as a controller reports them, by number; values as text, since other firmware
 * has names among them.
 *
 * <p>Lines that are no setting are passed over: greetings, acknowledgements, messages, notes in
 * parentheses. The last of two lines for one number counts.
 */
public record Settings(SortedMap<Integer, String> values) {
  public static final int IDLE_DELAY = 1;
  public static final int DIRECTION_INVERT = 3;
  public static final int REPORT_INCHES = 13;
  public static final int SOFT_LIMITS = 20;
  public static final int HARD_LIMITS = 21;
  public static final int HOMING = 22;
  public static final int HOMING_DIRECTION = 23;
  public static final int TOP_POWER_WORD = 30;
  public static final int LEAST_POWER_WORD = 31;
  public static final int LASER_MODE = 32;
  public static final int STEPS_PER_MM_X = 100;
  public static final int STEPS_PER_MM_Y = 101;
  public static final int MOST_SPEED_X = 110;
  public static final int MOST_SPEED_Y = 111;
  public static final int ACCELERATION_X = 120;
  public static final int ACCELERATION_Y = 121;
  public static final int TRAVEL_X = 130;
  public static final int TRAVEL_Y = 131;

  /** Longer dumps are no settings of one machine; memory stays bounded whatever is pasted. */
  private static final int LONGEST_DUMP = 200_000;

  private static final Pattern LINE =
      Pattern.compile("\\s*\\$(\\d{1,5})\\s*=\\s*([^\\r\\n]{0,120})");

  /** What stands behind the value in parentheses or behind a semicolon says what it is. */
  private static final Pattern REMARK = Pattern.compile("\\s*[(;].*$");

  private static final Pattern NUMBER =
      Pattern.compile("[+-]?(\\d{1,12}([.,]\\d{0,9})?|[.,]\\d{1,9})");

  public Settings {
    values = Collections.unmodifiableSortedMap(new TreeMap<>(values));
  }

  /**
   * Reads a dump.
   *
   * @throws UnusableReading when it is too long or has no setting at all
   */
  public static Settings parse(String dump) {
    if (dump.length() > LONGEST_DUMP) {
      throw UnusableReading.of(
          "settings",
          Message.of("machine.accepts.letters", dump.length()),
          Message.of("machine.accepts.most-letters", LONGEST_DUMP));
    }
    SortedMap<Integer, String> values = new TreeMap<>();
    dump.lines()
        .forEach(line -> {
          Matcher m = LINE.matcher(line);
          if (m.lookingAt()) {
            values.put(
                Integer.parseInt(m.group(1)), REMARK.matcher(m.group(2)).replaceFirst("").strip());
          }
        });
    if (values.isEmpty()) {
      throw UnusableReading.of(
          "settings",
          Message.of("controller.settings.without-any-setting"),
          Message.of("controller.settings.lines-like-30"));
    }
    return new Settings(values);
  }

  public boolean has(int number) {
    return values.containsKey(number);
  }

  /**
   * A setting as a number; empty where it was not reported.
   *
   * @throws UnusableReading when it is no number from {@code least} to {@code most}
   */
  public OptionalDouble number(int number, double least, double most) {
    String text = values.get(number);
    if (text == null) {
      return OptionalDouble.empty();
    }
    double value =
        NUMBER.matcher(text).matches() ? Double.parseDouble(text.replace(',', '.')) : Double.NaN;
    if (!(value >= least && value <= most)) {
      throw UnusableReading.of(
          "settings",
          Message.verbatim("$" + number + "=" + shown(text)),
          Message.of(
              "controller.settings.with-number-from",
              number,
              Amount.plain(least, Quantity.NUMBER),
              Amount.plain(most, Quantity.NUMBER)));
    }
    return OptionalDouble.of(value);
  }

  private static String shown(String text) {
    return text.length() > 40 ? text.substring(0, 40) + "…" : text;
  }

  /** A line as it is sent. */
  public static String line(int number, double value) {
    return "$" + number + "=" + Numbers.plain(value);
  }

  /** Whether two values of a setting mean the same: 400 and 400.000 do. */
  public static boolean same(String one, String other) {
    if (NUMBER.matcher(one).matches() && NUMBER.matcher(other).matches()) {
      double a = Double.parseDouble(one.replace(',', '.'));
      double b = Double.parseDouble(other.replace(',', '.'));
      return Math.abs(a - b) <= 0.0005 * Math.max(1, 1e-3 * Math.abs(a));
    }
    return one.strip().toLowerCase(Locale.ROOT).equals(other.strip().toLowerCase(Locale.ROOT));
  }

  /** The dump again, a line a setting. */
  public String dump() {
    StringBuilder text = new StringBuilder();
    values.forEach(
        (number, value) -> text.append('$').append(number).append('=').append(value).append('\n'));
    return text.toString();
  }
}
