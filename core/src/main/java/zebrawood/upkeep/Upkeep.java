package zebrawood.upkeep;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.measure.OrNull;
import zebrawood.measure.Verdict;
import zebrawood.upkeep.UpkeepFinding.Due;
import zebrawood.upkeep.UpkeepFinding.PlannedVisit;
import zebrawood.upkeep.UpkeepReadings.CounterReading;
import zebrawood.upkeep.UpkeepReadings.Task;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What is due when, and what is done together. A task is due after its days, rounded down, or on
 * the day on which the counter will come to its hours, whichever is earlier. A visit is on the
 * earliest due day, today where that is past, and takes along what is due within a week; what is
 * done on it is due again counted from it, no sooner than on the next day. The plan ends after 90
 * days.
 *
 * <p>The rule of intervals is a multiplicative one, by 1.15 and 0.7 for each time it was found
 * clean or dirty, within half and twice what was given.
 */
public final class Upkeep {
  private static final int AHEAD_DAYS = 90;
  private static final int TOGETHER_DAYS = 7;
  private static final double HOURS_A_DAY = 24;

  private final UpkeepReadings r;
  private final Pace pace;

  private Upkeep(UpkeepReadings r) {
    this.r = r;
    pace = Pace.of(r.counter(), r.today());
  }

  public static UpkeepFinding solve(UpkeepReadings r) {
    return new Upkeep(r).planned();
  }

  private UpkeepFinding planned() {
    List<Due> tasks = r.tasks().stream().map(this::due).toList();
    List<PlannedVisit> visits = visits(tasks);
    boolean unknown = tasks.stream().anyMatch(t -> t.dueDate().value().isEmpty());
    boolean due = tasks.stream().anyMatch(this::isDue);
    return new UpkeepFinding(
        pace.hoursPerDay(),
        pace.uncertainty(),
        tasks,
        visits,
        unknown ? Verdict.MEASURE_AGAIN : due ? Verdict.ADJUST : Verdict.WITHIN,
        advice(tasks, visits),
        warnings(tasks));
  }

  private boolean isDue(Due task) {
    return task.dueDate().value().filter(d -> !d.isAfter(r.today())).isPresent();
  }

  private Due due(Task task) {
    OptionalDouble days = Interval.adapted(task.everyDays(), task.found());
    OptionalDouble hours = Interval.adapted(task.everyHours(), task.found());
    OptionalDouble dueHours =
        hours.isPresent() && task.lastHours().isPresent()
            ? OptionalDouble.of(task.lastHours().getAsDouble() + hours.getAsDouble())
            : OptionalDouble.empty();
    Optional<LocalDate> date =
        earlier(
            byDays(task.lastDate(), days),
            dueHours.isPresent() ? pace.when(dueHours.getAsDouble()) : Optional.empty());
    long late = date.map(d -> ChronoUnit.DAYS.between(d, r.today())).orElse(0L);
    return new Due(task.id(), days, hours, new OrNull<>(date), dueHours, (int) Math.max(0, late));
  }

  private static Optional<LocalDate> byDays(LocalDate from, OptionalDouble days) {
    return days.isPresent()
        ? Optional.of(from.plusDays(Interval.wholeDays(days.getAsDouble())))
        : Optional.empty();
  }

  private static Optional<LocalDate> earlier(Optional<LocalDate> a, Optional<LocalDate> b) {
    return Stream.concat(a.stream(), b.stream()).min(LocalDate::compareTo);
  }

  private List<PlannedVisit> visits(List<Due> tasks) {
    LocalDate end = r.today().plusDays(AHEAD_DAYS);
    Map<String, LocalDate> next = new HashMap<>();
    tasks.forEach(t -> t.dueDate().value().ifPresent(d -> next.put(t.id(), d)));
    List<PlannedVisit> visits = new ArrayList<>();
    for (Optional<LocalDate> first = first(next); first.isPresent(); first = first(next)) {
      LocalDate on = first.get().isBefore(r.today()) ? r.today() : first.get();
      if (on.isAfter(end)) {
        break;
      }
      List<Due> done =
          tasks.stream()
              .filter(t -> next.containsKey(t.id()))
              .filter(t -> !next.get(t.id()).isAfter(on.plusDays(TOGETHER_DAYS)))
              .toList();
      visits.add(new PlannedVisit(on, done.stream().map(Due::id).toList()));
      done.forEach(t -> next.put(t.id(), again(t, on)));
    }
    return visits;
  }

  private static Optional<LocalDate> first(Map<String, LocalDate> next) {
    return next.values().stream().min(LocalDate::compareTo);
  }

  /** What has a day at all has another one after it. */
  private LocalDate again(Due task, LocalDate done) {
    LocalDate tomorrow = done.plusDays(1);
    LocalDate due =
        earlier(
                byDays(done, task.everyDays()),
                task.everyHours().isPresent()
                    ? pace.after(done, task.everyHours().getAsDouble())
                    : Optional.empty())
            .orElse(LocalDate.MAX);
    return due.isBefore(tomorrow) ? tomorrow : due;
  }

  private List<Advice> advice(List<Due> tasks, List<PlannedVisit> visits) {
    List<Advice> advice = new ArrayList<>();
    for (Due task : tasks) {
      if (task.overdueDays() > 0) {
        advice.add(
            Advice.act("upkeep.do", Message.verbatim(task.id()))
                .because("upkeep.late", task.overdueDays()));
      } else if (isDue(task)) {
        advice.add(
            Advice.act("upkeep.do", Message.verbatim(task.id())).because("upkeep.due-today"));
      }
    }
    for (Due task : tasks) {
      if (task.dueDate().value().isEmpty()) {
        advice.add(
            Advice.read("upkeep.read-counter")
                .because("upkeep.waits", Message.verbatim(task.id())));
      }
    }
    if (advice.isEmpty()) {
      advice.add(
          visits.isEmpty()
              ? Advice.leave("upkeep.nothing-ahead")
              : Advice.leave(
                  "upkeep.next-visit", Message.verbatim(visits.getFirst().date().toString())));
    }
    return advice;
  }

  private List<Message> warnings(List<Due> tasks) {
    List<Message> warnings = new ArrayList<>();
    boolean byHours = tasks.stream().anyMatch(t -> t.everyHours().isPresent());
    if (byHours && !pace.counts()) {
      warnings.add(
          Message.of(
              r.counter().isEmpty()
                  ? "upkeep.no-counter"
                  : pace.hoursPerDay().isPresent() ? "upkeep.stands" : "upkeep.few-readings"));
    }
    if (pace.hoursPerDay().orElse(0) > HOURS_A_DAY) {
      warnings.add(Message.of("upkeep.longer-than-a-day"));
    }
    for (Task task : r.tasks()) {
      if (task.everyHours().isPresent() && task.lastHours().isEmpty()) {
        warnings.add(Message.of("upkeep.last-hours-missing", Message.verbatim(task.id())));
      }
    }
    pace.last().ifPresent(last -> againstCounter(tasks, last, warnings));
    return warnings;
  }

  private void againstCounter(List<Due> tasks, CounterReading last, List<Message> warnings) {
    for (Task task : r.tasks()) {
      boolean ahead =
          task.lastHours().orElse(0) > last.hours() && !task.lastDate().isAfter(last.date());
      if (ahead) {
        warnings.add(Message.of("upkeep.ahead-of-counter", Message.verbatim(task.id())));
      }
    }
    if (!pace.counts()) {
      for (Due task : tasks) {
        if (task.dueHours().orElse(Double.MAX_VALUE) <= last.hours()) {
          warnings.add(Message.of("upkeep.hours-run-out", Message.verbatim(task.id())));
        }
      }
    }
  }
}
