package zebrawood.cards;

import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.cards.CardDriftFinding.Told;
import zebrawood.measure.Estimate;
import zebrawood.measure.Resolution;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * How much power is left, by a kept card burnt again?
 *
 * <p>Both cards are squares of one surface ({@link DarknessSurface}), the second with all its
 * powers times one ratio, which is fitted with it. A stock that takes the beam otherwise looks like
 * another power: a square on the old batch tells.
 */
public final class CardDrift {
  /** A ratio that is not known to a third is not known. */
  private static final double MOST_UNSURE = 0.3;

  /** Over the noise: with less of a slope darkness tells no power. */
  private static final double LEAST_SPAN = 3;

  private CardDrift() {}

  public static CardDriftFinding solve(CardDriftReadings r) {
    double error = Resolution.standardDeviation(r.darknessResolution());
    DoubleSummaryStatistics before = darkness(r.before());
    DoubleSummaryStatistics after = darkness(r.after());
    if (after.getMin() > before.getMax() || before.getMin() > after.getMax()) {
      boolean weaker = after.getMax() < before.getMin();
      return unknown(
          Advice.read(weaker ? "cards.drift.harsher" : "cards.drift.gentler")
              .because("cards.drift.no-overlap"));
    }
    DarknessSurface surface = DarknessSurface.of(r.before(), r.after(), error);
    Estimate log = surface.logRatio();
    if (surface.span() < LEAST_SPAN * surface.noise() || !(log.uncertainty() <= MOST_UNSURE)) {
      return unknown(Advice.read("cards.drift.more").because("cards.drift.no-slope"));
    }
    double ratio = Math.exp(log.value());
    double unsure = ratio * log.uncertainty();
    boolean same = Math.abs(ratio - 1) <= 2 * unsure;
    return new CardDriftFinding(
        OptionalDouble.of(ratio),
        OptionalDouble.of(unsure),
        new Told(Optional.of(same)),
        same ? Verdict.WITHIN : Verdict.ADJUST,
        List.of(same ? same(unsure) : changed(ratio, unsure)),
        same ? List.of() : List.of(Message.of("cards.drift.batch")));
  }

  private static Advice same(double unsure) {
    return Advice.leave("cards.drift.same")
        .because("cards.drift.same.why", Amount.of(200 * unsure, Quantity.PERCENT, 1));
  }

  private static Advice changed(double ratio, double unsure) {
    return Advice.act(ratio < 1 ? "cards.drift.weaker" : "cards.drift.stronger")
        .because(
            "cards.drift.changed.why",
            Amount.of(ratio, Quantity.NUMBER, 2),
            Amount.of(unsure, Quantity.NUMBER, 2));
  }

  private static CardDriftFinding unknown(Advice advice) {
    return new CardDriftFinding(
        OptionalDouble.empty(),
        OptionalDouble.empty(),
        new Told(Optional.empty()),
        Verdict.MEASURE_AGAIN,
        List.of(advice),
        List.of());
  }

  private static DoubleSummaryStatistics darkness(List<CardSample> squares) {
    return squares.stream().mapToDouble(CardSample::darkness).summaryStatistics();
  }
}
