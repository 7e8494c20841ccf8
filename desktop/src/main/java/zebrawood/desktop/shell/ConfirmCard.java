package zebrawood.desktop.shell;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.layout.VBox;
import zebrawood.desktop.text.Text;

/** What is about to be done, line by line, with its caution; nothing is done that was not seen. */
final class ConfirmCard {
  private static final double LINE = 26;
  private static final int MOST_LINES = 12;

  private ConfirmCard() {}

  static void open(
      Cards cards,
      String title,
      String why,
      List<String> lines,
      String caution,
      String words,
      Runnable then) {
    ListView<String> list = new ListView<>();
    list.setId("confirm-lines");
    list.getItems().setAll(lines);
    list.setFixedCellSize(LINE);
    list.setPrefSize(520, LINE * Math.clamp(lines.size(), 1, MOST_LINES) + 6);
    list.setAccessibleText(title);
    Label careful = Card.words(caution);
    careful.getStyleClass().add("caution");
    careful.setVisible(!caution.isEmpty());
    careful.setManaged(!caution.isEmpty());
    Button go =
        Card.primary(
            "confirm-go",
            words,
            () -> {
              cards.close();
              then.run();
            });
    VBox card =
        Card.of(
            title,
            Card.words(why),
            list,
            careful,
            Card.buttons(
                Card.button("confirm-cancel", Text.of("button.cancel"), cards::close), go));
    cards.open(card, go);
  }
}
