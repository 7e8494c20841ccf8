package zebrawood.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Line;
import zebrawood.desktop.sheet.StandingMark;
import zebrawood.ledger.Standing;

/**
 * The stations on one line of light, in the order of the work. The light is solid down to the first
 * station that does not hold, then dotted. Arrow keys go along it.
 */
final class BeamRail extends Region {
  private static final PseudoClass OPENED = PseudoClass.getPseudoClass("opened");
  private static final PseudoClass NARROW = PseudoClass.getPseudoClass("narrow");
  private static final double LINE_X = 24;
  private static final double NARROW_WIDTH = 48;
  private static final double WIDTH = 214;

  /** A name is never cut for the words behind it, unless it is longer than this. */
  private static final double NAME_WIDTH = 74;

  /** A name of so many letters is never cut; a longer one gives way. */
  private static final int SHORT_NAME = 16;

  private final VBox rows = new VBox();
  private final Line solid = new Line();
  private final Line dotted = new Line();
  private final List<Button> buttons = new ArrayList<>();
  private int holding;
  private boolean narrow;

  /**
   * One station.
   *
   * @param brief how it stands in two or three words
   * @param words how it stands, for what is on the machine now
   */
  record Row(
      String station, String phase, String title, String brief, String words, Standing standing) {}

  BeamRail() {
    getStyleClass().add("rail");
    solid.getStyleClass().add("beam");
    dotted.getStyleClass().add("beam-dotted");
    for (Line line : List.of(solid, dotted)) {
      line.setManaged(false);
      line.setMouseTransparent(true);
    }
    rows.getStyleClass().add("rail-rows");
    getChildren().addAll(solid, dotted, rows);
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
  }

  /**
   * @param opened id of the station on show, or "" for the machine page
   * @param open what a press does, by station id, "" for the machine page
   */
  void show(
      String pageTitle, String pageWords, List<Row> lines, String opened, Consumer<String> open) {
    int focusedIndex = focusedIndex();
    buttons.clear();
    List<Node> all = new ArrayList<>();
    buttons.add(
        row("rail-today", pageTitle, pageWords, pageWords, pageSign(), () -> open.accept("")));
    all.add(buttons.getFirst());
    String phase = "";
    for (Row line : lines) {
      if (!line.phase.equals(phase)) {
        phase = line.phase;
        Label heading = new Label(phase);
        heading.getStyleClass().add("rail-phase");
        all.add(heading);
      }
      buttons.add(
          row(
              "rail-" + line.station,
              line.title,
              line.brief,
              line.words,
              new StandingMark(line.standing),
              () -> open.accept(line.station)));
      all.add(buttons.getLast());
    }
    holding = (int) lines.stream().takeWhile(line -> !line.standing.asks()).count();
    rows.getChildren().setAll(all);
    markOpened(opened, lines);
    if (focusedIndex >= 0) {
      buttons.get(Math.min(focusedIndex, buttons.size() - 1)).requestFocus();
    }
    requestLayout();
  }

  /** Where room is short, the marks stand alone; names are in the tooltips. */
  void setNarrow(boolean now) {
    if (now != narrow) {
      narrow = now;
      pseudoClassStateChanged(NARROW, now);
      requestParentLayout();
      requestLayout();
    }
  }

  boolean holdsFocus() {
    return focusedIndex() >= 0;
  }

  /** Puts the focus on the row of the page on show. */
  void focusOpened() {
    buttons.stream().filter(Button::isFocusTraversable).findFirst().ifPresent(Button::requestFocus);
  }

  private int focusedIndex() {
    for (int i = 0; i < buttons.size(); i++) {
      if (buttons.get(i).isFocused()) {
        return i;
      }
    }
    return -1;
  }

  private static Region pageSign() {
    Region sign = new Region();
    sign.getStyleClass().add("page-sign");
    sign.setMinSize(20, 20);
    sign.setMaxSize(20, 20);
    return sign;
  }

  private static Button row(
      String id, String title, String brief, String words, Region mark, Runnable open) {
    Label name = new Label(title);
    name.getStyleClass().add("rail-name");
    boolean shortName = title.length() <= SHORT_NAME;
    name.setMinWidth(shortName ? USE_PREF_SIZE : NAME_WIDTH);
    Label standing = new Label(brief);
    standing.getStyleClass().add("rail-standing");
    standing.setMinWidth(0);
    // A long name takes the room of both.
    standing.setManaged(shortName);
    // Where name and standing have no room for both, the shape says how it stands.
    standing
        .widthProperty()
        .subscribe(width ->
            standing.setVisible(width.doubleValue() >= Math.floor(standing.prefWidth(-1))));
    name.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(name, Priority.ALWAYS);
    HBox content = new HBox(mark, name, standing);
    content.getStyleClass().add("rail-content");
    content.setPrefWidth(WIDTH - 2);
    content.setMaxWidth(WIDTH - 2);
    Button button = new Button();
    button.setId(id);
    button.setGraphic(content);
    button.getStyleClass().setAll("rail-row");
    button.setMinWidth(0);
    button.setMaxWidth(Double.MAX_VALUE);
    button.setAccessibleText(title + ", " + words);
    button.setTooltip(new Tooltip(title + ": " + words));
    button.setOnAction(e -> open.run());
    return button;
  }

  private void markOpened(String opened, List<Row> lines) {
    for (int i = 0; i < buttons.size(); i++) {
      boolean on = i == 0 ? opened.isEmpty() : lines.get(i - 1).station.equals(opened);
      buttons.get(i).pseudoClassStateChanged(OPENED, on);
      buttons.get(i).setFocusTraversable(on);
    }
  }

  private void key(KeyEvent event) {
    int step = event.getCode() == KeyCode.DOWN ? 1 : event.getCode() == KeyCode.UP ? -1 : 0;
    int from = focusedIndex();
    if (step != 0 && from >= 0) {
      buttons.get(Math.clamp(from + step, 0, buttons.size() - 1)).requestFocus();
      event.consume();
    }
  }

  @Override
  protected void layoutChildren() {
    rows.resizeRelocate(0, 0, getWidth(), getHeight());
    rows.layout();
    boolean allHold = holding >= buttons.size() - 1;
    double end = allHold || buttons.isEmpty() ? getHeight() : middle(buttons.get(holding + 1));
    solid.setStartX(LINE_X);
    solid.setEndX(LINE_X);
    solid.setStartY(0);
    solid.setEndY(end);
    dotted.setStartX(LINE_X);
    dotted.setEndX(LINE_X);
    dotted.setStartY(end);
    dotted.setEndY(getHeight());
    dotted.setVisible(end < getHeight());
  }

  private static double middle(Button row) {
    return row.getBoundsInParent().getCenterY();
  }

  @Override
  protected double computePrefWidth(double height) {
    return narrow ? NARROW_WIDTH : WIDTH;
  }
}
