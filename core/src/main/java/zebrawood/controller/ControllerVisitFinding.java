package zebrawood.controller;

import java.util.List;
import java.util.Optional;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What a visit to the controller came to.
 *
 * @param wrong settings or fields that do not fit
 * @param fields what is set for a field and its source, beside lens and laser
 * @param notJudged settings that play no role that is known
 * @param reset whether so much changed at once as after a reset
 * @param writes what would put right what can be written, in an order that is safe
 */
public record ControllerVisitFinding(
    Optional<ControllerFinding> audit,
    List<ControllerFinding.Item> fields,
    int notJudged,
    int wrong,
    List<Difference> sinceLeft,
    boolean reset,
    Optional<AxisScale.Finding> across,
    Optional<AxisScale.Finding> along,
    Optional<RunUp.Finding> runUp,
    List<Write> writes,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  /** What the run-up asks for, where it was asked. */
  public List<Message> said() {
    return runUp
        .map(r ->
            List.of(
                Message.of(
                    "controller.summary.run-up",
                    Amount.of(r.runUpMm(), Quantity.LENGTH, 1),
                    Amount.of(r.bestSpeedMmS(), Quantity.SPEED, 0))))
        .orElse(List.of());
  }
}
