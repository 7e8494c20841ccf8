package zebrawood.devices.controller;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.controller.LinePattern;
import zebrawood.controller.Printed;
import zebrawood.controller.WireSyntax;

/**
 * What a controller says of itself.
 *
 * @param state as it called it
 */
public record Status(Kind kind, String state, double xMm, double yMm) {
  /** What it does. */
  public enum Kind {
    STANDING,
    MOVING,
    ALARM,
    /** It called it something that nobody named. */
    NOT_KNOWN
  }

  /** Empty when the line is no status. */
  static Optional<Status> read(String line, LinePattern pattern, WireSyntax talk) {
    return pattern
        .read(line)
        .flatMap(v -> {
          OptionalDouble x = Printed.number(v.get("x"));
          OptionalDouble y = Printed.number(v.get("y"));
          return x.isPresent() && y.isPresent()
              ? Optional.of(
                  new Status(
                      kind(v.get("state"), talk.states()),
                      v.get("state"),
                      x.getAsDouble(),
                      y.getAsDouble()))
              : Optional.<Status>empty();
        });
  }

  private static Kind kind(String state, Map<String, List<String>> states) {
    if (in(states.get(WireSyntax.STANDING), state)) {
      return Kind.STANDING;
    }
    if (in(states.get(WireSyntax.MOVING), state)) {
      return Kind.MOVING;
    }
    return in(states.get(WireSyntax.ALARM), state) ? Kind.ALARM : Kind.NOT_KNOWN;
  }

  private static boolean in(List<String> words, String state) {
    return words != null && words.stream().anyMatch(state::equalsIgnoreCase);
  }

  public boolean standing() {
    return kind == Kind.STANDING;
  }

  public boolean alarm() {
    return kind == Kind.ALARM;
  }

  /** Whether it moves or runs a job, or does what nobody named. */
  public boolean busy() {
    return kind == Kind.MOVING || kind == Kind.NOT_KNOWN;
  }
}
