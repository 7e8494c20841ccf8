package zebrawood.lens;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Spot and depth of a beam behind a lens; diameters to 1/e^2.
 *
 * @param spotMm root of the squares' sum of both spots
 * @param depthOfFieldMm full depth over which the spot grows by no more than a twentieth
 * @param edgeSpotMm at both faces of stock that is focused in its middle
 */
public record LensFinding(
    double diffractionSpotMm,
    double aberrationSpotMm,
    double spotMm,
    double rayleighRangeMm,
    double depthOfFieldMm,
    OptionalDouble edgeSpotMm,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  /** The spot at a distance from the focus, along the beam. */
  public double spotAtMm(double fromFocusMm) {
    double z = fromFocusMm / rayleighRangeMm;
    return Math.hypot(diffractionSpotMm * Math.hypot(1, z), aberrationSpotMm);
  }
}
