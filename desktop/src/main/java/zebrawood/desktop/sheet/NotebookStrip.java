package zebrawood.desktop.sheet;

import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.FigureHistory;
import zebrawood.ledger.FigureWords;

/** The notebook in one line: as it was found and left last, the trend, and the way to all of it. */
final class NotebookStrip extends HBox {
  private static final String WORDS = "strip-words";
  private static final double LEAST_WIDTH = 50;
  private static final double TREND_WIDTH = 170;
  private static final double TREND_HEIGHT = 34;

  private final ZoneId zone;
  private final Label title;
  private final HBox found = new HBox(5);
  private final HBox left = new HBox(5);
  private final StackPane trend = new StackPane();
  private final Button open = new Button();

  NotebookStrip(String titleWords, ZoneId zone, Runnable onOpen) {
    this.zone = zone;
    getStyleClass().add("notebook-strip");
    setMinWidth(0);
    title = new Label(titleWords);
    title.getStyleClass().add("strip-title");
    title.setMinWidth(USE_PREF_SIZE);
    open.setId("notebook-open");
    open.getStyleClass().setAll("button", "strip-open");
    open.setMinWidth(USE_PREF_SIZE);
    open.setOnAction(e -> onOpen.run());
    found.setAlignment(Pos.CENTER_LEFT);
    left.setAlignment(Pos.CENTER_LEFT);
    trend.setMinWidth(TREND_WIDTH);
    trend.setMaxHeight(TREND_HEIGHT);
    getChildren().addAll(title, found, left, trend, SheetFrame.spacer(), open);
  }

  @Override
  protected void layoutChildren() {
    giveWay();
    super.layoutChildren();
  }

  /** Whole words or none: first the trend goes, then what was found, then what was left. */
  private void giveWay() {
    double room = getWidth() - snappedLeftInset() - snappedRightInset() - 2 * getSpacing();
    room -= title.minWidth(-1) + open.minWidth(-1);
    for (Pane part : List.of(left, found, trend)) {
      if (part.getChildren().isEmpty()) {
        showIf(part, false);
        continue;
      }
      room -= part.minWidth(-1) + getSpacing();
      showIf(part, room >= 0);
    }
  }

  private static void showIf(Region part, boolean shown) {
    part.setVisible(shown);
    part.setManaged(shown);
  }

  /** Shows entries, oldest first as the ledger has them. */
  void show(List<Entry> entries) {
    fill(found, last(entries, EntryKind.AS_FOUND));
    fill(left, last(entries, EntryKind.AS_LEFT));
    FigureHistory history = FigureHistory.of(entries);
    trend.getChildren().clear();
    if (history.isLine()) {
      trend.getChildren().add(Trend.small(history, TREND_WIDTH, TREND_HEIGHT));
    }
    open.setText(Text.of("notebook.open", entries.size()));
  }

  private static Optional<Entry> last(List<Entry> entries, EntryKind kind) {
    return entries.reversed().stream().filter(e -> e.kind() == kind).findFirst();
  }

  private void fill(HBox one, Optional<Entry> entry) {
    one.getChildren().clear();
    entry.ifPresent(e -> {
      var words = Text.words();
      add(one, Text.of("notebook.strip", DayWords.day(e.time(), zone), e.kind()), WORDS, false);
      e.tellingFigure()
          .ifPresent(f ->
              add(
                  one,
                  FigureWords.withUnit(f, words),
                  f.limit().isEmpty()
                      ? "strip-figure"
                      : f.overLimit() ? "strip-over" : "strip-within",
                  false));
      add(one, Text.of("notebook.strip.by", words.sayKept(e.because()), e.by()), WORDS, true);
    });
  }

  /** Day and figure are never cut; why and by whom may be. */
  private static void add(HBox one, String words, String styleClass, boolean givesWay) {
    Label label = new Label(words);
    label.getStyleClass().add(styleClass);
    label.setMinWidth(givesWay ? 0 : USE_PREF_SIZE);
    if (givesWay) {
      // Dots alone tell nothing.
      label
          .widthProperty()
          .subscribe(width ->
              label.setVisible(
                  width.doubleValue() >= Math.min(LEAST_WIDTH, Math.floor(label.prefWidth(-1)))));
    }
    one.getChildren().add(label);
  }
}
