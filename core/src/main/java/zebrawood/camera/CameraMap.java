package zebrawood.camera;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.linear.RealMatrix;
import zebrawood.camera.CameraFinding.MarginAt;
import zebrawood.camera.CameraFinding.PlaceOnBed;
import zebrawood.camera.CameraReadings.Image;

/**
 * A fitted camera as a map between picture and bed, with how sure it is.
 *
 * @param view the camera
 * @param covariance of its thirteen numbers
 * @param only the one height at which it tells places; empty where it tells them at any
 */
record CameraMap(CameraView view, RealMatrix covariance, Image image, OptionalDouble only) {
  /** Into so many parts a side is divided to find where something is worst. */
  private static final int PARTS = 24;

  /** As many parts has a side of the map that is drawn. */
  static final int MAP_PARTS = 16;

  /** The height at which the bed is judged. */
  double bedHeight() {
    return only.orElse(0);
  }

  boolean tells(double heightMm) {
    return only.isEmpty()
        || Math.abs(heightMm - only.getAsDouble()) <= CameraFinding.SAME_HEIGHT_MM;
  }

  /** Where a place of the picture lies; empty outside of the picture, and beyond the lens's rim. */
  Optional<PlaceOnBed> at(double xPx, double yPx, double heightMm) {
    if (!inPicture(xPx, yPx) || !tells(heightMm)) {
      return Optional.empty();
    }
    double height = only.orElse(heightMm);
    return view.place(xPx, yPx, height)
        .filter(p -> Math.hypot(p[0], p[1]) < 10 * CameraReadings.FARTHEST_MM)
        .map(p -> new PlaceOnBed(p[0], p[1], uncertainty(p[0], p[1], height)));
  }

  boolean inPicture(double xPx, double yPx) {
    return xPx >= 0 && yPx >= 0 && xPx <= image.widthPx() && yPx <= image.heightPx();
  }

  /** Whether a place of the bed is in the picture. */
  boolean shows(double xMm, double yMm, double heightMm) {
    double[] px = view.px(xMm, yMm, heightMm);
    return view.sees(xMm, yMm, heightMm) && inPicture(px[0], px[1]);
  }

  /** One standard deviation of the distance from the truth, both axes together, in mm. */
  double uncertainty(double xMm, double yMm, double heightMm) {
    double[][] byNumbers = new double[2][CameraView.NUMBERS];
    double[][] byPlace = new double[2][3];
    view.slopes(xMm, yMm, heightMm, byNumbers, byPlace);
    double[][] back = inverse(byPlace);
    double sum = 0;
    for (int axis = 0; axis < 2; axis++) {
      double[] slope = new double[CameraView.NUMBERS];
      for (int k = 0; k < slope.length; k++) {
        slope[k] = back[axis][0] * byNumbers[0][k] + back[axis][1] * byNumbers[1][k];
      }
      double[] times = covariance.operate(slope);
      for (int k = 0; k < slope.length; k++) {
        sum += slope[k] * times[k];
      }
    }
    return Math.sqrt(Math.max(0, sum));
  }

  /** A difference in the picture as one on the plane at this height. */
  double[] onPlane(double xMm, double yMm, double heightMm, double[] offPx) {
    double[][] byNumbers = new double[2][CameraView.NUMBERS];
    double[][] byPlace = new double[2][3];
    view.slopes(xMm, yMm, heightMm, byNumbers, byPlace);
    double[][] back = inverse(byPlace);
    return new double[] {
      back[0][0] * offPx[0] + back[0][1] * offPx[1], back[1][0] * offPx[0] + back[1][1] * offPx[1]
    };
  }

  private static double[][] inverse(double[][] m) {
    double det = m[0][0] * m[1][1] - m[0][1] * m[1][0];
    return new double[][] {{m[1][1] / det, -m[0][1] / det}, {-m[1][0] / det, m[0][0] / det}};
  }

  /** How far a place moves for each mm that it lies higher than taken for. */
  double heightSlope(double xMm, double yMm, double heightMm) {
    double up = view.z() - heightMm;
    return Math.hypot(xMm - view.x(), yMm - view.y()) / up;
  }

  /**
   * The worst of the bed that is in the picture.
   *
   * @param marginMm two standard deviations of a place there, where that is most
   * @param atMm where that is
   * @param heightSlope where that is most
   * @param share of the bed that is in the picture
   */
  record Worst(double marginMm, List<Double> atMm, double heightSlope, double share) {}

  /** Over the part of the bed that is in the picture, in even steps. */
  List<MarginAt> margins(List<Double> bedMm) {
    List<MarginAt> margins = new ArrayList<>();
    for (int k = 0; k <= MAP_PARTS; k++) {
      for (int i = 0; i <= MAP_PARTS; i++) {
        double x = bedMm.get(0) * i / MAP_PARTS;
        double y = bedMm.get(1) * k / MAP_PARTS;
        if (shows(x, y, bedHeight())) {
          margins.add(new MarginAt(x, y, 2 * uncertainty(x, y, bedHeight())));
        }
      }
    }
    return margins;
  }

  /**
   * @param also places that count beside the bed's own: the marks, should the bed not be seen
   */
  Worst worst(List<Double> bedMm, List<CameraMark> also) {
    double height = bedHeight();
    double margin = -1;
    double slope = 0;
    List<Double> at = List.of(0.0, 0.0);
    int seen = 0;
    for (int i = 0; i <= PARTS; i++) {
      for (int k = 0; k <= PARTS; k++) {
        double x = bedMm.get(0) * i / PARTS;
        double y = bedMm.get(1) * k / PARTS;
        if (!shows(x, y, height)) {
          continue;
        }
        seen++;
        double here = 2 * uncertainty(x, y, height);
        if (here > margin) {
          margin = here;
          at = List.of(x, y);
        }
        slope = Math.max(slope, heightSlope(x, y, height));
      }
    }
    double share = seen / (double) ((PARTS + 1) * (PARTS + 1));
    for (CameraMark m : seen == 0 ? also : List.<CameraMark>of()) {
      double here = 2 * uncertainty(m.xMm(), m.yMm(), height);
      if (here > margin) {
        margin = here;
        at = List.of(m.xMm(), m.yMm());
      }
      slope = Math.max(slope, heightSlope(m.xMm(), m.yMm(), height));
    }
    return new Worst(margin, at, slope, share);
  }
}
