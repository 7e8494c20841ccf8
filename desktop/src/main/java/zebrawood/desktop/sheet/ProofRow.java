package zebrawood.desktop.sheet;

import java.util.Locale;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import zebrawood.desktop.text.Text;

/** One thing to prove, answered with one key: y it is so, n it is not. */
public final class ProofRow extends HBox {
  static final String ANSWER = "proof-answer";

  /** The answer is still open. */
  public static final PseudoClass OPEN = PseudoClass.getPseudoClass("open");

  private final Button answer = new Button();

  /**
   * @param item what it is called by, in capitals with underscores
   * @param next where the focus goes after an answer
   */
  public ProofRow(String item, String what, ObjectProperty<Proven> proven, Runnable next) {
    Prose words = new Prose(what, "proof-words");
    HBox.setHgrow(words, Priority.ALWAYS);
    words.setMaxWidth(Double.MAX_VALUE);
    answer.setId("proof-" + item.toLowerCase(Locale.ROOT));
    answer.setMinWidth(76);
    answer.getStyleClass().add(ANSWER);
    answer.setOnAction(e -> proven.set(after(proven.get())));
    answer.addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.ENTER) {
            e.consume();
            next.run();
          }
        });
    // As it is typed, not as it is pressed: else the letter would land in a field that is next.
    answer.addEventFilter(
        KeyEvent.KEY_TYPED,
        e ->
            byLetter(e.getCharacter())
                .ifPresent(typed -> {
                  e.consume();
                  proven.set(typed);
                  next.run();
                }));
    proven.subscribe(p -> {
      String state = Text.of("proof." + p.name().toLowerCase(Locale.ROOT));
      answer.setText(state);
      answer.pseudoClassStateChanged(OPEN, p == Proven.NOT_YET);
      answer.setAccessibleText(what + ": " + state);
    });
    setSpacing(8);
    getChildren().addAll(words, answer);
  }

  private static Optional<Proven> byLetter(String typed) {
    return switch (typed) {
      case "y", "Y" -> Optional.of(Proven.YES);
      case "n", "N" -> Optional.of(Proven.NO);
      default -> Optional.empty();
    };
  }

  private static Proven after(Proven now) {
    return switch (now) {
      case NOT_YET -> Proven.YES;
      case YES -> Proven.NO;
      case NO -> Proven.NOT_YET;
    };
  }

  public Button answer() {
    return answer;
  }
}
