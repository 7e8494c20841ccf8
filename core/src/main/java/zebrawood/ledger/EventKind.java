package zebrawood.ledger;

import java.util.Optional;
import zebrawood.machine.Build;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.machine.SourceKind;

/** Something that can happen to a machine. Which stations it puts in doubt, the stations say. */
public enum EventKind {
  MOVED,
  CRASH,
  BED_CHANGED,
  HONEYCOMB_OR_ROTARY,
  ROTARY_IN,
  ROTARY_OUT,
  SOURCE_REPLACED,
  MIRROR_CLEANED,
  MIRROR_REPLACED,
  LENS_KNOWN,
  LENS_NEW,
  HEAD_SHIMMED,
  HEAD_SWAPPED,
  NOZZLE_CHANGED,
  RING_MOVED,
  CONFIGURATION_LOADED,
  POWER_CUT,
  FIRMWARE_RESET,
  SUPPLY_TOUCHED,
  METER_CHANGED,
  CAMERA_MOVED,
  STOCK_TAKEN,
  SPOILT,
  NOTE,
  /** Not offered: kept when somebody fires without the day's proof, with the reason. */
  WENT_ON,
  /** Makes the event that it replaces void. */
  WITHDRAWN,
  /** Kept by another version, or damaged: it is shown as what it is and doubts nothing. */
  UNKNOWN;

  /** Whether this can happen to the machine at all. */
  public boolean canHappenTo(Machine machine) {
    boolean glass = machine.source().kind() == SourceKind.CO2_GLASS_TUBE;
    return switch (this) {
      case MIRROR_CLEANED, MIRROR_REPLACED -> machine.build() == Build.GANTRY_WITH_MIRRORS;
      case HEAD_SHIMMED -> machine.build() == Build.GALVO;
      case HEAD_SWAPPED, RING_MOVED -> machine.build() == Build.GANTRY_WITH_HEAD_MODULE;
      case NOZZLE_CHANGED ->
          machine.build().headTravels()
              && (machine.has(Fitting.AIR_ASSIST) || machine.has(Fitting.GAS));
      case BED_CHANGED -> machine.build().headTravels();
      case SUPPLY_TOUCHED -> glass || machine.source().kind() == SourceKind.CO2_RF_TUBE;
      case ROTARY_IN, ROTARY_OUT -> machine.has(Fitting.ROTARY);
      case CAMERA_MOVED -> machine.has(Fitting.CAMERA);
      case WITHDRAWN, WENT_ON, UNKNOWN -> false;
      default -> true;
    };
  }

  /** What it names, if anything: the lens, configuration or stock that is on it from now on. */
  public Optional<SubjectKind> names() {
    return switch (this) {
      case LENS_KNOWN, LENS_NEW -> Optional.of(SubjectKind.LENS);
      case HEAD_SWAPPED -> Optional.of(SubjectKind.CONFIGURATION);
      case STOCK_TAKEN -> Optional.of(SubjectKind.STOCK);
      case ROTARY_IN -> Optional.of(SubjectKind.WORK);
      default -> Optional.empty();
    };
  }
}
