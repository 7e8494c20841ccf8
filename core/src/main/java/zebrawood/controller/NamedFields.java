package zebrawood.controller;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zebrawood.machine.Machine;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Numbers;
import zebrawood.measure.UnusableReading;

/**
 * A page of named fields or a configuration file of a controller without numbered settings, as
 * names and values; sections of a file stand before the names.
 *
 * @param values by name, in lower case
 */
public record NamedFields(SortedMap<String, String> values) {
  private static final Pattern LINE =
      Pattern.compile(
          "\\s*\"?([\\p{L}][^=:\"\\r\\n]{0,79}?)\"?\\s*[=:]\\s*\"?([^\\r\\n\"]{0,200}?)\"?\\s*[;,]?\\s*");
  private static final Pattern SECTION = Pattern.compile("\\s*\\[([^\\]\\r\\n]{1,60})\\]\\s*");
  private static final Pattern NUMBER = Pattern.compile("-?\\d{1,9}(?:[.,]\\d{1,9})?");
  private static final int LONGEST = 400_000;

  /** A field is set up to its lens and differs a little from the number on it. */
  private static final double SAME_FIELD = 0.1;

  public NamedFields {
    values = Collections.unmodifiableSortedMap(new TreeMap<>(values));
  }

  /**
   * @throws UnusableReading when it is too long or has no line of a name and a value
   */
  public static NamedFields parse(String text) {
    if (text.length() > LONGEST) {
      throw UnusableReading.of(
          "configuration", text.length() + " letters", "at most " + LONGEST + " letters");
    }
    SortedMap<String, String> values = new TreeMap<>();
    String section = "";
    for (String line : text.lines().toList()) {
      Matcher s = SECTION.matcher(line);
      Matcher m = LINE.matcher(line);
      if (s.matches()) {
        section = s.group(1).strip().toLowerCase(Locale.ROOT) + " / ";
      } else if (m.matches()) {
        values.put(section + m.group(1).strip().toLowerCase(Locale.ROOT), m.group(2).strip());
      }
    }
    if (values.isEmpty()) {
      throw UnusableReading.of(
          "configuration",
          "without a name and a value",
          "lines like $30=1000, or like: field size = 110");
    }
    return new NamedFields(values);
  }

  /** What does not fit the machine, as imperative sentences with the reason. */
  public List<String> against(Machine machine) {
    List<String> wrong = new ArrayList<>();
    values.forEach((name, value) -> {
      Matcher number = NUMBER.matcher(value);
      boolean size =
          name.contains("field size") || name.contains("work area") || name.endsWith("field");
      if (size && number.lookingAt()) {
        double mm = Double.parseDouble(number.group().replace(',', '.'));
        boolean width = !name.endsWith("y") && !name.contains("height") && !name.contains("depth");
        double right = width ? machine.areaXMm() : machine.areaYMm();
        if (Math.abs(mm - right) > SAME_FIELD * right) {
          wrong.add(
              "Set \"%s\" to %s: it has %s, and everything is burnt in the wrong size."
                  .formatted(name, Numbers.plain(right), value));
        }
      }
      if (name.contains("laser type") || name.contains("source type") || name.endsWith("source")) {
        kindOf(value)
            .filter(kinds -> !kinds.contains(machine.source().kind()))
            .ifPresent(k ->
                wrong.add(
                    "Set \"%s\" for a %s: it has %s, whose limits do not fit."
                        .formatted(name, machine.source().kind().words(), value)));
      }
    });
    return wrong;
  }

  private static java.util.Optional<List<SourceKind>> kindOf(String value) {
    String word = value.toLowerCase(Locale.ROOT);
    if (word.contains("co2")) {
      return java.util.Optional.of(List.of(SourceKind.CO2_GLASS_TUBE, SourceKind.CO2_RF_TUBE));
    }
    if (word.contains("fib")) {
      return java.util.Optional.of(List.of(SourceKind.FIBRE, SourceKind.MOPA_FIBRE));
    }
    if (word.contains("mopa")) {
      return java.util.Optional.of(List.of(SourceKind.MOPA_FIBRE));
    }
    if (word.contains("uv")) {
      return java.util.Optional.of(List.of(SourceKind.UV));
    }
    return word.contains("diode")
        ? java.util.Optional.of(List.of(SourceKind.DIODE))
        : java.util.Optional.empty();
  }
}
