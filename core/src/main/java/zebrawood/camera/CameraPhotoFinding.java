package zebrawood.camera;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.camera.CameraFinding.PlaceOnBed;
import zebrawood.camera.CameraFinding.WorstMark;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * As {@link CameraFinding}, and where each mark was found.
 *
 * @param points the marks that count, each where its true centre shows
 * @param missing the marks that were not found, or lie where none can
 */
public record CameraPhotoFinding(
    CameraLens lens,
    KnownPlace cameraMm,
    double residualRmsPx,
    double heldOutRmsMm,
    WorstMark worstMark,
    double marginMm,
    OptionalDouble heightSlopeMmPerMm,
    List<Optional<PlaceOnBed>> at,
    List<Point> points,
    List<Missing> missing,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  /**
   * @param column from the left, {@code row} from the front, from 0
   */
  public record Point(int column, int row, double xPx, double yPx) {}

  public record Missing(int column, int row) {}
}
