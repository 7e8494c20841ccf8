package zebrawood.desktop.shell;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import javafx.beans.property.ObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.desktop.fields.Choice;
import zebrawood.desktop.fields.EntryField;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.sheet.SheetHost;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.SourceKind;

/** The new-machine form: only what decides the stations and their limits. */
final class MachineCard {
  private static final double LEAST_HEIGHT = 120;

  private MachineCard() {}

  /**
   * @param before the machine whose description is changed; empty for a new one
   */
  static void open(Cards cards, SheetHost host, Optional<Machine> before) {
    WorkshopModel workshop = host.workshop();
    MachineForm form =
        new MachineForm(workshop.machinesProperty().get(), workshop.unitProperty().get(), before);
    String unit = workshop.unitProperty().get().symbol();
    TextField name = text("machine-name", form.nameProperty());
    GridPane grid = new GridPane(12, 6);
    row(grid, 0, Text.of("machine.name"), name);
    row(
        grid,
        1,
        Text.of("machine.build"),
        choice("machine-build", List.of(Build.values()), form.buildProperty(), Build::words));
    row(
        grid,
        2,
        Text.of("machine.source"),
        choice(
            "machine-source",
            List.of(SourceKind.values()),
            form.kindProperty(),
            SourceKind::words));
    row(grid, 3, Text.of("machine.watts"), text("machine-watts", form.wattsProperty()));
    row(
        grid,
        4,
        Text.of("machine.wavelength"),
        text("machine-wavelength", form.wavelengthNmProperty()));
    row(
        grid,
        5,
        Text.of("machine.width", unit),
        length("machine-width", new EntryField(form.width())));
    row(
        grid,
        6,
        Text.of("machine.depth", unit),
        length("machine-depth", new EntryField(form.depth())));
    Node support =
        choice(
            "machine-support",
            List.of(BedSupport.values()),
            form.supportProperty(),
            BedSupport::words);
    row(grid, 7, Text.of("machine.support"), support);
    support.disableProperty().bind(form.buildProperty().isEqualTo(Build.GALVO));
    row(
        grid,
        8,
        Text.of("machine.tolerance", unit),
        length("machine-tolerance", new EntryField(form.tolerance())));
    row(grid, 9, Text.of("machine.fitted"), fitted(form));
    TextField startUp = text("machine-start-up", form.startUpProperty());
    startUp.setPromptText(Text.of("machine.start-up.usual"));
    row(grid, 10, Text.of("machine.start-up"), startUp);
    row(
        grid,
        11,
        Text.of("machine.lenses"),
        hinted("machine-lenses", "machine.lenses.prompt", form.lensesProperty()));
    TextField pulses = hinted("machine-pulses", "machine.pulses.prompt", form.pulsesProperty());
    row(grid, 12, Text.of("machine.pulses"), pulses);
    pulses.disableProperty().bind(form.kindProperty().map(kind -> !kind.pulsed()));
    TextField mirrors = hinted("machine-mirrors", "machine.mirrors.prompt", form.mirrorsProperty());
    row(grid, 13, Text.of("machine.mirrors"), mirrors);
    mirrors.disableProperty().bind(form.buildProperty().isNotEqualTo(Build.GANTRY_WITH_MIRRORS));
    Label problem = Card.words("");
    problem.setId("machine-problem");
    form.nameProperty()
        .subscribe(
            typed -> problem.getStyleClass().setAll("label", typed.isEmpty() ? "soft" : "refusal"));
    problem.textProperty().bind(form.problemProperty());
    Button add =
        Card.primary(
            "machine-add",
            Text.of(before.isPresent() ? "machine.change" : "machine.add"),
            () ->
                form.machine()
                    .ifPresent(machine -> {
                      cards.close();
                      host.withInitials(() ->
                          workshop.add(
                              machine,
                              () ->
                                  workshop.say(
                                      Text.of(
                                          before.isPresent()
                                              ? "said.machine-changed"
                                              : "said.machine",
                                          machine.name()))));
                    }));
    add.disableProperty().bind(form.problemProperty().isNotEmpty());
    VBox card =
        Card.of(
            before
                .map(m -> Text.of("machine.title.change", m.name()))
                .orElse(Text.of("machine.title")),
            Card.words(Text.of("machine.why")),
            scrolling(grid),
            problem,
            Card.buttons(
                Card.button("machine-cancel", Text.of("button.cancel"), cards::close), add));
    cards.open(card, name);
  }

  /** On a low screen the fields scroll, and the buttons stay. */
  private static Node scrolling(GridPane grid) {
    ScrollPane body = SheetFrame.scrolling(grid);
    body.setMinHeight(LEAST_HEIGHT);
    VBox.setVgrow(body, Priority.SOMETIMES);
    return body;
  }

  private static Node fitted(MachineForm form) {
    GridPane boxes = new GridPane(10, 3);
    int place = 0;
    for (var choice : form.fitted().entrySet()) {
      CheckBox box = new CheckBox(choice.getKey().words());
      box.setId("fitted-" + choice.getKey().name().toLowerCase(Locale.ROOT));
      box.selectedProperty().bindBidirectional(choice.getValue());
      boxes.add(box, place % 2, place / 2);
      place++;
    }
    return boxes;
  }

  private static void row(GridPane grid, int row, String words, Node field) {
    Label label = new Label(words);
    label.setLabelFor(field);
    field.setAccessibleText(words);
    grid.addRow(row, label, field);
  }

  private static TextField text(String id, javafx.beans.property.StringProperty property) {
    TextField field = new TextField();
    field.setId(id);
    field.textProperty().bindBidirectional(property);
    return field;
  }

  /** A field that says what may be typed as long as nothing is. */
  private static TextField hinted(
      String id, String promptKey, javafx.beans.property.StringProperty property) {
    TextField field = text(id, property);
    field.setPromptText(Text.of(promptKey));
    return field;
  }

  private static EntryField length(String id, EntryField field) {
    field.setId(id);
    return field;
  }

  private static <T> ComboBox<T> choice(
      String id, List<T> values, ObjectProperty<T> property, Function<T, String> words) {
    ComboBox<T> box = Choice.of(id, values, property, words);
    box.setPrefWidth(320);
    return box;
  }
}
