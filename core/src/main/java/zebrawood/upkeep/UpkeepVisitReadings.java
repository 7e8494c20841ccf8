package zebrawood.upkeep;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.measure.Accepts;
import zebrawood.upkeep.UpkeepReadings.CounterReading;
import zebrawood.upkeep.UpkeepReadings.Task;

/**
 * One visit.
 *
 * @param counterHours as read on it; empty where nobody read it
 * @param counterBefore on earlier visits
 * @param tasks as they stood before it, in the order of the work
 * @param done on it, and how it was found
 * @param proof whether cleaning helped; empty where nobody tried
 * @param shelf what is kept for it
 */
public record UpkeepVisitReadings(
    LocalDate today,
    School school,
    OptionalDouble counterHours,
    List<CounterReading> counterBefore,
    List<Watched> tasks,
    List<Done> done,
    Optional<CleaningProof.Tries> proof,
    List<Shelf> shelf) {
  private static final int WEEK = 7;

  /**
   * A task, and what is known of it.
   *
   * @param last when it was done last; empty where nobody knows
   */
  public record Watched(
      UpkeepTask task,
      OptionalDouble everyDays,
      OptionalDouble everyHours,
      Optional<LocalDate> last,
      OptionalDouble lastHours,
      List<Found> found) {
    public Watched {
      found = List.copyOf(found);
    }

    /** The same, done today. */
    Watched done(LocalDate today, OptionalDouble hours, Found now) {
      List<Found> all = new ArrayList<>(found);
      all.add(now);
      return new Watched(task, everyDays, everyHours, Optional.of(today), hours, all);
    }

    /** As a workshop of this school goes by it; empty where nobody knows when it was done. */
    Optional<Task> as(School school) {
      return last.map(day ->
          switch (school) {
            case BY_LOOK -> new Task(task.id(), everyDays, everyHours, day, lastHours, found);
            case BY_HOURS ->
                everyHours.isPresent()
                    ? new Task(task.id(), OptionalDouble.empty(), everyHours, day, lastHours, found)
                    : new Task(task.id(), everyDays, everyHours, day, lastHours, found);
            case WEEKLY ->
                new Task(task.id(), weeks(), OptionalDouble.empty(), day, lastHours, List.of());
          });
    }

    private OptionalDouble weeks() {
      return everyDays.isPresent()
          ? OptionalDouble.of(WEEK * Math.max(1, Math.round(everyDays.getAsDouble() / WEEK)))
          : everyHours.isPresent() ? OptionalDouble.of(WEEK) : everyDays;
    }
  }

  /** What was done, and how it was found. */
  public record Done(UpkeepTask task, Found found) {}

  /**
   * Something on the shelf.
   *
   * @param left how many of it
   * @param lastsDays one of it
   */
  public record Shelf(String what, double left, double lastsDays) {}

  public UpkeepVisitReadings {
    counterBefore = List.copyOf(counterBefore);
    tasks = List.copyOf(tasks);
    done = List.copyOf(done);
    shelf = List.copyOf(shelf);
    var accepts = new Accepts();
    counterHours.ifPresent(h -> accepts.between("counterHours", h, 0, UpkeepReadings.MOST_HOURS));
    accepts.distinct("done", done.stream().map(d -> d.task().id()).toList());
    for (int i = 0; i < shelf.size(); i++) {
      accepts
          .filled("shelf[" + i + "].what", shelf.get(i).what())
          .between("shelf[" + i + "].left", shelf.get(i).left(), 0, 100_000)
          .positive("shelf[" + i + "].lastsDays", shelf.get(i).lastsDays(), 36_525);
    }
    accepts.orThrow();
  }

  /** What the counter showed, today's included. */
  public List<CounterReading> counter() {
    return Stream.concat(
            counterBefore.stream(),
            counterHours.isPresent()
                ? Stream.of(new CounterReading(today, counterHours.getAsDouble()))
                : Stream.empty())
        .toList();
  }

  /** Each task as it stands after the visit. */
  public List<Watched> after() {
    return tasks.stream()
        .map(w ->
            done.stream()
                .filter(d -> d.task() == w.task())
                .findFirst()
                .map(d -> w.done(today, counterHours, d.found()))
                .orElse(w))
        .toList();
  }

  /** Something is due again: the plan before anything was done, or after it. */
  Optional<UpkeepReadings> plan(List<Watched> now) {
    List<Task> known = now.stream().flatMap(w -> w.as(school).stream()).toList();
    return known.isEmpty()
        ? Optional.empty()
        : Optional.of(new UpkeepReadings(today, counter(), known));
  }
}
