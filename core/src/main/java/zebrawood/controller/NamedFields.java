package zebrawood.controller;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import zebrawood.machine.Lens;
import zebrawood.machine.Machine;
import zebrawood.machine.PulseRange;
import zebrawood.machine.SourceKind;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

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
  private static final Pattern NUMBER = Pattern.compile("[fF]?[- =]?(-?\\d{1,9}(?:[.,]\\d{1,9})?)");
  private static final int LONGEST = 400_000;

  /** A field is set up to its lens and differs a little from the number on it. */
  private static final double SAME_FIELD = 0.1;

  /** What is engraved on a lens is rounded. */
  static final double SAME_LENS = 0.03;

  public NamedFields {
    values = Collections.unmodifiableSortedMap(new TreeMap<>(values));
  }

  /**
   * @throws UnusableReading when it is too long or has no line of a name and a value
   */
  public static NamedFields parse(String text) {
    if (text.length() > LONGEST) {
      throw UnusableReading.of(
          "configuration",
          Message.of("machine.accepts.letters", text.length()),
          Message.of("machine.accepts.most-letters", LONGEST));
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
          Message.of("controller.named-fields.without-name-value"),
          Message.of("controller.named-fields.lines-like-30"));
    }
    return new NamedFields(values);
  }

  /**
   * What does not fit the machine, as imperative sentences with the reason.
   *
   * @param fitted the lens that is on it now, where it is known
   */
  public List<Advice> against(Machine machine, Optional<Lens> fitted) {
    List<Advice> wrong = new ArrayList<>();
    values.forEach((name, value) ->
        Stream.of(
                size(name, value, machine, fitted),
                lens(name, value, machine, fitted),
                pulses(name, value, machine),
                source(name, value, machine))
            .flatMap(Optional::stream)
            .forEach(wrong::add));
    return wrong;
  }

  private static boolean isSize(String name) {
    return name.contains("field size") || name.contains("work area") || name.endsWith("field");
  }

  private static boolean isLens(String name) {
    return name.contains("lens") || name.contains("focal");
  }

  private static boolean isRate(String name) {
    return name.contains("freq") || name.contains("hz") || name.contains("pulse rate");
  }

  private static boolean isSource(String name) {
    return name.contains("laser type") || name.contains("source type") || name.endsWith("source");
  }

  /** How many names say nothing that is understood: nobody judged them. */
  public int notJudged() {
    return (int)
        values.keySet().stream()
            .filter(n -> !isSize(n) && !isLens(n) && !isRate(n) && !isSource(n))
            .count();
  }

  private static Optional<Advice> size(
      String name, String value, Machine machine, Optional<Lens> fitted) {
    OptionalDouble mm = number(value);
    if (!isSize(name) || mm.isEmpty()) {
      return Optional.empty();
    }
    boolean width = !name.endsWith("y") && !name.contains("height") && !name.contains("depth");
    double its = width ? machine.areaXMm() : machine.areaYMm();
    double right = fitted.map(l -> l.fieldMm().orElse(its)).orElse(its);
    return Math.abs(mm.getAsDouble() - right) > SAME_FIELD * right
        ? Optional.of(
            fitted
                .map(l ->
                    Advice.act(
                        "controller.named-fields.set-for",
                        Message.quoted(name),
                        Message.number(right),
                        l.said()))
                .orElse(
                    Advice.act(
                        "controller.named-fields.set", Message.quoted(name), Message.number(right)))
                .because("controller.named-fields.everything-burnt-wrong", Message.quoted(value)))
        : Optional.empty();
  }

  private static Optional<Advice> lens(
      String name, String value, Machine machine, Optional<Lens> fitted) {
    OptionalDouble mm = number(value);
    List<Lens> right = fitted.map(List::of).orElse(machine.lenses().orElse(List.of()));
    if (!isLens(name) || mm.isEmpty() || right.isEmpty()) {
      return Optional.empty();
    }
    return right.stream()
            .noneMatch(l ->
                Math.abs(mm.getAsDouble() - l.focalLengthMm()) <= SAME_LENS * l.focalLengthMm())
        ? Optional.of(
            Advice.act("controller.named-fields.load-configuration", right.getFirst().said())
                .because(
                    "controller.named-fields.lens-not",
                    Message.quoted(name),
                    Message.quoted(value)))
        : Optional.empty();
  }

  private static Optional<Advice> pulses(String name, String value, Machine machine) {
    OptionalDouble number = number(value);
    Optional<PulseRange> range = machine.source().pulses();
    String words = name + " " + value.toLowerCase(Locale.ROOT);
    if (!isRate(name) || number.isEmpty() || range.isEmpty()) {
      return Optional.empty();
    }
    double khz = number.getAsDouble() / (words.matches(".*(?<!k)hz.*") ? 1000 : 1);
    PulseRange its = range.get();
    boolean low = khz < its.leastKhz() && !name.contains("max");
    boolean high = khz > its.mostKhz() && !name.contains("min");
    return low || high
        ? Optional.of(
            Advice.act(
                    "controller.named-fields.set",
                    Message.quoted(name),
                    Amount.plain(low ? its.leastKhz() : its.mostKhz(), Quantity.PULSE_RATE))
                .because(
                    "controller.named-fields.source-gives-power",
                    Message.quoted(value),
                    its.said()))
        : Optional.empty();
  }

  private static Optional<Advice> source(String name, String value, Machine machine) {
    SourceKind its = machine.source().kind();
    if (!isSource(name)) {
      return Optional.empty();
    }
    return kindOf(value)
        .filter(kinds -> !kinds.contains(its))
        .map(k ->
            Advice.act("controller.named-fields.set-source", Message.quoted(name), its)
                .because("controller.named-fields.whose-limits-do", Message.quoted(value)));
  }

  /** The number that a value begins with; the letters of a lens such as "F160" are passed over. */
  private static OptionalDouble number(String value) {
    Matcher number = NUMBER.matcher(value);
    return number.lookingAt()
        ? OptionalDouble.of(Double.parseDouble(number.group(1).replace(',', '.')))
        : OptionalDouble.empty();
  }

  private static Optional<List<SourceKind>> kindOf(String value) {
    String word = value.toLowerCase(Locale.ROOT);
    if (word.contains("co2")) {
      return Optional.of(List.of(SourceKind.CO2_GLASS_TUBE, SourceKind.CO2_RF_TUBE));
    }
    if (word.contains("fib")) {
      return Optional.of(List.of(SourceKind.FIBRE, SourceKind.MOPA_FIBRE));
    }
    if (word.contains("mopa")) {
      return Optional.of(List.of(SourceKind.MOPA_FIBRE));
    }
    if (word.contains("uv")) {
      return Optional.of(List.of(SourceKind.UV));
    }
    return word.contains("diode") ? Optional.of(List.of(SourceKind.DIODE)) : Optional.empty();
  }
}
