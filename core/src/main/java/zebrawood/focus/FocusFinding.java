package zebrawood.focus;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.measure.Finding;
import zebrawood.measure.PartFinding;
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
    Optional<ModulePlumb.Finding> plumb,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  FocusFinding(
      FocusEstimate located,
      OptionalDouble offMm,
      OptionalDouble allowedMm,
      OptionalDouble tableUpMm,
      Verdict verdict,
      List<Advice> advice,
      List<Message> warnings) {
    this(located, offMm, allowedMm, tableUpMm, Optional.empty(), verdict, advice, warnings);
  }

  /** The same with how plumb the module is. */
  FocusFinding with(ModulePlumb.Finding f) {
    return new FocusFinding(
        located, offMm, allowedMm, tableUpMm, Optional.of(f), verdict, advice, warnings);
  }

  /** The same with what else was asked; what is to be done there comes behind the focus. */
  FocusFinding with(PartFinding part) {
    return new FocusFinding(
        located,
        offMm,
        allowedMm,
        tableUpMm,
        plumb,
        Verdict.worst(List.of(verdict, part.verdict())),
        Stream.concat(advice.stream(), part.advice().stream()).toList(),
        Stream.concat(warnings.stream(), part.warnings().stream()).toList());
  }

  /** The same gap from each reference that is known. */
  List<Message> said(FocusReadings readings) {
    return located.gapMm().stream()
        .flatMap(gap ->
            readings.references().places().stream()
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
