package zebrawood.camera;

import java.util.List;
import java.util.Optional;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * A few marks that were burnt just now, and where the picture under the artwork shows them.
 *
 * @param resolutionMm to which both were read
 * @param cameraMm where the camera is over the bed, as it was found; empty where that is not known
 */
public record CameraCheckReadings(
    List<FreshMark> marks,
    double resolutionMm,
    double toleranceMm,
    Optional<List<Double>> cameraMm) {
  static final int LEAST_MARKS = 2;
  private static final int MOST_MARKS = 100;

  /**
   * @param xMm where it was burnt
   * @param shownXMm where the picture shows it
   */
  public record FreshMark(double xMm, double yMm, double shownXMm, double shownYMm) {}

  public CameraCheckReadings {
    marks = List.copyOf(marks);
    cameraMm = cameraMm.map(List::copyOf);
    var accepts =
        new Accepts()
            .atLeast("marks", marks, LEAST_MARKS, "camera.count.marks")
            .atMost("marks", marks, MOST_MARKS)
            .positive("resolutionMm", resolutionMm, 100)
            .positive("toleranceMm", toleranceMm, 1000);
    double far = CameraReadings.FARTHEST_MM;
    for (int i = 0; i < Math.min(marks.size(), MOST_MARKS); i++) {
      FreshMark m = marks.get(i);
      String of = "marks[" + i + "].";
      accepts
          .between(of + "xMm", m.xMm, -far, far)
          .between(of + "yMm", m.yMm, -far, far)
          .between(of + "shownXMm", m.shownXMm, -far, far)
          .between(of + "shownYMm", m.shownYMm, -far, far);
    }
    cameraMm.ifPresent(c -> {
      if (c.size() != 3 || !(c.get(2) > 0)) {
        accepts.complain(
            "cameraMm",
            Message.of("accepts.of-them", c.size()),
            Message.of("camera.accepts.camera-place"));
      }
    });
    accepts.orThrow();
  }
}
