package zebrawood.desktop.recipe;

import java.util.function.Consumer;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.recipe.Recipe;
import zebrawood.records.recipe.RecipeChart;
import zebrawood.words.Message;

/** A sheet's recipe taken from a chart: it counts as copied. */
final class ChartSection extends Section<Void, Void> {
  private final WordsField file;
  private final WordsField sheet;
  private final QuantityField thickness;
  private final Consumer<Recipe> taken;

  ChartSection(
      StationForm form, WordsField sheet, QuantityField thickness, Consumer<Recipe> taken) {
    super(Message.of("recipe.chart.why"));
    this.sheet = sheet;
    this.thickness = thickness;
    this.taken = taken;
    file = form.words("chart");
  }

  @Override
  public Stream<Field> fields() {
    return Stream.empty();
  }

  @Override
  public Part part() {
    return Part.fold(
        "recipe.chart",
        said(),
        new Part.FileName(file, "recipe-chart-choose"),
        new Part.Press("recipe-chart-take", Message.of("recipe.chart.take"), this::take));
  }

  private void take() {
    if (sheet.isEmpty() || thickness.value().isEmpty()) {
      say(Message.of("recipe.chart.which"));
      return;
    }
    String of = sheet.text();
    double mm = thickness.number();
    if (file.isEmpty()) {
      say(Message.of("field.file.no-name"));
      return;
    }
    String name = file.text().strip();
    station()
        .make(
            progress -> RecipeChart.read(name).of(of, mm),
            row -> {
              taken.accept(row.recipe());
              say(Message.of("recipe.chart.taken", row.number()));
            });
  }
}
