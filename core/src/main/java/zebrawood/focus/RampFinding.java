package zebrawood.focus;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Estimate;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Where a ramp's line is thinnest. All figures are empty where its widths grow from no middle.
 *
 * @param focusGapMm from the reference to the surface where it is thinnest
 * @param thinnestAlongMm where that is along the board
 * @param depthOfFocusMm full height over which the line stays within a tenth of its thinnest
 * @param higherLaw whether a law with one more term than a Gaussian beam's fits clearly better
 * @param leftOut indexes of samples that do not belong to the line
 */
public record RampFinding(
    Optional<Estimate> focusGapMm,
    OptionalDouble thinnestAlongMm,
    OptionalDouble lineWidthAtFocusMm,
    OptionalDouble depthOfFocusMm,
    boolean higherLaw,
    Optional<FittedLaw> law,
    List<Integer> leftOut,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements WaistFinding {
  @Override
  public Optional<Estimate> place() {
    return focusGapMm;
  }
}
