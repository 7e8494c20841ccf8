package zebrawood.records.workshop;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Kept;
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

  /**
   * The same, whose readings and findings are read when they are asked for.
   *
   * @param kept reads them by the entry's id
   */
  List<Written> lines(String machineId, Function<String, Kept.Texts> kept) {
    return outlinesWhere(
        "machine_id = ?",
        row -> {
          String id = row.getString("id");
          return entry(row, Kept.later(() -> kept.apply(id)));
        },
        machineId);
  }

  /** What was typed and found, of one. */
  Optional<Kept.Texts> kept(String id) {
    return sql
        .list(
            "SELECT readings, finding FROM entry WHERE id = ?",
            row -> new Kept.Texts(row.getString(1), row.getString(2)),
            id)
        .stream()
        .findFirst();
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
    return outlinesWhere(condition, EntryTable::entry, values);
  }

  private List<Written> outlinesWhere(String condition, Sql.Row<Entry> make, Object... values) {
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
        row -> new Written(row.getDouble("ord"), row.getLong("seq"), make.of(row)),
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
    return entry(row, Kept.of(row.getString("readings"), row.getString("finding")));
  }

  private static Entry entry(ResultSet row, Kept kept) throws SQLException {
    try {
      String read = row.getString("at");
      String recorded = row.getString("recorded_at");
      // Most are written down when they are read.
      Instant at = Written.instant(read);
      return new Entry(
          row.getString("id"),
          row.getString("machine_id"),
          row.getString("station"),
          Optional.ofNullable(row.getString("subject")),
          Written.constant(EntryKind.class, row.getString("kind")),
          at,
          recorded.equals(read) ? at : Written.instant(recorded),
          row.getString("recorded_by"),
          because(row.getString("because")),
          kept,
          Written.constant(Verdict.class, row.getString("verdict")),
          RecordJson.read(row.getBytes("figures"), Figures.class, Set.of()).figures(),
          Optional.ofNullable(row.getString("replaces")));
    } catch (UnusableReading e) {
      return unread(row, kept, e);
    }
  }

  /** The first version kept words. */
  private static Message because(String kept) {
    return kept.startsWith("{") ? RecordJson.message(kept) : Message.verbatim(kept);
  }

  private static Entry unread(ResultSet row, Kept kept, UnusableReading because)
      throws SQLException {
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
        kept,
        Verdict.MEASURE_AGAIN,
        List.of(),
        Optional.ofNullable(row.getString("replaces")));
  }
}
