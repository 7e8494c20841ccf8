package zebrawood.records.file;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * What stands at the start of a CSV text as spreadsheets write it, taken off: a mark of the order
 * of bytes, and a line that names the separator.
 *
 * @param rows the text behind it
 * @param separator as it is named, else as the first row has it
 * @param named whether it is named
 * @param quoted whether the first row's cells are quoted
 */
public record CsvText(String rows, char separator, boolean named, boolean quoted) {
  private static final char MARK = '\uFEFF';
  private static final Pattern NAMED = Pattern.compile("\"?sep=(.)\"?\\h*(?:\\R|$)");

  /** A cell that a spreadsheet would take for a formula, where it is no number. */
  private static final Pattern FORMULA = Pattern.compile("[=+\\-@\\t\\r].*", Pattern.DOTALL);

  private static final Pattern NUMBER = Pattern.compile("[+-]?[0-9.,]+(?:[eE][+-]?[0-9]+)?");

  /** What is put before such a cell, and taken off when it is read. */
  private static final String NO_FORMULA = "'";

  public static CsvText of(String text) {
    String plain = !text.isEmpty() && text.charAt(0) == MARK ? text.substring(1) : text;
    Matcher named = NAMED.matcher(plain);
    boolean told = named.lookingAt();
    String rows = told ? plain.substring(named.end()) : plain;
    String first = rows.lines().findFirst().orElse("");
    char separator = told ? named.group(1).charAt(0) : separator(unquoted(first));
    return new CsvText(rows, separator, told, first.startsWith("\""));
  }

  /** A separator inside of quotes is none. */
  private static String unquoted(String row) {
    return row.replaceAll("\"[^\"]*\"", "");
  }

  private static char separator(String row) {
    return row.indexOf('\t') >= 0 ? '\t' : row.indexOf(';') >= 0 ? ';' : ',';
  }

  /** There are more rows than what it is taken for ever has. */
  public static final class TooLong extends IOException {
    private static final long serialVersionUID = 1;
  }

  /**
   * All rows as they stand, the header first; empty lines are passed over.
   *
   * @param most rows below the header
   * @throws TooLong where there are more
   * @throws IOException where it is no CSV
   */
  public List<List<String>> table(int most) throws IOException {
    CSVFormat format =
        CSVFormat.RFC4180.builder().setDelimiter(separator).setIgnoreEmptyLines(true).get();
    List<List<String>> table = new ArrayList<>();
    try (CSVParser parser = format.parse(new StringReader(rows))) {
      for (CSVRecord row : parser) {
        if (table.size() > most) {
          throw new TooLong();
        }
        table.add(row.stream().toList());
      }
    } catch (IllegalStateException | UncheckedIOException e) {
      throw new IOException(e);
    }
    return table;
  }

  /** A cell as it is written, so that no spreadsheet runs it. */
  public static String safe(String cell) {
    return FORMULA.matcher(cell).matches() && !NUMBER.matcher(cell).matches()
        ? NO_FORMULA + cell
        : cell;
  }

  /** A cell as it was meant. */
  public static String meant(String cell) {
    return cell.startsWith(NO_FORMULA) && FORMULA.matcher(cell.substring(1)).matches()
        ? cell.substring(1)
        : cell;
  }
}
