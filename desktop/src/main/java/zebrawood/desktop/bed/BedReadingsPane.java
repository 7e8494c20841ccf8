package zebrawood.desktop.bed;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.TitledPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.bed.Clockwise;
import zebrawood.desktop.fields.Choice;
import zebrawood.desktop.fields.EntryField;
import zebrawood.desktop.fields.LengthEntry;
import zebrawood.desktop.sheet.MessageLine;
import zebrawood.desktop.sheet.PracticeBar;
import zebrawood.desktop.sheet.Prose;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.sheet.SteadyBox;
import zebrawood.desktop.text.Text;

/** The left column of the bed sheet: how it is read, and the readings laid out like the bed. */
final class BedReadingsPane extends SteadyBox {
  private static final int NARROWEST_CELL = 62;

  /** So many columns go beside one another without scrolling. */
  private static final int FEW_COLUMNS = 4;

  private static final PseudoClass MANY = PseudoClass.getPseudoClass("many");

  private final BedModel model;
  private final Runnable afterLast;
  private final GridPane grid = new GridPane();
  private final MessageLine message = new MessageLine("reading-message");
  private final Label hint = new Prose("", "soft");
  private final PracticeBar practiceBar;
  private final TitledPane supportsPane = new TitledPane();
  private final ScrollPane gridScroll = SheetFrame.scrolling(grid);
  private List<EntryField> cells = List.of();
  private boolean following;

  /**
   * @param afterLast what Enter in the last reading does
   */
  BedReadingsPane(BedModel model, BedPractice practice, Runnable afterLast) {
    this.model = model;
    this.afterLast = afterLast;
    getStyleClass().add("readings");
    grid.getStyleClass().add("bed-grid");
    grid.setId("bed-grid");
    grid.heightProperty().subscribe(h -> gridScroll.setPrefViewportHeight(h.doubleValue()));
    gridScroll.setMinHeight(Region.USE_PREF_SIZE);
    practiceBar =
        new PracticeBar(
            practice::start,
            () -> {
              practice.readAll();
              afterLast.run();
            });
    supportsPane.setExpanded(false);
    supportsPane.setAnimated(false);
    Label seen = new Label(Text.of("bed.readings.seen"));
    seen.getStyleClass().add("soft");
    getChildren()
        .addAll(
            SheetFrame.columnTitle(Text.of("sheet.readings"), seen),
            wayBox(),
            settings(),
            gridScroll,
            message,
            hint,
            practiceBar,
            supportsPane);
    model.placesProperty().subscribe(p -> layOut());
    model.wayProperty().subscribe(w -> hint.setText(Text.of(w.key() + ".hint")));
    model.outcomeProperty().subscribe(o -> showMessage());
    model.supportsProperty().subscribe(s -> layOutSupports());
  }

  private Node wayBox() {
    ComboBox<BedWay> box =
        Choice.of("way", List.of(BedWay.values()), model.wayProperty(), w -> Text.of(w.key()));
    box.setMaxWidth(Double.MAX_VALUE);
    box.setAccessibleText(Text.of("bed.way"));
    return box;
  }

  private Node settings() {
    EntryField resolution = new EntryField(model.resolution());
    resolution.setId("resolution");
    EntryField tolerance = new EntryField(model.tolerance());
    tolerance.setId("tolerance");
    ComboBox<Integer> across = count("across");
    ComboBox<Integer> deep = count("deep");
    across.setOnAction(e -> chooseGrid(across, deep));
    deep.setOnAction(e -> chooseGrid(across, deep));
    model
        .placesProperty()
        .subscribe(p -> {
          following = true;
          across.setValue(model.columnsProperty().get().size());
          deep.setValue(model.rowsProperty().get().size());
          following = false;
        });
    GridPane row = new GridPane(6, 4);
    row.addRow(
        0,
        small(Text.of("bed.resolution")),
        small(Text.of("bed.tolerance")),
        small(Text.of("bed.places")));
    HBox places = new HBox(4, across, new Label("×"), deep);
    places.setAlignment(Pos.CENTER_LEFT);
    row.addRow(1, resolution, tolerance, places);
    resolution.setPrefColumnCount(4);
    tolerance.setPrefColumnCount(4);
    return row;
  }

  /** Not while the boxes themselves follow the model: half of its new size would be taken back. */
  private void chooseGrid(ComboBox<Integer> across, ComboBox<Integer> deep) {
    if (!following) {
      model.setGrid(across.getValue(), deep.getValue());
    }
  }

  private static Label small(String words) {
    Label label = new Label(words);
    label.getStyleClass().add("soft");
    return label;
  }

  private static ComboBox<Integer> count(String id) {
    ComboBox<Integer> box = new ComboBox<>();
    box.setId(id);
    box.getItems().setAll(IntStream.rangeClosed(2, BedModel.MOST_PLACES).boxed().toList());
    box.setAccessibleText(Text.of("bed.places." + id));
    box.setPrefWidth(66);
    return box;
  }

  /** The grid as the bed is seen from the front: rear row at the top. */
  private void layOut() {
    List<LengthEntry> columns = model.columnsProperty().get();
    List<LengthEntry> rows = model.rowsProperty().get();
    int deep = rows.size();
    grid.getChildren().clear();
    grid.getColumnConstraints().clear();
    grid.getColumnConstraints().add(new ColumnConstraints(54));
    for (int i = 0; i < columns.size(); i++) {
      ColumnConstraints cell = new ColumnConstraints();
      cell.setMinWidth(NARROWEST_CELL);
      cell.setPrefWidth(NARROWEST_CELL);
      cell.setHgrow(Priority.ALWAYS);
      grid.getColumnConstraints().add(cell);
    }
    grid.pseudoClassStateChanged(MANY, columns.size() >= FEW_COLUMNS);
    cells =
        model.placesProperty().get().stream()
            .map(place -> {
              EntryField field = new EntryField(place.reading());
              field.setId("reading-" + place.column() + "-" + place.row());
              field.getStyleClass().add("reading-field");
              field.setOnAction(e -> goOnFrom(field));
              grid.add(field, place.column() + 1, deep - place.row());
              return field;
            })
            .toList();
    for (int i = 0; i < columns.size(); i++) {
      grid.add(position(columns.get(i)), i + 1, 0);
    }
    for (int i = 0; i < deep; i++) {
      grid.add(position(rows.get(i)), 0, deep - i);
    }
    grid.add(small(Text.of("bed.grid.corner")), 0, 0);
  }

  private static EntryField position(LengthEntry entry) {
    EntryField field = new EntryField(entry);
    field.getStyleClass().add("position-field");
    return field;
  }

  private void goOnFrom(EntryField field) {
    int next = cells.indexOf(field) + 1;
    if (next < cells.size()) {
      cells.get(next).requestFocus();
      cells.get(next).selectAll();
    } else {
      afterLast.run();
    }
  }

  void focusFirst() {
    cells.getFirst().requestFocus();
    cells.getFirst().selectAll();
  }

  void focusNextEmpty() {
    cells.stream()
        .filter(c -> c.getText().isBlank())
        .findFirst()
        .ifPresentOrElse(Node::requestFocus, afterLast);
  }

  /** The field that has the focus, so that what it understood is shown. */
  void setFocused(Optional<EntryField> field) {
    message.setFocused(field);
    field.filter(cells::contains).ifPresent(this::scrollTo);
  }

  private void scrollTo(EntryField field) {
    double hidden = grid.getWidth() - gridScroll.getViewportBounds().getWidth();
    if (hidden > 0) {
      double middle = field.getBoundsInParent().getCenterX();
      double wanted = middle - gridScroll.getViewportBounds().getWidth() / 2;
      gridScroll.setHvalue(Math.clamp(wanted / hidden, 0, 1));
    }
  }

  private void showMessage() {
    message.refuse(
        model.outcomeProperty().get() instanceof BedOutcome.Refused(String because)
            ? Optional.of(because)
            : Optional.empty());
  }

  void showPractice(String words) {
    practiceBar.show(words);
  }

  private void layOutSupports() {
    boolean shims = model.onShims();
    supportsPane.setText(
        Text.of(
            shims ? model.underHead() ? "bed.feet.column" : "bed.feet" : "bed.screws",
            model.supportsProperty().get().size()));
    GridPane table = new GridPane(3, 3);
    table.getStyleClass().add("dense");
    table.addRow(0, small(""), small("x"), small("y"), small(shims ? "" : Text.of("bed.pitch")));
    if (!shims) {
      table.add(small(Text.of("bed.clockwise")), 4, 0);
    }
    int row = 1;
    for (Support support : model.supportsProperty().get()) {
      TextField name = new TextField();
      name.textProperty().bindBidirectional(support.idProperty());
      name.setPrefColumnCount(6);
      name.setAccessibleText(Text.of("bed.support.name"));
      table.addRow(row, name, narrow(support.x()), narrow(support.y()));
      if (!shims) {
        ComboBox<Clockwise> clockwise =
            Choice.of(
                "clockwise-" + row,
                List.of(Clockwise.values()),
                support.clockwiseProperty(),
                c -> Text.of(c == Clockwise.RAISES ? "bed.support.up" : "bed.support.down"));
        clockwise.setAccessibleText(Text.of("bed.clockwise"));
        clockwise.setPrefWidth(64);
        table.add(narrow(support.pitch()), 3, row);
        table.add(clockwise, 4, row);
      }
      Button remove = new Button("×");
      remove.setAccessibleText(Text.of("bed.support.remove"));
      remove.setOnAction(e -> model.removeSupport(support));
      table.add(remove, 5, row++);
    }
    Button add = new Button(Text.of(shims ? "bed.foot.add" : "bed.screw.add"));
    add.setOnAction(e -> model.addSupport());
    VBox body = new SteadyBox(6, table, add);
    if (shims) {
      TextField atHand = new TextField();
      atHand.setId("at-hand");
      atHand.textProperty().bindBidirectional(model.atHandProperty());
      body.getChildren().addAll(small(Text.of("bed.at-hand")), atHand);
    }
    supportsPane.setContent(body);
  }

  private static EntryField narrow(LengthEntry entry) {
    EntryField field = new EntryField(entry);
    field.setPrefColumnCount(4);
    return field;
  }
}
