package zebrawood.records.workshop;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Figure;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.records.json.RecordJson;
import zebrawood.words.Message;

/** Entries; a row that this version cannot read is an entry of the kind UNKNOWN. */
final class EntryTable {
  private final Sql sql;

  EntryTable(Sql sql) {
    this.sql = sql;
  }

  List<Written> of(String machineId) {
    return sql.list(
        "SELECT * FROM entry WHERE machine_id = ? ORDER BY ord, seq",
        row -> new Written(row.getDouble("ord"), row.getLong("seq"), entry(row)),
        machineId);
  }

  /** The same without readings and findings, which are not read from the disk for it. */
  List<Written> outlines(String machineId) {
    return outlinesWhere("machine_id = ?", machineId);
  }

  /** The same of those that were added behind a row. */
  List<Written> outlinesSince(String machineId, long seq) {
    return outlinesWhere("machine_id = ? AND seq > ?", machineId, seq);
  }

  /** The same of those that were written last. */
  List<Written> newest(String machineId, int most) {
    return outlinesWhere(
        "seq IN (SELECT seq FROM entry WHERE machine_id = ? ORDER BY seq DESC LIMIT ?)",
        machineId,
        most);
  }

  /** The same of those with these ids. */
  List<Written> outlinesOf(List<String> ids) {
    return outlinesWhere(Written.AMONG, Written.listed(ids));
  }

  private List<Written> outlinesWhere(String condition, Object... values) {
    return sql.list(
        """
        SELECT ord, seq, id, machine_id, station, subject, kind, at, recorded_at, recorded_by, because,
          '' AS readings, '' AS finding, verdict, figures, replaces
        FROM entry
        WHERE\
        """
            + " "
            + condition
            + " ORDER BY ord, seq",
        row -> new Written(row.getDouble("ord"), row.getLong("seq"), entry(row)),
        values);
  }

  /** Whole entries of one station, those that no longer count too. */
  List<Written> at(String machineId, String stationId) {
    return sql.list(
        "SELECT * FROM entry WHERE machine_id = ? AND station = ? ORDER BY ord, seq",
        row -> new Written(row.getDouble("ord"), row.getLong("seq"), entry(row)),
        machineId,
        stationId);
  }

  void add(Entry entry) {
    sql.run(
        """
        INSERT INTO entry (id, machine_id, station, subject, kind, at, recorded_at,
          recorded_by, because, readings, finding, verdict, figures, replaces, version, ord)
        VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?,
        """
            + Written.NEXT
            + ")",
        entry.id(),
        entry.machineId(),
        entry.stationId(),
        entry.subject().orElse(null),
        entry.kind().name(),
        entry.at().toString(),
        entry.recordedAt().toString(),
        entry.by(),
        RecordJson.write(entry.because()),
        entry.readings(),
        entry.finding(),
        entry.verdict().name(),
        RecordJson.write(new Figures(entry.figures())),
        entry.replaces().orElse(null),
        Workshop.SCHEMA);
  }

  private record Figures(List<Figure> figures) {}

  private static Entry entry(ResultSet row) throws SQLException {
    try {
      return new Entry(
          row.getString("id"),
          row.getString("machine_id"),
          row.getString("station"),
          Optional.ofNullable(row.getString("subject")),
          Written.constant(EntryKind.class, row.getString("kind")),
          Written.instant(row.getString("at")),
          Written.instant(row.getString("recorded_at")),
          row.getString("recorded_by"),
          because(row.getString("because")),
          row.getString("readings"),
          row.getString("finding"),
          Written.constant(Verdict.class, row.getString("verdict")),
          RecordJson.read(row.getString("figures"), Figures.class).figures(),
          Optional.ofNullable(row.getString("replaces")));
    } catch (UnusableReading e) {
      return unread(row, e);
    }
  }

  /** The first version kept words. */
  private static Message because(String kept) {
    return kept.startsWith("{") ? RecordJson.message(kept) : Message.verbatim(kept);
  }

  private static Entry unread(ResultSet row, UnusableReading because) throws SQLException {
    return new Entry(
        Written.named(row.getString("id")),
        row.getString("machine_id"),
        Written.named(row.getString("station")),
        Optional.ofNullable(row.getString("subject")),
        EntryKind.UNKNOWN,
        Written.instantOr(row.getString("at"), row.getString("recorded_at")),
        Written.instantOr(row.getString("recorded_at"), row.getString("at")),
        Written.named(row.getString("recorded_by")),
        Message.of("ledger.reason.unread", Message.quoted(because.complaints().getFirst().field())),
        row.getString("readings"),
        row.getString("finding"),
        Verdict.MEASURE_AGAIN,
        List.of(),
        Optional.ofNullable(row.getString("replaces")));
  }
}
