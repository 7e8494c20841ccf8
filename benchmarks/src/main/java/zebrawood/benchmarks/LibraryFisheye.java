package zebrawood.benchmarks;

import boofcv.abst.geo.calibration.ImageResults;
import boofcv.alg.distort.kanbra.KannalaBrandtStoP_F64;
import boofcv.alg.geo.calibration.CalibrationObservation;
import boofcv.alg.geo.calibration.CalibrationPlanarGridZhang99;
import boofcv.alg.geo.calibration.Zhang99ComputeTargetHomography;
import boofcv.alg.geo.calibration.Zhang99DecomposeHomography;
import boofcv.alg.geo.calibration.cameras.Zhang99CameraKannalaBrandt;
import boofcv.struct.calib.CameraKannalaBrandt;
import georegression.struct.point.Point2D_F64;
import georegression.struct.point.Point3D_F64;
import georegression.struct.se.Se3_F64;
import georegression.transform.se.SePointOps_F64;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.ejml.data.DMatrixRMaj;
import zebrawood.camera.CameraMark;

/**
 * The vision library's own calibration of a fisheye lens, with the marks that our own gets. Its
 * linear start needs sheets that lean against each other; marks on one sheet, or on parallel ones,
 * have none, so that its bundle adjustment begins from several lengths of focus that are told it.
 */
final class LibraryFisheye {
  /** Of the picture's width. */
  private static final double[] FOCAL = {0.45, 0.7, 1.1, 1.8};

  private static final int TERMS = 4;

  private final KannalaBrandtStoP_F64 lens;
  private final Se3_F64 toCamera;
  private final double heightMm;
  private final double error;

  private LibraryFisheye(CameraKannalaBrandt lens, Se3_F64 toCamera, double height, double error) {
    this.lens = new KannalaBrandtStoP_F64(lens);
    this.toCamera = toCamera;
    heightMm = height;
    this.error = error;
  }

  /** Empty where none of its starts ends in a camera. */
  static Optional<LibraryFisheye> of(List<CameraMark> marks, int widthPx, int heightPx) {
    List<Double> heights =
        marks.stream().map(m -> m.heightMm().orElse(0)).distinct().sorted().toList();
    List<List<Point2D_F64>> layouts = new ArrayList<>();
    List<CalibrationObservation> seen = new ArrayList<>();
    for (int view = 0; view < heights.size(); view++) {
      List<Point2D_F64> layout = new ArrayList<>();
      CalibrationObservation points = new CalibrationObservation(view, new ArrayList<>());
      for (CameraMark m : marks) {
        if (m.heightMm().orElse(0) == heights.get(view)) {
          points.add(layout.size(), m.xPx(), m.yPx());
          layout.add(new Point2D_F64(m.xMm(), m.yMm()));
        }
      }
      layouts.add(layout);
      seen.add(points);
    }
    Optional<LibraryFisheye> best = Optional.empty();
    for (double focal : FOCAL) {
      double f = focal * widthPx;
      DMatrixRMaj matrix =
          new DMatrixRMaj(
              new double[][] {{f, 0, widthPx / 2.0}, {0, f, heightPx / 2.0}, {0, 0, 1}});
      Optional<LibraryFisheye> one = from(matrix, layouts, seen, heights.getFirst());
      if (one.isPresent() && best.filter(b -> b.error <= one.get().error).isEmpty()) {
        best = one;
      }
    }
    return best;
  }

  private static Optional<LibraryFisheye> from(
      DMatrixRMaj matrix,
      List<List<Point2D_F64>> layouts,
      List<CalibrationObservation> seen,
      double heightMm) {
    var library = new CalibrationPlanarGridZhang99(new Zhang99CameraKannalaBrandt(true, TERMS, 0));
    library.setLayouts(layouts);
    var sheet = new Zhang99ComputeTargetHomography();
    var turned = new Zhang99DecomposeHomography();
    turned.setCalibrationMatrix(matrix);
    List<DMatrixRMaj> maps = new ArrayList<>();
    List<Se3_F64> places = new ArrayList<>();
    try {
      for (int view = 0; view < seen.size(); view++) {
        sheet.setTargetLayout(layouts.get(view));
        if (!sheet.computeHomography(seen.get(view).points)) {
          return Optional.empty();
        }
        maps.add(sheet.getCopyOfHomography());
        places.add(turned.decompose(maps.getLast()));
      }
      library.convertIntoBundleStructure(places, matrix, maps, seen);
      if (!library.performBundleAdjustment()) {
        return Optional.empty();
      }
      double error =
          library.computeErrors().stream()
              .mapToDouble(ImageResults::getMeanError)
              .average()
              .orElseThrow();
      return Double.isFinite(error)
          ? Optional.of(
              new LibraryFisheye(
                  (CameraKannalaBrandt) library.getCameraModel(),
                  library.structure.motions.get(0).parent_to_view,
                  heightMm,
                  error))
          : Optional.empty();
    } catch (RuntimeException e) {
      // It ends so where its steps run away.
      return Optional.empty();
    }
  }

  /** Where it shows a place of the bed, in pixels. */
  double[] px(double xMm, double yMm, double aboveMm) {
    Point3D_F64 at = new Point3D_F64(xMm, yMm, aboveMm - heightMm);
    SePointOps_F64.transform(toCamera, at, at);
    double far = at.norm();
    Point2D_F64 px = new Point2D_F64();
    lens.compute(at.x / far, at.y / far, at.z / far, px);
    return new double[] {px.x, px.y};
  }
}
