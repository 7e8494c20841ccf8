package zebrawood.bed;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.ledger.Figure;
import zebrawood.measure.Finding;
import zebrawood.measure.ShimStacks;
import zebrawood.quantity.Quantity;

/** One complete set of readings of the bed station, in any of the ways to read it. */
public sealed interface BedTask {
  /** The bed stands on screws. */
  record OnScrews(BedReadings readings) implements BedTask {}

  /**
   * A bed without screws, or a fixed head, that is shimmed.
   *
   * @param underHead whether the shims go under the column of a fixed head
   * @param atHandMm thicknesses that stacks are made of
   */
  record OnShims(ShimReadings readings, boolean underHead, List<Double> atHandMm)
      implements BedTask {
    public OnShims {
      atHandMm = List.copyOf(atHandMm);
    }

    /** A stack for each shim of the finding, in the same order. */
    public List<ShimStacks.Stack> stacks(ShimFinding finding) {
      var stacks = new ShimStacks(atHandMm, readings.toleranceMm() / 8);
      return finding.shims().stream()
          .map(s -> stacks.stackFor(Math.min(s.thicknessMm(), ShimStacks.THICKEST_MM)))
          .toList();
    }

    /** Highest to lowest as predicted with those stacks. */
    public double afterStacksMm(ShimFinding finding) {
      return Shimming.afterStacksMm(readings, stacks(finding), underHead);
    }
  }

  /** The quick check with a gauge that is only felt. */
  record ByFeel(FeelCheck.FeelReadings readings) implements BedTask {}

  default Finding solve() {
    return switch (this) {
      case OnScrews(BedReadings readings) -> Levelling.solve(readings);
      case OnShims shims when shims.underHead() -> Shimming.underHead(shims.readings());
      case OnShims shims -> Shimming.underBed(shims.readings());
      case ByFeel(FeelCheck.FeelReadings readings) -> FeelCheck.judge(readings);
    };
  }

  /** The limit of highest to lowest; a felt check has none. */
  default OptionalDouble toleranceMm() {
    return switch (this) {
      case OnScrews(BedReadings readings) -> OptionalDouble.of(readings.toleranceMm());
      case OnShims shims -> OptionalDouble.of(shims.readings().toleranceMm());
      case ByFeel felt -> OptionalDouble.empty();
    };
  }

  /** What the notebook shows of a finding; the telling figure first. A felt check has none. */
  default List<Figure> figures(Finding finding) {
    if (!(finding instanceof LevelFinding f)) {
      return List.of();
    }
    double limitMm = toleranceMm().orElseThrow();
    return List.of(
        Figure.of("highToLow", f.peakToValleyNowMm(), Quantity.LENGTH).limited(limitMm),
        Figure.of("slopeX", f.slopeXMmPerM(), Quantity.SLOPE)
            .uncertain(f.slopeXMmPerMUncertainty()),
        Figure.of("slopeY", f.slopeYMmPerM(), Quantity.SLOPE)
            .uncertain(f.slopeYMmPerMUncertainty()),
        Figure.of("warp", f.warpMm(), Quantity.LENGTH));
  }
}
