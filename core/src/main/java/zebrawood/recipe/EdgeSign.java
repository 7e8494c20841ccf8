package zebrawood.recipe;

/** What the edge of a cut shows that it should not. */
public enum EdgeSign {
  /** The beam was not centred in the nozzle: nothing else is changed before that. */
  ONE_SIDE_ONLY,
  NOT_THROUGH,
  LINES_LEAN_BACK,
  HARD_DROSS,
  SOFT_DROSS,
  BURNT_CORNERS,
  WIDE_AND_RAGGED,
  YELLOW_EDGE,
  CRATER_AT_THE_PIERCE
}
