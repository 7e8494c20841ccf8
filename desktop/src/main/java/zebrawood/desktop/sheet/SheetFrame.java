package zebrawood.desktop.sheet;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import zebrawood.ledger.Standing;

/** Lays out the six parts of a station sheet. */
public final class SheetFrame extends BorderPane {
  private final Label state = new Label();
  private final Label subject = new Label();

  public SheetFrame(
      String title,
      String question,
      Region readings,
      Region picture,
      Region doNext,
      Region notebook) {
    getStyleClass().add("sheet");
    Label name = new Label(title);
    name.getStyleClass().add("title");
    name.setMinWidth(USE_PREF_SIZE);
    Label asked = new Label(question);
    asked.getStyleClass().add("question");
    asked.setMinWidth(0);
    state.getStyleClass().add("state");
    state.setMinWidth(USE_PREF_SIZE);
    subject.getStyleClass().add("soft");
    subject.setManaged(false);
    HBox header = new HBox(name, asked, subject, spacer(), state);
    header.getStyleClass().add("sheet-header");
    setTop(header);
    setCenter(new SheetColumns(scrolling(readings), picture, doNext));
    setBottom(notebook);
  }

  /** The standing with its sign, in words, and its style class. */
  public void showState(Standing standing, String words, String styleClass) {
    state.setText(words);
    state.setGraphic(new StandingMark(standing));
    state.getStyleClass().setAll("label", "state", styleClass);
  }

  /** What the figures are of; nothing where a station has no such thing. */
  public void showSubject(String words) {
    subject.setText(words);
    subject.setManaged(!words.isEmpty());
    subject.setVisible(!words.isEmpty());
  }

  /** Content that scrolls when there is no room for it, without a frame of its own. */
  public static ScrollPane scrolling(Region content) {
    ScrollPane pane = new ScrollPane(content);
    pane.setFitToWidth(true);
    pane.setHbarPolicy(ScrollPane.ScrollBarPolicy.AS_NEEDED);
    pane.setFocusTraversable(false);
    pane.getStyleClass().add("bare-scroll");
    return pane;
  }

  public static Region spacer() {
    Region spacer = new Region();
    HBox.setHgrow(spacer, Priority.ALWAYS);
    return spacer;
  }

  /** A column's small heading with something at its right end. */
  public static HBox columnTitle(String words, Node right) {
    Label title = new Label(words);
    title.getStyleClass().add("column-title-words");
    HBox row = new HBox(title, spacer(), right);
    row.setAlignment(Pos.BASELINE_LEFT);
    row.getStyleClass().add("column-title");
    return row;
  }
}
