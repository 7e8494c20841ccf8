package zebrawood.desktop.sheet;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Figure;
import zebrawood.ledger.FigureHistory;
import zebrawood.ledger.FigureWords;
import zebrawood.quantity.DisplayUnits;

/** The entries of a station, newest first, beside the trend of its telling figure. */
public final class Notebook extends HBox {
  private static final double WHEN = 104;

  /** Mean width of a letter in a column's heading. */
  private static final double LETTER = 6.1;

  /** More of them could not be read; the hand-over sheet has all. */
  private static final int MOST_FIGURES = 4;

  /** What stands there. */
  private record Shown(List<Entry> entries, DisplayUnits units) {}

  private Shown last = new Shown(List.of(), DisplayUnits.METRIC);
  private final TableView<Entry> table = new TableView<>();
  private final VBox trendBox = new VBox();
  private final String stationId;
  private final ZoneId zone;

  /**
   * @param onCorrect mends the chosen entry
   * @param onTakeBack withdraws the chosen entry
   * @param onAttachments shows its pictures and files
   */
  public Notebook(
      String title,
      String stationId,
      ZoneId zone,
      Consumer<Entry> onCorrect,
      Consumer<Entry> onTakeBack,
      Consumer<Entry> onAttachments) {
    this.stationId = stationId;
    this.zone = zone;
    getStyleClass().add("notebook");
    table.setId("notebook");
    table.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
    table.setFixedCellSize(25);
    table.setAccessibleText(title);
    Label nothing = new Label(Text.of("notebook.empty"));
    nothing.getStyleClass().add("soft");
    table.setPlaceholder(nothing);
    table
        .focusedProperty()
        .subscribe(focused -> {
          if (focused && table.getSelectionModel().isEmpty()) {
            table.getSelectionModel().selectFirst();
          }
        });
    FlowPane buttons =
        new FlowPane(
            6,
            6,
            button("correct", "notebook.correct", onCorrect),
            button("take-back", "notebook.take-back", onTakeBack),
            button("attachments", "notebook.attachments", onAttachments));
    buttons.getStyleClass().add("notebook-buttons");
    HBox.setHgrow(table, Priority.ALWAYS);
    VBox.setVgrow(trendBox, Priority.ALWAYS);
    VBox right = new VBox(4, trendBox, buttons);
    right.setMinWidth(226);
    right.setMaxWidth(226);
    getChildren().addAll(table, right);
  }

  private Button button(String id, String words, Consumer<Entry> run) {
    Button button = new Button(Text.of(words));
    button.setId(id);
    button.disableProperty().bind(table.getSelectionModel().selectedItemProperty().isNull());
    button.setOnAction(e -> run.accept(table.getSelectionModel().getSelectedItem()));
    return button;
  }

  void focusEntries() {
    table.requestFocus();
  }

  /** Shows entries, oldest first as the ledger has them. */
  public void show(List<Entry> entries, Instant now) {
    Shown shown = new Shown(List.copyOf(entries), Text.words().units());
    if (shown.equals(last)) {
      // SheetColumns made anew cost more than a key takes to repeat.
      return;
    }
    last = shown;
    List<TableColumn<Entry, ?>> columns = new ArrayList<>();
    TableColumn<Entry, String> when =
        Tables.column(Text.of("notebook.when"), WHEN, e -> DayWords.moment(e.time(), now, zone));
    // A date that is cut tells nothing.
    when.setMinWidth(WHEN);
    columns.add(when);
    columns.add(Tables.column(Text.of("notebook.kind"), 108, Notebook::kind));
    entries.reversed().stream()
        .filter(e -> e.tellingFigure().isPresent())
        .findFirst()
        .ifPresent(pattern -> {
          pattern.figures().stream()
              .limit(MOST_FIGURES)
              .forEach(figure -> columns.add(figureColumn(figure)));
        });
    columns.add(Tables.column(Text.of("notebook.because"), 98, Notebook::because));
    columns.add(Tables.column(Text.of("notebook.by"), 32, this::by));
    table.getColumns().setAll(columns);
    table.getItems().setAll(entries.reversed());
    trendBox.getChildren().clear();
    FigureHistory history = FigureHistory.of(entries);
    history
        .newest()
        .ifPresent(figure -> {
          String words = name(figure);
          Label title =
              new Label(
                  figure.limit().isPresent()
                      ? Text.of(
                          "trend.title",
                          words,
                          FigureWords.number(figure, figure.limit().getAsDouble(), Text.words()))
                      : words);
          title.getStyleClass().add("soft");
          Trend trend = new Trend(stationId, history, zone);
          VBox.setVgrow(trend, Priority.ALWAYS);
          trendBox.getChildren().addAll(title, trend);
        });
  }

  private static String kind(Entry entry) {
    return entry.unread()
        ? Text.of(entry.kind())
        : Text.of("words.comma", entry.kind(), entry.verdict());
  }

  private TableColumn<Entry, String> figureColumn(Figure pattern) {
    String title = name(pattern);
    TableColumn<Entry, String> column =
        Tables.column(
            title,
            22 + LETTER * title.length(),
            e ->
                e.figures().stream()
                    .filter(f -> f.id().equals(pattern.id()))
                    .findFirst()
                    .map(f -> FigureWords.dated(f, zone, Text.words()))
                    .orElse("–"));
    column.getStyleClass().add("number-column");
    return column;
  }

  private String name(Figure figure) {
    String label = FigureWords.label(stationId, figure, Text.words());
    String unit = FigureWords.unit(figure, Text.words());
    return unit.isEmpty() ? label : Text.of("words.comma", label, unit);
  }

  /** Who, and on which day it was entered where that is another than it was read on. */
  private String by(Entry entry) {
    return entry.enteredLater(zone)
        ? Text.of("notebook.entered", entry.by(), DayWords.day(entry.recordedAt(), zone))
        : entry.by();
  }

  private static String because(Entry entry) {
    String because = Text.words().sayKept(entry.because());
    return entry.corrects() ? Text.of("words.corrected", because) : because;
  }
}
