package zebrawood.lens;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;

/**
 * A lens of the machine's rack.
 *
 * @param fieldMm the side of the square that it covers, for a galvo head; empty where the machine
 *     carries it over the bed
 * @param focalAssumed whether its focal length is what such a field needs, because nobody read it
 */
public record RackLens(
    String name,
    double focalLengthMm,
    LensShape shape,
    OptionalDouble fieldMm,
    Optional<Boolean> focalAssumed) {
  public RackLens {
    var accepts =
        new Accepts().filled("name", name).between("focalLengthMm", focalLengthMm, 1, 5000);
    fieldMm.ifPresent(mm -> accepts.positive("fieldMm", mm, 5000));
    accepts.orThrow();
  }
}
