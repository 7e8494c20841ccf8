package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import zebrawood.desktop.fields.EntryField;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.sheet.AnsweredPane;
import zebrawood.desktop.sheet.PracticeBar;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.text.Text;
import zebrawood.mirrors.MirrorReadings.Towards;

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
            marks(),
            message(),
            soft(Text.of("mirrors.hint")),
            practiceBar,
            part("mirrors.pulse", soft(Text.of("mirrors.pulse.hint")), field(model.leastPulse())),
            part("mirrors.limits", grid(model.limits())),
            part(
                "mirrors.paths",
                choice(
                    "mirrors-one-at",
                    "mirrors.one-at",
                    List.of(MirrorOneAt.values()),
                    model.mirrorOneAtProperty()),
                grid(model.paths())),
            part("mirrors.screws", screws()));
    model.outcomeProperty().subscribe(o -> showMessage());
  }

  private GridPane marks() {
    GridPane grid = new GridPane(4, 4);
    grid.getStyleClass().add("bed-grid");
    ColumnConstraints wide = new ColumnConstraints();
    wide.setHgrow(Priority.ALWAYS);
    grid.getColumnConstraints().addAll(wide, new ColumnConstraints(74), new ColumnConstraints(74));
    grid.addRow(
        0,
        soft(Text.of("mirrors.mark")),
        soft(Text.of("mirrors.right")),
        soft(Text.of("mirrors.up")));
    model
        .marks()
        .forEach((place, entries) -> {
          List<Node> row = new ArrayList<>(List.of(new Label(place.words())));
          for (NumberEntry entry : entries) {
            EntryField field = field(entry);
            field.getStyleClass().add("reading-field");
            row.add(field);
          }
          grid.addRow(place.ordinal() + 1, row.toArray(Node[]::new));
        });
    return grid;
  }

  private GridPane screws() {
    GridPane grid = new GridPane(6, 4);
    List<String> names = List.of("1-sideways", "1-up-down", "2-sideways", "2-up-down");
    for (int i = 0; i < names.size(); i++) {
      boolean sideways = i % 2 == 0;
      Node box =
          choice(
              "mirrors-" + names.get(i),
              "mirrors.towards",
              sideways ? List.of(Towards.RIGHT, Towards.LEFT) : List.of(Towards.UP, Towards.DOWN),
              model.clockwise().get(i));
      Label label =
          soft(
              Text.of(
                  sideways ? "mirrors.screw.sideways" : "mirrors.screw.up-down",
                  names.get(i).charAt(0)));
      label.setLabelFor(box);
      grid.addRow(i, label, box);
    }
    GridPane all = new GridPane(0, 6);
    all.addColumn(0, soft(Text.of("mirrors.screws.hint")), grid, grid(model.screws()));
    return all;
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
