package zebrawood.recipe;

import java.util.List;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What to change over, and what a cut says of a recipe.
 *
 * @param changes only what differs, in a safe order; all of it where nobody knows what was on
 */
public record RecipeFinding(
    List<Change> changes, Verdict verdict, List<Advice> advice, List<Message> warnings)
    implements Finding {
  public RecipeFinding {
    changes = List.copyOf(changes);
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }
}
