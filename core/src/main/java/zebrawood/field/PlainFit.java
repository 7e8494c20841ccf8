package zebrawood.field;

import java.util.List;
import zebrawood.field.FieldReadings.Point;

/**
 * The affine map nearest to the marks: {@code measured = shift + matrix * commanded}, by least
 * squares.
 *
 * @param xx and the others: rows are measured x and y, columns commanded x and y
 * @param errorX factor of a coordinate's error to that of the column of x, and {@code errorY}
 */
record PlainFit(
    double shiftX,
    double shiftY,
    double xx,
    double xy,
    double yx,
    double yy,
    double errorX,
    double errorY) {
  private static final double LEAST_SIZE = 0.5;

  static PlainFit of(List<Point> points) {
    int n = points.size();
    double mx = points.stream().mapToDouble(Point::xMm).average().orElseThrow();
    double my = points.stream().mapToDouble(Point::yMm).average().orElseThrow();
    double gx = points.stream().mapToDouble(Point::measuredXMm).average().orElseThrow();
    double gy = points.stream().mapToDouble(Point::measuredYMm).average().orElseThrow();
    double suu = 0;
    double svv = 0;
    double suv = 0;
    double sux = 0;
    double svx = 0;
    double suy = 0;
    double svy = 0;
    for (Point p : points) {
      double u = p.xMm() - mx;
      double v = p.yMm() - my;
      double dx = p.measuredXMm() - gx;
      double dy = p.measuredYMm() - gy;
      suu += u * u;
      svv += v * v;
      suv += u * v;
      sux += u * dx;
      svx += v * dx;
      suy += u * dy;
      svy += v * dy;
    }
    double det = suu * svv - suv * suv;
    double xx = (svv * sux - suv * svx) / det;
    double xy = (suu * svx - suv * sux) / det;
    double yx = (svv * suy - suv * svy) / det;
    double yy = (suu * svy - suv * suy) / det;
    return new PlainFit(
        gx - xx * mx - xy * my,
        gy - yx * mx - yy * my,
        xx,
        xy,
        yx,
        yy,
        Math.sqrt(svv / det),
        Math.sqrt(suu / det));
  }

  /** Whether a head can have made it: neither mirrored nor half or twice as large. */
  boolean isAHeads() {
    return xx * yy - xy * yx > 0
        && sizeX() > LEAST_SIZE
        && sizeX() < 1 / LEAST_SIZE
        && sizeY() > LEAST_SIZE
        && sizeY() < 1 / LEAST_SIZE;
  }

  double sizeX() {
    return Math.hypot(xx, yx);
  }

  double sizeY() {
    return Math.hypot(xy, yy);
  }

  private double turnOfX() {
    return Math.atan2(yx, xx);
  }

  private double turnOfY() {
    return Math.atan2(-xy, yy);
  }

  double rotationMrad() {
    return 1000 * (turnOfX() + turnOfY()) / 2;
  }

  /** The x axis' rotation less the y axis'. */
  double skewMrad() {
    return 1000 * (turnOfX() - turnOfY());
  }

  /** Factor of a coordinate's error to that of the skew, in mrad. */
  double errorOfSkewMrad() {
    return 1000 * Math.hypot(errorX / sizeX(), errorY / sizeY());
  }
}
