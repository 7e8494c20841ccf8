package zebrawood.desktop.shell;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.binding.Bindings;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.text.TypedTime;

/** Asks when something was read; the day it is entered is kept beside it. */
final class TimeCard {
  private TimeCard() {}

  static void open(Cards cards, Clock clock, String why, Consumer<Optional<Instant>> then) {
    TextField at = new TextField();
    at.setId("read-on-at");
    at.setAccessibleText(Text.of("dating.title"));
    at.setPromptText(Text.of("dating.prompt"));
    Label problem =
        Card.problem(
            at,
            words ->
                words.isBlank() || typed(at, clock).isPresent() ? "" : Text.of("event.at.bad"));
    Button set =
        Card.primary(
            "read-on-set",
            Text.of("dating.set"),
            () -> {
              Optional<Instant> time =
                  typed(at, clock).map(t -> t.first().atZone(clock.getZone()).toInstant());
              cards.close();
              then.accept(time);
            });
    set.disableProperty()
        .bind(Bindings.createBooleanBinding(() -> typed(at, clock).isEmpty(), at.textProperty()));
    Button now =
        Card.button(
            "read-on-now",
            Text.of("dating.now"),
            () -> {
              cards.close();
              then.accept(Optional.empty());
            });
    cards.open(
        Card.of(
            Text.of("dating.title"),
            Card.words(why),
            at,
            problem,
            Card.buttons(
                Card.button("read-on-cancel", Text.of("button.cancel"), cards::close), now, set)),
        at);
  }

  private static Optional<TypedTime> typed(TextField at, Clock clock) {
    return TypedTime.read(at.getText(), LocalDateTime.ofInstant(clock.instant(), clock.getZone()));
  }
}
