package zebrawood.camera;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.DoubleConsumer;
import zebrawood.camera.CameraPhotoFinding.Missing;
import zebrawood.camera.CameraPhotoFinding.Point;
import zebrawood.camera.CameraPhotoReadings.Target;
import zebrawood.camera.CameraTask.ByPhoto;
import zebrawood.camera.GridView.Cell;
import zebrawood.measure.Picture;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * The camera out of a photograph: the marks of a grid are found ({@link GridView}), each to a
 * fraction of a pixel, and the camera is fitted through them ({@link CameraCalibration}). The
 * marks' own error is what the fit leaves of them.
 */
public final class CameraPhoto {
  /** No mark is found better than this: light, edges and the lens's own form see to it. */
  private static final double FINEST_PX = 0.2;

  /** Edges that are spread further are out of focus. */
  private static final double SHARP_PX = 3.5;

  /** A mark that lies no further off is a mark. */
  private static final double NEAR_PX = 0.4;

  /** With fewer of its marks a net may be another's: what it says is not given. */
  private static final double LEAST_SHARE = 0.6;

  private CameraPhoto() {}

  /**
   * @param points the marks that count
   * @param missing all others
   */
  record Solved(CameraFinding camera, List<Point> points, List<Missing> missing) {}

  /**
   * @throws UnusableReading when fewer than eight marks, or fewer than six in ten, are found
   */
  public static CameraPhotoFinding solve(CameraPhotoReadings readings, Picture picture) {
    Solved solved =
        solved(new ByPhoto(readings, Optional.empty(), Optional.empty()), picture, share -> {});
    CameraFinding f = solved.camera;
    return new CameraPhotoFinding(
        f.lens(),
        f.cameraMm(),
        f.residualRmsPx(),
        f.heldOutRmsMm(),
        f.worstMark(),
        f.marginMm(),
        f.heightSlopeMmPerMm(),
        f.at(),
        solved.points,
        solved.missing,
        f.verdict(),
        f.advice(),
        f.warnings());
  }

  /**
   * @param reached told how far it is, from 0 to 1
   */
  static Solved solved(ByPhoto task, Picture picture, DoubleConsumer reached) {
    CameraPhotoReadings readings = task.photo();
    corners(readings, picture);
    Target target = readings.target();
    GridView.Found seen = GridView.find(readings, picture, reached);
    Map<Cell, double[]> found = new TreeMap<>(seen.middles());
    if (found.size() < Math.max(CameraReadings.LEAST_MARKS, LEAST_SHARE * target.marks())) {
      throw UnusableReading.of(
          "imagePath",
          Message.of("camera.found.part-of-target", found.size(), target.marks()),
          Message.of("camera.accepts.most-marks", Math.round(100 * LEAST_SHARE)));
    }
    task.leftOut().orElse(List.of()).forEach(m -> found.remove(new Cell(m.column(), m.row())));
    task.added()
        .orElse(List.of())
        .forEach(p -> found.put(new Cell(p.column(), p.row()), new double[] {p.xPx(), p.yPx()}));
    List<Cell> cells = List.copyOf(found.keySet());
    List<CameraMark> marks =
        cells.stream()
            .map(c ->
                new CameraMark(
                    target.x(c.column()),
                    target.y(c.row()),
                    target.heightMm(),
                    found.get(c)[0],
                    found.get(c)[1]))
            .toList();
    CameraReadings read =
        new CameraReadings(
            new CameraReadings.Image(picture.width(), picture.height()),
            marks,
            FINEST_PX,
            readings.toleranceMm(),
            readings.bedMm(),
            readings.lens(),
            readings.at());
    CameraCalibration.Solved solved = CameraCalibration.solved(read, NEAR_PX);
    reached.accept(1);
    return told(target, solved, cells, marks, seen.blurPx());
  }

  private static void corners(CameraPhotoReadings readings, Picture picture) {
    for (int i = 0; i < readings.cornersPx().size(); i++) {
      List<Double> at = readings.cornersPx().get(i);
      if (at.get(0) < 0
          || at.get(1) < 0
          || at.get(0) > picture.width()
          || at.get(1) > picture.height()) {
        throw UnusableReading.of(
            "cornersPx[" + i + "]",
            Message.of("camera.found.outside", picture.width(), picture.height()),
            Message.of("camera.accepts.in-picture"));
      }
    }
  }

  private static Solved told(
      Target target,
      CameraCalibration.Solved solved,
      List<Cell> cells,
      List<CameraMark> marks,
      double blurPx) {
    List<Point> points = new ArrayList<>();
    Set<Cell> kept = new HashSet<>();
    for (int i : solved.kept()) {
      Cell cell = cells.get(i);
      kept.add(cell);
      points.add(new Point(cell.column(), cell.row(), marks.get(i).xPx(), marks.get(i).yPx()));
    }
    List<Missing> missing = new ArrayList<>();
    for (int row = 0; row < target.rows(); row++) {
      for (int column = 0; column < target.columns(); column++) {
        if (!kept.contains(new Cell(column, row))) {
          missing.add(new Missing(column, row));
        }
      }
    }
    CameraFinding f = solved.finding();
    return new Solved(
        blurPx > SHARP_PX
            ? f.warning(Message.of("camera.blurred", Amount.of(blurPx, Quantity.NUMBER, 1)))
            : f,
        points,
        missing);
  }
}
