package zebrawood.records.workshop;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.flywaydb.core.api.FlywayException;
import org.slf4j.LoggerFactory;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Event;
import zebrawood.ledger.Kept;
import zebrawood.ledger.Recorded;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;
import zebrawood.records.kept.StationPaper;
import zebrawood.words.Message;

/**
 * An open workshop file, held by this process alone. Every write is one transaction, and is on the
 * disk when the method returns. Safe to be called from any thread; calls wait for one another.
 */
public final class Workshop implements AutoCloseable {
  /** The newest migration; equals the file's user_version. */
  static final int SCHEMA = 5;

  private Path file;
  private FileHold hold;
  private FileIdentity identity;
  private Sql sql;
  private MachineTable machines;
  private volatile EntryTable entries;
  private PaperTable papers;
  private EventTable events;
  private DraftTable drafts;
  private PreferenceTable preferences;
  private AttachmentTable attachments;
  private DescribedTwice twice;
  private Chain chain;
  private AtHand atHand;

  private final LinesAtHand lines = new LinesAtHand();

  /** Where what is shown was read from a damaged file: its sound rows, in a file of their own. */
  private Optional<Path> saved = Optional.empty();

  private boolean damaged;

  Workshop(Path file, FileHold hold, Sql sql) {
    useFile(file, hold, sql);
  }

  /**
   * What is sound of a damaged file.
   *
   * @param saved its sound rows, in a folder that goes when this is closed
   */
  static Workshop ofDamaged(Path file, FileHold hold, Path saved) {
    Workshop workshop = new Workshop(file, hold, new Sql(WorkshopFile.source(saved)));
    workshop.saved = Optional.of(saved);
    workshop.damaged = true;
    return workshop;
  }

  private void useFile(Path file, FileHold hold, Sql sql) {
    this.file = file;
    this.hold = hold;
    this.sql = sql;
    saved = Optional.empty();
    damaged = false;
    lines.forget();
    identity = FileIdentity.of(file);
    machines = new MachineTable(sql);
    entries = new EntryTable(sql);
    papers = new PaperTable(sql);
    events = new EventTable(sql);
    drafts = new DraftTable(sql);
    preferences = new PreferenceTable(sql);
    attachments = new AttachmentTable(sql);
    twice = new DescribedTwice(machines, preferences);
    chain = new Chain(sql);
    atHand = new AtHand(this, sql, entries, events);
  }

  /** Opens the file, makes it when there is none, and brings an older one up to date. */
  public static Opening open(Path file) {
    return WorkshopFile.open(file);
  }

  /** What is sound of a file that turned out to be damaged after it was opened. */
  public static Opening openDamaged(Path file) {
    return WorkshopFile.openDamaged(file);
  }

  /** The newest version of lines that are understood. */
  public static int version() {
    return SCHEMA;
  }

  public synchronized Path file() {
    return file;
  }

  /**
   * All of it or nothing, and nothing where the file is damaged.
   *
   * @throws Shut then
   */
  private void recording(Runnable changes) {
    if (damaged) {
      throw new Shut.Damaged(file);
    }
    inTransaction(changes);
  }

  /**
   * All of it or nothing, and nothing where the file is no longer the one that was opened.
   *
   * @throws Shut.Gone then
   */
  void inTransaction(Runnable changes) {
    sql.inTransaction(() -> {
      changes.run();
      if (saved.isEmpty() && !identity.isStill(file)) {
        throw new Shut.Gone(file);
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
    WorkshopFile.Elsewhere there =
        WorkshopFile.elsewhere(
            target,
            () -> {
              if (damaged && saved.isEmpty()) {
                return Salvage.write(file, target).isPresent();
              }
              sql.run("VACUUM INTO ?", target.toString());
              OwnerOnly.make(target);
              return true;
            });
    if (there.refused().isEmpty()) {
      closeFile();
      useFile(target, there.hold(), there.sql());
    }
    return there.refused();
  }

  /**
   * Puts a copy in the place of the file. What was there until now is set aside beside it, and
   * nothing of it is lost.
   *
   * @param copy as {@link Backups} has it
   */
  public synchronized Restored restore(Path copy, LocalDateTime now) {
    boolean wasDamaged = damaged;
    boolean[] letGo = {false};
    try {
      if (!damaged) {
        // What lies beside the file goes into it, so that it is set aside as one.
        sql.list("PRAGMA wal_checkpoint(TRUNCATE)", row -> row.getInt(1));
      }
      Restored done =
          Restored.putBack(
              file,
              copy,
              now,
              () -> {
                letGo[0] = true;
                closeRows();
              });
      if (done instanceof Restored.Done) {
        useFile(file, hold, WorkshopFile.connected(file));
      }
      return done;
    } catch (IOException | Sql.Refused | FlywayException e) {
      LoggerFactory.getLogger(Workshop.class).error("not restored: {}", copy, e);
      if (letGo[0]) {
        goOnWithWhatIsThere(wasDamaged);
      }
      return new Restored.Refused(Message.of("workshop.not-restored", file.toString()));
    }
  }

  private void goOnWithWhatIsThere(boolean wasDamaged) {
    try {
      useFile(file, hold, WorkshopFile.connected(file));
      damaged = wasDamaged;
    } catch (IOException | Sql.Refused | FlywayException e) {
      LoggerFactory.getLogger(Workshop.class).error("not opened again: {}", file, e);
      damaged = true;
    }
  }

  /** Whether nothing is recorded, since the file is damaged. */
  public synchronized boolean isDamaged() {
    return damaged;
  }

  /** It was found to be damaged: from now on nothing is recorded in it. */
  public synchronized void foundDamaged() {
    damaged = true;
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

  /** What the file said where it took nothing, as on a full disk; empty for any other failure. */
  public static Optional<Message> notTaken(RuntimeException because) {
    return because instanceof Sql.Refused refused
        ? Optional.of(Message.of("workshop.not-taken", Message.quoted(refused.getMessage())))
        : Optional.empty();
  }

  /** Adds a machine, or a newer description of one. */
  public synchronized void record(Machine machine, String by, Instant now) {
    recording(() -> {
      machines.add(machine, by, now);
      chain.added(Chain.Of.MACHINE);
    });
  }

  /** Every line of a machine's record, withdrawn ones too, in the order of writing. */
  public synchronized List<Recorded> history(String machineId) {
    return lines.of(machineId, id -> inOrder(entries.lines(id, this::kept), id));
  }

  /**
   * Where the file no longer gives them, what was typed and found is unknown. It waits for no long
   * work on the file: the window asks for one entry's.
   */
  private Kept.Texts kept(String entryId) {
    try {
      return entries.kept(entryId).orElse(Kept.NOTHING);
    } catch (Sql.Refused e) {
      LoggerFactory.getLogger(Workshop.class).error("what was typed and found cannot be read", e);
      return Kept.NOTHING;
    }
  }

  /** Every line as the file has it now. */
  synchronized List<Recorded> read(String machineId) {
    return inOrder(entries.of(machineId), machineId);
  }

  private List<Recorded> inOrder(List<Written> those, String machineId) {
    return TellingTable.inOrder(those, events.of(machineId)).stream().map(Written::line).toList();
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
    recording(() -> {
      entries.add(entry);
      chain.added(Chain.Of.ENTRY);
      paper.ifPresent(p -> papers.add(entry.id(), p));
      if (entry.replaces().isEmpty()) {
        drafts.delete(entry.machineId(), entry.stationId());
      } else if (entry.corrects()) {
        drafts.delete(entry.machineId(), correctionOf(entry.stationId()));
      }
    });
    lines.add(entry);
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
    recording(() -> {
      events.add(event);
      chain.added(Chain.Of.EVENT);
    });
    lines.add(event);
  }

  /**
   * Attaches a picture or a file to a line of the record.
   *
   * @param name of the file, without its folder
   * @throws UnusableReading where it is too large, empty, or one more than a line may have
   */
  public synchronized Attachment attach(
      Recorded line, String name, byte[] bytes, String by, Instant now) {
    recording(() -> {
      attachments.attach(line, name, bytes, by, now);
      chain.added(Chain.Of.ATTACHMENT);
    });
    return attachments(line).getLast();
  }

  /** What is attached to a line, in the order in which it was. */
  public synchronized List<Attachment> attachments(Recorded line) {
    return attachments.of(line);
  }

  /**
   * What is in an attachment.
   *
   * @throws UnusableReading where it is no longer what was attached
   */
  public synchronized byte[] content(Attachment of) {
    return attachments.bytes(of);
  }

  /** Gives out all that is kept of one machine, in the order in which {@link #merge} takes it. */
  public synchronized void passport(String machineId, Consumer<PassportRow> to) {
    new MachineRows(sql, machineId).forEach(to);
  }

  /**
   * Takes another workshop's rows of one machine in: all, or none.
   *
   * @param rows as they were given out
   * @throws UnusableReading where a line of the same id says something else here
   */
  public synchronized Merged merge(String machineId, List<PassportRow> rows) {
    lines.forget();
    List<Merged> merged = new ArrayList<>();
    recording(() -> {
      List<String> before = List.copyOf(machines.versions(machineId).keySet());
      merged.add(new MachineRows(sql, machineId).merge(rows, chain::added));
      if (merged.getFirst().bothChanged()) {
        twice.keep(machineId, before);
      }
    });
    return merged.getFirst();
  }

  /** The two descriptions of a machine, as long as nobody has said which of them is right. */
  public synchronized Optional<TwoDescriptions> describedTwice(String machineId) {
    return twice.of(machineId);
  }

  /** Quick looks at many machines, and searches. */
  public synchronized AtHand atHand() {
    return atHand;
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

  /** When lines were found to be dated after the clock of that day, by their ids. */
  public synchronized Map<String, Instant> foundAhead() {
    return preferences.foundAhead();
  }

  /** Keeps when a line was found to be dated ahead; what was found first stays. */
  public synchronized void foundAhead(List<String> lineIds, Instant now) {
    inTransaction(() -> preferences.foundAhead(lineIds, now));
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
    try {
      closeRows();
      hold.close();
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private void closeRows() throws IOException {
    sql.close();
    if (saved.isPresent()) {
      Salvage.empty(saved.get().getParent());
    }
  }
}
