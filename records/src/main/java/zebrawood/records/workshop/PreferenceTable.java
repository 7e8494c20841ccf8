package zebrawood.records.workshop;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What each person chose, by name. */
final class PreferenceTable {
  private final Sql sql;

  PreferenceTable(Sql sql) {
    this.sql = sql;
  }

  Optional<String> of(String person, String name) {
    return sql.text("SELECT value FROM preference WHERE person = ? AND name = ?", person, name);
  }

  /** All that one person chose, by name. */
  Map<String, String> of(String person) {
    Map<String, String> chosen = new HashMap<>();
    sql.list(
        "SELECT name, value FROM preference WHERE person = ?",
        row -> chosen.put(row.getString("name"), row.getString("value")),
        person);
    return chosen;
  }

  void keep(String person, String name, String value) {
    sql.run(
        """
        INSERT INTO preference (person, name, value) VALUES (?, ?, ?)
        ON CONFLICT (person, name) DO UPDATE SET value = excluded.value
        """,
        person,
        name,
        value);
  }

  /** Under this name stands what nobody chose: when lines were found to be dated ahead, by id. */
  private static final String FOUND_AHEAD = "/found-ahead";

  Map<String, Instant> foundAhead() {
    Map<String, Instant> found = new HashMap<>();
    of(FOUND_AHEAD).forEach((id, at) -> found.put(id, Written.instantOr(at, at)));
    return found;
  }

  void foundAhead(List<String> lineIds, Instant now) {
    Map<String, String> known = of(FOUND_AHEAD);
    lineIds.stream()
        .filter(id -> !known.containsKey(id))
        .forEach(id -> keep(FOUND_AHEAD, id, now.toString()));
  }
}
