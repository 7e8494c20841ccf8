package zebrawood.desktop.focus;

/** How the focus is found. */
public enum FocusWay {
  GAUGE,
  RAMP,
  PENCIL,
  EQUAL_WIDTHS,
  PHOTO,
  LADDER_WIDTHS,
  LADDER_SCORES,
  LIVE,
  AXES,
  PROBE;

  /** Whether the beam is on for it. */
  boolean leavesMarks() {
    return this != GAUGE && this != PROBE;
  }

  /** Whether a line along a tilted board is read. */
  boolean onBoard() {
    return this == RAMP || this == PENCIL || this == EQUAL_WIDTHS || this == PHOTO || this == AXES;
  }

  /** Whether widths are read with an instrument. */
  boolean readsWidths() {
    return this == RAMP || this == AXES || this == LADDER_WIDTHS;
  }
}
