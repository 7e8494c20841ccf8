package zebrawood.jobfile;

/**
 * Where in the file something was met first.
 *
 * @param line from 1
 * @param x in mm, as far as the file's unit is known
 */
public record Place(int line, double x, double y) {}
