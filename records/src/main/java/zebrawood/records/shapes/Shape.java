package zebrawood.records.shapes;

import java.util.List;

/**
 * A line of corners to be burnt, x and y in mm, y up.
 *
 * @param layer what it is burnt with: a name, and a number that gives its colour
 * @param filled whether it is closed and its inside burnt
 */
public record Shape(List<double[]> corners, String layer, int number, boolean filled) {}
