package zebrawood.desktop.workshop;

import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The one thread on which the workshop's file is read and written, in the order it was asked. */
final class DiskThread implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(DiskThread.class);
  private static final int LONGEST_END_SECONDS = 10;

  private final ExecutorService thread =
      Executors.newSingleThreadExecutor(
          Thread.ofPlatform().name("workshop-writer").daemon(true).factory());
  private final Executor ui;
  private volatile boolean closed;

  /**
   * @param ui runs the answers, on the interface's thread
   */
  DiskThread(Executor ui) {
    this.ui = ui;
  }

  Executor executor() {
    return thread;
  }

  /**
   * @param then gets what the work made, on the interface's thread
   * @param otherwise gets there why the work failed
   */
  <T> void ask(Supplier<T> work, Consumer<T> then, Consumer<RuntimeException> otherwise) {
    Runnable asked =
        () -> {
          try {
            T result = work.get();
            tell(() -> then.accept(result));
          } catch (RuntimeException e) {
            LOG.error("the workshop's file was not read or written", e);
            tell(() -> otherwise.accept(e));
          }
        };
    try {
      thread.execute(asked);
    } catch (RejectedExecutionException e) {
      // It was closed meanwhile: nobody listens to what was asked.
      LOG.warn("asked of the workshop after its end", e);
    }
  }

  /** Nobody listens any more once it is closed. */
  void tell(Runnable answer) {
    ui.execute(() -> {
      if (!closed) {
        answer.run();
      }
    });
  }

  /** Waits until everything is on the disk, at most {@value #LONGEST_END_SECONDS} seconds. */
  @Override
  public void close() {
    closed = true;
    thread.shutdown();
    try {
      if (!thread.awaitTermination(LONGEST_END_SECONDS, TimeUnit.SECONDS)) {
        LOG.error("the workshop file did not answer within ten seconds");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
