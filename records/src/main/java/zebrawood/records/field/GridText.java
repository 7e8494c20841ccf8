package zebrawood.records.field;

import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import zebrawood.field.FieldReadings.Point;
import zebrawood.measure.UnusableReading;
import zebrawood.records.file.CsvText;
import zebrawood.words.Message;

/**
 * A measured grid as text: x, y, measured x and measured y in millimetres, a mark a line, set apart
 * by commas, semicolons, tabs or blanks. A first line of words is taken for a header.
 */
public final class GridText {
  private static final int COLUMNS = 4;
  private static final int LONGEST = 4_000_000;

  private GridText() {}

  /**
   * @throws UnusableReading with the line that cannot be understood
   */
  public static List<Point> read(String text) {
    if (text.length() > LONGEST) {
      throw refused(Message.of("field.grid.long"));
    }
    CsvText start = CsvText.of(text);
    String separator = start.named() ? "" + start.separator() : separator(start.rows());
    CSVFormat format =
        CSVFormat.DEFAULT
            .builder()
            .setDelimiter(separator)
            .setIgnoreSurroundingSpaces(true)
            .setIgnoreEmptyLines(true)
            .get();
    String plain = separator.equals(" ") ? start.rows().strip().replaceAll("[ ]+", " ") : start.rows().strip();
    List<Point> points = new ArrayList<>();
    try (var parser = format.parse(new StringReader(plain))) {
      for (CSVRecord row : parser) {
        if (row.getRecordNumber() == 1 && header(row)) {
          continue;
        }
        points.add(point(row, separator));
      }
    } catch (IOException | IllegalStateException | java.io.UncheckedIOException e) {
      throw refused(Message.of("field.grid.no-list"));
    }
    return points;
  }

  private static String separator(String text) {
    return text.indexOf('\t') >= 0
        ? "\t"
        : text.indexOf(';') >= 0 ? ";" : text.indexOf(',') >= 0 ? "," : " ";
  }

  private static boolean header(CSVRecord row) {
    return row.stream().allMatch(cell -> cell.isEmpty() || Character.isLetter(cell.charAt(0)));
  }

  private static Point point(CSVRecord row, String separator) {
    long line = row.getRecordNumber();
    if (row.size() != COLUMNS) {
      throw refused(Message.of("field.grid.columns", line, row.size()));
    }
    double[] numbers = new double[COLUMNS];
    for (int i = 0; i < COLUMNS; i++) {
      String cell = separator.equals(",") ? row.get(i) : row.get(i).replace(',', '.');
      try {
        numbers[i] = Double.parseDouble(cell);
      } catch (NumberFormatException e) {
        throw refused(Message.of("field.grid.no-number", line, Message.quoted(row.get(i))));
      }
    }
    return new Point(numbers[0], numbers[1], numbers[2], numbers[3]);
  }

  /** As {@link #read} reads it. */
  public static String write(List<Point> points) {
    StringBuilder text = new StringBuilder("x,y,measured x,measured y\n");
    for (Point p : points) {
      text.append(Decimals.of(p.xMm()))
          .append(',')
          .append(Decimals.of(p.yMm()))
          .append(',')
          .append(Decimals.of(p.measuredXMm()))
          .append(',')
          .append(Decimals.of(p.measuredYMm()))
          .append('\n');
    }
    return text.toString();
  }

  private static UnusableReading refused(Message found) {
    return UnusableReading.of("points", found, Message.of("field.grid.accepted"));
  }
}
