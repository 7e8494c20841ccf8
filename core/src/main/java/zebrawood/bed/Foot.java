package zebrawood.bed;

import zebrawood.measure.Accepts;
import zebrawood.measure.Place;

/** Where a bed without screws, or the column of a fixed head, stands and can be shimmed. */
public record Foot(String id, double xMm, double yMm) implements Place {
  public Foot {
    new Accepts()
        .filled("id", id)
        .between("xMm", xMm, -GapPoint.FARTHEST_MM, GapPoint.FARTHEST_MM)
        .between("yMm", yMm, -GapPoint.FARTHEST_MM, GapPoint.FARTHEST_MM)
        .orThrow();
  }
}
