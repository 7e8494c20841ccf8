package zebrawood.desktop.station;

import java.nio.file.attribute.FileTime;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import zebrawood.desktop.job.Jobs;
import zebrawood.measure.Finding;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * Makes the outcome of what is typed: at once, or beside the interface where that takes longer than
 * a frame; then the newest wins, and how far it has come is part of the outcome.
 */
final class Solving<R, F extends Finding> {
  private final ReadOnlyObjectWrapper<Outcome<R, F>> outcome =
      new ReadOnlyObjectWrapper<>(new Outcome.Waiting<>(Message.NONE));
  private final Runnable onShown;
  private Optional<Jobs> solving = Optional.empty();
  private Optional<Jobs> making = Optional.empty();

  /** Looks whether a photograph is still the one that was measured. */
  private Optional<Jobs> looking = Optional.empty();

  /** When the photograph behind the outcome was changed last, before it was measured. */
  private volatile Optional<FileTime> measuredAge = Optional.empty();

  /**
   * @param onShown runs after every change, also of what leaves the outcome as it was
   */
  Solving(Runnable onShown) {
    this.onShown = onShown;
  }

  ReadOnlyObjectProperty<Outcome<R, F>> outcomeProperty() {
    return outcome.getReadOnlyProperty();
  }

  void attach(Executor ui) {
    solving = Optional.of(withProgress(ui));
    making = Optional.of(withProgress(ui));
    looking = Optional.of(new Jobs(ui));
  }

  /** Jobs whose progress is shown as the outcome. */
  private Jobs withProgress(Executor ui) {
    Jobs jobs = new Jobs(ui);
    jobs.progressProperty()
        .addListener((p, old, share) -> {
          if (outcome.get() instanceof Outcome.Working && share.doubleValue() > 0) {
            long percent = Math.round(100 * share.doubleValue());
            show(new Outcome.Working<>(Message.of("sheet.working-share", percent)));
          }
        });
    return jobs;
  }

  void cancel() {
    solving.ifPresent(Jobs::cancel);
    looking.ifPresent(Jobs::cancel);
  }

  /**
   * @param slow whether it may take longer than a frame
   */
  void solve(R readings, boolean slow, Jobs.Work<F> work, Function<Throwable, Outcome<R, F>> not) {
    if (slow && solving.isPresent()) {
      show(new Outcome.Working<>(Message.of("sheet.working")));
      solving
          .get()
          .run(work, f -> show(new Outcome.Solved<>(readings, f)), e -> show(not.apply(e)));
      return;
    }
    Outcome<R, F> now;
    try {
      now = new Outcome.Solved<>(readings, work.run(ALONE));
    } catch (UnusableReading e) {
      now = not.apply(e);
    } catch (RuntimeException e) {
      throw e;
    } catch (Exception e) {
      throw new IllegalStateException(e);
    }
    show(now);
  }

  /**
   * Measures in a photograph. What was found of the same readings stays, and is found anew only if
   * the file has changed since.
   *
   * @param age of the file; may wait for a disk, so it is asked beside the interface
   */
  void solveOfPicture(
      R readings,
      Supplier<Optional<FileTime>> age,
      Jobs.Work<F> work,
      Function<Throwable, Outcome<R, F>> not) {
    Jobs.Work<F> measuring =
        progress -> {
          Optional<FileTime> before = age.get();
          F found = work.run(progress);
          measuredAge = before;
          return found;
        };
    boolean same =
        outcome.get().solved().map(Outcome.Solved::readings).filter(readings::equals).isPresent();
    if (!same || looking.isEmpty()) {
      solve(readings, true, measuring, not);
      return;
    }
    onShown.run();
    looking
        .get()
        .run(
            progress -> age.get().equals(measuredAge),
            unchanged -> {
              if (!unchanged) {
                solve(readings, true, measuring, not);
              }
            },
            e -> solve(readings, true, measuring, not));
  }

  /** Nobody waits, and nobody is told. */
  private static final Jobs.Progress ALONE =
      new Jobs.Progress() {
        @Override
        public boolean cancelled() {
          return false;
        }

        @Override
        public void reached(double share) {}
      };

  <T> void inBackground(Jobs.Work<T> make, Consumer<T> then, Consumer<Throwable> otherwise) {
    if (making.isEmpty()) {
      alone(make, then, otherwise);
      return;
    }
    show(new Outcome.Working<>(Message.of("sheet.working")));
    making.get().run(make, then, otherwise);
  }

  /** Without a window nobody waits. */
  private static <T> void alone(
      Jobs.Work<T> make, Consumer<T> then, Consumer<Throwable> otherwise) {
    T made;
    try {
      made = make.run(ALONE);
    } catch (Exception e) {
      otherwise.accept(e);
      return;
    }
    then.accept(made);
  }

  void show(Outcome<R, F> now) {
    outcome.set(now);
    onShown.run();
  }

  void close() {
    solving.ifPresent(Jobs::close);
    making.ifPresent(Jobs::close);
    looking.ifPresent(Jobs::close);
  }
}
