package zebrawood.desktop.controller;

import java.util.Optional;
import zebrawood.controller.Corner;

/** A corner, as far as somebody said it. */
public enum CornerIfKnown {
  NOT_KNOWN,
  FRONT_LEFT,
  FRONT_RIGHT,
  REAR_LEFT,
  REAR_RIGHT;

  Optional<Corner> corner() {
    return this == NOT_KNOWN ? Optional.empty() : Optional.of(Corner.valueOf(name()));
  }
}
