package zebrawood.focus;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What a visit to the focus came to.
 *
 * @param offMm the gap as set less the one that is wanted; empty while nobody read it
 * @param allowedMm how far off it may be, half the depth of focus; empty where that is not known
 * @param tableUpMm for what is on the table now; less than 0 for down
 */
public record FocusFinding(
    FocusEstimate located,
    OptionalDouble offMm,
    OptionalDouble allowedMm,
    OptionalDouble tableUpMm,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  /** The same gap from each reference that is known. */
  List<Message> said(FocusReadings readings) {
    return located.gapMm().stream()
        .flatMap(gap ->
            Stream.of(FocusReference.values())
                .flatMap(to ->
                    readings.references().gapMm(gap.value(), to).stream()
                        .mapToObj(mm ->
                            Message.of(
                                "focus.summary.from",
                                Message.bare(Amount.mm(mm, 2)),
                                Amount.mm(gap.uncertainty(), 2),
                                to))))
        .toList();
  }
}
