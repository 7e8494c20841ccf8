package zebrawood.measure;

/** What a finding says of the machine. */
public enum Verdict {
  /** In order; nothing to do. */
  WITHIN,
  /** Something to do, and it is known what. */
  ADJUST,
  /** What was read cannot be put right by the adjustment at hand, or it can hurt. */
  STOP,
  /** The readings cannot decide; the advice says which would. */
  MEASURE_AGAIN
}
