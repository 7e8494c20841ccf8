package zebrawood.desktop.fault;

import java.util.Optional;
import zebrawood.fault.BeamEnters;

/** The corner at which the beam comes over the bed, if anybody said it. */
enum Enters {
  NOT_SAID,
  FRONT_LEFT,
  FRONT_RIGHT,
  REAR_LEFT,
  REAR_RIGHT;

  Optional<BeamEnters> corner() {
    return this == NOT_SAID ? Optional.empty() : Optional.of(BeamEnters.valueOf(name()));
  }
}
