package zebrawood.desktop.power;

/** How a source that can pulse gives its light. */
enum Pulses {
  SET,
  /** One length and rate that nobody can change. */
  FIXED,
  STEADY
}
