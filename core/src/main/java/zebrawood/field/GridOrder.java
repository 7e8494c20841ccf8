package zebrawood.field;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zebrawood.field.FieldReadings.Point;
import zebrawood.measure.AffineFit;
import zebrawood.quantity.Amount;
import zebrawood.words.Message;

/**
 * Does each measured place stand beside the place that was commanded for it? Axes that are
 * exchanged or counted the other way, rows typed from the wrong end, a row or column that is
 * shifted by a mark or stands in another's place: a smooth map follows them all, and its table
 * throws the beam about.
 *
 * <p>A head leaves the order of marks as it is, however much it bends: the step from one row to the
 * next is nearer to one row up than to any other step of the grid. The median of a row's steps is
 * taken, so that a misread mark does not matter.
 */
final class GridOrder {
  /** The order in which a sheet may be read, other than the right one; x and y of each as read. */
  enum Turned {
    EXCHANGED(0, 1, 1, 0),
    EXCHANGED_BACK(0, -1, -1, 0),
    FROM_RIGHT(-1, 0, 0, 1),
    FROM_TOP(1, 0, 0, -1),
    HALF(-1, 0, 0, -1),
    LEFT(0, -1, 1, 0),
    RIGHT(0, 1, -1, 0);

    private final int[] matrix;

    Turned(int... matrix) {
      this.matrix = matrix;
    }

    private double likeness(AffineFit fit) {
      return matrix[0] * fit.xx()
          + matrix[1] * fit.xy()
          + matrix[2] * fit.yx()
          + matrix[3] * fit.yy();
    }

    Message said() {
      return Message.of(Message.keyOf(this));
    }
  }

  /** A head is no further off than this from its right size, both axes together. */
  private static final double LIKE = 1;

  /** Of the larger spread: places that lie nearer to a line have no order. */
  private static final double FLAT = 1e-6;

  private static final int LEAST_LINES = 3;

  /** Smaller, or the other way round, the axes are not what they are taken for. */
  private static final double LEAST_SIZE = 0.2;

  /** In mm: no place of any field. */
  private static final double FAR = 1e6;

  private GridOrder() {}

  /**
   * @param points three or more
   * @return what is not where it belongs; empty where everything is, or where the places are no
   *     numbers
   */
  static Optional<Message> wrong(List<Point> points) {
    double[][] all =
        List.<ToDoubleFunction<Point>>of(
                Point::xMm, Point::yMm, Point::measuredXMm, Point::measuredYMm)
            .stream()
            .map(of -> points.stream().mapToDouble(of).toArray())
            .toArray(double[][]::new);
    if (Arrays.stream(all).flatMapToDouble(Arrays::stream).anyMatch(d -> !(Math.abs(d) < FAR))) {
      return Optional.empty();
    }
    List<Wrong> lines =
        Stream.of(false, true)
            .flatMap(columns -> lines(points, columns).stream().map(l -> wrong(l, columns)))
            .flatMap(Optional::stream)
            .toList();
    return lines.stream()
        .filter(Wrong::few)
        .findFirst()
        .map(Wrong::said)
        .or(() -> turned(AffineFit.of(new AffineFit.Pairs(all[0], all[1], all[2], all[3]))))
        .or(() -> lines.stream().findFirst().map(Wrong::said));
  }

  /** How all marks are turned, where they are. */
  private static Optional<Message> turned(AffineFit fit) {
    double right = fit.xx() + fit.yy();
    return Arrays.stream(Turned.values())
        .filter(t -> t.likeness(fit) > Math.max(LIKE, right + LIKE / 2))
        .max(Comparator.comparingDouble(t -> t.likeness(fit)))
        .map(Turned::said);
  }

  /**
   * Lines that are not where they belong.
   *
   * @param few whether the others tell where that is
   */
  private record Wrong(Message said, boolean few) {}

  /**
   * A row, or a column: across, along and the measured places, by where each mark lies along it.
   */
  private record Line(double acrossMm, Map<Double, double[]> marks) {}

  /** The rows or columns, in rising order; empty where the marks are no grid. */
  private static Optional<List<Line>> lines(List<Point> points, boolean columns) {
    double size =
        points.stream().mapToDouble(p -> Math.abs(p.xMm()) + Math.abs(p.yMm())).max().orElse(0);
    double same = Math.max(1e-9, FLAT * size);
    TreeMap<Double, Line> lines = new TreeMap<>();
    TreeMap<Double, Double> places = new TreeMap<>();
    for (Point p : points) {
      double across = near(lines, columns ? p.xMm() : p.yMm(), same);
      double along = near(places, columns ? p.yMm() : p.xMm(), same);
      places.put(along, along);
      lines
          .computeIfAbsent(across, at -> new Line(at, new TreeMap<>()))
          .marks
          .put(
              along,
              columns
                  ? new double[] {p.measuredYMm(), p.measuredXMm()}
                  : new double[] {p.measuredXMm(), p.measuredYMm()});
    }
    boolean grid =
        lines.size() >= LEAST_LINES
            && places.size() >= LEAST_LINES
            && lines.size() * places.size() <= 1.5 * points.size();
    return grid ? Optional.of(List.copyOf(lines.values())) : Optional.empty();
  }

  /** A key that is there already, where one is near enough to be the same. */
  private static double near(TreeMap<Double, ?> keys, double at, double same) {
    Double below = keys.floorKey(at + same);
    return below != null && at - below <= same ? below : at;
  }

  private static Optional<Wrong> wrong(List<Line> lines, boolean columns) {
    int n = lines.size();
    int[][] places = new int[n][2];
    double size = size(lines);
    boolean alike = true;
    Optional<int[]> before = Optional.empty();
    for (int i = 1; i < n; i++) {
      Optional<int[]> step = step(lines.get(i - 1), lines.get(i), size);
      if (step.isEmpty()) {
        return Optional.empty();
      }
      alike &= before.isEmpty() || Arrays.equals(before.get(), step.get());
      before = step;
      places[i][0] = places[i - 1][0] + step.get()[0];
      places[i][1] = places[i - 1][1] + step.get()[1];
    }
    if (alike) {
      // All of it is large, turned or mirrored; no line stands in another's place.
      return Optional.empty();
    }
    // What most lines are off alike is where the first one lies.
    int[][] off =
        IntStream.range(0, n)
            .mapToObj(i -> new int[] {places[i][0], places[i][1] - i})
            .toArray(int[][]::new);
    int[] usual =
        Arrays.stream(off)
            .max(
                Comparator.comparingLong(
                    o -> Arrays.stream(off).filter(q -> Arrays.equals(o, q)).count()))
            .orElseThrow();
    List<Integer> wrong = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      if (!Arrays.equals(off[i], usual)) {
        wrong.add(i);
      }
    }
    if (wrong.isEmpty()) {
      return Optional.empty();
    }
    int one = wrong.getFirst();
    if (wrong.size() == 2) {
      int two = wrong.getLast();
      boolean exchanged =
          off[one][0] == usual[0]
              && off[two][0] == usual[0]
              && off[one][1] - usual[1] == two - one
              && off[two][1] - usual[1] == one - two;
      if (exchanged) {
        return Optional.of(
            new Wrong(
                Message.of(
                    columns ? "field.found.columns" : "field.found.rows",
                    Message.bare(at(lines.get(one))),
                    at(lines.get(two))),
                true));
      }
    }
    boolean along = off[one][0] != usual[0] && off[one][1] == usual[1];
    return Optional.of(
        new Wrong(Message.of(key(columns, along), at(lines.get(one))), 2 * wrong.size() < n));
  }

  private static String key(boolean columns, boolean along) {
    if (along) {
      return columns ? "field.found.column-shifted" : "field.found.row-shifted";
    }
    return columns ? "field.found.column" : "field.found.row";
  }

  private static Amount at(Line line) {
    return Amount.mm(line.acrossMm, 1);
  }

  /**
   * From one line to the next, in marks along it and lines across it: (0, 1) of any head. Empty
   * where the two have no mark beside one another.
   */
  private static Optional<int[]> step(Line from, Line to, double size) {
    List<double[]> steps = new ArrayList<>();
    double across = size * (to.acrossMm - from.acrossMm);
    double along = size * pitch(from);
    for (var mark : from.marks.entrySet()) {
      double[] beside = to.marks.get(mark.getKey());
      if (beside != null) {
        steps.add(
            new double[] {
              (beside[0] - mark.getValue()[0]) / along, (beside[1] - mark.getValue()[1]) / across
            });
      }
    }
    if (steps.isEmpty() || !(size > LEAST_SIZE && along > 0)) {
      return Optional.empty();
    }
    return Optional.of(new int[] {median(steps, 0), median(steps, 1)});
  }

  /** How many times as long as commanded the steps along the lines are: the middle one. */
  private static double size(List<Line> lines) {
    double[] sorted =
        lines.stream()
            .flatMapToDouble(l -> {
              List<Double> places = List.copyOf(l.marks.keySet());
              return IntStream.range(1, places.size())
                  .mapToDouble(i ->
                      (l.marks.get(places.get(i))[0] - l.marks.get(places.get(i - 1))[0])
                          / (places.get(i) - places.get(i - 1)));
            })
            .sorted()
            .toArray();
    return sorted.length == 0 ? 0 : sorted[sorted.length / 2];
  }

  /** Between neighbours along it, as commanded. */
  private static double pitch(Line line) {
    List<Double> places = List.copyOf(line.marks.keySet());
    return places.size() < 2 ? 0 : (places.getLast() - places.getFirst()) / (places.size() - 1);
  }

  private static int median(List<double[]> steps, int of) {
    double[] sorted = steps.stream().mapToDouble(s -> s[of]).sorted().toArray();
    double middle = (sorted[(sorted.length - 1) / 2] + sorted[sorted.length / 2]) / 2;
    return Math.clamp(Math.round(middle), -10_000, 10_000);
  }
}
