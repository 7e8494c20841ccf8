package zebrawood.controller;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What was copied from a console: a time or a prompt stands before the lines. Where a line sets
 * nothing that plays a role until they are taken away, they are.
 */
public final class ConsoleLines {
  /** A time in brackets or without, a direction in letters, and prompts. */
  private static final Pattern BEFORE =
      Pattern.compile(
          "^\\s*(?:\\[?(?:\\d{4}-\\d\\d-\\d\\d[T ])?\\d{1,2}:\\d\\d(?::\\d\\d(?:[.,]\\d+)?)?\\]?\\s*)?"
              + "(?:(?i:rx|tx|recv|in|out)\\b:?\\s*)?(?:[<>\\u00bb\\u2190\\u2192|]+\\s*)*");

  private ConsoleLines() {}

  /** The same text as the controller printed it. */
  public static String plain(String text, Dialect dialect) {
    SettingLine reader = new SettingLine(dialect);
    List<String> keys = dialect.roles().values().stream().map(s -> s.key().strip()).toList();
    return text.lines().map(line -> plain(line, reader, keys)).collect(Collectors.joining("\n"));
  }

  private static String plain(String line, SettingLine reader, List<String> keys) {
    if (plays(reader.read(line), keys)) {
      return line;
    }
    String bare = BEFORE.matcher(line).replaceFirst("");
    return plays(reader.read(bare), keys) ? bare : line;
  }

  private static boolean plays(Optional<SettingLine.Read> read, List<String> keys) {
    return read.filter(r -> keys.contains(r.key())).isPresent();
  }
}
