package zebrawood.desktop.station;

import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.TypedField;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.job.Jobs;
import zebrawood.desktop.text.DayWords;
import zebrawood.devices.whole.CaseRun;
import zebrawood.devices.whole.WholeKind;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Figure;
import zebrawood.measure.Finding;
import zebrawood.measure.UnusableReading;
import zebrawood.records.kept.StationPaper;
import zebrawood.records.picture.Canvas;
import zebrawood.station.Help;
import zebrawood.station.Visit;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * One station at one machine: its form, what follows from it, and how that is drawn. All that a
 * station says of its sheet stands here; drafts, entries, notebook, units, buttons and focus are
 * common to all. Knows no scene.
 *
 * @param <R> readings: a record, or a sealed interface of records
 * @param <F> finding, likewise
 */
public abstract class StationModel<R, F extends Finding> {
  private Message caution = Message.NONE;
  private static final int MOST_TILES = 4;

  private final StationForm form;
  private final Visit<R, F> visit;
  private final Solving<R, F> solving = new Solving<>(this::shown);
  private Optional<SheetContext> context = Optional.empty();
  private List<Section<?, ?>> sections = List.of();
  private Runnable onShown = () -> {};

  protected StationModel(StationForm form, Visit<R, F> visit) {
    this.form = form;
    this.visit = visit;
  }

  /** The last thing a station's constructor does: from now on every change solves anew. */
  protected final void startSolving() {
    sections = List.copyOf(sections());
    sections.forEach(s -> s.standIn(this));
    form.setOnChange(this::solveAgain);
    solveAgain();
  }

  public final StationForm form() {
    return form;
  }

  public final Visit<R, F> visit() {
    return visit;
  }

  public final ReadOnlyObjectProperty<Outcome<R, F>> outcomeProperty() {
    return solving.outcomeProperty();
  }

  public final Outcome<R, F> outcome() {
    return outcomeProperty().get();
  }

  public final Optional<Outcome.Solved<R, F>> solved() {
    return outcome().solved();
  }

  /** Makes the outcome anew from what is typed: the sections first, then the station. */
  protected final void solveAgain() {
    solving.cancel();
    sections.forEach(Section::readAgain);
    Optional<Message> problem =
        Stream.concat(used(), sections.stream().flatMap(Section::fields))
            .flatMap(f -> f.problem().stream())
            .findFirst();
    if (problem.isPresent()) {
      solving.show(new Outcome.Refused<>(problem.get()));
      return;
    }
    Optional<Message> next =
        Stream.concat(needed(), sections.stream().flatMap(Section::needed))
            .filter(f -> f instanceof TypedField && f.isEmpty())
            .map(Field::label)
            .findFirst()
            .or(this::waitsFor);
    if (next.isPresent()) {
      solving.show(new Outcome.Waiting<>(next.get()));
      return;
    }
    Optional<UnusableReading> unusable =
        sections.stream().flatMap(s -> s.unusable().stream()).findFirst();
    if (unusable.isPresent()) {
      solving.show(refused(unusable.get()));
      return;
    }
    try {
      R readings = readings();
      Jobs.Work<F> work = p -> visit.solve(readings, help(p));
      Optional<Supplier<Optional<FileTime>>> age = pictureAge();
      if (slow() && age.isPresent()) {
        solving.solveOfPicture(readings, age.get(), work, this::refusedOrFailed);
      } else {
        solving.solve(readings, slow(), work, this::refusedOrFailed);
      }
    } catch (UnusableReading e) {
      solving.show(refused(e));
    }
  }

  private Outcome<R, F> refusedOrFailed(Throwable because) {
    return because instanceof UnusableReading e
        ? refused(e)
        : new Outcome.Refused<>(failure(because));
  }

  /** Why something did not work, in words. */
  static Message failure(Throwable because) {
    return because instanceof UnusableReading e
        ? StationForm.refusal(e)
        : Message.of("sheet.failed", Message.quoted(String.valueOf(because.getMessage())));
  }

  private void shown() {
    sections.forEach(Section::speak);
    onShown.run();
  }

  /** Runs after every change, also of what leaves the outcome as it was. */
  public final void setOnShown(Runnable run) {
    onShown = run;
  }

  /**
   * Makes something that takes longer than a frame beside the interface, before it is typed.
   *
   * @param then runs on the interface's thread, unless the sheet is gone or something newer is made
   */
  public final <T> void make(Jobs.Work<T> work, Consumer<T> then) {
    solving.inBackground(work, then, because -> solving.show(refusedOrFailed(because)));
  }

  /**
   * Does something that takes longer than a frame beside the interface; then the sheet is solved
   * again.
   *
   * @param says gets what the work says, or why it did not work
   */
  public final void inBackground(Jobs.Work<Message> work, Consumer<Message> says) {
    Outcome<R, F> before = outcome();
    Consumer<Message> then =
        said -> {
          // What was worked out before stays, where what is typed is still the same.
          before.solved().ifPresent(s -> solving.show(before));
          solveAgain();
          says.accept(said);
        };
    solving.inBackground(work, then, because -> then.accept(failure(because)));
  }

  /** Whether solving takes longer than a frame: then it runs beside the interface, newest wins. */
  protected boolean slow() {
    return false;
  }

  /**
   * Tells, beside the interface, when the photograph that is measured in was changed last: the same
   * one, read in the same way, is not measured again. Empty to measure at every change.
   */
  protected Optional<Supplier<Optional<FileTime>>> pictureAge() {
    return Optional.empty();
  }

  /** What solving is helped with: a station with a photograph reads it here. */
  protected Help help(Jobs.Progress progress) {
    return Help.NONE;
  }

  /** The folds that have a reading of their own. */
  protected List<Section<?, ?>> sections() {
    return List.of();
  }

  /** The fields that count as they are used now. */
  protected Stream<? extends Field> used() {
    return form.fields();
  }

  /** The fields that must be filled before anything can be said, those of sections apart. */
  protected Stream<? extends Field> needed() {
    return Stream.empty();
  }

  /** What else is still to be read, in words. */
  protected Optional<Message> waitsFor() {
    return Optional.empty();
  }

  /** What is typed, understood; only asked when every needed field can be used. */
  protected abstract R readings();

  /** What an unusable reading means: usually that a field is to be mended. */
  protected Outcome<R, F> refused(UnusableReading e) {
    return new Outcome.Refused<>(StationForm.refusal(e));
  }

  /** What the notebook shows; the first is the telling figure. */
  public final List<Figure> figures(Outcome.Solved<R, F> solved) {
    return visit.figures(solved.readings(), solved.finding());
  }

  /** What the notebook would keep now; nothing while nothing is found. */
  final List<Figure> figuresNow() {
    return solved().map(this::figures).orElse(List.of());
  }

  /** The left column, from the top. */
  public abstract List<Part> parts();

  /** Draws what is to be seen now. */
  public abstract void draw(Canvas on);

  /** Whether a drawing stands on paper for what is typed now. */
  public boolean hasPaperDrawing() {
    return solved().isPresent();
  }

  /** Settings that a device was left with, for paper. */
  public List<StationPaper.Setting> settingsLeft() {
    return List.of();
  }

  /** Why something is to be read at all, while the sheet waits for it. */
  public Message whyRead() {
    return Message.of(form.station() + ".why-read");
  }

  /** Steps from the advice; of several proofs only the first is listed, the rest are counted. */
  public List<Step> steps(Outcome.Solved<R, F> solved) {
    List<Step> steps = new ArrayList<>();
    int proofs = 0;
    for (Advice advice : solved.finding().advice()) {
      boolean proof = advice.kind() == Advice.Kind.PROVE;
      if (!proof || proofs == 0) {
        steps.add(Step.of(advice));
      }
      proofs += proof ? 1 : 0;
    }
    if (proofs > 1) {
      steps.add(Step.of(Message.of("sheet.prove-rest", proofs - 1)));
    }
    return steps;
  }

  /**
   * What was compared, line by line, for a station whose middle is a list: its picture then stands
   * small beside what is to be done next. Empty for a station of one large picture.
   */
  public Optional<List<AuditRow>> auditRows() {
    return Optional.empty();
  }

  /**
   * What the large button does instead of recording.
   *
   * @param words what it says
   */
  public record Order(Message words, Runnable run) {}

  /** Empty where the large button records. */
  public Optional<Order> order() {
    return Optional.empty();
  }

  /** What comes before any step, whatever is typed. */
  public List<Step> firstSteps() {
    return List.of();
  }

  /** The two to five figures that matter, for the tiles under the picture. */
  public List<FigureTile> tiles(Outcome.Solved<R, F> solved) {
    return figures(solved).stream().map(f -> FigureTile.of(form.station(), f)).toList();
  }

  /**
   * A figure that matters, whether it is known or not.
   *
   * @param wouldTell the field that would tell it; empty where it is left out while it is not known
   */
  protected record Wanted(String id, Optional<Field> wouldTell) {}

  /** A figure that has a tile only where it is known. */
  protected static Wanted known(String id) {
    return new Wanted(id, Optional.empty());
  }

  /** A figure that has a tile always: while it is not known, with the field that would tell it. */
  protected static Wanted always(String id, Field wouldTell) {
    return new Wanted(id, Optional.of(wouldTell));
  }

  /** The tiles of these figures, in this order, as many as there is room for. */
  protected final List<FigureTile> tiles(Outcome.Solved<R, F> solved, Wanted... wanted) {
    List<Figure> figures = figures(solved);
    return Stream.of(wanted)
        .flatMap(w ->
            figures.stream()
                .filter(f -> f.id().equals(w.id()))
                .findFirst()
                .map(f -> FigureTile.of(form.station(), f))
                .or(() -> w.wouldTell().map(field -> unknown(w.id(), field)))
                .stream())
        .limit(MOST_TILES)
        .toList();
  }

  private FigureTile unknown(String figureId, Field wouldTell) {
    return FigureTile.unknown(
        Message.of(form.station() + ".figure." + figureId),
        Message.of("tile.would-tell", wouldTell.label()));
  }

  /** What can hurt here, as the station says of this machine; empty where nothing can. */
  public Message caution() {
    return caution;
  }

  final void setCaution(Message ofMachine) {
    caution = ofMachine;
  }

  /** What the large button says when it records; empty for the usual words. */
  public Optional<Message> primaryWords(Outcome<R, F> outcome) {
    return Optional.empty();
  }

  /** Whether a finding that is not within can be left so. */
  public boolean canBeLeft(Outcome.Solved<R, F> solved) {
    return true;
  }

  /** What an entry made now is. */
  public EntryKind kindOf(EntryKind usual) {
    return usual;
  }

  /**
   * Whether this line must be proven today before what is done here: all that protects before
   * anything burns, what comes before any power before a pump runs.
   */
  final boolean asksToday(GuardLine line) {
    return burns() || powers() && line.kind() == GuardLine.Kind.STOP_FIRST;
  }

  /** Whether the beam marks or burns for what is read here, as it is read now. */
  protected boolean burns() {
    return false;
  }

  /** Whether something is powered here, and nothing burns. */
  protected boolean powers() {
    return false;
  }

  public Optional<Practice<?, ?, R, F>> practice() {
    return Optional.empty();
  }

  /** Called once, when it stands in a sheet. */
  protected void shownIn(SheetContext sheet) {}

  public final void attach(SheetContext sheet) {
    context = Optional.of(sheet);
    solving.attach(sheet.workshop().ui());
    shownIn(sheet);
  }

  /** The day as it is written on paper; empty where there is no sheet. */
  protected final Optional<String> today() {
    return context.map(
        c -> DayWords.dayAndYear(c.workshop().clock().instant(), c.workshop().clock().getZone()));
  }

  /** The whole machine that is practised on, where it is of the open machine's kind. */
  final Optional<CaseRun> playing() {
    return context()
        .flatMap(c ->
            c.host()
                .playing()
                .filter(run ->
                    WholeKind.of(c.workshop().opened().machine())
                        .equals(Optional.of(run.start().kind()))));
  }

  protected final Optional<SheetContext> context() {
    return context;
  }

  /** The record of this station's subject grew, or the sheet is shown again. */
  public final void lookAtRecord(List<Entry> entries) {
    sections.forEach(s -> s.recordChanged(entries));
    recordChanged(entries);
  }

  /**
   * The record grew, or the sheet is shown again.
   *
   * @param entries of this station that count, and of the subject that is fitted now, oldest first
   */
  protected void recordChanged(List<Entry> entries) {}

  /** The field that has the focus, for a picture that marks it. */
  public void focused(Optional<Field> field) {}

  /** The picture was pressed at a place of it. */
  public void pressed(double x, double y, double width, double height) {}

  /** Takes hold of what is drawn at a place of the picture; empty where nothing can be moved. */
  public Optional<Dragged> grabbed(double x, double y, double width, double height) {
    return Optional.empty();
  }

  /**
   * Waits, at most for seconds, until what was begun outside has ended; not on the window's thread.
   */
  public void awaitEnd() {}

  /** Lets go of what outlives the sheet. */
  public void dispose() {
    solving.close();
  }

  protected static String text(WordsField field) {
    return field.text().strip();
  }
}
