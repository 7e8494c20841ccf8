package zebrawood.bed;

/** What turning a levelling screw clockwise, seen from its head, does to the bed there. */
public enum Clockwise {
  RAISES,
  LOWERS
}
