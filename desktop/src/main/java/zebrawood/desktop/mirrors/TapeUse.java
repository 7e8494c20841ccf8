package zebrawood.desktop.mirrors;

/** What burns on photographed targets are of. */
public enum TapeUse {
  /** The n-th row's mark is on target n. */
  BY_NUMBER,
  /** Row by row: by the targets' numbers, and on one target from left to right. */
  IN_ORDER,
  /** Below the nozzle: target 1 high, target 2 low. */
  PLUMB,
  /** Targets whose cross lay on the red dot: 1 high, 2 low. */
  POINTER
}
