package zebrawood.upkeep;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What one visit comes to.
 *
 * @param plan after it; empty while nobody knows of anything when it was done
 * @param lines each task, in the order of the work
 * @param minutes of what is due and not done yet
 * @param dueInDays until something is due again; empty where nothing tells it
 * @param proof whether cleaning helped
 * @param runsOut when what is on the shelf is used up, the first first
 */
public record UpkeepVisitFinding(
    Optional<UpkeepFinding> plan,
    List<Line> lines,
    int minutes,
    OptionalInt dueInDays,
    Optional<CleaningProof> proof,
    List<RunsOut> runsOut,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  public UpkeepVisitFinding {
    lines = List.copyOf(lines);
    runsOut = List.copyOf(runsOut);
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }

  /**
   * One task.
   *
   * @param due as it stands after the visit; empty where nothing tells it
   * @param lateDays before the visit
   * @param done on this visit
   */
  public record Line(
      UpkeepTask task, Optional<LocalDate> due, int lateDays, Turn turn, boolean done) {}

  /** Whether a task's turn has come. */
  public enum Turn {
    /** Nobody knows when it was done last. */
    NEVER_DONE,
    DUE,
    SOON,
    LATER,
    /** Nothing tells yet. */
    WAITS
  }

  /** Something that is used up on a day. */
  public record RunsOut(String what, LocalDate on) {}

  /** What is to be done now. */
  public List<Line> open() {
    return lines.stream()
        .filter(l -> !l.done() && (l.turn() == Turn.DUE || l.turn() == Turn.NEVER_DONE))
        .toList();
  }
}
