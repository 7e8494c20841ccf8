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
import zebrawood.desktop.station.SheetHost;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.TwoDays;
import zebrawood.machine.Machine;
import zebrawood.records.handover.ComparisonPage;
import zebrawood.words.Phrasebook;

/** Two days of one machine beside each other: what differs, and where to look first. */
final class TwoDaysPage extends BorderPane implements ShellPage {
  private static final double LEFT = 300;
  private static final double RIGHT = 290;

  private final SheetHost host;
  private final Consumer<String> open;
  private TwoDaysModel model;
  private Ledger shown;
  private final ComboBox<Moment> worked = new ComboBox<>();
  private final ComboBox<Moment> not = new ComboBox<>();
  private final VBox middle = new VBox(8);
  private final VBox right = new VBox(8);
  private final Label counts = new WrappedLabel("", "soft");

  /** Of the machine that is open. */
  TwoDaysPage(SheetHost host, Consumer<String> open) {
    this.host = host;
    this.open = open;
    shown = host.workshop().opened().ledger();
    model = made();
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
            counts,
            Card.button("days-print", Text.of("days.print"), this::print));
    left.setPrefWidth(LEFT);
    left.setMinWidth(LEFT);
    right.setPrefWidth(RIGHT);
    right.setMinWidth(RIGHT);
    HBox columns = new HBox(20, left, SheetFrame.scrolling(middle), right);
    HBox.setHgrow(columns.getChildren().get(1), Priority.ALWAYS);
    columns.getStyleClass().add("workshop-body");
    setCenter(columns);
    worked.valueProperty().subscribe((before, now) -> show());
    not.valueProperty().subscribe((before, now) -> show());
    show();
  }

  private TwoDaysModel made() {
    WorkshopModel workshop = host.workshop();
    return new TwoDaysModel(
        shown, workshop.stations(), workshop.clock().instant(), workshop.clock().getZone());
  }

  /** The record grew: what can be chosen is another, and what was chosen stays chosen. */
  private void follow() {
    Ledger now = host.workshop().opened().ledger();
    if (now.equals(shown)) {
      return;
    }
    shown = now;
    model = made();
    chooseAgain(worked);
    chooseAgain(not);
  }

  private void chooseAgain(ComboBox<Moment> of) {
    Moment chosen = of.getValue();
    of.getItems().setAll(model.moments());
    of.setValue(
        model.moments().stream()
            .filter(m -> chosen != null && m.words().equals(chosen.words()))
            .findFirst()
            .orElse(model.moments().getFirst()));
  }

  private void print() {
    if (worked.getValue() == null || not.getValue() == null) {
      return;
    }
    TwoDays days = model.compare(worked.getValue(), not.getValue());
    WorkshopModel workshop = host.workshop();
    Machine machine = workshop.opened().machine();
    Phrasebook words = Text.words();
    ComparisonPage page =
        new ComparisonPage(
            machine.name(),
            Text.of(machine.inOneLine()),
            DayWords.dayAndYear(workshop.clock().instant(), workshop.clock().getZone()),
            worked.getValue().words(),
            not.getValue().words(),
            counts.getText(),
            days.differs().stream()
                .map(model::row)
                .map(r -> new ComparisonPage.Row(r.name(), r.before(), r.after(), r.says()))
                .toList(),
            model.between(days),
            model.neverRead(days),
            Text.of("days.caution"));
    host.write(
        new SheetHost.Page(
            Text.of("days.print"),
            Text.of("days.print-why"),
            "two-days",
            false,
            remark -> page.html(words)));
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
    follow();
    show();
  }

  private void show() {
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
