package zebrawood.desktop.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import javafx.beans.binding.Bindings;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Control;
import javafx.scene.layout.GridPane;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.text.Text;

/** A group's rows with a button for another one, and one behind each row to take it away. */
final class GrowingTable extends HeightCachingBox {
  private static final int NARROW_COLUMNS = 5;
  private static final int WORD_COLUMNS = 7;
  private static final double CHOICE_WIDTH = 104;

  private final FormPane pane;
  private final Part.GrowingRows part;

  GrowingTable(FormPane pane, Part.GrowingRows part) {
    super(4);
    this.pane = pane;
    this.part = part;
    Group<?> group = part.group();
    Button another = new Button(Text.of(part.another()));
    another.setId(
        pane.station() + "-" + part.another().key().replaceAll("^[^.]*\\.", "").replace('.', '-'));
    another.setOnAction(e -> grow());
    another
        .disableProperty()
        .bind(Bindings.createBooleanBinding(() -> !group.canGrow(), group.rowsProperty()));
    group
        .rowsProperty()
        .subscribe(rows ->
            pane.enterOrder().replacing(this, () -> getChildren().setAll(rowsNow(), another)));
  }

  private void grow() {
    int before = pane.enterOrder().size();
    part.group().grow();
    if (pane.enterOrder().size() > before) {
      shown(part.group().size() - 1).findFirst().ifPresent(EnterOrder::focus);
    }
  }

  private Stream<Control> shown(int row) {
    List<Field> its = part.group().fieldsOf(row);
    return pane.enterOrder().all().stream()
        .filter(c -> FormPane.fieldOf(c).filter(its::contains).isPresent());
  }

  private GridPane rowsNow() {
    Group<?> group = part.group();
    GridPane table = new GridPane(3, 3);
    table.getStyleClass().add("dense");
    table.addRow(
        0, FormTables.headings(part.headings(), group.fieldsOf(0), 0).toArray(Node[]::new));
    for (int i = 0; i < group.size(); i++) {
      int row = i;
      List<Node> nodes = new ArrayList<>();
      // What has no heading is of no meaning here.
      for (Field field : group.fieldsOf(i).stream().limit(part.headings().size()).toList()) {
        Control control = pane.control(field);
        if (control instanceof TypedControl text) {
          text.setPrefColumnCount(field instanceof WordsField ? WORD_COLUMNS : NARROW_COLUMNS);
        } else {
          control.setPrefWidth(CHOICE_WIDTH);
        }
        nodes.add(control);
      }
      if (group.canShrink()) {
        Button remove = new Button("×");
        remove.setAccessibleText(Text.of("form.remove", i + 1));
        remove.setOnAction(e -> group.remove(row));
        nodes.add(remove);
      }
      table.addRow(table.getRowCount(), nodes.toArray(Node[]::new));
    }
    return table;
  }
}
