package zebrawood.desktop.shell;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import zebrawood.desktop.command.Command;
import zebrawood.desktop.help.HelpPage;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.sheet.Guard;
import zebrawood.desktop.sheet.GuardLine;
import zebrawood.desktop.sheet.SheetHost;
import zebrawood.desktop.sheet.StationSheet;
import zebrawood.desktop.sheet.StationWork;
import zebrawood.desktop.sheet.SubjectWords;
import zebrawood.desktop.sheet.When;
import zebrawood.desktop.stations.PaperTellers;
import zebrawood.desktop.stations.StationDefinition;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.desktop.workshop.WorkshopModel.Opened;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Event;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Recorded;
import zebrawood.ledger.Standing;
import zebrawood.ledger.StandingWords;
import zebrawood.ledger.Station;
import zebrawood.ledger.SubjectKind;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.handover.HandOver;
import zebrawood.records.handover.HandOverSheet;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/**
 * The window's content: top bar, beam rail, the page on show, status line, and the cards over them.
 * Sheets are made when first shown and live until another machine is opened.
 */
public final class Shell extends StackPane implements SheetHost {
  /** The machine page's place among the pages. */
  public static final String TODAY = "";

  /** The place of the page of all machines. */
  public static final String ALL = "*";

  private static final List<KeyCombination> FIND =
      List.of(KeyCombination.valueOf("Ctrl+Space"), KeyCombination.valueOf("Ctrl+K"));

  private static final double TRIAL_WIDTH_MM = 600;
  private static final double TRIAL_DEPTH_MM = 400;
  private static final double TRIAL_LEVEL_MM = 0.3;

  /** A narrower window shows the stations' marks alone. */
  private static final double NARROW = 1100;

  private static final List<KeyCombination> LARGER =
      List.of(
          KeyCombination.valueOf("Ctrl+Plus"),
          KeyCombination.valueOf("Ctrl+Equals"),
          KeyCombination.valueOf("Ctrl+Shift+Equals"),
          KeyCombination.valueOf("Ctrl+Add"));

  private static final List<KeyCombination> SMALLER =
      List.of(KeyCombination.valueOf("Ctrl+Minus"), KeyCombination.valueOf("Ctrl+Subtract"));

  /** Between the rail and the page. */
  private static final KeyCombination SWITCH = KeyCombination.valueOf("F6");

  private final WorkshopModel workshop;
  private final List<StationDefinition> modules;
  private final DesktopPrograms outside;
  private final Runnable closeWindow;
  private final TopBar top;
  private final BeamRail rail = new BeamRail();
  private final BorderPane frame = new BorderPane();
  private final Cards cards = new Cards(frame);

  /** What is written about something lies over whatever card is open. */
  private final Cards about = new Cards(new StackPane(frame, cards));

  private final Map<String, StationSheet<?, ?>> sheets = new LinkedHashMap<>();
  private final ReadOnlyStringWrapper title = new ReadOnlyStringWrapper(Text.of("app.title"));
  private final Button firstMachine =
      Card.primary("first-machine", Text.of("today.none.new"), this::newMachine);
  private final Button trial = Card.button("try-it", Text.of("tour.try"), this::tryIt);
  private final Tour tour = new Tour(this::where);
  private final List<StationWork<?, ?>> ending = new java.util.concurrent.CopyOnWriteArrayList<>();
  private Optional<MachinePage> page = Optional.empty();
  private Optional<WorkshopPage> all = Optional.empty();
  private String shown = TODAY;
  private Optional<Machine> shownMachine = Optional.empty();

  public Shell(
      WorkshopModel workshop,
      List<StationDefinition> modules,
      DesktopPrograms outside,
      Runnable closeWindow) {
    this.workshop = workshop;
    this.modules = List.copyOf(modules);
    this.outside = outside;
    this.closeWindow = closeWindow;
    top = new TopBar(workshop::choose, () -> show(ALL), this::newMachine, this::palette);
    frame.setTop(new VBox(top, tour));
    frame.setLeft(rail);
    frame.setBottom(
        new StatusLine(workshop, this::askInitials, this::toggleUnit, this::toggleTheme));
    getChildren().addAll(frame.getParent(), about);
    setAlignment(Pos.TOP_LEFT);
    widthProperty().subscribe(w -> rail.setNarrow(w.doubleValue() < NARROW));
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    cards.setOtherwise(this::focusPage);
    sceneProperty()
        .subscribe(s -> {
          if (s != null) {
            javafx.application.Platform.runLater(this::focusPage);
          }
        });
    workshop.openedProperty().subscribe(o -> follow());
    workshop.machinesProperty().subscribe(m -> showTop());
    workshop
        .unitsProperty()
        .subscribe((before, now) -> {
          showTop();
          page.ifPresent(MachinePage::refresh);
          if (workshop.opened() != null) {
            showRail();
          }
        });
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
  public void write(Page written) {
    PaperCard.open(cards, workshop, written, outside);
  }

  @Override
  public void askSubject(SubjectKind kind) {
    EventCard.open(cards, this, Optional.of(kind), Optional.empty());
  }

  @Override
  public void askEvent(EventKind kind) {
    EventCard.open(cards, this, Optional.empty(), Optional.of(kind));
  }

  @Override
  public List<GuardLine> notProvenToday() {
    return guard().map(g -> g.notProven(workshop)).orElse(List.of());
  }

  @Override
  public String guardStation() {
    return guard().map(Guard::stationId).orElse(TODAY);
  }

  private Optional<Guard> guard() {
    return modules.stream()
        .flatMap(m -> m.guard().stream())
        .filter(g ->
            workshop.opened().standings().keySet().stream()
                .anyMatch(s -> s.id().equals(g.stationId())))
        .findFirst();
  }

  /** Lets go of the sheets; what they do outside ends as it must. */
  public void dispose() {
    sheets.values().forEach(this::letGo);
    sheets.clear();
  }

  /** Lets go of the window: of its sheets, and of what looks at them. */
  public void letGo() {
    tour.end();
    dispose();
  }

  private void letGo(StationSheet<?, ?> sheet) {
    sheet.dispose();
    ending.add(sheet.work());
  }

  /** Waits until what the sheets began outside has ended; not on the interface's thread. */
  public void awaitEnd() {
    ending.forEach(StationWork::awaitEnd);
    ending.clear();
  }

  /** What the window's title bar says. */
  public ReadOnlyStringProperty titleProperty() {
    return title.getReadOnlyProperty();
  }

  /** The open machine changed: another one, or its record grew. */
  private void follow() {
    Opened opened = workshop.opened();
    Optional<Machine> machine = Optional.ofNullable(opened).map(Opened::machine);
    if (shownMachine.isPresent() && machine.equals(shownMachine)) {
      sheets.values().forEach(StationSheet::refresh);
      page.ifPresent(MachinePage::refresh);
      if (shown.equals(ALL)) {
        all.ifPresent(WorkshopPage::refresh);
      }
      showRail();
      return;
    }
    boolean another = !machine.map(Machine::id).equals(shownMachine.map(Machine::id));
    shownMachine = machine;
    dispose();
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
      rail.show(Text.of("rail.today"), Text.of("rail.none"), List.of(), TODAY, this::show);
      focusPage();
      return;
    }
    if (stationId.equals(ALL)) {
      WorkshopPage shownAll = new WorkshopPage(workshop, this::openMachine);
      all = Optional.of(shownAll);
      frame.setCenter(shownAll);
    } else if (stationId.equals(TODAY)) {
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

  private void openMachine(Machine machine) {
    if (shownMachine.filter(m -> m.id().equals(machine.id())).isPresent()) {
      show(TODAY);
    } else {
      workshop.choose(machine);
    }
  }

  private java.time.ZoneId zone() {
    return workshop.clock().getZone();
  }

  private StationSheet<?, ?> sheet(String stationId) {
    return sheets.computeIfAbsent(
        stationId,
        id -> {
          StationDefinition definition =
              modules.stream()
                  .filter(m -> m.station().id().equals(id))
                  .findFirst()
                  .orElseThrow(() -> new IllegalArgumentException("no station " + id));
          return StationSheet.of(
              this,
              definition.station(),
              definition.work().apply(workshop.opened().ledger(), workshop.units()));
        });
  }

  /** The sheet on show, if one is. */
  public Optional<StationSheet<?, ?>> shownSheet() {
    return Optional.ofNullable(sheets.get(shown));
  }

  private void focusPage() {
    if (cards.isOpen() || about.isOpen() || getScene() == null) {
      return;
    }
    // What scrolls has its content in the scene only once its looks are applied.
    frame.applyCss();
    frame.layout();
    if (workshop.opened() == null) {
      firstMachine.requestFocus();
    } else if (shown.equals(TODAY)) {
      page.ifPresent(MachinePage::focusFirst);
    } else if (shown.equals(ALL)) {
      all.ifPresent(WorkshopPage::focusFirst);
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
        standings.entrySet().stream().map(e -> line(e.getKey(), e.getValue())).toList(),
        shown,
        this::show);
  }

  private BeamRail.Row line(Station station, Standing standing) {
    String words = Text.of(StandingWords.of(standing, zone()));
    int onFile = workshop.onFile(station).size();
    return new BeamRail.Row(
        station.id(),
        Text.of(station.phase()),
        SubjectWords.title(workshop.opened().ledger(), station),
        Text.of(StandingWords.brief(standing, zone())),
        onFile == 0 ? words : Text.of("subject.on-file", words, onFile),
        standing);
  }

  private StackPane emptyPage() {
    var heading = Card.words(Text.of("today.none.title"));
    heading.getStyleClass().add("title");
    VBox words =
        new VBox(
            14,
            heading,
            Card.words(Text.of("today.none.why")),
            firstMachine,
            Card.words(Text.of("tour.why")),
            trial);
    words.setMaxSize(520, Region.USE_PREF_SIZE);
    StackPane empty = new StackPane(words);
    empty.getStyleClass().add("empty-page");
    return empty;
  }

  /** A machine that is not there, and the steps to find one's way. */
  private void tryIt() {
    Machine machine =
        new Machine(
            UUID.randomUUID().toString(),
            Text.of("tour.machine"),
            Build.GANTRY_WITH_MIRRORS,
            new Source(
                SourceKind.CO2_GLASS_TUBE,
                SourceKind.CO2_GLASS_TUBE.usualWatts(),
                SourceKind.CO2_GLASS_TUBE.usualWavelengthNm()),
            TRIAL_WIDTH_MM,
            TRIAL_DEPTH_MM,
            BedSupport.SCREWS,
            TRIAL_LEVEL_MM);
    withInitials(() -> workshop.add(machine, tour::start, () -> {}));
  }

  private Tour.Where where() {
    Optional<StationSheet<?, ?>> sheet = shownSheet();
    return new Tour.Where(
        shown,
        sheet.map(StationSheet::practiceRounds).orElse(-1),
        sheet.filter(s -> s.work().found().isPresent()).isPresent(),
        cards.isOpen() && cards.lookup("#palette-field") != null);
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
    EventCard.open(cards, this, Optional.empty(), Optional.empty());
  }

  /** As the record stands now, with what the technician says of what was not done. */
  private Function<String, HandOverSheet> sheet() {
    Ledger ledger = workshop.opened().ledger();
    var tellers = PaperTellers.of(ledger, workshop.units());
    Instant now = workshop.clock().instant();
    String by = workshop.initials().orElse("–");
    Phrasebook words = Text.words();
    return remark ->
        HandOverSheet.of(
            ledger,
            workshop.stations(),
            new HandOverSheet.Hand(tellers, now, zone(), by, words, remark));
  }

  private void handOver() {
    Function<String, HandOverSheet> sheet = sheet();
    Phrasebook words = Text.words();
    write(
        new Page(
            Text.of("handover.title", workshop.opened().machine().name()),
            Text.of("handover.why"),
            PaperCard.HAND_OVER,
            true,
            (folder, name, remark) -> HandOver.write(sheet.apply(remark), words, folder, name)));
  }

  private void machineCard() {
    Function<String, HandOverSheet> sheet = sheet();
    Phrasebook words = Text.words();
    write(
        new Page(
            Text.of("machine-card.title", workshop.opened().machine().name()),
            Text.of("machine-card.why"),
            "machine-card",
            false,
            (folder, name, remark) ->
                HandOver.writeCard(sheet.apply(remark), words, folder, name)));
  }

  private void palette() {
    List<Command> all = new ArrayList<>(commands());
    all.addAll(topics());
    PaletteCard.open(cards, all);
  }

  /** Tells of what has the focus; of the page where that is nothing by itself. */
  private void tell() {
    Node focused = getScene().getFocusOwner();
    List<Topic> topics = new ArrayList<>(Topic.at(focused == null ? this : focused));
    Topic page = Topic.sheet(shownSheet().isPresent() ? shown : "today");
    if (!topics.contains(page) && !cards.isOpen()) {
      topics.add(page);
    }
    if (!topics.isEmpty()) {
      tell(topics.getFirst(), topics);
    }
  }

  private void tell(Topic topic, List<Topic> near) {
    String caution =
        shownSheet()
            .filter(s -> near.contains(Topic.sheet(shown)))
            .map(s -> Text.of(s.work().caution()))
            .orElse(topic.caution());
    HelpPage page = new HelpPage(topic, caution, near, t -> tell(t, near), about::close);
    about.open(page, page.close());
  }

  /** A line of the palette for all that is written about what the machine has. */
  private List<Command> topics() {
    return Stream.concat(
            Stream.of("today", "workshop", "event", "machine"),
            Optional.ofNullable(workshop.opened()).stream()
                .flatMap(o -> o.standings().keySet().stream())
                .map(Station::id))
        .flatMap(Topic::all)
        .map(t ->
            Command.of(
                Message.of(
                    "command.about",
                    Message.verbatim(t.name()),
                    Message.verbatim(Topic.sheet(t.of()).name())),
                () -> tell(t, List.of(Topic.sheet(t.of())))))
        .toList();
  }

  private void askInitials() {
    InitialsCard.open(cards, workshop.initials().orElse(""), workshop::setInitials);
  }

  private void toggleUnit() {
    show(workshop.units().with(next(workshop.units().length())));
  }

  private void show(DisplayUnits units) {
    workshop.unitsProperty().set(units);
  }

  private static <E extends Enum<E>> E next(E now) {
    E[] all = now.getDeclaringClass().getEnumConstants();
    return all[(now.ordinal() + 1) % all.length];
  }

  private void toggleTheme() {
    workshop.darkProperty().set(!workshop.darkProperty().get());
  }

  /** All of the window, a step larger or smaller. */
  private void resize(int steps) {
    workshop.sizeProperty().set(workshop.sizeProperty().get().next(steps));
    workshop.say(Text.of("said.size", workshop.sizeProperty().get().percent()));
  }

  @Override
  public void undoLast() {
    Optional<Entry> last = workshop.lastEntry();
    if (last.isEmpty()) {
      workshop.say(Text.of("said.nothing-to-undo"));
    } else {
      withInitials(() -> workshop.withdraw(last.get(), () -> undone(last.get())));
    }
  }

  private void undone(Entry entry) {
    if (sheets.containsKey(entry.stationId())) {
      sheets.get(entry.stationId()).undone(entry);
    }
    workshop.say(Text.of("said.undone", entry.kind(), When.dayAndTime(entry.time(), zone())));
  }

  private void takeBack(Event event) {
    String words = Text.words().sayKept(event.said());
    withInitials(
        () -> workshop.withdraw(event, () -> workshop.say(Text.of("said.event-undone", words))));
  }

  private void bringBack(Ledger.Withdrawn withdrawn) {
    withInitials(() ->
        workshop.withdraw(
            withdrawn.withdrawal(), () -> workshop.say(Text.of("said.brought-back"))));
  }

  private Message said(Recorded line) {
    return switch (line) {
      case Entry entry ->
          Message.of(
              "command.entry",
              Text.words().has(entry.stationId() + ".title")
                  ? Message.of(entry.stationId() + ".title")
                  : Message.verbatim(entry.stationId()),
              entry.kind(),
              When.dayAndTime(entry.time(), zone()));
      case Event event ->
          Message.of(
              "command.event",
              Text.words().sayKept(event.said()),
              When.dayAndTime(event.time(), zone()));
    };
  }

  /** Everything the window can do now, in the order the palette lists it. */
  private List<Command> commands() {
    List<Command> all = new ArrayList<>();
    if (workshop.opened() != null) {
      all.addAll(openCommands());
    }
    all.add(Command.of(Message.of("command.new-machine"), "Ctrl+N", this::newMachine));
    all.addAll(displayCommands());
    all.add(Command.of(Message.of("command.tell"), "F1", this::tell));
    all.add(Command.of(Message.of("command.initials"), this::askInitials));
    all.add(Command.of(Message.of("command.window"), "Ctrl+Q", closeWindow));
    return all;
  }

  /** What can be done with the open machine. */
  private List<Command> openCommands() {
    List<Command> all = new ArrayList<>();
    all.add(Command.of(Message.of("command.today"), "Ctrl+Home", () -> show(TODAY)));
    if (shown.equals(TODAY)) {
      all.add(
          Command.of(
              Message.of("command.events"), "F9", () -> page.ifPresent(MachinePage::toggleEvents)));
    }
    int number = 1;
    for (var station : workshop.opened().standings().keySet()) {
      Message words = Message.of("command.open", station.title());
      Runnable run = () -> show(station.id());
      all.add(number <= 9 ? Command.of(words, "Ctrl+" + number, run) : Command.of(words, run));
      number++;
    }
    if (workshop.machinesProperty().get().size() > 1) {
      all.add(Command.of(Message.of("command.all"), "Ctrl+0", () -> show(ALL)));
    }
    if (shownSheet().isPresent()) {
      all.add(
          Command.of(Message.of("command.primary"), "Ctrl+Enter", () -> sheet(shown).primary()));
      all.add(
          Command.of(Message.of("command.notebook"), "F9", () -> sheet(shown).toggleNotebook()));
    }
    all.add(Command.of(Message.of("command.happened"), "Ctrl+E", this::happened));
    for (StationDefinition definition : modules) {
      if (workshop.opened().standings().containsKey(definition.station())) {
        all.addAll(definition.commands().apply(this));
      }
    }
    all.add(Command.of(Message.of("command.handover"), "Ctrl+P", this::handOver));
    all.add(Command.of(Message.of("command.machine-card"), this::machineCard));
    all.add(
        Command.of(
            Message.of("command.change-machine", workshop.opened().machine().name()),
            this::changeMachine));
    all.add(Command.of(Message.of("command.undo"), "Ctrl+U", this::undoLast));
    Ledger ledger = workshop.opened().ledger();
    for (Event event : newest(ledger.events())) {
      all.add(Command.of(Message.of("command.undo-event", said(event)), () -> takeBack(event)));
    }
    for (Ledger.Withdrawn gone : newest(ledger.withdrawn())) {
      all.add(
          Command.of(Message.of("command.bring-back", said(gone.what())), () -> bringBack(gone)));
    }
    for (Machine machine : workshop.machinesProperty().get()) {
      all.add(
          Command.of(
              Message.of("command.machine", machine.name()), () -> workshop.choose(machine)));
    }
    return all;
  }

  /** More of them nobody looks through. */
  private static final int MOST_LISTED = 40;

  private static <T> List<T> newest(List<T> oldestFirst) {
    return oldestFirst.reversed().stream().limit(MOST_LISTED).toList();
  }

  private List<Command> displayCommands() {
    DisplayUnits units = workshop.units();
    return List.of(
        Command.of(Message.of("command.unit", next(units.length())), "Ctrl+I", this::toggleUnit),
        Command.of(
            Message.of("command.temperature", next(units.temperature())),
            () -> show(units.with(next(units.temperature())))),
        Command.of(
            Message.of("command.speed", next(units.speed())),
            () -> show(units.with(next(units.speed())))),
        Command.of(
            Message.of("command.interval", next(units.interval())),
            () -> show(units.with(next(units.interval())))),
        Command.of(
            Message.of(workshop.darkProperty().get() ? "command.light" : "command.dark"),
            "Ctrl+D",
            this::toggleTheme),
        Command.of(Message.of("command.larger"), "Ctrl+Plus", () -> resize(1)),
        Command.of(Message.of("command.smaller"), "Ctrl+Minus", () -> resize(-1)));
  }

  private void key(KeyEvent event) {
    if (about.isOpen()) {
      return;
    }
    if (event.getCode() == KeyCode.F1) {
      event.consume();
      tell();
      return;
    }
    if (cards.isOpen()) {
      return;
    }
    if (FIND.stream().anyMatch(k -> k.match(event))) {
      event.consume();
      palette();
      return;
    }
    boolean larger = LARGER.stream().anyMatch(k -> k.match(event));
    if (larger || SMALLER.stream().anyMatch(k -> k.match(event))) {
      event.consume();
      resize(larger ? 1 : -1);
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
    if (!event.isControlDown() && !event.getCode().isFunctionKey()) {
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
