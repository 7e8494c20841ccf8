package zebrawood.upkeep;

import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * What is to be looked after, and how many hours the machine has run.
 *
 * @param counter in any order; empty where nothing counts its hours
 */
public record UpkeepReadings(LocalDate today, List<CounterReading> counter, List<Task> tasks) {
  private static final int MOST_READINGS = 4000;
  private static final int MOST_TASKS = 300;
  private static final int MOST_FOUND = 2000;
  private static final double MOST_DAYS = 36_525;

  /** More than a hundred years of days and nights. */
  static final double MOST_HOURS = 1e6;

  private static final LocalDate EARLIEST = LocalDate.of(1900, 1, 1);
  private static final LocalDate LATEST = LocalDate.of(2500, 1, 1);

  /** What the hours counter showed on a day. */
  public record CounterReading(LocalDate date, double hours) {}

  /**
   * One thing to look after.
   *
   * @param everyDays by the calendar; empty where only hours count
   * @param everyHours of beam; empty where only days count
   * @param lastDate when it was done last
   * @param lastHours on the counter then; empty where nobody read it
   * @param found how it was found, oldest first
   */
  public record Task(
      String id,
      OptionalDouble everyDays,
      OptionalDouble everyHours,
      LocalDate lastDate,
      OptionalDouble lastHours,
      List<Found> found) {
    public Task {
      found = List.copyOf(found);
    }
  }

  public UpkeepReadings {
    counter = List.copyOf(counter);
    tasks = List.copyOf(tasks);
    var accepts = new Accepts();
    if (today.isBefore(EARLIEST) || today.isAfter(LATEST)) {
      accepts.complain("today", said(today), between(EARLIEST, LATEST));
      accepts.orThrow();
    }
    accepts
        .atMost("counter", counter, MOST_READINGS)
        .atLeast("tasks", tasks, 1, "upkeep.count.tasks")
        .atMost("tasks", tasks, MOST_TASKS)
        .distinct("tasks", tasks.stream().map(Task::id).toList());
    for (int i = 0; i < counter.size(); i++) {
      String at = "counter[" + i + "].";
      past(accepts, at + "date", counter.get(i).date(), today);
      accepts.between(at + "hours", counter.get(i).hours(), 0, MOST_HOURS);
    }
    if (accepts.fine()) {
      backwards(accepts, counter);
    }
    for (int i = 0; i < tasks.size(); i++) {
      check(accepts, "tasks[" + i + "].", tasks.get(i), today);
    }
    accepts.orThrow();
  }

  private static void check(Accepts accepts, String at, Task task, LocalDate today) {
    accepts.filled(at + "id", task.id());
    task.everyDays().ifPresent(d -> accepts.positive(at + "everyDays", d, MOST_DAYS));
    task.everyHours().ifPresent(h -> accepts.positive(at + "everyHours", h, MOST_HOURS));
    if (task.everyDays().isEmpty() && task.everyHours().isEmpty()) {
      accepts.complain(
          at + "everyDays",
          Message.of("upkeep.accepts.neither"),
          Message.of("upkeep.accepts.interval"));
    }
    past(accepts, at + "lastDate", task.lastDate(), today);
    task.lastHours().ifPresent(h -> accepts.between(at + "lastHours", h, 0, MOST_HOURS));
    accepts.atMost(at + "found", task.found(), MOST_FOUND);
  }

  private static void past(Accepts accepts, String field, LocalDate date, LocalDate today) {
    if (date.isBefore(EARLIEST) || date.isAfter(today)) {
      accepts.complain(field, said(date), between(EARLIEST, today));
    }
  }

  /** Readings of one day may stand in any order. */
  private static void backwards(Accepts accepts, List<CounterReading> counter) {
    List<CounterReading> sorted = Pace.inOrder(counter);
    for (int i = 1; i < sorted.size(); i++) {
      CounterReading before = sorted.get(i - 1);
      CounterReading now = sorted.get(i);
      if (now.hours() < before.hours()) {
        accepts.complain(
            "counter[" + counter.indexOf(now) + "].hours",
            now.hours(),
            Message.of(
                "upkeep.accepts.no-less", Message.number(before.hours()), said(before.date())));
        return;
      }
    }
  }

  private static Message said(LocalDate date) {
    return Message.verbatim(date.toString());
  }

  private static Message between(LocalDate first, LocalDate last) {
    return Message.of("upkeep.accepts.dates", said(first), said(last));
  }
}
