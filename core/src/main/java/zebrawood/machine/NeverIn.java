package zebrawood.machine;

/** What must never go into a laser machine, and why. */
public enum NeverIn {
  CHLORINATED,
  FLUORINATED,
  POLYCARBONATE,
  ABS_STYRENE,
  EPOXY_GLASS,
  CHROME_LEATHER,
  BERYLLIUM,
  SEALED,
  OILED,
  UNKNOWN
}
