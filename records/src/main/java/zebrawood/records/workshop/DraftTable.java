package zebrawood.records.workshop;

import java.util.Map;
import org.jdbi.v3.core.Handle;
import zebrawood.records.json.RecordJson;

/** What is typed and not recorded; with the preferences, the only rows that change. */
final class DraftTable {
  private final Handle handle;

  DraftTable(Handle handle) {
    this.handle = handle;
  }

  private record Typed(Map<String, String> typed) {}

  /** Nothing where it cannot be read: a draft is a help, not a record. */
  Map<String, String> of(String machineId, String stationId) {
    return handle
        .createQuery("SELECT typed FROM draft WHERE machine_id = :machine AND station = :station")
        .bind("machine", machineId)
        .bind("station", stationId)
        .mapTo(String.class)
        .findFirst()
        .flatMap(text -> RecordJson.textsIn(text, "typed"))
        .orElse(Map.of());
  }

  void keep(String machineId, String stationId, Map<String, String> typed) {
    handle
        .createUpdate(
            """
            INSERT INTO draft (machine_id, station, typed)
            VALUES (:machine, :station, :typed)
            ON CONFLICT (machine_id, station) DO UPDATE SET typed = excluded.typed
            """)
        .bind("machine", machineId)
        .bind("station", stationId)
        .bind("typed", RecordJson.write(new Typed(typed)))
        .execute();
  }

  void delete(String machineId, String stationId) {
    handle
        .createUpdate("DELETE FROM draft WHERE machine_id = :machine AND station = :station")
        .bind("machine", machineId)
        .bind("station", stationId)
        .execute();
  }
}
