package zebrawood.field;

import java.util.List;
import java.util.Optional;
import zebrawood.field.FieldScanReadings.Diagonals;
import zebrawood.marks.MarkGrid.Mark;
import zebrawood.measure.Resolution;

/**
 * By how much a scanner's two directions are out of square, told by both diagonals of the burnt
 * sheet: a place as scanned is off by {@code -s y} in x.
 *
 * <p>The share by which the squares of the diagonals differ holds whatever the scan's scale is; a
 * shear of s moves it by {@code 2 s (dx1 dy1 - dx2 dy2)} over their sum.
 *
 * @param shear to be added: x + shear * y
 * @param error one standard deviation of it
 * @param told whether the diagonals told it; else 0, with what no scanner is better than
 */
record ScannerSkew(double shear, double error, boolean told) {
  /** One standard deviation: no scanner's directions are square to less. */
  private static final double OF_SCANNERS = 1e-3;

  /** Beyond, a diagonal was misread, or was not measured on this sheet. */
  private static final double MOST = 0.03;

  static ScannerSkew unknown() {
    return new ScannerSkew(0, OF_SCANNERS, false);
  }

  /**
   * @return unknown where a corner mark was not found, or what the diagonals say is no scanner's
   */
  static ScannerSkew of(FieldScanReadings readings, ScanScale scale, List<Mark> marks) {
    int right = readings.columns() - 1;
    int top = readings.rows() - 1;
    Optional<double[]> rising = way(marks, scale, 0, 0, right, top);
    Optional<double[]> falling = way(marks, scale, 0, top, right, 0);
    if (readings.diagonals().isEmpty() || rising.isEmpty() || falling.isEmpty()) {
      return unknown();
    }
    Diagonals measured = readings.diagonals().get();
    double[] one = rising.get();
    double[] two = falling.get();
    double sum = square(one) + square(two);
    double sides = 2 * (one[0] * one[1] - two[0] * two[1]);
    double m = measured.risingMm() * measured.risingMm();
    double n = measured.fallingMm() * measured.fallingMm();
    double shear = ((m - n) / (m + n) * sum - (square(one) - square(two))) / sides;
    double error =
        2
            * Resolution.standardDeviation(measured.resolutionMm())
            * Math.hypot(measured.risingMm(), measured.fallingMm())
            / (m + n)
            * sum
            / sides;
    return Math.abs(shear) <= MOST && error < OF_SCANNERS
        ? new ScannerSkew(shear, error, true)
        : unknown();
  }

  private static double square(double[] way) {
    return way[0] * way[0] + way[1] * way[1];
  }

  /** In millimetres as scanned, y upwards. */
  private static Optional<double[]> way(
      List<Mark> marks, ScanScale scale, int fromColumn, int fromRow, int toColumn, int toRow) {
    return at(marks, fromColumn, fromRow)
        .flatMap(from ->
            at(marks, toColumn, toRow)
                .map(to ->
                    new double[] {
                      (to.xPx() - from.xPx()) / scale.pxPerMmX(),
                      -(to.yPx() - from.yPx()) / scale.pxPerMmY()
                    }));
  }

  private static Optional<Mark> at(List<Mark> marks, int column, int row) {
    return marks.stream().filter(m -> m.column() == column && m.row() == row).findFirst();
  }
}
