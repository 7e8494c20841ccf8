package zebrawood.desktop.shell;

import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.words.Message;

/** The workshop file is gone, or damaged: where all that is known goes on. */
final class LostFileCard {
  private final Cards cards;
  private final WorkshopModel workshop;
  private final TextField file = new TextField();
  private final Label problem = Card.words("");
  private final Button save = Card.primary("lost-save", Text.of("lost.save"), this::save);

  private LostFileCard(Cards cards, WorkshopModel workshop) {
    this.cards = cards;
    this.workshop = workshop;
  }

  static void open(Cards cards, WorkshopModel workshop) {
    new LostFileCard(cards, workshop).show();
  }

  private void show() {
    file.setId("lost-file");
    file.setText(another(workshop.file()).toString());
    file.setPrefColumnCount(42);
    Label label = new Label(Text.of("lost.file"));
    label.setLabelFor(file);
    problem.setId("lost-problem");
    problem.getStyleClass().add("refusal");
    problem.managedProperty().bind(problem.textProperty().isNotEmpty());
    boolean damaged = workshop.fileState().damage().isPresent();
    HBox buttons =
        Card.buttons(Card.button("lost-cancel", Text.of("lost.look"), cards::close), save);
    if (damaged) {
      buttons
          .getChildren()
          .addFirst(
              Card.button(
                  "lost-restore",
                  Text.of("restore.title"),
                  () -> {
                    cards.close();
                    RestoreCard.open(cards, workshop);
                  }));
    }
    VBox card =
        Card.of(
            Text.of(damaged ? "lost.damaged" : "lost.title"),
            Card.words(
                workshop
                    .fileState()
                    .damage()
                    .map(Text.words()::sentence)
                    .orElseGet(() -> Text.of("lost.why", workshop.file().toString()))),
            Card.words(Text.of("lost.do")),
            new VBox(2, label, file),
            problem,
            buttons);
    cards.open(card, save);
  }

  /** Beside the file that is gone, under a name that is free. */
  private static Path another(Path gone) {
    String name = gone.getFileName().toString();
    int dot = name.lastIndexOf('.');
    String plain = dot > 0 ? name.substring(0, dot) : name;
    String ending = dot > 0 ? name.substring(dot) : "";
    Path free = gone;
    for (int i = 2; free.equals(gone) || free.toFile().exists(); i++) {
      free = gone.resolveSibling(plain + "-" + i + ending);
    }
    return free;
  }

  private void save() {
    Path chosen;
    try {
      chosen = Path.of(file.getText().strip());
    } catch (InvalidPathException e) {
      problem.setText(Text.of("handover.failed", String.valueOf(e.getReason())));
      return;
    }
    save.setDisable(true);
    workshop.fileState().goOnIn(chosen, this::done);
  }

  private void done(Optional<Message> refused) {
    save.setDisable(false);
    if (refused.isPresent()) {
      problem.setText(Text.words().sentence(refused.get()));
    } else {
      cards.close();
    }
  }
}
