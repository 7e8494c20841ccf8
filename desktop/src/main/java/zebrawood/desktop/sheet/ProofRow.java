package zebrawood.desktop.sheet;

import java.util.Locale;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import zebrawood.desktop.text.Text;

/** One thing to prove, answered with one key: y it is so, n it is not, x there is none. */
public final class ProofRow extends HBox {
  private final Button answer = new Button();

  private final boolean mayBeMissing;

  /**
   * @param item what it is called by, in capitals with underscores
   * @param mayBeMissing whether there are machines without it
   * @param next where the focus goes after an answer
   */
  public ProofRow(
      String item,
      String what,
      boolean mayBeMissing,
      ObjectProperty<Proven> proven,
      Runnable next) {
    this.mayBeMissing = mayBeMissing;
    Label words = new Label(what);
    words.setWrapText(true);
    words.setMinHeight(Region.USE_PREF_SIZE);
    words.getStyleClass().add("proof-words");
    HBox.setHgrow(words, Priority.ALWAYS);
    words.setMaxWidth(Double.MAX_VALUE);
    answer.setId("proof-" + item.toLowerCase(Locale.ROOT));
    answer.setMinWidth(76);
    answer.getStyleClass().add("proof-answer");
    answer.setOnAction(e -> proven.set(after(proven.get())));
    answer.addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          Optional<Proven> typed = byKey(e.getCode());
          if (typed.isPresent() || e.getCode() == KeyCode.ENTER) {
            e.consume();
            typed.ifPresent(proven::set);
            next.run();
          }
        });
    proven.subscribe(p -> {
      String state = Text.of("proof." + p.name().toLowerCase(Locale.ROOT));
      answer.setText(state);
      answer.setAccessibleText(what + ": " + state);
    });
    setSpacing(8);
    getChildren().addAll(words, answer);
  }

  private Optional<Proven> byKey(KeyCode key) {
    return switch (key) {
      case Y -> Optional.of(Proven.YES);
      case N -> Optional.of(Proven.NO);
      case X -> mayBeMissing ? Optional.of(Proven.NOT_FITTED) : Optional.empty();
      default -> Optional.empty();
    };
  }

  private Proven after(Proven now) {
    return switch (now) {
      case NOT_YET -> Proven.YES;
      case YES -> Proven.NO;
      case NO -> mayBeMissing ? Proven.NOT_FITTED : Proven.NOT_YET;
      case NOT_FITTED -> Proven.NOT_YET;
    };
  }

  public Button answer() {
    return answer;
  }
}
