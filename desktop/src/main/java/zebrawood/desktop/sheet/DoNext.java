package zebrawood.desktop.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.station.SheetModel;
import zebrawood.desktop.station.Step;
import zebrawood.desktop.text.Text;

/**
 * One big instruction, the rest below it, warnings, the caution that belongs to it, two buttons.
 * Rows are kept, hidden and filled anew, since advice follows every keystroke and a row that is put
 * in costs its style again.
 */
public final class DoNext extends HeightCachingBox {
  /** A longer instruction is set in a smaller size. */
  private static final int SHORT = 60;

  private static final double LEAST_STEPS = 80;

  /** Where there is less room the buttons come before a picture. */
  private static final double LEAST_FOR_PICTURE = 380;

  private static final double LEAST_FOR_CAUTION = 340;

  private static final double AMOUNT_WIDTH = 128;

  /** More letters are no amount, but a sentence. */
  private static final int LONGEST_AMOUNT = 30;

  private final Label count = new Label();
  private final VBox body = new HeightCachingBox();
  private final Row first = new Row("big-step", "big");
  private final List<Row> further = new ArrayList<>();
  private final List<Label> warnings = new ArrayList<>();
  private final Label caution = new WrappedLabel("", "caution");
  private final Button primary = new Button();
  private final Button secondary = new Button();
  private final Button readOn = new Button();

  public DoNext(Runnable onPrimary, Runnable onSecondary, Runnable onReadOn) {
    getStyleClass().add("do-next");
    count.getStyleClass().add("soft");
    body.getStyleClass().add("do-next-body");
    body.getChildren().add(first);
    primary.getStyleClass().add("primary");
    primary.setId("primary");
    primary.setOnAction(e -> onPrimary.run());
    secondary.setId("secondary");
    secondary.setOnAction(e -> onSecondary.run());
    readOn.setId("read-on");
    readOn.getStyleClass().add("flat");
    readOn.setOnAction(e -> onReadOn.run());
    FlowPane buttons = new FlowPane(8, 8, primary, secondary, readOn);
    ScrollPane steps = SheetFrame.scrolling(body);
    steps.setId("steps");
    steps.setMinHeight(LEAST_STEPS);
    // As high as the steps are when wrapped, as long as there is room.
    VBox.setVgrow(steps, Priority.ALWAYS);
    body.heightProperty()
        .subscribe(h -> {
          steps.setPrefViewportHeight(Math.min(h.doubleValue(), LEAST_STEPS));
          // Asked for during a layout, a new one would be forgotten.
          Platform.runLater(() -> steps.setMaxHeight(h.doubleValue() + 2));
        });
    getChildren()
        .addAll(SheetFrame.columnTitle(Text.of("sheet.do-next"), count), steps, caution, buttons);
    heightProperty()
        .subscribe(h -> {
          boolean low = h.doubleValue() > 0 && h.doubleValue() < LEAST_FOR_CAUTION;
          // Asked for during a layout, a new one would be forgotten.
          Platform.runLater(() -> placeCaution(low));
        });
  }

  /** In a low window the caution comes before the steps, so that the buttons stay in it. */
  private void placeCaution(boolean low) {
    if (low == body.getChildren().contains(caution)) {
      return;
    }
    getChildren().remove(caution);
    body.getChildren().remove(caution);
    if (low) {
      body.getChildren().addFirst(caution);
    } else {
      getChildren().add(getChildren().size() - 1, caution);
    }
  }

  /** A small picture between the steps and the caution. */
  void setBeside(Region picture) {
    getChildren().add(getChildren().size() - 1, picture);
    heightProperty().subscribe(h -> showIf(picture, h.doubleValue() > LEAST_FOR_PICTURE));
  }

  public void show(
      List<Step> steps,
      List<String> warningWords,
      String cautionWords,
      SheetModel.Choice one,
      SheetModel.Choice other,
      SheetModel.Choice dating) {
    Topic.mark(this, steps.stream().map(Step::about).collect(Collectors.joining("\n")));
    count.setText(steps.size() > 1 ? Text.of("sheet.steps", steps.size()) : "");
    for (int i = 0; i < steps.size(); i++) {
      Step step = steps.get(i);
      if (i == 0) {
        first.fill(step.where(), step.big(), step.small());
        first.setLong(step.big().length() > SHORT);
      } else {
        if (further.size() < i) {
          further.add(new Row("further-step", "further-big"));
          body.getChildren()
              .add(body.getChildren().indexOf(first) + further.size(), further.getLast());
        }
        further.get(i - 1).fillOfMany(step);
      }
    }
    for (int i = 0; i < warningWords.size(); i++) {
      if (warnings.size() <= i) {
        warnings.add(wrapped("warning"));
        body.getChildren().add(warnings.getLast());
      }
      warnings.get(i).setText("▲ " + warningWords.get(i));
    }
    showIf(first, !steps.isEmpty());
    showFirst(further, steps.size() - 1);
    showFirst(warnings, warningWords.size());
    forget(steps.size(), warningWords.size());
    caution.setText(cautionWords);
    showIf(caution, !cautionWords.isEmpty());
    show(primary, one);
    show(secondary, other);
    show(readOn, dating);
  }

  private static void show(Button button, SheetModel.Choice choice) {
    button.setText(choice.words());
    button.setDisable(!choice.enabled());
    showIf(button, !choice.words().isEmpty());
  }

  private static void showFirst(List<? extends Node> rows, int count) {
    for (int i = 0; i < rows.size(); i++) {
      showIf(rows.get(i), i < count);
    }
  }

  /** What is hidden says nothing, to whoever looks for words. */
  private void forget(int steps, int warned) {
    if (steps == 0) {
      first.forget();
    }
    further.stream().skip(Math.max(0, steps - 1)).forEach(Row::forget);
    warnings.stream().skip(warned).forEach(label -> label.setText(""));
  }

  private static void showIf(Node node, boolean shown) {
    node.setVisible(shown);
    node.setManaged(shown);
  }

  public void focusPrimary() {
    primary.requestFocus();
  }

  private static Label wrapped(String styleClass) {
    return new WrappedLabel("", styleClass);
  }

  /** Where, what and how exactly; each only when there is something to say. */
  private static final class Row extends HeightCachingBox {
    private static final PseudoClass LONG = PseudoClass.getPseudoClass("long");
    private final Label where = wrapped("soft");
    private final Label big;
    private HBox further;
    private Label amount;
    private final Label small = wrapped("soft");

    Row(String styleClass, String bigStyle) {
      big = wrapped(bigStyle);
      getStyleClass().add(styleClass);
      getChildren().addAll(where, big, small);
    }

    void fill(String whereWords, String bigWords, String smallWords) {
      where.setText(whereWords);
      showIf(where, !whereWords.isEmpty());
      big.setText(bigWords);
      small.setText(smallWords);
      showIf(small, !smallWords.isEmpty());
    }

    /** What to touch at the left, how far at the right; in one line where nothing is set apart. */
    void fillOfMany(Step step) {
      boolean apart =
          step.amount() && !step.where().isEmpty() && step.big().length() <= LONGEST_AMOUNT;
      if (further == null) {
        amount = wrapped("further-amount");
        amount.setMinWidth(AMOUNT_WIDTH);
        amount.setMaxWidth(AMOUNT_WIDTH);
        amount.setAlignment(Pos.TOP_RIGHT);
        HBox.setHgrow(big, Priority.ALWAYS);
        big.setMaxWidth(Double.MAX_VALUE);
        further = new HeightCachingRow(8, big, amount);
        getChildren().setAll(further, small);
      }
      big.setText(apart ? step.where() : step.inOneLine());
      amount.setText(apart ? step.big() : "");
      showIf(amount, apart);
      small.setText(step.small());
      showIf(small, !step.small().isEmpty());
      setAccessibleText(step.inOneLine());
    }

    void forget() {
      where.setText("");
      big.setText("");
      if (amount != null) {
        amount.setText("");
      }
      small.setText("");
    }

    void setLong(boolean isLong) {
      big.pseudoClassStateChanged(LONG, isLong);
    }
  }
}
