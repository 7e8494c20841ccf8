package zebrawood.records.workshop;

import java.util.Optional;
import zebrawood.measure.UnusableReading;
import zebrawood.records.json.RecordJson;
import zebrawood.records.kept.StationPaper;

/** What paper shows of each entry; nothing of those that were recorded before it was kept. */
final class PaperTable {
  private final Sql sql;

  PaperTable(Sql sql) {
    this.sql = sql;
  }

  void add(String entryId, StationPaper paper) {
    sql.run(
        "INSERT INTO entry_paper (entry_id, body, version) VALUES (?, ?, ?)",
        entryId,
        RecordJson.write(paper),
        Workshop.SCHEMA);
  }

  /** Empty as well where it is damaged, or of a newer version. */
  Optional<StationPaper> of(String entryId) {
    return sql
        .list("SELECT body FROM entry_paper WHERE entry_id = ?", row -> row.getString(1), entryId)
        .stream()
        .findFirst()
        .flatMap(PaperTable::read);
  }

  private static Optional<StationPaper> read(String body) {
    try {
      return Optional.of(RecordJson.read(body, StationPaper.class));
    } catch (UnusableReading e) {
      return Optional.empty();
    }
  }
}
