package zebrawood.records.workshop;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;
import zebrawood.records.json.RecordJson;
import zebrawood.records.workshop.Workshop.Machines;

/** Versions of the machines' descriptions: the newest one that can be read is the machine. */
final class MachineTable {
  private final Sql sql;

  MachineTable(Sql sql) {
    this.sql = sql;
  }

  private record Row(String id, String body) {}

  /** In the order they were first entered; without those that were removed. */
  Machines all() {
    Map<String, List<String>> bodies = new LinkedHashMap<>();
    sql.list(
            "SELECT id, body FROM machine ORDER BY seq",
            row -> new Row(row.getString("id"), row.getString("body")))
        .forEach(row -> bodies.computeIfAbsent(row.id, id -> new ArrayList<>()).add(row.body));
    List<Machine> machines = new ArrayList<>();
    List<String> unread = new ArrayList<>();
    bodies.forEach((id, versions) -> {
      boolean newest = true;
      for (String body : versions.reversed()) {
        try {
          machines.add(RecordJson.read(body, Machine.class));
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

  void add(Machine machine, String by, Instant now) {
    sql.run(
        "INSERT INTO machine (id, recorded_at, recorded_by, body, version) VALUES (?, ?, ?, ?, ?)",
        machine.id(),
        now.toString(),
        by,
        RecordJson.write(machine),
        Workshop.SCHEMA);
  }
}
