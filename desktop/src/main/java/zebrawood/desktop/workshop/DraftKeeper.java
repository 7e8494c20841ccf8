package zebrawood.desktop.workshop;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Executor;
import java.util.concurrent.RejectedExecutionException;
import java.util.function.Consumer;
import org.slf4j.LoggerFactory;
import zebrawood.records.workshop.Workshop;

/**
 * Keeps what is typed on the disk, on another thread. Only the newest text of a sheet is written:
 * while one write is under way, later ones replace one another. What could not be written waits for
 * the next change.
 */
final class DraftKeeper {
  private record Key(String machineId, String stationId) {}

  private final Workshop workshop;
  private final Executor writer;
  private final Consumer<RuntimeException> failed;
  private final Map<Key, Map<String, String>> waiting = new LinkedHashMap<>();
  private boolean scheduled;

  /**
   * @param failed told when what is typed could not be kept; on the writer's thread
   */
  DraftKeeper(Workshop workshop, Executor writer, Consumer<RuntimeException> failed) {
    this.workshop = workshop;
    this.writer = writer;
    this.failed = failed;
  }

  void keep(String machineId, String stationId, Map<String, String> typed) {
    synchronized (waiting) {
      waiting.put(new Key(machineId, stationId), Map.copyOf(typed));
      if (!scheduled) {
        scheduled = true;
        begin();
      }
    }
  }

  /** Tries again to write what waits. */
  void again() {
    synchronized (waiting) {
      if (!waiting.isEmpty() && !scheduled) {
        scheduled = true;
        begin();
      }
    }
  }

  private void begin() {
    try {
      writer.execute(this::write);
    } catch (RejectedExecutionException e) {
      // The window closed while something was typed: what was typed before it is kept.
      LoggerFactory.getLogger(DraftKeeper.class).warn("typed after the workshop's end", e);
    }
  }

  /** Forgets what waits for a sheet, when its readings are being recorded instead. */
  void forget(String machineId, String stationId) {
    synchronized (waiting) {
      waiting.remove(new Key(machineId, stationId));
    }
  }

  private void write() {
    Map<Key, Map<String, String>> now;
    synchronized (waiting) {
      now = new LinkedHashMap<>(waiting);
      waiting.clear();
      scheduled = false;
    }
    now.forEach((key, typed) -> {
      try {
        workshop.keepDraft(key.machineId, key.stationId, typed);
      } catch (RuntimeException e) {
        synchronized (waiting) {
          waiting.putIfAbsent(key, typed);
        }
        failed.accept(e);
      }
    });
  }
}
