package zebrawood.recipe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.ledger.EventKind;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.recipe.Recipe.FocusFrom;
import zebrawood.recipe.Recipe.Gas;
import zebrawood.recipe.Recipe.Nozzle;
import zebrawood.recipe.Recipe.Origin;
import zebrawood.recipe.Recipe.Stage;
import zebrawood.words.Phrasebook;

class RecipesTest {
  private static Recipe recipe(Random random) {
    return new Recipe(
        "sheet",
        1 + random.nextInt(10),
        Gas.values()[random.nextInt(2)],
        1 + random.nextInt(2),
        1 + random.nextInt(2),
        Nozzle.values()[random.nextInt(2)],
        1 + random.nextInt(2),
        random.nextInt(3) - 1,
        FocusFrom.values()[random.nextInt(2)],
        50 + 50 * random.nextInt(2),
        50 + random.nextInt(2),
        random.nextBoolean() ? OptionalDouble.empty() : OptionalDouble.of(5),
        random.nextBoolean() ? OptionalDouble.empty() : OptionalDouble.of(50),
        random.nextBoolean() ? List.of() : List.of(new Stage(0.3, 40)),
        random.nextBoolean() ? OptionalDouble.empty() : OptionalDouble.of(random.nextInt(2)),
        Origin.COPIED);
  }

  /** All that can be set on a machine, as text; a step sets its own part alone. */
  private static Map<Change, String> state(Recipe r) {
    Map<Change, String> state = new EnumMap<>(Change.class);
    state.put(Change.GAS, r.gas().name());
    state.put(Change.PRESSURE, String.valueOf(r.pressureBar()));
    state.put(Change.NOZZLE, r.nozzleMm() + " " + r.nozzle());
    state.put(Change.FOCUS, r.focusMm() + " " + r.focusFrom());
    state.put(Change.HEIGHT, String.valueOf(r.standOffMm()));
    state.put(Change.POWER, String.valueOf(r.powerPercent()));
    state.put(Change.SPEED, String.valueOf(r.speedMmS()));
    r.frequencyKhz().ifPresent(v -> state.put(Change.FREQUENCY, String.valueOf(v)));
    r.dutyPercent().ifPresent(v -> state.put(Change.DUTY, String.valueOf(v)));
    state.put(Change.PIERCING, r.piercing().toString());
    r.coolingS().ifPresent(v -> state.put(Change.COOLING, String.valueOf(v)));
    return state;
  }

  /** Doing the steps, and nothing else, sets the machine to the recipe; none is for nothing. */
  @Test
  void onlyWhatDiffersIsChangedAndAllOfIt() {
    Random random = new Random(4);
    for (int i = 0; i < 2000; i++) {
      Recipe was = recipe(random);
      Recipe to = recipe(random);
      List<Change> changes =
          Recipes.changes(new RecipeReadings(to, Optional.of(was), false, List.of()));
      Map<Change, String> machine = state(was);
      Map<Change, String> wanted = state(to);
      for (Change change : changes) {
        if (wanted.containsKey(change)) {
          machine.put(change, wanted.get(change));
        }
      }
      assertThat(machine).containsAllEntriesOf(wanted);
      boolean nozzle = !state(was).get(Change.NOZZLE).equals(wanted.get(Change.NOZZLE));
      assertThat(changes.contains(Change.CENTRE)).isEqualTo(nozzle);
      EnumSet<Change> needed = EnumSet.noneOf(Change.class);
      wanted.forEach((c, v) -> {
        if (!v.equals(state(was).get(c))) {
          needed.add(c);
        }
      });
      EnumSet<Change> besides =
          changes.isEmpty() ? EnumSet.noneOf(Change.class) : EnumSet.copyOf(changes);
      besides.removeAll(needed);
      // Behind a nozzle it is centred and its height taught; behind a gas its pressure is set; a
      // focus from the tip moves with the height.
      assertThat(besides).isSubsetOf(Change.CENTRE, Change.HEIGHT, Change.PRESSURE, Change.FOCUS);
      assertThat(changes).isSorted();
    }
  }

  private static Recipe nitrogen(Origin origin) {
    return new Recipe(
        "stainless",
        2,
        Gas.NITROGEN,
        12,
        2,
        Nozzle.SINGLE,
        0.6,
        -1.2,
        FocusFrom.SHEET_TOP,
        100,
        130,
        OptionalDouble.empty(),
        OptionalDouble.empty(),
        List.of(),
        OptionalDouble.empty(),
        origin);
  }

  private static RecipeFinding cut(EdgeSign... seen) {
    return Recipes.solve(
        new RecipeReadings(
            nitrogen(Origin.COPIED), Optional.of(nitrogen(Origin.COPIED)), true, List.of(seen)));
  }

  @Test
  void whatIsCopiedIsNotTrustedBeforeItWasCut() {
    RecipeFinding copied =
        Recipes.solve(
            new RecipeReadings(nitrogen(Origin.COPIED), Optional.empty(), false, List.of()));
    assertThat(copied.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(copied.warnings(Phrasebook.ENGLISH)).anyMatch(w -> w.contains("Nobody knows"));
    assertThat(cut().verdict()).isEqualTo(Verdict.WITHIN);
  }

  @ParameterizedTest
  @EnumSource
  void oneThingIsChangedAtATime(EdgeSign sign) {
    RecipeFinding finding = cut(sign, EdgeSign.SOFT_DROSS, EdgeSign.ONE_SIDE_ONLY);
    assertThat(finding.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(finding.advice(Phrasebook.ENGLISH).getFirst())
        .as("nothing before the nozzle is centred")
        .contains("Centre the beam");
    assertThat(cut(sign).advice()).hasSize(1);
  }

  @Test
  void theAmountsAreThoseThatAreSaid() {
    assertThat(cut(EdgeSign.LINES_LEAN_BACK).advice(Phrasebook.ENGLISH).getFirst())
        .contains("123.5 mm/s");
    assertThat(cut(EdgeSign.SOFT_DROSS).advice(Phrasebook.ENGLISH).getFirst()).contains("13.2 bar");
    assertThat(cut(EdgeSign.BURNT_CORNERS).advice(Phrasebook.ENGLISH).getFirst())
        .contains("corner", "0.20 s");
    assertThat(cut(EdgeSign.HARD_DROSS).advice(Phrasebook.ENGLISH).getFirst()).contains("1.45 mm");
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThatThrownBy(() -> new Stage(0, 50)).isInstanceOf(UnusableReading.class);
    assertThatThrownBy(() ->
            new Recipe(
                " ",
                2,
                Gas.AIR,
                99,
                2,
                Nozzle.SINGLE,
                1,
                0,
                FocusFrom.SHEET_TOP,
                100,
                10,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                List.of(),
                OptionalDouble.empty(),
                Origin.COPIED))
        .isInstanceOf(UnusableReading.class);
  }

  private static Recipe cooled(OptionalDouble coolingS) {
    Recipe r = nitrogen(Origin.OWN_TRIAL);
    return new Recipe(
        r.sheet(),
        r.thicknessMm(),
        r.gas(),
        r.pressureBar(),
        r.nozzleMm(),
        r.nozzle(),
        r.standOffMm(),
        r.focusMm(),
        r.focusFrom(),
        r.powerPercent(),
        r.speedMmS(),
        r.frequencyKhz(),
        r.dutyPercent(),
        r.piercing(),
        coolingS,
        r.origin());
  }

  /** What nobody said of cooling points changes nothing; none at all is said with 0. */
  @Test
  void coolingPointsAreSetAndTakenAwayWhereSomebodySaysSo() {
    RecipeFinding set = changed(OptionalDouble.empty(), OptionalDouble.of(0.5));
    assertThat(set.changes()).containsExactly(Change.COOLING);
    assertThat(set.advice(Phrasebook.ENGLISH).getFirst()).contains("0.50 s");
    assertThat(changed(OptionalDouble.of(0.5), OptionalDouble.empty()).changes()).isEmpty();
    RecipeFinding none = changed(OptionalDouble.of(0.5), OptionalDouble.of(0));
    assertThat(none.changes()).containsExactly(Change.COOLING);
    assertThat(none.advice(Phrasebook.ENGLISH).getFirst()).contains("Take the cooling points");
    assertThatThrownBy(() -> cooled(OptionalDouble.of(-1))).isInstanceOf(UnusableReading.class);
    assertThatThrownBy(() -> cooled(OptionalDouble.of(61))).isInstanceOf(UnusableReading.class);
  }

  private static RecipeFinding changed(OptionalDouble from, OptionalDouble to) {
    return Recipes.solve(
        new RecipeReadings(cooled(to), Optional.of(cooled(from)), false, List.of()));
  }

  /** A rest that is there already grows; burnt corners in oxygen are the gas's. */
  @Test
  void cornersThatBurnRestLonger() {
    Recipe resting = cooled(OptionalDouble.of(0.5));
    RecipeFinding longer =
        Recipes.solve(
            new RecipeReadings(
                resting, Optional.of(resting), true, List.of(EdgeSign.BURNT_CORNERS)));
    assertThat(longer.advice(Phrasebook.ENGLISH).getFirst()).contains("0.70 s");
  }

  private static Machine gantry(Fitting... fitted) {
    SourceKind tube = SourceKind.CO2_GLASS_TUBE;
    return new Machine(
            "alder",
            "Alder",
            Build.GANTRY_WITH_MIRRORS,
            new Source(tube, tube.usualWatts(), tube.usualWavelengthNm()),
            700,
            500,
            BedSupport.SCREWS,
            0.3)
        .withFittings(List.of(fitted));
  }

  @Test
  void whoeverWorksWithGasHasRecipes() {
    assertThat(RecipeStation.STATION.applies().test(gantry(Fitting.GAS))).isTrue();
    assertThat(RecipeStation.STATION.applies().test(gantry(Fitting.AIR_ASSIST))).isFalse();
    assertThat(EventKind.NOZZLE_CHANGED.canHappenTo(gantry(Fitting.GAS))).isTrue();
  }
}
