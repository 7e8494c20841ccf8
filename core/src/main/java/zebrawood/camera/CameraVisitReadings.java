package zebrawood.camera;

import java.util.Optional;

/**
 * One visit to the camera.
 *
 * @param focusHolds whether the focus of this lens holds; empty where nobody can tell
 * @param before how large the camera's picture was when it was read last; empty where it was not
 * @param closeUp of a camera on the head, when it was read
 * @param sharpness of its picture at several heights, when it was read
 */
public record CameraVisitReadings(
    CameraTask task,
    Optional<Boolean> focusHolds,
    Optional<CameraReadings.Image> before,
    Optional<CloseUpReadings> closeUp,
    Optional<SharpnessReadings> sharpness) {}
