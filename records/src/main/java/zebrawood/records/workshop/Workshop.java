package zebrawood.records.workshop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Event;
import zebrawood.ledger.Recorded;
import zebrawood.machine.Machine;
import zebrawood.records.kept.StationPaper;
import zebrawood.records.workshop.Opening.InUse;
import zebrawood.records.workshop.Opening.Opened;
import zebrawood.records.workshop.Opening.Unusable;
import zebrawood.words.Message;

/**
 * An open workshop file, held by this process alone. Every write is one transaction, and is on the
 * disk when the method returns. Safe to be called from any thread; calls wait for one another.
 */
public final class Workshop implements AutoCloseable {
  /** The newest migration; equals the file's user_version. */
  static final int SCHEMA = 3;

  private final Path file;
  private final FileHold hold;
  private final Sql sql;
  private final MachineTable machines;
  private final EntryTable entries;
  private final PaperTable papers;
  private final EventTable events;
  private final DraftTable drafts;
  private final PreferenceTable preferences;

  private Workshop(Path file, FileHold hold, Sql sql) {
    this.file = file;
    this.hold = hold;
    this.sql = sql;
    machines = new MachineTable(sql);
    entries = new EntryTable(sql);
    papers = new PaperTable(sql);
    events = new EventTable(sql);
    drafts = new DraftTable(sql);
    preferences = new PreferenceTable(sql);
  }

  /** Opens the file, makes it when there is none, and brings an older one up to date. */
  public static Opening open(Path file) {
    Path absolute = file.toAbsolutePath();
    if (Files.exists(absolute) && !(Files.isRegularFile(absolute) && Files.isWritable(absolute))) {
      return new Unusable(Message.of("workshop.not-a-file", absolute.toString()));
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
      return new Unusable(
          Message.of(
              "workshop.no-folder",
              absolute.toString(),
              Message.quoted(String.valueOf(e.getMessage()))));
    }
  }

  private static Opening openHeld(Path file, FileHold hold) throws IOException {
    SQLiteConfig config = new SQLiteConfig();
    config.setJournalMode(SQLiteConfig.JournalMode.WAL);
    config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
    SQLiteDataSource source = new SQLiteDataSource(config);
    source.setUrl("jdbc:sqlite:" + file);
    try {
      Sql sql = new Sql(source);
      int version = sql.list("PRAGMA user_version", row -> row.getInt(1)).getFirst();
      if (version != SCHEMA) {
        sql.close();
        if (version > SCHEMA) {
          return new Unusable(Message.of("workshop.newer", file.toString(), version, SCHEMA));
        }
        migrate(file, source, version);
        sql = new Sql(source);
      }
      return new Opened(new Workshop(file, hold, sql));
    } catch (Sql.Refused | FlywayException e) {
      return new Unusable(Message.of("workshop.damaged", file.toString()));
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

  /**
   * The machines of a workshop.
   *
   * @param readable as last described so that it can be read here, in the order first entered
   * @param unread ids of those whose newest description cannot be read here; they keep an older one
   *     or are missing
   */
  public record Machines(List<Machine> readable, List<String> unread) {}

  public synchronized Machines machines() {
    return machines.all();
  }

  /** Adds a machine, or a newer description of one. */
  public synchronized void record(Machine machine, String by, Instant now) {
    sql.inTransaction(() -> machines.add(machine, by, now));
  }

  /** Every line of a machine's record, withdrawn ones too, in the order of writing. */
  public synchronized List<Recorded> history(String machineId) {
    return Stream.concat(entries.of(machineId).stream(), events.of(machineId).stream())
        .sorted(Comparator.comparingLong(Written::order))
        .map(Written::line)
        .toList();
  }

  /**
   * Records an entry; the draft that it was made from goes in the same transaction. One that
   * replaces another was made from that one, and takes the draft of the correction with it.
   */
  public synchronized void record(Entry entry) {
    record(entry, Optional.empty());
  }

  /** The same with what paper shows of it. */
  public synchronized void record(Entry entry, StationPaper paper) {
    record(entry, Optional.of(paper));
  }

  private void record(Entry entry, Optional<StationPaper> paper) {
    sql.inTransaction(() -> {
      entries.add(entry);
      paper.ifPresent(p -> papers.add(entry.id(), p));
      if (entry.replaces().isEmpty()) {
        drafts.delete(entry.machineId(), entry.stationId());
      } else if (entry.corrects()) {
        drafts.delete(entry.machineId(), correctionOf(entry.stationId()));
      }
    });
  }

  /** What paper shows of an entry; empty where it was not kept with it. */
  public synchronized Optional<StationPaper> paperOf(String entryId) {
    return papers.of(entryId);
  }

  /** Under this name a station's draft of a correction is kept, beside its own. */
  public static String correctionOf(String stationId) {
    return stationId + "/correction";
  }

  public synchronized void record(Event event) {
    sql.inTransaction(() -> events.add(event));
  }

  /** What was typed at a station and not recorded: text by field. */
  public synchronized Map<String, String> draft(String machineId, String stationId) {
    return drafts.of(machineId, stationId);
  }

  public synchronized void keepDraft(
      String machineId, String stationId, Map<String, String> typed) {
    sql.inTransaction(() -> drafts.keep(machineId, stationId, typed));
  }

  public synchronized void dropDraft(String machineId, String stationId) {
    sql.inTransaction(() -> drafts.delete(machineId, stationId));
  }

  /** A person's choice, such as their initials or unit of length. */
  public synchronized Optional<String> preference(String person, String name) {
    return preferences.of(person, name);
  }

  public synchronized void prefer(String person, String name, String value) {
    sql.inTransaction(() -> preferences.keep(person, name, value));
  }

  @Override
  public synchronized void close() {
    sql.close();
    try {
      hold.close();
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }
}
