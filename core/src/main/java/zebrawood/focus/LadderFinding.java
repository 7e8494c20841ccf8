package zebrawood.focus;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Estimate;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * At which height a ladder's marks are best. All figures are empty where there is no such height.
 *
 * @param depthOfFocusMm full height over which a width grows, or a score falls, by no more than a
 *     tenth
 * @param leftOut indexes of rungs that do not belong to the others
 */
public record LadderFinding(
    Optional<Estimate> focusHeightMm,
    OptionalDouble depthOfFocusMm,
    Optional<FittedLaw> law,
    List<Integer> leftOut,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements WaistFinding {
  @Override
  public Optional<Estimate> place() {
    return focusHeightMm;
  }

  /** Of scores there is no width, and of widths it is another one. */
  @Override
  public OptionalDouble lineWidthAtFocusMm() {
    return OptionalDouble.empty();
  }
}
