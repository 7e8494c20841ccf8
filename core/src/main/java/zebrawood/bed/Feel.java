package zebrawood.bed;

/** What a gauge of fixed thickness feels like at a place. */
public enum Feel {
  /** It does not go under, or drags hard: the bed is high there. */
  TOUCHES,
  /** It slides with a light drag: right. */
  SLIDES,
  /** It leaves a gap: the bed is low there. */
  GAP
}
