package zebrawood.desktop.sheet;

import java.util.List;
import java.util.function.Function;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.text.Text;

/** The way into a practice on a stand-in, where it stands, and doing other than is advised. */
public final class PracticeBar extends HeightCachingBox {
  private final Practice<?, ?, ?, ?> practice;
  private final Label words = new WrappedLabel("", "practice");
  private final Button practise = new Button(Text.of("practice.start"));
  private final Button readAll = new Button(Text.of("practice.read-all"));
  private final SimpleObjectProperty<Practice.Deed<?>> deed = new SimpleObjectProperty<>();
  private final ComboBox<Practice.Deed<?>> deeds;
  private final HBox amountPlace = new HBox();
  private final Button act = new Button(Text.of("practice.act"));
  private final HBox instead;
  private QuantityField amount;

  /**
   * @param onReadAll fills the readings from the stand-in
   * @param onAct what follows when something was done
   */
  public PracticeBar(
      Practice<?, ?, ?, ?> practice, Runnable onStart, Runnable onReadAll, Runnable onAct) {
    this.practice = practice;
    practise.setId("practise");
    practise.setOnAction(e -> onStart.run());
    readAll.setId("read-all");
    readAll.setOnAction(e -> onReadAll.run());
    Function<Practice.Deed<?>, String> said = d -> Text.of(d.what());
    deeds = Choices.box("practice-deed", List.of(), deed, said);
    deeds.setAccessibleText(Text.of("practice.instead"));
    deeds.setMaxWidth(Double.MAX_VALUE);
    deeds.setMinWidth(0);
    HBox.setHgrow(deeds, Priority.ALWAYS);
    act.setId("practice-act");
    act.setMinWidth(USE_PREF_SIZE);
    act.setOnAction(e -> act(onAct));
    instead = new HBox(6, deeds, amountPlace, act);
    deed.subscribe(d -> showAmount());
    setSpacing(8);
    getChildren()
        .addAll(
            words,
            new HBox(8, practise, readAll),
            FormPane.soft(Text.of("practice.instead")),
            instead);
    show("");
  }

  private void showAmount() {
    boolean measured = deed.get() != null && deed.get().measured();
    amountPlace.setVisible(measured);
    amountPlace.setManaged(measured);
  }

  private void act(Runnable onAct) {
    Practice.Deed<?> chosen = deed.get();
    if (chosen == null) {
      deeds.requestFocus();
      return;
    }
    if (chosen.measured() && (amount.problem().isPresent() || amount.value().isEmpty())) {
      amountPlace.getChildren().getFirst().requestFocus();
      return;
    }
    practice.act(chosen, chosen.measured() ? amount.number() : 0);
    onAct.run();
  }

  /** What can be done now, and a fresh amount, in the units shown now. */
  private void offer() {
    deeds.getItems().setAll(practice.choicesOfDeeds());
    deed.set(deeds.getItems().getFirst());
    amount = practice.newAmount();
    TypedControl typed = new TypedControl(amount);
    typed.setId("practice-amount");
    typed.setPrefColumnCount(4);
    typed.setOnAction(e -> act.fire());
    typed.setMinWidth(USE_PREF_SIZE);
    String symbol = amount.symbol();
    amountPlace.getChildren().setAll(typed);
    amountPlace
        .getChildren()
        .add(FormPane.soft(symbol.isEmpty() ? Text.of("practice.turns") : symbol));
  }

  /** Where the practice stands; empty when there is none. */
  public void show(String practiceWords) {
    boolean practising = !practiceWords.isEmpty();
    if (practising && !readAll.isVisible()) {
      offer();
    }
    words.setText(practiceWords);
    for (Node node : List.of(words, readAll, getChildren().get(2), instead)) {
      node.setVisible(practising);
      node.setManaged(practising);
    }
    practise.setVisible(!practising);
    practise.setManaged(!practising);
  }

  /** Puts the focus on the button that reads the stand-in. */
  public void focusReadAll() {
    readAll.requestFocus();
  }
}
