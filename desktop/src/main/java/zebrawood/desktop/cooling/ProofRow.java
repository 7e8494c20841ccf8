package zebrawood.desktop.cooling;

import javafx.beans.property.ObjectProperty;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import zebrawood.desktop.cooling.CoolingModel.Proven;
import zebrawood.desktop.text.Text;
import zebrawood.site.CoolingReadings.Item;

/** One thing to prove, answered with one key: y it is so, n it is not. */
final class ProofRow extends HBox {
  private final Button answer = new Button();

  /**
   * @param next where the focus goes after an answer
   */
  ProofRow(Item item, ObjectProperty<Proven> proven, Runnable next) {
    Label words = new Label(item.words());
    words.setWrapText(true);
    words.setMinHeight(Region.USE_PREF_SIZE);
    words.getStyleClass().add("proof-words");
    HBox.setHgrow(words, Priority.ALWAYS);
    words.setMaxWidth(Double.MAX_VALUE);
    answer.setId("proof-" + item.name().toLowerCase(java.util.Locale.ROOT));
    answer.setMinWidth(76);
    answer.getStyleClass().add("proof-answer");
    answer.setOnAction(e -> proven.set(after(proven.get())));
    answer.addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.Y || e.getCode() == KeyCode.N) {
            proven.set(e.getCode() == KeyCode.Y ? Proven.YES : Proven.NO);
            e.consume();
            next.run();
          } else if (e.getCode() == KeyCode.ENTER) {
            e.consume();
            next.run();
          }
        });
    proven.subscribe(p -> {
      String state = Text.of("proof." + p.name().toLowerCase(java.util.Locale.ROOT));
      answer.setText(state);
      answer.setAccessibleText(item.words() + ": " + state);
    });
    setSpacing(8);
    getChildren().addAll(words, answer);
  }

  private static Proven after(Proven now) {
    return switch (now) {
      case NOT_YET -> Proven.YES;
      case YES -> Proven.NO;
      case NO -> Proven.NOT_YET;
    };
  }

  Button answer() {
    return answer;
  }
}
