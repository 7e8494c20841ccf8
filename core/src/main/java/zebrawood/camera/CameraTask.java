package zebrawood.camera;

import java.util.List;
import java.util.Optional;
import zebrawood.camera.CameraPhotoFinding.Missing;
import zebrawood.camera.CameraPhotoFinding.Point;

/** How a visit to the camera was made. */
public sealed interface CameraTask {
  /**
   * A photograph of a target.
   *
   * @param leftOut marks that somebody took out
   * @param added marks that somebody put in, or moved
   */
  record ByPhoto(
      CameraPhotoReadings photo, Optional<List<Missing>> leftOut, Optional<List<Point>> added)
      implements CameraTask {
    public ByPhoto {
      leftOut = leftOut.map(List::copyOf);
      added = added.map(List::copyOf);
    }
  }

  /** Marks that were typed. */
  record ByMarks(CameraReadings readings) implements CameraTask {}

  /** A few fresh marks: whether it still holds. */
  record ByFreshMarks(CameraCheckReadings readings) implements CameraTask {}
}
