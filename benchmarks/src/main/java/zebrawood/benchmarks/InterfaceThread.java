package zebrawood.benchmarks;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.FutureTask;
import javafx.application.Platform;
import javafx.scene.Scene;

/** What the benchmarks of the window do on the interface's thread, from their own. */
final class InterfaceThread {
  private InterfaceThread() {}

  /** Done when it returns; what the work throws is thrown here. */
  static void run(Runnable work) throws Exception {
    FutureTask<Void> task = new FutureTask<>(work, null);
    Platform.runLater(task);
    task.get();
  }

  /** Returns when the scene was next laid out. */
  static void frame(Scene scene) throws Exception {
    CountDownLatch done = new CountDownLatch(1);
    Runnable listener = done::countDown;
    run(() -> {
      scene.addPostLayoutPulseListener(listener);
      Platform.requestNextPulse();
    });
    done.await();
    run(() -> scene.removePostLayoutPulseListener(listener));
  }
}
