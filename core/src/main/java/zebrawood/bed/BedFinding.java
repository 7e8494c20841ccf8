package zebrawood.bed;

import java.util.List;
import zebrawood.measure.Estimate;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What the readings say of a bed on screws.
 *
 * @param slopeXMmPerM rise of the surface to the right
 * @param slopeYMmPerM rise of the surface to the rear
 * @param peakToValleyNowMm highest to lowest as read
 * @param peakToValleyAfterMm the same as predicted after the exact turns
 * @param peakToValleyAfterEighthsMm the same after the turns rounded to eighths
 * @param warpMm highest to lowest that the plane leaves over, which no screw cures
 * @param highest where the surface stands highest above its plane
 * @param lowest where it lies lowest below it
 */
public record BedFinding(
    Estimate slopeXMmPerM,
    Estimate slopeYMmPerM,
    List<ScrewTurn> screws,
    double peakToValleyNowMm,
    double peakToValleyAfterMm,
    double peakToValleyAfterEighthsMm,
    double warpMm,
    Spot highest,
    Spot lowest,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements LevelFinding {}
