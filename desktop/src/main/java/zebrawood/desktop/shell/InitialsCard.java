package zebrawood.desktop.shell;

import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import zebrawood.desktop.text.Text;

/** Asks for the initials that every entry carries. */
final class InitialsCard {
  static final int LONGEST = 6;

  private InitialsCard() {}

  static void open(Cards cards, String now, Consumer<String> use) {
    TextField field = new TextField(now);
    field.setId("initials");
    field.setAccessibleText(Text.of("initials.title"));
    Button save =
        Card.primary(
            "initials-save",
            Text.of("initials.save"),
            () -> {
              cards.close();
              use.accept(field.getText().strip());
            });
    Label problem = Card.problem(field, LONGEST);
    save.disableProperty()
        .bind(
            javafx.beans.binding.Bindings.createBooleanBinding(
                    () -> field.getText().isBlank(), field.textProperty())
                .or(problem.visibleProperty()));
    VBox card =
        Card.of(
            Text.of("initials.title"),
            Card.words(Text.of("initials.why", LONGEST)),
            field,
            problem,
            Card.buttons(
                Card.button("initials-cancel", Text.of("button.cancel"), cards::close), save));
    cards.open(card, field);
  }
}
