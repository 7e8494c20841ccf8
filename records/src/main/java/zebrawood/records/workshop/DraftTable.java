package zebrawood.records.workshop;

import java.util.Map;
import zebrawood.records.json.RecordJson;

/** What is typed and not recorded; with the preferences, the only rows that change. */
final class DraftTable {
  private final Sql sql;

  DraftTable(Sql sql) {
    this.sql = sql;
  }

  private record Typed(Map<String, String> typed) {}

  /** Nothing where it cannot be read: a draft is a help, not a record. */
  Map<String, String> of(String machineId, String stationId) {
    return sql.text(
            "SELECT typed FROM draft WHERE machine_id = ? AND station = ?", machineId, stationId)
        .flatMap(text -> RecordJson.textsIn(text, "typed"))
        .orElse(Map.of());
  }

  void keep(String machineId, String stationId, Map<String, String> typed) {
    sql.run(
        """
        INSERT INTO draft (machine_id, station, typed) VALUES (?, ?, ?)
        ON CONFLICT (machine_id, station) DO UPDATE SET typed = excluded.typed
        """,
        machineId,
        stationId,
        RecordJson.write(new Typed(typed)));
  }

  void delete(String machineId, String stationId) {
    sql.run("DELETE FROM draft WHERE machine_id = ? AND station = ?", machineId, stationId);
  }
}
