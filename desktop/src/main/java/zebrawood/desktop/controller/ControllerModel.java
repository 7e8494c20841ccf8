package zebrawood.desktop.controller;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import javafx.beans.binding.BooleanBinding;
import zebrawood.controller.Audit;
import zebrawood.controller.ControllerReadings;
import zebrawood.controller.ControllerStation;
import zebrawood.controller.ControllerVisitFinding;
import zebrawood.controller.ControllerVisitReadings;
import zebrawood.controller.ControllerVisitReadings.Motion;
import zebrawood.controller.ControllerVisitReadings.TwoMarks;
import zebrawood.controller.Dialect;
import zebrawood.controller.Role;
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

  private static final double SMALLEST_SETTING = 0.001;
  private static final double LARGEST_SETTING = 1e7;

  final Machine machine;
  final WordsField dump = form().words(Field.READING + "dump");
  final DumpOrigin origin = new DumpOrigin(this, form().words(Field.READING + "file"));
  private final ChoiceField<Shows> shows = form().choice("shows", Shows.class, Shows.SETTINGS);
  private final BooleanBinding readable = shows.valueProperty().isEqualTo(Shows.SETTINGS);
  final MachineHeadFields head = new MachineHeadFields(form(), readable);
  final DialectFields dialect = new DialectFields(form());
  final ProposedRoles proposed = new ProposedRoles(form());
  private final TaughtByChange byChange = new TaughtByChange(this, form());
  private final PrintedText printed = new PrintedText(dialect, this::silent);
  private final MeasuredMotion motion = new MeasuredMotion(form(), this::setting);
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
    proofs = form().proofs(machine.build().headTravels() ? List.of(Motion.values()) : List.of());
    shot = new ShotOrder(units);
    startSolving();
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

  /** Whether nobody can read its settings. */
  boolean silent() {
    return shows.get() == Shows.NOTHING;
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
    List<Field> needed = new ArrayList<>(silent() ? List.of() : List.of(dump));
    if (!silent() && !dialect.isEmpty() && !dialect.isPage()) {
      needed.add(dialect.writeLine());
    }
    if (isGantry()) {
      head.needed().forEach(needed::add);
    }
    motion.needed().forEach(needed::add);
    return needed.stream();
  }

  private OptionalDouble setting(Role role) {
    return settings()
        .map(s -> s.number(role, SMALLEST_SETTING, LARGEST_SETTING))
        .orElse(OptionalDouble.empty());
  }

  /** What nobody looked at yet, and what a write may depend on. */
  @Override
  protected Optional<Message> waitsFor() {
    if (dialect().isEmpty() && dialect.isEmpty()) {
      return Optional.of(Message.of("controller.waits.dialect"));
    }
    return isGantry() && settings().isPresent() ? head.toLookAt() : Optional.empty();
  }

  @Override
  protected ControllerVisitReadings readings() {
    return new ControllerVisitReadings(
        isGantry()
            ? Optional.of(numbered(dialect.dialect(), printed.lines(dump.text())))
            : Optional.empty(),
        isGantry() || silent() && dump.isEmpty()
            ? Optional.empty()
            : Optional.of(
                new ControllerVisitReadings.Page(printed.understood(), printed.lines(dump.text()))),
        lens.value(),
        offline.isEmpty() ? Optional.empty() : Optional.of(printed.lines(offline.text())),
        leftBefore.map(printed::lines),
        motion.across(),
        motion.along(),
        motion.runUp(),
        marks.get(),
        head.homeAtStart(),
        text(configuration),
        connection.text(),
        proofs.answers(),
        panel.answers(),
        silent()
            ? Optional.of(new ControllerVisitReadings.Silent(head.switches()))
            : Optional.empty());
  }

  /** What would be written if these were its settings; in the order to be sent. */
  List<Write> writesOf(Settings settings) {
    return Audit.solve(numbered(settings.dialect(), settings.dump()), settings).writes();
  }

  /** Two marks are; a shot over the link or by the panel asks for itself. */
  @Override
  protected boolean burns() {
    return !marks.isEmpty();
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
                new Part.LabelledChoices(List.of(shows)),
                new Part.LiveText(origin.words()),
                new Part.ShownWhile(
                    readable, List.of(new Part.CustomNode(ControllerViews.link(this)))),
                new Part.OpenWhile(
                    origin.pasting(),
                    Part.fold(
                        "controller.pasted",
                        new Part.Area(dump, 6, Message.of("controller.dump.prompt")),
                        new Part.ShownWhile(
                            readable.not(), List.of(Part.hint("controller.known.hint"))),
                        Part.hint("controller.file.hint"),
                        new Part.CustomNode(ControllerViews.file(this)))),
                new Part.ReadingStatus(),
                new Part.PracticeEntry()));
    parts.addAll(head.software());
    if (!proofs.isEmpty()) {
      parts.add(Part.heading("controller.motion", "sheet.keys"));
      parts.add(Part.rows(proofs.fields()));
      parts.add(
          new Part.ShownWhile(
              readable, List.of(new Part.CustomNode(ControllerViews.motion(this)))));
    }
    parts.addAll(
        List.of(
            new Part.ShownWhile(
                readable,
                List.of(
                    Part.fold(
                        "controller.dialect",
                        Stream.concat(
                                Stream.of(new Part.CustomNode(ControllerViews.dialect(this))),
                                Stream.concat(byChange.parts().stream(), dialect.prints().stream()))
                            .toList()),
                    Part.fold("controller.talk", dialect.talks()))),
            new Part.Together(motion.parts()),
            Part.fold("controller.marks", Part.hint("controller.marks.hint"), Part.rows(marks)),
            Part.fold(
                "controller.shot-order",
                new Part.ShownWhile(
                    readable,
                    List.of(
                        Part.rows(shot.share, shot.pulse),
                        new Part.CustomNode(ControllerViews.shot(this)))),
                Part.heading("controller.panel", "sheet.keys"),
                new Part.ShownWhile(
                    panel.mayFire().not(), List.of(new Part.LiveText(panel.missing()))),
                new Part.ShownWhile(panel.mayFire(), panel.parts()),
                Part.rows(leastMark)),
            Part.fold(
                "controller.snapshots",
                Part.hint("controller.snapshots.hint"),
                new Part.CustomNode(ControllerViews.snapshots(this)),
                new Part.ShownWhile(
                    readable, List.of(new Part.CustomNode(ControllerViews.restore(this))))),
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
