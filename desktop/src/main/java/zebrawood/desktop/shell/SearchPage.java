package zebrawood.desktop.shell;

import java.util.List;
import java.util.function.BiConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.sheet.WrappedLabel;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Event;
import zebrawood.ledger.FigureWords;
import zebrawood.ledger.Recorded;
import zebrawood.machine.Machine;
import zebrawood.records.workshop.Hit;
import zebrawood.words.Phrasebook;

/** Words looked for in all that was ever recorded, on all machines, the newest first. */
final class SearchPage extends BorderPane implements ShellPage {
  private static final int MOST = 60;

  private final WorkshopModel workshop;
  private final BiConsumer<Machine, String> open;
  private final TextField words = new TextField();
  private final VBox hits = new VBox(2);
  private final Label about = new WrappedLabel("", "soft");

  /** Machine and line of each row, as they stand there. */
  private List<String> shown = List.of();

  /**
   * @param open shows a machine's station, or its page where that is empty
   */
  SearchPage(WorkshopModel workshop, BiConsumer<Machine, String> open) {
    this.workshop = workshop;
    this.open = open;
    getStyleClass().addAll("sheet", "today");
    setId("search");
    Topic.mark(this, "search.sheet");
    Label title = new Label(Text.of("search.title"));
    title.getStyleClass().add("title");
    title.setMinWidth(Region.USE_PREF_SIZE);
    Label question = new WrappedLabel(Text.of("search.question"), "question");
    HBox header = new HBox(14, title, question);
    header.setAlignment(Pos.BASELINE_LEFT);
    header.getStyleClass().add("sheet-header");
    setTop(header);
    words.setId("search-words");
    words.setAccessibleText(Text.of("search.title"));
    words.setPromptText(Text.of("search.prompt"));
    words.setOnAction(e -> look());
    Button go = Card.primary("search-go", Text.of("search.go"), this::look);
    HBox.setHgrow(words, Priority.ALWAYS);
    hits.setId("search-hits");
    VBox body = new VBox(8, new HBox(8, words, go), about, hits);
    body.getStyleClass().add("workshop-body");
    setCenter(SheetFrame.scrolling(body));
  }

  @Override
  public Region view() {
    return this;
  }

  @Override
  public void refresh() {
    if (!words.getText().isBlank()) {
      look();
    }
  }

  @Override
  public void focusFirst() {
    words.requestFocus();
  }

  private void look() {
    String wanted = words.getText().strip();
    Phrasebook book = Text.words();
    learn(
        List.copyOf(workshop.machinesProperty().get()),
        book,
        () -> {
          if (wanted.equals(words.getText().strip())) {
            workshop.withFile(
                file -> file.atHand().search(wanted, MOST, line -> said(line, book)),
                this::show,
                this::failed);
          }
        });
  }

  /**
   * One machine after another, so that what is recorded meanwhile does not wait for all of them.
   */
  private void learn(List<Machine> machines, Phrasebook book, Runnable then) {
    if (machines.isEmpty()) {
      then.run();
      return;
    }
    String saidAs = book.language() + " " + book.units();
    workshop.withFile(
        file ->
            file.atHand().learnWords(machines.getFirst().id(), saidAs, line -> said(line, book)),
        more -> {
          if (more) {
            about.setText(Text.of("search.reading", machines.getFirst().name()));
          }
          learn(machines.subList(1, machines.size()), book, then);
        },
        this::failed);
  }

  private void failed(RuntimeException because) {
    about.setText(Text.of("search.failed"));
  }

  /** A line as it is looked for: what, of what, by whom, why, its figures. */
  private static String said(Recorded line, Phrasebook book) {
    StringBuilder all = new StringBuilder(line.by()).append(' ');
    switch (line) {
      case Entry entry -> {
        all.append(title(entry, book)).append(' ').append(book.say(entry.kind())).append(' ');
        all.append(entry.subject().orElse("")).append(' ');
        all.append(book.sayKept(entry.because())).append(' ').append(entry.readings()).append(' ');
        entry
            .figures()
            .forEach(f ->
                all.append(FigureWords.label(entry.stationId(), f, book))
                    .append(' ')
                    .append(FigureWords.withUnit(f, book))
                    .append(' '));
      }
      case Event event ->
          all.append(book.sayKept(event.said()))
              .append(' ')
              .append(event.note())
              .append(' ')
              .append(event.subject().orElse(""));
    }
    return all.toString();
  }

  private static String title(Entry entry, Phrasebook book) {
    String key = entry.stationId() + ".title";
    return book.has(key) ? book.say(key) : entry.stationId();
  }

  private void show(List<Hit> found) {
    about.setText(
        found.isEmpty() ? Text.of("search.nothing") : Text.of("search.found", found.size()));
    List<Of> now =
        found.stream()
            .flatMap(hit ->
                workshop.machinesProperty().get().stream()
                    .filter(m -> m.id().equals(hit.machineId()))
                    .map(machine -> new Of(machine, hit.line())))
            .toList();
    Phrasebook book = Text.words();
    String saidAs = book.language() + " " + book.units();
    List<String> said =
        now.stream().map(of -> saidAs + " " + of.machine.name() + " " + of.line.id()).toList();
    // The same lines keep their buttons, so that none loses the keyboard while it is pressed.
    if (!said.equals(shown)) {
      shown = said;
      hits.getChildren().setAll(now.stream().map(of -> row(of.machine, of.line)).toList());
    }
  }

  /** A line with its machine. */
  private record Of(Machine machine, Recorded line) {}

  private HBox row(Machine machine, Recorded line) {
    Phrasebook book = Text.words();
    Label when = new Label(DayWords.dayAndTime(line.at(), workshop.clock().getZone()));
    when.getStyleClass().add("soft");
    when.setMinWidth(Region.USE_PREF_SIZE);
    String what =
        switch (line) {
          case Entry entry ->
              Text.of(
                  "search.entry",
                  machine.name(),
                  title(entry, book),
                  entry.subject().orElse(""),
                  entry.kind(),
                  entry.tellingFigure().map(f -> FigureWords.withUnit(f, book)).orElse(""));
          case Event event -> Text.of("search.event", machine.name(), book.sayKept(event.said()));
        };
    Label words = new WrappedLabel(what);
    words.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(words, Priority.ALWAYS);
    String station = line instanceof Entry entry ? entry.stationId() : "";
    Button go =
        Card.button(
            "hit-" + line.id(), Text.of("today.prove.go"), () -> open.accept(machine, station));
    go.setAccessibleText(what);
    go.setMinWidth(Region.USE_PREF_SIZE);
    HBox row = new HBox(14, when, words, go);
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("held-row");
    return row;
  }
}
