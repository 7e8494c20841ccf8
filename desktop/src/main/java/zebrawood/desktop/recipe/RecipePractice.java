package zebrawood.desktop.recipe;

import java.util.List;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.text.Text;
import zebrawood.devices.recipe.StandInSheet;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.recipe.RecipeFinding;
import zebrawood.recipe.RecipeReadings;
import zebrawood.words.Message;

/** A sheet that is cut with a copied recipe: its edge says what to change, one at a time. */
final class RecipePractice
    extends Practice<RecipeModel, StandInSheet, RecipeReadings, RecipeFinding> {
  RecipePractice(RecipeModel model) {
    super(model);
  }

  @Override
  protected StandInSheet make(long number) {
    return new StandInSheet(number);
  }

  @Override
  protected void read(StandInSheet from) {
    model.wasCut(from.recipe(Text.of("recipe.practice.sheet")), from.cut());
  }

  /** The first step alone: what it changed is to be seen before the next. */
  @Override
  protected void obey(StandInSheet on, Outcome.Solved<RecipeReadings, RecipeFinding> solved) {
    Message first = solved.finding().advice().getFirst().what();
    double to =
        first.arguments().stream()
            .filter(Amount.class::isInstance)
            .mapToDouble(a -> ((Amount) a).value())
            .findFirst()
            .orElse(0);
    switch (first.key()) {
      case "recipe.mend.centre" -> on.centre();
      case "recipe.mend.speed" -> on.setSpeed(to);
      case "recipe.mend.focus" -> on.setFocus(to);
      case "recipe.mend.pressure" -> on.setPressure(to);
      case "recipe.mend.pierce" -> on.pierce(to);
      default -> {}
    }
    model.form().clearReadings();
  }

  @Override
  protected Message stands(StandInSheet on) {
    return left(on.faults());
  }

  @Override
  protected Message best(StandInSheet on) {
    return mendedAtOnce(on.faults());
  }

  @Override
  protected List<Deed<StandInSheet>> deeds() {
    return List.of(
        Deed.of(Message.of("recipe.practice.centre"), StandInSheet::centre),
        Deed.by(
            Message.of("recipe.practice.speed"),
            (on, percent) -> on.setSpeed(on.speedMmS() * (1 + percent / 100))),
        Deed.by(
            Message.of("recipe.practice.pressure"),
            (on, percent) -> on.setPressure(on.pressureBar() * (1 + percent / 100))));
  }

  @Override
  protected Quantity amountOf() {
    return Quantity.PERCENT;
  }
}
