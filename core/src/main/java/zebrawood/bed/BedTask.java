package zebrawood.bed;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.ledger.Figure;
import zebrawood.measure.ShimStacks;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.station.Visit;
import zebrawood.words.Message;

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
          .map(s -> stacks.stackFor(Math.min(s.thicknessMm().value(), ShimStacks.THICKEST_MM)))
          .toList();
    }

    /** Highest to lowest as predicted with those stacks. */
    public double afterStacksMm(ShimFinding finding) {
      return Shimming.afterStacksMm(readings, stacks(finding), underHead);
    }
  }

  /** The quick check with a gauge that is only felt. */
  record ByFeel(FeelCheck.FeelReadings readings) implements BedTask {}

  Visit<BedTask, BedVisitFinding> VISIT =
      Visit.of(BedTask.class, BedVisitFinding.class, BedTask::solve, BedTask::figures)
          .saying(BedTask::said);

  default BedVisitFinding solve() {
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
  default List<Figure> figures(BedVisitFinding finding) {
    if (!(finding instanceof LevelFinding f)) {
      return List.of();
    }
    double limitMm = toleranceMm().orElseThrow();
    return List.of(
        Figure.of("highToLow", f.peakToValleyNowMm(), Quantity.LENGTH).limited(limitMm),
        Figure.of("slopeX", f.slopeXMmPerM(), Quantity.SLOPE),
        Figure.of("slopeY", f.slopeYMmPerM(), Quantity.SLOPE),
        Figure.of("warp", f.warpMm(), Quantity.LENGTH));
  }

  /** What is left after the turns or shims as they can really be made. */
  default double afterRoundingMm(LevelFinding level) {
    return switch (level) {
      case BedFinding f -> f.peakToValleyAfterEighthsMm();
      case ShimFinding f -> ((OnShims) this).afterStacksMm(f);
    };
  }

  /** Now, after, what rounding costs, and the slopes; nothing of what was only felt. */
  default List<Message> said(BedVisitFinding finding) {
    if (!(finding instanceof LevelFinding level)) {
      return List.of();
    }
    double rounded = afterRoundingMm(level);
    return List.of(
        Message.of(
            level instanceof BedFinding ? "bed.summary.screws" : "bed.summary.shims",
            Amount.mm(level.peakToValleyNowMm(), 2),
            Amount.mm(level.peakToValleyAfterMm(), 2),
            Amount.mm(rounded, 2),
            Amount.mm(Math.max(0, asShown(rounded) - asShown(level.peakToValleyAfterMm())), 2)),
        Message.of(
            "bed.summary.slope",
            bare(level.slopeXMmPerM().value()),
            bare(level.slopeXMmPerM().uncertainty()),
            bare(level.slopeYMmPerM().value()),
            Amount.of(level.slopeYMmPerM().uncertainty(), Quantity.SLOPE, 2)));
  }

  private static Message bare(double number) {
    return Message.bare(Amount.of(number, Quantity.NUMBER, 2));
  }

  /** To the hundredth that is shown, so that the cost is the difference of the figures seen. */
  private static double asShown(double mm) {
    return Math.round(100 * mm) / 100.0;
  }
}
