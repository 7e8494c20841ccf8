package zebrawood.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Estimate;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What a photographed ramp told; figures as in {@link RampFinding}.
 *
 * @param samples the widths as measured in the picture, with their places in it
 */
public record RampPhotoFinding(
    Optional<Estimate> focusGapMm,
    OptionalDouble thinnestAlongMm,
    OptionalDouble lineWidthAtFocusMm,
    OptionalDouble depthOfFocusMm,
    boolean higherLaw,
    Optional<FittedLaw> law,
    List<Sample> samples,
    List<Integer> leftOut,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements WaistFinding {
  public RampPhotoFinding {
    samples = List.copyOf(samples);
  }

  RampPhotoFinding warning(Message more) {
    List<Message> all = new ArrayList<>(warnings);
    all.add(more);
    return with(samples, all);
  }

  RampPhotoFinding withSamples(List<Sample> its) {
    return with(its, warnings);
  }

  private RampPhotoFinding with(List<Sample> its, List<Message> warned) {
    return new RampPhotoFinding(
        focusGapMm,
        thinnestAlongMm,
        lineWidthAtFocusMm,
        depthOfFocusMm,
        higherLaw,
        law,
        its,
        leftOut,
        verdict,
        advice,
        warned);
  }

  @Override
  public Optional<Estimate> place() {
    return focusGapMm;
  }

  /**
   * One width.
   *
   * @param widthUncertaintyMm one standard deviation
   * @param xPx of the line's middle in the picture
   */
  public record Sample(
      double alongMm, double lineWidthMm, double widthUncertaintyMm, double xPx, double yPx) {
    Sample withError(double share) {
      return new Sample(alongMm, lineWidthMm, share * widthUncertaintyMm, xPx, yPx);
    }
  }
}
