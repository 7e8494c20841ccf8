package zebrawood.devices.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import zebrawood.recipe.EdgeSign;
import zebrawood.recipe.Recipe;
import zebrawood.recipe.Recipe.FocusFrom;
import zebrawood.recipe.Recipe.Gas;
import zebrawood.recipe.Recipe.Nozzle;
import zebrawood.recipe.Recipe.Origin;
import zebrawood.recipe.Recipe.Stage;

/**
 * A simulated sheet on a simulated head, cut with a recipe that somebody else wrote. How deep the
 * beam reaches falls with speed and with the square of what the focus is off; the melt is blown out
 * by the gas above a pressure of its own; the nozzle may not be centred. Signs come from these
 * alone.
 */
public final class StandInSheet {
  /**
   * Of the fastest speed that still cuts: above it the lines lean, below the lower it is ragged.
   */
  private static final double LEANS_AT = 0.94;

  private static final double RAGGED_AT = 0.82;
  private static final double LEAST_GAS = 0.95;
  private static final double MOST_OXYGEN = 1.12;
  private static final double FOCUS_STEP = 0.1;
  private static final double LEAST_STEP_MM = 0.25;

  private final double thicknessMm;
  private final Gas gas;
  private final double truePressureBar;
  private final double trueFocusMm;
  private final double fastestMmS;
  private final double pierceS;
  private double pressureBar;
  private double focusMm;
  private double speedMmS;
  private double piercedS;
  private boolean centred;
  private int cuts;

  public StandInSheet(long number) {
    Random random = new Random(number);
    thicknessMm = 1 + random.nextInt(6);
    gas = random.nextBoolean() ? Gas.OXYGEN : Gas.NITROGEN;
    truePressureBar = gas == Gas.OXYGEN ? 0.8 : 12 + 4 * random.nextDouble();
    trueFocusMm = gas == Gas.OXYGEN ? 1 : -0.5 * thicknessMm;
    fastestMmS = 120 / thicknessMm * (0.9 + 0.2 * random.nextDouble());
    pierceS = 0.1 * thicknessMm;
    centred = random.nextInt(3) > 0;
    speedMmS = fastestMmS * (random.nextBoolean() ? 0.88 : 0.75 + 0.35 * random.nextDouble());
    double away = random.nextBoolean() ? 0 : (1 + random.nextInt(2)) * stepMm();
    focusMm = trueFocusMm + (gas == Gas.OXYGEN ? -away : away);
    pressureBar = truePressureBar * (random.nextBoolean() ? 1 : 0.75 + 0.2 * random.nextDouble());
    piercedS = random.nextBoolean() ? pierceS : 0.6 * pierceS;
  }

  private double stepMm() {
    return Math.max(LEAST_STEP_MM, FOCUS_STEP * thicknessMm);
  }

  /** As it is set on the machine now. */
  public Recipe recipe(String sheet) {
    return new Recipe(
        sheet,
        thicknessMm,
        gas,
        pressureBar,
        1.5,
        gas == Gas.OXYGEN ? Nozzle.DOUBLE : Nozzle.SINGLE,
        0.8,
        focusMm,
        FocusFrom.SHEET_TOP,
        100,
        speedMmS,
        OptionalDouble.empty(),
        OptionalDouble.empty(),
        List.of(new Stage(piercedS, 60)),
        OptionalDouble.empty(),
        Origin.COPIED);
  }

  /** Cuts a small piece, and looks at its edge. */
  public List<EdgeSign> cut() {
    cuts++;
    return signs();
  }

  private List<EdgeSign> signs() {
    List<EdgeSign> seen = new ArrayList<>();
    double off = Math.abs(focusMm - trueFocusMm) / stepMm();
    double reach = fastestMmS * (1 - 0.02 * off * off);
    if (!centred) {
      seen.add(EdgeSign.ONE_SIDE_ONLY);
    }
    if (speedMmS > reach) {
      seen.add(EdgeSign.NOT_THROUGH);
    } else if (speedMmS > LEANS_AT * reach) {
      seen.add(EdgeSign.LINES_LEAN_BACK);
    } else if (speedMmS < RAGGED_AT * reach) {
      seen.add(EdgeSign.WIDE_AND_RAGGED);
    }
    if (off > 0.6) {
      seen.add(EdgeSign.HARD_DROSS);
    }
    if (pressureBar < LEAST_GAS * truePressureBar) {
      seen.add(gas == Gas.OXYGEN ? EdgeSign.SOFT_DROSS : EdgeSign.YELLOW_EDGE);
    } else if (gas == Gas.OXYGEN && pressureBar > MOST_OXYGEN * truePressureBar) {
      seen.add(EdgeSign.BURNT_CORNERS);
    }
    if (piercedS < 0.95 * pierceS) {
      seen.add(EdgeSign.CRATER_AT_THE_PIERCE);
    }
    seen.sort(null);
    return seen;
  }

  /** What is wrong with it, without a cut. */
  public int faults() {
    return signs().size();
  }

  /** How many pieces were cut. */
  public int cuts() {
    return cuts;
  }

  public void centre() {
    centred = true;
  }

  public void setSpeed(double mmS) {
    speedMmS = mmS;
  }

  public double speedMmS() {
    return speedMmS;
  }

  public void setFocus(double mm) {
    focusMm = mm;
  }

  public void setPressure(double bar) {
    pressureBar = bar;
  }

  public double pressureBar() {
    return pressureBar;
  }

  public void pierce(double seconds) {
    piercedS = seconds;
  }
}
