package zebrawood.ledger;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.function.Function;
import java.util.function.Predicate;
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
 * stays where it is.
 */
public final class Ledger {
  /** Readings further apart than a working day belong to two visits. */
  public static final Duration LONGEST_VISIT = Duration.ofHours(12);

  private final Machine machine;
  private final List<Entry> entries;
  private final List<Event> events;

  /** Entries and events of other machines are passed over. */
  public Ledger(Machine machine, List<Entry> entries, List<Event> events) {
    this.machine = machine;
    this.entries =
        counting(
            entries.stream().filter(e -> e.machineId().equals(machine.id())).toList(),
            Entry::id,
            Entry::replaces,
            e -> e.kind() == EntryKind.WITHDRAWN,
            Comparator.comparing(Entry::at).thenComparing(Entry::recordedAt));
    this.events =
        counting(
            events.stream().filter(e -> e.machineId().equals(machine.id())).toList(),
            Event::id,
            Event::replaces,
            e -> e.kind() == EventKind.WITHDRAWN,
            Comparator.comparing(Event::at).thenComparing(Event::recordedAt));
  }

  public Machine machine() {
    return machine;
  }

  /** The entries that count, oldest first. */
  public List<Entry> entries() {
    return entries;
  }

  /** The entries of one station that count, oldest first. */
  public List<Entry> entriesAt(Station station) {
    return entries.stream().filter(e -> e.stationId().equals(station.id())).toList();
  }

  /** The events that count, oldest first. */
  public List<Event> events() {
    return events;
  }

  /**
   * How each station that applies stands, in the order given.
   *
   * @param stations in the order of the work: a station comes after those it rests on
   */
  public SequencedMap<Station, Standing> standings(List<Station> stations, Instant today) {
    SequencedMap<Station, Standing> standings = new LinkedHashMap<>();
    Map<String, Standing> byId = new HashMap<>();
    for (Station station : applying(stations)) {
      Standing standing = standing(station, stations, byId, today);
      standings.put(station, standing);
      byId.put(station.id(), standing);
    }
    return standings;
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
            .filter(e -> e.at().isAfter(event.at()) && clears(doubt, e))
            .findFirst()
            .ifPresent(e -> {
              proved.add(station);
              times.add(e.at());
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
    return last(entriesAt(station), e -> true)
            .filter(e -> e.kind() != EntryKind.AS_LEFT && e.tellingFigure().isPresent())
            .filter(e -> Duration.between(e.at(), now).compareTo(LONGEST_VISIT) < 0)
            .isPresent()
        ? EntryKind.CHECK
        : EntryKind.AS_FOUND;
  }

  /** Why a station is read next, in words for the notebook. */
  public static String reasonToRead(Standing standing) {
    return switch (standing) {
      case Standing.Holds h -> "check";
      case Standing.Stale(Entry proof, Cause cause) -> StandingWords.because(cause);
      case Standing.Out o -> "was out";
      case Standing.Open o -> "commissioning";
    };
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
      Station station, List<Station> all, Map<String, Standing> upstream, Instant today) {
    List<Entry> decided = entriesAt(station).stream().filter(Entry::decided).toList();
    Optional<Entry> proof = last(decided, Ledger::proves);
    if (!decided.isEmpty() && decided.getLast().verdict() != Verdict.WITHIN) {
      return new Standing.Out(decided.getLast());
    }
    if (proof.isEmpty()) {
      Optional<Station> waitsFor =
          all.stream()
              .filter(s -> station.restsOn().contains(s.id()))
              .filter(s -> upstream.containsKey(s.id()) && !upstream.get(s.id()).holds())
              .findFirst();
      return new Standing.Open(last(decided, e -> true), waitsFor);
    }
    Instant checked = decided.getLast().at();
    return cause(station, all, upstream, proof.get(), checked, today)
        .<Standing>map(cause -> new Standing.Stale(proof.get(), cause))
        .orElseGet(() -> new Standing.Holds(proof.get()));
  }

  /** The earliest thing since the proof that no later reading has cleared. */
  private Optional<Cause> cause(
      Station station,
      List<Station> all,
      Map<String, Standing> upstream,
      Entry proof,
      Instant checked,
      Instant today) {
    List<Cause> causes = new ArrayList<>();
    for (Event event : events) {
      doubt(event.kind(), station, all)
          .filter(d -> event.at().isAfter(d == Doubt.QUICK_CHECK ? checked : proof.at()))
          .ifPresent(d -> causes.add(new Cause.Happened(event, d)));
    }
    for (Station below : all) {
      if (station.restsOn().contains(below.id())) {
        disturbed(below, upstream.get(below.id()), proof.at())
            .ifPresent(since -> causes.add(new Cause.Upstream(below, since)));
      }
    }
    if (Duration.between(proof.at(), today).toDays() > station.holdsDays()) {
      Instant since = proof.at().plus(Duration.ofDays(station.holdsDays()));
      causes.add(new Cause.Aged(since, station.holdsDays()));
    }
    return causes.stream().min(Comparator.comparing(Cause::since));
  }

  /** When the station below went out, or was found out and adjusted, after the proof above it. */
  private Optional<Instant> disturbed(Station below, Standing standing, Instant proof) {
    if (standing instanceof Standing.Out out && out.last().at().isAfter(proof)) {
      return Optional.of(out.last().at());
    }
    return entriesAt(below).stream()
        .filter(e -> e.at().isAfter(proof))
        .filter(e -> e.verdict() == Verdict.ADJUST || e.verdict() == Verdict.STOP)
        .map(Entry::at)
        .findFirst();
  }

  /** Readings with figures, within the limit. */
  private static boolean proves(Entry entry) {
    return entry.verdict() == Verdict.WITHIN && entry.tellingFigure().isPresent();
  }

  private static Optional<Entry> last(List<Entry> entries, Predicate<Entry> wanted) {
    return entries.reversed().stream().filter(wanted).findFirst();
  }

  private static <T> List<T> counting(
      List<T> all,
      Function<T, String> id,
      Function<T, Optional<String>> replaces,
      Predicate<T> withdrawal,
      Comparator<T> order) {
    Map<String, List<T>> replacedBy = new HashMap<>();
    for (T one : all) {
      replaces
          .apply(one)
          .ifPresent(r -> replacedBy.computeIfAbsent(r, k -> new ArrayList<>()).add(one));
    }
    return all.stream()
        .filter(one -> counts(one, id, replacedBy, 0))
        .filter(withdrawal.negate())
        .sorted(order)
        .toList();
  }

  /** Depth is bounded, so that a damaged file whose entries replace one another in a ring ends. */
  private static <T> boolean counts(
      T one, Function<T, String> id, Map<String, List<T>> replacedBy, int depth) {
    return depth > 100
        || replacedBy.getOrDefault(id.apply(one), List.of()).stream()
            .noneMatch(later -> counts(later, id, replacedBy, depth + 1));
  }
}
