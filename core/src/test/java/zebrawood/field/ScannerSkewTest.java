package zebrawood.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.field.FieldScanReadings.Diagonals;
import zebrawood.marks.MarkGrid.Mark;
import zebrawood.marks.MarkKind;
import zebrawood.measure.PixelScale;

/** Sheets of a head that is not square, in a scanner that is not square either. */
class ScannerSkewTest {
  private static final double HEAD = 0.004;
  private static final double PX_PER_MM = 12;

  /** Where a mark lies on the burnt sheet, in mm: the head leans the columns. */
  private static double[] onSheet(int column, int row) {
    double x = 25.0 * (column - 2);
    double y = 25.0 * (row - 2);
    return new double[] {x + HEAD * y, y};
  }

  private static List<Mark> scanned(double scanner, double turned) {
    List<Mark> marks = new ArrayList<>();
    for (int row = 0; row < 5; row++) {
      for (int column = 0; column < 5; column++) {
        double[] at = onSheet(column, row);
        double x = at[0] * Math.cos(turned) - at[1] * Math.sin(turned);
        double y = at[0] * Math.sin(turned) + at[1] * Math.cos(turned);
        marks.add(
            new Mark(column, row, 900 + PX_PER_MM * (x + scanner * y), 900 - PX_PER_MM * y, 0.05));
      }
    }
    return marks;
  }

  private static double apart(double[] one, double[] other) {
    return Math.hypot(other[0] - one[0], other[1] - one[1]);
  }

  private static ScannerSkew solve(List<Mark> marks, Optional<Diagonals> diagonals) {
    PixelScale rule = new PixelScale(List.of(10.0, 10.0), List.of(1210.0, 10.0), 100);
    FieldScanReadings readings =
        new FieldScanReadings(
            "scan.png",
            rule,
            Optional.empty(),
            5,
            5,
            25,
            MarkKind.CROSS,
            110,
            0.1,
            OptionalInt.empty(),
            diagonals);
    return ScannerSkew.of(readings, ScanScale.of(rule, Optional.empty()), marks);
  }

  @Test
  void theDiagonalsTellTheScannerFromTheHead() {
    Random random = new Random(4);
    double rising = apart(onSheet(0, 0), onSheet(4, 4));
    double falling = apart(onSheet(0, 4), onSheet(4, 0));
    int held = 0;
    for (int i = 0; i < 200; i++) {
      double scanner = 0.002 * random.nextGaussian();
      ScannerSkew found =
          solve(
              scanned(scanner, 0.05 * (random.nextDouble() - 0.5)),
              Optional.of(
                  new Diagonals(
                      Math.round(10 * (rising + 0.02 * random.nextGaussian())) / 10.0,
                      Math.round(10 * (falling + 0.02 * random.nextGaussian())) / 10.0,
                      0.1)));
      assertThat(found.told()).isTrue();
      held += Math.abs(found.shear() + scanner) <= 2 * found.error() ? 1 : 0;
    }
    assertThat(held).isBetween(176, 200);
  }

  @Test
  void whatTheDiagonalsDoNotTellStaysOpen() {
    List<Mark> marks = scanned(0.002, 0);
    assertThat(solve(marks, Optional.empty()).told()).isFalse();
    double side = 100 * Math.sqrt(2);
    assertThat(solve(marks, Optional.of(new Diagonals(side, side, 1))).told())
        .as("a coarse rule")
        .isFalse();
    assertThat(solve(marks, Optional.of(new Diagonals(side + 9, side, 0.1))).told())
        .as("of another sheet")
        .isFalse();
    marks.removeFirst();
    ScannerSkew open = solve(marks, Optional.of(new Diagonals(side, side, 0.1)));
    assertThat(open.shear()).isZero();
    assertThat(open.error()).isCloseTo(0.001, within(1e-9));
  }
}
