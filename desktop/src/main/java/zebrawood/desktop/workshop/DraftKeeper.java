package zebrawood.desktop.workshop;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Executor;
import zebrawood.records.workshop.Workshop;

/**
 * Keeps what is typed on the disk, on another thread. Only the newest text of a sheet is written:
 * while one write is under way, later ones replace one another.
 */
final class DraftKeeper {
  private record Key(String machineId, String stationId) {}

  private final Workshop workshop;
  private final Executor writer;
  private final Map<Key, Map<String, String>> waiting = new LinkedHashMap<>();

  DraftKeeper(Workshop workshop, Executor writer) {
    this.workshop = workshop;
    this.writer = writer;
  }

  void keep(String machineId, String stationId, Map<String, String> typed) {
    synchronized (waiting) {
      boolean idle = waiting.isEmpty();
      waiting.put(new Key(machineId, stationId), Map.copyOf(typed));
      if (idle) {
        writer.execute(this::write);
      }
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
    }
    now.forEach((key, typed) -> workshop.keepDraft(key.machineId, key.stationId, typed));
  }
}
