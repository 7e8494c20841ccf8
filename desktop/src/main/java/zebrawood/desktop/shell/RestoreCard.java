package zebrawood.desktop.shell;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.records.workshop.Backups.Backup;
import zebrawood.records.workshop.Restored;
import zebrawood.words.Message;

/** The copies of the workshop, and one of them put in its place. */
final class RestoreCard {
  private static final double LINE = 28;
  private static final int MOST_SHOWN = 8;

  private final Cards cards;
  private final WorkshopModel workshop;
  private final ListView<Backup> list = new ListView<>();
  private final Label problem = Card.words("");
  private final Button go = Card.primary("restore-go", Text.of("restore.go"), this::pressed);

  private RestoreCard(Cards cards, WorkshopModel workshop) {
    this.cards = cards;
    this.workshop = workshop;
  }

  static void open(Cards cards, WorkshopModel workshop) {
    RestoreCard card = new RestoreCard(cards, workshop);
    workshop.fileState().copies(card::show);
  }

  private void show(List<Backup> copies) {
    if (copies.isEmpty()) {
      workshop.say(Text.of("restore.none"));
      return;
    }
    list.setId("restore-copies");
    list.setAccessibleText(Text.of("restore.title"));
    list.setCellFactory(view -> new Cell());
    list.setFixedCellSize(LINE);
    list.getItems().setAll(copies);
    list.setPrefSize(520, LINE * Math.min(copies.size(), MOST_SHOWN) + 6);
    list.getSelectionModel().selectFirst();
    list.addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.ENTER && !go.isDisabled()) {
            e.consume();
            pressed();
          }
        });
    problem.setId("restore-problem");
    problem.getStyleClass().add("refusal");
    problem.managedProperty().bind(problem.textProperty().isNotEmpty());
    go.disableProperty().bind(list.getSelectionModel().selectedItemProperty().isNull());
    VBox card =
        Card.of(
            Text.of("restore.title"),
            Card.words(Text.of("restore.why")),
            list,
            problem,
            Card.buttons(
                Card.button("restore-cancel", Text.of("button.cancel"), cards::close), go));
    cards.open(card, list);
  }

  private final class Cell extends ListCell<Backup> {
    @Override
    protected void updateItem(Backup copy, boolean empty) {
      super.updateItem(copy, empty);
      setText(
          empty || copy == null
              ? ""
              : Text.of("restore.copy", DayWords.dayAndYear(copy.day()), copy.kilobytes()));
    }
  }

  private void pressed() {
    Backup copy = list.getSelectionModel().getSelectedItem();
    workshop
        .fileState()
        .restore(
            copy.file(),
            restored -> {
              switch (restored) {
                case Restored.Done(var aside) -> {
                  cards.close();
                  workshop.say(
                      Text.of("restore.done", DayWords.dayAndYear(copy.day()), aside.toString()));
                }
                case Restored.Refused(Message because) ->
                    problem.setText(Text.words().sentence(because));
              }
            });
  }
}
