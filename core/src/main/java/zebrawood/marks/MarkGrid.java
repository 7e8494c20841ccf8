package zebrawood.marks;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleConsumer;
import java.util.stream.Collectors;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;
import zebrawood.marks.DarkPlaces.Place;
import zebrawood.marks.Lattice.Cell;
import zebrawood.marks.MarkCentre.Centre;
import zebrawood.measure.Picture;

/**
 * A grid of dark marks on a lighter sheet, seen from straight above and turned by no more than ten
 * degrees: its dark places ({@link DarkPlaces}) are joined to a net ({@link Lattice}), a smooth map
 * through the net tells where each mark must be, and its middle is found there ({@link
 * MarkCentre}).
 */
public final class MarkGrid {
  private static final double OFF_THE_MAP = 0.2;
  private static final int ROUNDS = 3;
  private static final double PLACES_FOUND = 0.5;

  private MarkGrid() {}

  /**
   * A mark.
   *
   * @param column and row from the lower left, from 0
   */
  public record Mark(int column, int row, double xPx, double yPx) {}

  /**
   * @param columnsSeen and {@code rowsSeen}: how many there are, at most as many as asked for
   */
  public record Found(List<Mark> marks, int columnsSeen, int rowsSeen) {}

  /**
   * @param pitchPx from mark to mark, to a fifth
   * @param reached told how far it is, from 0 to 1
   */
  public static Found find(
      Picture picture,
      MarkKind kind,
      int columns,
      int rows,
      double pitchPx,
      DoubleConsumer reached) {
    List<Place> places = DarkPlaces.of(picture, pitchPx, columns * rows);
    reached.accept(PLACES_FOUND);
    Map<Cell, Place> net = Lattice.of(places, pitchPx);
    if (net.size() < 4) {
      return new Found(List.of(), 0, 0);
    }
    Cell corner = corner(net, columns, rows);
    Map<Cell, Place> inside =
        net.entrySet().stream()
            .filter(e -> within(e.getKey(), corner, columns, rows))
            .collect(
                Collectors.toMap(
                    e ->
                        new Cell(
                            e.getKey().column() - corner.column(), e.getKey().row() - corner.row()),
                    Map.Entry::getValue));
    Map<Cell, Place> mapped = byMap(inside, places, columns, rows, pitchPx);
    List<Mark> marks =
        mapped.entrySet().parallelStream()
            .map(e -> centre(picture, kind, e.getKey(), e.getValue(), pitchPx))
            .flatMap(Optional::stream)
            .sorted(Comparator.comparingInt(Mark::row).thenComparingInt(Mark::column))
            .toList();
    reached.accept(1);
    return new Found(
        marks,
        seen(mapped.keySet().stream().map(Cell::column).toList()),
        seen(mapped.keySet().stream().map(Cell::row).toList()));
  }

  private static int seen(List<Integer> numbers) {
    return numbers.isEmpty()
        ? 0
        : numbers.stream().max(Integer::compare).get()
            - numbers.stream().min(Integer::compare).get()
            + 1;
  }

  private static Optional<Mark> centre(
      Picture picture, MarkKind kind, Cell cell, Place place, double pitchPx) {
    Optional<Centre> centre = MarkCentre.of(picture, kind, place.x(), place.y(), pitchPx);
    return centre.map(c -> new Mark(cell.column(), cell.row(), c.x(), c.y()));
  }

  private static boolean within(Cell cell, Cell corner, int columns, int rows) {
    int column = cell.column() - corner.column();
    int row = cell.row() - corner.row();
    return column >= 0 && column < columns && row >= 0 && row < rows;
  }

  /** The lower left of the window of the net that holds most marks. */
  private static Cell corner(Map<Cell, Place> net, int columns, int rows) {
    int left = net.keySet().stream().mapToInt(Cell::column).min().orElseThrow();
    int right = net.keySet().stream().mapToInt(Cell::column).max().orElseThrow();
    int low = net.keySet().stream().mapToInt(Cell::row).min().orElseThrow();
    int high = net.keySet().stream().mapToInt(Cell::row).max().orElseThrow();
    Cell best = new Cell(left, low);
    long most = -1;
    for (int c = left; c <= Math.max(left, right - columns + 1); c++) {
      for (int r = low; r <= Math.max(low, high - rows + 1); r++) {
        Cell corner = new Cell(c, r);
        long inside =
            net.keySet().stream().filter(cell -> within(cell, corner, columns, rows)).count();
        if (inside > most) {
          most = inside;
          best = corner;
        }
      }
    }
    return best;
  }

  /** Each mark is the dark place nearest to where the smooth map of all has it. */
  private static Map<Cell, Place> byMap(
      Map<Cell, Place> net, List<Place> places, int columns, int rows, double pitchPx) {
    Map<Cell, Place> now = net;
    for (int round = 0; round < ROUNDS; round++) {
      Smooth map = Smooth.of(now, columns, rows);
      Map<Cell, Place> next = new HashMap<>();
      for (int row = 0; row < rows; row++) {
        for (int column = 0; column < columns; column++) {
          Cell cell = new Cell(column, row);
          double[] at = map.at(cell);
          places.stream()
              .filter(p -> Math.abs(p.x() - at[0]) < OFF_THE_MAP * pitchPx)
              .filter(p -> Math.hypot(p.x() - at[0], p.y() - at[1]) < OFF_THE_MAP * pitchPx)
              .min(Comparator.comparingDouble(p -> Math.hypot(p.x() - at[0], p.y() - at[1])))
              .ifPresent(p -> next.put(cell, p));
        }
      }
      if (next.size() < 4 || next.equals(now)) {
        return next.size() < 4 ? now : next;
      }
      now = next;
    }
    return now;
  }

  /** A polynomial of column and row, of a degree that so many marks bear. */
  private record Smooth(int degree, double[] x, double[] y, int columns, int rows) {
    static Smooth of(Map<Cell, Place> marks, int columns, int rows) {
      long across = marks.keySet().stream().map(Cell::column).distinct().count();
      long up = marks.keySet().stream().map(Cell::row).distinct().count();
      int degree = (int) Math.min(3, Math.min(across, up) - 1);
      while (degree > 1 && 2 * terms(degree) > marks.size()) {
        degree--;
      }
      List<Map.Entry<Cell, Place>> all = new ArrayList<>(marks.entrySet());
      int taken = Math.max(1, degree);
      RealMatrix design = new Array2DRowRealMatrix(all.size(), terms(taken));
      for (int i = 0; i < all.size(); i++) {
        design.setRow(i, values(all.get(i).getKey(), taken, columns, rows));
      }
      var solver = new QRDecomposition(design, 1e-12).getSolver();
      double[] px = all.stream().mapToDouble(e -> e.getValue().x()).toArray();
      double[] py = all.stream().mapToDouble(e -> e.getValue().y()).toArray();
      return new Smooth(
          taken,
          solver.solve(new ArrayRealVector(px)).toArray(),
          solver.solve(new ArrayRealVector(py)).toArray(),
          columns,
          rows);
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
}
