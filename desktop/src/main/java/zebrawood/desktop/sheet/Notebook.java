package zebrawood.desktop.sheet;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Figure;
import zebrawood.ledger.StandingWords;
import zebrawood.measure.LengthUnit;

/** The entries of a station, newest first, beside the trend of its telling figure. */
public final class Notebook extends HBox {
  private final TableView<Entry> table = new TableView<>();
  private final VBox trendBox = new VBox();
  private final ZoneId zone;

  /** What can be done with an entry. */
  public interface Actions {
    void correct(Entry entry);

    void undoLast();
  }

  public Notebook(ZoneId zone, Actions actions) {
    this.zone = zone;
    getStyleClass().add("notebook");
    table.setId("notebook");
    table.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
    table.setFixedCellSize(25);
    table.setAccessibleText(Text.of("notebook.title"));
    Label nothing = new Label(Text.of("notebook.empty"));
    nothing.getStyleClass().add("soft");
    table.setPlaceholder(nothing);
    Button correct = new Button(Text.of("notebook.correct"));
    correct.setId("correct");
    correct.disableProperty().bind(table.getSelectionModel().selectedItemProperty().isNull());
    correct.setOnAction(e -> actions.correct(table.getSelectionModel().getSelectedItem()));
    Button undo = new Button(Text.of("notebook.undo"));
    undo.setId("undo");
    undo.setOnAction(e -> actions.undoLast());
    VBox buttons = new VBox(6, correct, undo);
    buttons.getStyleClass().add("notebook-buttons");
    HBox.setHgrow(table, Priority.ALWAYS);
    trendBox.setPrefWidth(270);
    trendBox.setMinWidth(200);
    getChildren().addAll(table, buttons, trendBox);
  }

  /** Shows entries, oldest first as the ledger has them. */
  public void show(List<Entry> entries, LengthUnit unit) {
    List<TableColumn<Entry, ?>> columns = new ArrayList<>();
    columns.add(Tables.column(Text.of("notebook.when"), 130, e -> When.dayAndTime(e.at(), zone)));
    columns.add(Tables.column(Text.of("notebook.kind"), 72, e -> e.kind().words()));
    entries.reversed().stream()
        .filter(e -> e.tellingFigure().isPresent())
        .findFirst()
        .ifPresent(pattern -> {
          for (Figure figure : pattern.figures()) {
            columns.add(figureColumn(figure, unit));
          }
        });
    columns.add(Tables.column(Text.of("notebook.verdict"), 76, e -> Text.of("verdict." + e.verdict().name())));
    columns.add(Tables.column(Text.of("notebook.because"), 110, Entry::because));
    columns.add(Tables.column(Text.of("notebook.by"), 40, Entry::by));
    table.getColumns().setAll(columns);
    table.getItems().setAll(entries.reversed());
    trendBox.getChildren().clear();
    entries.reversed().stream()
        .flatMap(e -> e.tellingFigure().stream())
        .findFirst()
        .ifPresent(figure -> {
          Label title = new Label(figure.label() + ", " + FigureText.unit(figure, unit));
          title.getStyleClass().add("soft");
          Trend trend = new Trend(entries, unit, zone);
          VBox.setVgrow(trend, Priority.ALWAYS);
          trendBox.getChildren().addAll(title, trend);
        });
  }

  private static TableColumn<Entry, String> figureColumn(Figure pattern, LengthUnit unit) {
    TableColumn<Entry, String> column =
        Tables.column(
            pattern.label() + ", " + FigureText.unit(pattern, unit),
            96,
            e ->
                e.figures().stream()
                    .filter(f -> f.id().equals(pattern.id()))
                    .findFirst()
                    .map(f -> FigureText.full(f, unit))
                    .orElseGet(() -> e.figures().isEmpty() ? StandingWords.of(e) : "–"));
    column.getStyleClass().add("number-column");
    return column;
  }
}
