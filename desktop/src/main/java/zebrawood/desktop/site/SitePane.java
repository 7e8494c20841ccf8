package zebrawood.desktop.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.TitledPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.desktop.fields.Choice;
import zebrawood.desktop.fields.EntryField;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.sheet.MessageLine;
import zebrawood.desktop.sheet.ProofRow;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.text.Text;

/** The left column of the site sheet: earth and proofs, then circuit, exhaust and eyewear. */
final class SitePane extends VBox {
  private final SiteModel model;
  private final Runnable afterLast;
  private final List<Control> order = new ArrayList<>();
  private final MessageLine message = new MessageLine("site-message");

  /**
   * @param afterLast what Enter in the last place does
   */
  SitePane(SiteModel model, Runnable afterLast) {
    this.model = model;
    this.afterLast = afterLast;
    getStyleClass().add("readings");
    Label keys = soft(Text.of("site.keys"));
    VBox proofs = new VBox(6);
    GridPane earth = grid(List.of(model.earth()));
    model
        .proofs()
        .forEach((item, proven) -> {
          ProofRow row =
              new ProofRow(item.name(), item.words(), item.mayBeMissing(), proven, this::goOn);
          order.add(row.answer());
          proofs.getChildren().add(row);
        });
    getChildren()
        .addAll(
            SheetFrame.columnTitle(Text.of("sheet.readings"), keys),
            earth,
            proofs,
            message,
            part("site.circuit", new VBox(4, grid(model.supply()), grid(model.loads()))),
            part("site.exhaust", exhaust()),
            part("site.eyewear", eyewear()),
            part("site.limits", grid(List.of(model.earthLimit()))));
    model.outcomeProperty().subscribe(o -> showMessage());
  }

  private static TitledPane part(String key, Node content) {
    TitledPane part = new TitledPane(Text.of(key), content);
    part.setId(key.replace('.', '-'));
    part.setAnimated(false);
    part.setExpanded(false);
    return part;
  }

  private static Label soft(String words) {
    Label label = new Label(words);
    label.getStyleClass().add("soft");
    label.setWrapText(true);
    return label;
  }

  private Node exhaust() {
    GridPane table = new GridPane(3, 3);
    table.getStyleClass().add("dense");
    table.addRow(
        0, soft(Text.of("site.bore")), soft(Text.of("site.length")), soft(Text.of("site.bends")));
    for (int i = 0; i < model.pieces().size(); i++) {
      List<NumberEntry> row = model.pieces().get(i);
      ComboBox<DuctWall> wall =
          Choice.of(
              "wall-" + (i + 1), List.of(DuctWall.values()), model.wall(i), w -> Text.of(w.key()));
      wall.setAccessibleText(Text.of("site.wall"));
      wall.setPrefWidth(104);
      table.addRow(i + 1, small(row.get(0)), small(row.get(1)), small(row.get(2)), wall);
    }
    GridPane blower = new GridPane(3, 3);
    blower.getStyleClass().add("dense");
    blower.addRow(0, soft("m³/h"), soft("Pa"));
    for (int i = 0; i < model.fan().size(); i++) {
      List<NumberEntry> row = model.fan().get(i);
      blower.addRow(i + 1, small(row.get(0)), small(row.get(1)));
    }
    return new VBox(4, grid(List.of(model.flow())), table, soft(Text.of("site.blower")), blower);
  }

  private Node eyewear() {
    GridPane shelf = new GridPane(3, 3);
    shelf.getStyleClass().add("dense");
    shelf.addRow(
        0, soft(Text.of("site.from")), soft(Text.of("site.to")), soft(Text.of("site.density")));
    for (int i = 0; i < model.filters().size(); i++) {
      List<NumberEntry> row = model.filters().get(i);
      shelf.addRow(i + 1, small(row.get(0)), small(row.get(1)), small(row.get(2)));
    }
    return new VBox(4, grid(model.look()), soft(Text.of("site.shelf")), shelf);
  }

  private EntryField small(NumberEntry entry) {
    EntryField field = field(entry);
    field.setPrefColumnCount(5);
    return field;
  }

  private EntryField field(NumberEntry entry) {
    EntryField field = new EntryField(entry);
    field.setId("site-" + entry.name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-"));
    return field;
  }

  /** A label, a field and a unit a row. */
  private GridPane grid(List<NumberEntry> entries) {
    GridPane grid = new GridPane(6, 4);
    ColumnConstraints wide = new ColumnConstraints();
    wide.setHgrow(Priority.ALWAYS);
    grid.getColumnConstraints().addAll(wide, new ColumnConstraints(92), new ColumnConstraints(48));
    for (int i = 0; i < entries.size(); i++) {
      NumberEntry entry = entries.get(i);
      EntryField field = field(entry);
      field.getStyleClass().add("reading-field");
      Label label = new Label(entry.name());
      label.setLabelFor(field);
      grid.addRow(i, label, field, soft(entry.unit()));
      if (entry == model.earth()) {
        field.setOnAction(e -> goOn());
        order.add(field);
      }
    }
    return grid;
  }

  private void goOn() {
    int from = order.indexOf(getScene().getFocusOwner()) + 1;
    if (from < order.size()) {
      order.get(from).requestFocus();
    } else {
      afterLast.run();
    }
  }

  void focusStart() {
    order.getFirst().requestFocus();
  }

  /** The field that has the focus, so that what it understood is shown. */
  void setFocused(Optional<EntryField> field) {
    message.setFocused(field);
  }

  private void showMessage() {
    message.refuse(
        model.outcomeProperty().get() instanceof SiteOutcome.Refused(String because)
            ? Optional.of(because)
            : Optional.empty());
  }
}
