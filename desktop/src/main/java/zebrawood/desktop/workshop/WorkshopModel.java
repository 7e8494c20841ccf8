package zebrawood.desktop.workshop;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.UUID;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleObjectProperty;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Event;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Standing;
import zebrawood.ledger.Station;
import zebrawood.machine.Machine;
import zebrawood.measure.LengthUnit;
import zebrawood.measure.Verdict;
import zebrawood.records.workshop.Workshop;

/** The open workshop. All its methods and properties belong to the interface's thread. */
public final class WorkshopModel implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(WorkshopModel.class);
  private static final String INITIALS = "initials";
  private static final String UNIT = "length-unit";
  private static final String DARK = "dark";
  private static final String LAST_MACHINE = "machine";

  private final Workshop workshop;
  private final List<Station> stations;
  private final Executor ui;
  private final Clock clock;
  private final String person;
  private final ExecutorService writer =
      Executors.newSingleThreadExecutor(
          Thread.ofPlatform().name("workshop-writer").daemon(true).factory());
  private final DraftKeeper drafts;
  private boolean closed;

  private final ReadOnlyObjectWrapper<List<Machine>> machines =
      new ReadOnlyObjectWrapper<>(List.of());
  private final ReadOnlyObjectWrapper<Opened> opened = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyStringWrapper message = new ReadOnlyStringWrapper("");
  private final ObjectProperty<LengthUnit> unit = new SimpleObjectProperty<>(LengthUnit.MILLIMETRE);
  private final ObjectProperty<Boolean> dark = new SimpleObjectProperty<>(false);
  private final ReadOnlyObjectWrapper<Optional<String>> initials =
      new ReadOnlyObjectWrapper<>(Optional.empty());

  /** What was typed since the start, newer than what was loaded. */
  private final Map<String, Map<String, String>> typed = new HashMap<>();

  /**
   * The chosen machine with everything known of it.
   *
   * @param drafts what was typed and not recorded, by station id
   */
  public record Opened(
      Machine machine,
      Ledger ledger,
      SequencedMap<Station, Standing> standings,
      Map<String, Map<String, String>> drafts) {
    public Standing standing(Station station) {
      return standings.get(station);
    }
  }

  /** What is ready when the window opens; made off the interface's thread. */
  public record Start(
      Workshop workshop,
      List<Machine> machines,
      Optional<Opened> opened,
      Optional<String> initials,
      LengthUnit unit,
      boolean dark) {}

  /** Reads what the first window shows; may be called from any thread. */
  public static Start start(Workshop workshop, List<Station> stations, String person, Instant now) {
    List<Machine> machines = workshop.machines();
    Optional<String> last = workshop.preference(person, LAST_MACHINE);
    Optional<Machine> chosen =
        machines.stream()
            .filter(m -> last.isPresent() && m.id().equals(last.get()))
            .findFirst()
            .or(() -> machines.stream().findFirst());
    return new Start(
        workshop,
        machines,
        chosen.map(m -> load(workshop, stations, m, now)),
        workshop.preference(person, INITIALS),
        workshop.preference(person, UNIT).map(LengthUnit::valueOf).orElse(LengthUnit.MILLIMETRE),
        workshop.preference(person, DARK).map(Boolean::valueOf).orElse(false));
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
    this.drafts = new DraftKeeper(workshop, writer);
    initials.set(start.initials());
    machines.set(start.machines());
    opened.set(start.opened().orElse(null));
    unit.set(start.unit());
    dark.set(start.dark());
    unit.subscribe((before, now) -> prefer(UNIT, now.name()));
    dark.subscribe((before, now) -> prefer(DARK, now.toString()));
  }

  private static Opened load(
      Workshop workshop, List<Station> stations, Machine machine, Instant now) {
    Ledger ledger =
        new Ledger(machine, workshop.entries(machine.id()), workshop.events(machine.id()));
    Map<String, Map<String, String>> drafts = new LinkedHashMap<>();
    for (Station station : stations) {
      drafts.put(station.id(), workshop.draft(machine.id(), station.id()));
    }
    return new Opened(machine, ledger, ledger.standings(stations, now), drafts);
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

  public ObjectProperty<LengthUnit> unitProperty() {
    return unit;
  }

  public ObjectProperty<Boolean> darkProperty() {
    return dark;
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
    return initials.get();
  }

  public ReadOnlyObjectProperty<Optional<String>> initialsProperty() {
    return initials.getReadOnlyProperty();
  }

  public void setInitials(String words) {
    initials.set(Optional.of(words));
    prefer(INITIALS, words);
  }

  private void prefer(String name, String value) {
    write(() -> workshop.prefer(person, name, value), () -> {});
  }

  /** Opens another machine; what was said was of the one before. */
  public void choose(Machine machine) {
    prefer(LAST_MACHINE, machine.id());
    reload(machine, () -> say(""));
  }

  /** Adds a machine, or a newer description of one, and opens it. */
  public void add(Machine machine, Runnable then) {
    String by = initials().orElse("?");
    write(
        () -> {
          workshop.record(machine, by, clock.instant());
          workshop.prefer(person, LAST_MACHINE, machine.id());
        },
        () -> reload(machine, then));
  }

  private void reload(Machine machine, Runnable then) {
    Instant now = clock.instant();
    ask(
        () -> {
          List<Machine> all = workshop.machines();
          Opened loaded = load(workshop, stations, machine, now);
          return (Runnable)
              () -> {
                machines.set(all);
                opened.set(loaded);
                then.run();
              };
        },
        Runnable::run);
  }

  /** What a new entry of the open machine needs beside what the sheet knows. */
  public Entry entry(
      Station station,
      EntryKind kind,
      String readings,
      String finding,
      Verdict verdict,
      List<Figure> figures,
      Optional<Entry> corrects) {
    Instant now = clock.instant();
    return new Entry(
        UUID.randomUUID().toString(),
        opened().machine().id(),
        station.id(),
        corrects.map(Entry::kind).orElse(kind),
        corrects.map(Entry::at).orElse(now),
        now,
        initials().orElse("?"),
        corrects
            .map(e -> e.because() + ", corrected")
            .orElseGet(() -> Ledger.reasonToRead(opened().standing(station))),
        readings,
        finding,
        verdict,
        figures,
        corrects.map(Entry::id));
  }

  /**
   * Records an entry.
   *
   * @param then runs when it is on the disk and the standings follow
   * @param otherwise runs when it could not be written; the message says so
   */
  public void record(Entry entry, Runnable then, Runnable otherwise) {
    if (entry.replaces().isEmpty()) {
      drafts.forget(entry.machineId(), entry.stationId());
      typed.put(entry.machineId() + "/" + entry.stationId(), Map.of());
    }
    ask(
        () -> {
          workshop.record(entry);
          return entry;
        },
        recorded -> reload(opened().machine(), then),
        otherwise);
  }

  /** Records that something happened. */
  public void happened(EventKind kind, Instant at, String note, Runnable then) {
    Event event =
        new Event(
            UUID.randomUUID().toString(),
            opened().machine().id(),
            kind,
            at,
            clock.instant(),
            initials().orElse("?"),
            note,
            Optional.empty());
    write(() -> workshop.record(event), () -> reload(opened().machine(), then));
  }

  /** The entry that an undo would withdraw. */
  public Optional<Entry> lastEntry() {
    return opened() == null
        ? Optional.empty()
        : opened().ledger().entries().stream()
            .max(java.util.Comparator.comparing(Entry::recordedAt));
  }

  /** The event that an undo would withdraw. */
  public Optional<Event> lastEvent() {
    return opened() == null
        ? Optional.empty()
        : opened().ledger().events().stream()
            .max(java.util.Comparator.comparing(Event::recordedAt));
  }

  /** Withdraws the last entry by one that replaces it. */
  public void undoLast(Consumer<Entry> undone) {
    lastEntry()
        .ifPresent(last -> {
          Entry withdrawal =
              last.withdrawnBy(
                  UUID.randomUUID().toString(), clock.instant(), initials().orElse("?"));
          record(withdrawal, () -> undone.accept(last), () -> {});
        });
  }

  /** Withdraws an event by one that replaces it. */
  public void withdraw(Event event, Runnable then) {
    Instant now = clock.instant();
    Event withdrawal =
        new Event(
            UUID.randomUUID().toString(),
            event.machineId(),
            EventKind.WITHDRAWN,
            now,
            now,
            initials().orElse("?"),
            "",
            Optional.of(event.id()));
    write(() -> workshop.record(withdrawal), () -> reload(opened().machine(), then));
  }

  /** Keeps what is typed at a station until it is recorded. */
  public void keepDraft(Station station, Map<String, String> words) {
    String machineId = opened().machine().id();
    typed.put(machineId + "/" + station.id(), Map.copyOf(words));
    drafts.keep(machineId, station.id(), words);
  }

  /** What was typed at a station of the open machine and not recorded. */
  public Map<String, String> draft(Station station) {
    return typed.getOrDefault(
        opened().machine().id() + "/" + station.id(),
        opened().drafts().getOrDefault(station.id(), Map.of()));
  }

  private void write(Runnable work, Runnable then) {
    ask(
        () -> {
          work.run();
          return then;
        },
        Runnable::run);
  }

  private <T> void ask(Supplier<T> work, Consumer<T> then) {
    ask(work, then, () -> {});
  }

  private <T> void ask(Supplier<T> work, Consumer<T> then, Runnable otherwise) {
    writer.execute(() -> {
      try {
        T result = work.get();
        tell(() -> then.accept(result));
      } catch (RuntimeException e) {
        LOG.error("the workshop file could not be used", e);
        tell(() -> {
          message.set(
              "Not recorded: the workshop file %s could not be written. What you typed is still here."
                  .formatted(workshop.file()));
          otherwise.run();
        });
      }
    });
  }

  /** Nobody listens any more once it is closed. */
  private void tell(Runnable answer) {
    ui.execute(() -> {
      if (!closed) {
        answer.run();
      }
    });
  }

  /** Waits until everything is on the disk, then lets go of the file. */
  @Override
  public void close() {
    closed = true;
    writer.shutdown();
    try {
      if (!writer.awaitTermination(10, TimeUnit.SECONDS)) {
        LOG.error("the workshop file did not answer within ten seconds");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    workshop.close();
  }
}
