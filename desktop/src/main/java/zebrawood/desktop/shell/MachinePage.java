package zebrawood.desktop.shell;

import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.sheet.StandingMark;
import zebrawood.desktop.sheet.Tables;
import zebrawood.desktop.sheet.Trend;
import zebrawood.desktop.sheet.WrappedLabel;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.SubjectWords;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.desktop.workshop.WorkshopModel.Opened;
import zebrawood.ledger.Aftermath;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.Due;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Figure;
import zebrawood.ledger.FigureHistory;
import zebrawood.ledger.FigureWords;
import zebrawood.ledger.Recorded;
import zebrawood.ledger.Standing;
import zebrawood.ledger.Station;
import zebrawood.words.Message;

/** What now? What to prove again, how it has held, and what happened. */
final class MachinePage extends BorderPane {
  /** What the page asks of the window. */
  interface Actions {
    void open(String stationId);

    void happened();

    void handOver();

    void attachments(Recorded line);
  }

  private static final double PAST_WIDTH = 440;
  private static final double LEAST_PAST_WIDTH = 330;
  private static final double TREND_WIDTH = 124;
  private static final double TREND_HEIGHT = 26;
  private static final double VALUE_WIDTH = 84;

  /** More of what happened stands in the drawer. */
  private static final int MOST_EVENTS = 5;

  private static final int MOST_DUE = 3;

  private final WorkshopModel workshop;
  private final Actions actions;
  private final ZoneId zone;
  private final Button somethingHappened;
  private Optional<Button> go = Optional.empty();
  private boolean allEvents;

  /** Shows nothing before it is refreshed. */
  MachinePage(WorkshopModel workshop, Actions actions) {
    this.workshop = workshop;
    this.actions = actions;
    this.zone = workshop.clock().getZone();
    somethingHappened =
        Card.button("today-happened", Text.of("today.events.new"), actions::happened);
    getStyleClass().addAll("sheet", "today");
    Topic.mark(this, "today.sheet");
  }

  /** Builds the page anew; the focus stays where it was, if that is still there. */
  void refresh() {
    Node focused = getScene() == null ? null : getScene().getFocusOwner();
    boolean hadFocus = focused != null && isAncestorOf(focused);
    build();
    if (hadFocus) {
      applyCss();
      Node again = focused.getId() == null ? null : lookup("#" + focused.getId());
      if (again == null) {
        focusFirst();
      } else {
        again.requestFocus();
      }
    }
  }

  private boolean isAncestorOf(Node node) {
    for (Node n = node; n != null; n = n.getParent()) {
      if (n == this) {
        return true;
      }
    }
    return false;
  }

  private void build() {
    Opened opened = workshop.opened();
    setTop(header(opened));
    ScrollPane prove = SheetFrame.scrolling(toProve(opened));
    HBox.setHgrow(prove, Priority.ALWAYS);
    ScrollPane past = SheetFrame.scrolling(new VBox(14, held(opened), happened(opened)));
    past.setMinWidth(LEAST_PAST_WIDTH);
    past.setPrefWidth(PAST_WIDTH);
    past.setMaxWidth(PAST_WIDTH);
    HBox body = new HBox(prove, past);
    body.getStyleClass().add("today-body");
    setCenter(body);
    VBox foot = new VBox();
    if (allEvents) {
      foot.getChildren().add(events(opened));
    }
    foot.getChildren().add(upkeep(opened));
    setBottom(foot);
  }

  /** Opens all that happened, or shuts it. */
  void toggleEvents() {
    allEvents = !allEvents;
    build();
    if (allEvents) {
      lookup("#events").requestFocus();
    } else {
      focusFirst();
    }
  }

  void focusFirst() {
    go.orElse(somethingHappened).requestFocus();
  }

  private Node header(Opened opened) {
    Label title = new Label(Text.of("today.title", opened.machine().name()));
    title.getStyleClass().add("title");
    Label summary = new Label(summary(opened));
    summary.getStyleClass().add("question");
    summary.setMinWidth(0);
    summary.setTooltip(new Tooltip(summary.getText()));
    Button handOver = Card.button("today-handover", Text.of("today.handover"), actions::handOver);
    handOver.setMinWidth(Region.USE_PREF_SIZE);
    title.setMinWidth(Region.USE_PREF_SIZE);
    HBox line = new HBox(14, title, summary);
    line.setAlignment(Pos.BASELINE_LEFT);
    HBox.setHgrow(summary, Priority.ALWAYS);
    VBox words = new VBox(line);
    for (Message notice : opened.notices()) {
      Label told = new WrappedLabel(Text.of(notice), "notice");
      words.getChildren().add(told);
    }
    HBox.setHgrow(words, Priority.ALWAYS);
    somethingHappened.setMinWidth(Region.USE_PREF_SIZE);
    HBox header = new HBox(10, words, somethingHappened, handOver);
    header.getStyleClass().add("sheet-header");
    return header;
  }

  private String summary(Opened opened) {
    List<Standing> standings = List.copyOf(opened.standings().values());
    long holding = standings.stream().filter(Standing::holds).count();
    long others = standings.stream().filter(Standing::asks).count();
    if (others == 0) {
      return Text.of("today.all-hold");
    }
    String need = Text.of("today.need-many", others);
    String rest =
        switch ((int) holding) {
          case 0 -> "";
          case 1 -> "; " + Text.of("today.still-one");
          default -> "; " + Text.of("today.still-many", holding);
        };
    return opened.ledger().events().reversed().stream()
        .findFirst()
        .map(e ->
            Text.of(
                "today.some",
                need + rest,
                Text.words().sayKept(e.said()),
                DayWords.day(e.time(), zone)))
        .orElse(need + rest + ".");
  }

  private Region toProve(Opened opened) {
    List<ToProve> rest = ToProve.of(opened.standings());
    Label about =
        new Label(rest.isEmpty() ? "" : Text.of("today.prove.minutes", ToProve.minutes(rest)));
    about.getStyleClass().add("soft");
    VBox list = new VBox(SheetFrame.columnTitle(Text.of("today.prove"), about));
    go = Optional.empty();
    for (ToProve prove : rest) {
      list.getChildren().add(row(prove, go.isEmpty()));
    }
    if (rest.isEmpty()) {
      list.getChildren().add(soft(Text.of("today.prove.nothing")));
    }
    return list;
  }

  private Node row(ToProve prove, boolean first) {
    Station station = prove.station();
    Label title = new WrappedLabel(prove.words(workshop.opened().ledger()), "prove-title");
    String because = prove.because();
    boolean draft = hasReadings(workshop.draft(station));
    Label why = soft(draft ? because + " · " + Text.of("today.prove.draft") : because);
    VBox words = new VBox(title, why);
    HBox.setHgrow(words, Priority.ALWAYS);
    Button button =
        Card.button(
            "go-" + station.id(), Text.of("today.prove.go"), () -> actions.open(station.id()));
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setAccessibleText(title.getText());
    Label minutes = soft(Text.of("today.minutes", station.minutes()));
    minutes.setMinWidth(Region.USE_PREF_SIZE);
    HBox row = new HBox(new StandingMark(prove.standing()), words, minutes, button);
    row.getStyleClass().add(first ? "prove-first" : "prove-row");
    if (first) {
      button.getStyleClass().add("primary");
      go = Optional.of(button);
    }
    return row;
  }

  private static boolean hasReadings(Map<String, String> draft) {
    return draft.entrySet().stream()
        .anyMatch(e -> e.getKey().startsWith(Field.READING) && !e.getValue().isBlank());
  }

  private Node held(Opened opened) {
    VBox box =
        new VBox(SheetFrame.columnTitle(Text.of("today.held"), soft(Text.of("today.held.limit"))));
    opened.standings().keySet().stream()
        .filter(s -> s.turn() == Station.Turn.BY_AGE)
        .forEach(station ->
            heldRow(station, opened.ledger().entriesOfFitted(station))
                .ifPresent(box.getChildren()::add));
    if (box.getChildren().size() == 1) {
      box.getChildren().add(soft(Text.of("today.held.nothing")));
    }
    return box;
  }

  private Optional<Node> heldRow(Station station, List<Entry> entries) {
    FigureHistory history = FigureHistory.of(entries);
    if (history.newest().isEmpty()) {
      return Optional.empty();
    }
    Figure figure = history.newest().get();
    Label title =
        new Label(
            Text.of(
                "words.comma",
                SubjectWords.title(workshop.opened().ledger(), station),
                Text.words().within(FigureWords.label(station.id(), figure, Text.words()))));
    title.getStyleClass().add("held-title");
    title.setMinWidth(0);
    title.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(title, Priority.ALWAYS);
    Label value = new Label(FigureWords.withUnit(figure, Text.words()));
    value.getStyleClass().add("held-value");
    value.setMinWidth(Region.USE_PREF_SIZE);
    HBox number = new HBox(value);
    number.setAlignment(Pos.CENTER_RIGHT);
    number.setMinWidth(VALUE_WIDTH);
    HBox row = new HBox(10, title, Trend.small(history, TREND_WIDTH, TREND_HEIGHT), number);
    row.getStyleClass().add("held-row");
    row.setAccessibleText(Text.of("words.comma", title.getText(), value.getText()));
    return Optional.of(row);
  }

  private Node happened(Opened opened) {
    List<Aftermath> all = opened.ledger().aftermaths(workshop.stations()).reversed();
    Button more =
        Card.button(
            "today-all-events", Text.of("today.events.all", all.size()), this::toggleEvents);
    more.getStyleClass().setAll("button", "strip-open");
    VBox box = new VBox(SheetFrame.columnTitle(Text.of("today.events"), more));
    all.stream()
        .limit(MOST_EVENTS)
        .forEach(a -> {
          Label day = soft(DayWords.day(a.event().time(), zone));
          day.setMinWidth(Region.USE_PREF_SIZE);
          Label words = new WrappedLabel(Text.words().sayKept(a.event().said()));
          words.setMaxWidth(Double.MAX_VALUE);
          HBox.setHgrow(words, Priority.ALWAYS);
          Label proved =
              soft(
                  a.doubted().isEmpty()
                      ? ""
                      : Text.of("today.events.of", a.proved().size(), a.doubted().size()));
          proved.setMinWidth(Region.USE_PREF_SIZE);
          HBox row = new HBox(14, day, words, proved);
          row.getStyleClass().add("held-row");
          box.getChildren().add(row);
        });
    if (all.isEmpty()) {
      box.getChildren().add(soft(Text.of("today.events.none")));
    }
    return box;
  }

  /** What is due next of what holds, and how long it has been on record. */
  private Node upkeep(Opened opened) {
    Label title = new Label(Text.of("today.upkeep"));
    title.getStyleClass().add("strip-title");
    title.setMinWidth(Region.USE_PREF_SIZE);
    HBox line = new HBox(title);
    line.getStyleClass().add("notebook-strip");
    Topic.mark(line, "today.upkeep");
    List<Due> due = Due.of(opened.ledger(), opened.standings());
    due.stream()
        .limit(MOST_DUE)
        .forEach(d -> {
          Label day = new Label(DayWords.dayAndYear(d.on(), zone));
          day.getStyleClass().add("strip-figure");
          day.setMinWidth(Region.USE_PREF_SIZE);
          Label station = new Label(Text.of("today.upkeep.read", d.station().title()));
          station.getStyleClass().add("strip-words");
          station.setMinWidth(0);
          HBox one = new HBox(5, day, station);
          one.setAlignment(Pos.CENTER_LEFT);
          one.setMinWidth(0);
          line.getChildren().add(one);
        });
    if (due.isEmpty()) {
      Label none = new Label(Text.of("today.upkeep.none"));
      none.getStyleClass().add("strip-words");
      line.getChildren().add(none);
    }
    opened.ledger().entries().stream()
        .findFirst()
        .ifPresent(oldest -> {
          Label since =
              soft(
                  Text.of(
                      "today.upkeep.since",
                      opened.ledger().entries().size(),
                      DayWords.dayAndYear(oldest.time(), zone)));
          since.setMinWidth(Region.USE_PREF_SIZE);
          line.getChildren().addAll(SheetFrame.spacer(), since);
        });
    return line;
  }

  private Node events(Opened opened) {
    List<Aftermath> rows = opened.ledger().aftermaths(workshop.stations()).reversed();
    TableView<Aftermath> table = new TableView<>();
    table.setId("events");
    table.setAccessibleText(Text.of("today.events"));
    table.setFixedCellSize(25);
    table.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
    table.setPlaceholder(soft(Text.of("today.events.none")));
    List<TableColumn<Aftermath, String>> columns =
        List.of(
            Tables.column(
                Text.of("today.events.on"), 104, a -> DayWords.dayAndYear(a.event().time(), zone)),
            Tables.column(
                Text.of("today.events"), 480, a -> Text.words().sayKept(a.event().said())),
            Tables.column(Text.of("today.events.doubt"), 250, MachinePage::doubted),
            Tables.column(Text.of("today.events.proved"), 110, this::proved),
            Tables.column(Text.of("notebook.by"), 50, a -> a.event().by()));
    table.getColumns().addAll(columns);
    table.getItems().setAll(rows);
    HBox.setHgrow(table, Priority.ALWAYS);
    Button attachments =
        Card.button(
            "event-attachments",
            Text.of("notebook.attachments"),
            () -> actions.attachments(table.getSelectionModel().getSelectedItem().event()));
    attachments.setMinWidth(Region.USE_PREF_SIZE);
    attachments.disableProperty().bind(table.getSelectionModel().selectedItemProperty().isNull());
    table
        .focusedProperty()
        .subscribe(focused -> {
          if (focused && table.getSelectionModel().isEmpty()) {
            table.getSelectionModel().selectFirst();
          }
        });
    HBox box = new HBox(14, table, attachments);
    box.getStyleClass().add("events");
    return box;
  }

  private static String doubted(Aftermath after) {
    return after.doubted().isEmpty()
        ? "–"
        : String.join(
            ", ",
            after.doubted().entrySet().stream()
                .map(e ->
                    Text.of(e.getKey().title())
                        + (e.getValue() == Doubt.QUICK_CHECK ? Text.of("event.quick") : ""))
                .toList());
  }

  private String proved(Aftermath after) {
    if (after.doubted().isEmpty()) {
      return Text.of("today.proved.none");
    }
    return after
        .provedAt()
        .map(at -> Text.of("today.proved.yes", DayWords.day(at, zone)))
        .orElseGet(
            () -> Text.of("today.proved.part", after.proved().size(), after.doubted().size()));
  }

  private static Label soft(String words) {
    Label label = new WrappedLabel(words, "soft");
    return label;
  }
}
