package zebrawood.field;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.DoubleConsumer;
import java.util.stream.IntStream;
import zebrawood.field.FieldFinding.Missing;
import zebrawood.field.FieldFinding.OfGrid;
import zebrawood.field.FieldReadings.Point;
import zebrawood.marks.MarkGrid;
import zebrawood.marks.MarkGrid.Mark;
import zebrawood.measure.AffineFit;
import zebrawood.measure.Picture;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * The field out of a flat-bed scan of its grid: the marks are found in the picture ({@link
 * MarkGrid}), the scanner's own scale is taken off by what lay in the scan, and what a loose sheet
 * cannot tell, shift and rotation, is taken off by least squares. A mark that lies far off the
 * smooth map of all others is doubled or spoilt: it counts as missing.
 */
public final class FieldScan {
  /** In robust standard deviations, with an error that no scan is better than. */
  private static final double FAR_OFF = 7;

  private static final double LEAST_ERROR_MM = 0.004;
  private static final double OF_MEDIAN_RADIUS = 1 / 1.1774;
  private static final double MOST_LEFT_OUT = 0.15;

  /** With fewer of its marks a net may be another's: what it says is not given. */
  private static final double LEAST_SHARE = 0.7;

  private FieldScan() {}

  /**
   * With its table, where nobody asks how far it is.
   *
   * @throws UnusableReading when fewer than nine marks are found, or a whole outer row or column is
   *     missing
   */
  public static OfGrid solve(FieldScanReadings readings, Picture picture) {
    return grid(readings, picture, share -> {}).withTable();
  }

  /**
   * @param reached told how far it is, from 0 to 1
   * @throws UnusableReading when fewer than nine marks are found, or a whole outer row or column is
   *     missing
   */
  static FieldCorrection.Grid grid(
      FieldScanReadings readings, Picture picture, DoubleConsumer reached) {
    ScanScale scale = ScanScale.of(readings.scale(), readings.scaleUp());
    MarkGrid.Found found =
        MarkGrid.find(
            picture,
            readings.mark(),
            readings.columns(),
            readings.rows(),
            readings.pitchMm() * (scale.pxPerMmX() + scale.pxPerMmY()) / 2,
            (scale.pxPerMmX() + scale.pxPerMmY()) / 2,
            reached);
    enough(readings, found.marks().size());
    if (found.marks().size() < LEAST_SHARE * readings.columns() * readings.rows()) {
      throw UnusableReading.of(
          "imagePath",
          Message.of(
              "field.found.part-of-grid",
              found.marks().size(),
              readings.columns() * readings.rows(),
              found.columnsSeen(),
              readings.columns(),
              found.rowsSeen(),
              readings.rows()),
          Message.of("field.accepts.most-marks", Math.round(100 * LEAST_SHARE)));
    }
    if (found.columnsSeen() < readings.columns() || found.rowsSeen() < readings.rows()) {
      throw UnusableReading.of(
          "imagePath",
          Message.of("field.found.smaller-grid", found.columnsSeen(), found.rowsSeen()),
          Message.of("field.accepts.whole-grid", readings.columns(), readings.rows()));
    }
    List<Mark> marks = new ArrayList<>(found.marks());
    ScannerSkew skew = ScannerSkew.of(readings, scale, marks);
    List<Point> points = onGrid(readings, scale, skew, marks);
    Set<Integer> off = farOff(points, readings.fieldMm());
    if (!off.isEmpty()) {
      marks =
          IntStream.range(0, marks.size())
              .filter(i -> !off.contains(i))
              .mapToObj(marks::get)
              .toList();
      enough(readings, marks.size());
      points = onGrid(readings, scale, skew, marks);
    }
    FieldCorrection.Grid grid =
        FieldCorrection.ofGrid(
            readings.head(), points, new FieldCorrection.Errors(0, scale.errorX(), scale.errorY()));
    OfGrid f = grid.finding();
    return new FieldCorrection.Grid(
        f.scanned(
            1000 * skew.error(),
            points,
            marks.stream()
                .map(m -> m.uncertaintyPx() / Math.min(scale.pxPerMmX(), scale.pxPerMmY()))
                .toList(),
            missing(readings, marks),
            warnings(readings, f, off.size(), skew)),
        points,
        points,
        grid.map(),
        grid.head());
  }

  private static void enough(FieldScanReadings readings, int marks) {
    if (marks < FieldReadings.LEAST_POINTS) {
      throw UnusableReading.of(
          "imagePath",
          Message.of("field.found.marks", marks),
          Message.of("field.accepts.marks", FieldReadings.LEAST_POINTS));
    }
  }

  /** In millimetres from the field's centre, turned and moved onto what was commanded. */
  private static List<Point> onGrid(
      FieldScanReadings readings, ScanScale scale, ScannerSkew skew, List<Mark> marks) {
    int n = marks.size();
    double[] u = new double[n];
    double[] v = new double[n];
    double[] x = new double[n];
    double[] y = new double[n];
    for (int i = 0; i < n; i++) {
      u[i] = (marks.get(i).column() - (readings.columns() - 1) / 2.0) * readings.pitchMm();
      v[i] = (marks.get(i).row() - (readings.rows() - 1) / 2.0) * readings.pitchMm();
      y[i] = -marks.get(i).yPx() / scale.pxPerMmY();
      x[i] = marks.get(i).xPx() / scale.pxPerMmX() + skew.shear() * y[i];
    }
    AffineFit onto = AffineFit.similarity(new AffineFit.Pairs(x, y, u, v));
    // Its size is the scan's own: only the turn and the place are taken.
    double cos = onto.xx() / onto.sizeX();
    double sin = onto.yx() / onto.sizeX();
    double middleX = Arrays.stream(x).average().orElseThrow();
    double middleY = Arrays.stream(y).average().orElseThrow();
    double toU = onto.x(middleX, middleY);
    double toV = onto.y(middleX, middleY);
    List<Point> points = new ArrayList<>(n);
    for (int i = 0; i < n; i++) {
      double dx = x[i] - middleX;
      double dy = y[i] - middleY;
      points.add(new Point(u[i], v[i], toU + cos * dx - sin * dy, toV + sin * dx + cos * dy));
    }
    return points;
  }

  /**
   * The worst first, with those that are half as far off: a spoilt mark bends the map that judges
   * its neighbours, so that all others are judged by a map without it.
   */
  private static Set<Integer> farOff(List<Point> points, double fieldMm) {
    Set<Integer> far = new HashSet<>();
    while (far.size() <= MOST_LEFT_OUT * points.size()) {
      List<Point> kept =
          IntStream.range(0, points.size())
              .filter(i -> !far.contains(i))
              .mapToObj(points::get)
              .toList();
      double[] off = off(points, FieldMap.of(kept, fieldMm, 0));
      double[] sorted =
          IntStream.range(0, off.length)
              .filter(i -> !far.contains(i))
              .mapToDouble(i -> off[i])
              .sorted()
              .toArray();
      double error = Math.max(LEAST_ERROR_MM, OF_MEDIAN_RADIUS * sorted[sorted.length / 2]);
      double worst =
          IntStream.range(0, off.length)
              .filter(i -> !far.contains(i))
              .mapToDouble(i -> off[i])
              .max()
              .orElseThrow();
      if (worst <= FAR_OFF * error) {
        return far;
      }
      double from = Math.max(FAR_OFF * error, worst / 2);
      IntStream.range(0, off.length).filter(i -> off[i] >= from).forEach(far::add);
    }
    return Set.of();
  }

  private static double[] off(List<Point> points, FieldMap map) {
    return points.stream()
        .mapToDouble(p -> {
          double[] at = map.at(p.xMm(), p.yMm());
          return Math.hypot(at[0] - p.measuredXMm(), at[1] - p.measuredYMm());
        })
        .toArray();
  }

  private static List<Missing> missing(FieldScanReadings readings, List<Mark> marks) {
    Set<Missing> found = new HashSet<>();
    marks.forEach(m -> found.add(new Missing(m.column(), m.row())));
    List<Missing> missing = new ArrayList<>();
    for (int row = 0; row < readings.rows(); row++) {
      for (int column = 0; column < readings.columns(); column++) {
        Missing cell = new Missing(column, row);
        if (!found.contains(cell)) {
          missing.add(cell);
        }
      }
    }
    return missing;
  }

  private static List<Message> warnings(
      FieldScanReadings readings, FieldFinding f, int off, ScannerSkew skew) {
    List<Message> warnings = new ArrayList<>(f.warnings());
    if (readings.diagonals().isPresent() && !skew.told()) {
      warnings.add(Message.of("field.scan.no-diagonals"));
    }
    if (readings.scaleUp().isEmpty()) {
      warnings.add(Message.of("field.scan.one-rule"));
    }
    if (off > 0) {
      warnings.add(Message.of("field.scan.spoilt", off));
    }
    return warnings;
  }
}
