package zebrawood.desktop.sheet;

import java.util.Locale;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.ProofField.Answer;
import zebrawood.desktop.text.Text;

/** One thing to prove, answered with one key: the first letter of yes or of no. */
public final class ProofRow extends HBox {
  static final String ANSWER = "proof-answer";

  /** The answer is still open. */
  public static final PseudoClass OPEN = PseudoClass.getPseudoClass("open");

  private final Button answer = new Button();

  /**
   * @param next where the focus goes after an answer
   */
  public ProofRow(ProofField field, Runnable next) {
    String what = Text.of(field.label());
    WrappedLabel words = new WrappedLabel(what, "proof-words");
    HBox.setHgrow(words, Priority.ALWAYS);
    words.setMaxWidth(Double.MAX_VALUE);
    answer.setId("proof-" + field.item());
    answer.setMinWidth(76);
    answer.getStyleClass().add(ANSWER);
    answer.setOnAction(e -> field.set(after(field.get())));
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
                  field.set(typed);
                  next.run();
                }));
    field.answerProperty().subscribe(a -> show(field, what));
    field.settledProperty().subscribe(s -> show(field, what));
    setSpacing(8);
    getChildren().addAll(words, answer);
  }

  private void show(ProofField field, String what) {
    boolean earlier = field.isEmpty() && field.settledProperty().get();
    String state = earlier ? Text.of("form.settled") : Text.of(field.get());
    answer.setText(state);
    answer.pseudoClassStateChanged(OPEN, field.isEmpty() && !earlier);
    answer.setAccessibleText(Text.of("form.answer", what, state));
  }

  private static Optional<Answer> byLetter(String typed) {
    String letter = typed.toLowerCase(Locale.ROOT);
    if (letter.isBlank()) {
      return Optional.empty();
    }
    if (Text.of("form.letter.yes").equals(letter)) {
      return Optional.of(Answer.YES);
    }
    return Text.of("form.letter.no").equals(letter) ? Optional.of(Answer.NO) : Optional.empty();
  }

  private static Answer after(Answer now) {
    return switch (now) {
      case NOT_YET -> Answer.YES;
      case YES -> Answer.NO;
      case NO -> Answer.NOT_YET;
    };
  }

  public Button answer() {
    return answer;
  }
}
