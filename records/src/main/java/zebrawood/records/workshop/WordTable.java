package zebrawood.records.workshop;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import zebrawood.ledger.Recorded;

/**
 * The words of every line, so that a search does not read the whole record. Made from the record,
 * and made anew where it does not fit; nothing rests on it.
 */
final class WordTable {
  private final Sql sql;
  private final EntryTable entries;
  private final EventTable events;

  WordTable(Sql sql, EntryTable entries, EventTable events) {
    this.sql = sql;
    this.entries = entries;
    this.events = events;
  }

  /** How far the words of a machine's lines go. */
  private record Reached(long entry, long event) {
    static final Reached NOTHING = new Reached(0, 0);
  }

  /**
   * Adds the words of a machine's lines that have none yet; only within a transaction.
   *
   * @param saidAs changes where the words of what was added before would be others now
   * @return whether there were any
   */
  boolean add(String machineId, String saidAs, Function<Recorded, String> said) {
    begin(saidAs);
    Reached newest = newest(machineId);
    Reached reached = reached(machineId);
    if (newest.equals(reached)) {
      return false;
    }
    // All at once they are read from their index; a few are looked up.
    List<Written> more =
        reached.entry == 0
            ? entries.outlines(machineId)
            : entries.outlinesSince(machineId, reached.entry);
    more.forEach(w -> add(w.seq() * 2, machineId, said.apply(w.line())));
    events
        .since(machineId, reached.event)
        .forEach(w -> add(w.seq() * 2 + 1, machineId, said.apply(w.line())));
    sql.run(
        "INSERT OR REPLACE INTO word_reached (machine_id, said_as, entry_seq, event_seq)"
            + " VALUES (?, ?, ?, ?)",
        machineId,
        saidAs,
        newest.entry,
        newest.event);
    return true;
  }

  /** Whether every line of a machine has its words here. */
  boolean knows(String machineId) {
    return sql.has("word_reached") && newest(machineId).equals(reached(machineId));
  }

  private Reached reached(String machineId) {
    return sql
        .list(
            "SELECT * FROM word_reached WHERE machine_id = ?",
            row -> new Reached(row.getLong("entry_seq"), row.getLong("event_seq")),
            machineId)
        .stream()
        .findFirst()
        .orElse(Reached.NOTHING);
  }

  private Reached newest(String machineId) {
    return new Reached(newest("entry", machineId), newest("event", machineId));
  }

  private long newest(String table, String machineId) {
    return sql.list(
            "SELECT coalesce(max(seq), 0) FROM " + table + " WHERE machine_id = ?",
            row -> row.getLong(1),
            machineId)
        .getFirst();
  }

  private void add(long row, String machineId, String words) {
    sql.run("INSERT INTO word (rowid, words, machine) VALUES (?, ?, ?)", row, words, machineId);
  }

  /** Of the record it is no part: an earlier version that does not know it passes it over. */
  private void begin(String saidAs) {
    sql.run(
        "CREATE VIRTUAL TABLE IF NOT EXISTS word USING fts5"
            + " (words, machine, content='', tokenize='unicode61 remove_diacritics 0', prefix='2 3')");
    sql.run(
        """
        CREATE TABLE IF NOT EXISTS word_reached (
          machine_id TEXT PRIMARY KEY,
          said_as TEXT NOT NULL,
          entry_seq INTEGER NOT NULL,
          event_seq INTEGER NOT NULL
        )
        """);
    if (sql.text("SELECT 1 FROM word_reached WHERE said_as <> ? LIMIT 1", saidAs).isPresent()) {
      sql.run("INSERT INTO word (word) VALUES ('delete-all')");
      sql.run("DELETE FROM word_reached");
    }
  }

  /**
   * Lines that have words that begin so, those that were written last.
   *
   * @param machineId empty for any machine
   * @param wanted at least one
   */
  List<Written> lines(String machineId, List<String> wanted, int most) {
    String match =
        wanted.stream().map(w -> "words:" + '"' + w + "\"*").collect(Collectors.joining(" AND "))
            + (machineId.isEmpty()
                ? ""
                : " AND machine:" + '"' + machineId.replace("\"", "") + '"');
    List<Written> found = new ArrayList<>(entries.outlinesOf(ids("entry", 0, match, most)));
    found.addAll(events.of(ids("event", 1, match, most)));
    found.removeIf(w -> !machineId.isEmpty() && !w.line().machineId().equals(machineId));
    return found;
  }

  /** The same of a machine, whatever their words. */
  List<Written> newest(String machineId, int most) {
    List<Written> found = new ArrayList<>(entries.newest(machineId, most));
    found.addAll(events.newest(machineId, most));
    return found;
  }

  private List<String> ids(String table, int odd, String match, int most) {
    return sql.list(
        "SELECT t.id FROM word JOIN "
            + table
            + " t ON t.seq = word.rowid / 2 WHERE word MATCH ? AND word.rowid % 2 = "
            + odd
            + " ORDER BY word.rowid DESC LIMIT ?",
        row -> row.getString(1),
        match,
        most);
  }
}
