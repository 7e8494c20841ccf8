package zebrawood.desktop.site;

/** What a piece of duct is made of, as a technician can tell; its roughness follows. */
public enum DuctWall {
  RIGID(0.15),
  FLEXIBLE(1.5),
  SLACK(3);

  private final double roughnessMm;

  DuctWall(double roughnessMm) {
    this.roughnessMm = roughnessMm;
  }

  double roughnessMm() {
    return roughnessMm;
  }
}
