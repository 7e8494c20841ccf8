package zebrawood.camera;

import java.util.List;
import java.util.Optional;
import zebrawood.measure.PlainValue;

/**
 * Where the camera is, which stands in an answer as null where the marks cannot tell it.
 *
 * @param mm x, y and height over the bed
 */
public record KnownPlace(Optional<List<Double>> mm) implements PlainValue {
  public KnownPlace {
    mm = mm.map(List::copyOf);
  }

  @Override
  public Object plainValue() {
    return mm.orElse(null);
  }
}
