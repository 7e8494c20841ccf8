package zebrawood.desktop.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import zebrawood.desktop.form.ProofField.Answer;
import zebrawood.desktop.station.AtMachine;
import zebrawood.desktop.station.EntryRecorder;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.desktop.stations.StationList;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Event;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Recorded;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Fitting;
import zebrawood.machine.Identity;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.measure.Finding;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.json.RecordJson;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/**
 * Writes the label workshop into an empty file: Alder, whose bed is stale since it was moved, whose
 * lens is out of focus, whose camera was moved with the lid and whose kept card comes out darker
 * since its tube is new; Sedge, which holds; Flint, which is out and whose new lens was never
 * focused; Bryony, whose bed was never read, whose coolant is colder than the air allows and whose
 * field is a tenth too large and skewed; Tansy, whose software's 100 % reaches a quarter of its
 * laser; Madder, whose tube is 18 months old, whose monthly check is overdue and whose rotary was
 * put in and not taken out; Teasel, a cutting head with one recipe proven and one copied. What
 * happened to them stands in a resource; its readings go through the same forms and the same core
 * as typed ones, in the order in which they were written down.
 */
public final class DemoWorkshop {
  private static final String STORIES = "/zebrawood/desktop/demo/stories.json";
  private static final String MORNING = "EH";
  private static final String AFTERNOON = "TR";

  private final Workshop workshop;
  private final Instant now;
  private final Map<String, Machine> machines = new HashMap<>();
  private final Map<String, List<Recorded>> histories = new HashMap<>();
  private int written;

  /** Everything that the demo tells. */
  private record Stories(
      List<Told> machines, List<Read> entries, List<Happened> events, Draft draft) {}

  private record Told(
      String name,
      Build build,
      Source source,
      double areaXMm,
      double areaYMm,
      BedSupport bedSupport,
      double levelToleranceMm,
      Optional<List<Fitting>> alsoFitted,
      Optional<Identity> identity) {}

  private sealed interface Line {
    String machine();

    int days();

    double hour();
  }

  /**
   * What was read at a station.
   *
   * @param because the key of why it was read
   * @param typed by the names of the form's fields
   * @param subject what it is of, where the station has several
   * @param proven whether everything that is asked is so
   */
  private record Read(
      String machine,
      int days,
      double hour,
      String station,
      EntryKind kind,
      String because,
      Map<String, String> typed,
      boolean proven,
      Optional<String> subject)
      implements Line {}

  private record Happened(
      String machine, int days, double hour, EventKind event, String note, Optional<String> subject)
      implements Line {}

  private record Draft(String machine, String station, Map<String, String> typed) {}

  private DemoWorkshop(Workshop workshop, Instant now) {
    this.workshop = workshop;
    this.now = now;
  }

  /**
   * @param now the histories end a little before this moment
   */
  public static void write(Path file, Instant now) {
    switch (Workshop.open(file)) {
      case Opening.Opened(Workshop workshop) -> {
        try (workshop) {
          new DemoWorkshop(workshop, now).write(stories());
        }
      }
      case Opening.InUse(Message holder) -> throw notOpened(holder);
      case Opening.Damaged(Message because, var sound) -> throw notOpened(because);
      case Opening.Unusable(Message because) -> throw notOpened(because);
    }
  }

  private static IllegalStateException notOpened(Message because) {
    return new IllegalStateException(Phrasebook.ENGLISH.say(because));
  }

  private static Stories stories() {
    try (InputStream in = DemoWorkshop.class.getResourceAsStream(STORIES)) {
      return RecordJson.read(new String(in.readAllBytes(), StandardCharsets.UTF_8), Stories.class);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void write(Stories stories) {
    stories.machines().forEach(this::write);
    List<Line> lines = new ArrayList<>(stories.entries());
    lines.addAll(stories.events());
    lines.sort(Comparator.comparing(this::at));
    for (Line line : lines) {
      switch (line) {
        case Read read -> write(read);
        case Happened happened -> write(happened);
      }
    }
    Draft draft = stories.draft();
    workshop.keepDraft(machines.get(draft.machine()).id(), draft.station(), draft.typed());
  }

  private void write(Told m) {
    Machine machine =
        new Machine(
            id(m.name()),
            m.name(),
            m.build(),
            m.source(),
            m.areaXMm(),
            m.areaYMm(),
            m.bedSupport(),
            m.levelToleranceMm(),
            fittings(m),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            m.identity(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());
    machines.put(m.name(), machine);
    histories.put(m.name(), new ArrayList<>());
    workshop.record(machine, MORNING, now.minus(Duration.ofDays(60)));
  }

  /** What is usual for its build, and what it has besides; empty where it has nothing besides. */
  private static Optional<List<Fitting>> fittings(Told m) {
    return m.alsoFitted()
        .map(more ->
            Stream.concat(Fitting.usual(m.build(), m.source().kind()).stream(), more.stream())
                .toList());
  }

  private void write(Read read) {
    Machine machine = machines.get(read.machine());
    StationDefinition definition =
        StationList.ALL.stream()
            .filter(d -> d.station().id().equals(read.station()))
            .findFirst()
            .orElseThrow();
    Ledger before = new Ledger(machine, histories.get(read.machine()));
    StationModel<?, ?> work =
        definition.open(
            AtMachine.on(before, DisplayUnits.METRIC, at(read)).among(StationList.stations()));
    work.form().type(read.typed());
    if (read.proven()) {
      work.form().allAtOnce(() -> work.form().proofs().toList().forEach(p -> p.set(Answer.YES)));
    }
    EntryRecorder.Reading found = found(work);
    Entry entry =
        new Entry(
            id("entry"),
            machine.id(),
            read.station(),
            read.subject(),
            read.kind(),
            at(read),
            at(read),
            read.kind() == EntryKind.CHECK ? AFTERNOON : MORNING,
            Message.of(read.because()),
            found.readings(),
            found.finding(),
            found.verdict(),
            found.figures(),
            Optional.empty());
    workshop.record(entry, found.paper());
    histories.get(read.machine()).add(entry);
  }

  private static <R, F extends Finding> EntryRecorder.Reading found(StationModel<R, F> work) {
    return work.solved()
        .map(f -> EntryRecorder.Reading.of(work, f))
        .orElseThrow(() -> new IllegalStateException("demo readings: " + work.outcome()));
  }

  private void write(Happened happened) {
    Event event =
        new Event(
            id("event"),
            machines.get(happened.machine()).id(),
            happened.event(),
            at(happened),
            at(happened),
            AFTERNOON,
            happened.note(),
            happened.subject(),
            List.of(),
            Optional.empty());
    workshop.record(event);
    histories.get(happened.machine()).add(event);
  }

  private Instant at(Line line) {
    Instant midnight = now.truncatedTo(ChronoUnit.DAYS);
    return midnight.minus(Duration.ofDays(line.days())).plusSeconds(Math.round(line.hour() * 3600));
  }

  /** The same for every copy of the demo. */
  private String id(String what) {
    String name = "demo " + what + " " + written++;
    return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8)).toString();
  }
}
