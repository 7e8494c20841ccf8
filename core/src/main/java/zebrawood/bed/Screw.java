package zebrawood.bed;

import zebrawood.measure.Accepts;
import zebrawood.measure.Place;

/**
 * A levelling screw under the bed.
 *
 * @param pitchMm how far one turn moves the bed there
 */
public record Screw(String id, double xMm, double yMm, double pitchMm, Clockwise clockwise)
    implements Place {
  /** No thread is finer. */
  private static final double FINEST_PITCH_MM = 0.001;

  public Screw {
    new Accepts()
        .filled("id", id)
        .between("xMm", xMm, -GapPoint.FARTHEST_MM, GapPoint.FARTHEST_MM)
        .between("yMm", yMm, -GapPoint.FARTHEST_MM, GapPoint.FARTHEST_MM)
        .between("pitchMm", pitchMm, FINEST_PITCH_MM, 20)
        .orThrow();
  }
}
