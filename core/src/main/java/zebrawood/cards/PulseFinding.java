package zebrawood.cards;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What a pulsed source does as it is set.
 *
 * @param peakKw energy over length of a pulse; empty where the length is not known
 * @param pulsePitchMm along the path, from pulse to pulse
 * @param overlap along the path: 1 less pitch over spot; below 0 the pulses lie apart
 * @param hatchOverlap across: 1 less hatch over the line's width
 * @param fluenceJCm2 at the middle of a pulse of Gaussian form
 * @param energyJMm2 of all passes, by the ground covered
 * @param pathRatio length of the path over how far it goes on
 * @param secondsPerCm2 beam on, one pass
 */
public record PulseFinding(
    double pulseMj,
    OptionalDouble peakKw,
    double pulsePitchMm,
    double overlap,
    double hatchOverlap,
    double fluenceJCm2,
    double energyJMm2,
    double pathRatio,
    double lineWidthMm,
    double secondsPerCm2,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  public PulseFinding {
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }
}
