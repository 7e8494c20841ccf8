package zebrawood.desktop.camera;

import java.util.Comparator;
import java.util.Optional;
import zebrawood.camera.BedView;
import zebrawood.camera.CameraPhotoFinding.Missing;
import zebrawood.camera.CameraPhotoFinding.Point;
import zebrawood.camera.CameraPhotoReadings.Target;
import zebrawood.camera.CameraVisitFinding;
import zebrawood.desktop.photo.PhotoView;

/** A press on the photograph of a target that was read: takes a mark out, or puts one in. */
final class PressedMark {
  private static final double NEAR = 14;

  private final TargetFields target;
  private final PhotoView view;
  private final CameraVisitFinding found;

  PressedMark(TargetFields target, PhotoView view, CameraVisitFinding found) {
    this.target = target;
    this.view = view;
    this.found = found;
  }

  /** Where it was pressed, as the frame has it. */
  void at(double x, double y) {
    Optional<Point> near =
        found.points().stream()
            .flatMap(p -> p.stream())
            .filter(p -> away(p, x, y) < NEAR)
            .min(Comparator.comparingDouble(p -> away(p, x, y)));
    if (near.isPresent()) {
      target.takeOut(near.get().column(), near.get().row());
      return;
    }
    if (found.camera().isEmpty()) {
      return;
    }
    BedView.Places places = found.camera().get().view().places();
    Target of = target.target();
    double reach = 0.4 * of.pitchMm();
    Optional<double[]> bed = places.place(view.pxX(x), view.pxY(y), of.heightMm().orElse(0));
    bed.flatMap(b ->
            found.missing().stream()
                .flatMap(m -> m.stream())
                .filter(m -> away(of, m, b) < reach)
                .min(Comparator.comparingDouble(m -> away(of, m, b))))
        .ifPresent(m -> target.putIn(m.column(), m.row(), view.pxX(x), view.pxY(y)));
  }

  private double away(Point p, double x, double y) {
    return Math.hypot(view.x(p.xPx()) - x, view.y(p.yPx()) - y);
  }

  private static double away(Target of, Missing m, double[] bed) {
    return Math.hypot(of.x(m.column()) - bed[0], of.y(m.row()) - bed[1]);
  }
}
