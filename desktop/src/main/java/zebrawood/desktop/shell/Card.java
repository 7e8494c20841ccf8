package zebrawood.desktop.shell;

import java.util.List;
import java.util.function.UnaryOperator;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import zebrawood.desktop.form.PlainWords;
import zebrawood.desktop.sheet.WrappedLabel;
import zebrawood.desktop.text.Text;

/** Makes the parts that cards have in common. */
final class Card {
  private Card() {}

  static VBox of(String title, Node... parts) {
    Label heading = new Label(title);
    heading.getStyleClass().add("card-title");
    VBox card = new VBox(12, heading);
    card.getChildren().addAll(parts);
    return card;
  }

  static Label words(String words) {
    Label label = new WrappedLabel(words);
    label.setMaxWidth(520);
    return label;
  }

  static HBox buttons(Button... buttons) {
    HBox row = new HBox(8);
    row.setAlignment(Pos.CENTER_RIGHT);
    row.getChildren().setAll(List.of(buttons));
    return row;
  }

  /** Below a field, what cannot be used of what is typed there. */
  static Label problem(TextField field, int longest) {
    return problem(
        field, words -> PlainWords.problem(words, longest).map(Text.words()::sentence).orElse(""));
  }

  /**
   * The same, judged otherwise.
   *
   * @param judge what is wrong with the words; nothing where they can be used
   */
  static Label problem(TextField field, UnaryOperator<String> judge) {
    Label problem = words("");
    problem.getStyleClass().add("refusal");
    problem
        .textProperty()
        .bind(
            Bindings.createStringBinding(() -> judge.apply(field.getText()), field.textProperty()));
    problem.visibleProperty().bind(problem.textProperty().isNotEmpty());
    problem.managedProperty().bind(problem.visibleProperty());
    return problem;
  }

  static Button button(String id, String words, Runnable run) {
    Button button = new Button(words);
    button.setId(id);
    button.setOnAction(e -> run.run());
    return button;
  }

  static Button primary(String id, String words, Runnable run) {
    Button button = button(id, words, run);
    button.getStyleClass().add("primary");
    button.setDefaultButton(true);
    return button;
  }
}
