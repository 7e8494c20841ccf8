package zebrawood.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.focus.LadderReadings.Rung;
import zebrawood.focus.WaistFit.FittedWaist;
import zebrawood.focus.WaistFit.Reading;
import zebrawood.measure.Resolution;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * At which height are marks burnt at several heights thinnest, or best by a score?
 *
 * <p>In: heights in mm with widths in mm or with scores. Out: the height in mm, from where the
 * heights are counted. Method and accuracy: {@link WaistFit}. Refuses fewer than four rungs, and
 * rungs of both kinds; answers "measure again" as {@link Ramp} does.
 */
public final class Ladder {
  private Ladder() {}

  public static LadderFinding solve(LadderReadings readings) {
    double error = Resolution.standardDeviation(readings.resolution());
    List<Reading> read =
        readings.rungs().stream()
            .map(r ->
                new Reading(
                    r.heightMm(),
                    (readings.byScore() ? r.score() : r.lineWidthMm()).getAsDouble(),
                    error))
            .toList();
    return (readings.byScore() ? WaistFit.ofScores(read) : WaistFit.ofWidths(read))
        .map(waist -> found(readings, waist))
        .orElseGet(Ladder::nothing);
  }

  private static LadderFinding found(LadderReadings readings, FittedWaist waist) {
    boolean decided = waist.decided();
    return new LadderFinding(
        Optional.of(waist.heightMm()),
        waist.depthMm(),
        Optional.of(waist.law()),
        waist.leftOut(),
        decided ? Verdict.ADJUST : Verdict.MEASURE_AGAIN,
        List.of(decided ? set(readings, waist) : again(readings, waist)),
        warnings(readings, waist));
  }

  private static Advice set(LadderReadings readings, FittedWaist waist) {
    Advice set =
        Advice.act(
            "focus.ladder.set",
            Amount.mm(waist.heightMm().value(), 2),
            Message.bare(Amount.mm(waist.heightMm().uncertainty(), 2)));
    return readings.byScore()
        ? set.because("focus.ladder.set.score", Amount.of(waist.best(), Quantity.NUMBER, 1))
        : set.because("focus.ladder.set.width", Amount.mm(waist.best(), 3));
  }

  private static Advice again(LadderReadings readings, FittedWaist waist) {
    if (waist.depthMm().isEmpty()) {
      return noMiddle();
    }
    if (waist.outside() || waist.wellKnown() && waist.clear()) {
      return Advice.read(waist.inLowerHalf() ? "focus.ladder.lower" : "focus.ladder.higher")
          .because("focus.ladder.outside.why", Amount.mm(waist.heightMm().value(), 1));
    }
    if (waist.wellKnown()) {
      return noMiddle();
    }
    return Ramp.unsure(
        waist, readings.resolution(), readings.byScore() ? Quantity.NUMBER : Quantity.LENGTH);
  }

  private static LadderFinding nothing() {
    return new LadderFinding(
        Optional.empty(),
        OptionalDouble.empty(),
        Optional.empty(),
        List.of(),
        Verdict.MEASURE_AGAIN,
        List.of(noMiddle()),
        List.of());
  }

  private static Advice noMiddle() {
    return Advice.read("focus.ladder.no-middle").because("focus.ladder.no-middle.why");
  }

  private static List<Message> warnings(LadderReadings readings, FittedWaist waist) {
    List<Message> warnings = new ArrayList<>();
    for (int i : waist.leftOut()) {
      Rung slip = readings.rungs().get(i);
      warnings.add(Message.of("focus.ladder.left-out", Amount.mm(slip.heightMm(), 2)));
    }
    Ramp.higher(waist).ifPresent(warnings::add);
    Ramp.sides(waist, "focus.ladder.sides.above", "focus.ladder.sides.below")
        .ifPresent(warnings::add);
    return warnings;
  }
}
