package zebrawood.controller;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * A page of named fields or a configuration file, as names and values in the order they stand;
 * sections of a file stand before the names. What a name means is said by a {@link Dialect}.
 *
 * @param beside words that stand beside a name, such as those of a table of key, name and value; of
 *     few names or none
 */
public record NamedFields(SequencedMap<String, String> values, Map<String, String> beside) {
  /** How {@link #text} prints a field: what a dialect of a page says. */
  public static final String LINE = "{key} = {value}";

  /** Of names and values of which nobody said what they mean. */
  public static final Dialect BARE =
      new Dialect("-", LINE, LINE, Optional.empty(), Map.of(), Optional.empty());

  /** Between a section and a name. */
  public static final String INSIDE = " / ";

  private static final Pattern FIELD =
      Pattern.compile(
          "\\s*\"?([\\p{L}][^=:\"\\r\\n]{0,79}?)\"?\\s*[=:]\\s*\"?([^\\r\\n\"]{0,200}?)\"?\\s*[;,]?\\s*");
  private static final Pattern SECTION = Pattern.compile("\\s*\\[([^\\]\\r\\n]{1,60})\\]\\s*");
  private static final int LONGEST = 400_000;
  private static final int LONGEST_LINE = 400;

  /** Several names with a value each in one line, behind words that they all belong to or none. */
  private static final Pattern PAIR =
      Pattern.compile("([\\p{L}_][\\w.\\-]*)\\s*[=:]\\s*([^\\s,;=:]+)");

  private static final Pattern PAIRS =
      Pattern.compile(
          "\\s*(?:([\\p{L}\\d][\\w .\\-]{0,60}?)[\\s,;:]+)?("
              + PAIR.pattern()
              + "(?:[\\s,;]+"
              + PAIR.pattern()
              + "){1,30})\\s*");

  private static final String NUMBER = "[+\\-]?\\d+(?:\\.\\d+)?";

  /** A comma without a blank behind it belongs to one number. */
  private static final String BETWEEN = "(?:\\s*[;/x]\\s*|\\s*,\\s+|\\s+)";

  /** Several numbers behind one name. */
  private static final Pattern NUMBERS =
      Pattern.compile(NUMBER + "(?:" + BETWEEN + NUMBER + "){1,30}");

  private static final Pattern BETWEEN_NUMBERS = Pattern.compile(BETWEEN);

  public NamedFields(SequencedMap<String, String> values) {
    this(values, Map.of());
  }

  public NamedFields {
    beside = Map.copyOf(beside);
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
      Matcher several = PAIRS.matcher(line);
      if (s.matches()) {
        section = s.group(1).strip() + INSIDE;
      } else if (line.length() <= LONGEST_LINE && several.matches()) {
        String of = several.group(1) == null ? "" : several.group(1).strip() + INSIDE;
        Matcher pair = PAIR.matcher(several.group(2));
        while (pair.find()) {
          values.put(section + of + pair.group(1), pair.group(2));
        }
      } else if (m.matches()) {
        put(values, section + m.group(1).strip(), m.group(2).strip());
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

  /** Several numbers behind one name are counted: each is a value of its own. */
  private static void put(Map<String, String> values, String name, String value) {
    if (!NUMBERS.matcher(value).matches()) {
      values.put(name, value);
      return;
    }
    String[] each = BETWEEN_NUMBERS.split(value);
    for (int i = 0; i < each.length; i++) {
      values.put(name + " " + (i + 1), each[i]);
    }
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
