package zebrawood.desktop.upkeep;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.ledger.Entry;
import zebrawood.records.kept.KeptReadings;
import zebrawood.upkeep.CleaningProof;
import zebrawood.upkeep.Found;
import zebrawood.upkeep.UpkeepReadings.CounterReading;
import zebrawood.upkeep.UpkeepTask;
import zebrawood.upkeep.UpkeepVisitReadings;
import zebrawood.upkeep.UpkeepVisitReadings.Done;

/** What the visits on record say, oldest first. */
record PastVisits(List<UpkeepVisitReadings> visits) {
  static final PastVisits NONE = new PastVisits(List.of());

  /** When a task was done, and what the counter showed. */
  record Last(LocalDate day, OptionalDouble hours) {}

  static PastVisits of(List<Entry> entries) {
    return new PastVisits(
        entries.stream()
            .flatMap(e -> KeptReadings.read(e, UpkeepVisitReadings.class).stream())
            .sorted(Comparator.comparing(UpkeepVisitReadings::today))
            .toList());
  }

  /** The visits up to a day, in its own order. */
  PastVisits until(LocalDate day) {
    return new PastVisits(visits.stream().filter(v -> !v.today().isAfter(day)).toList());
  }

  /**
   * Readings of a counter that ran backwards since are of another counter, and left out.
   *
   * @param told beside those of the visits, by the controller itself
   */
  List<CounterReading> counter(List<CounterReading> told) {
    List<CounterReading> all = new ArrayList<>(told);
    for (UpkeepVisitReadings visit : visits) {
      visit.counterHours().ifPresent(h -> all.add(new CounterReading(visit.today(), h)));
    }
    all.sort(Comparator.comparing(CounterReading::date));
    List<CounterReading> counter = new ArrayList<>();
    for (CounterReading reading : all) {
      counter.removeIf(r -> r.hours() > reading.hours());
      counter.add(reading);
    }
    return counter;
  }

  private Stream<UpkeepVisitReadings> with(UpkeepTask task) {
    return visits.stream().filter(v -> done(v, task).isPresent());
  }

  private static Optional<Done> done(UpkeepVisitReadings visit, UpkeepTask task) {
    return visit.done().stream().filter(d -> d.task() == task).findFirst();
  }

  Optional<Last> last(UpkeepTask task) {
    return with(task).reduce((a, b) -> b).map(v -> new Last(v.today(), v.counterHours()));
  }

  List<Found> found(UpkeepTask task) {
    return visits.stream().flatMap(v -> done(v, task).stream()).map(Done::found).toList();
  }

  /** Means after earlier cleanings that were tried in the same way. */
  List<Double> leftBefore(CleaningProof.Kind kind) {
    return visits.stream()
        .flatMap(v -> v.proof().stream())
        .filter(t -> t.kind() == kind)
        .map(t -> CleaningProof.of(t).afterMean())
        .toList();
  }
}
