package zebrawood.field;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Estimate;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What a square or a grid says of the field. The scales multiply what is commanded; angles are
 * counter-clockwise.
 */
public sealed interface FieldFinding extends Finding {
  Estimate scaleX();

  Estimate scaleY();

  /** How far off a mark is at the edge, half a field from the centre. */
  double edgeErrorNowMm();

  /** What the reading error leaves there, one standard deviation. */
  double edgeUncertaintyMm();

  /**
   * The smallest square for which that would be half of the tolerance; empty where it is larger
   * than the field.
   */
  OptionalDouble advisedSquareMm();

  /** What one square says: the scale of each axis. */
  record OfSquare(
      Estimate scaleX,
      Estimate scaleY,
      double edgeErrorNowMm,
      double edgeUncertaintyMm,
      OptionalDouble advisedSquareMm,
      Verdict verdict,
      List<Advice> advice,
      List<Message> warnings)
      implements FieldFinding {}

  /**
   * What a grid says: the map of the whole field.
   *
   * @param shiftXMm of the head's centre to the right, and {@code shiftYMm} up; empty of a loose
   *     sheet, which tells neither place nor turn
   * @param rotationMrad mean of both axes
   * @param skewMrad the x axis' rotation less the y axis'
   * @param residualRmsNowMm how far marks lie off, root mean square
   * @param residualRmsAfterMm the same of held-back marks after the full correction
   * @param table empty where nobody asked for it
   * @param points as they were found in a scan, turned and moved onto the grid; empty where they
   *     were typed
   * @param missing marks that were not found in a scan; empty where they were typed
   * @param pointUncertaintiesMm of points found in a picture, one standard deviation of each
   *     coordinate, in their order
   * @param leftOut marks that were misread, and count for nothing
   */
  record OfGrid(
      Estimate scaleX,
      Estimate scaleY,
      double edgeErrorNowMm,
      double edgeUncertaintyMm,
      OptionalDouble advisedSquareMm,
      OptionalDouble shiftXMm,
      OptionalDouble shiftYMm,
      OptionalDouble rotationMrad,
      Estimate skewMrad,
      double residualRmsNowMm,
      double residualRmsAfterMm,
      double maxErrorNowMm,
      double maxErrorAfterMm,
      Optional<List<Row>> table,
      Optional<List<FieldReadings.Point>> points,
      Optional<List<Double>> pointUncertaintiesMm,
      Optional<List<Missing>> missing,
      Optional<List<MarkPlace>> leftOut,
      Verdict verdict,
      List<Advice> advice,
      List<Message> warnings)
      implements FieldFinding {
    /**
     * Of a loose sheet, whose marks were found in a picture.
     *
     * @param scannerMrad by how much the scanner itself may be out of square
     */
    OfGrid scanned(
        double scannerMrad,
        List<FieldReadings.Point> found,
        List<Double> errorsMm,
        List<Missing> notFound,
        List<Message> warned) {
      OptionalDouble nobodyKnows = OptionalDouble.empty();
      return with(
          nobodyKnows,
          nobodyKnows,
          nobodyKnows,
          new Estimate(skewMrad.value(), Math.hypot(skewMrad.uncertainty(), scannerMrad)),
          table,
          Optional.of(found),
          Optional.of(errorsMm),
          Optional.of(notFound),
          warned);
    }

    OfGrid with(List<Row> rows) {
      return with(
          shiftXMm,
          shiftYMm,
          rotationMrad,
          skewMrad,
          Optional.of(rows),
          points,
          pointUncertaintiesMm,
          missing,
          warnings);
    }

    private OfGrid with(
        OptionalDouble shiftX,
        OptionalDouble shiftY,
        OptionalDouble turn,
        Estimate skew,
        Optional<List<Row>> rows,
        Optional<List<FieldReadings.Point>> found,
        Optional<List<Double>> errorsMm,
        Optional<List<Missing>> notFound,
        List<Message> warned) {
      return new OfGrid(
          scaleX,
          scaleY,
          edgeErrorNowMm,
          edgeUncertaintyMm,
          advisedSquareMm,
          shiftX,
          shiftY,
          turn,
          skew,
          residualRmsNowMm,
          residualRmsAfterMm,
          maxErrorNowMm,
          maxErrorAfterMm,
          rows,
          found,
          errorsMm,
          notFound,
          leftOut,
          verdict,
          advice,
          warned);
    }
  }

  /** A mark, counted from the lower left, from 0. */
  record Missing(int column, int row) {}

  /** Where a mark was commanded. */
  record MarkPlace(double xMm, double yMm) {}

  /** To hit x, y, command this. */
  record Row(double xMm, double yMm, double commandXMm, double commandYMm) {}
}
