package zebrawood.cards;

import java.util.List;
import java.util.Optional;
import zebrawood.measure.Estimate;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * A card burnt again on another batch of stock tells beam and batch together; one square burnt now
 * on the old batch tells the beam alone. What is left is the batch: the ratio of both, with both
 * uncertainties (logarithms add).
 *
 * @param drift of the beam alone
 * @param batch empty where the control square does not tell
 */
record ControlSquare(CardDriftFinding drift, Optional<Estimate> batch, List<Advice> advice) {
  /**
   * @param both of the whole card, beam and batch together; its ratio is known
   */
  static ControlSquare of(
      CardDriftFinding both, List<CardSample> kept, CardSample control, double resolution) {
    CardDriftFinding beam =
        CardDrift.solve(new CardDriftReadings(kept, List.of(control), resolution));
    if (beam.powerRatio().isEmpty()) {
      return new ControlSquare(
          beam, Optional.empty(), List.of(Advice.read("cards.control.another")));
    }
    double power = beam.powerRatio().getAsDouble();
    double ratio = both.powerRatio().getAsDouble() / power;
    double unsure =
        ratio
            * Math.hypot(
                both.powerRatioUncertainty().getAsDouble() / both.powerRatio().getAsDouble(),
                beam.powerRatioUncertainty().getAsDouble() / power);
    Estimate batch = new Estimate(ratio, unsure);
    boolean sameBatch = Math.abs(ratio - 1) <= 2 * unsure;
    boolean sameBeam = beam.same().yes().orElse(false);
    Verdict verdict = sameBeam && sameBatch ? Verdict.WITHIN : Verdict.ADJUST;
    Advice ofBatch =
        Advice.act("cards.control.batch")
            .because(
                "cards.control.batch.why",
                Amount.of(ratio, Quantity.NUMBER, 2),
                Amount.of(unsure, Quantity.NUMBER, 2));
    List<Advice> advice =
        sameBatch
            ? beam.advice()
            : sameBeam ? List.of(ofBatch) : List.of(beam.advice().getFirst(), ofBatch);
    return new ControlSquare(
        new CardDriftFinding(
            beam.powerRatio(),
            beam.powerRatioUncertainty(),
            beam.same(),
            verdict,
            advice,
            sameBatch ? List.of(Message.of("cards.control.same-batch")) : List.of()),
        Optional.of(batch),
        advice);
  }
}
