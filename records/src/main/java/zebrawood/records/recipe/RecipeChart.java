package zebrawood.records.recipe;

import java.io.IOException;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.slf4j.LoggerFactory;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.Quantity;
import zebrawood.quantity.TypedQuantity;
import zebrawood.quantity.Unit;
import zebrawood.recipe.Recipe;
import zebrawood.recipe.Recipe.FocusFrom;
import zebrawood.recipe.Recipe.Gas;
import zebrawood.recipe.Recipe.Nozzle;
import zebrawood.recipe.Recipe.Origin;
import zebrawood.recipe.Recipe.Stage;
import zebrawood.records.file.CsvText;
import zebrawood.records.file.WholeFile;
import zebrawood.words.Message;

/**
 * A chart of recipes as CSV (RFC 4180): a header with the columns {@code sheet}, {@code
 * thicknessMm}, {@code gas}, {@code pressureBar}, {@code nozzleMm}, {@code nozzle}, {@code
 * standOffMm}, {@code focusMm}, {@code focusFrom}, {@code powerPercent}, {@code speedMmS}, and
 * where there are {@code frequencyKhz}, {@code dutyPercent}, {@code coolingS} and {@code piercing}
 * ({@code 0.3 s 40 %; 0.5 s 80 %}), in any order. What comes from a chart is copied.
 */
public final class RecipeChart {
  private static final int MOST_BYTES = 4_000_000;
  private static final int MOST_ROWS = 20_000;
  private static final double SAME_MM = 0.01;

  private final List<String> header;
  private final List<List<String>> rows;

  private RecipeChart(List<String> header, List<List<String>> rows) {
    this.header = header;
    this.rows = rows;
  }

  /** A recipe, and the row of the chart in which it stands, the first below the header being 1. */
  public record Row(int number, Recipe recipe) {}

  /**
   * @throws UnusableReading where there is no such table in the file
   */
  public static RecipeChart read(String path) {
    try {
      List<List<String>> rows =
          CsvText.of(WholeFile.readText(Path.of(path), MOST_BYTES)).table(MOST_ROWS).stream()
              .map(r -> r.stream().map(CsvText::meant).map(String::strip).toList())
              .toList();
      if (!rows.isEmpty()) {
        return new RecipeChart(rows.getFirst(), rows.subList(1, rows.size()));
      }
    } catch (IOException | InvalidPathException e) {
      LoggerFactory.getLogger(RecipeChart.class).debug("no chart", e);
    }
    throw refused(Message.of("recipe.chart.not-read", Message.quoted(path)));
  }

  private static UnusableReading refused(Message found) {
    return UnusableReading.of("chart", found, Message.of("recipe.chart.accepts"));
  }

  /**
   * The row of a sheet with its thickness.
   *
   * @throws UnusableReading where there is none, or one of its figures cannot be used
   */
  public Row of(String sheet, double thicknessMm) {
    for (int i = 0; i < rows.size(); i++) {
      boolean same =
          cell(i, "sheet").toLowerCase(Locale.ROOT).equals(sheet.strip().toLowerCase(Locale.ROOT))
              && Math.abs(number(i, "thicknessMm") - thicknessMm) < SAME_MM;
      if (same) {
        return new Row(i + 1, recipe(i));
      }
    }
    throw refused(
        Message.of("recipe.chart.no-row", Message.quoted(sheet), Message.number(thicknessMm)));
  }

  private Recipe recipe(int row) {
    return new Recipe(
        cell(row, "sheet"),
        number(row, "thicknessMm"),
        constant(Gas.class, row, "gas"),
        number(row, "pressureBar"),
        number(row, "nozzleMm"),
        constant(Nozzle.class, row, "nozzle"),
        number(row, "standOffMm"),
        number(row, "focusMm"),
        constant(FocusFrom.class, row, "focusFrom"),
        number(row, "powerPercent"),
        number(row, "speedMmS"),
        optional(row, "frequencyKhz"),
        optional(row, "dutyPercent"),
        stages(row),
        optional(row, "coolingS"),
        Origin.COPIED);
  }

  private Optional<Integer> column(String name) {
    for (int i = 0; i < header.size(); i++) {
      if (header.get(i).equalsIgnoreCase(name)) {
        return Optional.of(i);
      }
    }
    return Optional.empty();
  }

  private String cell(int row, String name) {
    int at =
        column(name)
            .orElseThrow(() -> refused(Message.of("recipe.chart.no-column", Message.quoted(name))));
    return at < rows.get(row).size() ? rows.get(row).get(at) : "";
  }

  private double number(int row, String name) {
    return parsed(cell(row, name)).orElseThrow(() -> bad(row, name));
  }

  private static Optional<Double> parsed(String text) {
    return TypedQuantity.read(text, Quantity.NUMBER, Quantity.NUMBER.canonical())
            instanceof TypedQuantity.Understood(double v, Unit unit, boolean plainly)
        ? Optional.of(v)
        : Optional.empty();
  }

  private UnusableReading bad(int row, String name) {
    return refused(
        Message.of(
            "recipe.chart.bad", Message.quoted(cell(row, name)), row + 1, Message.quoted(name)));
  }

  private OptionalDouble optional(int row, String name) {
    return column(name).isEmpty() || cell(row, name).isEmpty()
        ? OptionalDouble.empty()
        : OptionalDouble.of(number(row, name));
  }

  private <E extends Enum<E>> E constant(Class<E> type, int row, String name) {
    String wanted = cell(row, name).toUpperCase(Locale.ROOT).replaceAll("[^A-Z]+", "_");
    for (E constant : type.getEnumConstants()) {
      if (constant.name().equals(wanted)) {
        return constant;
      }
    }
    throw bad(row, name);
  }

  private List<Stage> stages(int row) {
    String name = "piercing";
    if (column(name).isEmpty() || cell(row, name).isEmpty()) {
      return List.of();
    }
    List<Stage> stages = new ArrayList<>();
    for (String part : cell(row, name).split(";")) {
      String[] figures = part.replace("s", " ").replace("%", " ").strip().split("\\s+");
      if (figures.length != 2) {
        throw bad(row, name);
      }
      stages.add(
          new Stage(
              parsed(figures[0]).orElseThrow(() -> bad(row, name)),
              parsed(figures[1]).orElseThrow(() -> bad(row, name))));
    }
    return stages;
  }
}
