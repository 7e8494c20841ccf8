package zebrawood.records.workshop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.JdbiException;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Event;
import zebrawood.ledger.EventKind;
import zebrawood.machine.Machine;
import zebrawood.measure.Verdict;
import zebrawood.records.json.RecordJson;
import zebrawood.records.workshop.Opening.InUse;
import zebrawood.records.workshop.Opening.Opened;
import zebrawood.records.workshop.Opening.Unusable;

/**
 * An open workshop file, held by this process alone. Every write is one transaction, and is on the
 * disk when the method returns. Safe to be called from any thread; calls wait for one another.
 */
public final class Workshop implements AutoCloseable {
  /** The newest migration; equals the file's user_version. */
  static final int SCHEMA = 1;

  private final Path file;
  private final FileHold hold;
  private final Handle handle;

  private Workshop(Path file, FileHold hold, Handle handle) {
    this.file = file;
    this.hold = hold;
    this.handle = handle;
  }

  /** Opens the file, makes it when there is none, and brings an older one up to date. */
  public static Opening open(Path file) {
    Path absolute = file.toAbsolutePath();
    if (Files.exists(absolute) && !(Files.isRegularFile(absolute) && Files.isWritable(absolute))) {
      return new Unusable(absolute + " is no file that can be written, accepted is one that can.");
    }
    try {
      Files.createDirectories(absolute.getParent());
      Optional<FileHold> hold = FileHold.take(absolute);
      if (hold.isEmpty()) {
        return new InUse(FileHold.holder(absolute));
      }
      Opening opening = openHeld(absolute, hold.get());
      if (!(opening instanceof Opened)) {
        hold.get().close();
      }
      return opening;
    } catch (IOException e) {
      return new Unusable("The folder of " + absolute + " cannot be written: " + e.getMessage());
    }
  }

  private static Opening openHeld(Path file, FileHold hold) throws IOException {
    SQLiteConfig config = new SQLiteConfig();
    config.setJournalMode(SQLiteConfig.JournalMode.WAL);
    config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
    SQLiteDataSource source = new SQLiteDataSource(config);
    source.setUrl("jdbc:sqlite:" + file);
    try {
      Jdbi jdbi = Jdbi.create(source);
      Handle handle = jdbi.open();
      int version = handle.createQuery("PRAGMA user_version").mapTo(Integer.class).one();
      if (version != SCHEMA) {
        handle.close();
        if (version > SCHEMA) {
          return new Unusable(
              "%s was written by a newer Zebrawood (its version is %d, this one knows %d); open it with that one."
                  .formatted(file, version, SCHEMA));
        }
        migrate(file, source, version);
        handle = jdbi.open();
      }
      return new Opened(new Workshop(file, hold, handle));
    } catch (JdbiException | FlywayException e) {
      return new Unusable(file + " is not a workshop file, or is damaged: it was left as it is.");
    }
  }

  /** Flyway is only loaded here, since it is slow to start and seldom needed. */
  private static void migrate(Path file, SQLiteDataSource source, int version) throws IOException {
    if (version > 0) {
      Path copy = file.resolveSibling(file.getFileName() + ".before-" + SCHEMA);
      Files.copy(file, copy, StandardCopyOption.REPLACE_EXISTING);
    }
    Flyway.configure(Workshop.class.getClassLoader())
        .dataSource(source)
        .locations("classpath:zebrawood/records/migrations")
        .load()
        .migrate();
  }

  public Path file() {
    return file;
  }

  /** All machines as last described, in the order they were first entered. */
  public synchronized List<Machine> machines() {
    return handle
        .createQuery(
            """
            SELECT body FROM machine m
            WHERE seq = (SELECT max(seq) FROM machine WHERE id = m.id)
            ORDER BY (SELECT min(seq) FROM machine WHERE id = m.id)
            """)
        .map((row, context) -> RecordJson.read(row.getString("body"), Machine.class))
        .list();
  }

  /** Adds a machine, or a newer description of one. */
  public synchronized void record(Machine machine, String by, Instant now) {
    handle.useTransaction(h ->
        h.createUpdate(
                """
                INSERT INTO machine (id, recorded_at, recorded_by, body)
                VALUES (:id, :now, :by, :body)
                """)
            .bind("id", machine.id())
            .bind("now", now.toString())
            .bind("by", by)
            .bind("body", RecordJson.write(machine))
            .execute());
  }

  /** Every entry of a machine as recorded, withdrawn ones too, in the order of recording. */
  public synchronized List<Entry> entries(String machineId) {
    return handle
        .createQuery("SELECT * FROM entry WHERE machine_id = :id ORDER BY seq")
        .bind("id", machineId)
        .map((row, context) -> entry(row))
        .list();
  }

  /**
   * Records an entry; the draft that it was made from goes in the same transaction. One that
   * replaces another was made from that one, and leaves the draft alone.
   */
  public synchronized void record(Entry entry) {
    handle.useTransaction(h -> {
      h.createUpdate(
              """
              INSERT INTO entry (id, machine_id, station, kind, at, recorded_at, recorded_by,
                because, readings, finding, verdict, figures, replaces)
              VALUES (:id, :machine, :station, :kind, :at, :recordedAt, :by,
                :because, :readings, :finding, :verdict, :figures, :replaces)
              """)
          .bindMap(
              Map.of(
                  "id", entry.id(),
                  "machine", entry.machineId(),
                  "station", entry.stationId(),
                  "kind", entry.kind().name(),
                  "at", entry.at().toString(),
                  "recordedAt", entry.recordedAt().toString(),
                  "by", entry.by(),
                  "because", entry.because(),
                  "readings", entry.readings(),
                  "finding", entry.finding()))
          .bind("verdict", entry.verdict().name())
          .bind("figures", RecordJson.write(new Figures(entry.figures())))
          .bind("replaces", entry.replaces().orElse(null))
          .execute();
      if (entry.replaces().isEmpty()) {
        deleteDraft(h, entry.machineId(), entry.stationId());
      }
    });
  }

  private record Figures(List<zebrawood.ledger.Figure> figures) {}

  private static Entry entry(ResultSet row) throws SQLException {
    return new Entry(
        row.getString("id"),
        row.getString("machine_id"),
        row.getString("station"),
        EntryKind.valueOf(row.getString("kind")),
        Instant.parse(row.getString("at")),
        Instant.parse(row.getString("recorded_at")),
        row.getString("recorded_by"),
        row.getString("because"),
        row.getString("readings"),
        row.getString("finding"),
        Verdict.valueOf(row.getString("verdict")),
        RecordJson.read(row.getString("figures"), Figures.class).figures(),
        Optional.ofNullable(row.getString("replaces")));
  }

  /** Every event of a machine as recorded, withdrawn ones too, in the order of recording. */
  public synchronized List<Event> events(String machineId) {
    return handle
        .createQuery("SELECT * FROM event WHERE machine_id = :id ORDER BY seq")
        .bind("id", machineId)
        .map((row, context) -> event(row))
        .list();
  }

  public synchronized void record(Event event) {
    handle.useTransaction(h ->
        h.createUpdate(
                """
                INSERT INTO event
                  (id, machine_id, kind, at, recorded_at, recorded_by, note, replaces)
                VALUES (:id, :machine, :kind, :at, :recordedAt, :by, :note, :replaces)
                """)
            .bind("id", event.id())
            .bind("machine", event.machineId())
            .bind("kind", event.kind().name())
            .bind("at", event.at().toString())
            .bind("recordedAt", event.recordedAt().toString())
            .bind("by", event.by())
            .bind("note", event.note())
            .bind("replaces", event.replaces().orElse(null))
            .execute());
  }

  private static Event event(ResultSet row) throws SQLException {
    return new Event(
        row.getString("id"),
        row.getString("machine_id"),
        EventKind.valueOf(row.getString("kind")),
        Instant.parse(row.getString("at")),
        Instant.parse(row.getString("recorded_at")),
        row.getString("recorded_by"),
        row.getString("note"),
        Optional.ofNullable(row.getString("replaces")));
  }

  /** What was typed at a station and not recorded: text by field. */
  public synchronized Map<String, String> draft(String machineId, String stationId) {
    return handle
        .createQuery("SELECT typed FROM draft WHERE machine_id = :machine AND station = :station")
        .bind("machine", machineId)
        .bind("station", stationId)
        .mapTo(String.class)
        .findFirst()
        .map(text -> RecordJson.read(text, Typed.class).typed())
        .orElse(Map.of());
  }

  private record Typed(Map<String, String> typed) {}

  public synchronized void keepDraft(
      String machineId, String stationId, Map<String, String> typed) {
    handle.useTransaction(h ->
        h.createUpdate(
                """
                INSERT INTO draft (machine_id, station, typed)
                VALUES (:machine, :station, :typed)
                ON CONFLICT (machine_id, station) DO UPDATE SET typed = excluded.typed
                """)
            .bind("machine", machineId)
            .bind("station", stationId)
            .bind("typed", RecordJson.write(new Typed(typed)))
            .execute());
  }

  public synchronized void dropDraft(String machineId, String stationId) {
    handle.useTransaction(h -> deleteDraft(h, machineId, stationId));
  }

  private static void deleteDraft(Handle h, String machineId, String stationId) {
    h.createUpdate("DELETE FROM draft WHERE machine_id = :machine AND station = :station")
        .bind("machine", machineId)
        .bind("station", stationId)
        .execute();
  }

  /** A person's choice, such as their initials or unit of length. */
  public synchronized Optional<String> preference(String person, String name) {
    return handle
        .createQuery("SELECT value FROM preference WHERE person = :person AND name = :name")
        .bind("person", person)
        .bind("name", name)
        .mapTo(String.class)
        .findFirst();
  }

  public synchronized void prefer(String person, String name, String value) {
    handle.useTransaction(h ->
        h.createUpdate(
                """
                INSERT INTO preference (person, name, value) VALUES (:person, :name, :value)
                ON CONFLICT (person, name) DO UPDATE SET value = excluded.value
                """)
            .bind("person", person)
            .bind("name", name)
            .bind("value", value)
            .execute());
  }

  @Override
  public synchronized void close() {
    handle.close();
    try {
      hold.close();
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }
}
