package zebrawood.lens;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What came of it.
 *
 * @param compared the one that is on first; empty while nobody said what the beam is
 * @param best for the job, where one suits it
 * @param passes for the job's stock with the lens that is on
 */
public record LensVisitFinding(
    List<LensCompared> compared,
    Optional<String> best,
    Optional<Passes> passes,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  public Optional<LensCompared> on() {
    return compared.stream().findFirst();
  }

  /** Every lens of the rack in a sentence, with what speaks against it. */
  public List<Message> said() {
    List<Message> said = new ArrayList<>();
    compared.forEach(c -> said.addAll(c.said()));
    best.ifPresent(name -> said.add(Message.of("lens.summary.best", name)));
    return said;
  }
}
