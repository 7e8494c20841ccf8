package zebrawood.bed;

import zebrawood.measure.Finding;

/** What the findings for screws and for shims have in common. */
public sealed interface LevelFinding extends Finding permits BedFinding, ShimFinding {
  double slopeXMmPerM();

  double slopeXMmPerMUncertainty();

  double slopeYMmPerM();

  double slopeYMmPerMUncertainty();

  double peakToValleyNowMm();

  double peakToValleyAfterMm();

  double warpMm();

  Spot highest();

  Spot lowest();
}
