package zebrawood.power;

import java.util.List;
import java.util.Optional;
import zebrawood.measure.Estimate;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Where the dial is to stand.
 *
 * @param dialPercent empty where the ceiling lies outside of what was read
 * @param softwareFullScaleMa what "100 %" of the job software is from then on
 */
public record CeilingFinding(
    double capMa,
    Optional<Estimate> dialPercent,
    double softwareFullScaleMa,
    double highestSampleMa,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {}
