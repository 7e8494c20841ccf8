package zebrawood.recipe;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.recipe.Recipe.Gas;
import zebrawood.recipe.Recipe.Origin;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Changing over between two sheets, and one change at a time by what an edge shows. The changes are
 * rules of the trade, each small enough that the next cut tells whether it was the right one; they
 * are no physics, and say so in docs/physics.md.
 */
public final class Recipes {
  private static final double SLOWER = 0.95;
  private static final double MUCH_SLOWER = 0.9;
  private static final double FASTER = 1.05;
  private static final double MORE_GAS = 1.1;
  private static final double LESS_GAS = 0.9;

  /** Of the thickness, and no less than what heads are set to. */
  private static final double FOCUS_STEP = 0.1;

  private static final double LEAST_FOCUS_STEP_MM = 0.25;
  private static final double LONGER_S = 0.2;

  private Recipes() {}

  public static RecipeFinding solve(RecipeReadings r) {
    List<Change> changes = changes(r);
    List<Advice> advice = new ArrayList<>();
    if (!r.cut()) {
      changes.forEach(c -> advice.add(step(c, r)));
      advice.add(Advice.read("recipe.cut-first").because(copied(r)));
      return new RecipeFinding(changes, Verdict.MEASURE_AGAIN, advice, warnings(r));
    }
    if (r.seen().isEmpty()) {
      advice.add(Advice.leave("recipe.leave"));
      return new RecipeFinding(changes, Verdict.WITHIN, advice, warnings(r));
    }
    List<EdgeSign> seen = new ArrayList<>(r.seen());
    seen.sort(Comparator.naturalOrder());
    advice.add(mend(seen.getFirst(), r.recipe()));
    if (seen.size() > 1) {
      advice.add(
          Advice.read("recipe.one-at-a-time")
              .because(
                  "recipe.then", Message.list(seen.stream().skip(1).map(Message::of).toList())));
    }
    return new RecipeFinding(changes, Verdict.ADJUST, advice, warnings(r));
  }

  private static Message copied(RecipeReadings r) {
    return Message.of(
        r.recipe().origin() == Origin.COPIED ? "recipe.copied" : "recipe.changed-since");
  }

  private static List<Message> warnings(RecipeReadings r) {
    List<Message> warnings = new ArrayList<>();
    if (r.before().isEmpty()) {
      warnings.add(Message.of("recipe.nothing-known"));
    }
    if (r.recipe().gas() == Gas.OXYGEN) {
      warnings.add(Message.of("recipe.oxygen"));
    }
    return warnings;
  }

  /** Only what differs. */
  static List<Change> changes(RecipeReadings r) {
    Recipe to = r.recipe();
    Optional<Recipe> from = r.before();
    if (from.isEmpty()) {
      List<Change> all = new ArrayList<>(List.of(Change.values()));
      all.removeIf(c ->
          c == Change.FREQUENCY && to.frequencyKhz().isEmpty()
              || c == Change.DUTY && to.dutyPercent().isEmpty()
              || c == Change.PIERCING && to.piercing().isEmpty()
              || c == Change.COOLING && to.coolingS().isEmpty());
      return all;
    }
    Recipe was = from.get();
    List<Change> changes = new ArrayList<>();
    boolean gas = was.gas() != to.gas();
    boolean nozzle = was.nozzleMm() != to.nozzleMm() || was.nozzle() != to.nozzle();
    add(changes, Change.GAS, gas);
    add(changes, Change.PRESSURE, gas || was.pressureBar() != to.pressureBar());
    add(changes, Change.NOZZLE, nozzle);
    add(changes, Change.CENTRE, nozzle);
    add(
        changes,
        Change.FOCUS,
        was.focusMm() != to.focusMm()
            || was.focusFrom() != to.focusFrom()
            || to.focusFrom() == Recipe.FocusFrom.NOZZLE_TIP
                && was.standOffMm() != to.standOffMm());
    add(changes, Change.HEIGHT, nozzle || was.standOffMm() != to.standOffMm());
    add(changes, Change.POWER, was.powerPercent() != to.powerPercent());
    add(changes, Change.SPEED, was.speedMmS() != to.speedMmS());
    add(
        changes,
        Change.FREQUENCY,
        to.frequencyKhz().isPresent() && !was.frequencyKhz().equals(to.frequencyKhz()));
    add(
        changes,
        Change.DUTY,
        to.dutyPercent().isPresent() && !was.dutyPercent().equals(to.dutyPercent()));
    add(changes, Change.PIERCING, !was.piercing().equals(to.piercing()));
    add(
        changes,
        Change.COOLING,
        to.coolingS().isPresent() && !was.coolingS().equals(to.coolingS()));
    return changes;
  }

  private static void add(List<Change> changes, Change change, boolean differs) {
    if (differs) {
      changes.add(change);
    }
  }

  private static Amount mm(double v) {
    return Amount.mm(v, 2);
  }

  private static Advice step(Change change, RecipeReadings r) {
    Recipe to = r.recipe();
    return switch (change) {
      case GAS ->
          Advice.act("recipe.step.gas", Message.of(to.gas())).because("recipe.step.gas.why");
      case PRESSURE -> Advice.act("recipe.step.pressure", bar(to.pressureBar()));
      case NOZZLE ->
          Advice.act("recipe.step.nozzle", mm(to.nozzleMm()), Message.of(to.nozzle()))
              .because("recipe.step.nozzle.why");
      case CENTRE -> Advice.act("recipe.step.centre").because("recipe.step.centre.why");
      case FOCUS -> Advice.act("recipe.step.focus", mm(to.focusMm()), Message.of(to.focusFrom()));
      case HEIGHT ->
          Advice.act("recipe.step.height", mm(to.standOffMm())).because("recipe.step.height.why");
      case POWER -> Advice.act("recipe.step.power", percent(to.powerPercent()));
      case SPEED -> Advice.act("recipe.step.speed", speed(to.speedMmS()));
      case FREQUENCY ->
          Advice.act(
              "recipe.step.frequency",
              Amount.of(to.frequencyKhz().orElseThrow(), Quantity.PULSE_RATE, 2));
      case DUTY -> Advice.act("recipe.step.duty", percent(to.dutyPercent().orElseThrow()));
      case PIERCING ->
          to.piercing().isEmpty()
              ? Advice.act("recipe.step.piercing-one")
              : Advice.act(
                  "recipe.step.piercing",
                  Message.list(
                      to.piercing().stream()
                          .map(s ->
                              Message.of(
                                  "recipe.stage", seconds(s.seconds()), percent(s.powerPercent())))
                          .toList()));
      case COOLING ->
          to.coolingS().orElseThrow() == 0
              ? Advice.act("recipe.step.cooling-none")
              : Advice.act("recipe.step.cooling", seconds(to.coolingS().orElseThrow()));
    };
  }

  private static Amount bar(double v) {
    return Amount.of(v, Quantity.GAS_PRESSURE, 1);
  }

  private static Amount percent(double v) {
    return Amount.of(v, Quantity.PERCENT, 0);
  }

  private static Amount seconds(double v) {
    return Amount.of(v, Quantity.TIME, 2);
  }

  private static Amount speed(double v) {
    return Amount.of(v, Quantity.SPEED, 1);
  }

  /** The first thing to change for what an edge shows, and by how much. */
  private static Advice mend(EdgeSign sign, Recipe now) {
    double focusStep = Math.max(LEAST_FOCUS_STEP_MM, FOCUS_STEP * now.thicknessMm());
    boolean burnsInOxygen = now.gas() == Gas.OXYGEN;
    Advice first =
        switch (sign) {
          case ONE_SIDE_ONLY -> Advice.act("recipe.mend.centre");
          case NOT_THROUGH -> Advice.act("recipe.mend.speed", speed(MUCH_SLOWER * now.speedMmS()));
          case LINES_LEAN_BACK -> Advice.act("recipe.mend.speed", speed(SLOWER * now.speedMmS()));
          case HARD_DROSS ->
              Advice.act(
                  "recipe.mend.focus",
                  mm(now.focusMm() + (burnsInOxygen ? focusStep : -focusStep)));
          case SOFT_DROSS, YELLOW_EDGE ->
              Advice.act("recipe.mend.pressure", bar(MORE_GAS * now.pressureBar()));
          case BURNT_CORNERS ->
              burnsInOxygen
                  ? Advice.act("recipe.mend.pressure", bar(LESS_GAS * now.pressureBar()))
                  : Advice.act("recipe.mend.cooling", seconds(now.coolingS().orElse(0) + LONGER_S));
          case WIDE_AND_RAGGED -> Advice.act("recipe.mend.speed", speed(FASTER * now.speedMmS()));
          case CRATER_AT_THE_PIERCE ->
              now.piercing().isEmpty()
                  ? Advice.act("recipe.mend.stages")
                  : Advice.act(
                      "recipe.mend.pierce", seconds(now.piercing().getLast().seconds() + LONGER_S));
        };
    return first.because(Message.of(Message.keyOf(sign) + ".why"));
  }
}
