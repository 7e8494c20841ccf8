package zebrawood.upkeep;

import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Finding;
import zebrawood.measure.OrNull;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What is due, and on which days.
 *
 * @param hoursPerDay of beam; empty where the counter does not tell it
 * @param hoursPerDaySpread one standard deviation of it, where there are enough readings
 * @param tasks in the order given
 * @param visits of the next 90 days
 */
public record UpkeepFinding(
    OptionalDouble hoursPerDay,
    OptionalDouble hoursPerDaySpread,
    List<Due> tasks,
    List<PlannedVisit> visits,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  public UpkeepFinding {
    tasks = List.copyOf(tasks);
    visits = List.copyOf(visits);
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }

  /**
   * When a task's turn comes.
   *
   * @param everyDays as adapted
   * @param everyHours as adapted
   * @param dueDate the earlier of days and hours; null where nothing tells it
   * @param dueHours on the counter
   * @param overdueDays 0 where it is not
   */
  public record Due(
      String id,
      OptionalDouble everyDays,
      OptionalDouble everyHours,
      OrNull<LocalDate> dueDate,
      OptionalDouble dueHours,
      int overdueDays) {}

  /** A day, and what is done on it. */
  public record PlannedVisit(LocalDate date, List<String> tasks) {
    public PlannedVisit {
      tasks = List.copyOf(tasks);
    }
  }

  /** When this task's turn comes. */
  public Due due(String id) {
    return tasks.stream().filter(t -> t.id().equals(id)).findFirst().orElseThrow();
  }
}
