package zebrawood.desktop.bed;

import java.util.List;
import javafx.css.PseudoClass;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.sheet.FormPane;
import zebrawood.desktop.sheet.NodeView;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.sheet.TypedControl;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.text.Text;

/** The grid of readings as the bed is seen from the front: the rear row at the top. */
final class BedGrid {
  private static final PseudoClass MANY = PseudoClass.getPseudoClass("many");
  private static final double NARROWEST_CELL = 46;
  private static final int FEW_COLUMNS = 5;

  private BedGrid() {}

  private static Node of(BedModel work, FormPane pane) {
    List<QuantityField> columns = work.columns();
    List<QuantityField> rows = work.rows();
    int deep = rows.size();
    GridPane grid = new GridPane();
    grid.getStyleClass().add("bed-grid");
    grid.setId("bed-grid");
    grid.getColumnConstraints().add(new ColumnConstraints(54));
    for (int i = 0; i < columns.size(); i++) {
      ColumnConstraints cell = new ColumnConstraints();
      cell.setMinWidth(NARROWEST_CELL);
      cell.setPrefWidth(NARROWEST_CELL);
      cell.setHgrow(Priority.ALWAYS);
      grid.getColumnConstraints().add(cell);
    }
    grid.pseudoClassStateChanged(MANY, columns.size() >= FEW_COLUMNS);
    for (BedPlace place : work.places()) {
      Control field = pane.control(place.reading());
      field.setId("reading-" + place.column() + "-" + place.row());
      field.getStyleClass().add("reading-field");
      field
          .focusedProperty()
          .subscribe(f -> {
            if (f) {
              scrollTo(field);
            }
          });
      grid.add(field, place.column() + 1, deep - place.row());
    }
    for (int i = 0; i < columns.size(); i++) {
      grid.add(position(columns.get(i)), i + 1, 0);
    }
    for (int i = 0; i < deep; i++) {
      grid.add(position(rows.get(i)), 0, deep - i);
    }
    grid.add(FormPane.soft(Text.of("bed.grid.corner")), 0, 0);
    return grid;
  }

  /** Positions are seldom typed: Enter passes them over. */
  private static TypedControl position(QuantityField entry) {
    TypedControl field = new TypedControl(entry);
    field.getStyleClass().add("position-field");
    return field;
  }

  /** How many places there are, across and deep. */
  static NodeView size(BedModel model) {
    return pane -> sizeBoxes(model);
  }

  private static HBox sizeBoxes(BedModel model) {
    ComboBox<Integer> across = count("across");
    ComboBox<Integer> deep = count("deep");
    model
        .places
        .rowsProperty()
        .subscribe(p -> {
          across.setValue(model.columns.size());
          deep.setValue(model.rows.size());
        });
    across.setOnAction(e -> choose(model, across, deep));
    deep.setOnAction(e -> choose(model, across, deep));
    return new HBox(4, new Label(Text.of("bed.places")), across, new Label("×"), deep);
  }

  private static void choose(BedModel model, ComboBox<Integer> across, ComboBox<Integer> deep) {
    boolean asked =
        across.getValue() != model.columns.size() || deep.getValue() != model.rows.size();
    // While the grid is laid out anew the boxes follow it, and ask for nothing.
    if (asked && model.places.size() == model.columns.size() * model.rows.size()) {
      model.setGrid(across.getValue(), deep.getValue());
    }
  }

  private static ComboBox<Integer> count(String what) {
    ComboBox<Integer> box = new ComboBox<>();
    box.setId("bed-" + what);
    for (int i = 2; i <= BedModel.MOST_ACROSS; i++) {
      box.getItems().add(i);
    }
    box.setAccessibleText(Text.of("bed.places." + what));
    box.setPrefWidth(66);
    return box;
  }

  /** As wide as there is room; a grid of many columns scrolls. */
  static NodeView scrolling(BedModel model) {
    NodeView grid = pane -> of(model, pane);
    return pane ->
        scrolling(
            pane.make(
                new Part.Redrawn(
                    model.places.rowsProperty(), () -> List.of(new Part.CustomNode(grid)))));
  }

  private static Node scrolling(Node made) {
    Region grid = (Region) made;
    ScrollPane scroll = SheetFrame.scrolling(grid);
    grid.heightProperty().subscribe(h -> scroll.setPrefViewportHeight(h.doubleValue()));
    scroll.setMinHeight(Region.USE_PREF_SIZE);
    return scroll;
  }

  private static void scrollTo(Node field) {
    Node outer = field;
    while (outer != null && !(outer instanceof ScrollPane)) {
      outer = outer.getParent();
    }
    if (outer instanceof ScrollPane scroll) {
      scrollTo(scroll, field);
    }
  }

  private static void scrollTo(ScrollPane scroll, Node field) {
    Bounds seen = scroll.getViewportBounds();
    double hidden = scroll.getContent().getLayoutBounds().getWidth() - seen.getWidth();
    if (hidden > 0) {
      double wanted = field.getBoundsInParent().getCenterX() - seen.getWidth() / 2;
      scroll.setHvalue(Math.clamp(wanted / hidden, 0, 1));
    }
  }
}
