package zebrawood.recipe;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;
import zebrawood.ledger.SubjectKind;
import zebrawood.machine.Build;
import zebrawood.machine.Fitting;
import zebrawood.quantity.Quantity;
import zebrawood.station.Visit;

/**
 * Recipes as the ledger knows them: of each sheet with its thickness, on a cutting head and on
 * whatever else works with gas.
 */
public final class RecipeStation {
  private static final int DAYS = 365;
  private static final int MINUTES = 20;

  private RecipeStation() {}

  public static final Station STATION =
      new Station(
          "recipe",
          Phase.PROVE_THE_WORK,
          machine -> machine.build() == Build.FIBRE_CUTTING_HEAD || machine.has(Fitting.GAS),
          Set.of("focus", "power"),
          Map.of(
              EventKind.SOURCE_REPLACED, Doubt.READ_AGAIN,
              EventKind.LENS_NEW, Doubt.READ_AGAIN,
              EventKind.NOZZLE_CHANGED, Doubt.QUICK_CHECK,
              EventKind.CRASH, Doubt.QUICK_CHECK),
          DAYS,
          MINUTES,
          Optional.of(SubjectKind.STOCK));

  public static final Visit<RecipeReadings, RecipeFinding> VISIT =
      Visit.of(
          RecipeReadings.class,
          RecipeFinding.class,
          Recipes::solve,
          (r, f) ->
              List.of(
                  Figure.of("speed", r.recipe().speedMmS(), Quantity.SPEED),
                  Figure.of("pressure", r.recipe().pressureBar(), Quantity.GAS_PRESSURE),
                  Figure.of("focus", r.recipe().focusMm(), Quantity.LENGTH),
                  Figure.of("power", r.recipe().powerPercent(), Quantity.PERCENT)));
}
