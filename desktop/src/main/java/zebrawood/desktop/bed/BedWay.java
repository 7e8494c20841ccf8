package zebrawood.desktop.bed;

/** How the bed is read. */
public enum BedWay {
  /** The gap from the head down to the bed: larger is lower. */
  GAP,
  /** The height of the head at which a fixed gauge touches: larger is higher. */
  HEAD_HEIGHT,
  /** The height of a lifting bed at which a fixed gauge touches: larger is lower. */
  BED_HEIGHT,
  /** A gauge that is only felt: touches, slides or leaves a gap. */
  FEEL
}
