package zebrawood.start;

import java.util.List;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;

/**
 * What the card came to.
 *
 * @param notSo lines answered with no
 */
public record StartFinding(int notSo, Verdict verdict, List<String> advice, List<String> warnings)
    implements Finding {
  public StartFinding {
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }
}
