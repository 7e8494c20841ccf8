package zebrawood.camera;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Whether the picture still shows where the beam burns.
 *
 * @param farthestMm by how much a mark is off, where that is most
 * @param farthestMmUncertainty one standard deviation
 * @param moved what moved; empty while all marks lie where they should
 * @param shiftMm by how much all marks are shown aside, x and y, where camera or lid moved
 * @param higherMm by how much the marks lie higher than the camera was set for; below 0 lower
 */
public record CameraCheckFinding(
    double farthestMm,
    double farthestMmUncertainty,
    Optional<Moved> moved,
    Optional<List<Double>> shiftMm,
    OptionalDouble higherMm,
    OptionalDouble higherMmUncertainty,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  /** What can have moved since the camera was set. */
  public enum Moved {
    /** All marks are shown aside alike. */
    CAMERA_OR_LID,
    /** The shift grows from below the camera. */
    HEIGHT,
    /** Both could be, or neither. */
    CANNOT_TELL
  }
}
