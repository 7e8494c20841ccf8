package zebrawood.desktop.controller;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import zebrawood.controller.Audit;
import zebrawood.controller.AxisScale;
import zebrawood.controller.ControllerReadings;
import zebrawood.controller.ControllerStation;
import zebrawood.controller.ControllerVisit;
import zebrawood.controller.ControllerVisit.Judged;
import zebrawood.controller.ControllerVisit.Motion;
import zebrawood.controller.ControllerVisit.Proof;
import zebrawood.controller.ControllerVisit.TwoMarks;
import zebrawood.controller.Dialect;
import zebrawood.controller.Role;
import zebrawood.controller.RunUp;
import zebrawood.controller.Settings;
import zebrawood.controller.Talk;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.sheet.FigureTile;
import zebrawood.desktop.sheet.JudgedLine;
import zebrawood.desktop.sheet.Outcome;
import zebrawood.desktop.sheet.Part;
import zebrawood.desktop.sheet.SheetContext;
import zebrawood.desktop.sheet.StationWork;
import zebrawood.desktop.sheet.Step;
import zebrawood.desktop.solve.Solver;
import zebrawood.desktop.stations.StationDefinition;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Figure;
import zebrawood.machine.Machine;
import zebrawood.quantity.Amount;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.records.handover.Teller;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/** The controller station at one machine: what is typed or read, and what follows from it. */
public final class ControllerWork extends StationWork<ControllerVisit, Judged> {
  public static final StationDefinition DEFINITION =
      new StationDefinition(
          ControllerStation.STATION,
          (ledger, units) -> new ControllerWork(ledger.machine(), units),
          Solver.of("controller", ControllerReadings.class, Audit::solve, Set.of()));

  private static final double SCALE_PER_MILLE = 2;
  private static final double SMALLEST_SETTING = 0.001;
  private static final double LARGEST_SETTING = 1e7;

  private final Machine machine;
  private final WordsField dump = form().words(Field.READING + "dump");
  private final WordsField fileName = form().words(Field.READING + "file");
  private final HeadFields head = new HeadFields(form());
  private final DialectFields dialect = new DialectFields(form());
  private final PrintedText printed = new PrintedText(dialect);
  private final List<QuantityField> across = scale("X");
  private final List<QuantityField> along = scale("Y");
  private final QuantityField rule = form().quantity("rule", Quantity.LENGTH, 0.001, 10);
  private final QuantityField speed = form().quantity("speed", Quantity.SPEED, 0.1, 100_000);
  private final QuantityField acceleration =
      form().quantity("acceleration", Quantity.ACCELERATION, 1, LARGEST_SETTING);
  private final QuantityField width = form().quantity("width", Quantity.LENGTH, 0.1, 100_000);
  private final ChoiceField<TwoMarks> marks =
      form().choice(Field.READING + "marks", TwoMarks.class, TwoMarks.NOT_BURNT);
  private final WordsField configuration = form().plainWords("configuration");
  private final QuantityField lens = form().quantity("lens", Quantity.LENGTH, 5, 2000);
  private final WordsField offline = form().words(Field.READING + "offline");
  private final WordsField leastMark = form().plainWords("leastMark");
  private final WordsField connection = form().words("connection");
  private final Map<Motion, ProofField> proofs = new EnumMap<>(Motion.class);

  // Orders for one shot are of a form of their own: they are given, not kept.
  private final ChoiceField<StandInFault> fault;
  private final QuantityField share;
  private final QuantityField pulse;

  private Optional<String> leftBefore = Optional.empty();

  /** Where what stands there came from, and how much of it is read. */
  private final ObjectProperty<Message> origin = new SimpleObjectProperty<>(Message.NONE);

  /** Whether what is pasted is to be seen: until something was read. */
  private final BooleanProperty pasting = new SimpleBooleanProperty(true);

  /** Whether somebody types in what is pasted. */
  private boolean typing;

  private final PanelShot panel = new PanelShot(form());

  /** The text that came from the file, until it is another. */
  private String ofTheFile = "";

  private Optional<ControllerProtocol> protocol = Optional.empty();

  public ControllerWork(Machine machine, DisplayUnits units) {
    super(new StationForm("controller", units));
    this.machine = machine;
    rule.set(0.5);
    if (machine.build().headTravels()) {
      for (Motion item : Motion.values()) {
        proofs.put(item, form().proof(item));
      }
    }
    StationForm orders = new StationForm("controller", units);
    fault = orders.choice("fault", StandInFault.class, StandInFault.NONE);
    share = orders.quantity("share", Quantity.PERCENT, 0.1, 30);
    pulse = orders.quantity("pulse", Quantity.PULSE_TIME, 5, 1000);
    share.set(1);
    pulse.set(100);
    begin();
  }

  private List<QuantityField> scale(String axis) {
    return List.of(
        form().quantity(Field.READING + "commanded" + axis, Quantity.LENGTH, 0.1, 100_000),
        form().quantity(Field.READING + "measured" + axis, Quantity.LENGTH, 0.1, 100_000));
  }

  Machine machine() {
    return machine;
  }

  WordsField dump() {
    return dump;
  }

  HeadFields head() {
    return head;
  }

  ChoiceField<StandInFault> fault() {
    return fault;
  }

  QuantityField share() {
    return share;
  }

  QuantityField pulse() {
    return pulse;
  }

  DialectFields fields() {
    return dialect;
  }

  /**
   * How this controller prints its settings; empty while nobody said it, or not so that it can be.
   */
  Optional<Dialect> dialect() {
    return printed.dialect();
  }

  /** How it is talked to, as far as somebody said it. */
  Optional<Talk> talks() {
    return dialect().flatMap(Dialect::talk);
  }

  /** The settings that stand there, when they can be read. */
  Optional<Settings> settings() {
    return settingsOf(dump.text());
  }

  Optional<Settings> settingsOf(String text) {
    return printed.settings(text);
  }

  /** Whether what is known of it is of a gantry; a page of a field and its source is not. */
  private boolean isGantry() {
    return dialect()
        .filter(d ->
            d.talk().isPresent() || d.byRole().keySet().stream().anyMatch(r -> !r.isOfAField()))
        .isPresent();
  }

  @Override
  protected Stream<Field> needed() {
    List<Field> needed = new ArrayList<>(List.of(dump));
    if (!dialect.isEmpty() && !dialect.isPage()) {
      needed.add(dialect.writeLine());
    }
    if (isGantry()) {
      head.needed().forEach(needed::add);
    }
    for (List<QuantityField> axis : List.of(across, along)) {
      if (QuantityField.begun(axis)) {
        needed.addAll(axis);
        needed.add(rule);
      }
    }
    if (!speed.isEmpty() || !width.isEmpty()) {
      needed.addAll(List.of(speed, width));
      if (accelerationMmS2().isEmpty()) {
        needed.add(acceleration);
      }
    }
    return needed.stream();
  }

  private OptionalDouble accelerationMmS2() {
    return acceleration.value().isPresent() ? acceleration.value() : setting(Role.ACCELERATION_X);
  }

  private OptionalDouble setting(Role role) {
    return settings()
        .map(s -> s.number(role, SMALLEST_SETTING, LARGEST_SETTING))
        .orElse(OptionalDouble.empty());
  }

  /** What nobody looked at yet, and what a write may depend on. */
  @Override
  protected Optional<Message> waitsFor() {
    if (dialect.isEmpty()) {
      return Optional.of(Message.of("controller.waits.dialect"));
    }
    return isGantry() && settings().isPresent() ? head.toLookAt() : Optional.empty();
  }

  @Override
  protected ControllerVisit readings() {
    Dialect its = dialect.dialect();
    String lines = printed.lines(dump.text());
    return new ControllerVisit(
        isGantry() ? Optional.of(numbered(its, lines)) : Optional.empty(),
        isGantry() ? Optional.empty() : Optional.of(new ControllerVisit.Page(its, lines)),
        lens.value(),
        offline.isEmpty() ? Optional.empty() : Optional.of(printed.lines(offline.text())),
        leftBefore.map(printed::lines),
        axis(across, Role.STEPS_PER_MM_X),
        axis(along, Role.STEPS_PER_MM_Y),
        speed.isEmpty()
            ? Optional.empty()
            : Optional.of(
                new RunUp.Readings(
                    speed.number(), accelerationMmS2().orElseThrow(), width.number())),
        marks.get(),
        head.homeAtStart(),
        text(configuration),
        connection.text(),
        answered(proofs, Proof::new),
        panel.answers());
  }

  private Optional<AxisScale.Readings> axis(List<QuantityField> fields, Role steps) {
    return QuantityField.begun(fields)
        ? Optional.of(
            new AxisScale.Readings(
                fields.get(0).number(),
                fields.get(1).number(),
                rule.number(),
                SCALE_PER_MILLE,
                setting(steps)))
        : Optional.empty();
  }

  private ControllerReadings numbered(Dialect its, String lines) {
    return new ControllerReadings(
        its,
        lines,
        head.machine(machine),
        head.jobSoftware(),
        head.wired(),
        head.policy(),
        Optional.of(head.head()));
  }

  @Override
  protected Judged solve(ControllerVisit visit) {
    return visit.solve(machine);
  }

  @Override
  public List<Figure> figures(ControllerVisit visit, Judged finding) {
    return visit.figures(finding);
  }

  @Override
  protected void attached(SheetContext sheet) {
    protocol = Optional.of(new ControllerProtocol(this, sheet));
    configuration.textProperty().subscribe((before, now) -> configurationNamed(sheet, now.strip()));
    ofTheFile = dump.text();
    pasting.set(dump.isEmpty());
    outcomeProperty().subscribe((before, now) -> showOrigin());
    showOrigin();
    dump.textProperty()
        .subscribe((before, now) -> {
          if (!now.equals(ofTheFile)) {
            fileName.set("");
          }
        });
  }

  @Override
  public List<Part> parts() {
    List<Part> parts =
        new ArrayList<>(
            List.of(
                Part.heading("sheet.readings", "sheet.keys"),
                new Part.Live(origin),
                new Part.Own(pane -> protocol.orElseThrow().linkBar()),
                new Part.OpenWhile(
                    pasting,
                    Part.fold(
                        "controller.pasted",
                        new Part.Area(dump, 6, Message.of("controller.dump.prompt")),
                        Part.hint("controller.file.hint"),
                        new Part.Own(pane -> new FileBar(this, pane)))),
                new Part.Told()));
    parts.addAll(head.software());
    if (!proofs.isEmpty()) {
      parts.add(Part.heading("controller.motion", "sheet.keys"));
      parts.add(new Part.Rows(List.copyOf(proofs.values())));
      parts.add(new Part.Own(pane -> protocol.orElseThrow().linkBar().motion()));
    }
    parts.addAll(
        List.of(
            Part.fold(
                "controller.dialect",
                Stream.concat(
                        Stream.of(new Part.Own(pane -> new DialectBar(this, dialect))),
                        dialect.prints().stream())
                    .toArray(Part[]::new)),
            Part.fold("controller.talk", dialect.talks().toArray(Part[]::new)),
            Part.fold(
                "controller.scale",
                Part.hint("controller.scale.hint"),
                new Part.Rows(
                    Stream.of(across, along, List.of(rule)).flatMap(List::stream).toList())),
            Part.fold("controller.run-up", Part.rows(speed, acceleration, width)),
            Part.fold("controller.marks", Part.hint("controller.marks.hint"), Part.rows(marks)),
            Part.fold(
                "controller.shot-order",
                Part.rows(share, pulse),
                new Part.Own(pane -> protocol.orElseThrow().linkBar().shot()),
                Part.heading("controller.panel", "sheet.keys"),
                new Part.When(panel.mayFire().not(), List.of(new Part.Live(panel.missing()))),
                new Part.When(panel.mayFire(), panel.parts()),
                Part.rows(leastMark)),
            Part.fold(
                "controller.snapshots",
                Part.hint("controller.snapshots.hint"),
                new Part.Own(pane -> protocol.orElseThrow().snapshots()),
                new Part.Own(pane -> protocol.orElseThrow().linkBar().restore())),
            Part.fold(
                "controller.configuration",
                Part.hint("controller.configuration.hint"),
                Part.rows(configuration),
                head.ofTheHead()),
            Part.fold(
                "controller.named",
                Part.rows(lens),
                Part.hint("controller.offline.hint"),
                new Part.Area(offline, 4, Message.of("controller.offline.prompt"))),
            Part.fold(
                "controller.practice", Part.hint("controller.practice.hint"), Part.rows(fault)),
            Part.fold(
                "controller.connection",
                Part.hint("controller.connection.hint"),
                Part.rows(connection))));
    return parts;
  }

  /** What was read over the link; its lines need not be looked at. */
  void takeRead(String text) {
    dump.set(text);
    pasting.set(false);
  }

  void takeFile(String name, String text) {
    form()
        .quietly(() -> {
          dump.set(text);
          fileName.set(name);
        });
    ofTheFile = text;
  }

  /** The name of the file whose text stands there; empty where it is no file's. */
  WordsField fileName() {
    return fileName;
  }

  /** Its lines need not be looked at once they are read and nobody types in them. */
  private void showOrigin() {
    origin.set(whereFrom());
    if (!typing && settings().isPresent()) {
      pasting.set(false);
    }
  }

  @Override
  public void focused(Optional<Field> field) {
    typing = field.filter(dump::equals).isPresent();
    showOrigin();
  }

  private Message whereFrom() {
    if (dump.isEmpty()) {
      return Message.of("controller.origin.none");
    }
    Optional<Integer> lines = settings().map(settings -> settings.values().size());
    if (lines.isEmpty()) {
      return Message.of("controller.origin.not-read");
    }
    return protocol
        .flatMap(ControllerProtocol::readOver)
        .map(port ->
            Message.of(
                "controller.origin.link",
                Message.quoted(port),
                Message.quoted(dialect().map(Dialect::name).orElse("")),
                lines.get()))
        .orElseGet(() ->
            fileName.isEmpty()
                ? Message.of("controller.origin.pasted", lines.get())
                : Message.of(
                    "controller.origin.file", Message.quoted(fileName.text()), lines.get()));
  }

  /** Where it can be sent, what is wrong is seen before it is sent. */
  @Override
  public Optional<Order> order() {
    return found()
        .filter(f -> !f.finding().writes().isEmpty())
        .flatMap(f -> protocol)
        .filter(p -> p.readOver().isPresent())
        .map(p -> new Order(Message.of("controller.order.see"), p::writeWhatWasRead));
  }

  @Override
  public Optional<List<JudgedLine>> judged() {
    return Optional.of(
        found().map(f -> SettingLines.of(f.finding(), settings())).orElse(List.of()));
  }

  /** What can be written is one step; what each line does stands in the list. */
  @Override
  public List<Step> steps(Outcome.Found<ControllerVisit, Judged> found) {
    return SettingLines.steps(found.finding());
  }

  void say(Message words) {
    context().ifPresent(c -> c.workshop().say(Text.of(words)));
  }

  @Override
  public void draw(Canvas on) {
    ControllerPicture.draw(on, found());
  }

  @Override
  public List<Teller.Setting> settingsLeft() {
    return settings()
        .map(s ->
            s.values().entrySet().stream()
                .map(e -> new Teller.Setting(e.getKey(), e.getValue()))
                .toList())
        .orElse(List.of());
  }

  @Override
  public boolean hasPaperPicture() {
    return found().flatMap(f -> f.finding().audit()).isPresent();
  }

  @Override
  public Message whyRead() {
    return Message.of("controller.do.why");
  }

  @Override
  public Message caution() {
    return Message.of("controller.caution");
  }

  @Override
  public List<FigureTile> tiles(Outcome.Found<ControllerVisit, Judged> found) {
    List<FigureTile> tiles = new ArrayList<>(super.tiles(found));
    found
        .finding()
        .runUp()
        .ifPresent(r -> {
          // Asked for just now, they stand before what is always there.
          tiles.add(
              1,
              FigureTile.of(
                  Message.of("controller.tile.best"),
                  Amount.of(r.bestSpeedMmS(), Quantity.SPEED, 0)));
          tiles.add(
              1,
              FigureTile.of(
                  Message.of("controller.tile.run-up"),
                  Amount.of(r.runUpMm(), Quantity.LENGTH, 1)));
        });
    return tiles;
  }

  @Override
  public List<Message> summary(Outcome.Found<ControllerVisit, Judged> found) {
    List<Message> sentences = new ArrayList<>();
    found
        .finding()
        .runUp()
        .ifPresent(r ->
            sentences.add(
                Message.of(
                    "controller.summary.run-up",
                    Amount.of(r.runUpMm(), Quantity.LENGTH, 1),
                    Amount.of(r.bestSpeedMmS(), Quantity.SPEED, 0))));
    return sentences;
  }

  @Override
  public void recordChanged(List<Entry> entries) {
    if (context().filter(c -> panel.ask(c.host().notProvenToday())).isPresent()) {
      solveAgain();
    }
    context()
        .ifPresent(c -> {
          List<Snapshot> all = Snapshot.all(entries, c.workshop().clock().getZone());
          Optional<Snapshot> left = Snapshot.lastLeft(all, text(configuration));
          setLeftBefore(left.map(Snapshot::text));
          protocol.orElseThrow().snapshots().show(all, left);
        });
  }

  /** The text as it was last left, to be compared with. */
  void setLeftBefore(Optional<String> text) {
    if (!text.equals(leftBefore)) {
      leftBefore = text;
      solveAgain();
    }
  }

  /** A head that was here before brings its power words and its travel with it. */
  private void configurationNamed(SheetContext sheet, String name) {
    List<Entry> entries = sheet.workshop().opened().ledger().entriesAt(ControllerStation.STATION);
    Snapshot.lastLeft(Snapshot.all(entries, sheet.workshop().clock().getZone()), name)
        .filter(s -> !name.isEmpty())
        .ifPresent(s -> head.take(s.typed()));
    recordChanged(entries);
  }

  @Override
  public void awaitEnd() {
    protocol.ifPresent(ControllerProtocol::awaitEnd);
  }

  @Override
  public void dispose() {
    protocol.ifPresent(ControllerProtocol::dispose);
    super.dispose();
  }
}
