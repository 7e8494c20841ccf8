package zebrawood.desktop.controller;

import java.util.Optional;
import zebrawood.controller.ControllerReadings.Units;
import zebrawood.quantity.DisplayUnits;

/** What unit the job software writes in, as far as somebody said it. */
public enum UnitsIfKnown {
  NOT_KNOWN,
  MM,
  INCH;

  Optional<Units> units() {
    return this == NOT_KNOWN ? Optional.empty() : Optional.of(Units.valueOf(name()));
  }

  /** What a bare length in it means; empty where it is not known. */
  Optional<DisplayUnits.Length> length() {
    return switch (this) {
      case NOT_KNOWN -> Optional.empty();
      case MM -> Optional.of(DisplayUnits.Length.MILLIMETRE);
      case INCH -> Optional.of(DisplayUnits.Length.INCH);
    };
  }
}
