package zebrawood.camera;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * How a picture and the bed belong together.
 *
 * @param lens as given or found
 * @param cameraMm where the camera is, over the bed; not known where the marks cannot tell it
 * @param residualRmsPx both coordinates, of the marks kept
 * @param heldOutRmsMm how far each kept mark lies off the map of all others, on the marks' plane
 * @param worstMark of those kept
 * @param marginMm two standard deviations of a place, where that is most on the part of the bed
 *     that is in the picture
 * @param heightSlopeMmPerMm how far off a place is for each millimetre of wrong height, where that
 *     is most; empty where other heights are not known
 * @param at in the order asked; empty where no place can be told
 * @param misread the marks that were left out, by their number from 0
 * @param view the camera, to draw with and to go from picture to bed
 * @param margins two standard deviations of a place, over the part of the bed that is in the
 *     picture
 */
public record CameraFinding(
    CameraLens lens,
    KnownPlace cameraMm,
    double residualRmsPx,
    double heldOutRmsMm,
    WorstMark worstMark,
    double marginMm,
    OptionalDouble heightSlopeMmPerMm,
    List<Optional<PlaceOnBed>> at,
    List<Integer> misread,
    BedView view,
    List<MarginAt> margins,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  /** Heights nearer to the marks' than this count as theirs. */
  public static final double SAME_HEIGHT_MM = 0.5;

  /** The same with one more thing to know. */
  CameraFinding warning(Message more) {
    List<Message> all = new ArrayList<>(warnings);
    all.add(more);
    return new CameraFinding(
        lens,
        cameraMm,
        residualRmsPx,
        heldOutRmsMm,
        worstMark,
        marginMm,
        heightSlopeMmPerMm,
        at,
        misread,
        view,
        margins,
        verdict,
        advice,
        all);
  }

  /**
   * @param marginMm two standard deviations of the distance from the truth
   */
  public record MarginAt(double xMm, double yMm, double marginMm) {}

  /**
   * @param missMm from where it is to where the map has it
   */
  public record WorstMark(double xMm, double yMm, double missMm) {}

  /**
   * @param uncertaintyMm one standard deviation of the distance from the truth, both axes together,
   *     of the map alone
   */
  public record PlaceOnBed(double xMm, double yMm, double uncertaintyMm) {}
}
