package zebrawood.desktop.shell;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.sheet.FormPane;
import zebrawood.desktop.sheet.NodeView;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.SheetHost;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.machine.Machine;
import zebrawood.machine.Trial;

/** The new-machine form: only what decides the stations and their limits. */
final class MachineCard {
  private static final double LEAST_HEIGHT = 120;
  private static final double LEAST_WIDTH = 720;
  private static final double FIELD_WIDTH = 320;

  private MachineCard() {}

  /**
   * @param before the machine whose description is changed; empty for a new one
   */
  static void open(Cards cards, SheetHost host, Optional<Machine> before) {
    WorkshopModel workshop = host.workshop();
    MachineForm form = new MachineForm(workshop.machinesProperty().get(), Text.words(), before);
    FormPane pane =
        new FormPane(
            form.form(),
            List.of(new Part.CustomNode((NodeView) p -> grid(p, form))),
            Optional.empty(),
            () -> {});
    pane.getStyleClass().clear();
    Label problem = Card.words("");
    problem.setId("machine-problem");
    form.name()
        .textProperty()
        .subscribe(
            typed -> problem.getStyleClass().setAll("label", typed.isEmpty() ? "soft" : "refusal"));
    form.problemProperty()
        .subscribe(p -> problem.setText(p.map(Text.words()::sentence).orElse("")));
    Button add =
        Card.primary(
            "machine-add",
            Text.of(before.isPresent() ? "machine.change" : "machine.add"),
            () -> form.machine().ifPresent(machine -> add(cards, host, before, machine)));
    add.disableProperty()
        .bind(
            Bindings.createBooleanBinding(
                () -> form.problemProperty().get().isPresent(), form.problemProperty()));
    VBox card =
        Card.of(
            before
                .map(m -> Text.of("machine.title.change", m.name()))
                .orElse(Text.of("machine.title")),
            Card.words(Text.of("machine.why")),
            scrolling(pane),
            problem,
            Card.buttons(buttons(cards, host, before, add)));
    Topic.mark(card, "machine.sheet");
    cards.open(card, pane.order().getFirst());
  }

  /** A simulated machine can be removed; what is recorded of it stays in the file. */
  private static Button[] buttons(
      Cards cards, SheetHost host, Optional<Machine> before, Button add) {
    Button cancel = Card.button("machine-cancel", Text.of("button.cancel"), cards::close);
    return before
        .filter(Machine::simulated)
        .map(m ->
            new Button[] {
              Card.button(
                  "machine-remove", Text.of("machine.remove"), () -> askToRemove(cards, host, m)),
              cancel,
              add
            })
        .orElseGet(() -> new Button[] {cancel, add});
  }

  /** Asks, then takes a simulated machine out of the list. */
  static void askToRemove(Cards cards, SheetHost host, Machine machine) {
    WorkshopModel workshop = host.workshop();
    cards.close();
    host.confirm(
        Text.of("machine.remove.title", machine.name()),
        Text.of("machine.remove.why"),
        List.of(),
        "",
        Text.of("machine.remove"),
        () ->
            host.withInitials(() ->
                workshop.add(
                    machine.withTrial(Trial.REMOVED),
                    () -> workshop.say(Text.of("said.machine-removed", machine.name())),
                    () -> {})));
  }

  /** The card stays, with all that is typed, until the machine is on the disk. */
  private static void add(Cards cards, SheetHost host, Optional<Machine> before, Machine machine) {
    WorkshopModel workshop = host.workshop();
    cards.whileOpen(
        host,
        () ->
            workshop.add(
                machine,
                () -> {
                  cards.close();
                  workshop.say(
                      Text.of(
                          before.isPresent() ? "said.machine-changed" : "said.machine",
                          machine.name()));
                },
                () -> {}));
  }

  /** On a low screen the fields scroll, and the buttons stay. */
  private static Node scrolling(FormPane pane) {
    ScrollPane body = SheetFrame.scrolling(pane);
    body.setMinHeight(LEAST_HEIGHT);
    body.setMinWidth(LEAST_WIDTH);
    VBox.setVgrow(body, Priority.SOMETIMES);
    return body;
  }

  private static GridPane grid(FormPane pane, MachineForm form) {
    GridPane grid = new GridPane(12, 6);
    for (MachineForm.Section section : form.sections()) {
      Label heading = new Label(Text.of(section.heading()));
      heading.getStyleClass().addAll("column-title-words", "section-heading");
      grid.add(heading, 0, grid.getRowCount(), 2, 1);
      showWhile(
          form,
          () ->
              section.fields().isEmpty()
                  || section.heading().equals(MachineForm.FITTED)
                  || section.fields().stream().anyMatch(form::applies),
          heading);
      if (section.heading().equals(MachineForm.FITTED)) {
        grid.add(fitted(form), 0, grid.getRowCount(), 2, 1);
      }
      if (section.heading().equals(MachineForm.LENSES)) {
        grid.add(pane.make(LensRow.part(form.lenses())), 0, grid.getRowCount(), 2, 1);
      }
      section.fields().forEach(f -> row(grid, pane, form, f));
    }
    return grid;
  }

  /** There while it applies to such a machine. */
  private static void showWhile(
      MachineForm form, java.util.concurrent.Callable<Boolean> applies, Node... parts) {
    var shown =
        Bindings.createBooleanBinding(
            applies,
            form.deciding().stream()
                .map(f -> f.valueProperty())
                .toArray(javafx.beans.Observable[]::new));
    for (Node part : parts) {
      part.visibleProperty().bind(shown);
      part.managedProperty().bind(part.visibleProperty());
    }
  }

  private static void row(GridPane grid, FormPane pane, MachineForm form, Field field) {
    Node control = pane.control(field);
    Label label =
        new Label(
            field instanceof QuantityField q && !q.symbol().isEmpty()
                ? Text.of("words.comma", field.label(), q.symbol())
                : Text.of(field.label()));
    label.setLabelFor(control);
    label.setMinWidth(Region.USE_PREF_SIZE);
    control.setAccessibleText(label.getText());
    if (control instanceof Region region) {
      region.setPrefWidth(FIELD_WIDTH);
    }
    String prompt = field.label().key() + ".prompt";
    if (control instanceof javafx.scene.control.TextField text) {
      // Enter adds the machine, from any field, as soon as all is typed that it needs.
      text.setOnAction(null);
      text.addEventFilter(
          KeyEvent.KEY_PRESSED,
          e -> {
            if (e.getCode() == KeyCode.ENTER && form.problemProperty().get().isPresent()) {
              e.consume();
              pane.goOn();
            }
          });
    }
    if (control instanceof TextInputControl text && Text.words().has(prompt)) {
      text.setPromptText(Text.of(prompt));
    }
    showWhile(form, () -> form.applies(field), label, control);
    control.disableProperty().bind(control.visibleProperty().not());
    grid.addRow(grid.getRowCount(), label, control);
  }

  private static Node fitted(MachineForm form) {
    GridPane boxes = new GridPane(10, 3);
    int place = 0;
    for (var choice : form.fitted().entrySet()) {
      CheckBox box = new CheckBox(Text.of(choice.getKey()));
      box.setMinWidth(Region.USE_PREF_SIZE);
      box.setId("fitted-" + choice.getKey().name().toLowerCase(Locale.ROOT));
      box.selectedProperty().bindBidirectional(choice.getValue());
      Topic.mark(box, "machine.fitting");
      boxes.add(box, place % 3, place / 3);
      place++;
    }
    return boxes;
  }
}
