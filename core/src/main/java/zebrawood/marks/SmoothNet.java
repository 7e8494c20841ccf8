package zebrawood.marks;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import zebrawood.marks.Lattice.Cell;
import zebrawood.marks.MarkShapes.Place;

/**
 * Where a net's marks lie, as a polynomial of column and row of a degree that so many marks bear.
 *
 * @param x factors of its terms, in pixels, as {@code y}
 * @param columns of the whole net, as {@code rows}
 */
record SmoothNet(int degree, double[] x, double[] y, int columns, int rows) {
  /** In pitches: what lies further off than a few of the median counts less, then nothing. */
  private static final double LEAST_SPREAD = 0.004;

  private static final int ROUNDS = 4;
  private static final double SINGULAR = 1e-9;

  /**
   * Fitted again and again, with less weight for what is far off it (Tukey's biweight); empty where
   * the marks lie on one line, which tells nothing of what is beside it.
   */
  static Optional<SmoothNet> robust(Map<Cell, Place> marks, int columns, int rows, double pitchPx) {
    Map<Cell, Double> weights = new HashMap<>();
    Optional<SmoothNet> first = of(marks, weights, columns, rows);
    if (first.isEmpty()) {
      return first;
    }
    SmoothNet map = first.get();
    for (int round = 0; round < ROUNDS; round++) {
      Map<Cell, Double> off = new HashMap<>();
      for (var mark : marks.entrySet()) {
        double[] at = map.at(mark.getKey());
        off.put(
            mark.getKey(), Math.hypot(mark.getValue().x() - at[0], mark.getValue().y() - at[1]));
      }
      double spread =
          Math.max(
              LEAST_SPREAD * pitchPx,
              MarkGrid.median(off.values().stream().mapToDouble(d -> d).toArray()));
      off.forEach((cell, d) -> {
        double t = d / (6 * spread);
        weights.put(cell, t < 1 ? (1 - t * t) * (1 - t * t) : 0);
      });
      Optional<SmoothNet> next = of(marks, weights, columns, rows);
      if (next.isEmpty()) {
        break;
      }
      map = next.get();
    }
    return Optional.of(map);
  }

  private static Optional<SmoothNet> of(
      Map<Cell, Place> marks, Map<Cell, Double> weights, int columns, int rows) {
    long across = marks.keySet().stream().map(Cell::column).distinct().count();
    long up = marks.keySet().stream().map(Cell::row).distinct().count();
    int degree = (int) Math.min(3, Math.min(across, up) - 1);
    while (degree > 1 && 2 * terms(degree) > marks.size()) {
      degree--;
    }
    List<Map.Entry<Cell, Place>> all = new ArrayList<>(marks.entrySet());
    for (; degree >= 1; degree--) {
      var solver =
          new QRDecomposition(design(all, weights, degree, columns, rows), SINGULAR).getSolver();
      if (solver.isNonSingular()) {
        return Optional.of(
            new SmoothNet(
                degree,
                solver.solve(weighted(all, weights, Place::x)).toArray(),
                solver.solve(weighted(all, weights, Place::y)).toArray(),
                columns,
                rows));
      }
    }
    return Optional.empty();
  }

  private static RealMatrix design(
      List<Map.Entry<Cell, Place>> all,
      Map<Cell, Double> weights,
      int degree,
      int columns,
      int rows) {
    RealMatrix design = new Array2DRowRealMatrix(all.size(), terms(degree));
    for (int i = 0; i < all.size(); i++) {
      double[] row = values(all.get(i).getKey(), degree, columns, rows);
      double root = root(weights, all.get(i).getKey());
      for (int k = 0; k < row.length; k++) {
        row[k] *= root;
      }
      design.setRow(i, row);
    }
    return design;
  }

  private static RealVector weighted(
      List<Map.Entry<Cell, Place>> all, Map<Cell, Double> weights, ToDoubleFunction<Place> of) {
    return new ArrayRealVector(
        all.stream()
            .mapToDouble(e -> root(weights, e.getKey()) * of.applyAsDouble(e.getValue()))
            .toArray());
  }

  private static double root(Map<Cell, Double> weights, Cell cell) {
    return Math.sqrt(weights.getOrDefault(cell, 1.0));
  }

  private static int terms(int degree) {
    return (degree + 1) * (degree + 2) / 2;
  }

  private static double[] values(Cell cell, int degree, int columns, int rows) {
    double u = 2.0 * cell.column() / Math.max(1, columns - 1) - 1;
    double v = 2.0 * cell.row() / Math.max(1, rows - 1) - 1;
    double[] values = new double[terms(degree)];
    int k = 0;
    for (int total = 0; total <= degree; total++) {
      for (int ofV = 0; ofV <= total; ofV++) {
        values[k++] = Math.pow(u, total - ofV) * Math.pow(v, ofV);
      }
    }
    return values;
  }

  double[] at(Cell cell) {
    double[] values = values(cell, degree, columns, rows);
    double px = 0;
    double py = 0;
    for (int i = 0; i < values.length; i++) {
      px += values[i] * x[i];
      py += values[i] * y[i];
    }
    return new double[] {px, py};
  }
}
