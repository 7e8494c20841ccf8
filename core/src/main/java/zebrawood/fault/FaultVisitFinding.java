package zebrawood.fault;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * How a case stands.
 *
 * @param found what it may be; empty where the machine is dead
 * @param before how likely each cause was before anything was seen or tried, by the record alone
 * @param minutesToSure expected, making the test that tells most each time
 * @param minutesInFixedOrder expected, making the tests in the order in which they are taught
 * @param closed proven by the same piece burnt again
 */
public record FaultVisitFinding(
    Optional<FaultFinding> found,
    List<FaultFinding.Weighed> before,
    OptionalDouble minutesToSure,
    OptionalDouble minutesInFixedOrder,
    boolean closed,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  public FaultVisitFinding {
    before = List.copyOf(before);
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }
}
