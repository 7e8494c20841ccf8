package zebrawood.desktop.sheet;

import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.FigureWords;

/** The notebook in one line: as it was found and left last, the trend, and the way to all of it. */
final class NotebookStrip extends HBox {
  private static final double TREND_WIDTH = 170;
  private static final double TREND_HEIGHT = 34;

  private final ZoneId zone;
  private final TextFlow found = new TextFlow();
  private final TextFlow left = new TextFlow();
  private final StackPane trend = new StackPane();
  private final Button open = new Button();

  NotebookStrip(ZoneId zone, Runnable onOpen) {
    this.zone = zone;
    getStyleClass().add("notebook-strip");
    Label title = new Label(zebrawood.desktop.text.Text.of("notebook.title"));
    title.getStyleClass().add("strip-title");
    title.setMinWidth(USE_PREF_SIZE);
    open.setId("notebook-open");
    open.getStyleClass().setAll("button", "strip-open");
    open.setMinWidth(USE_PREF_SIZE);
    open.setOnAction(e -> onOpen.run());
    for (TextFlow flow : List.of(found, left)) {
      flow.setMinWidth(0);
      flow.setMaxHeight(USE_PREF_SIZE);
    }
    trend.setMinWidth(TREND_WIDTH);
    trend.setMaxHeight(TREND_HEIGHT);
    getChildren().addAll(title, found, left, trend, SheetFrame.spacer(), open);
  }

  /** Shows entries, oldest first as the ledger has them. */
  void show(List<Entry> entries) {
    fill(found, last(entries, EntryKind.AS_FOUND));
    fill(left, last(entries, EntryKind.AS_LEFT));
    List<Entry> measured = entries.stream().filter(e -> e.tellingFigure().isPresent()).toList();
    trend.getChildren().clear();
    if (measured.size() > 1) {
      trend.getChildren().add(Trend.small(measured, TREND_WIDTH, TREND_HEIGHT));
    }
    trend.setManaged(measured.size() > 1);
    open.setText(
        zebrawood.desktop.text.Text.of(
            entries.size() == 1 ? "notebook.open-one" : "notebook.open", entries.size()));
  }

  private static Optional<Entry> last(List<Entry> entries, EntryKind kind) {
    return entries.reversed().stream().filter(e -> e.kind() == kind).findFirst();
  }

  private void fill(TextFlow flow, Optional<Entry> entry) {
    flow.getChildren().clear();
    flow.setManaged(entry.isPresent());
    entry.ifPresent(e -> {
      var words = zebrawood.desktop.text.Text.words();
      add(
          flow,
          zebrawood.desktop.text.Text.of("notebook.strip", When.day(e.time(), zone), e.kind()),
          "strip-words");
      e.tellingFigure()
          .ifPresent(f ->
              add(
                  flow,
                  FigureWords.withUnit(f, words),
                  f.limit().isEmpty()
                      ? "strip-figure"
                      : f.overLimit() ? "strip-over" : "strip-within"));
      add(
          flow,
          zebrawood.desktop.text.Text.of("notebook.strip.by", words.sayKept(e.because()), e.by()),
          "strip-words");
    });
  }

  private static void add(TextFlow flow, String words, String styleClass) {
    Text text = new Text(words + " ");
    text.getStyleClass().add(styleClass);
    flow.getChildren().add(text);
  }
}
