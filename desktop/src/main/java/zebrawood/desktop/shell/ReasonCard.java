package zebrawood.desktop.shell;

import java.util.function.Consumer;
import javafx.beans.binding.Bindings;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import zebrawood.desktop.text.Text;

/** Asks why somebody goes on without the day's proof; the reason is kept. */
final class ReasonCard {
  private static final int LONGEST = 200;

  private ReasonCard() {}

  /**
   * @param what what is not proven
   */
  static void open(Cards cards, String what, Consumer<String> then) {
    TextField reason = new TextField();
    reason.setId("reason");
    reason.setAccessibleText(Text.of("reason.title"));
    reason.setPrefColumnCount(36);
    Button go =
        Card.primary(
            "reason-go",
            Text.of("reason.go"),
            () -> {
              String words = reason.getText().strip();
              cards.close();
              then.accept(words);
            });
    Label problem = Card.problem(reason, LONGEST);
    go.disableProperty()
        .bind(
            Bindings.createBooleanBinding(() -> reason.getText().isBlank(), reason.textProperty())
                .or(problem.visibleProperty()));
    cards.open(
        Card.of(
            Text.of("reason.title"),
            Card.words(Text.of("reason.missing", what)),
            Card.words(Text.of("reason.why", LONGEST)),
            reason,
            problem,
            Card.buttons(Card.button("reason-cancel", Text.of("button.cancel"), cards::close), go)),
        reason);
  }
}
