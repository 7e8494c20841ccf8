package zebrawood.power;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Settings that give what they gave before.
 *
 * @param lossFraction empty where both curves have no percentage in common that says anything
 * @param lossFractionUncertainty one standard deviation; empty where nobody said how readings
 *     scatter
 */
public record RescaleFinding(
    OptionalDouble lossFraction,
    OptionalDouble lossFractionUncertainty,
    List<Setting> settings,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  /**
   * One of them.
   *
   * @param reachable whether the watts are the same as before
   */
  public record Setting(String name, double percent, double speedMmS, boolean reachable) {}
}
