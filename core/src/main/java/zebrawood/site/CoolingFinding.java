package zebrawood.site;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;

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
    List<String> advice,
    List<String> warnings)
    implements Finding {}
