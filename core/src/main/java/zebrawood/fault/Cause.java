package zebrawood.fault;

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
  POWER_WORDS_DIFFER
}
