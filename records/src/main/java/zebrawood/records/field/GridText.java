package zebrawood.records.field;

import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import zebrawood.field.FieldReadings.Point;
import zebrawood.measure.UnusableReading;
import zebrawood.records.file.CsvText;
import zebrawood.words.Message;

/**
 * A measured grid as text: x, y, measured x and measured y in millimetres, a mark a line, set apart
 * by commas, semicolons, tabs or blanks. A first line of words is taken for a header; where it
 * names inches, the numbers are in inches.
 */
public final class GridText {
  private static final int COLUMNS = 4;
  private static final int LONGEST = 4_000_000;
  private static final double MM_PER_INCH = 25.4;
  private static final Pattern INCHES = Pattern.compile("(?i)\\b(?:in|inch|inches)\\b");
  private static final List<String> HEADER_IN_INCHES =
      List.of("x in", "y in", "measured x in", "measured y in");

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
    String plain =
        separator.equals(" ") ? start.rows().strip().replaceAll("[ ]+", " ") : start.rows().strip();
    List<Point> points = new ArrayList<>();
    double mm = 1;
    try (var parser = format.parse(new StringReader(plain))) {
      for (CSVRecord row : parser) {
        if (row.getRecordNumber() == 1 && header(row)) {
          mm = row.stream().anyMatch(cell -> INCHES.matcher(cell).find()) ? MM_PER_INCH : 1;
          continue;
        }
        points.add(point(row, separator, mm));
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

  private static Point point(CSVRecord row, String separator, double mm) {
    long line = row.getRecordNumber();
    if (row.size() != COLUMNS) {
      throw refused(Message.of("field.grid.columns", line, row.size()));
    }
    double[] numbers = new double[COLUMNS];
    for (int i = 0; i < COLUMNS; i++) {
      String cell = separator.equals(",") ? row.get(i) : row.get(i).replace(',', '.');
      try {
        numbers[i] = Double.parseDouble(cell) * mm;
      } catch (NumberFormatException e) {
        throw refused(Message.of("field.grid.no-number", line, Message.quoted(row.get(i))));
      }
    }
    return new Point(numbers[0], numbers[1], numbers[2], numbers[3]);
  }

  /** The text with a header that says inches, where it has none that says a unit. */
  public static String inInches(String text) {
    String plain = CsvText.of(text).rows().strip();
    String unquoted = plain.replace("\"", "");
    if (unquoted.isEmpty() || Character.isLetter(unquoted.charAt(0))) {
      return text;
    }
    String between = separator(plain);
    return String.join(between.equals(" ") ? "," : between, HEADER_IN_INCHES)
        + "\n"
        + (between.equals(" ") ? plain.replaceAll("(?m)[ ]+", ",") : plain);
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
