package zebrawood.start;

import java.util.List;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What the card came to.
 *
 * @param notSo lines answered with no
 */
public record StartFinding(int notSo, Verdict verdict, List<Advice> advice, List<Message> warnings)
    implements Finding {
  public StartFinding {
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }
}
