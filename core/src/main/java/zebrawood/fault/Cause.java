package zebrawood.fault;

import java.util.Optional;

/** What can be wrong; what each shows stands in {@link FaultTable}. */
public enum Cause {
  DIRTY_LENS,
  DIRTY_MIRROR,
  FOCUS_OFF,
  BED_NOT_LEVEL,
  STOCK_BOWED,
  MIRROR_OUT,
  OFF_CENTRE_AT_NOZZLE,
  WEAK_TUBE,
  DIAL_MOVED,
  SETTINGS_CHANGED,
  WARM_COOLANT,
  AIR_OFF,
  PLAY,
  LENS_LOOSE,
  STOCK_DIFFERS,
  STOCK_DIRTY,
  HONEYCOMB_DIRTY,
  SMOKE_TRAPPED,
  SOURCE_COLD,
  POWER_WORDS_DIFFER;

  /** The station that cures it; empty where none does. */
  public Optional<String> station() {
    return switch (this) {
      case DIRTY_LENS, DIRTY_MIRROR, HONEYCOMB_DIRTY -> Optional.of("upkeep");
      case FOCUS_OFF, LENS_LOOSE -> Optional.of("focus");
      case BED_NOT_LEVEL -> Optional.of("bed");
      case MIRROR_OUT, OFF_CENTRE_AT_NOZZLE -> Optional.of("mirrors");
      case WEAK_TUBE, DIAL_MOVED -> Optional.of("power");
      case SETTINGS_CHANGED, POWER_WORDS_DIFFER, PLAY -> Optional.of("controller");
      case WARM_COOLANT -> Optional.of("cooling");
      case STOCK_DIFFERS -> Optional.of("cards");
      case AIR_OFF, SOURCE_COLD -> Optional.of("start");
      case STOCK_BOWED, STOCK_DIRTY, SMOKE_TRAPPED -> Optional.empty();
    };
  }

  /** The figure of upkeep that says when it is to be cleaned again; empty where none does. */
  public Optional<String> cleaned() {
    return switch (this) {
      case DIRTY_LENS -> Optional.of("lens");
      case DIRTY_MIRROR -> Optional.of("mirrors");
      case HONEYCOMB_DIRTY -> Optional.of("honeycomb");
      default -> Optional.empty();
    };
  }
}
