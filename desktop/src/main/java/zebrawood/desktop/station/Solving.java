package zebrawood.desktop.station;

import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Function;
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
    show(new Outcome.Working<>(Message.of("sheet.working")));
    making.orElseThrow().run(make, then, otherwise);
  }

  void show(Outcome<R, F> now) {
    outcome.set(now);
    onShown.run();
  }

  void close() {
    solving.ifPresent(Jobs::close);
    making.ifPresent(Jobs::close);
  }
}
