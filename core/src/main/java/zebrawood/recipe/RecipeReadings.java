package zebrawood.recipe;

import java.util.List;
import java.util.Optional;

/**
 * A recipe, what was on the machine before, and what a cut with it looks like.
 *
 * @param before what was on the machine when it was last written down; empty where nobody knows
 * @param cut whether a piece was cut with it
 * @param seen at its edge, in the order in which it is mended
 */
public record RecipeReadings(
    Recipe recipe, Optional<Recipe> before, boolean cut, List<EdgeSign> seen) {
  public RecipeReadings {
    seen = List.copyOf(seen);
  }
}
