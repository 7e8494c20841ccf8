package zebrawood.desktop.job;

import java.time.Duration;
import java.util.concurrent.CancellationException;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyDoubleWrapper;

/**
 * Runs one piece of long work at a time on a thread of its own. A newer one takes the older one's
 * place: the older one is told to stop, and its answer is not heard. Properties and answers belong
 * to the interface's thread.
 */
public final class Jobs implements AutoCloseable {
  /** What work is told, and tells. */
  public interface Progress {
    /** Whether nobody waits for it any more: it should end soon. */
    boolean cancelled();

    /**
     * @param share from 0 to 1
     */
    void reached(double share);

    /**
     * A part of the work, for what tells how far it has come.
     *
     * @return told from 0 to 1; throws {@link CancellationException} when nobody waits any more
     */
    default DoubleConsumer part(double from, double to) {
      return share -> {
        if (cancelled()) {
          throw new CancellationException();
        }
        reached(from + share * (to - from));
      };
    }
  }

  @FunctionalInterface
  public interface Work<T> {
    T run(Progress progress) throws Exception;
  }

  /** The interface hears of no smaller part than this: every time it draws itself anew. */
  private static final int STEPS = 20;

  private final Executor ui;
  private final AtomicReference<Object> newest = new AtomicReference<>();
  private final AtomicReference<Object> askedToEnd = new AtomicReference<>();
  private final ReadOnlyBooleanWrapper busy = new ReadOnlyBooleanWrapper(false);
  private final ReadOnlyDoubleWrapper progress = new ReadOnlyDoubleWrapper(0);
  private final String thread;
  private ExecutorService worker;

  public Jobs(Executor ui) {
    this(ui, "job");
  }

  /**
   * @param thread what its thread is called
   */
  public Jobs(Executor ui, String thread) {
    this.ui = ui;
    this.thread = thread;
  }

  public ReadOnlyBooleanProperty busyProperty() {
    return busy.getReadOnlyProperty();
  }

  /** How far the newest work has come, from 0 to 1. */
  public ReadOnlyDoubleProperty progressProperty() {
    return progress.getReadOnlyProperty();
  }

  /**
   * @param then gets the answer, unless newer work was begun or this was cancelled
   * @param otherwise gets what went wrong, likewise
   */
  public <T> void run(Work<T> work, Consumer<T> then, Consumer<Throwable> otherwise) {
    if (worker == null) {
      worker =
          Executors.newSingleThreadExecutor(
              Thread.ofPlatform().name(thread).daemon(true).factory());
    }
    Object token = new Object();
    newest.set(token);
    busy.set(true);
    progress.set(0);
    worker.execute(() -> {
      if (newest.get() != token) {
        return;
      }
      try {
        T answer = work.run(progressOf(token));
        tell(token, () -> then.accept(answer));
      } catch (Exception | Error e) {
        tell(token, () -> otherwise.accept(e));
      }
    });
  }

  private Progress progressOf(Object token) {
    AtomicInteger told = new AtomicInteger();
    return new Progress() {
      @Override
      public boolean cancelled() {
        return newest.get() != token || askedToEnd.get() == token;
      }

      @Override
      public void reached(double share) {
        int step = (int) (share * STEPS);
        if (told.getAndAccumulate(step, Math::max) >= step) {
          return;
        }
        ui.execute(() -> {
          if (newest.get() == token) {
            progress.set(share);
          }
        });
      }
    };
  }

  private void tell(Object token, Runnable answer) {
    ui.execute(() -> {
      if (newest.compareAndSet(token, null)) {
        busy.set(false);
        answer.run();
      }
    });
  }

  /** What runs is told to end soon, as it must; its answer is heard. */
  public void askToEnd() {
    askedToEnd.set(newest.get());
  }

  /** What runs is told to stop; its answer is not heard. */
  public void cancel() {
    if (newest.getAndSet(null) != null) {
      busy.set(false);
    }
  }

  @Override
  public void close() {
    cancel();
    if (worker != null) {
      worker.shutdown();
    }
  }

  /**
   * Waits until what was begun has ended; not on the interface's thread.
   *
   * @param most nobody waits longer
   * @return whether it has ended
   */
  public boolean awaitEnd(Duration most) {
    try {
      return worker == null || worker.awaitTermination(most.toMillis(), TimeUnit.MILLISECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return false;
    }
  }
}
