package zebrawood.desktop.shell;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.practise.CaseModel;
import zebrawood.desktop.practise.CaseReader;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.sheet.WrappedLabel;
import zebrawood.desktop.station.SheetHost;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.devices.whole.CaseKind;
import zebrawood.devices.whole.CaseRun;
import zebrawood.devices.whole.Deed;
import zebrawood.records.practise.CaseResultPage;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/**
 * A whole machine to practise on: what the customer says and what counts, what was done and seen,
 * and what can be done. All of it by keys: words of a deed, Enter, its amount, Enter.
 */
final class CasePage extends BorderPane implements ShellPage {
  private static final double LEFT = 300;
  private static final double RIGHT = 340;

  /** What is being played lives as long as the window, wherever one looks meanwhile. */
  static final class Playing {
    private Optional<CaseModel> model = Optional.empty();

    Optional<CaseRun> run() {
      return model.map(CaseModel::run);
    }
  }

  private final SheetHost host;
  private final Playing playing;
  private final Label title = new Label(Text.of("practise.title"));
  private final VBox left = new VBox(8);
  private final VBox middle = new VBox(6);
  private final VBox right = new VBox(8);
  private final ComboBox<CaseKind> kind = new ComboBox<>();
  private final TextField number = new TextField("1");
  private final TextField file = new TextField();
  private final TextField search = new TextField();
  private final ListView<Deed> deeds = new ListView<>();
  private final TextField amount = new TextField();
  private final Label problem = new WrappedLabel("", "refusal");

  CasePage(SheetHost host, Playing playing) {
    this.host = host;
    this.playing = playing;
    getStyleClass().addAll("sheet", "today");
    setId("practise");
    Topic.mark(this, "practise.sheet");
    title.getStyleClass().add("title");
    title.setMinWidth(Region.USE_PREF_SIZE);
    Label question = new WrappedLabel(Text.of("practise.question"), "question");
    Label never = new Label(Text.of("practise.not-recorded"));
    never.setId("practise-not-recorded");
    never.getStyleClass().add("practice");
    never.setMinWidth(Region.USE_PREF_SIZE);
    HBox header = new HBox(14, title, question, SheetFrame.spacer(), never);
    HBox.setHgrow(question, Priority.ALWAYS);
    header.setAlignment(Pos.BASELINE_LEFT);
    header.getStyleClass().add("sheet-header");
    setTop(header);
    for (VBox side : List.of(left, right)) {
      double wide = side == left ? LEFT : RIGHT;
      side.setPrefWidth(wide);
      side.setMinWidth(wide);
    }
    HBox columns = new HBox(20, left, SheetFrame.scrolling(middle), right);
    HBox.setHgrow(columns.getChildren().get(1), Priority.ALWAYS);
    columns.getStyleClass().add("workshop-body");
    setCenter(columns);
    choices();
    show();
  }

  private void choices() {
    kind.setId("practise-case");
    kind.setAccessibleText(Text.of("practise.choose"));
    kind.getItems().setAll(CaseKind.values());
    kind.setValue(CaseKind.WORKED_ON_TUESDAY);
    kind.setCellFactory(list -> new CaseCell());
    kind.setButtonCell(new CaseCell());
    kind.setMaxWidth(Double.MAX_VALUE);
    named(number, "practise-number", "practise.number", this::start);
    named(file, "practise-file", "practise.own", this::open);
    named(search, "practise-search", "practise.what-now", this::choose);
    search.setPromptText(Text.of("practise.search"));
    search.textProperty().subscribe(t -> list());
    search.setOnKeyPressed(key -> {
      if (key.getCode() == KeyCode.DOWN) {
        key.consume();
        deeds.requestFocus();
        deeds.getSelectionModel().selectFirst();
      }
    });
    deeds.setId("practise-deeds");
    deeds.setAccessibleText(Text.of("practise.what-now"));
    deeds.setCellFactory(list -> new DeedCell());
    deeds.setFixedCellSize(26);
    deeds.setPrefHeight(420);
    deeds.getSelectionModel().selectedItemProperty().subscribe(this::chosen);
    deeds.setOnKeyPressed(key -> {
      if (key.getCode() == KeyCode.ENTER) {
        key.consume();
        choose();
      }
    });
    named(amount, "practise-amount", "practise.by", this::act);
    problem.setId("practise-problem");
    problem.visibleProperty().bind(problem.textProperty().isNotEmpty());
    problem.managedProperty().bind(problem.visibleProperty());
  }

  private static void named(TextField field, String id, String words, Runnable enter) {
    field.setId(id);
    field.setAccessibleText(Text.of(words));
    field.setOnAction(e -> enter.run());
  }

  private static VBox labelled(String words, Region field) {
    return new VBox(3, new Label(Text.of(words)), field);
  }

  @Override
  public Region view() {
    return this;
  }

  @Override
  public void refresh() {
    // Nothing of the record is shown here.
  }

  @Override
  public void focusFirst() {
    if (playing.model.isEmpty()) {
      kind.requestFocus();
    } else if (playing.model.get().run().isOver()) {
      right.lookup("#practise-print").requestFocus();
    } else {
      search.requestFocus();
    }
  }

  private void start() {
    if (!number.getText().strip().matches("\\d{1,15}")) {
      problem.setText(Text.of("practise.bad-number"));
      return;
    }
    begin(CaseModel.of(kind.getValue(), Long.parseLong(number.getText().strip())));
  }

  /** A file may lie on a share that does not answer: it is read beside the interface. */
  private void open() {
    String name = file.getText().strip();
    host.workshop()
        .withFile(
            workshop -> CaseReader.read(name),
            read -> begin(CaseModel.of(read)),
            e -> problem.setText(e.getMessage()));
  }

  private void begin(CaseModel model) {
    playing.model = Optional.of(model);
    search.clear();
    problem.setText("");
    show();
    focusFirst();
  }

  private void show() {
    problem.setText("");
    left.getChildren().clear();
    middle.getChildren().clear();
    right.getChildren().clear();
    title.setText(playing.model.map(CaseModel::title).orElseGet(() -> Text.of("practise.title")));
    if (playing.model.isEmpty()) {
      choosing();
      return;
    }
    CaseModel model = playing.model.get();
    customer(model);
    lines(model);
    if (model.run().isOver()) {
      over(model);
    } else {
      list();
      right
          .getChildren()
          .setAll(
              SheetFrame.columnTitle(Text.of("practise.what-now"), new Label()),
              search,
              deeds,
              labelled("practise.by", amount),
              problem,
              Card.buttons(Card.primary("practise-do", Text.of("practise.do-it"), this::act)));
    }
  }

  private void choosing() {
    left.getChildren()
        .setAll(
            SheetFrame.columnTitle(Text.of("practise.choose"), new Label()),
            kind,
            labelled("practise.number", number),
            Card.buttons(Card.primary("practise-start", Text.of("practise.start"), this::start)),
            labelled("practise.own", file),
            Card.buttons(Card.button("practise-open", Text.of("practise.open"), this::open)),
            problem);
    middle.getChildren().setAll(SheetFrame.columnTitle(Text.of("practise.choose"), new Label()));
    for (CaseKind each : CaseKind.values()) {
      Label words = new Label(Text.words().line(Message.of(each)));
      words.getStyleClass().add("strip-title");
      middle
          .getChildren()
          .add(
              new VBox(
                  words,
                  new WrappedLabel(
                      Text.words().sentence(Message.of("whole.says." + each.id())), "soft")));
    }
  }

  private void customer(CaseModel model) {
    left.getChildren()
        .setAll(
            SheetFrame.columnTitle(Text.of("practise.customer"), new Label()),
            new WrappedLabel(model.says(), "strip-title"),
            new WrappedLabel(model.machine(), "soft"),
            SheetFrame.columnTitle(Text.of("practise.counts"), new Label()));
    VBox counts = new VBox(4);
    counts.setId("practise-counts");
    for (CaseModel.Known known : model.counts()) {
      counts
          .getChildren()
          .add(
              new VBox(
                  new WrappedLabel(known.name(), ""), new WrappedLabel(known.value(), "soft")));
    }
    Region scrolled = SheetFrame.scrolling(counts);
    VBox.setVgrow(scrolled, Priority.ALWAYS);
    CaseRun run = model.run();
    Label far =
        new WrappedLabel(Text.of("practise.so-far", run.minutes(), run.burns(), run.helps()), "");
    far.setId("practise-so-far");
    left.getChildren().addAll(scrolled, far);
  }

  /** The newest first. */
  private void lines(CaseModel model) {
    middle.getChildren().add(SheetFrame.columnTitle(Text.of("practise.done"), new Label()));
    if (model.run().lines().isEmpty()) {
      middle.getChildren().add(new WrappedLabel(Text.of("practise.nothing-done"), "soft"));
    }
    for (CaseRun.Line line : model.run().lines().reversed()) {
      Label done = new WrappedLabel(CaseModel.done(line), "strip-title");
      Label at = new Label(Text.of("practise.minute", line.minute()));
      at.getStyleClass().add("soft");
      at.setMinWidth(Region.USE_PREF_SIZE);
      HBox head = new HBox(8, done, SheetFrame.spacer(), at);
      HBox.setHgrow(done, Priority.ALWAYS);
      middle.getChildren().add(new VBox(head, new WrappedLabel(CaseModel.seen(line), "")));
    }
  }

  private void over(CaseModel model) {
    right.getChildren().add(SheetFrame.columnTitle(Text.of("practise.score"), new Label()));
    model
        .run()
        .stopped()
        .ifPresent(why ->
            right.getChildren().add(new WrappedLabel(Text.words().sentence(why), "refusal")));
    VBox said = new VBox(5);
    said.setId("practise-score");
    model.scored().forEach(s -> said.getChildren().add(new WrappedLabel(s, "")));
    right.getChildren().add(said);
    right.getChildren().add(SheetFrame.columnTitle(Text.of("practise.truth"), new Label()));
    VBox truths = new VBox(3);
    for (CaseResultPage.Truth truth : model.page("").truths()) {
      truths
          .getChildren()
          .add(
              new WrappedLabel(
                  Text.of(
                      "practise.truth-line",
                      Message.verbatim(truth.name()),
                      Message.verbatim(truth.off()),
                      Message.verbatim(truth.limit())),
                  "soft"));
    }
    Region scrolled = SheetFrame.scrolling(truths);
    VBox.setVgrow(scrolled, Priority.ALWAYS);
    right
        .getChildren()
        .addAll(
            scrolled,
            Card.buttons(
                Card.primary("practise-print", Text.of("practise.print"), () -> print(model)),
                Card.button("practise-another", Text.of("practise.another"), this::another)));
  }

  private void another() {
    playing.model = Optional.empty();
    show();
    focusFirst();
  }

  private void print(CaseModel model) {
    Phrasebook words = Text.words();
    var clock = host.workshop().clock();
    CaseResultPage page = model.page(DayWords.dayAndYear(clock.instant(), clock.getZone()));
    host.write(
        new SheetHost.Page(
            Text.of("practise.print"),
            Text.of("practise.print-why"),
            "practice",
            false,
            remark -> page.html(words)));
  }

  private void list() {
    playing.model.ifPresent(model -> {
      deeds.getSelectionModel().clearSelection();
      deeds.getItems().setAll(model.deeds(search.getText()));
      deeds.getSelectionModel().selectFirst();
    });
  }

  private void chosen(Deed deed) {
    amount.setDisable(deed == null || !deed.hasAmount());
    amount.setPromptText(
        deed == null || !deed.hasAmount() ? "" : CaseModel.unitOf(deed.changes().orElseThrow()));
    amount.setText(
        deed == null
            ? ""
            : playing.model.flatMap(m -> m.wanted(deed)).map(String::valueOf).orElse(""));
  }

  /** By its place: what is chosen may lag behind what is listed. */
  private Deed current() {
    int at = deeds.getSelectionModel().getSelectedIndex();
    return at >= 0 && at < deeds.getItems().size() ? deeds.getItems().get(at) : null;
  }

  /** What has an amount is asked for it first. */
  private void choose() {
    Deed deed = current();
    if (deed != null && deed.hasAmount()) {
      amount.requestFocus();
      amount.selectAll();
    } else {
      act();
    }
  }

  private void act() {
    Deed deed = current();
    CaseModel model = playing.model.orElseThrow();
    if (deed == null) {
      return;
    }
    OptionalDouble by = number(amount.getText());
    if (deed.hasAmount() && by.isEmpty()) {
      problem.setText(Text.of("practise.needs-number"));
      amount.requestFocus();
      return;
    }
    Optional<String> refused = model.act(deed, by.orElse(0));
    if (refused.isPresent()) {
      problem.setText(refused.get());
      amount.requestFocus();
      return;
    }
    search.clear();
    show();
    focusFirst();
  }

  private static OptionalDouble number(String typed) {
    try {
      double value = Double.parseDouble(typed.strip().replace(',', '.'));
      return Double.isFinite(value) ? OptionalDouble.of(value) : OptionalDouble.empty();
    } catch (NumberFormatException e) {
      return OptionalDouble.empty();
    }
  }

  private static final class CaseCell extends ListCell<CaseKind> {
    @Override
    protected void updateItem(CaseKind item, boolean empty) {
      super.updateItem(item, empty);
      setText(empty || item == null ? "" : Text.words().line(Message.of(item)));
    }
  }

  private static final class DeedCell extends ListCell<Deed> {
    @Override
    protected void updateItem(Deed item, boolean empty) {
      super.updateItem(item, empty);
      setText(empty || item == null ? "" : CaseModel.words(item));
    }
  }
}
