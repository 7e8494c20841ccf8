package zebrawood.field;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.field.FieldFinding.OfGrid;
import zebrawood.field.FieldFinding.Row;
import zebrawood.field.FieldReadings.Point;
import zebrawood.field.FieldReadings.Square;
import zebrawood.measure.Accepts;
import zebrawood.measure.Estimate;
import zebrawood.measure.Resolution;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Which scale and which table make the head mark true size, square, everywhere?
 *
 * <p>In: the field, the instrument, the tolerance, and one square or a grid of marks as commanded
 * and as they are. Out of a square: the scale of each axis, and what the reading error leaves at
 * the field's edge; where that is more than half of the tolerance nothing is decided. Out of a
 * grid: the plain coefficients ({@link HeadFit}) and the smooth map that predicts held-back marks
 * best ({@link FieldMap}), inverted into a table.
 */
public final class FieldCorrection {
  /** Below this share of the field its edge is extrapolated: a warning says so. */
  private static final double ENOUGH_OF_FIELD = 0.8;

  private static final int ALONG_EDGE = 60;

  /** In standard deviations: what is off by more is off. */
  private static final double SURE = 3;

  /** Where more were misread it is no longer told which. */
  private static final int MARKS_A_MISREAD_ONE = 10;

  /** Marks of all the maps that are made one after the other, so that it ends soon. */
  private static final int MARKS_TRIED = 200_000;

  /**
   * Marks that count, and those that were misread.
   *
   * @param again what is to be read again before anything is decided
   */
  private record Kept(List<Point> points, List<Point> misread, Optional<Advice> again) {
    static Kept all(List<Point> points) {
      return new Kept(points, List.of(), Optional.empty());
    }
  }

  private FieldCorrection() {}

  public static FieldFinding solve(FieldReadings readings) {
    return readings.square().isPresent()
        ? ofSquare(readings, readings.square().get())
        : ofGrid(readings).withTable();
  }

  /**
   * Marks that were measured with an instrument. A mark that was misread is left out, one at a
   * time, as long as they are no more than a tenth. Where one mark alone moves the map by more than
   * the tolerance, nothing is decided: had it been misread a little, nobody would know.
   */
  static Grid ofGrid(FieldReadings readings) {
    Head head = new Head(readings.fieldMm(), readings.toleranceMm(), readings.table());
    List<Point> all = readings.points().orElseThrow();
    double error = error(readings);
    List<Point> kept = new ArrayList<>(all);
    List<Point> misread = new ArrayList<>();
    FieldMap map = FieldMap.of(kept, head.fieldMm, error);
    OptionalInt next = map.misread(kept, error);
    int most = Math.min(all.size() / MARKS_A_MISREAD_ONE, Math.max(1, MARKS_TRIED / all.size()));
    while (next.isPresent() && misread.size() < most) {
      misread.add(kept.remove(next.getAsInt()));
      map = FieldMap.of(kept, head.fieldMm, error);
      next = map.misread(kept, error);
    }
    OptionalInt alone = map.decidesAlone(kept, head.toleranceMm);
    Optional<Advice> again =
        next.isPresent()
            ? Optional.of(
                named("field.grid.read-again", kept.get(next.getAsInt()))
                    .because("field.grid.read-again.why"))
            : alone.isPresent()
                ? Optional.of(
                    named("field.grid.alone", kept.get(alone.getAsInt()))
                        .because("field.grid.alone.why"))
                : Optional.empty();
    return ofGrid(head, all, new Kept(kept, misread, again), map, new Errors(error, 0, 0));
  }

  /**
   * A grid with its map.
   *
   * @param finding without its table, which takes longer than all the rest
   * @param points all marks, and {@code kept} those that count
   */
  record Grid(OfGrid finding, List<Point> points, List<Point> kept, FieldMap map, Head head) {
    OfGrid withTable() {
      return finding.with(table());
    }

    /** Row by row from the lowest y. */
    List<Row> table() {
      return FieldCorrection.table(map, head);
    }

    /** How far each mark lies off the smooth map of all of them: x and y, in their order. */
    List<List<Double>> offTheMap() {
      return points.stream()
          .map(p -> {
            double[] at = map.at(p.xMm(), p.yMm());
            return List.of(p.measuredXMm() - at[0], p.measuredYMm() - at[1]);
          })
          .toList();
    }
  }

  /** What is wanted of a head. */
  record Head(double fieldMm, double toleranceMm, int tableSize) {}

  /**
   * What is known of the errors before a grid is fitted.
   *
   * @param leastMm standard deviation of a coordinate by the instrument, 0 where it is not known
   * @param scaleX relative, common to all marks, and {@code scaleY}
   */
  record Errors(double leastMm, double scaleX, double scaleY) {}

  private static double error(FieldReadings r) {
    return Resolution.standardDeviation(r.resolutionMm());
  }

  /** A square's side so long that the reading error leaves half of the tolerance at the edge. */
  private static OptionalDouble advisedSquare(Head head, double errorMm) {
    double side = errorMm * head.fieldMm / head.toleranceMm;
    return side <= head.fieldMm ? OptionalDouble.of(side) : OptionalDouble.empty();
  }

  private static FieldFinding ofSquare(FieldReadings r, Square square) {
    double half = r.fieldMm() / 2;
    double across = square.acrossMm();
    double up = square.upMm();
    double scaleX = square.commandedMm() / across;
    double scaleY = square.commandedMm() / up;
    double edge =
        half
            * Math.max(
                Math.abs(across / square.commandedMm() - 1),
                Math.abs(up / square.commandedMm() - 1));
    double left = half * error(r) / Math.min(across, up);
    OptionalDouble advised =
        advisedSquare(new Head(r.fieldMm(), r.toleranceMm(), r.table()), error(r));
    boolean unsure = left > r.toleranceMm() / 2;
    Verdict verdict =
        unsure ? Verdict.MEASURE_AGAIN : edge > r.toleranceMm() ? Verdict.ADJUST : Verdict.WITHIN;
    Estimate x = new Estimate(scaleX, scaleX * error(r) / across);
    Estimate y = new Estimate(scaleY, scaleY * error(r) / up);
    return new FieldFinding.OfSquare(
        x,
        y,
        edge,
        left,
        advised,
        verdict,
        unsure
            ? sureFirst(x, y, half, larger(left, advised))
            : List.of(
                verdict == Verdict.WITHIN
                    ? leave(edge, r.toleranceMm())
                    : scale(scaleX, scaleY, edge)),
        square.edges().isPresent()
                && square.edges().get() != FieldReadings.Edges.CENTRE
                && square.lineWidthMm().isEmpty()
            ? List.of(Message.of("field.line-width-unknown"))
            : List.of());
  }

  /** What is off beyond all doubt is put right before it is read more finely. */
  private static List<Advice> sureFirst(Estimate x, Estimate y, double half, Advice thenRead) {
    List<Advice> advice = new ArrayList<>();
    addSure(advice, "field.axis.x", x, half);
    addSure(advice, "field.axis.y", y, half);
    advice.add(thenRead);
    return advice;
  }

  private static void addSure(List<Advice> advice, String axis, Estimate scale, double half) {
    double off = Math.abs(1 - 1 / scale.value());
    if (Math.abs(scale.value() - 1) > SURE * scale.uncertainty()) {
      int decimals = Math.clamp((int) Math.ceil(-Math.log10(scale.uncertainty())), 1, 6);
      advice.add(
          Advice.act(
                  "field.scale.first",
                  Message.of(axis),
                  Amount.of(scale.value(), Quantity.NUMBER, decimals),
                  Amount.of(scale.uncertainty(), Quantity.NUMBER, decimals))
              .because("field.scale.first.why", Amount.mm(half * off, 1)));
    }
  }

  private static Advice larger(double left, OptionalDouble advised) {
    Advice read =
        advised.isPresent()
            ? Advice.read("field.square.larger", Amount.mm(advised.getAsDouble(), 0))
            : Advice.read("field.square.finer");
    return read.because("field.square.larger.why", Amount.mm(left, 3));
  }

  private static Advice leave(double edge, double toleranceMm) {
    return Advice.leave("field.leave")
        .because("field.leave.why", Amount.mm(edge, 3), Amount.mm(toleranceMm, 2));
  }

  private static Advice scale(double scaleX, double scaleY, double edge) {
    return Advice.act(
            "field.scale",
            Amount.of(scaleX, Quantity.NUMBER, 5),
            Amount.of(scaleY, Quantity.NUMBER, 5))
        .because("field.scale.why", Amount.mm(edge, 3));
  }

  /** What lies behind the plain coefficients, for a controller that takes it. */
  private static Advice load(Head head, FieldMap map) {
    return Advice.act("field.table", head.tableSize, head.tableSize)
        .because("field.table.why", Amount.mm(map.heldBackRmsMm(), 3));
  }

  /** Of marks, however they were found, none of which was misread. */
  static Grid ofGrid(Head head, List<Point> points, Errors errors) {
    return ofGrid(
        head, points, Kept.all(points), FieldMap.of(points, head.fieldMm, errors.leastMm), errors);
  }

  private static Grid ofGrid(Head head, List<Point> all, Kept kept, FieldMap map, Errors errors) {
    List<Point> points = kept.points;
    HeadFit plain = HeadFit.of(points);
    if (!plain.isAHeads()) {
      throw UnusableReading.of(
          "points",
          Message.of(
              "field.found.size",
              Message.number(Math.round(1000 * plain.map().sizeX()) / 1000.0),
              Message.number(Math.round(1000 * plain.map().sizeY()) / 1000.0)),
          Message.of("field.accepts.size"));
    }
    double half = head.fieldMm / 2;
    double edge = 0;
    double left = 0;
    for (int i = 0; i < 4 * ALONG_EDGE; i++) {
      double along = half * (2.0 * (i % ALONG_EDGE) / ALONG_EDGE - 1);
      double[] at =
          switch (i / ALONG_EDGE) {
            case 0 -> new double[] {along, -half};
            case 1 -> new double[] {half, along};
            case 2 -> new double[] {-along, half};
            default -> new double[] {-half, -along};
          };
      double[] lies = map.at(at[0], at[1]);
      edge = Math.max(edge, Math.hypot(lies[0] - at[0], lies[1] - at[1]));
      left = Math.max(left, map.uncertaintyMm(at[0], at[1]));
    }
    double atEdge = Math.hypot(left, half * Math.max(errors.scaleX, errors.scaleY));
    double squares = 0;
    double most = 0;
    for (Point p : points) {
      double off = Math.hypot(p.measuredXMm() - p.xMm(), p.measuredYMm() - p.yMm());
      squares += off * off;
      most = Math.max(most, off);
    }
    double scaleX = 1 / plain.map().sizeX();
    double scaleY = 1 / plain.map().sizeY();
    boolean unsure = atEdge > head.toleranceMm / 2 || kept.again.isPresent();
    // Scatter of the readings alone is no reason to adjust.
    boolean isTrue = edge <= head.toleranceMm || edge < 2 * atEdge;
    Verdict verdict = unsure ? Verdict.MEASURE_AGAIN : isTrue ? Verdict.WITHIN : Verdict.ADJUST;
    OfGrid finding =
        new OfGrid(
            new Estimate(
                scaleX,
                scaleX * Math.hypot(scaleX * map.noiseMm() * plain.map().errorX(), errors.scaleX)),
            new Estimate(
                scaleY,
                scaleY * Math.hypot(scaleY * map.noiseMm() * plain.map().errorY(), errors.scaleY)),
            edge,
            atEdge,
            advisedSquare(head, Math.max(errors.leastMm, map.noiseMm())),
            OptionalDouble.of(plain.map().shiftX()),
            OptionalDouble.of(plain.map().shiftY()),
            OptionalDouble.of(plain.rotationMrad()),
            new Estimate(plain.skewMrad(), map.noiseMm() * plain.errorOfSkewMrad()),
            Math.sqrt(squares / points.size()),
            map.heldBackRmsMm(),
            most,
            map.heldBackMostMm(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.of(
                kept.misread.stream()
                    .map(p -> new FieldFinding.MarkPlace(p.xMm(), p.yMm()))
                    .toList()),
            verdict,
            unsure
                ? List.of(kept.again.orElseGet(() -> more(atEdge)))
                : verdict == Verdict.WITHIN
                    ? List.of(leave(edge, head.toleranceMm))
                    : List.of(scale(scaleX, scaleY, edge), load(head, map)),
            warnings(head, kept));
    return new Grid(finding, all, points, map, head);
  }

  private static Advice more(double left) {
    return Advice.read("field.grid.more").because("field.square.larger.why", Amount.mm(left, 3));
  }

  private static Advice named(String key, Point mark) {
    return Advice.read(key, Message.bare(Amount.mm(mark.xMm(), 1)), Amount.mm(mark.yMm(), 1));
  }

  private static List<Message> warnings(Head head, Kept kept) {
    List<Point> points = kept.points;
    List<Message> warnings = new ArrayList<>();
    for (Point p : kept.misread) {
      warnings.add(
          Message.of(
              "field.grid.left-out", Message.bare(Amount.mm(p.xMm(), 1)), Amount.mm(p.yMm(), 1)));
    }
    double reach =
        Math.min(
            points.stream().mapToDouble(Point::xMm).max().orElseThrow()
                - points.stream().mapToDouble(Point::xMm).min().orElseThrow(),
            points.stream().mapToDouble(Point::yMm).max().orElseThrow()
                - points.stream().mapToDouble(Point::yMm).min().orElseThrow());
    if (reach < ENOUGH_OF_FIELD * head.fieldMm) {
      warnings.add(
          Message.of("field.reach", Amount.of(100 * reach / head.fieldMm, Quantity.PERCENT, 0)));
    }
    return warnings;
  }

  private static List<Row> table(FieldMap map, Head head) {
    int size = head.tableSize;
    double half = head.fieldMm / 2;
    List<Row> rows = new ArrayList<>(size * size);
    for (int i = 0; i < size; i++) {
      double y = half * (2.0 * i / (size - 1) - 1);
      double[] before = {-half, y};
      for (int k = 0; k < size; k++) {
        double x = half * (2.0 * k / (size - 1) - 1);
        before = map.commandFor(x, y, before);
        Accepts.canExist("points", "field.command", before[0], head.fieldMm);
        Accepts.canExist("points", "field.command", before[1], head.fieldMm);
        rows.add(new Row(x, y, before[0], before[1]));
      }
    }
    return rows;
  }
}
