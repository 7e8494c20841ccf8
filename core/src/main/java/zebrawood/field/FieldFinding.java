package zebrawood.field;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What a square or a grid says of the field. The scales multiply what is commanded; angles are
 * counter-clockwise.
 *
 * @param edgeErrorNowMm how far off a mark is at the edge, half a field from the centre
 * @param edgeUncertaintyMm what the reading error leaves there, one standard deviation
 * @param advisedSquareMm the smallest square for which that would be half of the tolerance; empty
 *     where it is larger than the field
 * @param table empty for a square, and where nobody asked for it
 * @param points as they were found in a scan, turned and moved onto the grid; empty where they were
 *     typed
 * @param missing marks that were not found in a scan
 */
public record FieldFinding(
    double scaleX,
    double scaleY,
    double scaleXUncertainty,
    double scaleYUncertainty,
    double edgeErrorNowMm,
    double edgeUncertaintyMm,
    OptionalDouble advisedSquareMm,
    OptionalDouble shiftXMm,
    OptionalDouble shiftYMm,
    OptionalDouble rotationMrad,
    OptionalDouble skewMrad,
    OptionalDouble skewMradUncertainty,
    OptionalDouble residualRmsNowMm,
    OptionalDouble residualRmsAfterMm,
    OptionalDouble maxErrorNowMm,
    OptionalDouble maxErrorAfterMm,
    Optional<List<Row>> table,
    Optional<List<FieldReadings.Point>> points,
    Optional<List<Missing>> missing,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  /** Of a loose sheet: it tells neither place nor turn, and its marks were found in a picture. */
  FieldFinding scanned(
      List<FieldReadings.Point> found, List<Missing> notFound, List<Message> warned) {
    return with(
        OptionalDouble.empty(),
        OptionalDouble.empty(),
        OptionalDouble.empty(),
        table,
        Optional.of(found),
        Optional.of(notFound),
        warned);
  }

  FieldFinding with(List<Row> rows) {
    return with(shiftXMm, shiftYMm, rotationMrad, Optional.of(rows), points, missing, warnings);
  }

  private FieldFinding with(
      OptionalDouble shiftX,
      OptionalDouble shiftY,
      OptionalDouble turn,
      Optional<List<Row>> rows,
      Optional<List<FieldReadings.Point>> found,
      Optional<List<Missing>> notFound,
      List<Message> warned) {
    return new FieldFinding(
        scaleX,
        scaleY,
        scaleXUncertainty,
        scaleYUncertainty,
        edgeErrorNowMm,
        edgeUncertaintyMm,
        advisedSquareMm,
        shiftX,
        shiftY,
        turn,
        skewMrad,
        skewMradUncertainty,
        residualRmsNowMm,
        residualRmsAfterMm,
        maxErrorNowMm,
        maxErrorAfterMm,
        rows,
        found,
        notFound,
        verdict,
        advice,
        warned);
  }

  /** A mark, counted from the lower left, from 0. */
  public record Missing(int column, int row) {}

  /** To hit x, y, command this. */
  public record Row(double xMm, double yMm, double commandXMm, double commandYMm) {}
}
