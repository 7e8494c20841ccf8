package zebrawood.desktop.controller;

import java.util.Optional;
import zebrawood.controller.ControllerReadings.Units;

/** What unit the job software writes in, as far as somebody said it. */
public enum UnitsIfKnown {
  NOT_KNOWN,
  MM,
  INCH;

  Optional<Units> units() {
    return this == NOT_KNOWN ? Optional.empty() : Optional.of(Units.valueOf(name()));
  }
}
