package zebrawood.desktop.cooling;

import java.util.ArrayList;
import java.util.List;
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
import zebrawood.desktop.sheet.PracticeBar;
import zebrawood.desktop.sheet.ProofRow;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.text.Text;
import zebrawood.site.Coldest.Glycol;
import zebrawood.site.CoolingReadings.Item;

/** The left column of the cooling sheet: figures, proofs, and what stays from visit to visit. */
final class CoolingPane extends VBox {
  private final CoolingModel model;
  private final Runnable afterLast;
  private final List<Control> order = new ArrayList<>();
  private final MessageLine message = new MessageLine("cooling-message");
  private final PracticeBar practiceBar;
  private final VBox settings = new VBox(6);

  /**
   * @param afterLast what Enter in the last place does
   */
  CoolingPane(CoolingModel model, CoolingPractice practice, Runnable afterLast) {
    this.model = model;
    this.afterLast = afterLast;
    getStyleClass().add("readings");
    ComboBox<CoolingWay> way =
        Choice.of(
            "cooling-way",
            List.of(CoolingWay.values()),
            model.wayProperty(),
            w -> Text.of(w.key()));
    way.setMaxWidth(Double.MAX_VALUE);
    way.setAccessibleText(Text.of("cooling.way"));
    VBox proofs = new VBox(6);
    GridPane read = grid(model.atEveryVisit(), true);
    for (Item item : Item.values()) {
      ProofRow row =
          new ProofRow(item.name(), item.words(), false, model.proofs().get(item), this::goOn);
      order.add(row.answer());
      proofs.getChildren().add(row);
    }
    practiceBar =
        new PracticeBar(
            practice::start,
            () -> {
              practice.readAll();
              afterLast.run();
            });
    TitledPane stays = new TitledPane(Text.of("cooling.settings"), settings);
    stays.setAnimated(false);
    stays.setExpanded(false);
    Label keys = new Label(Text.of("cooling.keys"));
    keys.getStyleClass().add("soft");
    getChildren()
        .addAll(
            SheetFrame.columnTitle(Text.of("sheet.readings"), keys),
            way,
            read,
            message,
            small(Text.of("cooling.proofs")),
            proofs,
            small(Text.of("cooling.sometimes")),
            grid(model.atSomeVisits(), false),
            practiceBar,
            stays);
    model.wayProperty().subscribe(w -> layOutSettings());
    model.outcomeProperty().subscribe(o -> showMessage());
  }

  private static Label small(String words) {
    Label label = new Label(words);
    label.getStyleClass().add("soft");
    return label;
  }

  private void layOutSettings() {
    settings.getChildren().setAll(grid(model.settings(), false));
    if (model.wayProperty().get() == CoolingWay.CHILLER) {
      settings
          .getChildren()
          .addAll(small(Text.of("cooling.pull-down")), grid(model.pullDown(), false));
    }
    ComboBox<Glycol> glycol =
        Choice.of(
            "glycol",
            List.of(Glycol.values()),
            model.glycolProperty(),
            g -> Text.of("cooling.glycol." + g.name().toLowerCase(java.util.Locale.ROOT)));
    glycol.setMaxWidth(Double.MAX_VALUE);
    glycol.setAccessibleText(Text.of("cooling.glycol"));
    settings
        .getChildren()
        .addAll(small(Text.of("cooling.frost")), grid(List.of(model.coldest()), false), glycol);
  }

  /** A label, a field and a unit a row. */
  private GridPane grid(List<NumberEntry> entries, boolean inOrder) {
    GridPane grid = new GridPane(6, 4);
    ColumnConstraints wide = new ColumnConstraints();
    wide.setHgrow(Priority.ALWAYS);
    grid.getColumnConstraints().addAll(wide, new ColumnConstraints(92), new ColumnConstraints(48));
    for (int i = 0; i < entries.size(); i++) {
      NumberEntry entry = entries.get(i);
      EntryField field = new EntryField(entry);
      field.setId("cooling-" + entry.name().toLowerCase(java.util.Locale.ROOT).replace(' ', '-'));
      field.getStyleClass().add("reading-field");
      field.setOnAction(e -> goOn());
      Label label = new Label(entry.name());
      label.setLabelFor(field);
      grid.addRow(i, label, field, small(entry.unit()));
      if (inOrder) {
        order.add(field);
      }
    }
    return grid;
  }

  /** To the next place that has nothing yet, or on. */
  private void goOn() {
    Node now = getScene().getFocusOwner();
    int from = order.indexOf(now) + 1;
    if (from < order.size()) {
      focus(order.get(from));
    } else {
      afterLast.run();
    }
  }

  private static void focus(Control control) {
    control.requestFocus();
    if (control instanceof EntryField field) {
      field.selectAll();
    }
  }

  void focusNextEmpty() {
    order.stream()
        .filter(c -> !(c instanceof EntryField field) || field.getText().isBlank())
        .findFirst()
        .ifPresentOrElse(CoolingPane::focus, afterLast);
  }

  void showPractice(String words) {
    practiceBar.show(words);
  }

  void focusFirst() {
    focus(order.getFirst());
  }

  /** The field that has the focus, so that what it understood is shown. */
  void setFocused(Optional<EntryField> field) {
    message.setFocused(field);
  }

  private void showMessage() {
    message.refuse(
        model.outcomeProperty().get() instanceof CoolingOutcome.Refused(String because)
            ? Optional.of(because)
            : Optional.empty());
  }
}
