package zebrawood.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.marks.DrawnScan;
import zebrawood.marks.MarkKind;
import zebrawood.measure.PixelScale;
import zebrawood.measure.UnusableReading;

/** Fields out of scans that are drawn by code of their own. */
class FieldScanTest {
  private static FieldScanReadings readings(DrawnScan scan) {
    double px = 100 * scan.pxPerMm();
    PixelScale right = new PixelScale(List.of(10.0, 20.0), List.of(10.0 + px, 20.0), 100);
    PixelScale up = new PixelScale(List.of(10.0, 20.0), List.of(10.0, 20.0 + px), 100);
    return new FieldScanReadings(
        "scan.png",
        right,
        Optional.of(up),
        scan.columns,
        scan.rows,
        scan.pitchMm,
        MarkKind.CROSS,
        Math.max(110, 1.1 * scan.pitchMm * (scan.columns - 1)),
        0.2,
        OptionalInt.empty(),
        Optional.empty());
  }

  /**
   * Pen strokes over marks, a rule, specks and marks that are missing: what is told of a mark is
   * true, and what could not be read is named. A sheet is loose, so that distances are compared.
   */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void noMarkIsToldThatIsNotTrue(long seed) {
    DrawnScan scan = new DrawnScan();
    scan.seed = seed;
    scan.writing = true;
    scan.rule = true;
    scan.specks = 300;
    scan.toneLevels = 4;
    scan.missing = 3;
    scan.turnDeg = seed * 2 - 5;
    var picture = scan.picture();
    var f = FieldScan.solve(readings(scan), picture);
    List<FieldReadings.Point> points = f.points().orElseThrow();
    int n = points.size();
    double[][] truth = new double[n][];
    Set<Integer> told = new HashSet<>();
    for (int i = 0; i < n; i++) {
      int column = (int) Math.round(points.get(i).xMm() / scan.pitchMm + (scan.columns - 1) / 2.0);
      int row = (int) Math.round(points.get(i).yMm() / scan.pitchMm + (scan.rows - 1) / 2.0);
      told.add(column + row * scan.columns);
      truth[i] = scan.truth(column, row);
    }
    assertThat(told).doesNotContainAnyElementsOf(scan.without);
    for (int i = 0; i < n; i++) {
      double[] off = new double[n];
      for (int j = 0; j < n; j++) {
        double measured =
            Math.hypot(
                points.get(i).measuredXMm() - points.get(j).measuredXMm(),
                points.get(i).measuredYMm() - points.get(j).measuredYMm());
        double drawn =
            Math.hypot(truth[i][0] - truth[j][0], truth[i][1] - truth[j][1]) / scan.pxPerMm();
        off[j] = Math.abs(measured - drawn);
      }
      Arrays.sort(off);
      assertThat(off[n / 2]).as("mark " + points.get(i)).isLessThan(0.05);
    }
    assertThat(n).isGreaterThanOrEqualTo(scan.columns * scan.rows - scan.missing - 6);
    assertThat(f.missing().orElseThrow()).hasSize(scan.columns * scan.rows - n);
  }

  /** A grid of which a part is in the picture is refused, with how much of it was seen. */
  @Test
  void aNetThatDoesNotExplainItsMarksIsRefused() {
    DrawnScan scan = new DrawnScan();
    var picture = scan.picture();
    DrawnScan asked = new DrawnScan();
    asked.columns = 11;
    asked.rows = 11;
    assertThatThrownBy(() -> FieldScan.solve(readings(asked), picture))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("49 of 121 marks, in 7 of 11 columns and 7 of 11 rows");
  }
}
