package zebrawood.bed;

import java.util.List;
import zebrawood.measure.Estimate;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What the readings say of a bed or head on feet.
 *
 * @param slopeXMmPerM of the bed's surface, rising to the right; for a fixed head, of its ring over
 *     the table, positive when its right side is higher
 * @param slopeYMmPerM the same to the rear
 * @param peakToValleyAfterMm predicted with the exact shims
 * @param warpMm the same figure: what no shim cures
 */
public record ShimFinding(
    Estimate slopeXMmPerM,
    Estimate slopeYMmPerM,
    List<Shim> shims,
    double peakToValleyNowMm,
    double peakToValleyAfterMm,
    double warpMm,
    Spot highest,
    Spot lowest,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements LevelFinding {}
