package zebrawood.desktop.start;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.scene.control.Button;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import zebrawood.desktop.sheet.AnsweredPane;
import zebrawood.desktop.sheet.Proven;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.sheet.SteadyBox;
import zebrawood.desktop.text.Text;
import zebrawood.start.GoLine;

/** The left column of the start-up sheet: the card, one key a line. */
final class StartPane extends AnsweredPane {
  private final StartModel model;
  private final Label earlier = soft("");
  private final VBox lines = new SteadyBox(8);

  /**
   * @param afterLast what Enter in the last place does
   * @param print writes the card for the wall
   */
  StartPane(StartModel model, Runnable afterLast, Runnable print) {
    super("start", afterLast);
    this.model = model;
    getChildren()
        .addAll(
            SheetFrame.columnTitle(Text.of("start.card"), soft(Text.of("cooling.keys"))),
            earlier,
            lines);
    Button wall = new Button(Text.of("start.print"));
    wall.setId("start-print");
    wall.setOnAction(e -> print.run());
    getChildren().addAll(message(), wall);
    model.cardProperty().subscribe(c -> layOut());
    model.outcomeProperty().subscribe(o -> show());
  }

  private void layOut() {
    forget(List.of(lines));
    lines.getChildren().clear();
    for (GoLine.Kind kind : GoLine.Kind.values()) {
      Map<GoLine, ObjectProperty<Proven>> asked = of(kind);
      if (!asked.isEmpty()) {
        lines
            .getChildren()
            .addAll(
                soft(Text.of("start.kind." + kind.name().toLowerCase(Locale.ROOT))),
                proofRows(asked, GoLine::id, GoLine::words));
      }
    }
    if (model.water()) {
      lines.getChildren().add(grid(List.of(model.coolant())));
    }
  }

  private Map<GoLine, ObjectProperty<Proven>> of(GoLine.Kind kind) {
    Map<GoLine, ObjectProperty<Proven>> lines = new LinkedHashMap<>();
    model
        .proofs()
        .forEach((line, proven) -> {
          if (line.kind() == kind) {
            lines.put(line, proven);
          }
        });
    return lines;
  }

  private void show() {
    long before = model.proofs().keySet().stream().filter(model::earlier).count();
    earlier.setText(before == 0 ? "" : Text.of("start.earlier", before));
    earlier.setVisible(before > 0);
    earlier.setManaged(before > 0);
    message()
        .refuse(
            model.outcomeProperty().get() instanceof StartOutcome.Refused(String because)
                ? Optional.of(because)
                : Optional.empty());
  }

  @Override
  protected boolean unanswered(Control control) {
    return super.unanswered(control)
        && model.proofs().keySet().stream()
            .noneMatch(
                line -> model.earlier(line) && ("proof-" + line.id()).equals(control.getId()));
  }
}
