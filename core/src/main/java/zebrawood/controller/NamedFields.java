package zebrawood.controller;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.SequencedMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * A page of named fields or a configuration file, as names and values in the order they stand;
 * sections of a file stand before the names. What a name means is said by a {@link Dialect}.
 */
public record NamedFields(SequencedMap<String, String> values) {
  /** How {@link #text} prints a field: what a dialect of a page says. */
  public static final String LINE = "{key} = {value}";

  /** Between a section and a name. */
  public static final String INSIDE = " / ";

  private static final Pattern FIELD =
      Pattern.compile(
          "\\s*\"?([\\p{L}][^=:\"\\r\\n]{0,79}?)\"?\\s*[=:]\\s*\"?([^\\r\\n\"]{0,200}?)\"?\\s*[;,]?\\s*");
  private static final Pattern SECTION = Pattern.compile("\\s*\\[([^\\]\\r\\n]{1,60})\\]\\s*");
  private static final int LONGEST = 400_000;

  public NamedFields {
    values = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(values));
  }

  /**
   * Reads lines of a name and a value with an equals sign or a colon between, in sections or not.
   *
   * @throws UnusableReading when it is too long or has no such line
   */
  public static NamedFields parse(String text) {
    if (text.length() > LONGEST) {
      throw UnusableReading.of(
          "configuration",
          Message.of("machine.accepts.letters", text.length()),
          Message.of("machine.accepts.most-letters", LONGEST));
    }
    SequencedMap<String, String> values = new LinkedHashMap<>();
    String section = "";
    for (String line : text.lines().toList()) {
      Matcher s = SECTION.matcher(line);
      Matcher m = FIELD.matcher(line);
      if (s.matches()) {
        section = s.group(1).strip() + INSIDE;
      } else if (m.matches()) {
        values.put(section + m.group(1).strip(), m.group(2).strip());
      }
    }
    if (values.isEmpty()) {
      throw UnusableReading.of(
          "configuration",
          Message.of("controller.named-fields.without-name-value"),
          Message.of("controller.named-fields.lines-like-30"));
    }
    return new NamedFields(values);
  }

  /** A line a field, as a dialect of {@link #LINE} reads it. */
  public String text() {
    LinePattern pattern = LinePattern.of(LINE);
    StringBuilder text = new StringBuilder();
    values.forEach((key, value) ->
        text.append(pattern.filled(Map.of("key", key, "value", value))).append('\n'));
    return text.toString();
  }
}
