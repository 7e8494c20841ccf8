package zebrawood.desktop.form;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.Unit;
import zebrawood.records.file.CsvText;
import zebrawood.words.Message;

/**
 * What is typed on a form as a CSV table (RFC 4180): a column a field, its unit behind its name in
 * the header, as in {@code reading.0.0 [mm]}; a row for what is typed now, and one for each time it
 * was recorded. Numbers are in the unit of their header, with a point.
 */
public final class TypedTable {
  /** A sheet's table is far smaller. */
  public static final int MOST_BYTES = 8_000_000;

  /** The first column: what a row is of. */
  private static final String ROW = "row";

  /** The row of what is typed now. */
  private static final String NOW = "now";

  private static final int MOST_COLUMNS = 5000;
  private static final int MOST_ROWS = 20_000;
  private static final Pattern HEADING = Pattern.compile("(.*?)\\s*(?:\\[(.*)])?", Pattern.DOTALL);

  private TypedTable() {}

  /**
   * A row.
   *
   * @param name what it is of
   * @param typed each field as it is kept, by its name
   */
  public record Row(String name, Map<String, String> typed) {}

  /**
   * @param scratch a form of this station that nobody sees
   * @param now what is typed
   * @param earlier what was typed for what is recorded
   */
  public static String text(StationForm scratch, Map<String, String> now, List<Row> earlier) {
    List<Row> rows = new ArrayList<>(earlier);
    rows.add(new Row(NOW, now));
    Map<String, String> headings = new LinkedHashMap<>();
    Set<String> seen = new LinkedHashSet<>();
    for (Row row : rows) {
      if (!seen.addAll(row.typed.keySet())) {
        continue; // each filling of a form is solved: only what is new is looked at
      }
      scratch.type(row.typed);
      row.typed.keySet().stream()
          .filter(name -> scratch.find(name).isPresent() || scratch.countsRows(name))
          .forEach(name -> headings.putIfAbsent(name, heading(scratch, name)));
    }
    StringWriter text = new StringWriter();
    try (CSVPrinter out = new CSVPrinter(text, CSVFormat.RFC4180)) {
      out.print(ROW);
      for (String heading : headings.values()) {
        out.print(heading);
      }
      out.println();
      for (Row row : rows) {
        out.print(CsvText.safe(row.name));
        for (String name : headings.keySet()) {
          out.print(CsvText.safe(row.typed.getOrDefault(name, "")));
        }
        out.println();
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return text.toString();
  }

  private static String heading(StationForm form, String name) {
    return form.find(name)
        .filter(QuantityField.class::isInstance)
        .map(f -> ((QuantityField) f).quantity().canonical().symbol())
        .filter(symbol -> !symbol.isEmpty())
        .map(symbol -> name + " [" + symbol + "]")
        .orElse(name);
  }

  /**
   * Understands a table that was written, or made up elsewhere under the same headings.
   *
   * @param scratch a form of this station that nobody sees; it is filled
   * @return each field as it is kept, by its name
   * @throws UnusableReading naming the column that is wrong
   */
  public static Map<String, String> read(String csv, StationForm scratch) {
    List<List<String>> rows = rows(csv);
    if (rows.isEmpty()) {
      throw refused("form.table.empty", "");
    }
    List<String> header = rows.getFirst();
    List<String> row = wanted(rows, header);
    Map<String, String> typed = new LinkedHashMap<>();
    Map<String, Optional<String>> units = new LinkedHashMap<>();
    Set<String> seen = new LinkedHashSet<>();
    for (int i = 0; i < header.size(); i++) {
      Matcher heading = HEADING.matcher(header.get(i).strip());
      heading.matches();
      String name = heading.group(1).strip();
      if (name.equals(ROW)) {
        continue;
      }
      if (!seen.add(name)) {
        throw refused("form.table.twice", header.get(i));
      }
      typed.put(name, i < row.size() ? CsvText.meant(row.get(i)).strip() : "");
      units.put(name, Optional.ofNullable(heading.group(2)).map(String::strip));
    }
    scratch.type(typed);
    typed.replaceAll((name, cell) -> inUnit(scratch, name, cell, units.get(name)));
    scratch.type(typed);
    typed.forEach((name, cell) -> check(scratch, name, cell));
    return typed;
  }

  private static List<List<String>> rows(String csv) {
    try {
      List<List<String>> rows = CsvText.of(csv).table(MOST_ROWS);
      if (rows.stream().anyMatch(r -> r.size() > MOST_COLUMNS)) {
        throw refused("form.table.large", "");
      }
      return rows;
    } catch (CsvText.TooLong e) {
      throw refused("form.table.large", "");
    } catch (IOException e) {
      throw refused("form.table.none", "");
    }
  }

  /** The row of what is typed now, or the only one. */
  private static List<String> wanted(List<List<String>> rows, List<String> header) {
    int at = header.stream().map(String::strip).toList().indexOf(ROW);
    List<List<String>> below = rows.subList(1, rows.size());
    List<List<String>> now =
        at < 0
            ? below
            : below.stream().filter(r -> at < r.size() && r.get(at).strip().equals(NOW)).toList();
    if (now.size() == 1) {
      return now.getFirst();
    }
    if (below.size() == 1) {
      return below.getFirst();
    }
    throw UnusableReading.of(
        ROW, Message.of("form.table.rows", below.size()), Message.of("form.table.one-row"));
  }

  private static String inUnit(StationForm form, String name, String cell, Optional<String> unit) {
    if (cell.isEmpty() || unit.isEmpty()) {
      return cell;
    }
    Optional<QuantityField> field =
        form.find(name).filter(QuantityField.class::isInstance).map(QuantityField.class::cast);
    if (field.isEmpty()) {
      return cell;
    }
    Optional<Unit> known = field.get().quantity().spelled(unit.get().toLowerCase(Locale.ROOT));
    if (known.isEmpty()) {
      throw UnusableReading.of(
          name,
          Message.quoted(unit.get()),
          Message.of(
              "form.table.units",
              Message.verbatim(
                  field.get().quantity().units().stream()
                      .map(Unit::symbol)
                      .collect(Collectors.joining(", ")))));
    }
    boolean bare = cell.chars().noneMatch(Character::isLetter);
    return bare && !field.get().quantity().isCanonical(known.get())
        ? cell + " " + known.get().symbol()
        : cell;
  }

  private static void check(StationForm form, String name, String cell) {
    Optional<Field> field = form.find(name);
    if (field.isEmpty()) {
      if (form.countsRows(name)) {
        return;
      }
      throw UnusableReading.of(
          name, Message.of("form.table.no-field"), Message.of("form.table.columns"));
    }
    List<String> accepted =
        switch (field.get()) {
          case ChoiceField<?> choice -> choice.offered().stream().map(Enum::name).toList();
          case ProofField proof ->
              Stream.of(ProofField.Answer.YES, ProofField.Answer.NO).map(Enum::name).toList();
          default -> List.of();
        };
    if (!accepted.isEmpty() && !cell.isEmpty() && !accepted.contains(cell)) {
      throw UnusableReading.of(
          name,
          Message.quoted(cell),
          Message.of("form.table.one-of", Message.verbatim(String.join(", ", accepted))));
    }
    field
        .get()
        .problem()
        .ifPresent(problem -> {
          throw UnusableReading.of(name, Message.quoted(cell), problem);
        });
  }

  private static UnusableReading refused(String why, String column) {
    return UnusableReading.of(
        column.isEmpty() ? ROW : column, Message.of(why), Message.of("form.table.accepted"));
  }
}
