package zebrawood.machine;

/** How the machine brings the beam to the work. */
public enum Build {
  GANTRY_WITH_MIRRORS("gantry with mirrors"),
  GANTRY_WITH_HEAD_MODULE("gantry with the laser on its head"),
  GALVO("galvo head over a fixed table"),
  FIBRE_CUTTING_HEAD("gantry with a fibre cutting head");

  private final String words;

  Build(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** Whether the head travels over the bed, so that one gauge can be carried to every corner. */
  public boolean headTravels() {
    return this != GALVO;
  }
}
