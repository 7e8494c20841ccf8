package zebrawood.field;

import java.util.List;
import zebrawood.field.FieldReadings.Point;
import zebrawood.measure.AffineFit;

/**
 * What a head does to the whole field alike: shift, size, turn and skew, of the map nearest to the
 * marks.
 */
record HeadFit(AffineFit map) {
  /** A head is neither half nor twice as large. */
  private static final double LEAST_SIZE = 0.5;

  static HeadFit of(List<Point> points) {
    return new HeadFit(
        AffineFit.of(
            new AffineFit.Pairs(
                points.stream().mapToDouble(Point::xMm).toArray(),
                points.stream().mapToDouble(Point::yMm).toArray(),
                points.stream().mapToDouble(Point::measuredXMm).toArray(),
                points.stream().mapToDouble(Point::measuredYMm).toArray())));
  }

  /** Whether a head can have made it: neither mirrored nor half or twice as large. */
  boolean isAHeads() {
    return !map.mirrored() && usual(map.sizeX()) && usual(map.sizeY());
  }

  private static boolean usual(double size) {
    return size > LEAST_SIZE && size < 1 / LEAST_SIZE;
  }

  /** Mean of both axes. */
  double rotationMrad() {
    return 1000 * (map.turnOfX() + map.turnOfY()) / 2;
  }

  /** The x axis' rotation less the y axis'. */
  double skewMrad() {
    return 1000 * (map.turnOfX() - map.turnOfY());
  }

  /** Factor of a coordinate's error to that of the skew, in mrad. */
  double errorOfSkewMrad() {
    return 1000 * Math.hypot(map.errorX() / map.sizeX(), map.errorY() / map.sizeY());
  }
}
