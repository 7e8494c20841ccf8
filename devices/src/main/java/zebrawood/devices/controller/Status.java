package zebrawood.devices.controller;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a controller says of itself.
 *
 * @param state such as Idle, Run, Alarm, Jog, Home
 */
public record Status(String state, double xMm, double yMm) {
  private static final Pattern LINE =
      Pattern.compile(
          "<([A-Za-z]{2,12})(?::\\d+)?\\|[MW]Pos:(-?\\d{1,7}(?:\\.\\d{1,6})?),(-?\\d{1,7}(?:\\.\\d{1,6})?)[^>]*>");

  /** Empty when the line is no status. */
  static Optional<Status> parse(String line) {
    Matcher m = LINE.matcher(line.strip());
    return m.matches()
        ? Optional.of(
            new Status(m.group(1), Double.parseDouble(m.group(2)), Double.parseDouble(m.group(3))))
        : Optional.empty();
  }

  public boolean idle() {
    return state.equals("Idle");
  }

  public boolean alarm() {
    return state.equals("Alarm");
  }

  /** Whether it moves or runs a job. */
  public boolean busy() {
    return state.equals("Run")
        || state.equals("Jog")
        || state.equals("Home")
        || state.equals("Hold");
  }
}
