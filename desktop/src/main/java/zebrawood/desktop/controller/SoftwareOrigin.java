package zebrawood.desktop.controller;

import java.util.Optional;
import zebrawood.controller.Corner;

/** Where the job software has its zero, as far as it is known. */
public enum SoftwareOrigin {
  NOT_KNOWN,
  FRONT_LEFT,
  FRONT_RIGHT,
  REAR_LEFT,
  REAR_RIGHT;

  Optional<Corner> corner() {
    return this == NOT_KNOWN ? Optional.empty() : Optional.of(Corner.valueOf(name()));
  }
}
