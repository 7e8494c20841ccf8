package zebrawood.machine;

/** What takes the source's heat away. */
public enum CooledBy {
  AIR,
  /** A closed loop inside of the machine, filled by its maker. */
  OWN_LOOP,
  CHILLER,
  BUCKET
}
