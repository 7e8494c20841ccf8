package zebrawood.desktop.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.TypedField;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.job.Jobs;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Figure;
import zebrawood.measure.Finding;
import zebrawood.measure.UnusableReading;
import zebrawood.records.handover.Teller;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * One station at one machine: its form, what follows from it, and how that is drawn. All that a
 * station says of its sheet stands here; drafts, entries, notebook, units, buttons and focus are
 * the sheet's. Knows no scene.
 *
 * @param <R> readings, a record
 * @param <F> finding, a record
 */
public abstract class StationWork<R, F extends Finding> {
  private final StationForm form;
  private final ReadOnlyObjectWrapper<Outcome<R, F>> outcome =
      new ReadOnlyObjectWrapper<>(new Outcome.Waiting<>(Message.NONE));
  private Optional<SheetContext> context = Optional.empty();
  private Runnable told = () -> {};
  private Optional<Jobs> jobs = Optional.empty();
  private Optional<Jobs> making = Optional.empty();

  protected StationWork(StationForm form) {
    this.form = form;
  }

  /** The last thing a station's constructor does: from now on every change solves anew. */
  protected final void begin() {
    form.setOnChange(this::solveAgain);
    solveAgain();
  }

  public final StationForm form() {
    return form;
  }

  public final ReadOnlyObjectProperty<Outcome<R, F>> outcomeProperty() {
    return outcome.getReadOnlyProperty();
  }

  public final Outcome<R, F> outcome() {
    return outcome.get();
  }

  public final Optional<Outcome.Found<R, F>> found() {
    return outcome.get().found();
  }

  /** Makes the outcome anew from what is typed. */
  protected final void solveAgain() {
    jobs.ifPresent(Jobs::cancel);
    Optional<Message> problem = used().flatMap(f -> f.problem().stream()).findFirst();
    if (problem.isPresent()) {
      show(new Outcome.Refused<>(problem.get()));
      return;
    }
    Optional<Message> next =
        needed()
            .filter(f -> f instanceof TypedField && f.isEmpty())
            .map(Field::label)
            .findFirst()
            .or(this::waitsFor);
    if (next.isPresent()) {
      show(new Outcome.Waiting<>(next.get()));
      return;
    }
    try {
      R readings = readings();
      if (jobs.isPresent() && slow()) {
        show(new Outcome.Working<>(Message.of("sheet.working")));
        jobs.get().run(p -> solve(readings, p), f -> solved(readings, f), this::failed);
      } else {
        solved(readings, solve(readings));
      }
    } catch (UnusableReading e) {
      show(refused(e));
    }
  }

  /** Jobs of which is told how far they have come. */
  private Jobs heard(Executor ui) {
    Jobs own = new Jobs(ui);
    own.progressProperty()
        .addListener((p, old, share) -> {
          if (outcome.get() instanceof Outcome.Working && share.doubleValue() > 0) {
            long percent = Math.round(100 * share.doubleValue());
            show(new Outcome.Working<>(Message.of("sheet.working-share", percent)));
          }
        });
    return own;
  }

  /**
   * Makes something that takes longer than a frame beside the interface, before it is typed.
   *
   * @param then runs on the interface's thread, unless the sheet is gone or something newer is made
   */
  public final <T> void beside(Jobs.Work<T> make, Consumer<T> then) {
    beside(make, then, this::failed);
  }

  /** The same; {@code otherwise} gets what went wrong. */
  protected final <T> void beside(
      Jobs.Work<T> make, Consumer<T> then, Consumer<Throwable> otherwise) {
    show(new Outcome.Working<>(Message.of("sheet.working")));
    making.orElseThrow().run(make, then, otherwise);
  }

  private void show(Outcome<R, F> now) {
    outcome.set(now);
    told.run();
  }

  /** Runs after every change, also of what leaves the outcome as it was. */
  final void setTold(Runnable run) {
    told = run;
  }

  private void solved(R readings, F finding) {
    show(new Outcome.Found<>(readings, finding));
  }

  private void failed(Throwable because) {
    show(
        because instanceof UnusableReading e
            ? refused(e)
            : new Outcome.Refused<>(
                Message.of("sheet.failed", Message.quoted(String.valueOf(because.getMessage())))));
  }

  /** Whether solving takes longer than a frame: then it runs beside the interface, newest wins. */
  protected boolean slow() {
    return false;
  }

  /** The fields that count as they are used now. */
  protected Stream<Field> used() {
    return form.fields();
  }

  /** The fields that must be filled before anything can be said. */
  protected Stream<? extends Field> needed() {
    return Stream.empty();
  }

  /** What else is still to be read, in words. */
  protected Optional<Message> waitsFor() {
    return Optional.empty();
  }

  /** What is typed, understood; only asked when every needed field can be used. */
  protected abstract R readings();

  protected abstract F solve(R readings);

  /** The same beside the interface, for a station that is slow and can tell how far it has come. */
  protected F solve(R readings, Jobs.Progress progress) {
    return solve(readings);
  }

  /** What an unusable reading means: usually that a field is to be mended. */
  protected Outcome<R, F> refused(UnusableReading e) {
    return new Outcome.Refused<>(StationForm.refusal(e));
  }

  /** What the notebook shows; the first is the telling figure. */
  public abstract List<Figure> figures(R readings, F finding);

  /** The left column, from the top. */
  public abstract List<Part> parts();

  /** Draws what is to be seen now. */
  public abstract void draw(Canvas on);

  /** Whether a picture stands on paper for what is typed now. */
  public boolean hasPaperPicture() {
    return false;
  }

  /** Settings that a device was left with, for paper. */
  public List<Teller.Setting> settingsLeft() {
    return List.of();
  }

  /** Why something is to be read at all, while the sheet waits for it. */
  public abstract Message whyRead();

  /** What is to be proven stands in the form already: the first of it is said, the rest counted. */
  public List<Step> steps(Outcome.Found<R, F> found) {
    List<Step> steps = new ArrayList<>();
    int proofs = 0;
    for (Advice advice : found.finding().advice()) {
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
  public Optional<List<JudgedLine>> judged() {
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
  public List<FigureTile> tiles(Outcome.Found<R, F> found) {
    return figures(found.readings(), found.finding()).stream()
        .map(figure -> FigureTile.of(form.station(), figure))
        .toList();
  }

  /** All that was found, in sentences; they are folded away below the tiles. */
  public List<Message> summary(Outcome.Found<R, F> found) {
    return List.of();
  }

  /** What can hurt here; empty where nothing can. */
  public abstract Message caution();

  /** What the large button says when it records; empty for the usual words. */
  public Optional<Message> primaryWords(Outcome<R, F> outcome) {
    return Optional.empty();
  }

  /** Whether a finding that is not within can be left so. */
  public boolean canBeLeft(Outcome.Found<R, F> found) {
    return true;
  }

  /** What an entry made now is. */
  public EntryKind kindOf(EntryKind usual) {
    return usual;
  }

  /** Whether this line must be proven today before what is done here. */
  public boolean asksToday(GuardLine line) {
    return false;
  }

  public Optional<Practice<?, R, F>> practice() {
    return Optional.empty();
  }

  /** Called once, when it stands in a sheet. */
  protected void attached(SheetContext sheet) {}

  final void attach(SheetContext sheet) {
    context = Optional.of(sheet);
    jobs = Optional.of(heard(sheet.workshop().ui()));
    making = Optional.of(heard(sheet.workshop().ui()));
    attached(sheet);
  }

  protected final Optional<SheetContext> context() {
    return context;
  }

  /** The record grew, or the sheet is shown again. */
  public void recordChanged(List<Entry> entries) {}

  /** The field that has the focus, for a picture that marks it. */
  public void focused(Optional<Field> field) {}

  /** The picture was pressed at a place of it. */
  public void pressed(double x, double y, double width, double height) {}

  /** Something in the picture that follows the hand. */
  @FunctionalInterface
  public interface Held {
    void to(double x, double y);
  }

  /** Takes hold of what is drawn at a place of the picture; empty where nothing can be moved. */
  public Optional<Held> grabbed(double x, double y, double width, double height) {
    return Optional.empty();
  }

  /**
   * Waits, at most for seconds, until what was begun outside has ended; not on the window's thread.
   */
  public void awaitEnd() {}

  /** Lets go of what outlives the sheet. */
  public void dispose() {
    jobs.ifPresent(Jobs::close);
    making.ifPresent(Jobs::close);
  }

  /** Fields that are begun: all of such a list is then needed. */
  protected static Stream<QuantityField> allOrNone(List<QuantityField> fields) {
    return QuantityField.begun(fields) ? fields.stream() : Stream.empty();
  }

  /** What was answered of what there is to prove. */
  protected static <I, P> List<P> answered(
      Map<I, ProofField> proofs, BiFunction<I, Boolean, P> make) {
    return proofs.entrySet().stream()
        .filter(e -> !e.getValue().isEmpty())
        .map(e -> make.apply(e.getKey(), e.getValue().get() == ProofField.Answer.YES))
        .toList();
  }

  protected static String text(WordsField field) {
    return field.text().strip();
  }
}
