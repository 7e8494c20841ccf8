package zebrawood.devices.whole;

/** What stands between people and the beam, and between the machine and harm. */
public enum Guard {
  EYEWEAR_ON,
  LID_SHUT,
  LID_SWITCH_WORKS,
  EXHAUST_ON,
  AIR_ON,
  WATER_ON,
  MAINS_ON;

  public boolean isOf(WholeKind kind) {
    return switch (this) {
      case LID_SHUT, LID_SWITCH_WORKS -> kind.enclosed();
      case WATER_ON -> kind.cooledByWater();
      case AIR_ON -> kind != WholeKind.GALVO;
      default -> true;
    };
  }
}
