package zebrawood.recipe;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;

/**
 * What one sheet is cut with. What nobody said is empty, and nothing is changed for it.
 *
 * @param nozzleMm its opening
 * @param standOffMm from the nozzle's tip to the sheet
 * @param focusMm above what it is measured from; below it negative
 * @param frequencyKhz of the source; empty where it is not pulsed
 * @param dutyPercent of a pulse's time that the beam is on
 * @param piercing in their order; none where it pierces in one go
 * @param coolingS how long the beam rests at each sharp corner, the gas on; 0 without cooling
 *     points
 */
public record Recipe(
    String sheet,
    double thicknessMm,
    Gas gas,
    double pressureBar,
    double nozzleMm,
    Nozzle nozzle,
    double standOffMm,
    double focusMm,
    FocusFrom focusFrom,
    double powerPercent,
    double speedMmS,
    OptionalDouble frequencyKhz,
    OptionalDouble dutyPercent,
    List<Stage> piercing,
    OptionalDouble coolingS,
    Origin origin) {
  private static final int MOST_STAGES = 6;

  /** What blows through the nozzle. */
  public enum Gas {
    AIR,
    OXYGEN,
    NITROGEN,
    ARGON
  }

  /** How a nozzle is made. */
  public enum Nozzle {
    SINGLE,
    DOUBLE
  }

  /** What the focus is measured from. */
  public enum FocusFrom {
    SHEET_TOP,
    NOZZLE_TIP
  }

  /** Where a recipe comes from. */
  public enum Origin {
    /** From a chart or from somebody else: it is not trusted until it was cut. */
    COPIED,
    OWN_TRIAL
  }

  /** One stage of piercing. */
  public record Stage(double seconds, double powerPercent) {
    public Stage {
      new Accepts()
          .positive("seconds", seconds, 60)
          .positive("powerPercent", powerPercent, 100)
          .orThrow();
    }
  }

  public Recipe {
    piercing = List.copyOf(piercing);
    var accepts =
        new Accepts()
            .filled("sheet", sheet)
            .positive("thicknessMm", thicknessMm, 100)
            .between("pressureBar", pressureBar, 0, 40)
            .positive("nozzleMm", nozzleMm, 10)
            .between("standOffMm", standOffMm, 0, 30)
            .between("focusMm", focusMm, -60, 60)
            .positive("powerPercent", powerPercent, 100)
            .positive("speedMmS", speedMmS, 5000)
            .atMost("piercing", piercing, MOST_STAGES);
    frequencyKhz.ifPresent(v -> accepts.positive("frequencyKhz", v, 1e6));
    dutyPercent.ifPresent(v -> accepts.positive("dutyPercent", v, 100));
    coolingS.ifPresent(v -> accepts.between("coolingS", v, 0, 60));
    accepts.orThrow();
  }
}
