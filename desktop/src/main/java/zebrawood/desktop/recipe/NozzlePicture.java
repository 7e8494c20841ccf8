package zebrawood.desktop.recipe;

import java.util.Optional;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.text.Text;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.recipe.Recipe;
import zebrawood.recipe.Recipe.FocusFrom;
import zebrawood.recipe.RecipeFinding;
import zebrawood.recipe.RecipeReadings;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/** The nozzle over the sheet from the side, with the focus, to one scale. */
final class NozzlePicture {
  private static final double EDGE = 40;
  private static final double NOZZLE_HIGH_MM = 6;
  private static final double WIDE_MM = 24;

  private final Canvas on;

  NozzlePicture(Canvas on) {
    this.on = on;
  }

  void draw(Optional<Outcome.Solved<RecipeReadings, RecipeFinding>> solved) {
    if (solved.isEmpty()) {
      on.words(Text.of("recipe.picture.empty"), on.width() / 2, on.height() / 2, 240, "plan-side");
      return;
    }
    Recipe r = solved.get().readings().recipe();
    double focus =
        r.focusFrom() == FocusFrom.SHEET_TOP ? r.focusMm() : r.standOffMm() + r.focusMm();
    double top = Math.max(r.standOffMm() + NOZZLE_HIGH_MM, focus + 1);
    double low = Math.min(-r.thicknessMm(), focus - 1);
    double scale =
        Math.min((on.height() - 2 * EDGE) / (top - low), (on.width() - 2 * EDGE) / WIDE_MM);
    double middle = on.width() / 2;
    double surface = EDGE + scale * top;
    double half = scale * WIDE_MM / 2;
    on.rectangle(middle - half, surface, 2 * half, scale * r.thicknessMm(), "weeks-band");
    on.line(middle - half, surface, middle + half, surface, "field-frame");
    double tip = surface - scale * r.standOffMm();
    double opening = scale * r.nozzleMm() / 2;
    double shoulder = opening + scale * NOZZLE_HIGH_MM / 2;
    for (int side : new int[] {-1, 1}) {
      on.line(
          middle + side * opening,
          tip,
          middle + side * shoulder,
          tip - scale * NOZZLE_HIGH_MM,
          "field-left");
    }
    double at = surface - scale * focus;
    on.line(middle - half / 2, at, middle + half / 2, at, "field-error");
    on.words(
        Text.of(
            "recipe.picture.of",
            Message.of(r.gas()),
            Amount.of(r.pressureBar(), Quantity.GAS_PRESSURE, 1),
            Amount.mm(r.thicknessMm(), 1)),
        middle,
        on.height() - EDGE / 2,
        on.width() - EDGE,
        "plan-side");
  }
}
