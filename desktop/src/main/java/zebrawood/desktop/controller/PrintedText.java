package zebrawood.desktop.controller;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
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

  /** Whether it shows nothing: then what stands there is what somebody knows of it. */
  private final BooleanSupplier silent;

  /** What was read last, by its text; of one dialect. */
  private final Map<String, Read> read = new LinkedHashMap<>();

  private record Read(String lines, Optional<Settings> settings) {}

  private Optional<Dialect> of = Optional.empty();

  PrintedText(DialectFields fields, BooleanSupplier silent) {
    this.fields = fields;
    this.silent = silent;
  }

  /** How it prints; empty while nobody said it, or not so that it can be. */
  Optional<Dialect> dialect() {
    if (!silent.getAsBoolean() && fields.isEmpty()) {
      return Optional.empty();
    }
    try {
      return Optional.of(understood());
    } catch (UnusableReading e) {
      return Optional.empty();
    }
  }

  /**
   * How it prints, or how what is known of it is typed.
   *
   * @throws UnusableReading when what is said of how it prints cannot be so
   */
  Dialect understood() {
    return silent.getAsBoolean() ? NamedFields.BARE : fields.dialect();
  }

  /**
   * As it was printed, without what a console shows before it; a page as a line a field.
   *
   * @throws UnusableReading when what is said of how it prints cannot be so
   */
  String lines(String text) {
    return read(text, understood()).lines;
  }

  /** The settings of a text, when they can be read. */
  Optional<Settings> settings(String text) {
    return text.isBlank() ? Optional.empty() : dialect().flatMap(d -> read(text, d).settings);
  }

  private Read read(String text, Dialect dialect) {
    if (!of.equals(Optional.of(dialect)) || read.size() >= MOST_KEPT && !read.containsKey(text)) {
      read.clear();
    }
    of = Optional.of(dialect);
    return read.computeIfAbsent(text, t -> anew(t, dialect));
  }

  private Read anew(String text, Dialect dialect) {
    String lines =
        silent.getAsBoolean() || fields.isPage()
            ? ConfigurationText.read(text).map(NamedFields::text).orElse(text)
            : ConsoleLines.plain(text, dialect);
    try {
      return new Read(lines, Optional.of(Settings.parse(lines, dialect)));
    } catch (UnusableReading e) {
      return new Read(lines, Optional.empty());
    }
  }
}
