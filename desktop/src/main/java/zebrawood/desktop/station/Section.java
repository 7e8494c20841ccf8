package zebrawood.desktop.station;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.TypedField;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.job.Jobs;
import zebrawood.ledger.Entry;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * One fold of a sheet: its own fields, its own reading, its own outcome. It is read and solved once
 * a change, before the station is, so that visit, drawing and print take the same outcome from
 * here. What it says below its fields is made after the station was solved. Knows no scene.
 *
 * @param <R> what is read in it; {@link Void} of a fold that only says something
 * @param <F> what follows from that; {@link Void} where nothing does
 */
public abstract class Section<R, F> {
  private Optional<R> read = Optional.empty();
  private Optional<F> outcome = Optional.empty();
  private Optional<UnusableReading> unusable = Optional.empty();
  private final ReadOnlyObjectWrapper<Message> said;
  private Optional<StationModel<?, ?>> station = Optional.empty();

  /**
   * @param first what is said until there is more to say; possibly empty
   */
  protected Section(Message first) {
    said = new ReadOnlyObjectWrapper<>(first);
  }

  /** The fields that count; one that cannot be used is told. */
  public abstract Stream<? extends Field> fields();

  /** The fields that must be filled for the station to be solved: usually those that are begun. */
  public Stream<? extends Field> needed() {
    return Stream.empty();
  }

  /** The fold as it stands on the sheet. */
  public abstract Part part();

  /**
   * What is typed, understood; empty while it is too little.
   *
   * @throws UnusableReading when it cannot be used
   */
  protected Optional<R> understood() {
    return Optional.empty();
  }

  /** What follows from it; empty where nothing does. */
  protected Optional<F> solve(R reading) {
    return Optional.empty();
  }

  /** What is said below the fields now; empty to leave what was said last. */
  protected Message words() {
    return Message.NONE;
  }

  /** What was read last; empty while nothing can be used. */
  public final Optional<R> read() {
    return read;
  }

  public final Optional<F> outcome() {
    return outcome;
  }

  /** What is said below the fields. */
  public final ReadOnlyObjectProperty<Message> saidProperty() {
    return said.getReadOnlyProperty();
  }

  /** Something changed that is no field: the station is solved and drawn anew. */
  protected final void solveAgain() {
    station().solveAgain();
  }

  /** What is said, as a part of the fold. */
  protected final Part said() {
    return new Part.LiveText(saidProperty());
  }

  /** Says this, until there is something newer to say. */
  protected final void say(Message what) {
    said.set(what);
  }

  /** The record grew, or the sheet is shown again. */
  protected void recordChanged(List<Entry> entries) {}

  final void standIn(StationModel<?, ?> model) {
    station = Optional.of(model);
  }

  /** The station that it is of, once its fields are there. */
  protected final StationModel<?, ?> station() {
    return station.orElseThrow();
  }

  /** The day as it is written on paper; empty where there is no sheet. */
  protected final Optional<String> today() {
    return station().today();
  }

  /** The sheet that it stands in. */
  protected final Optional<SheetContext> sheet() {
    return station().context();
  }

  final void readAgain() {
    read = Optional.empty();
    outcome = Optional.empty();
    unusable = Optional.empty();
    boolean usable =
        Stream.concat(fields(), needed()).allMatch(f -> f.problem().isEmpty())
            && needed().noneMatch(f -> f instanceof TypedField && f.isEmpty());
    if (!usable) {
      return;
    }
    try {
      read = understood();
      outcome = read.flatMap(this::solve);
    } catch (UnusableReading e) {
      unusable = Optional.of(e);
    }
  }

  /** Why what is typed cannot be used, though each field can. */
  final Optional<UnusableReading> unusable() {
    return unusable;
  }

  final void speak() {
    Message now = words();
    if (!now.isEmpty()) {
      say(now);
    }
  }

  /** What is done with a file, beside the window. */
  @FunctionalInterface
  protected interface FileWork {
    /**
     * @return what was done, in words
     */
    Message with(String file, Jobs.Progress progress) throws Exception;
  }

  /**
   * Reads or writes a file beside the window, and says what came of it.
   *
   * @param name the file's name as typed
   * @param ifNone what is said where there is none
   */
  protected final void withFile(WordsField name, Message ifNone, FileWork work) {
    String file = name.text().strip();
    if (file.isEmpty()) {
      say(ifNone);
    } else {
      station().inBackground(p -> work.with(file, p), this::say);
    }
  }
}
