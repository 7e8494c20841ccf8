package zebrawood.cards;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Finding;
import zebrawood.measure.PlainValue;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * How much power a machine has of what it had.
 *
 * @param powerRatio now at percent p it burns as dark as before at this times p; empty where the
 *     cards do not tell
 * @param same whether 1 lies within two standard deviations of it
 */
public record CardDriftFinding(
    OptionalDouble powerRatio,
    OptionalDouble powerRatioUncertainty,
    Told same,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  public CardDriftFinding {
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }

  /** Yes or no, which stands in an answer as null where nobody can tell. */
  public record Told(Optional<Boolean> yes) implements PlainValue {
    @Override
    public Object plainValue() {
      return yes.orElse(null);
    }
  }
}
