package zebrawood.devices.whole;

/** What the machine is. */
public enum WholeKind {
  GLASS_TUBE_GANTRY,
  DIODE_GANTRY,
  GALVO,
  CUTTING_HEAD;

  public boolean cooledByWater() {
    return this == GLASS_TUBE_GANTRY || this == CUTTING_HEAD;
  }

  /** A lid or doors stop the beam; without them eyewear does. */
  public boolean enclosed() {
    return this == GLASS_TUBE_GANTRY || this == CUTTING_HEAD;
  }
}
