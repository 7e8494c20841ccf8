package zebrawood.fault;

/** The corner of the bed at which the beam comes in, seen from the front. */
public enum BeamEnters {
  FRONT_LEFT,
  FRONT_RIGHT,
  REAR_LEFT,
  REAR_RIGHT;

  /** The beam's way along the axes from there to a place of the bed, in mm. */
  double wayMm(double xMm, double yMm, double wideMm, double deepMm) {
    boolean left = this == FRONT_LEFT || this == REAR_LEFT;
    boolean front = this == FRONT_LEFT || this == FRONT_RIGHT;
    return (left ? xMm : wideMm - xMm) + (front ? yMm : deepMm - yMm);
  }
}
