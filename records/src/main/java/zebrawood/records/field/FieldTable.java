package zebrawood.records.field;

import java.io.IOException;
import java.io.Writer;
import java.nio.file.InvalidPathException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import zebrawood.field.CommandTable;
import zebrawood.field.FieldFinding.Row;
import zebrawood.field.FieldReadings;
import zebrawood.measure.UnusableReading;
import zebrawood.records.file.TableFiles;
import zebrawood.records.file.WholeFile;
import zebrawood.records.json.RecordJson;
import zebrawood.words.Message;

/**
 * A field's table as files: CSV and JSON, described in docs/formats.md. To hit x, y, command what
 * stands beside it; row by row from the lowest y.
 */
public record FieldTable(String format, double fieldMm, int size, List<Row> rows) {
  private static final String FORMAT = "field table 1";
  private static final int MOST_BYTES = 60_000_000;

  /** Of the field. */
  private static final double OFF_GRID = 1e-6;

  public static FieldTable of(double fieldMm, List<Row> rows) {
    return new FieldTable(FORMAT, fieldMm, (int) Math.round(Math.sqrt(rows.size())), rows);
  }

  /** Nothing else is a table: its rows lie on its grid, in order. */
  private Optional<Message> wrong() {
    if (!format.equals(FORMAT)) {
      return Optional.of(Message.of("field.loaded.format", Message.quoted(format)));
    }
    boolean whole =
        fieldMm > 0
            && size >= 2
            && size <= FieldReadings.LARGEST_TABLE
            && rows.size() == size * size;
    if (!whole) {
      return Optional.of(Message.of("field.loaded.rows", rows.size(), size));
    }
    for (int i = 0; i < rows.size(); i++) {
      double x = fieldMm * ((double) (i % size) / (size - 1) - 0.5);
      double y = fieldMm * ((double) (i / size) / (size - 1) - 0.5);
      if (Math.hypot(rows.get(i).xMm() - x, rows.get(i).yMm() - y) > OFF_GRID * fieldMm) {
        return Optional.of(Message.of("field.loaded.place", i + 1));
      }
    }
    return Optional.empty();
  }

  /**
   * Reads one that was written here, out of its JSON.
   *
   * @param name as it was written, with or without ending
   * @throws UnusableReading when there is none, or it is no such table
   */
  public static FieldTable read(String name) {
    String path = TableFiles.plain(name) + ".json";
    FieldTable table;
    try {
      Path file = Path.of(path);
      table = RecordJson.read(WholeFile.readText(file, MOST_BYTES), FieldTable.class);
    } catch (NoSuchFileException e) {
      throw loaded(path, Message.of("field.loaded.none"));
    } catch (WholeFile.TooLarge e) {
      throw loaded(path, Message.of("field.loaded.long"));
    } catch (IOException | InvalidPathException e) {
      throw loaded(path, Message.of("field.loaded.unread"));
    }
    Optional<Message> wrong = table.wrong();
    if (wrong.isPresent()) {
      throw loaded(path, wrong.get());
    }
    return table;
  }

  private static UnusableReading loaded(String path, Message why) {
    return UnusableReading.of(
        "loadedTable",
        Message.of("field.loaded.found", Message.quoted(path), why),
        Message.of("field.loaded.accepted"));
  }

  /** Marks were burnt through this table: theirs, joined to it. */
  public List<Row> joined(List<Row> next) {
    return new CommandTable(rows, fieldMm).joined(next);
  }

  /**
   * Writes both files, never over one that is there.
   *
   * @param name a path without ending; an ending of either kind is taken off
   */
  public void write(String name) {
    TableFiles.write(name, this::csv, out -> out.write(RecordJson.write(this) + "\n"));
  }

  private void csv(Writer out) throws IOException {
    CSVPrinter printer = new CSVPrinter(out, CSVFormat.RFC4180);
    printer.printRecord("xMm", "yMm", "commandXMm", "commandYMm");
    for (Row row : rows) {
      printer.printRecord(
          Decimals.of(row.xMm()),
          Decimals.of(row.yMm()),
          Decimals.of(row.commandXMm()),
          Decimals.of(row.commandYMm()));
    }
    printer.flush();
  }
}
