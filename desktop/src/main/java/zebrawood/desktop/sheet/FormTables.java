package zebrawood.desktop.sheet;

import java.util.ArrayList;
import java.util.List;
import javafx.beans.binding.Bindings;
import javafx.scene.Node;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.text.Text;
import zebrawood.words.Message;

/** Tables of a form: headings that carry the units, and narrow fields below them. */
final class FormTables {
  private static final int WIDE_COLUMNS = 2;
  private static final double WIDE = 74;
  private static final double NARROW = 58;

  private FormTables() {}

  static Node table(FormPane pane, Part.Table table) {
    GridPane grid = new GridPane(4, 4);
    grid.getStyleClass().add("bed-grid");
    boolean named = table.rows().stream().anyMatch(r -> !r.words().isEmpty());
    if (named) {
      ColumnConstraints wide = new ColumnConstraints();
      wide.setHgrow(Priority.ALWAYS);
      grid.getColumnConstraints().add(wide);
    }
    int most = table.rows().stream().mapToInt(r -> r.fields().size()).max().orElse(0);
    for (int i = 0; i < most; i++) {
      grid.getColumnConstraints().add(new ColumnConstraints(most > WIDE_COLUMNS ? NARROW : WIDE));
    }
    // Where rows differ in their units, each has its own behind its name.
    boolean mixed = named && table.rows().stream().map(FormTables::symbol).distinct().count() > 1;
    grid.addRow(
        0,
        headings(
                table.headings(),
                mixed ? List.of() : table.rows().getFirst().fields(),
                named ? 1 : 0)
            .toArray(Node[]::new));
    for (Part.TableRow row : table.rows()) {
      List<Node> nodes = new ArrayList<>();
      if (named) {
        WrappedLabel name = new WrappedLabel(Text.words().line(row.words()));
        if (mixed) {
          bindUnit(name, row.words(), row.fields().getFirst());
        }
        nodes.add(name);
      }
      for (Field field : row.fields()) {
        Control control = pane.control(field);
        control.getStyleClass().add("reading-field");
        nodes.add(control);
      }
      grid.addRow(grid.getRowCount(), nodes.toArray(Node[]::new));
    }
    return grid;
  }

  /**
   * @param below the fields of the first row
   * @param named how many columns stand before them
   */
  static List<Node> headings(List<Message> words, List<? extends Field> below, int named) {
    List<Node> headings = new ArrayList<>();
    for (int i = 0; i < words.size(); i++) {
      int at = i - named;
      headings.add(
          at >= 0 && at < below.size()
              ? heading(words.get(i), below.get(at))
              : FormPane.soft(Text.of(words.get(i))));
    }
    return headings;
  }

  /** A column's heading with the unit that is typed below it. */
  private static Label heading(Message words, Field below) {
    Label heading = FormPane.soft(Text.of(words));
    bindUnit(heading, words, below);
    return heading;
  }

  private static String symbol(Part.TableRow row) {
    return row.fields().getFirst() instanceof QuantityField field ? field.symbol() : "";
  }

  private static void bindUnit(Label label, Message words, Field below) {
    if (below instanceof QuantityField field && !words.isEmpty()) {
      label
          .textProperty()
          .bind(
              Bindings.createStringBinding(
                  () ->
                      field.symbol().isEmpty()
                          ? Text.of(words)
                          : Text.of("words.comma", words, field.symbol()),
                  field.shownUnitProperty()));
    }
  }
}
