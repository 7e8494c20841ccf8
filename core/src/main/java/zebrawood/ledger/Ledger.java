package zebrawood.ledger;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zebrawood.ledger.Standing.Cause;
import zebrawood.machine.Machine;
import zebrawood.measure.Verdict;

/**
 * One machine's record, read: which entries and events count, and how each station stands.
 *
 * <p>An entry or event counts unless one that counts replaces it, so that a withdrawal can itself
 * be withdrawn. How a station stands follows from its last decided entry; then from the events,
 * adjustments upstream and days since the entry that proved it. An event doubts the stations that
 * say so, and with "read again" also all that rests on them; a doubt that a quick check clears
 * stays where it is. Before and after are those of the {@link Timeline}.
 *
 * <p>A station whose readings are of a subject stands for each subject by itself; {@link
 * #standings} tells of what is fitted now, {@link #onFile} of the others.
 */
public final class Ledger {
  /** Two clocks of one workshop are this far apart without anybody minding. */
  private static final Duration SAME_MOMENT = Duration.ofMinutes(5);

  private final Machine machine;
  private final Map<String, Instant> foundAhead;
  private final Timeline timeline;
  private final List<Recorded> written;
  private final List<Entry> entries;
  private final Map<String, List<Entry>> byStation;
  private final List<Event> events;
  private final List<Withdrawn> withdrawn;
  private final Subjects subjects;

  /**
   * What no longer counts, and what made it so.
   *
   * @param withdrawal can itself be withdrawn, which brings it back
   */
  public record Withdrawn(Recorded what, Recorded withdrawal) {}

  /**
   * Lines of other machines are passed over.
   *
   * @param history in the order of writing
   */
  public Ledger(Machine machine, List<? extends Recorded> history) {
    this(machine, history, Map.of());
  }

  /**
   * The same where some lines were found to be dated ahead.
   *
   * @param foundAhead when that was found, by the lines' ids: they are no later than that
   */
  public Ledger(
      Machine machine, List<? extends Recorded> history, Map<String, Instant> foundAhead) {
    this(machine, List.of(), history, foundAhead);
  }

  private Ledger(
      Machine machine,
      List<Recorded> settled,
      List<? extends Recorded> history,
      Map<String, Instant> foundAhead) {
    this.machine = machine;
    this.foundAhead = Map.copyOf(foundAhead);
    List<Recorded> own =
        history.stream()
            .filter(r -> r.machineId().equals(machine.id()))
            .<Recorded>map(r -> r)
            .toList();
    timeline = new Timeline(settled, own, foundAhead);
    written = Stream.concat(settled.stream(), own.stream()).toList();
    Replacements replacements = new Replacements(written);
    List<Recorded> counting = timeline.all().stream().filter(replacements::counts).toList();
    entries = counting.stream().filter(Entry.class::isInstance).map(Entry.class::cast).toList();
    events = counting.stream().filter(Event.class::isInstance).map(Event.class::cast).toList();
    byStation =
        entries.stream()
            .collect(Collectors.groupingBy(Entry::stationId, Collectors.toUnmodifiableList()));
    subjects = new Subjects(machine, byStation, events);
    withdrawn = replacements.withdrawn();
  }

  /**
   * How a machine stands, from the lines that tell it and what was plainly added since.
   *
   * @param telling of a longer record: {@link TellingLines#of}
   * @param since each written down as it was read, and none in the place of another
   */
  public static Ledger fromTelling(
      Machine machine,
      List<Recorded> telling,
      List<Recorded> since,
      Map<String, Instant> foundAhead) {
    return new Ledger(machine, telling, since, foundAhead);
  }

  public Machine machine() {
    return machine;
  }

  /** The entries that count, oldest first. */
  public List<Entry> entries() {
    return entries;
  }

  /** The entries of one station that count, oldest first, whatever they are of. */
  public List<Entry> entriesAt(Station station) {
    return byStation.getOrDefault(station.id(), List.of());
  }

  /** The entries of one station that are of what is fitted now, oldest first. */
  public List<Entry> entriesOfFitted(Station station) {
    return of(station, subjectNow(station));
  }

  /**
   * The entries of one station that are of one lens or the like, oldest first.
   *
   * @param subject empty for those of which nobody said it
   */
  public List<Entry> of(Station station, Optional<String> subject) {
    List<Entry> all = entriesAt(station);
    return station.subject().isEmpty()
        ? all
        : all.stream().filter(e -> SubjectName.same(e.subject(), subject)).toList();
  }

  /** The events that count, oldest first. */
  public List<Event> events() {
    return events;
  }

  /** Whether the one comes after the other in the record. */
  public boolean isAfter(Recorded one, Recorded other) {
    return timeline.isAfter(one, other);
  }

  /** The record as it was before this line was written. */
  public Ledger before(Recorded line) {
    List<Recorded> earlier = written.stream().takeWhile(r -> !r.id().equals(line.id())).toList();
    return new Ledger(machine, earlier, foundAhead);
  }

  /** The record as it was at a moment. */
  public Ledger asOf(Instant moment) {
    List<Recorded> earlier =
        written.stream().filter(r -> !timeline.timeOf(r).isAfter(moment)).toList();
    return new Ledger(machine, earlier, foundAhead);
  }

  /** The entry that was written down last, of those that count. */
  public Optional<Entry> lastWritten() {
    return written.reversed().stream()
        .filter(Entry.class::isInstance)
        .map(Entry.class::cast)
        .filter(entries::contains)
        .findFirst();
  }

  /** What was taken back, oldest first. */
  public List<Withdrawn> withdrawn() {
    return withdrawn;
  }

  /**
   * Lines that count and are dated after now, or were once found to be: a clock was wrong, here or
   * where they come from.
   */
  public List<Recorded> ahead(Instant now) {
    Instant latest = now.plus(SAME_MOMENT);
    return counting()
        .filter(r ->
            r.at().isAfter(latest)
                || r.recordedAt().isAfter(latest)
                || foundAhead.containsKey(r.id()))
        .toList();
  }

  /** When a line was, as far as is known: no later than it was found to be dated ahead. */
  public Instant timeOf(Recorded line) {
    return timeline.timeOf(line);
  }

  /** Lines of a kind or in a form that this version does not know. */
  public List<Recorded> unread() {
    return counting().filter(Recorded::unread).toList();
  }

  /** Ids of stations that entries are of and that are not among these. */
  public List<String> stationsNotAmong(List<Station> stations) {
    Set<String> known = new HashSet<>();
    stations.forEach(s -> known.add(s.id()));
    return entries.stream()
        .map(Entry::stationId)
        .distinct()
        .filter(id -> !known.contains(id))
        .toList();
  }

  private Stream<Recorded> counting() {
    return Stream.concat(entries.stream(), events.stream());
  }

  /** What is on the machine now, as the last event that named one of its kind said. */
  public Optional<String> fitted(SubjectKind kind) {
    return subjects.fitted(kind);
  }

  /**
   * What a station's readings are of now: what is fitted, and without an event that says so, what
   * its last entry was of. Empty where nobody said it.
   */
  public Optional<String> subjectNow(Station station) {
    return subjects.now(station);
  }

  /** The same as it is said in short: of a stock without the lens, which other stations name. */
  public Optional<String> subjectInShort(Station station) {
    return subjects.inShort(station);
  }

  /**
   * How each station that applies stands, in the order given, for what is fitted now.
   *
   * @param stations in the order of the work: a station comes after those it rests on
   */
  public SequencedMap<Station, Standing> standings(List<Station> stations, Instant today) {
    SequencedMap<Station, Standing> standings = new LinkedHashMap<>();
    for (Station station : applying(stations)) {
      standings.put(
          station, standing(station, subjectNow(station), stations, byId(standings), today));
    }
    return standings;
  }

  /** How a station stands for each subject that has entries and is not fitted now. */
  public SequencedMap<String, Standing> onFile(
      Station station, List<Station> stations, Instant today) {
    SequencedMap<String, Standing> onFile = new LinkedHashMap<>();
    if (station.subject().isEmpty()) {
      return onFile;
    }
    Optional<String> fitted = subjectNow(station);
    Map<String, String> others =
        entriesAt(station).stream()
            .flatMap(e -> e.subject().stream())
            .filter(s -> !SubjectName.same(Optional.of(s), fitted))
            .collect(Collectors.toMap(SubjectName::plain, s -> s, (a, b) -> a, LinkedHashMap::new));
    if (!others.isEmpty()) {
      Map<String, Standing> upstream = byId(standings(stations, today));
      others
          .values()
          .forEach(
              s -> onFile.put(s, standing(station, Optional.of(s), stations, upstream, today)));
    }
    return onFile;
  }

  private static Map<String, Standing> byId(SequencedMap<Station, Standing> standings) {
    Map<String, Standing> byId = new HashMap<>();
    standings.forEach((station, standing) -> byId.put(station.id(), standing));
    return byId;
  }

  /** The stations that an event of this kind would put in doubt, with how much, in order. */
  public SequencedMap<Station, Doubt> doubtedBy(EventKind kind, List<Station> stations) {
    SequencedMap<Station, Doubt> doubted = new LinkedHashMap<>();
    for (Station station : applying(stations)) {
      doubt(kind, station, stations).ifPresent(doubt -> doubted.put(station, doubt));
    }
    return doubted;
  }

  /** What each event put in doubt and what has been proven since, oldest first. */
  public List<Aftermath> aftermaths(List<Station> stations) {
    return events.stream().map(event -> aftermath(event, stations)).toList();
  }

  private Aftermath aftermath(Event event, List<Station> stations) {
    SequencedMap<Station, Doubt> doubted = doubtedBy(event.kind(), stations);
    List<Station> proved = new ArrayList<>();
    List<Instant> times = new ArrayList<>();
    doubted.forEach((station, doubt) ->
        entriesAt(station).stream()
            .filter(e -> timeline.isAfter(e, event) && clears(doubt, e))
            .findFirst()
            .ifPresent(e -> {
              proved.add(station);
              times.add(timeline.timeOf(e));
            }));
    Optional<Instant> all =
        proved.size() == doubted.size()
            ? times.stream().max(Comparator.naturalOrder())
            : Optional.empty();
    return new Aftermath(event, doubted, proved, all);
  }

  private static boolean clears(Doubt doubt, Entry entry) {
    return doubt == Doubt.QUICK_CHECK ? entry.verdict() == Verdict.WITHIN : proves(entry);
  }

  /**
   * What the next entry with figures at a station is: as left when the technician leaves it so; as
   * found when a visit begins; a check between the two.
   */
  public EntryKind kindOfNext(Station station, boolean leaving, Instant now) {
    if (leaving) {
      return EntryKind.AS_LEFT;
    }
    return last(entriesOfFitted(station), e -> !e.unread())
            .filter(e -> e.kind() != EntryKind.AS_LEFT && e.tellingFigure().isPresent())
            .filter(e -> e.ofVisit(now))
            .isPresent()
        ? EntryKind.CHECK
        : EntryKind.AS_FOUND;
  }

  private List<Station> applying(List<Station> stations) {
    return stations.stream().filter(s -> s.applies().test(machine)).toList();
  }

  private static Optional<Doubt> doubt(EventKind kind, Station station, List<Station> all) {
    Doubt direct = station.doubtedBy().get(kind);
    if (direct == Doubt.READ_AGAIN) {
      return Optional.of(direct);
    }
    boolean inherited =
        all.stream()
            .filter(other -> station.restsOn().contains(other.id()))
            .anyMatch(other -> doubt(kind, other, all).equals(Optional.of(Doubt.READ_AGAIN)));
    return inherited ? Optional.of(Doubt.READ_AGAIN) : Optional.ofNullable(direct);
  }

  private Standing standing(
      Station station,
      Optional<String> subject,
      List<Station> all,
      Map<String, Standing> upstream,
      Instant today) {
    List<Entry> decided = of(station, subject).stream().filter(Entry::decided).toList();
    Optional<Entry> proof = last(decided, Ledger::proves);
    if (!decided.isEmpty() && decided.getLast().verdict() != Verdict.WITHIN) {
      return new Standing.Out(decided.getLast());
    }
    if (proof.isEmpty() && station.turn() == Station.Turn.ON_CALL) {
      return new Standing.Idle();
    }
    if (proof.isEmpty()) {
      Optional<Station> waitsFor =
          all.stream()
              .filter(s -> station.restsOn().contains(s.id()))
              .filter(s -> upstream.containsKey(s.id()) && upstream.get(s.id()).asks())
              .findFirst();
      return new Standing.Open(last(decided, e -> true), waitsFor);
    }
    return cause(station, subject, all, upstream, proof.get(), decided.getLast(), today)
        .<Standing>map(cause -> new Standing.Stale(proof.get(), cause))
        .orElseGet(() -> new Standing.Holds(proof.get()));
  }

  /** The earliest thing since the proof that no later reading has cleared. */
  private Optional<Cause> cause(
      Station station,
      Optional<String> subject,
      List<Station> all,
      Map<String, Standing> upstream,
      Entry proof,
      Entry checked,
      Instant today) {
    List<Cause> causes = new ArrayList<>();
    for (Event event : events) {
      doubt(event.kind(), station, all)
          .filter(d -> concerns(event, station, subject))
          .filter(d -> timeline.isAfter(event, d == Doubt.QUICK_CHECK ? checked : proof))
          .ifPresent(d -> causes.add(new Cause.Happened(event, d)));
    }
    for (Station below : all) {
      if (station.restsOn().contains(below.id())) {
        disturbed(below, upstream.get(below.id()), proof)
            .ifPresent(since -> causes.add(new Cause.Upstream(below, since)));
      }
    }
    Instant proven = timeline.timeOf(proof);
    int days = station.holdsDays(proof);
    if (Duration.between(proven, today).toDays() > days) {
      Instant since = proven.plus(Duration.ofDays(days));
      causes.add(
          station.turn() == Station.Turn.AS_READ
              ? new Cause.CameDue(since)
              : new Cause.Aged(since, days));
    }
    return causes.stream().min(Comparator.comparing(Cause::since));
  }

  /** A new lens doubts what was read of that lens, not of the others. */
  private static boolean concerns(Event event, Station station, Optional<String> subject) {
    return station.subject().isEmpty()
        || !event.kind().names().equals(station.subject())
        || event.subject().isEmpty()
        || SubjectName.same(event.subject(), subject);
  }

  /** When the station below went out, or was found out and adjusted, after the proof above it. */
  private Optional<Instant> disturbed(Station below, Standing standing, Entry proof) {
    if (standing instanceof Standing.Out out && timeline.isAfter(out.last(), proof)) {
      return Optional.of(timeline.timeOf(out.last()));
    }
    return entriesOfFitted(below).stream()
        .filter(e -> timeline.isAfter(e, proof))
        .filter(e -> e.verdict() == Verdict.ADJUST || e.verdict() == Verdict.STOP)
        .map(timeline::timeOf)
        .findFirst();
  }

  /** Readings with figures, within the limit. */
  static boolean proves(Entry entry) {
    return entry.verdict() == Verdict.WITHIN && entry.tellingFigure().isPresent();
  }

  private static Optional<Entry> last(List<Entry> entries, Predicate<Entry> wanted) {
    return entries.reversed().stream().filter(wanted).findFirst();
  }
}
