package zebrawood.jobfile;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What is wrong with a job file for this machine.
 *
 * @param problems the gravest first
 * @param notJudged what could not be judged, since something of the machine or the file is not
 *     known
 * @param burntMm size of what is burnt, in mm; empty where the unit is not known
 * @param runUpMm what the head needs to come to its speed; empty where that is not known
 * @param seconds how long it takes
 * @param timeBy what the time rests on
 */
public record JobFinding(
    List<JobProblem> problems,
    List<Message> notJudged,
    Optional<Extent> burntMm,
    OptionalDouble runUpMm,
    OptionalDouble seconds,
    TimeBy timeBy,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  /** What a time rests on. */
  public enum TimeBy {
    /** As the controller accelerates. */
    ACCELERATION,
    /** One run that was timed. */
    TIMED_RUN,
    /** As if the head were at speed at once: it takes longer. */
    SPEED_ALONE,
    /** A speed is missing. */
    NOT_KNOWN
  }

  public JobFinding {
    problems = List.copyOf(problems);
    notJudged = List.copyOf(notJudged);
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }
}
