package zebrawood.controller;

import java.util.ArrayList;
import java.util.List;
import zebrawood.measure.Accepts;

/**
 * Which share of the laser does a percentage in the job software give?
 *
 * <p>The software sends its percentage of its own top word; the controller gives (S - least)/(top -
 * least) of the laser, limited to 0 and 1, and nothing for S = 0.
 *
 * @param controllerTop the controller's top power word ($30)
 * @param controllerLeast the controller's least power word ($31)
 * @param softwareTop the top word in the job software
 */
public record PowerScale(double controllerTop, double controllerLeast, double softwareTop) {
  private static final int STEP_PERCENT = 10;

  public PowerScale {
    new Accepts()
        .between("top-power-word", controllerTop, 0, 1e9)
        .between("least-power-word", controllerLeast, 0, 1e9)
        .positive("jobSoftware.topPowerWord", softwareTop, 1e9)
        .orThrow();
  }

  /** A percentage in the software and the share of the laser it gives. */
  public record Row(double softwarePercent, double dutyPercent) {}

  /** The share at a word, 0 to 1. */
  public double share(double word) {
    return word <= 0 || controllerTop <= controllerLeast
        ? 0
        : Math.clamp((word - controllerLeast) / (controllerTop - controllerLeast), 0, 1);
  }

  public double shareAtPercent(double percent) {
    return share(percent / 100 * softwareTop);
  }

  /** What the software's 100 % reaches. */
  public double effectiveFullPower() {
    return shareAtPercent(100);
  }

  /** Above this percentage in the software the power no longer rises. */
  public double saturatesAtPercent() {
    return controllerTop <= controllerLeast
        ? 100
        : Math.min(100, 100 * controllerTop / softwareTop);
  }

  /** Up to this percentage in the software nothing comes at all. */
  public double deadBelowPercent() {
    return Math.min(100, 100 * controllerLeast / softwareTop);
  }

  /** 0, 10, ... 100 percent. */
  public List<Row> table() {
    List<Row> rows = new ArrayList<>();
    for (int percent = 0; percent <= 100; percent += STEP_PERCENT) {
      rows.add(new Row(percent, 100 * shareAtPercent(percent)));
    }
    return rows;
  }
}
