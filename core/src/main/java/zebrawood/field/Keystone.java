package zebrawood.field;

import java.util.ArrayList;
import java.util.List;
import zebrawood.field.FieldReadings.Point;
import zebrawood.measure.Estimate;
import zebrawood.measure.LinearFit;

/**
 * How much larger everything becomes from the field's middle to its edge, as it does where a head
 * leans: a lean along y makes {@code x} grow by {@code k u v} and {@code y} by {@code k v²}, with
 * the same k (central projection). What a controller does by itself need not have both.
 *
 * @param alongY growth from the middle to the upper edge, of 1: a lean along y, as far as it is one
 * @param restY by which x grows otherwise than y says; a lean alone leaves 0
 * @param alongX growth from the middle to the right edge, and {@code restX}
 */
public record Keystone(Estimate alongY, Estimate restY, Estimate alongX, Estimate restX) {
  /** No reading is better; below it the fit's own digits would count. */
  private static final double BEST_READING_MM = 1e-3;

  /** A grid of so many marks tells a lens's pincushion from what it is asked for. */
  private static final int ENOUGH_FOR_PINCUSHION = 16;

  private static final int ALONG = 1;
  private static final int BOTH = 3;
  private static final int ALONG_SQUARED = 4;

  /**
   * @param points at least nine, not all on one line
   */
  static Keystone of(List<Point> points, double fieldMm) {
    double half = fieldMm / 2;
    Growth x = Growth.of(points, half, true);
    Growth y = Growth.of(points, half, false);
    return new Keystone(
        joined(y.byItself, x.byOther),
        less(x.byOther, y.byItself),
        joined(x.byItself, y.byOther),
        less(y.byOther, x.byItself));
  }

  /** Of one coordinate, by its own square and by the product with the other one. */
  private record Growth(Estimate byItself, Estimate byOther) {
    static Growth of(List<Point> points, double half, boolean ofX) {
      double[][] design =
          points.stream()
              .map(p ->
                  ofX
                      ? row(p.xMm() / half, p.yMm() / half, points.size())
                      : row(p.yMm() / half, p.xMm() / half, points.size()))
              .toArray(double[][]::new);
      double[] read =
          points.stream().mapToDouble(p -> ofX ? p.measuredXMm() : p.measuredYMm()).toArray();
      LinearFit fit = LinearFit.of(design, read, BEST_READING_MM);
      double size = fit.coefficient(ALONG);
      return new Growth(share(fit.estimate(ALONG_SQUARED), size), share(fit.estimate(BOTH), size));
    }

    private static Estimate share(Estimate mm, double size) {
      return new Estimate(mm.value() / size, mm.uncertainty() / Math.abs(size));
    }

    private static double[] row(double along, double across, int marks) {
      List<Double> row = new ArrayList<>(List.of(1.0, along, across));
      row.add(along * across);
      row.add(along * along);
      row.add(across * across);
      if (marks >= ENOUGH_FOR_PINCUSHION) {
        row.add(along * across * across);
        row.add(along * along * along);
      }
      return row.stream().mapToDouble(d -> d).toArray();
    }
  }

  /** Both say the same where it is a lean: weighted by what they know. */
  private static Estimate joined(Estimate a, Estimate b) {
    double wa = 1 / (a.uncertainty() * a.uncertainty());
    double wb = 1 / (b.uncertainty() * b.uncertainty());
    return new Estimate((wa * a.value() + wb * b.value()) / (wa + wb), 1 / Math.sqrt(wa + wb));
  }

  private static Estimate less(Estimate a, Estimate b) {
    return new Estimate(a.value() - b.value(), Math.hypot(a.uncertainty(), b.uncertainty()));
  }
}
