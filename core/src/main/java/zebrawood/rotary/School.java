package zebrawood.rotary;

/** Where what turns a millimetre of the work is set. */
public enum School {
  /** Steps a millimetre, at the controller. */
  STEPS,
  /** A diameter, in the job software. */
  DIAMETER,
  /** The artwork is scaled, and nothing else touched. */
  SCALE
}
