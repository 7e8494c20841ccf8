/**
 * The field station: does a galvo head mark true size, square, everywhere, and where does its red
 * pointer point?
 *
 * <p>A square's sides give the scale of each axis; a grid of marks, typed or found in a scan, gives
 * shift, turn, squareness, trapezoid and bow, and a smooth map of the field ({@link
 * zebrawood.field.FieldMap}) whose inverse is the table of commands. Lengths are in mm from the
 * field's centre, x to the right, y up; scales multiply what is commanded; angles are
 * counter-clockwise in mrad.
 *
 * <p>The map's degree is the one that predicts held-back marks best, and the error after correction
 * is that of held-back marks, never of the fitted ones. A grid that spans too little of the field
 * is refused: its edge would be extrapolated.
 */
package zebrawood.field;
