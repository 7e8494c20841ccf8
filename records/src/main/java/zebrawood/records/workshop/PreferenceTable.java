package zebrawood.records.workshop;

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
}
