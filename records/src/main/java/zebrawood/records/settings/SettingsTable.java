package zebrawood.records.settings;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.Writer;
import java.nio.charset.CharacterCodingException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
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
import zebrawood.measure.UnusableReading;
import zebrawood.power.RescaleFinding;
import zebrawood.power.RescaleReadings.JobSetting;
import zebrawood.words.Message;

/**
 * A list of settings as a CSV file (RFC 4180): a header with the columns {@code name}, {@code
 * percent} and {@code speedMmS} (or {@code speedMmMin}), in any order and any case; every other
 * column goes through as it came. Columns may be set apart by commas, semicolons or tabs; where it
 * is not by commas, numbers may have one for a decimal point.
 */
public final class SettingsTable {
  /** Larger files are no list of settings. */
  static final long MOST_BYTES = 50_000_000;

  static final int MOST_ROWS = 200_000;

  /** Under this column it is written whether the watts are the same. */
  private static final String REACHABLE = "reachable";

  private static final double SECONDS_A_MINUTE = 60;
  private static final int TOLD_EVERY = 5000;

  private final char separator;
  private final List<String> header;
  private final List<String[]> rows;
  private final List<JobSetting> settings;
  private final int percentAt;
  private final int speedAt;
  private final boolean perMinute;

  private SettingsTable(
      char separator, List<String> header, List<String[]> rows, DoubleConsumer reached) {
    this.separator = separator;
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
      Path file = Path.of(path);
      if (!Files.isRegularFile(file)) {
        throw refused("power.settings.no-file", path);
      }
      if (Files.size(file) > MOST_BYTES) {
        throw refused("power.settings.large", path);
      }
      char separator = separator(file);
      List<String> header = List.of();
      List<String[]> rows = new ArrayList<>();
      CSVFormat format =
          CSVFormat.RFC4180.builder().setDelimiter(separator).setIgnoreEmptyLines(true).get();
      try (var in = Files.newBufferedReader(file);
          var parser = format.parse(in)) {
        for (CSVRecord row : parser) {
          if (header.isEmpty()) {
            header = row.stream().map(SettingsTable::plain).toList();
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
      return new SettingsTable(separator, header, rows, reached);
    } catch (CancellationException e) {
      throw e;
    } catch (CharacterCodingException e) {
      throw refused("power.settings.letters", path);
    } catch (IOException | InvalidPathException | IllegalStateException e) {
      throw refused("power.settings.no-list", path);
    } catch (java.io.UncheckedIOException e) {
      throw refused(
          e.getCause() instanceof CharacterCodingException
              ? "power.settings.letters"
              : "power.settings.no-list",
          path);
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

  /** A mark of the file's coding is no letter of its first name. */
  private static String plain(String name) {
    return name.replace("\uFEFF", "").strip();
  }

  private static char separator(Path file) throws IOException {
    try (BufferedReader in = Files.newBufferedReader(file)) {
      String first = in.readLine();
      String line = first == null ? "" : first;
      return line.indexOf('\t') >= 0 ? '\t' : line.indexOf(';') >= 0 ? ';' : ',';
    }
  }

  private static String[] cells(CSVRecord row, int count) {
    String[] cells = new String[Math.max(count, row.size())];
    for (int i = 0; i < cells.length; i++) {
      cells[i] = i < row.size() ? row.get(i) : "";
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
    String plain = separator == ',' ? cell : cell.replace(',', '.');
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
    CSVFormat format = CSVFormat.RFC4180.builder().setDelimiter(separator).get();
    try (Writer out = Files.newBufferedWriter(Path.of(path), StandardOpenOption.CREATE_NEW);
        CSVPrinter printer = new CSVPrinter(out, format)) {
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
          printer.print(cell);
        }
        printer.print(setting.reachable());
        printer.println();
      }
    } catch (FileAlreadyExistsException e) {
      throw notWritten("power.settings.there", path);
    } catch (IOException | InvalidPathException e) {
      throw notWritten("power.settings.not-written", path);
    }
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
    return separator == ',' ? plain : plain.replace('.', ',');
  }
}
