package zebrawood.records.settings;

import java.io.IOException;
import java.io.StringReader;
import java.io.Writer;
import java.nio.charset.CharacterCodingException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.InvalidPathException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.concurrent.CancellationException;
import java.util.function.DoubleConsumer;
import java.util.stream.IntStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.apache.commons.csv.QuoteMode;
import zebrawood.measure.UnusableReading;
import zebrawood.power.RescaleFinding;
import zebrawood.power.RescaleReadings.JobSetting;
import zebrawood.records.file.CsvText;
import zebrawood.records.file.WholeFile;
import zebrawood.words.Message;

/**
 * A list of settings as a CSV file (RFC 4180): a header with the columns {@code name}, {@code
 * percent} and {@code speedMmS} (or {@code speedMmMin}), in any order and any case; every other
 * column goes through as it came. Columns may be set apart by commas, semicolons or tabs; where it
 * is not by commas, numbers may have one for a decimal point.
 */
public final class SettingsTable {
  /** Larger files are no list of settings. */
  static final int MOST_BYTES = 50_000_000;

  static final int MOST_ROWS = 200_000;

  /** Under this column it is written whether the watts are the same. */
  private static final String REACHABLE = "reachable";

  private static final double SECONDS_A_MINUTE = 60;
  private static final int TOLD_EVERY = 5000;

  private final CsvText text;
  private final List<String> header;
  private final List<String[]> rows;
  private final List<JobSetting> settings;
  private final int percentAt;
  private final int speedAt;
  private final boolean perMinute;

  private SettingsTable(
      CsvText text, List<String> header, List<String[]> rows, DoubleConsumer reached) {
    this.text = text;
    this.header = header;
    this.rows = rows;
    int nameAt = column("name").orElseThrow(() -> noColumn("name"));
    percentAt = column("percent").orElseThrow(() -> noColumn("percent"));
    OptionalInt speed = column("speedMmS");
    perMinute = speed.isEmpty();
    speedAt = speed.orElseGet(() -> column("speedMmMin").orElseThrow(() -> noColumn("speedMmS")));
    settings = new ArrayList<>(rows.size());
    for (int i = 0; i < rows.size(); i++) {
      String[] row = rows.get(i);
      double speedNow = number(i, speedAt);
      settings.add(
          new JobSetting(
              row[nameAt],
              number(i, percentAt),
              perMinute ? speedNow / SECONDS_A_MINUTE : speedNow));
      if (i % TOLD_EVERY == 0) {
        reached.accept((double) i / rows.size());
      }
    }
  }

  /** The same, where nobody asks how far it is. */
  public static SettingsTable read(String path) {
    return read(path, share -> {});
  }

  /**
   * @param reached told how far it is, from 0 to 1
   * @throws UnusableReading when there is no such list in the file, with the row that is wrong
   */
  public static SettingsTable read(String path, DoubleConsumer reached) {
    try {
      CsvText text = CsvText.of(WholeFile.readText(Path.of(path), MOST_BYTES));
      List<String> header = List.of();
      List<String[]> rows = new ArrayList<>();
      CSVFormat format =
          CSVFormat.RFC4180
              .builder()
              .setDelimiter(text.separator())
              .setIgnoreEmptyLines(true)
              .get();
      try (var parser = format.parse(new StringReader(text.rows()))) {
        for (CSVRecord row : parser) {
          if (header.isEmpty()) {
            header = row.stream().map(String::strip).toList();
          } else if (rows.size() == MOST_ROWS) {
            throw refused("power.settings.large", path);
          } else {
            rows.add(cells(row, header.size()));
          }
        }
      }
      if (rows.isEmpty()) {
        throw refused("power.settings.empty", path);
      }
      return new SettingsTable(text, header, rows, reached);
    } catch (CancellationException e) {
      throw e;
    } catch (CharacterCodingException e) {
      throw refused("power.settings.letters", path);
    } catch (NoSuchFileException e) {
      throw refused("power.settings.no-file", path);
    } catch (WholeFile.TooLarge e) {
      throw refused("power.settings.large", path);
    } catch (IOException | InvalidPathException | IllegalStateException e) {
      throw refused("power.settings.no-list", path);
    } catch (java.io.UncheckedIOException e) {
      throw refused("power.settings.no-list", path);
    }
  }

  private static UnusableReading refused(String why, String path) {
    return UnusableReading.of(
        "settingsFile",
        Message.of(why, Message.quoted(path)),
        Message.of("power.settings.accepted", MOST_ROWS));
  }

  private static UnusableReading noColumn(String name) {
    return UnusableReading.of(
        "settingsFile",
        Message.of("power.settings.no-column", Message.quoted(name)),
        Message.of("power.settings.accepted", MOST_ROWS));
  }

  private static String[] cells(CSVRecord row, int count) {
    String[] cells = new String[Math.max(count, row.size())];
    for (int i = 0; i < cells.length; i++) {
      cells[i] = i < row.size() ? CsvText.meant(row.get(i)) : "";
    }
    return cells;
  }

  private OptionalInt column(String name) {
    return IntStream.range(0, header.size())
        .filter(i -> header.get(i).equalsIgnoreCase(name))
        .findFirst();
  }

  private double number(int row, int column) {
    String cell = rows.get(row)[column].strip();
    String plain = text.separator() == ',' ? cell : cell.replace(',', '.');
    try {
      return Double.parseDouble(plain);
    } catch (NumberFormatException e) {
      throw UnusableReading.of(
          "settingsFile",
          Message.of(
              "power.settings.no-number",
              row + 2,
              Message.quoted(header.get(column)),
              Message.quoted(cell)),
          Message.of("power.settings.number"));
    }
  }

  /** In the order of the rows. */
  public List<JobSetting> settings() {
    return settings;
  }

  /**
   * Writes the list with other percentages and speeds, never over a file that is there.
   *
   * @param now in the order of the rows, as many as these
   * @throws UnusableReading when it cannot be written there
   */
  public void write(String path, List<RescaleFinding.Setting> now) {
    try {
      WholeFile.write(Path.of(path), out -> write(out, now));
    } catch (FileAlreadyExistsException e) {
      throw notWritten("power.settings.there", path);
    } catch (IOException | InvalidPathException e) {
      throw notWritten("power.settings.not-written", path);
    }
  }

  /** As the list came: its separator, its quotes. */
  private void write(Writer out, List<RescaleFinding.Setting> now) throws IOException {
    CSVFormat format =
        CSVFormat.RFC4180
            .builder()
            .setDelimiter(text.separator())
            .setQuoteMode(text.quoted() ? QuoteMode.ALL : QuoteMode.MINIMAL)
            .get();
    if (text.named()) {
      out.write("sep=" + text.separator() + format.getRecordSeparator());
    }
    CSVPrinter printer = new CSVPrinter(out, format);
    List<String> named = new ArrayList<>(header);
    named.add(REACHABLE);
    printer.printRecord(named);
    for (int i = 0; i < rows.size(); i++) {
      String[] row = rows.get(i).clone();
      RescaleFinding.Setting setting = now.get(i);
      row[percentAt] = written(setting.percent(), 2);
      double speed = perMinute ? setting.speedMmS() * SECONDS_A_MINUTE : setting.speedMmS();
      row[speedAt] =
          setting.speedMmS() == settings.get(i).speedMmS() ? row[speedAt] : written(speed, 3);
      for (String cell : row) {
        printer.print(CsvText.safe(cell));
      }
      printer.print(setting.reachable());
      printer.println();
    }
    printer.flush();
  }

  private static UnusableReading notWritten(String why, String path) {
    return UnusableReading.of(
        "settingsFile",
        Message.of(why, Message.quoted(path)),
        Message.of("power.settings.new-name"));
  }

  /** Rounded, without a tail of noughts. */
  private String written(double value, int decimals) {
    double rounded = Math.round(value * Math.pow(10, decimals)) / Math.pow(10, decimals);
    String plain =
        rounded == Math.rint(rounded)
            ? String.valueOf((long) rounded)
            : String.valueOf(rounded).toLowerCase(Locale.ROOT);
    return text.separator() == ',' ? plain : plain.replace('.', ',');
  }
}
