package zebrawood.desktop.shell;

import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.desktop.days.TwoDaysModel;
import zebrawood.desktop.days.TwoDaysModel.Moment;
import zebrawood.desktop.days.TwoDaysModel.Row;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.sheet.StandingMark;
import zebrawood.desktop.sheet.WrappedLabel;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.TwoDays;

/** Two days of one machine beside each other: what differs, and where to look first. */
final class TwoDaysPage extends BorderPane implements ShellPage {
  private static final double LEFT = 300;
  private static final double RIGHT = 290;

  private final TwoDaysModel model;
  private final Consumer<String> open;
  private final ComboBox<Moment> worked = new ComboBox<>();
  private final ComboBox<Moment> not = new ComboBox<>();
  private final VBox middle = new VBox(8);
  private final VBox right = new VBox(8);
  private final Label counts = new WrappedLabel("", "soft");

  TwoDaysPage(TwoDaysModel model, Consumer<String> open) {
    this.model = model;
    this.open = open;
    getStyleClass().addAll("sheet", "today");
    setId("days");
    Topic.mark(this, "days.sheet");
    Label title = new Label(Text.of("days.title"));
    title.getStyleClass().add("title");
    title.setMinWidth(Region.USE_PREF_SIZE);
    Label question = new Label(Text.of("days.question"));
    question.getStyleClass().add("question");
    HBox header = new HBox(14, title, question);
    header.setAlignment(Pos.BASELINE_LEFT);
    header.getStyleClass().add("sheet-header");
    setTop(header);
    VBox left =
        new VBox(
            8,
            SheetFrame.columnTitle(Text.of("days.which"), new Label()),
            box(worked, "days-worked", "days.worked", model.firstGuess()),
            box(not, "days-not", "days.not", model.secondGuess()),
            new WrappedLabel(Text.of("days.hint"), "soft"),
            counts);
    left.setPrefWidth(LEFT);
    left.setMinWidth(LEFT);
    right.setPrefWidth(RIGHT);
    right.setMinWidth(RIGHT);
    HBox columns = new HBox(20, left, SheetFrame.scrolling(middle), right);
    HBox.setHgrow(columns.getChildren().get(1), Priority.ALWAYS);
    columns.getStyleClass().add("workshop-body");
    setCenter(columns);
    worked.valueProperty().subscribe((before, now) -> refresh());
    not.valueProperty().subscribe((before, now) -> refresh());
    refresh();
  }

  /** Of the machine that is open. */
  static TwoDaysPage of(WorkshopModel workshop, Consumer<String> open) {
    return new TwoDaysPage(
        new TwoDaysModel(
            workshop.opened().ledger(),
            workshop.stations(),
            workshop.clock().instant(),
            workshop.clock().getZone()),
        open);
  }

  private VBox box(ComboBox<Moment> of, String id, String label, Moment first) {
    of.setId(id);
    of.getItems().setAll(model.moments());
    of.setValue(first);
    of.setMaxWidth(Double.MAX_VALUE);
    of.setAccessibleText(Text.of(label));
    Label words = new Label(Text.of(label));
    words.setLabelFor(of);
    return new VBox(3, words, of);
  }

  @Override
  public Region view() {
    return this;
  }

  @Override
  public void refresh() {
    if (worked.getValue() == null || not.getValue() == null) {
      return;
    }
    TwoDays days = model.compare(worked.getValue(), not.getValue());
    counts.setText(
        Text.of("days.counts", days.differs().size(), days.same().size(), days.neverRead().size()));
    middle
        .getChildren()
        .setAll(
            SheetFrame.columnTitle(Text.of("days.differs"), soft(Text.of("days.likeliest"))),
            days.differs().isEmpty()
                ? new WrappedLabel(Text.of("days.nothing"), "soft")
                : table(days));
    List<String> between = model.between(days);
    middle
        .getChildren()
        .add(SheetFrame.columnTitle(Text.of("days.between"), soft(String.valueOf(between.size()))));
    between.forEach(words -> middle.getChildren().add(new WrappedLabel(words, "soft")));
    if (!days.neverRead().isEmpty()) {
      middle
          .getChildren()
          .addAll(
              SheetFrame.columnTitle(Text.of("days.never"), new Label()),
              new WrappedLabel(model.neverRead(days), "soft"));
    }
    lookAt(days);
  }

  private GridPane table(TwoDays days) {
    GridPane rows = new GridPane(10, 6);
    rows.setId("days-rows");
    ColumnConstraints wide = new ColumnConstraints();
    wide.setHgrow(Priority.ALWAYS);
    rows.getColumnConstraints()
        .addAll(
            new ColumnConstraints(20),
            new ColumnConstraints(90, 150, 170),
            new ColumnConstraints(70, 90, 120),
            new ColumnConstraints(80, 95, 120),
            wide);
    rows.addRow(
        0,
        new Label(),
        soft(Text.of("days.heading.figure")),
        soft(Text.of("days.heading.worked")),
        soft(Text.of("days.heading.not")),
        soft(Text.of("days.heading.says")));
    days.differs().stream().map(model::row).forEach(row -> add(rows, row));
    return rows;
  }

  private static void add(GridPane rows, Row row) {
    StandingMark mark = new StandingMark();
    mark.show(row.mark());
    rows.addRow(
        rows.getRowCount(),
        mark,
        new WrappedLabel(row.name(), "prove-title"),
        new WrappedLabel(row.before(), "soft"),
        new WrappedLabel(row.after(), "prove-title"),
        new WrappedLabel(row.says(), "soft"));
  }

  private void lookAt(TwoDays days) {
    List<Row> all = model.toLookAt(days);
    right.getChildren().setAll(SheetFrame.columnTitle(Text.of("days.next"), new Label()));
    if (all.isEmpty()) {
      right.getChildren().add(new WrappedLabel(Text.of("days.next.nothing"), "soft"));
    }
    for (int i = 0; i < all.size(); i++) {
      Row row = all.get(i);
      Button go =
          i == 0
              ? Card.primary("days-go", Text.of("days.go", row.name()), () -> go(row))
              : Card.button("days-go-" + i, Text.of("days.go", row.name()), () -> go(row));
      go.setWrapText(true);
      right.getChildren().addAll(go, new WrappedLabel(row.says(), "soft"));
    }
    right.getChildren().add(new WrappedLabel(Text.of("days.caution"), "caution"));
  }

  private void go(Row row) {
    open.accept(row.stationId());
  }

  private static Label soft(String words) {
    Label label = new Label(words);
    label.getStyleClass().add("soft");
    return label;
  }

  @Override
  public void focusFirst() {
    worked.requestFocus();
  }
}
