package zebrawood.camera;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;

/**
 * How sharp the picture of a camera on the head was at several heights, of the same scrap each
 * time.
 *
 * @param rungs the heights, in any order
 * @param beamAtMm where the beam is smallest on the same scale; empty where it was not read
 */
public record SharpnessReadings(List<Rung> rungs, OptionalDouble beamAtMm) {
  static final int LEAST = 4;
  private static final int MOST = 60;
  private static final double FARTHEST_MM = 2000;
  private static final double LARGEST = 1e9;

  /**
   * One height.
   *
   * @param heightMm as the machine or a gauge shows it
   * @param sharpness any figure that is larger the sharper the picture is
   */
  public record Rung(double heightMm, double sharpness) {}

  public SharpnessReadings {
    rungs = List.copyOf(rungs);
    var accepts =
        new Accepts()
            .atLeast("rungs", rungs, LEAST, "camera.count.heights")
            .atMost("rungs", rungs, MOST);
    for (int i = 0; i < rungs.size(); i++) {
      String at = "rungs[" + i + "]";
      accepts
          .between(at + ".heightMm", rungs.get(i).heightMm, -FARTHEST_MM, FARTHEST_MM)
          .positive(at + ".sharpness", rungs.get(i).sharpness, LARGEST);
    }
    beamAtMm.ifPresent(mm -> accepts.between("beamAtMm", mm, -FARTHEST_MM, FARTHEST_MM));
    accepts.orThrow();
  }
}
