package zebrawood.machine;

/** How the machine brings the beam to the work. */
public enum Build {
  GANTRY_WITH_MIRRORS,
  GANTRY_WITH_HEAD_MODULE,
  GALVO,
  FIBRE_CUTTING_HEAD;

  /** Whether the head travels over the bed, so that one gauge can be carried to every corner. */
  public boolean headTravels() {
    return this != GALVO;
  }
}
