package zebrawood.rotary;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Estimate;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What a rotary is to be set to, and what comes of it.
 *
 * @param stepsPerTurnFound by a line once round in a chuck
 * @param changeFactor of what is set now
 * @param seamMm one deviation of the joint of a picture once round
 * @param stripMm round the work, over which it falls by no more than the depth of focus
 * @param tiltDeg that brings the top line of a cone level
 * @param fallMm of the top line along the artwork, not tilted
 * @param stretchLarge of the artwork at its end of the larger diameter, as {@code stretchSmall}
 * @param arcRadiusMm of the artwork's middle line, drawn flat so that it lies straight on the cone
 * @param axisMrad of the beam's way from the work's axis, to the rear at the far end
 * @param middleMm of the crown from the beam, to the rear
 */
public record RotaryFinding(
    Estimate stepsPerMm,
    OptionalDouble stepsPerTurnFound,
    OptionalDouble changeFactor,
    double circumferenceMm,
    double seamMm,
    double stripMm,
    int strips,
    double tiltDeg,
    double fallMm,
    double stretchLarge,
    double stretchSmall,
    OptionalDouble arcRadiusMm,
    Optional<Estimate> axisMrad,
    Optional<Estimate> middleMm,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  public RotaryFinding {
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }
}
