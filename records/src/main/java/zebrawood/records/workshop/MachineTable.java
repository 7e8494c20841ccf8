package zebrawood.records.workshop;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;
import zebrawood.records.json.RecordJson;
import zebrawood.records.workshop.TwoDescriptions.Described;
import zebrawood.records.workshop.Workshop.Machines;

/** Versions of the machines' descriptions: the newest one that can be read is the machine. */
final class MachineTable {
  private final Sql sql;

  MachineTable(Sql sql) {
    this.sql = sql;
  }

  private record Row(String id, String recordedAt, String body) {
    Instant time() {
      return Written.instantOr(recordedAt, recordedAt);
    }
  }

  /** Every version of a machine's description that can be read, by the text of when it was. */
  Map<String, Described> versions(String id) {
    Map<String, Described> versions = new LinkedHashMap<>();
    sql.list(
        "SELECT recorded_at, recorded_by, body FROM machine WHERE id = ? ORDER BY recorded_at",
        row -> {
          String at = row.getString("recorded_at");
          try {
            return versions.put(
                at,
                new Described(
                    RecordJson.read(row.getString("body"), Machine.class),
                    Written.instantOr(at, at),
                    row.getString("recorded_by")));
          } catch (UnusableReading e) {
            return null; // told as a machine that cannot be read
          }
        },
        id);
    return versions;
  }

  /** In the order they were first entered; without those that were removed. */
  Machines all() {
    Map<String, List<Row>> bodies = new LinkedHashMap<>();
    sql.list(
            "SELECT id, recorded_at, body FROM machine ORDER BY seq",
            row ->
                new Row(row.getString("id"), row.getString("recorded_at"), row.getString("body")))
        .forEach(row -> bodies.computeIfAbsent(row.id, id -> new ArrayList<>()).add(row));
    List<Machine> machines = new ArrayList<>();
    List<String> unread = new ArrayList<>();
    bodies.forEach((id, versions) -> {
      boolean newest = true;
      // Those that were taken in stand among those of this file as they were written down.
      versions.sort(Comparator.comparing(Row::time).thenComparing(Row::body));
      for (Row version : versions.reversed()) {
        try {
          machines.add(RecordJson.read(version.body, Machine.class));
          break;
        } catch (UnusableReading e) {
          if (newest) {
            unread.add(id);
          }
          newest = false;
        }
      }
    });
    machines.removeIf(Machine::removed);
    return new Machines(machines, unread);
  }

  /** A description is never older than the one before it, whatever the clock says. */
  void add(Machine machine, String by, Instant now) {
    Instant last =
        sql
            .list(
                "SELECT recorded_at FROM machine WHERE id = ?",
                row -> Written.instantOr(row.getString(1), row.getString(1)),
                machine.id())
            .stream()
            .max(Comparator.naturalOrder())
            .orElse(Instant.EPOCH);
    Instant at = now.isAfter(last) ? now : last.plusMillis(1);
    sql.run(
        "INSERT INTO machine (id, recorded_at, recorded_by, body, version) VALUES (?, ?, ?, ?, ?)",
        machine.id(),
        at.toString(),
        by,
        RecordJson.write(machine),
        Workshop.SCHEMA);
  }
}
