package zebrawood.records.configuration;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import zebrawood.controller.NamedFields;

/**
 * A table of settings with a key in its first column, a value in one of the others, and words
 * beside them. The column of the values is the one with the most numbers; of several the last. A
 * first line without a number is its headings.
 */
final class SettingsInColumns {
  private static final List<Character> BETWEEN = List.of('\t', ';', ',', '|');
  private static final int LEAST_COLUMNS = 3;
  private static final int MOST_COLUMNS = 12;
  private static final int LEAST_ROWS = 2;
  private static final int MOST_ROWS = 5_000;
  private static final int LONGEST = 200;

  private SettingsInColumns() {}

  /** Empty where it is no such table: every line has as many columns, every key is there once. */
  static Optional<NamedFields> read(String text) {
    return BETWEEN.stream()
        .map(between -> rows(text, between))
        .filter(SettingsInColumns::isTable)
        .findFirst()
        .flatMap(SettingsInColumns::fields);
  }

  private static List<List<String>> rows(String text, char between) {
    CSVFormat format =
        CSVFormat.DEFAULT.builder().setDelimiter(between).setIgnoreEmptyLines(true).get();
    try (CSVParser parser = CSVParser.parse(text, format)) {
      List<List<String>> rows =
          parser.stream().limit(MOST_ROWS + 1).map(CSVRecord::toList).toList();
      int columns = rows.stream().mapToInt(List::size).max().orElse(0);
      return rows.stream().map(r -> padded(r, columns)).toList();
    } catch (IOException | UncheckedIOException | IllegalStateException e) {
      return List.of();
    }
  }

  /** What is empty at a line's end is lost where it is pasted; two columns are no table. */
  private static List<String> padded(List<String> row, int columns) {
    List<String> whole = new ArrayList<>(row);
    while (row.size() >= LEAST_COLUMNS && whole.size() < columns) {
      whole.add("");
    }
    return whole;
  }

  private static boolean isTable(List<List<String>> rows) {
    if (rows.size() < LEAST_ROWS || rows.size() > MOST_ROWS) {
      return false;
    }
    int columns = rows.getFirst().size();
    return columns >= LEAST_COLUMNS
        && columns <= MOST_COLUMNS
        && rows.stream()
            .allMatch(r ->
                r.size() == columns
                    && !r.getFirst().isBlank()
                    && r.stream().allMatch(c -> c.length() <= LONGEST));
  }

  private static Optional<NamedFields> fields(List<List<String>> rows) {
    boolean headed = rows.getFirst().stream().noneMatch(SettingsInColumns::isNumber);
    List<List<String>> body = headed ? rows.subList(1, rows.size()) : rows;
    int value =
        IntStream.range(1, body.getFirst().size())
            .boxed()
            .reduce((a, b) -> numbers(body, b) >= numbers(body, a) ? b : a)
            .orElseThrow();
    SequencedMap<String, String> values = new LinkedHashMap<>();
    Map<String, String> beside = new LinkedHashMap<>();
    Set<String> keys = new HashSet<>();
    for (List<String> row : body) {
      String key = row.getFirst().strip().replace('=', '-');
      if (!keys.add(key)) {
        return Optional.empty();
      }
      values.put(key, row.get(value).strip());
      beside.put(
          key,
          IntStream.range(1, row.size())
              .filter(c -> c != value)
              .mapToObj(row::get)
              .map(String::strip)
              .filter(words -> !words.isEmpty())
              .collect(Collectors.joining(" ")));
    }
    return numbers(body, value) == 0
        ? Optional.empty()
        : Optional.of(new NamedFields(values, beside));
  }

  private static long numbers(List<List<String>> rows, int column) {
    return rows.stream().filter(r -> isNumber(r.get(column))).count();
  }

  private static boolean isNumber(String text) {
    return text.strip().matches("[+\\-]?\\d+(?:[.]\\d+)?");
  }
}
