package zebrawood.camera;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.marks.MarkKind;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * A photograph of a grid of marks on the bed, by the camera over it.
 *
 * @param cornersPx the four corner marks as they were pressed, to 12 pixels: lower left, lower
 *     right, upper right, upper left, as the bed has them
 */
public record CameraPhotoReadings(
    String imagePath,
    Target target,
    List<List<Double>> cornersPx,
    double toleranceMm,
    List<Double> bedMm,
    Optional<CameraLens> lens,
    Optional<List<CameraReadings.Asked>> at) {
  static final int CORNERS = 4;
  static final double PRESSED_TO_PX = 12;
  private static final int MOST_A_SIDE = 200;
  private static final int LARGEST_PX = 100_000;

  /**
   * What was burnt or printed.
   *
   * @param originMm the lower left mark's middle; columns run along x, rows along y
   * @param heightMm of the sheet above the bed; 0 where empty
   */
  public record Target(
      int columns,
      int rows,
      double pitchMm,
      List<Double> originMm,
      MarkKind mark,
      OptionalDouble heightMm) {
    public Target {
      originMm = List.copyOf(originMm);
    }

    public int marks() {
      return columns * rows;
    }

    /** Of a column, in mm. */
    public double x(int column) {
      return originMm.get(0) + column * pitchMm;
    }

    /** Of a row, in mm. */
    public double y(int row) {
      return originMm.get(1) + row * pitchMm;
    }
  }

  public CameraPhotoReadings {
    cornersPx = cornersPx.stream().map(List::copyOf).toList();
    bedMm = List.copyOf(bedMm);
    at = at.map(List::copyOf);
    var accepts =
        new Accepts()
            .filled("imagePath", imagePath)
            .between("target.columns", target.columns, 2, MOST_A_SIDE)
            .between("target.rows", target.rows, 2, MOST_A_SIDE)
            .positive("target.pitchMm", target.pitchMm, CameraReadings.FARTHEST_MM)
            .between("target.heightMm", target.heightMm.orElse(0), -2000, 2000)
            .positive("toleranceMm", toleranceMm, 1000);
    if (target.originMm.size() != 2) {
      accepts.complain(
          "target.originMm",
          Message.of("accepts.of-them", target.originMm.size()),
          Message.of("camera.accepts.two-numbers"));
    } else {
      for (int i = 0; i < 2; i++) {
        accepts.between(
            "target.originMm[" + i + "]",
            target.originMm.get(i),
            -CameraReadings.FARTHEST_MM,
            CameraReadings.FARTHEST_MM);
      }
    }
    if (accepts.fine() && target.marks() < CameraReadings.LEAST_MARKS) {
      accepts.complain(
          "target",
          Message.of("accepts.of-them", target.marks()),
          Message.of(
              "accepts.at-least", CameraReadings.LEAST_MARKS, Message.of("camera.count.marks")));
    }
    CameraReadings.checkBed(bedMm, accepts);
    checkCorners(cornersPx, accepts);
    at.ifPresent(asked -> CameraReadings.checkAsked(asked, accepts));
    accepts.orThrow();
    if (!turnsLeft(cornersPx)) {
      accepts
          .complain(
              "cornersPx",
              Message.of("camera.found.corner-order"),
              Message.of("camera.accepts.corner-order"))
          .orThrow();
    }
  }

  private static void checkCorners(List<List<Double>> corners, Accepts accepts) {
    if (corners.size() != CORNERS) {
      accepts.complain(
          "cornersPx",
          Message.of("accepts.of-them", corners.size()),
          Message.of("camera.accepts.four-corners"));
      return;
    }
    for (int i = 0; i < CORNERS; i++) {
      String of = "cornersPx[" + i + "]";
      if (corners.get(i).size() != 2) {
        accepts.complain(
            of,
            Message.of("accepts.of-them", corners.get(i).size()),
            Message.of("camera.accepts.two-numbers"));
      } else {
        accepts
            .between(of + "[0]", corners.get(i).get(0), -LARGEST_PX, LARGEST_PX)
            .between(of + "[1]", corners.get(i).get(1), -LARGEST_PX, LARGEST_PX);
      }
    }
  }

  /**
   * Each corner turns the same way, as the bed has it: the four are no bow tie and not mirrored.
   */
  private static boolean turnsLeft(List<List<Double>> corners) {
    for (int i = 0; i < CORNERS; i++) {
      List<Double> a = corners.get(i);
      List<Double> b = corners.get((i + 1) % CORNERS);
      List<Double> c = corners.get((i + 2) % CORNERS);
      double turn =
          (b.get(0) - a.get(0)) * (c.get(1) - b.get(1))
              - (b.get(1) - a.get(1)) * (c.get(0) - b.get(0));
      if (!(turn < 0)) {
        return false;
      }
    }
    return true;
  }
}
