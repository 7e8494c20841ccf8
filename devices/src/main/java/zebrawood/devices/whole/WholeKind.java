package zebrawood.devices.whole;

import java.util.Optional;
import zebrawood.machine.Machine;

/** What the machine is. */
public enum WholeKind {
  GLASS_TUBE_GANTRY,
  DIODE_GANTRY,
  GALVO,
  CUTTING_HEAD;

  /** The kind that a machine of a record is; empty where there is none to practise on. */
  public static Optional<WholeKind> of(Machine machine) {
    return switch (machine.build()) {
      case GANTRY_WITH_MIRRORS ->
          machine.source().kind().cooledByWater()
              ? Optional.of(GLASS_TUBE_GANTRY)
              : Optional.empty();
      case GANTRY_WITH_HEAD_MODULE -> Optional.of(DIODE_GANTRY);
      case GALVO -> Optional.of(GALVO);
      case FIBRE_CUTTING_HEAD -> Optional.of(CUTTING_HEAD);
      default -> Optional.empty();
    };
  }

  public boolean cooledByWater() {
    return this == GLASS_TUBE_GANTRY || this == CUTTING_HEAD;
  }

  /** A lid or doors stop the beam; without them eyewear does. */
  public boolean enclosed() {
    return this == GLASS_TUBE_GANTRY || this == CUTTING_HEAD;
  }
}
