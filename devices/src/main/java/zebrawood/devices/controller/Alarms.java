package zebrawood.devices.controller;

import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zebrawood.words.Message;

/** What alarm and error numbers mean, in plain words. */
public final class Alarms {
  private static final Pattern NUMBER = Pattern.compile("(ALARM|error):(\\d{1,3})");

  private static final Set<Integer> ALARMS = Set.of(1, 2, 3, 6, 7, 8, 9);

  private static final Set<Integer> ERRORS = Set.of(2, 3, 5, 8, 9, 10, 11, 15, 33);

  private Alarms() {}

  /** The words for a line such as {@code ALARM:9}, with the line itself. */
  public static Message said(String line) {
    Matcher m = NUMBER.matcher(line);
    if (!m.lookingAt()) {
      return Message.quoted(line);
    }
    boolean alarm = m.group(1).equals("ALARM");
    int number = Integer.parseInt(m.group(2));
    Set<Integer> known = alarm ? ALARMS : ERRORS;
    return known.contains(number)
        ? Message.of(
            "controller.trouble.answered",
            Message.of((alarm ? "controller.alarm." : "controller.error.") + number),
            Message.quoted(line.strip()))
        : Message.quoted(line);
  }
}
