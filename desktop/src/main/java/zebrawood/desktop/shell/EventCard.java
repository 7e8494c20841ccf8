package zebrawood.desktop.shell;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.stream.Stream;
import javafx.beans.binding.Bindings;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.station.SheetHost;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.text.TypedTime;
import zebrawood.desktop.workshop.Happening;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Event;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Station;
import zebrawood.ledger.SubjectKind;
import zebrawood.ledger.SubjectName;

/** Something happened: choose what, see what it puts in doubt, confirm. */
final class EventCard {
  private static final DateTimeFormatter SHOWN =
      DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ROOT);

  private final Cards cards;
  private static final int LONGEST_NOTE = 400;
  private static final int LONGEST_SUBJECT = 60;
  private static final int MOST_CHOICES = 12;
  private final SheetHost host;
  private final WorkshopModel workshop;
  private final ListView<EventKind> kinds = new ListView<>();
  private final TextField at = new TextField();
  private final TextField note = new TextField();
  private final TextField subject = new TextField();
  private final Label doubts = Card.words("");
  private final Label problem = Card.words("");

  private EventCard(Cards cards, SheetHost host) {
    this.cards = cards;
    this.host = host;
    this.workshop = host.workshop();
  }

  /**
   * @param naming when only what names such a thing is to be told
   * @param chosen what is chosen at first
   */
  static void open(
      Cards cards, SheetHost host, Optional<SubjectKind> naming, Optional<EventKind> chosen) {
    new EventCard(cards, host).open(naming, chosen);
  }

  private void open(Optional<SubjectKind> naming, Optional<EventKind> chosen) {
    kinds.setId("event-kinds");
    kinds.setAccessibleText(Text.of("event.title"));
    kinds
        .getItems()
        .setAll(
            Stream.of(EventKind.values())
                .filter(k -> k.canHappenTo(workshop.opened().machine()))
                .filter(k -> naming.isEmpty() || k.names().equals(naming))
                .toList());
    kinds.setCellFactory(list -> new KindCell());
    kinds.setPrefSize(520, Math.min(11, kinds.getItems().size()) * 28 + 6);
    kinds.setFixedCellSize(28);
    at.setId("event-at");
    at.setText(SHOWN.format(now()));
    at.setPrefColumnCount(14);
    at.setAccessibleText(Text.of("event.at"));
    note.setId("event-note");
    note.setAccessibleText(Text.of("event.note"));
    problem.getStyleClass().add("refusal");
    problem.visibleProperty().bind(problem.textProperty().isNotEmpty());
    problem.managedProperty().bind(problem.visibleProperty());
    doubts.setId("event-doubts");
    doubts.getStyleClass().add("event-doubts");
    doubts.setMinHeight(44);
    kinds.getSelectionModel().selectedItemProperty().subscribe(this::showDoubts);
    at.textProperty()
        .subscribe(t -> problem.setText(typedTime().isEmpty() ? Text.of("event.at.bad") : ""));
    Button confirm = Card.primary("event-confirm", Text.of("event.confirm"), this::confirm);
    Label noteProblem = Card.problem(note, LONGEST_NOTE);
    Label subjectProblem = Card.problem(subject, LONGEST_SUBJECT);
    confirm
        .disableProperty()
        .bind(
            noteProblem
                .visibleProperty()
                .or(subjectProblem.visibleProperty())
                .or(
                    Bindings.createBooleanBinding(
                        () ->
                            kinds.getSelectionModel().getSelectedItem() == null
                                || typedTime().isEmpty()
                                || naming.isPresent() && subject.getText().isBlank(),
                        kinds.getSelectionModel().selectedItemProperty(),
                        subject.textProperty(),
                        at.textProperty())));
    subject.setId("event-subject");
    subject.setAccessibleText(Text.of("event.subject"));
    FlowPane choices = new FlowPane(6, 4);
    choices.setId("event-subjects");
    Region named =
        new VBox(4, labelled(Text.of("event.subject"), subject), subjectProblem, choices);
    named.setVisible(false);
    named.setManaged(false);
    kinds
        .getSelectionModel()
        .selectedItemProperty()
        .subscribe(kind -> {
          boolean names = kind != null && kind.names().isPresent();
          named.setVisible(names);
          named.setManaged(names);
          List<String> known = names ? known(kind.names().get()) : List.of();
          choices
              .getChildren()
              .setAll(known.stream().limit(MOST_CHOICES).map(this::choice).toList());
        });
    VBox card =
        Card.of(
            Text.of("event.title"),
            kinds,
            doubts,
            labelled(Text.of("event.at"), at),
            problem,
            named,
            labelled(Text.of("event.note"), note),
            noteProblem,
            Card.buttons(
                Card.button("event-cancel", Text.of("button.cancel"), cards::close), confirm));
    kinds.setOnKeyPressed(key -> {
      if (key.getCode() == KeyCode.ENTER) {
        key.consume();
        confirm.fire();
      }
    });
    subject.setOnAction(e -> confirm.fire());
    Topic.mark(card, "event.sheet");
    Topic.mark(kinds, "event.kind");
    Topic.mark(at, "event.at");
    Topic.mark(note, "event.note");
    Topic.mark(subject, "event.subject");
    cards.open(card, kinds);
    kinds.getSelectionModel().select(0);
    chosen.ifPresent(kind -> {
      kinds.getSelectionModel().select(kind);
      kinds.scrollTo(kind);
    });
    if (naming.isPresent()) {
      subject.requestFocus();
    }
  }

  private Button choice(String name) {
    Button button = new Button(name);
    button.setOnAction(e -> subject.setText(name));
    return button;
  }

  /** The machine's own, and those of which there are entries or events; each once. */
  private List<String> known(SubjectKind kind) {
    Ledger ledger = workshop.opened().ledger();
    Stream<Optional<String>> read =
        workshop.stations().stream()
            // A card's figures are of stock and lens together: its name is that of neither.
            .filter(s -> kind != SubjectKind.STOCK && s.subject().equals(Optional.of(kind)))
            .flatMap(s -> ledger.entriesAt(s).stream().map(Entry::subject));
    Stream<Optional<String>> fitted =
        ledger.events().stream()
            .filter(e -> e.kind().names().equals(Optional.of(kind)))
            .map(Event::subject);
    Stream<String> told =
        kind == SubjectKind.LENS
            ? workshop.opened().machine().lensNames().stream()
            : Stream.empty();
    List<String> known = new ArrayList<>();
    Stream.concat(told, Stream.concat(read, fitted).flatMap(Optional::stream))
        .filter(name -> known.stream().noneMatch(k -> SubjectName.same(k, name)))
        .forEach(known::add);
    return known;
  }

  /** As it was written before, whatever its capitals and blanks. */
  private String spelled(SubjectKind kind, String typed) {
    return known(kind).stream().filter(k -> SubjectName.same(k, typed)).findFirst().orElse(typed);
  }

  private LocalDateTime now() {
    return LocalDateTime.ofInstant(workshop.clock().instant(), zone())
        .truncatedTo(ChronoUnit.MINUTES);
  }

  private ZoneId zone() {
    return workshop.clock().getZone();
  }

  private static Region labelled(String words, TextField field) {
    Label label = new Label(words);
    label.getStyleClass().add("soft");
    label.setLabelFor(field);
    return new VBox(2, label, field);
  }

  private final class KindCell extends ListCell<EventKind> {
    @Override
    protected void updateItem(EventKind kind, boolean empty) {
      super.updateItem(kind, empty);
      setText(empty || kind == null ? "" : Text.of(kind));
    }
  }

  private void showDoubts(EventKind kind) {
    if (kind == null) {
      doubts.setText("");
      return;
    }
    SequencedMap<Station, Doubt> doubted = doubted(kind);
    doubts.setText(
        doubted.isEmpty()
            ? Text.of("event.doubts.none")
            : Text.of(
                "event.doubts",
                String.join(
                    ", ",
                    doubted.entrySet().stream()
                        .map(e ->
                            Text.of(e.getKey().title())
                                + (e.getValue() == Doubt.QUICK_CHECK ? Text.of("event.quick") : ""))
                        .toList())));
  }

  private SequencedMap<Station, Doubt> doubted(EventKind kind) {
    Ledger ledger = workshop.opened().ledger();
    return ledger.doubtedBy(kind, workshop.stations());
  }

  /** When it happened, as it was typed; empty where that is no time before now. */
  private Optional<TypedTime> typedTime() {
    return TypedTime.read(at.getText(), now());
  }

  /** Nothing where the minute is meant that runs now. A day alone is that day's end. */
  private Optional<Instant> time() {
    return typedTime()
        .map(t -> t.last(now()))
        .filter(t -> t.isBefore(now()))
        .map(t -> t.atZone(zone()).toInstant());
  }

  /** The card stays, with all that is typed, until the event is on the disk. */
  private void confirm() {
    EventKind kind = kinds.getSelectionModel().getSelectedItem();
    Optional<Instant> happened = time();
    String words = note.getText().strip();
    Optional<String> named =
        kind.names().isPresent() && !subject.getText().isBlank()
            ? Optional.of(spelled(kind.names().get(), subject.getText().strip()))
            : Optional.empty();
    cards.whileOpen(
        host,
        () ->
            workshop.happened(
                new Happening(kind, happened, words, named, List.of()),
                () -> {
                  cards.close();
                  workshop.say(Text.of("said.event", kind));
                },
                () -> problem.setText(workshop.messageProperty().get())));
  }
}
