package zebrawood.desktop.controller;

import java.util.Optional;
import zebrawood.controller.ControllerReadings.Policy;

/** Which side is changed where power words differ, as far as somebody decided it. */
public enum PolicyIfKnown {
  NOT_KNOWN,
  MATCH_CONTROLLER,
  MATCH_SOFTWARE;

  Optional<Policy> policy() {
    return this == NOT_KNOWN ? Optional.empty() : Optional.of(Policy.valueOf(name()));
  }
}
