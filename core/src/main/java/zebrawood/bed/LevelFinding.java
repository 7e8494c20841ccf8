package zebrawood.bed;

import zebrawood.measure.Estimate;

/** What the findings for screws and for shims have in common. */
public sealed interface LevelFinding extends BedVisitFinding permits BedFinding, ShimFinding {
  Estimate slopeXMmPerM();

  Estimate slopeYMmPerM();

  double peakToValleyNowMm();

  double peakToValleyAfterMm();

  double warpMm();

  Spot highest();

  Spot lowest();
}
