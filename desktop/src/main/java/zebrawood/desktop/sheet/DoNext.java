package zebrawood.desktop.sheet;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.desktop.text.Text;

/**
 * One big instruction, the rest below it, warnings, the caution that belongs to it, two buttons.
 */
public final class DoNext extends VBox {
  private final Label count = new Label();
  private final VBox body = new VBox();
  private final Label caution = new Label();
  private final Button primary = new Button();
  private final Button secondary = new Button();

  public DoNext(Runnable onPrimary, Runnable onSecondary) {
    getStyleClass().add("do-next");
    count.getStyleClass().add("soft");
    body.getStyleClass().add("do-next-body");
    caution.getStyleClass().add("caution");
    caution.setWrapText(true);
    caution.setMinHeight(Region.USE_PREF_SIZE);
    primary.getStyleClass().add("primary");
    primary.setId("primary");
    primary.setOnAction(e -> onPrimary.run());
    secondary.setId("secondary");
    secondary.setOnAction(e -> onSecondary.run());
    FlowPane buttons = new FlowPane(8, 8, primary, secondary);
    ScrollPane steps = SheetFrame.scrolling(body);
    steps.setId("steps");
    getChildren()
        .addAll(SheetFrame.columnTitle(Text.of("sheet.do-next"), count), steps, caution, buttons);
  }

  /** A button's words, and whether it can be pressed. */
  public record Choice(String words, boolean possible) {}

  public void show(
      List<Step> steps, List<String> warnings, String cautionWords, Choice first, Choice second) {
    count.setText(steps.size() > 1 ? Text.of("sheet.steps", steps.size()) : "");
    body.getChildren().clear();
    if (!steps.isEmpty()) {
      body.getChildren().add(bigStep(steps.getFirst()));
      steps.stream().skip(1).map(DoNext::furtherStep).forEach(body.getChildren()::add);
    }
    for (String warning : warnings) {
      body.getChildren().add(wrapped("▲ " + warning, "warning"));
    }
    caution.setText(cautionWords);
    caution.setVisible(!cautionWords.isEmpty());
    caution.setManaged(!cautionWords.isEmpty());
    show(primary, first);
    show(secondary, second);
  }

  private static void show(Button button, Choice choice) {
    button.setText(choice.words());
    button.setDisable(!choice.possible());
    button.setVisible(!choice.words().isEmpty());
    button.setManaged(!choice.words().isEmpty());
  }

  public void focusPrimary() {
    primary.requestFocus();
  }

  private static Region bigStep(Step step) {
    VBox card = new VBox();
    card.getStyleClass().add("big-step");
    if (!step.where().isEmpty()) {
      card.getChildren().add(wrapped(step.where(), "soft"));
    }
    card.getChildren().add(wrapped(step.big(), step.big().length() > 60 ? "fairly-big" : "big"));
    if (!step.small().isEmpty()) {
      card.getChildren().add(wrapped(step.small(), "soft"));
    }
    return card;
  }

  private static Region furtherStep(Step step) {
    VBox row = new VBox(wrapped(step.inOneLine(), "further-big"));
    row.getStyleClass().add("further-step");
    if (!step.small().isEmpty()) {
      row.getChildren().add(wrapped(step.small(), "soft"));
    }
    return row;
  }

  private static Label wrapped(String words, String styleClass) {
    Label label = new Label(words);
    label.getStyleClass().add(styleClass);
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    return label;
  }
}
