package zebrawood.focus;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import zebrawood.focus.RampReadings.Sample;
import zebrawood.focus.RampReadings.Slope;
import zebrawood.focus.WaistFit.FittedWaist;
import zebrawood.focus.WaistFit.Reading;
import zebrawood.measure.Resolution;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * At which gap is a line that was burnt along a tilted board thinnest?
 *
 * <p>In: widths in mm at places in mm along the board. Out: the gap from the reference to the
 * surface, in mm. Method and accuracy: {@link WaistFit}, over the gaps. Refuses fewer than five
 * samples; answers "measure again" when the thinnest place lies outside the samples or within one
 * of an end, or is not known to a quarter of the depth of focus.
 */
public final class Ramp {
  private Ramp() {}

  public static RampFinding solve(RampReadings readings) {
    double error = Resolution.standardDeviation(readings.widthResolutionMm());
    return solve(
        readings.slope(),
        readings.samples(),
        Collections.nCopies(readings.samples().size(), error),
        readings.widthResolutionMm());
  }

  /**
   * @param errors one standard deviation of each width
   */
  static RampFinding solve(
      Slope slope, List<Sample> samples, List<Double> errors, double resolutionMm) {
    return WaistFit.ofWidths(readings(slope, samples, errors))
        .map(waist -> found(slope, samples, resolutionMm, waist))
        .orElseGet(() -> nothing(slope));
  }

  static List<Reading> readings(Slope slope, List<Sample> samples, List<Double> errors) {
    return IntStream.range(0, samples.size())
        .mapToObj(i ->
            new Reading(
                slope.gapMm(samples.get(i).alongMm()), samples.get(i).lineWidthMm(), errors.get(i)))
        .toList();
  }

  private static RampFinding found(
      Slope slope, List<Sample> samples, double resolutionMm, FittedWaist waist) {
    double along = slope.alongMm(waist.heightMm().value());
    boolean decided = waist.decided();
    return new RampFinding(
        Optional.of(waist.heightMm()),
        OptionalDouble.of(along),
        OptionalDouble.of(waist.best()),
        waist.depthMm(),
        waist.higher(),
        Optional.of(waist.law()),
        waist.leftOut(),
        decided ? Verdict.ADJUST : Verdict.MEASURE_AGAIN,
        List.of(decided ? set(waist, along) : again(slope, resolutionMm, waist)),
        warnings(samples, waist));
  }

  private static Advice set(FittedWaist waist, double along) {
    return Advice.act(
            "focus.ramp.set",
            Amount.mm(waist.heightMm().value(), 2),
            Message.bare(Amount.mm(waist.heightMm().uncertainty(), 2)))
        .because(
            "focus.ramp.set.why",
            Amount.mm(along, 1),
            Amount.mm(waist.best(), 3),
            Amount.mm(waist.depthMm().getAsDouble(), 2));
  }

  /** Which reading would decide. */
  private static Advice again(Slope slope, double resolutionMm, FittedWaist waist) {
    if (waist.depthMm().isEmpty()) {
      return Advice.read("focus.ramp.no-depth").because("focus.ramp.no-depth.why");
    }
    if (waist.outside() || waist.wellKnown() && waist.clear()) {
      // Nearer means a smaller gap, which is further along the board.
      return Advice.read(waist.inLowerHalf() ? "focus.ramp.beyond" : "focus.ramp.before")
          .because("focus.ramp.outside.why", Amount.mm(waist.heightMm().value(), 1));
    }
    return waist.wellKnown() ? noMiddle(slope) : unsure(waist, resolutionMm, Quantity.LENGTH);
  }

  /** What would make a focus that is not known well enough better known. */
  static Advice unsure(FittedWaist waist, double resolution, Quantity quantity) {
    double wanted = waist.depthMm().getAsDouble() / 4;
    double finer = wanted / waist.heightMm().uncertainty();
    long times = (long) Math.ceil(1 / (finer * finer));
    return Advice.read("focus.unsure", Math.min(times, MOST_TIMES))
        .because(
            "focus.unsure.why",
            Message.bare(Amount.mm(waist.heightMm().uncertainty(), 2)),
            Amount.mm(wanted, 2),
            Amount.of(resolution, quantity, 3));
  }

  private static final long MOST_TIMES = 100;

  private static RampFinding nothing(Slope slope) {
    return undecided(noMiddle(slope));
  }

  private static Advice noMiddle(Slope slope) {
    return Advice.read("focus.ramp.no-middle")
        .because("focus.ramp.no-middle.why", Amount.mm(2 * slope.riseMm(), 1));
  }

  /** No figures, and what to read instead. */
  static RampFinding undecided(Advice instead) {
    OptionalDouble none = OptionalDouble.empty();
    return new RampFinding(
        Optional.empty(),
        none,
        none,
        none,
        false,
        Optional.empty(),
        List.of(),
        Verdict.MEASURE_AGAIN,
        List.of(instead),
        List.of());
  }

  private static List<Message> warnings(List<Sample> samples, FittedWaist waist) {
    List<Message> warnings = new ArrayList<>();
    for (int i : waist.leftOut()) {
      Sample slip = samples.get(i);
      warnings.add(
          Message.of(
              "focus.ramp.left-out",
              Amount.mm(slip.lineWidthMm(), 3),
              Amount.mm(slip.alongMm(), 1)));
    }
    higher(waist).ifPresent(warnings::add);
    sides(waist, "focus.ramp.sides.above", "focus.ramp.sides.below").ifPresent(warnings::add);
    return warnings;
  }

  /** One side wider than the other: what it is of, and what it adds to the uncertainty. */
  static Optional<Message> sides(FittedWaist waist, String above, String below) {
    return waist
        .sides()
        .map(s ->
            Message.of(
                s.share() > 0 ? above : below,
                Amount.of(100 * Math.abs(s.share()), Quantity.PERCENT, 0),
                Amount.mm(s.shiftMm(), 2)));
  }

  static Optional<Message> higher(FittedWaist waist) {
    return waist.higher() && waist.law().law() != Law.INTENSITY_OVER_FLOOR
        ? Optional.of(Message.of("focus.higher-law"))
        : Optional.empty();
  }
}
