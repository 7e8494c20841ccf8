package zebrawood.records.workshop;

import java.util.Optional;
import org.jdbi.v3.core.Handle;

/** What each person chose, by name. */
final class PreferenceTable {
  private final Handle handle;

  PreferenceTable(Handle handle) {
    this.handle = handle;
  }

  Optional<String> of(String person, String name) {
    return handle
        .createQuery("SELECT value FROM preference WHERE person = :person AND name = :name")
        .bind("person", person)
        .bind("name", name)
        .mapTo(String.class)
        .findFirst();
  }

  void keep(String person, String name, String value) {
    handle
        .createUpdate(
            """
            INSERT INTO preference (person, name, value) VALUES (:person, :name, :value)
            ON CONFLICT (person, name) DO UPDATE SET value = excluded.value
            """)
        .bind("person", person)
        .bind("name", name)
        .bind("value", value)
        .execute();
  }
}
