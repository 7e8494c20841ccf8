package zebrawood.desktop.shell;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.geometry.Pos;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import zebrawood.desktop.command.Command;
import zebrawood.desktop.sheet.StationSheet;
import zebrawood.desktop.station.AtMachine;
import zebrawood.desktop.station.Guard;
import zebrawood.desktop.station.GuardLine;
import zebrawood.desktop.station.SheetHost;
import zebrawood.desktop.station.SheetHost.Page;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.desktop.workshop.WorkshopModel.Opened;
import zebrawood.devices.whole.CaseRun;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Recorded;
import zebrawood.ledger.SubjectKind;
import zebrawood.machine.Machine;

/**
 * The window's content: top bar, beam rail, the page on show, status line, and the cards over them.
 * Sheets are made when first shown and live until another machine is opened.
 */
public final class Shell extends StackPane implements SheetHost, MachinePage.Actions {
  /** The machine page's place among the pages. */
  public static final String TODAY = "";

  /** The place of the page of all machines. */
  public static final String ALL = "*";

  /** A narrower window shows the stations' marks alone. */
  private static final double NARROW = 1100;

  private final WorkshopModel workshop;
  private final List<StationDefinition> definitions;
  private final DesktopPrograms outside;
  private final TopBar top;
  private final BeamRail rail = new BeamRail();
  private final BorderPane frame = new BorderPane();
  private final Cards cards = new Cards(frame);

  /** What is written about something lies over whatever card is open. */
  private final Cards about = new Cards(new StackPane(frame, cards));

  private final HelpDesk help;
  private final RecordCards record;
  private final TakeBack takeBack;
  private final PaperDesk paper;
  private final ShellCommands commands;

  private final Map<String, StationSheet<?, ?>> sheets = new LinkedHashMap<>();
  private final ReadOnlyStringWrapper title = new ReadOnlyStringWrapper(Text.of("app.title"));
  private final Tour tour = new Tour(this::where);
  private final EmptyPage empty =
      new EmptyPage(this::newMachine, this::tryIt, () -> show(OtherPages.PRACTISE));
  private final List<StationModel<?, ?>> ending = new CopyOnWriteArrayList<>();
  private Optional<MachinePage> page = Optional.empty();
  private final OtherPages others;
  private String shown = TODAY;
  private Optional<Machine> shownMachine = Optional.empty();

  public Shell(
      WorkshopModel workshop,
      List<StationDefinition> definitions,
      DesktopPrograms outside,
      Runnable closeWindow) {
    this.workshop = workshop;
    this.definitions = List.copyOf(definitions);
    this.outside = outside;
    record = new RecordCards(this, cards, about);
    takeBack = new TakeBack(this, this::taken);
    help = new HelpDesk(this, about, this.definitions, outside);
    paper = new PaperDesk(this, this.definitions);
    commands = new ShellCommands(this, this.definitions, paper, help, closeWindow);
    others = new OtherPages(this, this::show, this::openMachine);
    top = new TopBar(workshop::choose, this::show, this::newMachine, this::palette);
    frame.setTop(new VBox(top, tour));
    frame.setLeft(rail);
    frame.setBottom(
        new StatusLine(workshop, this::askInitials, this::toggleUnit, this::toggleTheme));
    getChildren().addAll(frame.getParent(), about);
    setAlignment(Pos.TOP_LEFT);
    widthProperty().subscribe(w -> rail.setNarrow(w.doubleValue() < NARROW));
    addEventFilter(KeyEvent.KEY_PRESSED, new ShellKeys(this, commands, help)::pressed);
    cards.setOtherwise(this::focusPage);
    sceneProperty()
        .subscribe(s -> {
          if (s != null) {
            Platform.runLater(this::focusPage);
          }
        });
    workshop.openedProperty().subscribe(o -> follow());
    workshop.machinesProperty().subscribe(m -> showTop());
    workshop.fileState().lostProperty().subscribe(lost -> record.saveElsewhere());
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
  public void askTime(String why, Consumer<Optional<Instant>> then) {
    TimeCard.open(cards, workshop.clock(), why, then);
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
    return definitions.stream()
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
    ending.add(sheet.model());
  }

  /** Waits until what the sheets began outside has ended; not on the interface's thread. */
  public void awaitEnd() {
    ending.forEach(StationModel::awaitEnd);
    ending.clear();
  }

  /** What the window's title bar says. */
  public ReadOnlyStringProperty titleProperty() {
    return title.getReadOnlyProperty();
  }

  /** The open machine changed: another one, or its record grew. */
  private void follow() {
    Optional<Machine> machine = Optional.ofNullable(workshop.opened()).map(Opened::machine);
    if (shownMachine.isPresent() && machine.equals(shownMachine)) {
      sheets.values().forEach(StationSheet::refresh);
      page.ifPresent(MachinePage::refresh);
      if (OtherPages.has(shown)) {
        others.refresh();
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
    others.showWanted();
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
      frame.setCenter(stationId.equals(OtherPages.PRACTISE) ? others.open(stationId) : empty);
      rail.show(Text.of("rail.today"), Text.of("rail.none"), List.of(), TODAY, this::show);
      focusPage();
      return;
    }
    if (OtherPages.has(stationId)) {
      frame.setCenter(others.open(stationId));
    } else if (stationId.equals(TODAY)) {
      page = page.or(() -> Optional.of(new MachinePage(workshop, this)));
      page.get().refresh();
      frame.setCenter(page.get());
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

  @Override
  public Optional<CaseRun> playing() {
    return others.playing();
  }

  private StationSheet<?, ?> sheet(String stationId) {
    return sheets.computeIfAbsent(
        stationId,
        id -> {
          StationDefinition definition =
              definitions.stream()
                  .filter(m -> m.station().id().equals(id))
                  .findFirst()
                  .orElseThrow(() -> new IllegalArgumentException("no station " + id));
          Supplier<StationModel<?, ?>> anew = () -> definition.open(AtMachine.now(workshop));
          return StationSheet.of(this, definition.station(), anew.get(), anew);
        });
  }

  /** The place that is on show: a station's id, or one of the pages. */
  public String shown() {
    return shown;
  }

  boolean cardIsOpen() {
    return cards.isOpen();
  }

  /** Opens what happened on the machine page, or shuts it. */
  void toggleEvents() {
    page.ifPresent(MachinePage::toggleEvents);
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
    if (OtherPages.has(shown)) {
      others.focusFirst();
    } else if (workshop.opened() == null) {
      empty.focusFirst();
    } else if (shown.equals(TODAY)) {
      page.ifPresent(MachinePage::focusFirst);
    } else {
      sheet(shown).focusFirst();
    }
  }

  private void showRail() {
    RailRows rows = new RailRows(workshop);
    top.showFixture(rows.fixture());
    rail.show(Text.of("rail.today"), rows.holding(), rows.all(), shown, this::show);
  }

  /** A machine that is not there, and the steps to find one's way. */
  private void tryIt() {
    withInitials(() -> workshop.add(EmptyPage.trialMachine(), tour::start, () -> {}));
  }

  private Tour.Where where() {
    Optional<StationSheet<?, ?>> sheet = shownSheet();
    return new Tour.Where(
        shown,
        sheet.map(StationSheet::practiceRounds).orElse(-1),
        sheet.filter(s -> s.model().solved().isPresent()).isPresent(),
        cards.isOpen() && cards.lookup("#palette-field") != null);
  }

  void newMachine() {
    MachineCard.open(cards, this, Optional.empty());
  }

  void removeMachine() {
    MachineCard.askToRemove(cards, this, workshop.opened().machine());
  }

  void changeMachine() {
    MachineCard.open(cards, this, shownMachine);
  }

  @Override
  public void handOver() {
    paper.handOver();
  }

  @Override
  public void happened() {
    EventCard.open(cards, this, Optional.empty(), Optional.empty());
  }

  /** From the page to the rail, or back. */
  void switchSides() {
    if (rail.holdsFocus()) {
      focusPage();
    } else {
      rail.focusOpened();
    }
  }

  void palette() {
    List<Command> all = new ArrayList<>(commands.all());
    all.addAll(help.topics());
    PaletteCard.open(cards, all);
  }

  /** Asks for files of the record, and what is wrong with the workshop's own. */
  public RecordCards record() {
    return record;
  }

  void askInitials() {
    InitialsCard.open(cards, workshop.initials().orElse(""), workshop::setInitials);
  }

  void toggleUnit() {
    workshop.unitsProperty().set(workshop.units().with(next(workshop.units().length())));
  }

  static <E extends Enum<E>> E next(E now) {
    E[] all = now.getDeclaringClass().getEnumConstants();
    return all[(now.ordinal() + 1) % all.length];
  }

  void toggleTheme() {
    workshop.darkProperty().set(!workshop.darkProperty().get());
  }

  /** All of the window, a step larger or smaller. */
  void resize(int steps) {
    workshop.sizeProperty().set(workshop.sizeProperty().get().next(steps));
    workshop.say(Text.of("said.size", workshop.sizeProperty().get().percent()));
  }

  void takeBackLast() {
    takeBack.last();
  }

  @Override
  public void attachments(Recorded line) {
    record.attachments(line);
  }

  @Override
  public void takeBack(Entry entry) {
    takeBack.entry(entry);
  }

  private void taken(Entry entry) {
    if (sheets.containsKey(entry.stationId())) {
      sheets.get(entry.stationId()).undone(entry);
    }
  }
}
