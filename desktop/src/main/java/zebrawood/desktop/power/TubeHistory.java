package zebrawood.desktop.power;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Stream;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Event;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Ledger;
import zebrawood.power.Ageing;
import zebrawood.power.PowerReadings;
import zebrawood.records.kept.KeptReadings;

/** What earlier entries tell of the tube that is in: those after it was put in, oldest first. */
final class TubeHistory {
  private static final double HOURS_A_DAY = 24;

  /** The figure that a meter reads. */
  private static final String BY_METER = "output";

  private final List<Entry> entries;
  private final List<Event> meterChanges;
  private final Map<String, Optional<String>> meters = new HashMap<>();
  private final Ledger ledger;

  private TubeHistory(Ledger ledger, List<Entry> entries) {
    this.ledger = ledger;
    this.entries = entries;
    meterChanges =
        ledger.events().stream().filter(e -> e.kind() == EventKind.METER_CHANGED).toList();
  }

  /**
   * @param label of the tube that is in; entries of another label are of another tube
   */
  static TubeHistory of(Ledger ledger, List<Entry> entries, String label) {
    Optional<Event> replaced =
        ledger.events().reversed().stream()
            .filter(e -> e.kind() == EventKind.SOURCE_REPLACED)
            .findFirst();
    return new TubeHistory(
        ledger,
        entries.stream()
            .filter(e -> !e.unread())
            .filter(e -> replaced.isEmpty() || ledger.isAfter(e, replaced.get()))
            .filter(e -> sameTube(e, label))
            .toList());
  }

  private static boolean sameTube(Entry entry, String label) {
    String its = labelOf(entry).strip();
    return its.isEmpty() || label.isBlank() || its.equalsIgnoreCase(label.strip());
  }

  /** Earlier versions kept it only as it was typed. */
  private static String labelOf(Entry entry) {
    return KeptReadings.read(entry, PowerReadings.class)
        .flatMap(PowerReadings::tubeLabel)
        .or(() -> KeptReadings.typed(entry).map(typed -> typed.getOrDefault("label", "")))
        .orElse("");
  }

  private static OptionalDouble figure(Entry entry, String id) {
    return entry.figures().stream()
        .filter(f -> f.id().equals(id))
        .mapToDouble(Figure::value)
        .findFirst();
  }

  /** What an entry that decided something said of this last. */
  OptionalDouble last(String id) {
    return entries.reversed().stream()
        .filter(Entry::decided)
        .map(e -> figure(e, id))
        .filter(OptionalDouble::isPresent)
        .findFirst()
        .orElse(OptionalDouble.empty());
  }

  /** What an entry said of this first. */
  OptionalDouble first(String id) {
    return entries.stream()
        .map(e -> figure(e, id))
        .filter(OptionalDouble::isPresent)
        .findFirst()
        .orElse(OptionalDouble.empty());
  }

  private Stream<Entry> with(String id) {
    return entries.stream().filter(e -> figure(e, id).isPresent());
  }

  /** Whether every reading of this has the counter's hours with it. */
  boolean inHours(String id) {
    return with(id).allMatch(e -> figure(e, "hours").isPresent());
  }

  Optional<Instant> start(String id) {
    return with(id).map(Entry::time).findFirst();
  }

  /** Days since the first reading of this. */
  double day(String id, Instant at) {
    return start(id)
        .map(from -> Duration.between(from, at).toMinutes() / 60.0 / HOURS_A_DAY)
        .orElse(0.0);
  }

  List<Ageing.Reading> readings(String id, boolean inHours) {
    Function<Entry, Double> when =
        inHours ? e -> figure(e, "hours").orElseThrow() : e -> day(id, e.time());
    var numbers = new Meters();
    return with(id)
        .map(e ->
            new Ageing.Reading(
                when.apply(e),
                figure(e, id).orElseThrow(),
                id.equals(BY_METER) ? numbers.scale(meterOf(e), changesBefore(e)) : 0))
        .toList();
  }

  /** Of watts that are read now, with this meter. */
  int scale(Optional<String> meter) {
    var numbers = new Meters();
    with(BY_METER).forEach(e -> numbers.scale(meterOf(e), changesBefore(e)));
    return numbers.scale(meter, meterChanges.size());
  }

  /** Read out of the entry's document once: a keystroke asks for it. */
  private Optional<String> meterOf(Entry entry) {
    return meters.computeIfAbsent(
        entry.id(),
        id -> KeptReadings.read(entry, PowerReadings.class).flatMap(r -> r.output().meter()));
  }

  private int changesBefore(Entry entry) {
    return (int) meterChanges.stream().filter(c -> ledger.isAfter(entry, c)).count();
  }

  /**
   * Numbers scales, oldest reading first. A reading without a meter's name is taken to be on the
   * scale of the one before it, unless a change was told between them.
   */
  private static final class Meters {
    private final Map<List<Object>, Integer> scales = new HashMap<>();
    private String name = "";

    int scale(Optional<String> told, int changes) {
      String now = told.map(t -> t.strip().toLowerCase(Locale.ROOT)).orElse(name);
      if (name.isEmpty() && !now.isEmpty() && scales.containsKey(List.of(name, changes))) {
        // It got its name only now.
        scales.put(List.of(now, changes), scales.get(List.of(name, changes)));
      }
      name = now;
      return scales.computeIfAbsent(List.of(name, changes), k -> scaleCount());
    }

    private int scaleCount() {
      return (int) scales.values().stream().distinct().count();
    }
  }

  /** As the counter stood last, or as the entries counted them up. */
  OptionalDouble lastHours() {
    return entries.reversed().stream()
        .map(e -> figure(e, "hours"))
        .filter(OptionalDouble::isPresent)
        .findFirst()
        .orElse(OptionalDouble.empty());
  }

  /**
   * Hours of light in a day, by the counter's first and last reading; empty where it stood still.
   */
  OptionalDouble hoursADay() {
    List<Entry> counted = with("hours").toList();
    if (counted.size() < 2) {
      return OptionalDouble.empty();
    }
    double days =
        Duration.between(counted.getFirst().time(), counted.getLast().time()).toMinutes()
            / 60.0
            / HOURS_A_DAY;
    double hours =
        figure(counted.getLast(), "hours").orElseThrow()
            - figure(counted.getFirst(), "hours").orElseThrow();
    return days > 1 && hours > 0 ? OptionalDouble.of(hours / days) : OptionalDouble.empty();
  }
}
