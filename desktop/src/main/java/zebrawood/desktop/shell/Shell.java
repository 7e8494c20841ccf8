package zebrawood.desktop.shell;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import zebrawood.desktop.sheet.SheetHost;
import zebrawood.desktop.sheet.StationSheet;
import zebrawood.desktop.sheet.TodaysProof;
import zebrawood.desktop.sheet.When;
import zebrawood.desktop.stations.StationModule;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.desktop.workshop.WorkshopModel.Opened;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Event;
import zebrawood.ledger.Standing;
import zebrawood.machine.Machine;
import zebrawood.measure.LengthUnit;
import zebrawood.records.handover.HandOver;
import zebrawood.records.handover.HandOverSheet;
import zebrawood.records.start.GoCardPage;
import zebrawood.start.StartStation;

/**
 * The window's content: top bar, beam rail, the page on show, status line, and the cards over them.
 * Sheets are made when first shown and live until another machine is opened.
 */
public final class Shell extends StackPane implements SheetHost {
  /** The machine page's place among the pages. */
  public static final String TODAY = "";

  private static final List<KeyCombination> FIND =
      List.of(KeyCombination.valueOf("Ctrl+Space"), KeyCombination.valueOf("Ctrl+K"));

  /** Between the rail and the page. */
  private static final KeyCombination SWITCH = KeyCombination.valueOf("F6");

  private final WorkshopModel workshop;
  private final List<StationModule> modules;
  private final Outside outside;
  private final Runnable closeWindow;
  private final TopBar top;
  private final BeamRail rail = new BeamRail();
  private final BorderPane frame = new BorderPane();
  private final Cards cards = new Cards(frame);
  private final Map<String, StationSheet> sheets = new LinkedHashMap<>();
  private final ReadOnlyStringWrapper title = new ReadOnlyStringWrapper(Text.of("app.title"));
  private final Button firstMachine =
      Card.primary("first-machine", Text.of("today.none.new"), this::newMachine);
  private Optional<MachinePage> page = Optional.empty();
  private String shown = TODAY;
  private Optional<Machine> shownMachine = Optional.empty();

  public Shell(
      WorkshopModel workshop, List<StationModule> modules, Outside outside, Runnable closeWindow) {
    this.workshop = workshop;
    this.modules = List.copyOf(modules);
    this.outside = outside;
    this.closeWindow = closeWindow;
    top = new TopBar(workshop::choose, this::newMachine, this::palette);
    frame.setTop(top);
    frame.setLeft(rail);
    frame.setBottom(
        new StatusLine(workshop, this::askInitials, this::toggleUnit, this::toggleTheme));
    getChildren().addAll(frame, cards);
    setAlignment(Pos.TOP_LEFT);
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    sceneProperty().subscribe(s -> javafx.application.Platform.runLater(this::focusPage));
    workshop.openedProperty().subscribe(o -> follow());
    workshop.machinesProperty().subscribe(m -> showTop());
    workshop.unitProperty().subscribe((before, now) -> page.ifPresent(MachinePage::refresh));
  }

  @Override
  public WorkshopModel workshop() {
    return workshop;
  }

  @Override
  public void withInitials(Runnable then) {
    if (workshop.initials().isPresent()) {
      then.run();
    } else {
      InitialsCard.open(
          cards,
          "",
          words -> {
            workshop.setInitials(words);
            then.run();
          });
    }
  }

  @Override
  public void open(String stationId) {
    show(stationId);
  }

  @Override
  public void withReason(String what, Consumer<String> then) {
    ReasonCard.open(cards, what, then);
  }

  @Override
  public void confirm(
      String title, String why, List<String> lines, String caution, String go, Runnable then) {
    ConfirmCard.open(cards, title, why, lines, caution, go, then);
  }

  @Override
  public void writeGoCard() {
    GoCardPage card =
        GoCardPage.of(
            workshop.opened().machine(),
            TodaysProof.card(workshop),
            When.day(workshop.clock().instant(), zone()));
    PaperCard.open(
        cards,
        workshop,
        new PaperCard.Page(
            Text.of("gocard.title", workshop.opened().machine().name()),
            Text.of("gocard.why"),
            "go-card",
            card::write),
        outside);
  }

  /** Lets go of the sheets; what they do outside ends as it must. */
  public void dispose() {
    sheets.values().forEach(StationSheet::dispose);
    sheets.clear();
  }

  /** What the window's title bar says. */
  public ReadOnlyStringProperty titleProperty() {
    return title.getReadOnlyProperty();
  }

  /** The open machine changed: another one, or its record grew. */
  private void follow() {
    Opened opened = workshop.opened();
    Optional<Machine> machine = Optional.ofNullable(opened).map(Opened::machine);
    if (machine.isPresent() && machine.equals(shownMachine)) {
      sheets.values().forEach(StationSheet::refresh);
      page.ifPresent(MachinePage::refresh);
      showRail();
      return;
    }
    boolean another = !machine.map(Machine::id).equals(shownMachine.map(Machine::id));
    shownMachine = machine;
    sheets.values().forEach(StationSheet::dispose);
    sheets.clear();
    page = Optional.empty();
    showTop();
    show(another ? TODAY : shown);
  }

  private void showTop() {
    Optional<Machine> open = Optional.ofNullable(workshop.opened()).map(Opened::machine);
    top.show(open, workshop.machinesProperty().get());
    title.set(open.map(m -> Text.of("app.title.machine", m.name())).orElse(Text.of("app.title")));
  }

  /** Shows a station by its id, or the machine page. */
  public void show(String stationId) {
    shown = stationId;
    if (workshop.opened() == null) {
      frame.setCenter(emptyPage());
      rail.show(
          Text.of("rail.today"),
          Text.of("rail.none"),
          Map.of(),
          When.days(zone()),
          TODAY,
          this::show);
      focusPage();
      return;
    }
    if (stationId.equals(TODAY)) {
      MachinePage today = page.orElseGet(() -> new MachinePage(workshop, pageActions()));
      page = Optional.of(today);
      today.refresh();
      frame.setCenter(today);
    } else {
      sheet(stationId).refresh();
      frame.setCenter(sheet(stationId).view());
    }
    showRail();
    focusPage();
  }

  private java.time.ZoneId zone() {
    return workshop.clock().getZone();
  }

  private StationSheet sheet(String stationId) {
    return sheets.computeIfAbsent(
        stationId,
        id ->
            modules.stream()
                .filter(m -> m.station().id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no station " + id))
                .sheet()
                .apply(this));
  }

  private void focusPage() {
    if (cards.isOpen() || getScene() == null) {
      return;
    }
    // What scrolls has its content in the scene only once its looks are applied.
    frame.applyCss();
    frame.layout();
    if (workshop.opened() == null) {
      firstMachine.requestFocus();
    } else if (shown.equals(TODAY)) {
      page.ifPresent(MachinePage::focusFirst);
    } else {
      sheet(shown).focusFirst();
    }
  }

  private void showRail() {
    var standings = workshop.opened().standings();
    long holding = standings.values().stream().filter(Standing::holds).count();
    rail.show(
        Text.of("rail.today"),
        Text.of("rail.all", holding, standings.size()),
        standings,
        When.days(zone()),
        shown,
        this::show);
  }

  private StackPane emptyPage() {
    var heading = Card.words(Text.of("today.none.title"));
    heading.getStyleClass().add("title");
    VBox words = new VBox(14, heading, Card.words(Text.of("today.none.why")), firstMachine);
    words.setMaxSize(520, Region.USE_PREF_SIZE);
    StackPane empty = new StackPane(words);
    empty.getStyleClass().add("empty-page");
    return empty;
  }

  private MachinePage.Actions pageActions() {
    return new MachinePage.Actions() {
      @Override
      public void open(String stationId) {
        show(stationId);
      }

      @Override
      public void happened() {
        Shell.this.happened();
      }

      @Override
      public void handOver() {
        Shell.this.handOver();
      }
    };
  }

  private void newMachine() {
    MachineCard.open(cards, this, Optional.empty());
  }

  private void changeMachine() {
    MachineCard.open(cards, this, shownMachine);
  }

  private void happened() {
    EventCard.open(cards, this);
  }

  private void handOver() {
    Map<String, Function<Entry, String>> pictures = new LinkedHashMap<>();
    modules.forEach(m -> pictures.put(m.station().id(), m.picture()));
    HandOverSheet sheet =
        HandOverSheet.of(
            workshop.opened().ledger(),
            workshop.stations(),
            pictures,
            workshop.clock().instant(),
            zone(),
            workshop.initials().orElse("–"));
    PaperCard.open(
        cards,
        workshop,
        new PaperCard.Page(
            Text.of("handover.title", workshop.opened().machine().name()),
            Text.of("handover.why"),
            PaperCard.HAND_OVER,
            (folder, name) -> HandOver.write(sheet, folder, name)),
        outside);
  }

  private void palette() {
    PaletteCard.open(cards, commands());
  }

  private void askInitials() {
    InitialsCard.open(cards, workshop.initials().orElse(""), workshop::setInitials);
  }

  private void toggleUnit() {
    workshop.unitProperty().set(otherUnit());
  }

  private LengthUnit otherUnit() {
    return workshop.unitProperty().get() == LengthUnit.MILLIMETRE
        ? LengthUnit.INCH
        : LengthUnit.MILLIMETRE;
  }

  private void toggleTheme() {
    workshop.darkProperty().set(!workshop.darkProperty().get());
  }

  @Override
  public void undoLast() {
    if (workshop.lastEntry().isEmpty()) {
      workshop.say(Text.of("said.nothing-to-undo"));
    } else {
      withInitials(() -> workshop.undoLast(this::undone));
    }
  }

  private void undone(Entry entry) {
    if (sheets.containsKey(entry.stationId())) {
      sheets.get(entry.stationId()).undone(entry);
    }
    workshop.say(Text.of("said.undone", entry.kind().words(), When.dayAndTime(entry.at(), zone())));
  }

  private void undoEvent(Event event) {
    String words = event.inWords();
    withInitials(
        () -> workshop.withdraw(event, () -> workshop.say(Text.of("said.event-undone", words))));
  }

  /** Everything the window can do now, in the order the palette lists it. */
  private List<Command> commands() {
    List<Command> all = new ArrayList<>();
    boolean open = workshop.opened() != null;
    if (open) {
      all.add(Command.of(Text.of("command.today"), "Ctrl+Home", () -> show(TODAY)));
      int number = 1;
      for (var station : workshop.opened().standings().keySet()) {
        String words = Text.of("command.open", station.title());
        Runnable run = () -> show(station.id());
        all.add(number <= 9 ? Command.of(words, "Ctrl+" + number, run) : Command.of(words, run));
        number++;
      }
      if (!shown.equals(TODAY)) {
        all.add(Command.of(Text.of("command.primary"), "Ctrl+Enter", () -> sheet(shown).primary()));
      }
      all.add(Command.of(Text.of("command.happened"), "Ctrl+E", this::happened));
      all.add(
          Command.of(Text.of("command.go-card"), "Ctrl+G", () -> show(StartStation.STATION.id())));
      all.add(Command.of(Text.of("command.print-go-card"), this::writeGoCard));
      all.add(Command.of(Text.of("command.handover"), "Ctrl+P", this::handOver));
      all.add(
          Command.of(
              Text.of("command.change-machine", workshop.opened().machine().name()),
              this::changeMachine));
      all.add(Command.of(Text.of("command.undo"), "Ctrl+U", this::undoLast));
      workshop
          .lastEvent()
          .ifPresent(e ->
              all.add(Command.of(Text.of("command.undo-event", e.inWords()), () -> undoEvent(e))));
      for (Machine machine : workshop.machinesProperty().get()) {
        all.add(
            Command.of(Text.of("command.machine", machine.name()), () -> workshop.choose(machine)));
      }
    }
    all.add(Command.of(Text.of("command.new-machine"), "Ctrl+N", this::newMachine));
    all.add(Command.of(Text.of("command.unit", otherUnit().symbol()), "Ctrl+I", this::toggleUnit));
    all.add(
        Command.of(
            Text.of(workshop.darkProperty().get() ? "command.light" : "command.dark"),
            "Ctrl+D",
            this::toggleTheme));
    all.add(Command.of(Text.of("command.initials"), this::askInitials));
    all.add(Command.of(Text.of("command.window"), "Ctrl+Q", closeWindow));
    return all;
  }

  private void key(KeyEvent event) {
    if (cards.isOpen()) {
      return;
    }
    if (FIND.stream().anyMatch(k -> k.match(event))) {
      event.consume();
      palette();
      return;
    }
    if (SWITCH.match(event)) {
      event.consume();
      if (rail.holdsFocus()) {
        focusPage();
      } else {
        rail.focusOpened();
      }
      return;
    }
    if (!event.isControlDown()) {
      return;
    }
    commands().stream()
        .filter(c -> c.shortcut().filter(k -> k.match(event)).isPresent())
        .findFirst()
        .ifPresent(c -> {
          event.consume();
          c.run().run();
        });
  }
}
