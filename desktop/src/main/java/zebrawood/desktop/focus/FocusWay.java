package zebrawood.desktop.focus;

/** How the focus is found, what is done most first. */
public enum FocusWay {
  GAUGE,
  OWN,
  LIVE,
  LADDER_SCORES,
  PENCIL,
  EQUAL_WIDTHS,
  RAMP,
  PHOTO,
  LADDER_WIDTHS,
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
