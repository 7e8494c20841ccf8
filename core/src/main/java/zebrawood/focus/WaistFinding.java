package zebrawood.focus;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Estimate;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;

/** What a ramp, a photographed one and a ladder find alike: where a line is thinnest. */
sealed interface WaistFinding extends Finding permits RampFinding, RampPhotoFinding, LadderFinding {
  /** The gap or height; empty where widths grow from no middle. */
  Optional<Estimate> place();

  OptionalDouble lineWidthAtFocusMm();

  OptionalDouble depthOfFocusMm();

  Optional<FittedLaw> law();

  /** Whether the place lies well inside of the readings and is known well enough. */
  default boolean decided() {
    return verdict() != Verdict.MEASURE_AGAIN;
  }
}
