package zebrawood.rotary;

/** What is undone when a rotary is taken out, in this order. */
public enum TakenOut {
  POWER_OFF_AGAIN,
  UNPLUGGED,
  STEPS_BACK,
  HOMING_BACK,
  TABLE_BACK,
  FOCUS_BACK
}
