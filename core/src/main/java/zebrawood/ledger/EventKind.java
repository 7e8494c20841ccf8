package zebrawood.ledger;

import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.SourceKind;

/** Something that can happen to a machine. Which stations it puts in doubt, the stations say. */
public enum EventKind {
  MOVED("Machine moved"),
  CRASH("Crash: the head or gantry hit something"),
  BED_CHANGED("Bed or honeycomb replaced"),
  HONEYCOMB_OR_ROTARY("Honeycomb or rotary put in or out"),
  SOURCE_REPLACED("Tube or source replaced"),
  MIRROR_CLEANED("Mirror cleaned"),
  MIRROR_REPLACED("Mirror replaced"),
  LENS_KNOWN("Lens changed for one on file"),
  LENS_NEW("New lens"),
  HEAD_SHIMMED("Galvo head shimmed or moved"),
  HEAD_SWAPPED("Head swapped"),
  POWER_CUT("Power cut"),
  FIRMWARE_RESET("Firmware reset"),
  SUPPLY_TOUCHED("Power supply or dial touched"),
  CAMERA_MOVED("Camera or lid moved"),
  SPOILT("Work spoilt: a step was forgotten"),
  NOTE("Something else, only to be remembered"),
  /** Not offered: kept when somebody fires without the day's proof, with the reason. */
  WENT_ON("Went on without today's proof"),
  /** Makes the event that it replaces void. */
  WITHDRAWN("withdrawn");

  private final String words;

  EventKind(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** Whether this can happen to the machine at all. */
  public boolean canHappenTo(Machine machine) {
    boolean glass = machine.source().kind() == SourceKind.CO2_GLASS_TUBE;
    return switch (this) {
      case MIRROR_CLEANED, MIRROR_REPLACED -> machine.build() == Build.GANTRY_WITH_MIRRORS;
      case HEAD_SHIMMED -> machine.build() == Build.GALVO;
      case HEAD_SWAPPED -> machine.build() == Build.GANTRY_WITH_HEAD_MODULE;
      case BED_CHANGED -> machine.build().headTravels();
      case SUPPLY_TOUCHED -> glass || machine.source().kind() == SourceKind.CO2_RF_TUBE;
      case WITHDRAWN, WENT_ON -> false;
      default -> true;
    };
  }
}
