package zebrawood.camera;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.linear.SingularValueDecomposition;
import zebrawood.camera.CameraCheckFinding.Moved;
import zebrawood.camera.CameraCheckReadings.FreshMark;
import zebrawood.measure.Resolution;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What a few fresh marks tell. A camera or lid that moved shifts all of them alike, or, turned by a
 * little under a camera at the height h, by a mark's place x, y from the foot of the camera: h + x
 * x / h and x y / h along x, and likewise along y (the image of a plane under a small rotation, R.
 * Hartley, A. Zisserman, Multiple View Geometry in Computer Vision, 2nd ed., chapter 8). A surface
 * that lies higher by dz shows a mark further from the foot by the share dz / (h - dz). Each is
 * fitted by least squares; what leaves no more than the reading error (chi-square) is told, if it
 * is one cause alone.
 */
public final class CameraCheck {
  /** A cause that fits worse than one in so many true ones is none. */
  private static final double REFUSED = 0.01;

  /** A second cause that fits this share as well is as likely. */
  private static final double HIGHEST_SHARE = 0.5;

  private CameraCheck() {}

  public static CameraCheckFinding solve(CameraCheckReadings readings) {
    List<FreshMark> marks = readings.marks();
    double read = Math.sqrt(2) * Resolution.standardDeviation(readings.resolutionMm());
    double farthest = marks.stream().mapToDouble(m -> Math.hypot(dx(m), dy(m))).max().orElseThrow();
    if (farthest + 2 * read <= readings.toleranceMm()) {
      return new CameraCheckFinding(
          farthest,
          read,
          Optional.empty(),
          Optional.empty(),
          OptionalDouble.empty(),
          OptionalDouble.empty(),
          Verdict.WITHIN,
          List.of(
              Advice.leave("camera.check.holds")
                  .because("camera.check.holds.why", Amount.mm(farthest, 2))),
          List.of());
    }
    if (farthest - 2 * read <= readings.toleranceMm()) {
      return new CameraCheckFinding(
          farthest,
          read,
          Optional.empty(),
          Optional.empty(),
          OptionalDouble.empty(),
          OptionalDouble.empty(),
          Verdict.MEASURE_AGAIN,
          List.of(
              Advice.read("camera.check.finer")
                  .because(
                      "camera.check.finer.why",
                      Amount.mm(farthest, 2),
                      Amount.mm(2 * read, 2),
                      Amount.mm(readings.toleranceMm(), 2))),
          List.of());
    }
    return moved(readings, farthest, read);
  }

  private static double dx(FreshMark m) {
    return m.shownXMm() - m.xMm();
  }

  private static double dy(FreshMark m) {
    return m.shownYMm() - m.yMm();
  }

  private static CameraCheckFinding moved(
      CameraCheckReadings readings, double farthest, double read) {
    List<FreshMark> marks = readings.marks();
    double sx = marks.stream().mapToDouble(CameraCheck::dx).average().orElseThrow();
    double sy = marks.stream().mapToDouble(CameraCheck::dy).average().orElseThrow();
    boolean shift = cameraMoved(marks, readings.cameraMm(), read);
    Optional<Height> height = readings.cameraMm().map(c -> height(marks, c, read));
    boolean byHeight = height.isPresent() && height.get().fits;
    Moved what =
        shift && !byHeight && height.isPresent()
            ? Moved.CAMERA_OR_LID
            : byHeight && !shift ? Moved.HEIGHT : Moved.CANNOT_TELL;
    return new CameraCheckFinding(
        farthest,
        read,
        Optional.of(what),
        what == Moved.CAMERA_OR_LID ? Optional.of(List.of(sx, sy)) : Optional.empty(),
        what == Moved.HEIGHT ? OptionalDouble.of(height.orElseThrow().mm) : OptionalDouble.empty(),
        what == Moved.HEIGHT
            ? OptionalDouble.of(height.orElseThrow().uncertaintyMm)
            : OptionalDouble.empty(),
        Verdict.ADJUST,
        advice(what, sx, sy, height, shift),
        readings.cameraMm().isEmpty() ? List.of(Message.of("camera.check.no-place")) : List.of());
  }

  /** Aside, or turned where its place is known, or both where enough marks tell that. */
  private static boolean cameraMoved(
      List<FreshMark> marks, Optional<List<Double>> camera, double read) {
    int n = marks.size();
    double[][] aside = new double[2 * n][2];
    double[][] turned = new double[2 * n][2];
    double[][] both = new double[2 * n][4];
    double[] off = new double[2 * n];
    for (int i = 0; i < n; i++) {
      FreshMark m = marks.get(i);
      off[2 * i] = dx(m);
      off[2 * i + 1] = dy(m);
      aside[2 * i][0] = 1;
      aside[2 * i + 1][1] = 1;
      if (camera.isPresent()) {
        double x = m.xMm() - camera.get().get(0);
        double y = m.yMm() - camera.get().get(1);
        double h = camera.get().get(2);
        turned[2 * i] = new double[] {h + x * x / h, x * y / h};
        turned[2 * i + 1] = new double[] {x * y / h, h + y * y / h};
      }
      for (int k = 0; k < 2; k++) {
        System.arraycopy(aside[2 * i + k], 0, both[2 * i + k], 0, 2);
        System.arraycopy(turned[2 * i + k], 0, both[2 * i + k], 2, 2);
      }
    }
    return fits(left(aside, off), read, 2 * n - 2)
        || camera.isPresent() && fits(left(turned, off), read, 2 * n - 2)
        || camera.isPresent() && n > 2 && fits(left(both, off), read, 2 * n - 4);
  }

  /** The sum of squares that these columns leave. */
  private static double left(double[][] columns, double[] off) {
    RealMatrix m = new Array2DRowRealMatrix(columns);
    RealVector y = new ArrayRealVector(off);
    RealVector best = new SingularValueDecomposition(m).getSolver().solve(y);
    double distance = m.operate(best).getDistance(y);
    return distance * distance;
  }

  private record Height(double mm, double uncertaintyMm, boolean fits) {}

  /** One figure by least squares: the share by which marks are shown further from the foot. */
  private static Height height(List<FreshMark> marks, List<Double> camera, double read) {
    double along = 0;
    double squares = 0;
    for (FreshMark m : marks) {
      double x = m.xMm() - camera.get(0);
      double y = m.yMm() - camera.get(1);
      along += x * dx(m) + y * dy(m);
      squares += x * x + y * y;
    }
    double share = squares > 0 ? along / squares : 0;
    double left = 0;
    for (FreshMark m : marks) {
      left += Math.pow(dx(m) - share * (m.xMm() - camera.get(0)), 2);
      left += Math.pow(dy(m) - share * (m.yMm() - camera.get(1)), 2);
    }
    double up = camera.get(2);
    double unsure = squares > 0 ? read / Math.sqrt(squares) : Double.MAX_VALUE;
    return new Height(
        up * share / (1 + share),
        up * unsure / Math.pow(1 + share, 2),
        Math.abs(share) < HIGHEST_SHARE && fits(left, read, 2 * marks.size() - 1));
  }

  private static boolean fits(double squares, double read, int freedom) {
    return new ChiSquaredDistribution(freedom).cumulativeProbability(squares / (read * read))
        < 1 - REFUSED;
  }

  private static List<Advice> advice(
      Moved what, double sx, double sy, Optional<Height> height, boolean shift) {
    return switch (what) {
      case CAMERA_OR_LID ->
          List.of(
              Advice.act("camera.check.push")
                  .because("camera.check.push.why", Amount.mm(sx, 2), Amount.mm(sy, 2)),
              Advice.act("camera.check.read-target"));
      case HEIGHT ->
          List.of(
              Advice.act(
                      height.orElseThrow().mm > 0 ? "camera.check.lower" : "camera.check.raise",
                      Amount.mm(Math.abs(height.orElseThrow().mm), 1),
                      Message.bare(Amount.mm(height.orElseThrow().uncertaintyMm, 1)))
                  .because("camera.check.height.why"),
              Advice.act("camera.check.burn-again"));
      case CANNOT_TELL ->
          List.of(
              Advice.act("camera.check.push"),
              Advice.read(shift ? "camera.check.apart" : "camera.check.more")
                  .because(shift ? "camera.check.apart.why" : "camera.check.more.why"),
              Advice.act("camera.check.read-target"));
    };
  }
}
