package zebrawood.controller;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

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
    var accepts =
        new Accepts()
            .positive("settings $30", controllerTop, 1e9)
            .between("settings $31", controllerLeast, 0, 1e9)
            .positive("jobSoftware.topPowerWord", softwareTop, 1e9);
    if (controllerTop <= controllerLeast) {
      accepts.complain(
          "settings $31", controllerLeast, Message.of("controller.power-scale.less-than-30"));
    }
    accepts.orThrow();
  }

  /** A percentage in the software and the share of the laser it gives. */
  public record Row(double softwarePercent, OptionalDouble dutyPercent) {}

  /** The share at a word, 0 to 1. */
  public double share(double word) {
    return word <= 0
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
    return Math.min(100, 100 * controllerTop / softwareTop);
  }

  /** Up to this percentage in the software nothing comes at all. */
  public double deadBelowPercent() {
    return Math.min(100, 100 * controllerLeast / softwareTop);
  }

  /** The same rows where nobody knows the shares. */
  static List<Row> unknown() {
    List<Row> rows = new ArrayList<>();
    for (int percent = 0; percent <= 100; percent += STEP_PERCENT) {
      rows.add(new Row(percent, OptionalDouble.empty()));
    }
    return rows;
  }

  /** 0, 10, ... 100 percent. */
  public List<Row> table() {
    List<Row> rows = new ArrayList<>();
    for (int percent = 0; percent <= 100; percent += STEP_PERCENT) {
      rows.add(new Row(percent, OptionalDouble.of(100 * shareAtPercent(percent))));
    }
    return rows;
  }
}
