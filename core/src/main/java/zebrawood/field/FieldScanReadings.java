package zebrawood.field;

import java.util.Optional;
import java.util.OptionalInt;
import zebrawood.marks.MarkKind;
import zebrawood.measure.Accepts;
import zebrawood.measure.PixelScale;
import zebrawood.words.Message;

/**
 * A flat-bed scan of a burnt grid, the top of the picture up.
 *
 * @param scale along a rule that lay in the scan, and {@code scaleUp} along one laid upright
 * @param columns of the grid, commanded {@code pitchMm} apart about the field's centre
 * @param tableSize 65 where it is not given
 * @param diagonals of the burnt sheet itself; empty where nobody measured them
 */
public record FieldScanReadings(
    String imagePath,
    PixelScale scale,
    Optional<PixelScale> scaleUp,
    int columns,
    int rows,
    double pitchMm,
    MarkKind mark,
    double fieldMm,
    double toleranceMm,
    OptionalInt tableSize,
    Optional<Diagonals> diagonals) {
  private static final int MOST_A_SIDE = 200;

  /**
   * From corner mark to corner mark of the burnt sheet, by a rule: what a scanner that is not
   * square cannot change.
   *
   * @param risingMm from the lower left to the upper right
   * @param fallingMm from the upper left to the lower right
   * @param resolutionMm of the rule
   */
  public record Diagonals(double risingMm, double fallingMm, double resolutionMm) {}

  /** Of the rule's length: beyond, both rules lie the same way. */
  private static final double SAME_WAY = 0.1;

  public FieldScanReadings {
    var accepts =
        new Accepts()
            .filled("imagePath", imagePath)
            .between("columns", columns, 3, MOST_A_SIDE)
            .between("rows", rows, 3, MOST_A_SIDE)
            .between("pitchMm", pitchMm, FieldReadings.SMALLEST_MM, FieldReadings.LARGEST_MM)
            .between("fieldMm", fieldMm, FieldReadings.SMALLEST_MM, FieldReadings.LARGEST_MM)
            .between("toleranceMm", toleranceMm, FieldReadings.FINEST_MM, FieldReadings.LARGEST_MM);
    scale.check(accepts, "scale", FieldReadings.LARGEST_MM);
    scaleUp.ifPresent(up -> up.check(accepts, "scaleUp", FieldReadings.LARGEST_MM));
    tableSize.ifPresent(n ->
        accepts.between("tableSize", n, FieldReadings.SMALLEST_TABLE, FieldReadings.LARGEST_TABLE));
    diagonals.ifPresent(d ->
        accepts
            .positive("diagonals.risingMm", d.risingMm, 2 * FieldReadings.LARGEST_MM)
            .positive("diagonals.fallingMm", d.fallingMm, 2 * FieldReadings.LARGEST_MM)
            .positive("diagonals.resolutionMm", d.resolutionMm, FieldReadings.LARGEST_MM));
    double widest = (Math.max(columns, rows) - 1) * pitchMm;
    if (accepts.fine() && widest > fieldMm * (1 + 1e-9)) {
      accepts.complain("pitchMm", pitchMm, Message.of("field.accepts.in-field"));
    }
    accepts.orThrow();
    if (scaleUp.isPresent() && ScanScale.sameWay(scale, scaleUp.get(), SAME_WAY)) {
      accepts
          .complain(
              "scaleUp", Message.of("field.found.same-way"), Message.of("field.accepts.upright"))
          .orThrow();
    }
  }

  FieldCorrection.Head head() {
    return new FieldCorrection.Head(
        fieldMm, toleranceMm, tableSize.orElse(FieldReadings.USUAL_TABLE));
  }
}
