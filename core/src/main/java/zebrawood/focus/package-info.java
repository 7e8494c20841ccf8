/**
 * Where is the beam smallest, measured from which reference, and how well is that known?
 *
 * <p>Readings of a ramp or a ladder become a {@link zebrawood.focus.WaistFit}: widths of a burnt
 * line, or scores, against height follow a symmetric law whose middle is the focus. A ramp is
 * turned into heights first; a photograph of one is turned into a ramp's samples first. What is on
 * the table, and what the reference is, is added and subtracted by {@link zebrawood.focus.StackUp}.
 *
 * <p>May use the machine, measuring, the ledger and words; no other station, no files, no clock.
 */
package zebrawood.focus;
