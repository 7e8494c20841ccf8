package zebrawood.fault;

import java.util.List;
import zebrawood.measure.Finding;
import zebrawood.measure.OrNull;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Which cause it may be, and what tells soonest.
 *
 * @param pattern how it lies over the bed; null where no squares were graded
 * @param causes with their probabilities, the likeliest first
 * @param next the test with the most expected bits a minute; null once one cause has 95 %
 * @param tests all that can be made, the one that tells most a minute first
 * @param minutesSpent on all answers
 */
public record FaultFinding(
    OrNull<Pattern.Shape> pattern,
    List<Weighed> causes,
    OrNull<NextTest> next,
    List<NextTest> tests,
    int minutesSpent,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  public FaultFinding {
    causes = List.copyOf(causes);
    tests = List.copyOf(tests);
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }

  /** A cause, and how likely it is. */
  public record Weighed(Cause id, double probability) {}

  /**
   * A test worth making.
   *
   * @param bits that it is expected to tell of which cause it is
   */
  public record NextTest(CauseTest test, int minutes, double bits) {}

  public Weighed likeliest() {
    return causes.getFirst();
  }
}
