package zebrawood.machine;

/** A machine that is not there: simulated, to try things out and to be taught on. */
public enum Trial {
  IN_USE,
  /** No longer among the machines; what was recorded of it stays in the file. */
  REMOVED
}
