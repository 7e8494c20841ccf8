package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.desktop.fields.Choice;
import zebrawood.desktop.fields.EntryField;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.mirrors.MirrorModel.School;
import zebrawood.desktop.mirrors.MirrorModel.ScrewFields;
import zebrawood.desktop.sheet.AnsweredPane;
import zebrawood.desktop.sheet.PracticeBar;
import zebrawood.desktop.sheet.Prose;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.sheet.SteadyBox;
import zebrawood.desktop.text.Text;
import zebrawood.devices.mirrors.StandInTrain;
import zebrawood.machine.Train;
import zebrawood.mirrors.MirrorReadings.Towards;
import zebrawood.mirrors.MirrorVisit.ScrewsBy;

/** The left column of the mirrors sheet: a row a mark, then what stays from visit to visit. */
final class MirrorPane extends AnsweredPane {
  private final MirrorModel model;
  private final PracticeBar practiceBar;

  /**
   * @param afterLast what Enter in the last place does
   */
  MirrorPane(MirrorModel model, MirrorPractice practice, Runnable afterLast) {
    super("mirrors", afterLast);
    this.model = model;
    practiceBar =
        new PracticeBar(
            practice::start,
            () -> {
              practice.readAll();
              afterLast.run();
            });
    getChildren()
        .addAll(
            SheetFrame.columnTitle(Text.of("sheet.readings"), soft(Text.of("mirrors.keys"))),
            choice(
                "mirrors-school",
                "mirrors.school",
                List.of(School.values()),
                model.schoolProperty()),
            leastPulse(),
            marks(),
            round(),
            message(),
            soft(Text.of(model.train().foldsDown() ? "mirrors.hint.down" : "mirrors.hint")),
            practice(practice),
            part("mirrors.trials", trials()),
            part("mirrors.again", again()),
            part("mirrors.tube", soft(Text.of("mirrors.tube.hint")), grid(model.tube())),
            part("mirrors.plumb", soft(Text.of("mirrors.plumb.hint")), grid(model.plumb())),
            part("mirrors.pointer", soft(Text.of("mirrors.pointer.hint")), grid(model.pointer())),
            part("mirrors.limits", grid(model.limits())),
            part("mirrors.paths", paths()),
            part("mirrors.screws", screws()));
    model.outcomeProperty().subscribe(o -> showMessage());
  }

  /** Found and written down before any mirror is touched. */
  private GridPane leastPulse() {
    GridPane row = new GridPane(4, 4);
    ColumnConstraints wide = new ColumnConstraints();
    wide.setHgrow(Priority.ALWAYS);
    row.getColumnConstraints().addAll(wide, new ColumnConstraints(152));
    EntryField field = field(model.leastPulse());
    Label label = new Prose(model.leastPulse().name());
    label.setLabelFor(field);
    row.addRow(0, label, field);
    return row;
  }

  private GridPane marks() {
    GridPane grid = new GridPane(4, 4);
    grid.getStyleClass().add("bed-grid");
    ColumnConstraints wide = new ColumnConstraints();
    wide.setHgrow(Priority.ALWAYS);
    grid.getColumnConstraints().addAll(wide, new ColumnConstraints(74), new ColumnConstraints(74));
    grid.addRow(0, soft(Text.of("mirrors.mark")), soft(Text.of("mirrors.right")), soft(up()));
    int next = 1;
    for (var mark : model.marks().entrySet()) {
      MarkPlace place = mark.getKey();
      List<Node> row = new ArrayList<>(List.of(new Prose(place.words())));
      for (NumberEntry entry : mark.getValue()) {
        EntryField field = field(entry);
        field.getStyleClass().add("reading-field");
        field
            .focusedProperty()
            .subscribe(on -> {
              if (on) {
                model.activeProperty().set(Optional.of(place));
              }
            });
        row.add(field);
      }
      grid.addRow(next, row.toArray(Node[]::new));
      next++;
      if (!place.head()) {
        row.forEach(n -> shownFor(n, School.FULL));
      }
    }
    return grid;
  }

  /** Below a mirror that folds down, what was up is further from the tube. */
  private String up() {
    return Text.of(model.train().foldsDown() ? "mirrors.away" : "mirrors.up");
  }

  private void shownFor(Node node, School school) {
    node.visibleProperty().bind(model.schoolProperty().isEqualTo(school));
    node.managedProperty().bind(node.visibleProperty());
  }

  private VBox round() {
    VBox rows =
        proofRows(
            model.proofs(), i -> i.name().toLowerCase(Locale.ROOT), i -> Text.of("mirrors.round"));
    shownFor(rows, School.QUICK);
    return rows;
  }

  /** What is hidden in the stand-in, and the way into the practice; for two mirrors only. */
  private VBox practice(MirrorPractice practice) {
    ComboBox<MirrorPractice.Task> task =
        choice(
            "mirrors-task",
            "mirrors.task",
            List.of(MirrorPractice.Task.values()),
            practice.taskProperty());
    VBox box = new SteadyBox(6, practiceBar, task);
    if (model.train().mirrors() != StandInTrain.MIRRORS) {
      box.setVisible(false);
      box.setManaged(false);
    }
    return box;
  }

  /** A row a screw: how far it was turned on trial, and how far the mark moved. */
  private Node trials() {
    List<List<NumberEntry>> rows = model.screws().stream().map(ScrewFields::trial).toList();
    GridPane table = new GridPane(4, 4);
    ColumnConstraints wide = new ColumnConstraints();
    wide.setHgrow(Priority.ALWAYS);
    table
        .getColumnConstraints()
        .addAll(
            wide, new ColumnConstraints(58), new ColumnConstraints(58), new ColumnConstraints(58));
    table.addRow(
        0,
        soft(Text.of("mirrors.trial.screw")),
        soft(Text.of("mirrors.trial.turned")),
        soft(Text.of("mirrors.right")),
        soft(up()));
    for (int i = 0; i < rows.size(); i++) {
      ScrewFields screw = model.screws().get(i);
      List<Node> row = new ArrayList<>(List.of(soft(shortName(screw))));
      for (NumberEntry entry : rows.get(i)) {
        EntryField field = field(entry);
        field.getStyleClass().add("reading-field");
        row.add(field);
      }
      table.addRow(i + 1, row.toArray(Node[]::new));
    }
    return new SteadyBox(4, soft(Text.of("mirrors.trial.hint", tapes())), table);
  }

  /** Where the mark for each mirror's screws is burnt, in one line. */
  private String tapes() {
    Train train = model.train();
    List<String> tapes = new ArrayList<>();
    for (int mirror = 1; mirror <= train.mirrors(); mirror++) {
      tapes.add(
          Text.of(
              "mirrors.trial.tape",
              mirror,
              words(MarkPlace.furthestAfter(mirror, train.mirrors()))));
    }
    return String.join("; ", tapes);
  }

  static String shortName(ScrewFields screw) {
    return Text.of(
        screw.sideways() ? "mirrors.screw.short.sideways" : "mirrors.screw.short.up-down",
        screw.mirror());
  }

  private Node again() {
    ComboBox<MarkPlace> place =
        Choice.of(
            "mirrors-again-place",
            List.copyOf(model.marks().keySet()),
            model.againProperty(),
            MarkPlace::words);
    place.setMaxWidth(Double.MAX_VALUE);
    place.setAccessibleText(Text.of("mirrors.again"));
    return new SteadyBox(4, soft(Text.of("mirrors.again.hint")), place, grid(model.againMark()));
  }

  private Node paths() {
    return new SteadyBox(
        4,
        choice(
            "mirrors-one-at",
            "mirrors.one-at",
            List.of(MirrorOneAt.values()),
            model.mirrorOneAtProperty()),
        grid(model.paths()));
  }

  private Node screws() {
    GridPane grid = new GridPane(6, 4);
    for (int i = 0; i < model.screws().size(); i++) {
      ScrewFields screw = model.screws().get(i);
      Node box =
          choice(
              "mirrors-" + screw.mirror() + (screw.sideways() ? "-sideways" : "-up-down"),
              "mirrors.towards",
              screw.sideways()
                  ? List.of(Towards.RIGHT, Towards.LEFT)
                  : List.of(Towards.UP, Towards.DOWN),
              screw.clockwise());
      Label label =
          soft(
              Text.of(
                  screw.sideways() ? "mirrors.screw.sideways" : "mirrors.screw.up-down",
                  screw.mirror()));
      label.setLabelFor(box);
      grid.addRow(i, label, box);
    }
    return new SteadyBox(
        6,
        choice(
            "mirrors-screws-by",
            "mirrors.screws-by",
            List.of(ScrewsBy.values()),
            model.screwsByProperty()),
        grid,
        grid(model.drawing()));
  }

  @Override
  protected void showPractice(String words) {
    practiceBar.show(words);
  }

  private void showMessage() {
    message()
        .refuse(
            model.outcomeProperty().get() instanceof MirrorOutcome.Refused(String because)
                ? Optional.of(because)
                : Optional.empty());
  }

  static String words(MarkPlace place) {
    return place.words().toLowerCase(Locale.ROOT);
  }
}
