package zebrawood.desktop.sheet;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import zebrawood.measure.Finding;
import zebrawood.words.Message;

/**
 * Practice on a stand-in in the machine's place: read, do as advised, read again. Nothing of it is
 * recorded. What is wrong with the stand-in, the technician has to find out.
 *
 * @param <S> the stand-in
 */
public abstract class Practice<S, R, F extends Finding> {
  private final StationWork<R, F> work;
  private final ReadOnlyIntegerWrapper rounds = new ReadOnlyIntegerWrapper(-1);
  private Optional<S> standIn = Optional.empty();

  protected Practice(StationWork<R, F> work) {
    this.work = work;
  }

  /** A stand-in with hidden faults; the same number gives the same. */
  protected abstract S make(long number);

  /** Reads the stand-in and types what was read. */
  protected abstract void read(S from);

  /** Does what the advice says, as a hand does it. Readings are cleared where all are made anew. */
  protected abstract void obey(S on, Outcome.Found<R, F> found);

  /** What is to be said when it is in order. */
  protected abstract Message done(S on, int roundsOfMending);

  /** Makes the sheet ready for the stand-in. */
  protected void prepare() {}

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
    start(new Random(clock.millis()).nextLong());
  }

  public final void start(long number) {
    start(make(number));
  }

  public final void start(S on) {
    // From here on nothing that is typed is the machine's own.
    standIn = Optional.of(on);
    prepare();
    work.form().clearReadings();
    rounds.set(0);
  }

  public final void end() {
    standIn = Optional.empty();
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
    S on = standIn.orElseThrow();
    work.form().quietly(() -> read(on));
  }

  public final void obey(Outcome.Found<R, F> found) {
    S on = standIn.orElseThrow();
    work.form().quietly(() -> obey(on, found));
    rounds.set(rounds.get() + 1);
  }

  /** Where the practice stands; nothing when there is none. */
  public final Optional<Message> words() {
    return standIn.map(on -> {
      Message stands =
          work.outcome().within()
              ? done(on, rounds.get())
              : Message.of("practice.rounds", rounds.get());
      return told().isEmpty() ? stands : Message.of("practice.told", told(), stands);
    });
  }
}
