package zebrawood.desktop.upkeep;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectWrapper;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.AtMachine;
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.desktop.station.Solver;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Ledger;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;
import zebrawood.upkeep.CleaningProof;
import zebrawood.upkeep.Found;
import zebrawood.upkeep.School;
import zebrawood.upkeep.Upkeep;
import zebrawood.upkeep.UpkeepReadings;
import zebrawood.upkeep.UpkeepReadings.CounterReading;
import zebrawood.upkeep.UpkeepStation;
import zebrawood.upkeep.UpkeepTask;
import zebrawood.upkeep.UpkeepVisit;
import zebrawood.upkeep.UpkeepVisitFinding;
import zebrawood.upkeep.UpkeepVisitFinding.Line;
import zebrawood.upkeep.UpkeepVisitFinding.Turn;
import zebrawood.upkeep.UpkeepVisitReadings;
import zebrawood.words.Dates;
import zebrawood.words.Message;

/** Upkeep of one machine. */
public final class UpkeepModel extends StationModel<UpkeepVisitReadings, UpkeepVisitFinding> {
  public static final StationDefinition DEFINITION =
      StationDefinition.opened(UpkeepStation.STATION, UpkeepModel::new)
          .with(
              Solver.of(
                  "upkeep",
                  UpkeepReadings.class,
                  Upkeep::solve,
                  Set.of("tasks.everyDays", "tasks.everyHours", "tasks.lastHours")));

  private static final double PERCENT = 100;

  private final Clock clock;
  private final Ledger ledger;
  private final QuantityField counter =
      form().quantity("reading.counter", Quantity.HOURS, 0, 1_000_000);
  private final ChoiceField<School> school = form().choice("school", School.class, School.BY_LOOK);
  private final List<TaskFields> tasks;
  private final ProofSection proof = new ProofSection(form(), () -> past());
  private final ShelfSection shelf = new ShelfSection(form());
  private final PlanSection plan;
  private PastVisits past;

  /** Beam hours that the controller told with its settings. */
  private List<CounterReading> told = List.of();

  /** What stands among the tasks of this visit: laid out anew only when these are others. */
  private final ReadOnlyObjectWrapper<List<UpkeepTask>> due =
      new ReadOnlyObjectWrapper<>(List.of());

  private final ReadOnlyObjectWrapper<Message> counted = new ReadOnlyObjectWrapper<>(Message.NONE);

  private final ReadOnlyObjectWrapper<Message> asLeft = new ReadOnlyObjectWrapper<>(Message.NONE);

  public UpkeepModel(AtMachine at) {
    super(new StationForm("upkeep", at.units()), UpkeepVisit.VISIT);
    clock = at.clock();
    ledger = at.ledger();
    past = PastVisits.of(ledger.entriesAt(UpkeepStation.STATION));
    told = LinkHours.of(ledger, clock.getZone());
    tasks = UpkeepTask.of(at.machine()).stream().map(t -> TaskFields.make(form(), t)).toList();
    plan = new PlanSection(form(), at.machine(), this::solved);
    startSolving();
  }

  private PastVisits past() {
    return past;
  }

  private LocalDate now() {
    return LocalDate.ofInstant(clock.instant(), clock.getZone());
  }

  @Override
  protected void recordChanged(List<Entry> entries) {
    past = PastVisits.of(entries);
    told = LinkHours.of(nowOnRecord(), clock.getZone());
    asLeft.set(leftBefore());
    solveAgain();
  }

  private Ledger nowOnRecord() {
    return context().map(c -> c.workshop().opened().ledger()).orElse(ledger);
  }

  /** How each due task was left: its station's figure, else when it was done and how found. */
  private Message leftBefore() {
    List<Message> left = new ArrayList<>();
    for (TaskFields task : tasks) {
      if (due.get().contains(task.task())) {
        task.task()
            .station()
            .flatMap(this::lastLeft)
            .or(() -> lastDone(task.task()))
            .ifPresent(words -> left.add(Message.of("upkeep.left", task.task(), words)));
      }
    }
    return left.isEmpty() ? Message.NONE : Message.of("upkeep.as-left", Message.list(left));
  }

  private Optional<Message> lastDone(UpkeepTask task) {
    List<Found> found = past.found(task);
    return past.last(task)
        .filter(l -> !found.isEmpty())
        .map(l ->
            Message.of("upkeep.left-done", Message.verbatim(l.day().toString()), found.getLast()));
  }

  private Optional<Message> lastLeft(String station) {
    return nowOnRecord().entries().reversed().stream()
        .filter(e -> e.stationId().equals(station) && e.verdict() == Verdict.WITHIN)
        .findFirst()
        .flatMap(e ->
            e.tellingFigure()
                .filter(f -> !f.quantity().equals(Optional.of(Quantity.LINES)))
                .map(f ->
                    Message.of(
                        "upkeep.left-figure",
                        name(station, f),
                        f.amount(),
                        Dates.day(e.time(), clock.getZone()))));
  }

  private static Message name(String station, Figure figure) {
    return figure
        .label()
        .map(Message::quoted)
        .orElse(Message.of(station + ".figure." + figure.id()));
  }

  @Override
  protected List<Section<?, ?>> sections() {
    return List.of(proof, shelf, plan);
  }

  @Override
  protected Stream<Field> used() {
    return Stream.concat(Stream.of(counter), tasks.stream().flatMap(t -> t.settings().stream()));
  }

  @Override
  protected Optional<Message> waitsFor() {
    return tasks.stream().anyMatch(t -> t.watched(PastVisits.NONE).isPresent())
        ? Optional.empty()
        : Optional.of(Message.of("upkeep.an-interval"));
  }

  @Override
  protected UpkeepVisitReadings readings() {
    LocalDate today = now();
    PastVisits until = past.until(today);
    counted.set(
        told.isEmpty()
            ? Message.NONE
            : Message.of(
                "upkeep.told-hours",
                Amount.of(told.getLast().hours(), Quantity.HOURS, 0),
                Message.verbatim(told.getLast().date().toString())));
    UpkeepVisitReadings readings =
        new UpkeepVisitReadings(
            today,
            school.get(),
            counter.value(),
            until.counter(told.stream().filter(r -> !r.date().isAfter(today)).toList()),
            tasks.stream().flatMap(t -> t.watched(until).stream()).toList(),
            tasks.stream().flatMap(t -> t.done().stream()).toList(),
            proof.read(),
            shelf.lines());
    List<UpkeepTask> toDo =
        UpkeepVisit.solve(readings).lines().stream()
            .filter(l -> l.turn() != Turn.LATER && l.turn() != Turn.WAITS)
            .map(Line::task)
            .toList();
    if (!toDo.equals(due.get())) {
      due.set(toDo);
      asLeft.set(leftBefore());
    }
    return readings;
  }

  @Override
  public List<Part> parts() {
    return List.of(
        Part.heading("sheet.readings", "sheet.keys"),
        Part.rows(counter),
        new Part.LiveText(counted),
        Part.heading("upkeep.visit", "upkeep.visit.found"),
        new Part.Redrawn(due, () -> found(due.get())),
        new Part.LiveText(asLeft),
        new Part.ReadingStatus(),
        proof.part(),
        new Part.Redrawn(due, this::rest),
        shelf.part(),
        plan.part());
  }

  private List<Part> found(List<UpkeepTask> which) {
    return which.isEmpty()
        ? List.of(Part.hint("upkeep.nothing-due"))
        : List.of(
            new Part.LabelledChoices(
                tasks.stream()
                    .filter(t -> which.contains(t.task()))
                    .map(TaskFields::found)
                    .toList()));
  }

  private List<Part> rest() {
    List<Part> parts = new ArrayList<>();
    List<UpkeepTask> later =
        tasks.stream().map(TaskFields::task).filter(t -> !due.get().contains(t)).toList();
    if (!later.isEmpty()) {
      parts.add(Part.fold("upkeep.besides", found(later)));
    }
    parts.add(
        Part.fold(
            "upkeep.intervals",
            Part.rows(school),
            new Part.Table(
                Stream.of("upkeep.interval.task", "upkeep.interval.days", "upkeep.interval.hours")
                    .map(Message::of)
                    .toList(),
                tasks.stream()
                    .map(t ->
                        new Part.TableRow(
                            Message.of(t.task()), List.of(t.everyDays(), t.everyHours())))
                    .toList()),
            proof.settings()));
    parts.add(
        Part.fold(
            "upkeep.before-record",
            Part.hint("upkeep.before-record.hint"),
            Part.rows(tasks.stream().map(TaskFields::lastDone).toList())));
    return parts;
  }

  @Override
  public void draw(Canvas on) {
    new WeeksPicture(on, now()).draw(solved());
  }

  @Override
  public List<FigureTile> tiles(Outcome.Solved<UpkeepVisitReadings, UpkeepVisitFinding> solved) {
    UpkeepVisitFinding f = solved.finding();
    List<FigureTile> tiles = new ArrayList<>();
    List<Line> open = f.open();
    int late = open.stream().mapToInt(Line::lateDays).max().orElse(0);
    tiles.add(
        FigureTile.of(Message.of("upkeep.tile.due"), Amount.of(open.size(), Quantity.NUMBER, 0))
            .judged(
                open.isEmpty(),
                late > 0
                    ? Message.of("upkeep.tile.late", late)
                    : Message.of(open.isEmpty() ? "upkeep.tile.none" : "upkeep.tile.today")));
    tiles.add(
        FigureTile.of(
                Message.of("upkeep.tile.minutes"), Amount.of(f.minutes(), Quantity.MINUTES, 0))
            .with(Message.of("upkeep.tile.tasks", open.size())));
    tiles.add(
        f.proof()
            .map(UpkeepModel::gain)
            .orElseGet(() ->
                FigureTile.unknown(
                    Message.of("upkeep.figure.gain.short"), Message.of("upkeep.tile.tries"))));
    f.dueInDays()
        .ifPresent(d ->
            tiles.add(
                FigureTile.of(Message.of("upkeep.figure.dueIn"), Amount.of(d, Quantity.DAYS, 0))));
    return tiles;
  }

  private static FigureTile gain(CleaningProof p) {
    FigureTile tile =
        FigureTile.of(
                Message.of("upkeep.figure.gain.short"),
                Amount.of(PERCENT * p.gain().value(), Quantity.PERCENT, 0))
            .uncertain(Amount.of(PERCENT * p.gain().uncertainty(), Quantity.PERCENT, 0));
    return switch (p.result()) {
      case BETTER -> tile.judged(true, Message.of(p.result()));
      case WORSE -> tile.judged(false, Message.of(p.result()));
      case NO_CHANGE, CANNOT_TELL -> tile.with(Message.of(p.result()));
    };
  }

  @Override
  public Optional<Message> primaryWords(Outcome<UpkeepVisitReadings, UpkeepVisitFinding> outcome) {
    return Optional.of(Message.of("upkeep.record"));
  }

  /** A visit is recorded as far as it went. */
  @Override
  public boolean canBeLeft(Outcome.Solved<UpkeepVisitReadings, UpkeepVisitFinding> solved) {
    return false;
  }
}
