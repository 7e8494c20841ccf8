package zebrawood.records.workshop;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import zebrawood.ledger.Event;
import zebrawood.ledger.EventKind;
import zebrawood.measure.UnusableReading;
import zebrawood.records.json.RecordJson;

/** Events; a row that this version cannot read is an event of the kind UNKNOWN. */
final class EventTable {
  private final Sql sql;

  EventTable(Sql sql) {
    this.sql = sql;
  }

  /** What an event names beside its kind. */
  private record Details(Optional<String> subject, List<String> settles) {
    private static final Details NONE = new Details(Optional.empty(), List.of());
  }

  List<Written> of(String machineId) {
    return where("machine_id = ?", machineId);
  }

  /** Those that were added behind a row. */
  List<Written> since(String machineId, long seq) {
    return where("machine_id = ? AND seq > ?", machineId, seq);
  }

  /** Those that were written last. */
  List<Written> newest(String machineId, int most) {
    return where(
        "seq IN (SELECT seq FROM event WHERE machine_id = ? ORDER BY seq DESC LIMIT ?)",
        machineId,
        most);
  }

  /** Those with these ids. */
  List<Written> of(List<String> ids) {
    return where(Written.AMONG, Written.listed(ids));
  }

  private List<Written> where(String condition, Object... values) {
    return sql.list(
        "SELECT * FROM event WHERE " + condition + " ORDER BY ord, seq",
        row -> new Written(row.getDouble("ord"), row.getLong("seq"), event(row)),
        values);
  }

  void add(Event event) {
    sql.run(
        """
        INSERT INTO event (id, machine_id, kind, at, recorded_at, recorded_by, note, details,
          replaces, version, ord)
        VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?,
        """
            + Written.NEXT
            + ")",
        event.id(),
        event.machineId(),
        event.kind().name(),
        event.at().toString(),
        event.recordedAt().toString(),
        event.by(),
        event.note(),
        RecordJson.write(new Details(event.subject(), event.settles())),
        event.replaces().orElse(null),
        Workshop.SCHEMA);
  }

  private static Event event(ResultSet row) throws SQLException {
    String note = row.getString("note");
    try {
      String kept = row.getString("details");
      Details details = kept == null ? Details.NONE : RecordJson.read(kept, Details.class);
      return new Event(
          row.getString("id"),
          row.getString("machine_id"),
          Written.constant(EventKind.class, row.getString("kind")),
          Written.instant(row.getString("at")),
          Written.instant(row.getString("recorded_at")),
          row.getString("recorded_by"),
          note,
          details.subject,
          details.settles,
          Optional.ofNullable(row.getString("replaces")));
    } catch (UnusableReading e) {
      return new Event(
          Written.named(row.getString("id")),
          row.getString("machine_id"),
          EventKind.UNKNOWN,
          Written.instantOr(row.getString("at"), row.getString("recorded_at")),
          Written.instantOr(row.getString("recorded_at"), row.getString("at")),
          Written.named(row.getString("recorded_by")),
          note.isBlank() ? row.getString("kind") : row.getString("kind") + ", " + note,
          Optional.empty(),
          List.of(),
          Optional.ofNullable(row.getString("replaces")));
    }
  }
}
