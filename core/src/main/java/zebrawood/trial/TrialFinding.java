package zebrawood.trial;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Estimate;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What a trial piece says of the machine.
 *
 * @param kerfMm of one cut; empty where the comb was not measured
 * @param offXMm by how much the piece is larger than drawn, the kerf added where it is known; as
 *     {@code offYMm}
 * @param worstMm the larger of both, without its sign
 * @param pointsTo ids of the stations that what fails points to, each once, in the order of the
 *     work
 */
public record TrialFinding(
    Optional<Estimate> kerfMm,
    Optional<Estimate> offXMm,
    Optional<Estimate> offYMm,
    OptionalDouble worstMm,
    List<String> pointsTo,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  public TrialFinding {
    pointsTo = List.copyOf(pointsTo);
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }
}
