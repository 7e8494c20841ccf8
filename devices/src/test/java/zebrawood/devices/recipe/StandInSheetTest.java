package zebrawood.devices.recipe;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import zebrawood.quantity.Amount;
import zebrawood.recipe.EdgeSign;
import zebrawood.recipe.RecipeFinding;
import zebrawood.recipe.RecipeReadings;
import zebrawood.recipe.Recipes;
import zebrawood.words.Message;

class StandInSheetTest {
  /** One change at a time, as advised, ends with an edge that shows nothing. */
  @Test
  void followingTheAdviceEndsWithACleanEdge() {
    int most = 0;
    for (long number = 0; number < 500; number++) {
      StandInSheet sheet = new StandInSheet(number);
      List<EdgeSign> seen = sheet.cut();
      while (!seen.isEmpty() && sheet.cuts() < 30) {
        RecipeFinding f =
            Recipes.solve(new RecipeReadings(sheet.recipe("steel"), Optional.empty(), true, seen));
        Message first = f.advice().getFirst().what();
        double to =
            first.arguments().isEmpty() ? 0 : ((Amount) first.arguments().getFirst()).value();
        switch (first.key()) {
          case "recipe.mend.centre" -> sheet.centre();
          case "recipe.mend.speed" -> sheet.setSpeed(to);
          case "recipe.mend.focus" -> sheet.setFocus(to);
          case "recipe.mend.pressure" -> sheet.setPressure(to);
          case "recipe.mend.pierce" -> sheet.pierce(to);
          default -> throw new AssertionError(first.key());
        }
        seen = sheet.cut();
      }
      assertThat(seen).as("sheet %s after %s cuts", number, sheet.cuts()).isEmpty();
      most = Math.max(most, sheet.cuts());
    }
    assertThat(most).isBetween(4, 20);
  }

  @Test
  void whatIsTurnedTheWrongWayShows() {
    StandInSheet sheet = new StandInSheet(3);
    sheet.setSpeed(sheet.speedMmS() * 3);
    assertThat(sheet.cut()).contains(EdgeSign.NOT_THROUGH);
    sheet.setSpeed(sheet.speedMmS() / 10);
    assertThat(sheet.cut()).contains(EdgeSign.WIDE_AND_RAGGED);
  }
}
