package zebrawood.ledger;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.machine.Machine;

/**
 * What the readings of a station with a subject are of: the lens, configuration or stock that is on
 * the machine, as its record says.
 */
record Subjects(Machine machine, Map<String, List<Entry>> byStation, List<Event> events) {
  /** As the last event that named one of its kind said. */
  Optional<String> fitted(SubjectKind kind) {
    return events.reversed().stream()
        .filter(e -> e.kind().names().equals(Optional.of(kind)))
        .flatMap(e -> e.subject().stream())
        .findFirst();
  }

  /**
   * What is fitted, and without an event that says so, what the station's last entry was of. Empty
   * where nobody said it.
   */
  Optional<String> now(Station station) {
    return station
        .subject()
        .flatMap(kind ->
            named(kind)
                .or(() ->
                    of(station).reversed().stream().flatMap(e -> e.subject().stream()).findFirst())
                .or(() -> onlyOne(kind, station)));
  }

  /** The same in short: of a stock without the lens, which other stations name. */
  Optional<String> inShort(Station station) {
    return station.subject().equals(Optional.of(SubjectKind.STOCK))
        ? fitted(SubjectKind.STOCK).or(() -> now(station))
        : now(station);
  }

  /** A stock is burnt through a lens: its figures are of both. */
  private Optional<String> named(SubjectKind kind) {
    Optional<String> named = fitted(kind);
    return kind == SubjectKind.STOCK
        ? named.map(stock -> fitted(SubjectKind.LENS).map(l -> stock + ", " + l).orElse(stock))
        : named;
  }

  private List<Entry> of(Station station) {
    return byStation.getOrDefault(station.id(), List.of());
  }

  /**
   * Of one lens that the machine has, nobody asks which it is, unless something was read of none.
   */
  private Optional<String> onlyOne(SubjectKind kind, Station station) {
    List<String> names = kind == SubjectKind.LENS ? machine.lensNames() : List.of();
    return names.size() == 1 && of(station).isEmpty()
        ? Optional.of(names.getFirst())
        : Optional.empty();
  }
}
