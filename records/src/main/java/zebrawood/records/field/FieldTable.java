package zebrawood.records.field;

import java.io.BufferedWriter;
import java.io.IOException;
import java.io.Writer;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import zebrawood.field.FieldFinding.Row;
import zebrawood.measure.UnusableReading;
import zebrawood.records.json.RecordJson;
import zebrawood.words.Message;

/**
 * A field's table as files: CSV and JSON, described in docs/formats.md. To hit x, y, command what
 * stands beside it; row by row from the lowest y.
 */
public record FieldTable(String format, double fieldMm, int size, List<Row> rows) {
  private static final String FORMAT = "field table 1";

  public static FieldTable of(double fieldMm, List<Row> rows) {
    return new FieldTable(FORMAT, fieldMm, (int) Math.round(Math.sqrt(rows.size())), rows);
  }

  /**
   * Writes both files, never over one that is there.
   *
   * @param name a path without ending; an ending of either kind is taken off
   */
  public void write(String name) {
    String plain = name.strip().replaceFirst("\\.(csv|json)$", "");
    try {
      Path csv = Path.of(plain + ".csv");
      Path json = Path.of(plain + ".json");
      if (Files.exists(csv) || Files.exists(json)) {
        throw new FileAlreadyExistsException(plain);
      }
      try (BufferedWriter out = Files.newBufferedWriter(csv, StandardOpenOption.CREATE_NEW)) {
        csv(out);
      }
      Files.writeString(json, RecordJson.write(this) + "\n", StandardOpenOption.CREATE_NEW);
    } catch (FileAlreadyExistsException e) {
      throw refused("field.file.there", plain);
    } catch (IOException | InvalidPathException e) {
      throw refused("field.file.not-written", plain);
    }
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

  static UnusableReading refused(String why, String path) {
    return UnusableReading.of(
        "file", Message.of(why, Message.quoted(path)), Message.of("field.file.accepted"));
  }
}
