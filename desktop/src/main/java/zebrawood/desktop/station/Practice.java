package zebrawood.desktop.station;

import java.time.Clock;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Consumer;
import java.util.function.ObjDoubleConsumer;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.devices.whole.CaseRun;
import zebrawood.devices.whole.Trait;
import zebrawood.devices.whole.WholeMachine;
import zebrawood.measure.Finding;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * Practice on a stand-in in the machine's place: read, do as advised, read again. Nothing of it is
 * recorded. What is wrong with the stand-in, the technician has to find out.
 *
 * @param <M> the station's model
 * @param <S> the stand-in
 */
public abstract class Practice<M extends StationModel<R, F>, S, R, F extends Finding> {
  /** Limit of the amount field, in its unit. */
  private static final double MOST_AMOUNT = 60;

  protected final M model;
  private final ReadOnlyIntegerWrapper rounds = new ReadOnlyIntegerWrapper(-1);
  private Message bestPossible = Message.NONE;
  private Optional<S> standIn = Optional.empty();

  /** Whose part the stand-in is; empty where it stands alone. */
  private Optional<CaseRun> whole = Optional.empty();

  /** How that part stood when it was last looked at. */
  private Map<Trait, Double> stood = Map.of();

  private Map<Trait, Double> truths = Map.of();

  /** What stood on the sheet before: nothing that a practice typed stays there. */
  private Map<String, String> typedBefore = Map.of();

  protected Practice(M model) {
    this.model = model;
  }

  /** The stand-in as a part of a whole machine that is practised on; empty where it is none. */
  protected Optional<S> partOf(WholeMachine whole) {
    return Optional.empty();
  }

  /** What reads that part; empty where it is none. */
  protected Optional<zebrawood.devices.whole.Deed> readBy() {
    return Optional.empty();
  }

  /** How the part stands now, from anywhere: what changes of it is the whole machine's. */
  protected Map<Trait, Double> inTheWhole(S part) {
    return Map.of();
  }

  /** A stand-in with hidden faults; the same number gives the same. */
  protected abstract S make(long number);

  /** Reads the stand-in and types what was read. */
  protected abstract void read(S from);

  /** Does what the advice says, as a hand does it. Readings are cleared where all are made anew. */
  protected abstract void obey(S on, Outcome.Solved<R, F> solved);

  /** How it truly stands, as somebody sees it who sees everything: for the score. */
  protected abstract Message stands(S on);

  /** The best that could be reached from here, computed of what is hidden in it. */
  protected abstract Message best(S on);

  /** How it stands where what is wrong is counted. */
  protected static Message left(int faults) {
    return Message.of("practice.left", faults);
  }

  /** The best where all that is wrong shows at once, and can be mended in one round. */
  protected static Message mendedAtOnce(int faults) {
    return Message.of("practice.left-best", faults == 0 ? 0 : 1);
  }

  /**
   * Something that a hand can do to it, whatever is advised.
   *
   * @param measured whether it is done by an amount
   * @param run does it; the amount is 0 where it has none
   */
  public record Deed<S>(Message what, boolean measured, ObjDoubleConsumer<S> run) {
    public static <S> Deed<S> of(Message what, Consumer<S> run) {
      return new Deed<>(what, false, (on, amount) -> run.accept(on));
    }

    public static <S> Deed<S> by(Message what, ObjDoubleConsumer<S> run) {
      return new Deed<>(what, true, run);
    }
  }

  /** All that can be done to it. */
  protected abstract List<Deed<S>> deeds();

  /** What an amount is of. */
  protected Quantity amountOf() {
    return Quantity.TURNS;
  }

  /** Makes the sheet ready for the stand-in. */
  protected void prepare() {}

  /** Lets go of what it practised on. */
  protected void ended() {}

  /** What else is to be said of where it stands. */
  protected Message told() {
    return Message.NONE;
  }

  /** Whether there is a stand-in for this machine. */
  public boolean offered() {
    return true;
  }

  /** What is chosen before it starts. */
  public List<Part> choices() {
    return List.of();
  }

  public final void start(Clock clock) {
    whole =
        model
            .playing()
            .filter(run -> !run.isOver() && readBy().filter(run.possible()::contains).isPresent());
    Optional<S> part = whole.flatMap(run -> partOf(run.machine()));
    if (part.isPresent()) {
      stands(whole.orElseThrow(), part.get());
      start(part.get());
    } else {
      whole = Optional.empty();
      start(new Random(clock.millis()).nextLong());
    }
  }

  public final void start(long number) {
    start(make(number));
  }

  public final void start(S on) {
    typedBefore = model.form().typed();
    // From here on nothing that is typed is the machine's own.
    standIn = Optional.of(on);
    prepare();
    bestPossible = best(on);
    model.form().clearReadings();
    rounds.set(0);
  }

  public final void end() {
    if (!running()) {
      return;
    }
    model.form().type(typedBefore);
    typedBefore = Map.of();
    standIn = Optional.empty();
    whole = Optional.empty();
    ended();
    rounds.set(-1);
  }

  public final boolean running() {
    return standIn.isPresent();
  }

  protected final S standIn() {
    return standIn.orElseThrow();
  }

  /** Rounds of mending so far; -1 when there is no practice. */
  public final ReadOnlyIntegerProperty roundsProperty() {
    return rounds.getReadOnlyProperty();
  }

  public final void readAll() {
    lookAtWhole();
    if (whole.isPresent() && !reads(whole.get())) {
      model.solveAgain(); // says why
      return;
    }
    S on = standIn.orElseThrow();
    model.form().allAtOnce(() -> read(on));
  }

  /** Its time is the whole machine's, and so is what may go wrong: nothing is read then. */
  private boolean reads(CaseRun run) {
    if (run.isOver()) {
      return false;
    }
    int burns = run.burns();
    boolean burnsIt = readBy().orElseThrow().burns();
    run.act(readBy().orElseThrow(), 0);
    return !run.isOver() && (!burnsIt || run.burns() > burns);
  }

  /** What was moved since, and no more: other sheets, and the case's own page, move it too. */
  private void giveBack(S part) {
    whole.ifPresent(run -> {
      Map<Trait, Double> now = inTheWhole(part);
      Map<Trait, Double> by = new EnumMap<>(Trait.class);
      now.forEach((trait, value) -> by.put(trait, value - stood.getOrDefault(trait, value)));
      run.byHand(readBy().orElseThrow(), by);
      stood = now;
      truths = truths(run);
    });
  }

  private Map<Trait, Double> truths(CaseRun run) {
    Map<Trait, Double> truths = new EnumMap<>(Trait.class);
    readBy().orElseThrow().reads().forEach(t -> truths.put(t, run.machine().truth(t)));
    return truths;
  }

  private void stands(CaseRun run, S part) {
    stood = inTheWhole(part);
    truths = truths(run);
  }

  /** Takes the part anew where it was moved elsewhere; another case has no part here. */
  private void lookAtWhole() {
    if (whole.isPresent() && !model.playing().equals(whole)) {
      whole = Optional.empty();
    }
    whole
        .filter(run -> !truths(run).equals(truths))
        .ifPresent(run -> {
          standIn = partOf(run.machine());
          stands(run, standIn());
        });
  }

  public final void obey(Outcome.Solved<R, F> solved) {
    S on = standIn.orElseThrow();
    model.form().allAtOnce(() -> obey(on, solved));
    giveBack(on);
    rounds.set(rounds.get() + 1);
  }

  /** What can be done, and doing nothing. */
  public final List<Deed<S>> choicesOfDeeds() {
    return Stream.concat(
            Stream.of(Deed.<S>of(Message.of("practice.nothing"), on -> {})), deeds().stream())
        .toList();
  }

  /** The amount of what is done, in the units shown. */
  public final QuantityField newAmount() {
    return new StationForm("practice", model.form().units())
        .quantity("amount", amountOf(), -MOST_AMOUNT, MOST_AMOUNT);
  }

  /** Does this, and not what is advised; then everything is to be read again. */
  public final void act(Deed<?> deed, double amount) {
    S on = standIn.orElseThrow();
    choicesOfDeeds().stream()
        .filter(d -> d.what().equals(deed.what()))
        .findFirst()
        .ifPresent(d -> {
          d.run().accept(on, amount);
          giveBack(on);
          model.form().clearReadings();
          rounds.set(rounds.get() + 1);
        });
  }

  /** Where the practice stands; nothing when there is none. */
  public final Optional<Message> words() {
    return standIn.map(on -> {
      Message stands =
          model.outcome().within()
              ? Message.of("practice.done", score(on))
              : Message.of("practice.rounds", rounds.get());
      Message first = whole.map(this::inCase).orElseGet(this::alone);
      return first.isEmpty() ? stands : Message.of("practice.told", first, stands);
    });
  }

  /** A stand-in that is no part of the machine that is practised on says so. */
  private Message alone() {
    return model.playing().isPresent() ? Message.of("practice.beside-case") : told();
  }

  /** What the whole machine says last: a reading that was not made says why. */
  private Message inCase(CaseRun run) {
    return Message.of(
        "practice.in-case",
        run.minutes(),
        run.stopped()
            .orElseGet(() ->
                run.lines().isEmpty()
                    ? Message.of("practice.in-case.begun")
                    : run.lines().getLast().seen().getLast()));
  }

  private Message score(S on) {
    return Message.of("practice.score", rounds.get(), stands(on), bestPossible);
  }

  /** What came of it; nothing when nothing was done. */
  public final Optional<Message> score() {
    return standIn.filter(on -> rounds.get() > 0).map(this::score);
  }
}
