package zebrawood.power;

/**
 * One reading of a power curve.
 *
 * @param percent of the scale
 * @param value what was read there: watts, milliamperes, or percent of marks that look alike; all
 *     of a curve in the same. Documents call it {@code watts}
 */
public record CurvePoint(double percent, double value) {}
