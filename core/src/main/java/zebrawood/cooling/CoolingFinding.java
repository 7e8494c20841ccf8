package zebrawood.cooling;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.climate.Air;
import zebrawood.climate.Bucket;
import zebrawood.climate.Coldest;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What the cooling came to.
 *
 * @param minutesToCool from the limit back to the start with the machine off, for a bucket
 * @param setPoint where the chiller may be set; none for a bucket
 * @param litresEnough a bucket that would hold the limit for eight hours, or that comes to rest
 *     below it
 */
public record CoolingFinding(
    Air.Finding air,
    Optional<Bucket.Finding> bucket,
    OptionalDouble minutesToCool,
    OptionalDouble litresEnough,
    Optional<Chiller.Finding> chiller,
    Optional<SetPoint> setPoint,
    Optional<Coldest.Finding> coldest,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {}
