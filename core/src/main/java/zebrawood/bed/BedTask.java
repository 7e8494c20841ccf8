package zebrawood.bed;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.ledger.Figure;
import zebrawood.measure.Accepts;
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
   * @param head what is known of a fixed head beside; empty of a bed, and in entries of earlier
   *     versions
   */
  record OnShims(
      ShimReadings readings, boolean underHead, List<Double> atHandMm, Optional<Head> head)
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

  /**
   * A fixed head on its column.
   *
   * @param boltsApartMm from the upper to the lower bolts of its bracket's upright joint; empty
   *     where it has none, or nobody measured it
   * @param fieldXMm the field that it works on, to the right, and {@code fieldYMm} to the rear
   */
  record Head(OptionalDouble boltsApartMm, double fieldXMm, double fieldYMm) {
    public Head {
      var accepts =
          new Accepts()
              .positive("fieldXMm", fieldXMm, 10_000)
              .positive("fieldYMm", fieldYMm, 10_000);
      boltsApartMm.ifPresent(mm -> accepts.positive("boltsApartMm", mm, 5000));
      accepts.orThrow();
    }

    /** What the lean makes at the field's corners, and what would stand it up at the bracket. */
    List<Message> said(LevelFinding level) {
      List<Message> said = new ArrayList<>();
      double alongX = fieldXMm / 2000;
      double alongY = fieldYMm / 2000;
      double off =
          alongX * Math.abs(level.slopeXMmPerM().value())
              + alongY * Math.abs(level.slopeYMmPerM().value());
      double unsure =
          Math.hypot(
              alongX * level.slopeXMmPerM().uncertainty(),
              alongY * level.slopeYMmPerM().uncertainty());
      said.add(
          Message.of("bed.head.corners", Message.bare(Amount.mm(off, 2)), Amount.mm(unsure, 2)));
      boltsApartMm.ifPresent(mm -> {
        double shim = level.slopeYMmPerM().value() * mm / 1000;
        double error = level.slopeYMmPerM().uncertainty() * mm / 1000;
        if (Math.abs(shim) > 2 * error) {
          said.add(
              Message.of(
                  shim > 0 ? "bed.head.lower-bolts" : "bed.head.upper-bolts",
                  Message.bare(Amount.mm(Math.abs(shim), 2)),
                  Amount.mm(error, 2)));
        }
      });
      return said;
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

  /** The limit of highest to lowest; what is felt with one gauge has none. */
  default OptionalDouble toleranceMm() {
    return switch (this) {
      case OnScrews(BedReadings readings) -> OptionalDouble.of(readings.toleranceMm());
      case OnShims shims -> OptionalDouble.of(shims.readings().toleranceMm());
      case ByFeel felt ->
          felt.readings().gauges().stream().mapToDouble(FeelCheck.Gauges::toleranceMm).findFirst();
    };
  }

  /** What the notebook shows of a finding; the telling figure first. One gauge felt has none. */
  default List<Figure> figures(BedVisitFinding finding) {
    if (finding instanceof FeelCheck.FeelFinding felt) {
      return felt.mostMm().stream()
          .mapToObj(mm ->
              Figure.of("highToLow", mm, Quantity.LENGTH).limited(toleranceMm().orElseThrow()))
          .toList();
    }
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
    List<Message> said = new ArrayList<>();
    said.add(
        Message.of(
            level instanceof BedFinding ? "bed.summary.screws" : "bed.summary.shims",
            Amount.mm(level.peakToValleyNowMm(), 2),
            Amount.mm(level.peakToValleyAfterMm(), 2),
            Amount.mm(rounded, 2),
            Amount.mm(Math.max(0, asShown(rounded) - asShown(level.peakToValleyAfterMm())), 2)));
    said.add(
        Message.of(
            "bed.summary.slope",
            bare(level.slopeXMmPerM().value()),
            bare(level.slopeXMmPerM().uncertainty()),
            bare(level.slopeYMmPerM().value()),
            Amount.of(level.slopeYMmPerM().uncertainty(), Quantity.SLOPE, 2)));
    if (this instanceof OnShims shims) {
      shims.head().ifPresent(head -> said.addAll(head.said(level)));
    }
    return said;
  }

  private static Message bare(double number) {
    return Message.bare(Amount.of(number, Quantity.NUMBER, 2));
  }

  /** To the hundredth that is shown, so that the cost is the difference of the figures seen. */
  private static double asShown(double mm) {
    return Math.round(100 * mm) / 100.0;
  }
}
