package zebrawood.records.workshop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
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
  static final int SCHEMA = 4;

  private Path file;
  private FileHold hold;
  private FileIdentity identity;
  private Sql sql;
  private MachineTable machines;
  private EntryTable entries;
  private PaperTable papers;
  private EventTable events;
  private DraftTable drafts;
  private PreferenceTable preferences;
  private Chain chain;

  /** The lines of the machine that was asked for last: what is recorded is added to them. */
  private List<Recorded> lines = new ArrayList<>();

  private String lastRead = "";

  /** The file was removed, replaced or renamed while it was open: nothing more is written to it. */
  public static final class Gone extends RuntimeException {
    private static final long serialVersionUID = 1;

    Gone(Path file) {
      super(file.toString());
    }
  }

  private Workshop(Path file, FileHold hold, Sql sql) {
    useFile(file, hold, sql);
  }

  private void useFile(Path file, FileHold hold, Sql sql) {
    this.file = file;
    this.hold = hold;
    this.sql = sql;
    identity = FileIdentity.of(file);
    machines = new MachineTable(sql);
    entries = new EntryTable(sql);
    papers = new PaperTable(sql);
    events = new EventTable(sql);
    drafts = new DraftTable(sql);
    preferences = new PreferenceTable(sql);
    chain = new Chain(sql);
  }

  /** Opens the file, makes it when there is none, and brings an older one up to date. */
  public static Opening open(Path file) {
    Path absolute = real(file.toAbsolutePath());
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

  /** The file itself, whatever link led to it. */
  private static Path real(Path file) {
    try {
      return Files.exists(file) ? file.toRealPath() : file;
    } catch (IOException e) {
      return file;
    }
  }

  private static Opening openHeld(Path file, FileHold hold) throws IOException {
    SQLiteDataSource source = source(file);
    try {
      boolean made = !Files.exists(file);
      if (!made && FileKind.of(file) instanceof FileKind.NotOurs(Message because)) {
        return new Unusable(because);
      }
      Sql sql = new Sql(source);
      if (made) {
        OwnerOnly.make(file);
      }
      int version = sql.list("PRAGMA user_version", row -> row.getInt(1)).getFirst();
      if (version != SCHEMA) {
        sql.close();
        if (version > SCHEMA) {
          return new Unusable(Message.of("workshop.newer", file.toString(), version, SCHEMA));
        }
        migrate(file, source, version);
        sql = new Sql(source);
        Chain sums = new Chain(sql);
        if (version < Chain.SINCE) {
          sql.inTransaction(sums::begin);
        }
      }
      return new Opened(new Workshop(file, hold, sql));
    } catch (Sql.Refused | FlywayException e) {
      return new Unusable(Message.of("workshop.damaged", file.toString()));
    }
  }

  private static SQLiteDataSource source(Path file) {
    SQLiteConfig config = new SQLiteConfig();
    config.setJournalMode(SQLiteConfig.JournalMode.WAL);
    config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
    SQLiteDataSource source = new SQLiteDataSource(config);
    source.setUrl("jdbc:sqlite:" + file);
    return source;
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

  /** The newest version of lines that are understood. */
  public static int version() {
    return SCHEMA;
  }

  public synchronized Path file() {
    return file;
  }

  /**
   * All of it or nothing, and nothing where the file is no longer the one that was opened.
   *
   * @throws Gone then
   */
  private void inTransaction(Runnable changes) {
    sql.inTransaction(() -> {
      changes.run();
      if (!identity.isStill(file)) {
        throw new Gone(file);
      }
    });
  }

  /**
   * Writes all that is recorded, and every draft, into a new file and goes on there. Works where
   * the file that was opened is gone, as long as the system still gives it to this process.
   *
   * @return why it could not be; then everything is as before
   */
  public synchronized Optional<Message> goOnIn(Path chosen) {
    Path target = chosen.toAbsolutePath();
    if (Files.exists(target)) {
      return Optional.of(Message.of("workshop.taken", target.toString()));
    }
    try {
      Files.createDirectories(target.getParent());
      Optional<FileHold> held = FileHold.take(target);
      if (held.isEmpty()) {
        return Optional.of(Message.of("workshop.taken", target.toString()));
      }
      try {
        sql.run("VACUUM INTO ?", target.toString());
        Sql there = new Sql(source(target));
        closeFile();
        useFile(target, held.get(), there);
        return Optional.empty();
      } catch (Sql.Refused e) {
        held.get().close();
        Files.deleteIfExists(target);
        return Optional.of(Message.of("workshop.not-copied", target.toString()));
      }
    } catch (IOException e) {
      return Optional.of(
          Message.of(
              "workshop.no-folder",
              target.toString(),
              Message.quoted(String.valueOf(e.getMessage()))));
    }
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
    inTransaction(() -> {
      machines.add(machine, by, now);
      chain.added(Chain.Of.MACHINE);
    });
  }

  /** Every line of a machine's record, withdrawn ones too, in the order of writing. */
  public synchronized List<Recorded> history(String machineId) {
    if (!machineId.equals(lastRead)) {
      lines = new ArrayList<>(read(machineId));
      lastRead = machineId;
    }
    return List.copyOf(lines);
  }

  private List<Recorded> read(String machineId) {
    return Stream.concat(entries.of(machineId).stream(), events.of(machineId).stream())
        .sorted(Comparator.comparingDouble(Written::order))
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

  private void added(Recorded line) {
    if (line.machineId().equals(lastRead)) {
      lines.add(line);
    }
  }

  private void record(Entry entry, Optional<StationPaper> paper) {
    inTransaction(() -> {
      entries.add(entry);
      chain.added(Chain.Of.ENTRY);
      paper.ifPresent(p -> papers.add(entry.id(), p));
      if (entry.replaces().isEmpty()) {
        drafts.delete(entry.machineId(), entry.stationId());
      } else if (entry.corrects()) {
        drafts.delete(entry.machineId(), correctionOf(entry.stationId()));
      }
    });
    added(entry);
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
    inTransaction(() -> {
      events.add(event);
      chain.added(Chain.Of.EVENT);
    });
    added(event);
  }

  /** Gives out all that is kept of one machine, in the order in which {@link #merge} takes it. */
  public synchronized void passport(String machineId, Consumer<PassportRow> to) {
    new MachineRows(sql, machineId).forEach(to);
  }

  /**
   * Takes another workshop's rows of one machine in: all, or none.
   *
   * @param rows as they were given out
   * @throws zebrawood.measure.UnusableReading where a line of the same id says something else here
   */
  public synchronized Merged merge(String machineId, List<PassportRow> rows) {
    lastRead = "";
    List<Merged> merged = new ArrayList<>();
    inTransaction(() -> merged.add(new MachineRows(sql, machineId).merge(rows, chain::added)));
    return merged.getFirst();
  }

  /**
   * Lines of any machine that have all of these words, the newest first.
   *
   * @param said a line as a person reads it
   */
  public List<Hit> search(String words, int most, BiFunction<Machine, Recorded, String> said) {
    return new Search(this, said).of(words, most);
  }

  /**
   * Looks whether the file is whole, and keeps a copy of the day where it is.
   *
   * @throws IOException where no copy could be made
   */
  public synchronized Soundness keepBackup(LocalDate today) throws IOException {
    return new Backups(file).keep(sql, file, today);
  }

  /** What was typed at a station and not recorded: text by field. */
  public synchronized Map<String, String> draft(String machineId, String stationId) {
    return drafts.of(machineId, stationId);
  }

  public synchronized void keepDraft(
      String machineId, String stationId, Map<String, String> typed) {
    inTransaction(() -> drafts.keep(machineId, stationId, typed));
  }

  public synchronized void dropDraft(String machineId, String stationId) {
    inTransaction(() -> drafts.delete(machineId, stationId));
  }

  /** Under this name stands what nobody chose: when lines were found to be dated ahead, by id. */
  private static final String FOUND_AHEAD = "/found-ahead";

  /** When lines were found to be dated after the clock of that day, by their ids. */
  public synchronized Map<String, Instant> foundAhead() {
    Map<String, Instant> found = new HashMap<>();
    preferences.of(FOUND_AHEAD).forEach((id, at) -> found.put(id, Written.instantOr(at, at)));
    return found;
  }

  /** Keeps when a line was found to be dated ahead; what was found first stays. */
  public synchronized void foundAhead(List<String> lineIds, Instant now) {
    Map<String, String> known = preferences.of(FOUND_AHEAD);
    inTransaction(() ->
        lineIds.stream()
            .filter(id -> !known.containsKey(id))
            .forEach(id -> preferences.keep(FOUND_AHEAD, id, now.toString())));
  }

  /** A person's choice, such as their initials or unit of length. */
  public synchronized Optional<String> preference(String person, String name) {
    return preferences.of(person, name);
  }

  public synchronized void prefer(String person, String name, String value) {
    inTransaction(() -> preferences.keep(person, name, value));
  }

  @Override
  public synchronized void close() {
    closeFile();
  }

  private void closeFile() {
    sql.close();
    try {
      hold.close();
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }
}
