package zebrawood.measure;

/** Which way to turn a screw, seen from its head. */
public enum TurnDirection {
  CLOCKWISE,
  COUNTER_CLOCKWISE,
  NONE
}
