package zebrawood.camera;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zebrawood.camera.CameraTask.ByFreshMarks;
import zebrawood.camera.CameraTask.ByMarks;
import zebrawood.camera.CameraTask.ByPhoto;
import zebrawood.ledger.Figure;
import zebrawood.measure.Finding;
import zebrawood.quantity.Quantity;
import zebrawood.station.Help;
import zebrawood.station.Visit;
import zebrawood.words.Message;

/** One visit to the camera over the bed: a target, marks typed, or a few fresh marks. */
public final class CameraVisit {
  public static final Visit<CameraVisitReadings, CameraVisitFinding> VISIT =
      Visit.helped(
              CameraVisitReadings.class,
              CameraVisitFinding.class,
              CameraVisit::solve,
              CameraVisit::figures)
          .saying((r, f) -> f.said());

  private CameraVisit() {}

  /**
   * @param help reads the photograph, and is told how far it is measured
   */
  public static CameraVisitFinding solve(CameraVisitReadings readings, Help help) {
    return switch (readings.task()) {
      case ByPhoto photo -> {
        CameraPhoto.Solved solved =
            CameraPhoto.solved(
                photo, help.pictures().apply(photo.photo().imagePath()), help.reached());
        yield found(
            readings,
            Optional.of(solved.camera()),
            Optional.of(solved.points()),
            Optional.of(solved.missing()),
            Optional.empty(),
            solved.camera());
      }
      case ByMarks(CameraReadings marks) -> {
        CameraFinding camera = CameraCalibration.solve(marks);
        yield found(
            readings,
            Optional.of(camera),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            camera);
      }
      case ByFreshMarks(CameraCheckReadings fresh) -> {
        CameraCheckFinding check = CameraCheck.solve(fresh);
        yield found(
            readings,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.of(check),
            check);
      }
    };
  }

  private static CameraVisitFinding found(
      CameraVisitReadings readings,
      Optional<CameraFinding> camera,
      Optional<List<CameraPhotoFinding.Point>> points,
      Optional<List<CameraPhotoFinding.Missing>> missing,
      Optional<CameraCheckFinding> check,
      Finding of) {
    List<Message> warnings = new ArrayList<>();
    readings
        .focusHolds()
        .filter(holds -> !holds)
        .ifPresent(not -> warnings.add(Message.of("camera.focus-first")));
    camera
        .map(c -> c.view().image())
        .filter(now -> readings.before().filter(was -> !was.equals(now)).isPresent())
        .ifPresent(now ->
            warnings.add(
                Message.of(
                    "camera.other-size",
                    now.widthPx(),
                    now.heightPx(),
                    readings.before().orElseThrow().widthPx(),
                    readings.before().orElseThrow().heightPx())));
    warnings.addAll(of.warnings());
    return new CameraVisitFinding(
        camera,
        points,
        missing,
        check,
        readings.closeUp().map(CloseUp::of),
        readings.sharpness().map(Sharpness::of),
        of.verdict(),
        of.advice(),
        warnings);
  }

  /** What the notebook shows; the margin, or how far off a fresh mark is, comes first. */
  public static List<Figure> figures(CameraVisitReadings r, CameraVisitFinding f) {
    List<Figure> figures = new ArrayList<>();
    f.camera()
        .ifPresent(c -> {
          figures.add(
              Figure.of("margin", c.marginMm(), Quantity.LENGTH).limited(toleranceMm(r.task())));
          figures.add(Figure.of("heldOut", c.heldOutRmsMm(), Quantity.LENGTH));
          c.heightSlopeMmPerMm()
              .ifPresent(s -> figures.add(Figure.of("slope", s, Quantity.LENGTH)));
          c.cameraMm()
              .mm()
              .ifPresent(at -> figures.add(Figure.of("above", at.get(2), Quantity.LENGTH)));
          figures.add(Figure.of("worst", c.worstMark().missMm(), Quantity.LENGTH));
        });
    f.check()
        .ifPresent(c -> {
          figures.add(
              Figure.of("off", c.farthestMm(), Quantity.LENGTH)
                  .uncertain(c.farthestMmUncertainty())
                  .limited(toleranceMm(r.task())));
          c.higherMm()
              .ifPresent(mm ->
                  figures.add(
                      Figure.of("higher", mm, Quantity.LENGTH)
                          .uncertain(c.higherMmUncertainty().orElse(0))));
        });
    return figures;
  }

  static double toleranceMm(CameraTask task) {
    return switch (task) {
      case ByPhoto photo -> photo.photo().toleranceMm();
      case ByMarks marks -> marks.readings().toleranceMm();
      case ByFreshMarks fresh -> fresh.readings().toleranceMm();
    };
  }
}
