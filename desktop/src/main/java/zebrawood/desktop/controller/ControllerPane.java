package zebrawood.desktop.controller;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import zebrawood.controller.ControllerReadings.AirCode;
import zebrawood.controller.ControllerReadings.Head;
import zebrawood.controller.ControllerReadings.Policy;
import zebrawood.controller.ControllerReadings.Units;
import zebrawood.controller.ControllerVisit.HomeAtStart;
import zebrawood.controller.ControllerVisit.Motion;
import zebrawood.controller.ControllerVisit.TwoMarks;
import zebrawood.controller.Corner;
import zebrawood.desktop.fields.Choice;
import zebrawood.desktop.fields.EntryField;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.fields.WordsEntry;
import zebrawood.desktop.sheet.AnsweredPane;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.text.Text;

/** The left column of the controller sheet: the settings, the link, what they are compared with. */
final class ControllerPane extends AnsweredPane {
  private static final long LONGEST_FILE = 200_000;
  private static final PseudoClass UNUSABLE = EntryField.UNUSABLE;

  private final ControllerModel model;
  private final TextArea dump = new TextArea();

  /**
   * @param afterLast what Enter in the last place does
   * @param snapshots to be compared and restored
   * @param shot share in per cent and pulse in ms of a test shot
   */
  ControllerPane(
      ControllerModel model,
      LinkBar link,
      SnapshotPart snapshots,
      List<NumberEntry> shot,
      Runnable afterLast) {
    super("controller", afterLast);
    this.model = model;
    area(dump, "controller-dump", "controller.dump.prompt", 6, model.dump());
    TextArea offline = new TextArea();
    area(offline, "controller-offline", "controller.offline.prompt", 4, model.offline());
    TextField connection = field(model.connection());
    getChildren()
        .addAll(
            SheetFrame.columnTitle(Text.of("sheet.readings"), soft(Text.of("cooling.keys"))),
            link,
            dump,
            message(),
            proofRows(model.proofs(), i -> i.name().toLowerCase(Locale.ROOT), Motion::words),
            part("controller.software", grid(model.software()), choices()),
            part("controller.scale", soft(Text.of("controller.scale.hint")), grid(model.scales())),
            part("controller.run-up", grid(model.runUp())),
            part(
                "controller.marks",
                soft(Text.of("controller.marks.hint")),
                choice(
                    "controller-two-marks",
                    "controller.two-marks",
                    List.of(TwoMarks.values()),
                    model.marksProperty())),
            part(
                "controller.shot-order",
                grid(shot),
                soft(Text.of("controller.shot.hint")),
                field(model.leastMark())),
            part("controller.snapshots", soft(Text.of("controller.snapshots.hint")), snapshots),
            part(
                "controller.configuration",
                soft(Text.of("controller.configuration.hint")),
                field(model.configuration()),
                choice(
                    "controller-head",
                    "controller.head",
                    List.of(Head.values()),
                    model.headProperty()),
                grid(model.travel())),
            part("controller.file", soft(Text.of("controller.file.hint")), file()),
            part(
                "controller.named",
                grid(List.of(model.lens())),
                soft(Text.of("controller.offline.hint")),
                offline),
            part("controller.connection", soft(Text.of("controller.connection.hint")), connection));
    model.outcomeProperty().subscribe(o -> showMessage());
  }

  private static void area(TextArea area, String id, String promptKey, int rows, WordsEntry entry) {
    area.setId(id);
    area.setAccessibleText(entry.name());
    area.setPromptText(Text.of(promptKey));
    area.setPrefRowCount(rows);
    area.textProperty().bindBidirectional(entry.textProperty());
    entry.problemProperty().subscribe(p -> area.pseudoClassStateChanged(UNUSABLE, !p.isEmpty()));
  }

  /** A configuration file by its name; Enter takes its text. */
  private TextField file() {
    TextField name = new TextField();
    name.setId("controller-file-name");
    name.setAccessibleText(Text.of("controller.file"));
    name.setOnAction(e -> {
      try {
        Path path = Path.of(name.getText().strip());
        if (Files.size(path) > LONGEST_FILE) {
          message().refuse(Optional.of(Text.of("controller.file.long", LONGEST_FILE / 1000)));
          return;
        }
        dump.setText(Files.readString(path, StandardCharsets.ISO_8859_1));
      } catch (IOException | InvalidPathException failed) {
        message().refuse(Optional.of(Text.of("controller.file.bad", name.getText().strip())));
      }
    });
    return name;
  }

  private GridPane choices() {
    GridPane grid = new GridPane(6, 4);
    row(
        grid,
        "controller.home-corner",
        choice(
            "controller-home-corner", "controller.corner", Corner.values(), model.homeProperty()));
    row(
        grid,
        "controller.switches",
        choice(
            "controller-switches", "controller.yes-no", YesNo.values(), model.switchesProperty()));
    row(grid, "controller.sent-air", air("controller-sent-air", model.sentProperty()));
    row(grid, "controller.wired-air", air("controller-wired-air", model.wiredProperty()));
    row(
        grid,
        "controller.units",
        choice("controller-units", "controller.unit", Units.values(), model.unitsProperty()));
    row(
        grid,
        "controller.origin",
        choice("controller-origin", "controller.corner", Origin.values(), model.originProperty()));
    row(
        grid,
        "controller.policy",
        choice("controller-policy", "controller.side", Policy.values(), model.policyProperty()));
    row(
        grid,
        "controller.at-start",
        choice(
            "controller-at-start",
            "controller.home-at-start",
            HomeAtStart.values(),
            model.homeAtStartProperty()));
    return grid;
  }

  private static <E extends Enum<E>> Node choice(
      String id, String key, E[] values, ObjectProperty<E> chosen) {
    var box = choice(id, key, List.of(values), chosen);
    box.setPrefWidth(136);
    return box;
  }

  private static Node air(String id, ObjectProperty<AirCode> chosen) {
    return Choice.of(id, List.of(AirCode.values()), chosen, AirCode::spelling);
  }

  private static void row(GridPane grid, String key, Node box) {
    Label label = soft(Text.of(key));
    label.setLabelFor(box);
    label.setPrefWidth(120);
    box.setAccessibleText(Text.of(key));
    grid.addRow(grid.getRowCount(), label, box);
  }

  @Override
  public void focusNextEmpty() {
    if (model.dump().isEmpty()) {
      dump.requestFocus();
    } else {
      super.focusNextEmpty();
    }
  }

  private void showMessage() {
    message()
        .refuse(
            model.outcomeProperty().get() instanceof ControllerOutcome.Refused(String because)
                ? Optional.of(because)
                : Optional.empty());
  }
}
