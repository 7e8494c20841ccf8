package zebrawood.field;

import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import zebrawood.field.FieldReadings.Point;
import zebrawood.measure.LinearFit;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * What a controller corrects that has fields for size, squareness, trapezoid and bow alone, best
 * for those alone: by least squares over all marks, {@code x = a + b u + c v + d u v + e v²}, and y
 * likewise with u².
 *
 * @param scaleX multiplies what is commanded, and {@code scaleY}
 * @param skewMrad the x axis' rotation less the y axis'
 * @param trapezoidXPercent how much wider the top is than the bottom, in percent of the width
 * @param trapezoidYPercent how much higher the right is than the left
 * @param bowXMm how far the upright edges' middles lie right of their ends
 * @param bowYMm how far the level edges' middles lie above their ends
 * @param leftRmsMm what is left of the marks after it, root mean square
 */
public record ControllerCoefficients(
    double scaleX,
    double scaleY,
    double skewMrad,
    double trapezoidXPercent,
    double trapezoidYPercent,
    double bowXMm,
    double bowYMm,
    double leftRmsMm) {
  private static final int TERMS = 5;

  /**
   * @param points at least nine, not all on one line
   */
  public static ControllerCoefficients of(List<Point> points, double fieldMm) {
    double half = fieldMm / 2;
    double[] x = fit(points, half, Point::measuredXMm, true);
    double[] y = fit(points, half, Point::measuredYMm, false);
    double left = 0;
    for (Point p : points) {
      double dx = p.measuredXMm() - value(x, row(p, half, true));
      double dy = p.measuredYMm() - value(y, row(p, half, false));
      left += dx * dx + dy * dy;
    }
    double sizeX = Math.hypot(x[1], y[1]) / half;
    double sizeY = Math.hypot(x[2], y[2]) / half;
    double skew = Math.atan2(y[1], x[1]) - Math.atan2(-x[2], y[2]);
    return new ControllerCoefficients(
        1 / sizeX,
        1 / sizeY,
        1000 * skew,
        100 * 2 * x[3] / x[1],
        100 * 2 * y[3] / y[2],
        -x[4],
        -y[4],
        Math.sqrt(left / points.size()));
  }

  private static double[] row(Point p, double half, boolean ofX) {
    double u = p.xMm() / half;
    double v = p.yMm() / half;
    return new double[] {1, u, v, u * v, ofX ? v * v : u * u};
  }

  private static double value(double[] coefficients, double[] row) {
    double sum = 0;
    for (int i = 0; i < TERMS; i++) {
      sum += coefficients[i] * row[i];
    }
    return sum;
  }

  private static double[] fit(
      List<Point> points, double half, ToDoubleFunction<Point> measured, boolean ofX) {
    double[][] design = points.stream().map(p -> row(p, half, ofX)).toArray(double[][]::new);
    LinearFit fit = LinearFit.of(design, points.stream().mapToDouble(measured).toArray(), 1);
    return IntStream.range(0, TERMS).mapToDouble(fit::coefficient).toArray();
  }

  /** What to type into a controller that has fields for these. */
  public Message said() {
    return Message.of(
        "field.plain",
        Amount.of(scaleX, Quantity.NUMBER, 5),
        Amount.of(scaleY, Quantity.NUMBER, 5),
        Amount.of(skewMrad, Quantity.ANGLE, 2),
        Amount.of(trapezoidXPercent, Quantity.PERCENT, 2),
        Amount.of(trapezoidYPercent, Quantity.PERCENT, 2),
        Message.bare(Amount.mm(bowXMm, 3)),
        Amount.mm(bowYMm, 3),
        Amount.mm(leftRmsMm, 3));
  }
}
