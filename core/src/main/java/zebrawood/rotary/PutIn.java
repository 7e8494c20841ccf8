package zebrawood.rotary;

/** What is done to put a rotary in, in this order. */
public enum PutIn {
  TABLE_DOWN,
  POWER_OFF,
  PLUGGED_IN,
  HOMING_SAFE,
  AXIS_PARALLEL,
  MIDDLE_BELOW_BEAM,
  FOCUS_ON_CROWN
}
