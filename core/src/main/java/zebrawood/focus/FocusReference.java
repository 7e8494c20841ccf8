package zebrawood.focus;

/** What on the head a gap is measured from. */
public enum FocusReference {
  NOZZLE_TIP,
  LENS_RING,
  HEAD_LINE,
  /** The lower edge of the sheet metal or guard around the head. */
  HEAD_SHEET
}
