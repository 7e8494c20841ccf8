package zebrawood.desktop.controller;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import zebrawood.controller.ConsoleLines;
import zebrawood.controller.Dialect;
import zebrawood.controller.NamedFields;
import zebrawood.controller.Settings;
import zebrawood.measure.UnusableReading;
import zebrawood.records.configuration.ConfigurationText;

/**
 * What a controller printed, or a file holds, as its dialect reads it. A text that was read once is
 * not read again.
 */
final class PrintedText {
  private static final int MOST_KEPT = 4;

  private final DialectFields fields;

  /** What was read last, by its text; of one dialect. */
  private final Map<String, Optional<Settings>> read = new LinkedHashMap<>();

  private Optional<Dialect> of = Optional.empty();

  PrintedText(DialectFields fields) {
    this.fields = fields;
  }

  /** How it prints; empty while nobody said it, or not so that it can be. */
  Optional<Dialect> dialect() {
    if (fields.isEmpty()) {
      return Optional.empty();
    }
    try {
      return Optional.of(fields.dialect());
    } catch (UnusableReading e) {
      return Optional.empty();
    }
  }

  /** As it was printed, without what a console shows before it; a page as a line a field. */
  String lines(String text) {
    if (fields.isPage()) {
      return ConfigurationText.read(text).map(NamedFields::text).orElse(text);
    }
    return ConsoleLines.plain(text, fields.dialect());
  }

  /** The settings of a text, when they can be read. */
  Optional<Settings> settings(String text) {
    Optional<Dialect> dialect = dialect();
    if (dialect.isEmpty() || text.isBlank()) {
      return Optional.empty();
    }
    if (!dialect.equals(of) || read.size() >= MOST_KEPT && !read.containsKey(text)) {
      read.clear();
    }
    of = dialect;
    return read.computeIfAbsent(text, t -> parse(t, dialect.get()));
  }

  private Optional<Settings> parse(String text, Dialect dialect) {
    try {
      return Optional.of(Settings.parse(lines(text), dialect));
    } catch (UnusableReading e) {
      return Optional.empty();
    }
  }
}
