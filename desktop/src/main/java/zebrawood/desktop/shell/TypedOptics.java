package zebrawood.desktop.shell;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zebrawood.machine.PulseRange;
import zebrawood.machine.Train;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.Numbers;
import zebrawood.words.Message;

/** Pulses and mirrors of a machine as they are typed in one line each, and back. */
final class TypedOptics {
  private static final String NUMBER = "(\\d{1,6}(?:[.,]\\d{1,6})?)";
  private static final Pattern RANGE =
      Pattern.compile(NUMBER + "\\s*(?:-|–|to)\\s*" + NUMBER + "\\s*(?:khz)?");
  private static final Pattern ANGLE = Pattern.compile(NUMBER + "°?");

  private TypedOptics() {}

  /**
   * @param typed such as "20 to 60 kHz"
   */
  static PulseRange pulses(String typed) {
    Matcher m = RANGE.matcher(typed.strip().toLowerCase(java.util.Locale.ROOT));
    if (!m.matches()) {
      throw UnusableReading.of(
          "Pulses",
          Message.quoted("\"" + typed.strip() + "\""),
          Message.of("machine.accepts.pulses"));
    }
    return new PulseRange(number(m, 1), number(m, 2));
  }

  /**
   * @param typed angle of incidence at each steering mirror, in degrees
   */
  static Train mirrors(String typed) {
    return new Train(
        each(typed, ANGLE, "Mirrors", "machine.accepts.angles").map(m -> number(m, 1)).toList());
  }

  static String words(Train train) {
    return train.incidenceDeg().stream().map(Numbers::plain).collect(Collectors.joining(", "));
  }

  private static double number(Matcher m, int group) {
    return Double.parseDouble(m.group(group).replace(',', '.'));
  }

  /** The words between commas, semicolons or blanks; a comma inside a number is a decimal comma. */
  private static Stream<Matcher> each(String typed, Pattern shape, String what, String accepted) {
    return Stream.of(typed.strip().split("[;,]\\s+|[;\\s]+"))
        .map(word -> {
          Matcher m = shape.matcher(word);
          if (!m.matches()) {
            throw UnusableReading.of(
                what, Message.quoted("\"" + word + "\""), Message.of(accepted));
          }
          return m;
        });
  }
}
