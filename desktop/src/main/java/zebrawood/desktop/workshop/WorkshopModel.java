package zebrawood.desktop.workshop;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.UUID;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Event;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Recorded;
import zebrawood.ledger.Standing;
import zebrawood.ledger.Station;
import zebrawood.machine.Machine;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.kept.StationPaper;
import zebrawood.records.workshop.TwoDescriptions;
import zebrawood.records.workshop.Workshop;
import zebrawood.words.Language;
import zebrawood.words.Message;

/** The open workshop. All its methods and properties belong to the interface's thread. */
public final class WorkshopModel implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(WorkshopModel.class);
  private final Workshop workshop;
  private final List<Station> stations;
  private final Executor ui;
  private final Clock clock;
  private final String person;
  private final DiskThread disk;
  private final DraftKeeper drafts;
  private final ReadOnlyObjectWrapper<List<Machine>> machines =
      new ReadOnlyObjectWrapper<>(List.of());
  private final ReadOnlyObjectWrapper<Opened> opened = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyStringWrapper message = new ReadOnlyStringWrapper("");
  private final PersonalChoices choices;
  private final FileState state;

  /** What was typed since the start, newer than what was loaded. */
  private final Map<String, Map<String, String>> typed = new HashMap<>();

  /**
   * The chosen machine with everything known of it.
   *
   * @param drafts what was typed and not recorded, by the name it is kept under
   * @param notices what of the record is not as it should be, to be told on the machine page
   * @param twice its two descriptions, where it was described anew on two computers
   */
  public record Opened(
      Machine machine,
      Ledger ledger,
      SequencedMap<Station, Standing> standings,
      Map<String, Map<String, String>> drafts,
      List<Message> notices,
      Optional<TwoDescriptions> twice) {
    public Standing standing(Station station) {
      return standings.get(station);
    }
  }

  /** How a station stands for each subject that is not on the machine now. */
  public SequencedMap<String, Standing> onFile(Station station) {
    return opened().ledger().onFile(station, stations, clock.instant());
  }

  /** What is ready when the window opens; made off the interface's thread. */
  public record Start(
      Workshop workshop,
      List<Machine> machines,
      Optional<Opened> opened,
      Preferences preferences) {}

  /** A machine beside others. */
  public record Glance(Machine machine, Ledger ledger, SequencedMap<Station, Standing> standings) {}

  /** More machines are not looked at together. */
  public static final int MOST_AT_A_GLANCE = 200;

  /** Reads how every machine stands, off the interface's thread. */
  public void glance(Consumer<List<Glance>> then) {
    Instant now = clock.instant();
    read(
        () ->
            workshop.machines().readable().stream()
                .limit(MOST_AT_A_GLANCE)
                .map(m -> Loading.glance(workshop, stations, m, now))
                .toList(),
        then);
  }

  /** Reads the entries of one station that count, of every machine. */
  public void everywhere(Station station, Consumer<List<Entry>> then) {
    read(
        () ->
            workshop.machines().readable().stream()
                .map(m -> new Ledger(m, workshop.atHand().at(m.id(), station)))
                .flatMap(l -> l.entries().stream())
                .toList(),
        then);
  }

  /** Reads what the first window shows; may be called from any thread. */
  public static Start start(Workshop workshop, List<Station> stations, String person, Instant now) {
    return Loading.start(workshop, stations, person, now);
  }

  /**
   * @param ui runs what touches properties, on the interface's thread
   * @param person whose preferences these are
   */
  public WorkshopModel(
      Start start, List<Station> stations, Executor ui, Clock clock, String person) {
    this.workshop = start.workshop();
    this.stations = List.copyOf(stations);
    this.ui = ui;
    this.clock = clock;
    this.person = person;
    this.disk = new DiskThread(ui);
    state = new FileState(this, workshop, disk);
    this.drafts = new DraftKeeper(workshop, disk.executor(), this::notKept);
    machines.set(start.machines());
    opened.set(start.opened().orElse(null));
    choices = new PersonalChoices(start.preferences(), this::prefer);
  }

  public ReadOnlyObjectProperty<List<Machine>> machinesProperty() {
    return machines.getReadOnlyProperty();
  }

  /** The chosen machine; null while there is none at all. */
  public ReadOnlyObjectProperty<Opened> openedProperty() {
    return opened.getReadOnlyProperty();
  }

  public Opened opened() {
    return opened.get();
  }

  /** The last thing that happened, for the status line. */
  public ReadOnlyStringProperty messageProperty() {
    return message.getReadOnlyProperty();
  }

  public void say(String words) {
    message.set(words);
  }

  public ObjectProperty<DisplayUnits> unitsProperty() {
    return choices.unitsProperty();
  }

  public DisplayUnits units() {
    return choices.units();
  }

  public ObjectProperty<Boolean> darkProperty() {
    return choices.darkProperty();
  }

  public ObjectProperty<Language> languageProperty() {
    return choices.languageProperty();
  }

  public ObjectProperty<Size> sizeProperty() {
    return choices.sizeProperty();
  }

  public List<Station> stations() {
    return stations;
  }

  public Clock clock() {
    return clock;
  }

  /** Runs what touches properties, on the interface's thread. */
  public Executor ui() {
    return ui;
  }

  public Path file() {
    return workshop.file();
  }

  public Optional<String> initials() {
    return choices.initials();
  }

  public ReadOnlyObjectProperty<Optional<String>> initialsProperty() {
    return choices.initialsProperty();
  }

  public void setInitials(String words) {
    choices.setInitials(words);
  }

  private void prefer(String name, String value) {
    disk.ask(
        () -> {
          workshop.prefer(person, name, value);
          return value;
        },
        kept -> {},
        e -> failed("workshop.choice-not-kept", e, () -> {}));
  }

  /** Opens another machine; what was said was of the one before. */
  public void choose(Machine machine) {
    prefer(Preferences.MACHINE, machine.id());
    reload(machine, () -> say(""));
  }

  /** Adds a machine, or a newer description, and opens it; another where that removes it. */
  public void add(Machine machine, Runnable then, Runnable otherwise) {
    String by = initials().orElse("?");
    write(
        () -> {
          workshop.record(machine, by, clock.instant());
          workshop.prefer(person, Preferences.MACHINE, machine.id());
        },
        () -> reload(machine, then),
        otherwise);
  }

  private void reload(Machine machine, Runnable then) {
    Instant now = clock.instant();
    read(
        () -> {
          Workshop.Machines all = workshop.machines();
          Optional<Machine> next =
              machine.removed() ? all.readable().stream().findFirst() : Optional.of(machine);
          Optional<Opened> loaded = next.map(m -> Loading.opened(workshop, stations, m, all, now));
          return (Runnable)
              () -> {
                machines.set(all.readable());
                opened.set(loaded.orElse(null));
                then.run();
              };
        },
        Runnable::run);
  }

  /**
   * Records an entry.
   *
   * @param paper what paper shows of it
   * @param then runs when it is on the disk and the standings follow
   * @param otherwise runs when it could not be written; the message says so
   */
  public void record(Entry entry, StationPaper paper, Runnable then, Runnable otherwise) {
    if (entry.replaces().isEmpty()) {
      drafts.forget(entry.machineId(), entry.stationId());
    }
    write(
        () -> workshop.record(entry, paper),
        () -> {
          if (entry.replaces().isEmpty()) {
            typed.put(key(entry.machineId(), entry.stationId()), Map.of());
          }
          reload(opened().machine(), then);
        },
        otherwise);
  }

  /**
   * Records that something happened.
   *
   * @param then runs when it is on the disk
   * @param otherwise runs when it could not be written; the message says so
   */
  public void happened(Happening happening, Runnable then, Runnable otherwise) {
    Instant now = clock.instant();
    Event event =
        new Event(
            UUID.randomUUID().toString(),
            opened().machine().id(),
            happening.kind(),
            happening.at().orElse(now),
            now,
            initials().orElse("?"),
            happening.note(),
            happening.subject(),
            happening.settles(),
            Optional.empty());
    write(() -> workshop.record(event), () -> reload(opened().machine(), then), otherwise);
  }

  /** What paper shows of an entry, where it was kept with it; on any thread. */
  public Optional<StationPaper> paperOf(String entryId) {
    return workshop.paperOf(entryId);
  }

  /** The entry that an undo would withdraw: the one that was written down last. */
  public Optional<Entry> lastEntry() {
    return opened() == null ? Optional.empty() : opened().ledger().lastWritten();
  }

  /** Makes a line void by one that replaces it; a withdrawal made void brings back what it took. */
  public void withdraw(Recorded line, Runnable then) {
    Recorded withdrawal =
        line.withdrawnBy(UUID.randomUUID().toString(), clock.instant(), initials().orElse("?"));
    write(
        () -> {
          switch (withdrawal) {
            case Entry entry -> workshop.record(entry);
            case Event event -> workshop.record(event);
          }
        },
        () -> reload(opened().machine(), then),
        () -> {});
  }

  private static String key(String machineId, String name) {
    return machineId + "/" + name;
  }

  /** Keeps what is typed at a station until it is recorded. */
  public void keepDraft(Station station, Map<String, String> words) {
    keepDraft(station.id(), words);
  }

  /** Keeps what is typed while an entry is corrected. */
  public void keepDraftOfCorrection(Station station, Map<String, String> words) {
    keepDraft(Workshop.correctionOf(station.id()), words);
  }

  public void forgetDraftOfCorrection(Station station) {
    keepDraft(Workshop.correctionOf(station.id()), Map.of());
  }

  private void keepDraft(String name, Map<String, String> words) {
    String machineId = opened().machine().id();
    Map<String, String> now = Map.copyOf(words);
    typed.put(key(machineId, name), now);
    drafts.keep(machineId, name, now);
  }

  /** What was typed at a station of the open machine and not recorded. */
  public Map<String, String> draft(Station station) {
    return draft(station.id());
  }

  public Map<String, String> draftOfCorrection(Station station) {
    return draft(Workshop.correctionOf(station.id()));
  }

  private Map<String, String> draft(String name) {
    return typed.getOrDefault(
        key(opened().machine().id(), name), opened().drafts().getOrDefault(name, Map.of()));
  }

  private void notKept(RuntimeException e) {
    LOG.error("what is typed could not be kept", e);
    disk.tell(() -> failed("workshop.draft-not-kept", e, () -> {}));
  }

  private void write(Runnable work, Runnable then, Runnable otherwise) {
    disk.ask(
        () -> {
          work.run();
          return then;
        },
        Runnable::run,
        e -> failed("workshop.not-written", e, otherwise));
  }

  /**
   * Does something with the file, on its own thread.
   *
   * @param then gets what came of it, on the interface's thread
   * @param otherwise gets there why it failed
   */
  public <T> void withFile(
      Function<Workshop, T> work, Consumer<T> then, Consumer<RuntimeException> otherwise) {
    disk.ask(() -> work.apply(workshop), then, otherwise);
  }

  /** Reads this machine and the list of machines again: the file grew in another way. */
  public void readAgain(Machine machine, Runnable then) {
    reload(machine, then);
  }

  private <T> void read(Supplier<T> work, Consumer<T> then) {
    disk.ask(work, then, e -> failed("workshop.not-read", e, () -> {}));
  }

  private void failed(String key, RuntimeException because, Runnable otherwise) {
    message.set(Text.of(FileState.keyOf(because, key), workshop.file().toString()));
    otherwise.run();
    state.failed(because);
  }

  /** Whether the file can still be recorded in, and what can be done where it cannot. */
  public FileState fileState() {
    return state;
  }

  /** Reads all of another file that stands where the one before stood. */
  void readAnew(Runnable then) {
    Optional<String> before = Optional.ofNullable(opened()).map(o -> o.machine().id());
    Instant now = clock.instant();
    typed.clear();
    read(
        () -> {
          Workshop.Machines all = workshop.machines();
          Optional<Machine> next =
              all.readable().stream()
                  .filter(m -> before.equals(Optional.of(m.id())))
                  .findFirst()
                  .or(() -> all.readable().stream().findFirst());
          Optional<Opened> loaded = next.map(m -> Loading.opened(workshop, stations, m, all, now));
          return (Runnable)
              () -> {
                machines.set(all.readable());
                opened.set(null);
                opened.set(loaded.orElse(null));
                then.run();
              };
        },
        Runnable::run);
  }

  /** What was typed and could not be kept is kept now. */
  void keepAgain() {
    drafts.again();
  }

  /** Waits until everything is on the disk, then lets go of the file. */
  @Override
  public void close() {
    disk.close();
    workshop.close();
  }
}
