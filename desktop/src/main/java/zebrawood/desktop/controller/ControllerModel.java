package zebrawood.desktop.controller;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.controller.Audit;
import zebrawood.controller.AxisScale;
import zebrawood.controller.ControllerReadings;
import zebrawood.controller.ControllerStation;
import zebrawood.controller.ControllerVisitFinding;
import zebrawood.controller.ControllerVisitReadings;
import zebrawood.controller.ControllerVisitReadings.Motion;
import zebrawood.controller.ControllerVisitReadings.TwoMarks;
import zebrawood.controller.Dialect;
import zebrawood.controller.Role;
import zebrawood.controller.RunUp;
import zebrawood.controller.Settings;
import zebrawood.controller.WireSyntax;
import zebrawood.controller.Write;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Proofs;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.AuditRow;
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.SheetContext;
import zebrawood.desktop.station.Solver;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.desktop.station.Step;
import zebrawood.desktop.text.Text;
import zebrawood.devices.controller.SimulatedController;
import zebrawood.devices.controller.TestShot.Order;
import zebrawood.ledger.Entry;
import zebrawood.machine.Machine;
import zebrawood.quantity.Amount;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.records.kept.StationPaper;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/** The controller station at one machine: what is typed or read, and what follows from it. */
public final class ControllerModel
    extends StationModel<ControllerVisitReadings, ControllerVisitFinding> {
  public static final StationDefinition DEFINITION =
      StationDefinition.of(
              ControllerStation.STATION,
              (ledger, units) -> new ControllerModel(ledger.machine(), units))
          .cautioning(ControllerStation::caution)
          .with(Solver.of("controller", ControllerReadings.class, Audit::solve));

  private static final double SCALE_PER_MILLE = 2;
  private static final double SMALLEST_SETTING = 0.001;
  private static final double LARGEST_SETTING = 1e7;

  final Machine machine;
  final WordsField dump = form().words(Field.READING + "dump");
  final DumpOrigin origin = new DumpOrigin(this, form().words(Field.READING + "file"));
  final MachineHeadFields head = new MachineHeadFields(form());
  final DialectFields dialect = new DialectFields(form());
  final ProposedRoles proposed = new ProposedRoles(form());
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
  final Proofs<Motion> proofs;
  final ShotOrder shot;
  private final PanelShot panel = new PanelShot(form());
  private Optional<String> leftBefore = Optional.empty();
  private Optional<ControllerLinkPart> link = Optional.empty();

  public ControllerModel(Machine machine, DisplayUnits units) {
    super(new StationForm("controller", units), ControllerVisitReadings.visit(machine));
    this.machine = machine;
    rule.set(0.5);
    proofs = form().proofs(machine.build().headTravels() ? List.of(Motion.values()) : List.of());
    shot = new ShotOrder(units);
    startSolving();
  }

  private List<QuantityField> scale(String axis) {
    return List.of(
        form().quantity(Field.READING + "commanded" + axis, Quantity.LENGTH, 0.1, 100_000),
        form().quantity(Field.READING + "measured" + axis, Quantity.LENGTH, 0.1, 100_000));
  }

  /**
   * How this controller prints its settings; empty while nobody said it, or not so that it can be.
   */
  Optional<Dialect> dialect() {
    return printed.dialect();
  }

  /** How it is talked to, as far as somebody said it. */
  Optional<WireSyntax> talks() {
    return dialect().flatMap(Dialect::talk);
  }

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
  protected ControllerVisitReadings readings() {
    Dialect its = dialect.dialect();
    String lines = printed.lines(dump.text());
    return new ControllerVisitReadings(
        isGantry() ? Optional.of(numbered(its, lines)) : Optional.empty(),
        isGantry() ? Optional.empty() : Optional.of(new ControllerVisitReadings.Page(its, lines)),
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
        proofs.answers(),
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

  /** What would be written if these were its settings; in the order to be sent. */
  List<Write> writesOf(Settings settings) {
    return Audit.solve(numbered(settings.dialect(), settings.dump())).writes();
  }

  @Override
  public Optional<Practice<?, ?, ControllerVisitReadings, ControllerVisitFinding>> practice() {
    return Optional.of(new ControllerPractice(this));
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
  protected void shownIn(SheetContext sheet) {
    link = Optional.of(new ControllerLinkPart(this, sheet));
    configuration.textProperty().subscribe((before, now) -> configurationNamed(sheet, now.strip()));
    origin.shown();
  }

  @Override
  public List<Part> parts() {
    List<Part> parts =
        new ArrayList<>(
            List.of(
                Part.heading("sheet.readings", "sheet.keys"),
                new Part.LiveText(origin.words()),
                new Part.CustomNode(ControllerViews.link(this)),
                new Part.OpenWhile(
                    origin.pasting(),
                    Part.fold(
                        "controller.pasted",
                        new Part.Area(dump, 6, Message.of("controller.dump.prompt")),
                        Part.hint("controller.file.hint"),
                        new Part.CustomNode(ControllerViews.file(this)))),
                new Part.ReadingStatus(),
                new Part.PracticeEntry()));
    parts.addAll(head.software());
    if (!proofs.isEmpty()) {
      parts.add(Part.heading("controller.motion", "sheet.keys"));
      parts.add(Part.rows(proofs.fields()));
      parts.add(new Part.CustomNode(ControllerViews.motion(this)));
    }
    parts.addAll(
        List.of(
            Part.fold(
                "controller.dialect",
                Stream.concat(
                        Stream.of(new Part.CustomNode(ControllerViews.dialect(this))),
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
                Part.rows(shot.share, shot.pulse),
                new Part.CustomNode(ControllerViews.shot(this)),
                Part.heading("controller.panel", "sheet.keys"),
                new Part.ShownWhile(
                    panel.mayFire().not(), List.of(new Part.LiveText(panel.missing()))),
                new Part.ShownWhile(panel.mayFire(), panel.parts()),
                Part.rows(leastMark)),
            Part.fold(
                "controller.snapshots",
                Part.hint("controller.snapshots.hint"),
                new Part.CustomNode(ControllerViews.snapshots(this)),
                new Part.CustomNode(ControllerViews.restore(this))),
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
                "controller.connection",
                Part.hint("controller.connection.hint"),
                Part.rows(connection))));
    return parts;
  }

  @Override
  public void focused(Optional<Field> field) {
    origin.typing(field.filter(dump::equals).isPresent());
  }

  /**
   * The port that what stands there was read over; empty where it was typed, or came from a file.
   */
  Optional<String> readOver() {
    return link.flatMap(ControllerLinkPart::readOver);
  }

  /** What is done over the link, once the sheet is there. */
  ControllerLinkPart link() {
    return link.orElseThrow();
  }

  /** While somebody practises, all that is done over the link is done to the stand-in. */
  void practiseOn(Optional<SimulatedController> standIn) {
    link.ifPresent(l -> l.practiseOn(standIn));
  }

  /** Where it can be sent, what is wrong is seen before it is sent. */
  @Override
  public Optional<Order> order() {
    return solved()
        .filter(f -> !f.finding().writes().isEmpty())
        .flatMap(f -> link)
        .filter(p -> p.readOver().isPresent())
        .map(p -> new Order(Message.of("controller.order.see"), p::writeWhatWasRead));
  }

  @Override
  public Optional<List<AuditRow>> auditRows() {
    return Optional.of(
        solved().map(f -> SettingLines.of(f.finding(), settings())).orElse(List.of()));
  }

  /** What can be written is one step; what each line does stands in the list. */
  @Override
  public List<Step> steps(Outcome.Solved<ControllerVisitReadings, ControllerVisitFinding> solved) {
    return SettingLines.steps(solved.finding());
  }

  void say(Message words) {
    context().ifPresent(c -> c.workshop().say(Text.of(words)));
  }

  @Override
  public void draw(Canvas on) {
    ControllerPicture.draw(on, solved());
  }

  @Override
  public List<StationPaper.Setting> settingsLeft() {
    return settings()
        .map(s ->
            s.values().entrySet().stream()
                .map(e -> new StationPaper.Setting(e.getKey(), e.getValue()))
                .toList())
        .orElse(List.of());
  }

  @Override
  public boolean hasPaperDrawing() {
    return solved().flatMap(f -> f.finding().audit()).isPresent();
  }

  @Override
  public Message whyRead() {
    return Message.of("controller.do.why");
  }

  @Override
  public List<FigureTile> tiles(
      Outcome.Solved<ControllerVisitReadings, ControllerVisitFinding> solved) {
    List<FigureTile> tiles = new ArrayList<>(super.tiles(solved));
    solved
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
  protected void recordChanged(List<Entry> entries) {
    if (context().filter(c -> panel.ask(c.host().notProvenToday())).isPresent()) {
      solveAgain();
    }
    context()
        .ifPresent(c -> {
          List<Snapshot> all = Snapshot.all(entries, c.workshop().clock().getZone());
          Optional<Snapshot> left = Snapshot.lastLeft(all, text(configuration));
          setLeftBefore(left.map(Snapshot::text));
          link.orElseThrow().snapshots().show(all, left);
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
        .flatMap(Snapshot::numbered)
        .ifPresent(numbered -> head.take(numbered, machine));
    recordChanged(entries);
  }

  @Override
  public void awaitEnd() {
    link.ifPresent(ControllerLinkPart::awaitEnd);
  }

  @Override
  public void dispose() {
    link.ifPresent(ControllerLinkPart::dispose);
    super.dispose();
  }
}
