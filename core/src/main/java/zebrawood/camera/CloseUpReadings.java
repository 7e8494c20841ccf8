package zebrawood.camera;

import java.util.OptionalDouble;
import zebrawood.measure.Accepts;

/**
 * A camera on the head, by one mark: the head is driven until the cross in the camera's picture
 * lies on the mark that was burnt before.
 *
 * @param offsetXMm from where the mark was burnt to where the head then stands, as {@code
 *     offsetYMm}
 * @param otherOffsetXMm the same with the head higher by {@code higherMm}; empty where it was not
 *     read
 * @param movedMm the head was moved by so much, and the mark by {@code movedPx} in the picture
 */
public record CloseUpReadings(
    double offsetXMm,
    double offsetYMm,
    OptionalDouble otherOffsetXMm,
    OptionalDouble otherOffsetYMm,
    OptionalDouble higherMm,
    OptionalDouble movedMm,
    OptionalDouble movedPx,
    double resolutionMm) {
  private static final double FARTHEST_MM = 1000;

  public CloseUpReadings {
    var accepts =
        new Accepts()
            .between("offsetXMm", offsetXMm, -FARTHEST_MM, FARTHEST_MM)
            .between("offsetYMm", offsetYMm, -FARTHEST_MM, FARTHEST_MM)
            .positive("resolutionMm", resolutionMm, 100);
    otherOffsetXMm.ifPresent(v -> accepts.between("otherOffsetXMm", v, -FARTHEST_MM, FARTHEST_MM));
    otherOffsetYMm.ifPresent(v -> accepts.between("otherOffsetYMm", v, -FARTHEST_MM, FARTHEST_MM));
    higherMm.ifPresent(v -> accepts.positive("higherMm", v, FARTHEST_MM));
    movedMm.ifPresent(v -> accepts.positive("movedMm", v, FARTHEST_MM));
    movedPx.ifPresent(v -> accepts.positive("movedPx", v, 100_000));
    accepts.orThrow();
  }

  boolean twoHeights() {
    return otherOffsetXMm.isPresent() && otherOffsetYMm.isPresent() && higherMm.isPresent();
  }
}
