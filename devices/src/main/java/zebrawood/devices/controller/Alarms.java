package zebrawood.devices.controller;

import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What alarm and error numbers mean, in plain words. */
public final class Alarms {
  private static final Pattern NUMBER = Pattern.compile("(ALARM|error):(\\d{1,3})");

  private static final Map<Integer, String> ALARMS =
      Map.of(
          1, "a limit switch was hit while it moved; its place is lost, home it again",
          2, "the move would leave the travel; nothing moved",
          3, "it was reset while it moved; its place is lost, home it again",
          6, "homing was broken off by a reset",
          7, "the door opened while it homed",
          8, "homing could not leave the switch: too little pull-off, or the switch sticks",
          9, "homing found no switch: not wired, unplugged, or it looks at the wrong corner");

  private static final Map<Integer, String> ERRORS =
      Map.of(
          2, "it cannot read the number",
          3, "it does not know this command",
          5, "homing is switched off",
          8, "it takes this only while it stands still",
          9, "it is locked in alarm: home or unlock it first",
          10, "soft limits need homing switched on first",
          11, "the line is too long",
          15, "the move would leave the travel",
          33, "it cannot read the line");

  private Alarms() {}

  /** The words for a line such as {@code ALARM:9}, with the line itself. */
  public static String words(String line) {
    Matcher m = NUMBER.matcher(line);
    if (!m.lookingAt()) {
      return line;
    }
    Map<Integer, String> known = m.group(1).equals("ALARM") ? ALARMS : ERRORS;
    String words = known.get(Integer.parseInt(m.group(2)));
    return words == null ? line : words + " (" + line.strip() + ")";
  }
}
