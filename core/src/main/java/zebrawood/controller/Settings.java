package zebrawood.controller;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SequencedMap;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Numbers;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * Settings as a controller printed them, by key, in the order they were printed.
 *
 * <p>Lines that do not fit the dialect's pattern are passed over: greetings, acknowledgements,
 * messages. The last of two lines for one key counts, where the first stood.
 */
public record Settings(Dialect dialect, SequencedMap<String, String> values) {
  /** Longer dumps are no settings of one machine; memory stays bounded whatever is pasted. */
  private static final int LONGEST_DUMP = 200_000;

  private static final int MOST_SETTINGS = 5_000;

  /** Of a controller that tells nothing. */
  static final Settings NONE = new Settings(NamedFields.BARE, new LinkedHashMap<>());

  public Settings {
    values = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(values));
  }

  /**
   * Reads a dump.
   *
   * @throws UnusableReading when it is too long or has no setting at all
   */
  public static Settings parse(String dump, Dialect dialect) {
    if (dump.length() > LONGEST_DUMP) {
      throw UnusableReading.of(
          "settings",
          Message.of("machine.accepts.letters", dump.length()),
          Message.of("machine.accepts.most-letters", LONGEST_DUMP));
    }
    SettingLine line = new SettingLine(dialect);
    SequencedMap<String, String> values = new LinkedHashMap<>();
    dump.lines().forEach(text -> line.read(text).ifPresent(s -> values.put(s.key(), s.value())));
    if (values.isEmpty()) {
      throw UnusableReading.of(
          "settings",
          Message.of("controller.settings.without-any-setting"),
          Message.of("controller.settings.lines-like", Message.quoted(dialect.settingLine())));
    }
    if (values.size() > MOST_SETTINGS) {
      throw UnusableReading.of(
          "settings",
          Message.of("accepts.of-them", values.size()),
          Message.of("controller.settings.most", MOST_SETTINGS));
    }
    return new Settings(dialect, values);
  }

  /** The lines of a dump that set something, as they were printed. */
  public static List<String> lines(String dump, Dialect dialect) {
    SettingLine line = new SettingLine(dialect);
    return dump.lines().filter(text -> line.read(text).isPresent()).toList();
  }

  /** As printed; empty where it was not reported or nobody knows which one it is. */
  public Optional<String> printed(Role role) {
    return dialect.key(role).map(values::get);
  }

  /** The meaning of a choice; empty where it was not reported or is not listed. */
  public Optional<String> meaning(Role role) {
    return printed(role).flatMap(p -> dialect.meaning(role, p));
  }

  public boolean is(Role role, String meaning) {
    return meaning(role).equals(Optional.of(meaning));
  }

  /**
   * A role as a number; empty where it was not reported or is printed as no number.
   *
   * @throws UnusableReading when it is a number, but none from {@code least} to {@code most}
   */
  public OptionalDouble number(Role role, double least, double most) {
    Optional<String> text = printed(role);
    OptionalDouble value = text.map(Printed::number).orElse(OptionalDouble.empty());
    if (value.isPresent() && !(value.getAsDouble() >= least && value.getAsDouble() <= most)) {
      throw UnusableReading.of(
          "settings",
          Message.of(
              "controller.settings.key-is",
              Message.quoted(dialect.key(role).orElse("")),
              Message.quoted(text.orElse(""))),
          Message.of(
              "controller.settings.number-from",
              role,
              Amount.plain(least, Quantity.NUMBER),
              Amount.plain(most, Quantity.NUMBER)));
    }
    return value;
  }

  /** The line that sets a role to a number; empty where nobody knows its key. */
  public static Optional<Write> line(Dialect dialect, Role role, double value) {
    return dialect
        .key(role)
        .map(key ->
            dialect.write(
                key,
                Numbers.plain(value),
                Message.of("controller.write.role", role, Message.number(value))));
  }

  /** The line that gives a role a meaning; empty where that has no printed value. */
  public static Optional<Write> line(Dialect dialect, Role role, String meaning) {
    return dialect
        .printed(role, meaning)
        .flatMap(p ->
            dialect
                .key(role)
                .map(key ->
                    dialect.write(
                        key, p, Message.of("controller.write.role", role, Role.said(meaning)))));
  }

  /** The same with some values changed. */
  public Settings with(Map<String, String> changes) {
    SequencedMap<String, String> now = new LinkedHashMap<>(values);
    now.putAll(changes);
    return new Settings(dialect, now);
  }

  /** The dump again, a line a setting. */
  public String dump() {
    LinePattern pattern = LinePattern.of(dialect.settingLine());
    StringBuilder text = new StringBuilder();
    values.forEach((key, value) ->
        text.append(pattern.filled(Map.of("key", key, "value", value))).append('\n'));
    return text.toString();
  }

  /** The keys, in the order they were printed. */
  public List<String> keys() {
    return List.copyOf(values.keySet());
  }
}
