package zebrawood.feed;

/**
 * Where one section ends and the next one begins.
 *
 * @param placeMm from the piece's beginning
 * @param commandMm to feed before the next section, so that it begins there
 * @param free whether nothing is burnt there, two deviations of the joint to both sides
 */
public record Joint(double placeMm, double commandMm, boolean free) {}
