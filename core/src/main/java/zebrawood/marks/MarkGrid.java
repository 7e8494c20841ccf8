package zebrawood.marks;

import java.util.ArrayList;
import java.util.Arrays;
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
import zebrawood.marks.Lattice.Cell;
import zebrawood.marks.MarkCentre.Centre;
import zebrawood.marks.MarkShapes.Place;
import zebrawood.measure.Picture;

/**
 * A grid of marks on a sheet, seen from straight above and turned by no more than ten degrees: the
 * places that have a mark's shape ({@link MarkShapes}) are joined to a net ({@link Lattice}), a
 * smooth map through the net, in which those far off it count nothing, tells where each mark must
 * be, and its middle is found there ({@link MarkCentre}). Marks are darker than the sheet, or
 * lighter: whichever the net explains better.
 */
public final class MarkGrid {
  /** A picture is looked at in blocks of this side at most: a burnt line is twice as wide. */
  private static final double BLOCK_MM = 0.1;

  private static final double LEAST_BLOCKS_A_PITCH = 60;

  /** A line or a dot is no wider. */
  private static final double LINE_MM = 0.9;

  private static final double DOT_MM = 2.2;

  /** What is looked for where nothing so narrow was found, in pitches. */
  private static final double WIDE_LINE = 0.12;

  private static final double WIDE_DOT = 0.55;

  private static final double OFF_THE_MAP = 0.12;
  private static final double ON_THE_MAP = 0.03;
  private static final double OF_PEERS = 0.3;
  private static final double OF_PEERS_ON_THE_MAP = 0.12;
  private static final int ROUNDS = 3;
  private static final double ENOUGH = 0.75;

  /** What a mark's middle is looked for in, in its own sizes. */
  private static final double ABOUT_CROSS = 3.1;

  private static final double ABOUT_DOT = 4.5;
  private static final double LEAST_ABOUT_PX = 14;

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

  /** One way to look at the picture. */
  private record Look(double widestMm, boolean lightOnDark) {}

  /** What one look came to. */
  private record Seen(Map<Cell, Place> marks, boolean lightOnDark) {
    /** What all its marks answer: ghosts are many and answer little. */
    double score() {
      return marks.values().stream().mapToDouble(Place::response).sum();
    }
  }

  /**
   * @param pitchPx from mark to mark, to a fifth
   * @param pxPerMm how many pixels a millimetre has
   * @param reached told how far it is, from 0 to 1
   */
  public static Found find(
      Picture picture,
      MarkKind kind,
      int columns,
      int rows,
      double pitchPx,
      double pxPerMm,
      DoubleConsumer reached) {
    double wide = (kind == MarkKind.CROSS ? WIDE_LINE : WIDE_DOT) * pitchPx / pxPerMm;
    double narrow = Math.min(wide, kind == MarkKind.CROSS ? LINE_MM : DOT_MM);
    List<Look> looks =
        List.of(
            new Look(narrow, false),
            new Look(narrow, true),
            new Look(wide, false),
            new Look(wide, true));
    Seen best = new Seen(Map.of(), false);
    int done = 0;
    for (Look look : looks) {
      Seen seen = look(picture, kind, columns, rows, pitchPx, pxPerMm, look);
      if (seen.score() > best.score()) {
        best = seen;
      }
      done++;
      reached.accept(0.8 * done / looks.size());
      // Between light marks dark ones seem to lie, and a large dot leaves bits along its rim to a
      // narrow look: crosses are decided between dark and light, dots when all looked.
      boolean asked = kind == MarkKind.CROSS && done % 2 == 0;
      if (asked && best.marks.size() >= ENOUGH * columns * rows) {
        break;
      }
    }
    if (best.marks.size() < 4) {
      return new Found(List.of(), 0, 0);
    }
    double size = median(best.marks.values().stream().mapToDouble(Place::sizePx).toArray());
    double about =
        Math.min(
            pitchPx,
            Math.max(LEAST_ABOUT_PX, (kind == MarkKind.CROSS ? ABOUT_CROSS : ABOUT_DOT) * size));
    Picture seenAs = best.lightOnDark ? new InvertedPicture(picture) : picture;
    List<Mark> marks =
        best.marks.entrySet().parallelStream()
            .map(e -> centre(seenAs, kind, e.getKey(), e.getValue(), about))
            .flatMap(Optional::stream)
            .sorted(Comparator.comparingInt(Mark::row).thenComparingInt(Mark::column))
            .toList();
    reached.accept(1);
    return new Found(
        marks,
        seen(best.marks.keySet().stream().map(Cell::column).toList()),
        seen(best.marks.keySet().stream().map(Cell::row).toList()));
  }

  private static Seen look(
      Picture picture,
      MarkKind kind,
      int columns,
      int rows,
      double pitchPx,
      double pxPerMm,
      Look look) {
    int block =
        (int) Math.max(1, Math.floor(Math.min(BLOCK_MM * pxPerMm, pitchPx / LEAST_BLOCKS_A_PITCH)));
    int widest = (int) Math.max(2, Math.ceil(look.widestMm * pxPerMm / block));
    Ink ink = Ink.of(picture, block, widest, look.lightOnDark);
    List<Place> places = MarkShapes.of(ink, kind, pitchPx, columns * rows);
    Map<Cell, Place> net = Lattice.of(places, pitchPx, columns * rows).marks();
    if (net.size() < 4) {
      return new Seen(Map.of(), false);
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
    return new Seen(mapped, look.lightOnDark);
  }

  private static double median(double[] values) {
    Arrays.sort(values);
    return values[values.length / 2];
  }

  private static int seen(List<Integer> numbers) {
    return numbers.isEmpty()
        ? 0
        : numbers.stream().max(Integer::compare).get()
            - numbers.stream().min(Integer::compare).get()
            + 1;
  }

  private static Optional<Mark> centre(
      Picture picture, MarkKind kind, Cell cell, Place place, double aboutPx) {
    Optional<Centre> centre = MarkCentre.of(picture, kind, place.x(), place.y(), aboutPx);
    return centre.map(c -> new Mark(cell.column(), cell.row(), c.x(), c.y()));
  }

  private static boolean within(Cell cell, Cell corner, int columns, int rows) {
    int column = cell.column() - corner.column();
    int row = cell.row() - corner.row();
    return column >= 0 && column < columns && row >= 0 && row < rows;
  }

  /** The lower left of the window of the net whose marks answer most. */
  private static Cell corner(Map<Cell, Place> net, int columns, int rows) {
    int left = net.keySet().stream().mapToInt(Cell::column).min().orElseThrow();
    int right = net.keySet().stream().mapToInt(Cell::column).max().orElseThrow();
    int low = net.keySet().stream().mapToInt(Cell::row).min().orElseThrow();
    int high = net.keySet().stream().mapToInt(Cell::row).max().orElseThrow();
    Cell best = new Cell(left, low);
    double most = -1;
    for (int c = left; c <= Math.max(left, right - columns + 1); c++) {
      for (int r = low; r <= Math.max(low, high - rows + 1); r++) {
        Cell corner = new Cell(c, r);
        double inside =
            net.entrySet().stream()
                .filter(e -> within(e.getKey(), corner, columns, rows))
                .mapToDouble(e -> e.getValue().response())
                .sum();
        if (inside > most) {
          most = inside;
          best = corner;
        }
      }
    }
    return best;
  }

  /**
   * Each mark is the strongest place near where the smooth map of all has it; a faint one only
   * where it lies on the map.
   */
  private static Map<Cell, Place> byMap(
      Map<Cell, Place> net, List<Place> places, int columns, int rows, double pitchPx) {
    Map<Cell, Place> now = net;
    PlaceIndex index = PlaceIndex.of(places, OFF_THE_MAP * pitchPx);
    for (int round = 0; round < ROUNDS; round++) {
      Smooth map = Smooth.robust(now, columns, rows, pitchPx);
      double peers = median(now.values().stream().mapToDouble(Place::response).toArray());
      Map<Cell, Place> next = new HashMap<>();
      for (int row = 0; row < rows; row++) {
        for (int column = 0; column < columns; column++) {
          Cell cell = new Cell(column, row);
          double[] at = map.at(cell);
          index.within(at[0], at[1], OFF_THE_MAP * pitchPx).stream()
              .filter(p -> mayBe(p, Math.hypot(p.x() - at[0], p.y() - at[1]) / pitchPx, peers))
              .max(Comparator.comparingDouble(Place::response))
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

  private static boolean mayBe(Place p, double off, double peers) {
    return p.response() >= OF_PEERS * peers
        || off < ON_THE_MAP && p.response() >= OF_PEERS_ON_THE_MAP * peers;
  }

  /** A polynomial of column and row, of a degree that so many marks bear. */
  private record Smooth(int degree, double[] x, double[] y, int columns, int rows) {
    /** In pitches: what lies further off than a few of the median counts less, then nothing. */
    private static final double LEAST_SPREAD = 0.004;

    private static final int ROUNDS = 4;

    /** Fitted again and again, with less weight for what is far off it (Tukey's biweight). */
    static Smooth robust(Map<Cell, Place> marks, int columns, int rows, double pitchPx) {
      Map<Cell, Double> weights = new HashMap<>();
      Smooth map = of(marks, weights, columns, rows);
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
                median(off.values().stream().mapToDouble(d -> d).toArray()));
        off.forEach((cell, d) -> {
          double t = d / (6 * spread);
          weights.put(cell, t < 1 ? (1 - t * t) * (1 - t * t) : 0);
        });
        map = of(marks, weights, columns, rows);
      }
      return map;
    }

    private static Smooth of(
        Map<Cell, Place> marks, Map<Cell, Double> weights, int columns, int rows) {
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
        double[] row = values(all.get(i).getKey(), taken, columns, rows);
        double root = root(weights, all.get(i).getKey());
        for (int k = 0; k < row.length; k++) {
          row[k] *= root;
        }
        design.setRow(i, row);
      }
      var solver = new QRDecomposition(design, 1e-12).getSolver();
      double[] px =
          all.stream().mapToDouble(e -> root(weights, e.getKey()) * e.getValue().x()).toArray();
      double[] py =
          all.stream().mapToDouble(e -> root(weights, e.getKey()) * e.getValue().y()).toArray();
      return new Smooth(
          taken,
          solver.solve(new ArrayRealVector(px)).toArray(),
          solver.solve(new ArrayRealVector(py)).toArray(),
          columns,
          rows);
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
}
