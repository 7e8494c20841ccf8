package zebrawood.machine;

import java.util.ArrayList;
import java.util.List;

/** What a machine may have fitted; proofs and the go card follow from it. */
public enum Fitting {
  EMERGENCY_STOP,
  LID_SWITCH,
  KEY_SWITCH,
  ARM_SWITCH,
  FLOW_SWITCH,
  CHILLER,
  EXHAUST,
  AIR_ASSIST,
  SHUTTER,
  LENS_CAP,
  RED_POINTER,
  CAMERA,
  ROTARY,
  GAS;

  /** What machines of this build and source mostly come with. */
  public static List<Fitting> usual(Build build, SourceKind source) {
    List<Fitting> usual = new ArrayList<>();
    boolean enclosed = build == Build.GANTRY_WITH_MIRRORS || build == Build.FIBRE_CUTTING_HEAD;
    if (build != Build.GANTRY_WITH_HEAD_MODULE) {
      usual.addAll(List.of(EMERGENCY_STOP, KEY_SWITCH));
    }
    if (enclosed) {
      usual.add(LID_SWITCH);
    }
    if (source.cooledByWater() || build == Build.FIBRE_CUTTING_HEAD) {
      usual.addAll(List.of(FLOW_SWITCH, CHILLER));
    }
    usual.add(EXHAUST);
    if (build != Build.GALVO) {
      usual.add(AIR_ASSIST);
    } else {
      usual.addAll(List.of(LENS_CAP, RED_POINTER));
    }
    usual.sort(null);
    return usual;
  }
}
