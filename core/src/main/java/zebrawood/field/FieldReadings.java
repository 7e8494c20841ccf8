package zebrawood.field;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * What was burnt and what came out.
 *
 * @param fieldMm side of the field
 * @param resolutionMm of the instrument
 * @param toleranceMm how far off a mark may be at the field's edge
 * @param square one square; or {@code points}, one of the two
 * @param points at least nine
 * @param tableSize rows and columns of the table; 65 where it is not given
 */
public record FieldReadings(
    double fieldMm,
    double resolutionMm,
    double toleranceMm,
    Optional<Square> square,
    Optional<List<Point>> points,
    OptionalInt tableSize) {
  static final double LARGEST_MM = 10_000;
  static final double SMALLEST_MM = 0.5;

  /** No instrument tells less apart. */
  static final double FINEST_MM = 1e-9;

  /** A reading that is coarser, by what is measured, tells nothing of it. */
  private static final double COARSEST_SHARE = 0.2;

  static final int LEAST_POINTS = 9;
  private static final int MOST_POINTS = 40_000;
  static final int USUAL_TABLE = 65;

  /** Rows and columns of a table. */
  public static final int SMALLEST_TABLE = 2;

  public static final int LARGEST_TABLE = 1025;

  /** A mark that is further off than this share of the field is of another grid. */
  private static final double FURTHEST_OFF = 0.5;

  public FieldReadings {
    points = points.map(List::copyOf);
    var accepts =
        new Accepts()
            .between("fieldMm", fieldMm, SMALLEST_MM, LARGEST_MM)
            .between("resolutionMm", resolutionMm, FINEST_MM, COARSEST_SHARE * fieldMm)
            .between("toleranceMm", toleranceMm, FINEST_MM, LARGEST_MM);
    tableSize.ifPresent(n -> accepts.between("tableSize", n, SMALLEST_TABLE, LARGEST_TABLE));
    if (square.isPresent() == points.isPresent()) {
      accepts.complain(
          "square",
          Message.of(points.isPresent() ? "field.found.both" : "field.found.neither"),
          Message.of("field.accepts.one-of-two"));
    }
    accepts.orThrow();
    square.ifPresent(s -> {
      check(accepts, s, fieldMm);
      accepts.between("resolutionMm", resolutionMm, FINEST_MM, COARSEST_SHARE * s.commandedMm);
    });
    points.ifPresent(p -> check(accepts, p, fieldMm));
    accepts.orThrow();
  }

  private static void check(Accepts accepts, Square square, double fieldMm) {
    accepts.between("square.commandedMm", square.commandedMm(), 0, fieldMm);
  }

  private static void check(Accepts accepts, List<Point> points, double fieldMm) {
    accepts.atLeast("points", points, LEAST_POINTS, "field.count.points");
    if (points.size() > MOST_POINTS) {
      accepts.complain("points", points.size(), Message.of("field.accepts.most", MOST_POINTS));
      return;
    }
    Optional<Message> order =
        points.size() < LEAST_POINTS ? Optional.empty() : GridOrder.wrong(points);
    if (order.isPresent()) {
      accepts.complain("points", order.get(), Message.of("field.accepts.in-order"));
      return;
    }
    double half = fieldMm / 2 * (1 + 1e-9);
    for (int i = 0; i < points.size(); i++) {
      Point p = points.get(i);
      String at = "points[" + i + "].";
      accepts
          .between(at + "xMm", p.xMm, -half, half)
          .between(at + "yMm", p.yMm, -half, half)
          .between(
              at + "measuredXMm",
              p.measuredXMm,
              p.xMm - FURTHEST_OFF * fieldMm,
              p.xMm + FURTHEST_OFF * fieldMm)
          .between(
              at + "measuredYMm",
              p.measuredYMm,
              p.yMm - FURTHEST_OFF * fieldMm,
              p.yMm + FURTHEST_OFF * fieldMm);
    }
    if (accepts.fine() && inOneLine(points)) {
      accepts.complain(
          "points", Message.of("accepts.in-one-line"), Message.of("accepts.not-in-line"));
    }
  }

  /** Whether the commanded places determine no affine map: the smaller spread is none. */
  private static boolean inOneLine(List<Point> points) {
    double mx = points.stream().mapToDouble(Point::xMm).average().orElseThrow();
    double my = points.stream().mapToDouble(Point::yMm).average().orElseThrow();
    double xx = 0;
    double yy = 0;
    double xy = 0;
    for (Point p : points) {
      xx += (p.xMm - mx) * (p.xMm - mx);
      yy += (p.yMm - my) * (p.yMm - my);
      xy += (p.xMm - mx) * (p.yMm - my);
    }
    return xx * yy - xy * xy <= 1e-6 * Math.max(xx, yy) * Math.max(xx, yy);
  }

  int table() {
    return tableSize.orElse(USUAL_TABLE);
  }

  /** Where the edges of a line were measured. */
  public enum Edges {
    CENTRE(0),
    OUTSIDE(-1),
    INSIDE(1);

    private final int lineWidths;

    Edges(int lineWidths) {
      this.lineWidths = lineWidths;
    }
  }

  /**
   * One square.
   *
   * @param edges where its lines were measured; their middles where it is not given
   * @param lineWidthMm 0 where it is not given
   */
  public record Square(
      double commandedMm,
      double measuredAcrossMm,
      double measuredUpMm,
      Optional<Edges> edges,
      OptionalDouble lineWidthMm) {
    public Square {
      var accepts =
          new Accepts()
              .between("square.commandedMm", commandedMm, SMALLEST_MM, LARGEST_MM)
              .between(
                  "square.measuredAcrossMm", measuredAcrossMm, commandedMm / 2, commandedMm * 2)
              .between("square.measuredUpMm", measuredUpMm, commandedMm / 2, commandedMm * 2);
      lineWidthMm.ifPresent(mm -> accepts.between("square.lineWidthMm", mm, 0, commandedMm / 4));
      accepts.orThrow();
    }

    private double middles(double measured) {
      return measured + edges.orElse(Edges.CENTRE).lineWidths * lineWidthMm.orElse(0);
    }

    /** From the middle of one line to that of the other. */
    double acrossMm() {
      return middles(measuredAcrossMm);
    }

    double upMm() {
      return middles(measuredUpMm);
    }
  }

  /** One mark: where it was commanded, and where it is. */
  public record Point(double xMm, double yMm, double measuredXMm, double measuredYMm) {}
}
