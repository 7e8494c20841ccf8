package zebrawood.records.workshop;

import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Recorded;
import zebrawood.ledger.Station;
import zebrawood.ledger.TellingLines;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;

/**
 * Which few lines tell how a machine stands, so that a look at many machines does not read their
 * whole records. Made from the record, and made anew where it does not fit; nothing rests on it.
 */
final class TellingTable {
  /** With more lines since, it is made anew. */
  private static final int MOST_SINCE = 100;

  private final Sql sql;
  private final EntryTable entries;
  private final EventTable events;

  TellingTable(Sql sql, EntryTable entries, EventTable events) {
    this.sql = sql;
    this.entries = entries;
    this.events = events;
  }

  /**
   * The last rows that were looked at.
   *
   * @param order of the last of them
   * @param ids of the lines that tell, in the order that counts
   */
  record Kept(String stations, long entry, long event, double order, List<String> ids) {}

  /** How a machine stands by the lines that were kept and those since; empty where they do not. */
  Optional<Ledger> ledger(
      Machine machine, List<Station> stations, Map<String, Instant> foundAhead) {
    return kept(machine.id())
        .filter(k -> k.stations.equals(key(stations)))
        .flatMap(k -> {
          List<Written> since =
              inOrder(
                  entries.outlinesSince(machine.id(), k.entry),
                  events.since(machine.id(), k.event));
          Map<String, Recorded> byId = new HashMap<>();
          Stream.concat(entries.outlinesOf(k.ids).stream(), events.of(k.ids).stream())
              .map(Written::line)
              .forEach(line -> byId.put(line.id(), line));
          List<Recorded> telling =
              k.ids.stream().flatMap(id -> Optional.ofNullable(byId.get(id)).stream()).toList();
          boolean fits =
              telling.size() == k.ids.size()
                  && since.size() <= MOST_SINCE
                  && since.stream().allMatch(w -> w.order() > k.order && plain(w.line()));
          return fits
              ? Optional.of(
                  Ledger.fromTelling(
                      machine, telling, since.stream().map(Written::line).toList(), foundAhead))
              : Optional.empty();
        });
  }

  /** Stands behind all others, and takes no other's place. */
  private static boolean plain(Recorded line) {
    return line.replaces().isEmpty() && !line.datedBack();
  }

  static List<Written> inOrder(List<Written> entries, List<Written> events) {
    return Stream.concat(entries.stream(), events.stream())
        .sorted(Comparator.comparingDouble(Written::order))
        .toList();
  }

  /** What of a whole record is kept; only within the transaction in which it was read. */
  void keep(Ledger whole, List<Station> stations) {
    begin();
    String machineId = whole.machine().id();
    sql.run(
        """
        INSERT OR REPLACE INTO telling (machine_id, stations, entry_seq, event_seq, ord, ids)
        VALUES (?, ?, (SELECT coalesce(max(seq), 0) FROM entry WHERE machine_id = ?),
          (SELECT coalesce(max(seq), 0) FROM event WHERE machine_id = ?),
          max((SELECT coalesce(max(ord), 0) FROM entry WHERE machine_id = ?),
            (SELECT coalesce(max(ord), 0) FROM event WHERE machine_id = ?)), ?)
        """,
        machineId,
        key(stations),
        machineId,
        machineId,
        machineId,
        machineId,
        Written.listed(TellingLines.of(whole, stations).stream().map(Recorded::id).toList()));
  }

  /** Of the record it is no part: an earlier version that does not know it passes it over. */
  private void begin() {
    sql.run(
        """
        CREATE TABLE IF NOT EXISTS telling (
          machine_id TEXT PRIMARY KEY,
          stations TEXT NOT NULL,
          entry_seq INTEGER NOT NULL,
          event_seq INTEGER NOT NULL,
          ord REAL NOT NULL,
          ids TEXT NOT NULL
        )
        """);
  }

  private Optional<Kept> kept(String machineId) {
    if (!sql.has("telling")) {
      return Optional.empty();
    }
    return sql
        .list(
            "SELECT * FROM telling WHERE machine_id = ?",
            row ->
                new Kept(
                    row.getString("stations"),
                    row.getLong("entry_seq"),
                    row.getLong("event_seq"),
                    row.getDouble("ord"),
                    ids(row.getString("ids"))),
            machineId)
        .stream()
        .findFirst();
  }

  /** None that is on record, where they cannot be read. */
  private static List<String> ids(String listed) {
    try {
      return Written.ids(listed);
    } catch (UnusableReading e) {
      return List.of("");
    }
  }

  /** Which lines tell depends on the stations: another version of this program may have others. */
  private static String key(List<Station> stations) {
    StringBuilder key = new StringBuilder("1");
    for (Station s : stations) {
      key.append(' ').append(s.id()).append('(');
      s.restsOn().stream().sorted().forEach(id -> key.append(id).append(' '));
      key.append(')');
    }
    return key.toString();
  }
}
