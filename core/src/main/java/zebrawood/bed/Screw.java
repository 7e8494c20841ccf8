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
  public Screw {
    new Accepts()
        .filled("id", id)
        .between("xMm", xMm, -GapPoint.FARTHEST_MM, GapPoint.FARTHEST_MM)
        .between("yMm", yMm, -GapPoint.FARTHEST_MM, GapPoint.FARTHEST_MM)
        .positive("pitchMm", pitchMm, 20)
        .orThrow();
  }
}
