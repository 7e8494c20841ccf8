package zebrawood.ledger;

/** The parts of the work, in their order; a station belongs to one. */
public enum Phase {
  MAKE_READY,
  AIM_THE_BEAM,
  PROVE_THE_WORK,
  KEEP_IT_SO
}
