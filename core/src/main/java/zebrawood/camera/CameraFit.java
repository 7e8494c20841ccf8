package zebrawood.camera;

import java.util.Arrays;
import java.util.List;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer.Optimum;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;

/**
 * The thirteen numbers of a {@link CameraView} by weighted least squares (Levenberg and Marquardt)
 * through marks, with what is known of lenses beforehand as further readings.
 */
final class CameraFit {
  private static final int MOST_STEPS = 60;

  /** What is known of a number before any mark is read. */
  private record Before(int number, double value, double deviation) {}

  private final List<CameraMark> marks;

  /** The numbers that are fitted; those of a lens that is given stay. */
  private final int[] free;

  private final double[] given;
  private final List<Before> before;

  private CameraFit(List<CameraMark> marks, int[] free, double[] given, List<Before> before) {
    this.marks = marks;
    this.free = free;
    this.given = given;
    this.before = before;
  }

  /**
   * @param view the numbers, and how they vary together
   * @param covariance 13 x 13, of the deviation asked with; nothing where a number is given
   */
  record Fitted(CameraView view, RealMatrix covariance) {}

  /** A lens that is exactly known: place and turn alone are fitted. */
  static CameraFit given(List<CameraMark> marks, CameraLens lens) {
    double[] given = new double[CameraView.NUMBERS];
    put(lens, given);
    return new CameraFit(marks, new int[] {0, 1, 2, 3, 4, 5}, given, List.of());
  }

  /**
   * A lens of which nothing is known but how lenses are: the axis meets the picture near its middle
   * (to 4 % of its width), a picture is 0.6 focal lengths wide, to a factor of two, and the bend is
   * about that of an equidistant lens, to what a pinhole (tan t / t: k1 = 0.33, k2 = 0.13, k3 =
   * 0.05, k4 = 0.02) or an orthographic one (k1 = -0.17) has.
   */
  static CameraFit unknown(List<CameraMark> marks, CameraReadings.Image image) {
    double width = Math.max(image.widthPx(), image.heightPx());
    return new CameraFit(
        marks,
        new int[] {0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12},
        new double[CameraView.NUMBERS],
        List.of(
            new Before(CameraView.FOCAL, Math.log(0.6 * width), 0.7),
            new Before(CameraView.CENTRE, image.widthPx() / 2.0, 0.04 * width),
            new Before(CameraView.CENTRE + 1, image.heightPx() / 2.0, 0.04 * width),
            new Before(CameraView.BEND, 0, 0.3),
            new Before(CameraView.BEND + 1, 0, 0.15),
            new Before(CameraView.BEND + 2, 0, 0.07),
            new Before(CameraView.BEND + 3, 0, 0.03)));
  }

  static void put(CameraLens lens, double[] numbers) {
    numbers[CameraView.FOCAL] = Math.log(lens.focalPx());
    numbers[CameraView.CENTRE] = lens.centreX();
    numbers[CameraView.CENTRE + 1] = lens.centreY();
    numbers[CameraView.BEND] = lens.k1();
    numbers[CameraView.BEND + 1] = lens.k2();
    numbers[CameraView.BEND + 2] = lens.k3();
    numbers[CameraView.BEND + 3] = lens.k4();
  }

  List<CameraMark> marks() {
    return marks;
  }

  /** Numbers that no mark tells are as they are known beforehand. */
  private double[] whole(RealVector fitted) {
    double[] numbers = given.clone();
    for (int i = 0; i < free.length; i++) {
      numbers[free[i]] = fitted.getEntry(i);
    }
    return numbers;
  }

  /**
   * @param kept the marks that count
   * @param deviationPx of a coordinate of a mark
   * @throws MathRuntimeException where the numbers run away
   */
  Fitted fit(CameraView start, int[] kept, double deviationPx) {
    double[] from = start.numbers();
    double[] begun = Arrays.stream(free).mapToDouble(i -> from[i]).toArray();
    double[] target = new double[2 * kept.length + before.size()];
    for (int i = 0; i < kept.length; i++) {
      target[2 * i] = marks.get(kept[i]).xPx() / deviationPx;
      target[2 * i + 1] = marks.get(kept[i]).yPx() / deviationPx;
    }
    for (int i = 0; i < before.size(); i++) {
      target[2 * kept.length + i] = before.get(i).value / before.get(i).deviation;
    }
    Optimum best =
        new LevenbergMarquardtOptimizer()
            .withCostRelativeTolerance(1e-11)
            .withParameterRelativeTolerance(1e-10)
            .optimize(
                new LeastSquaresBuilder()
                    .start(begun)
                    .target(target)
                    .model(point -> model(point, kept, deviationPx))
                    .lazyEvaluation(false)
                    .checker((n, was, now) -> n >= MOST_STEPS)
                    .maxEvaluations(10 * MOST_STEPS)
                    .maxIterations(10 * MOST_STEPS)
                    .build());
    RealMatrix some = best.getCovariances(1e-24);
    RealMatrix covariance = new Array2DRowRealMatrix(CameraView.NUMBERS, CameraView.NUMBERS);
    for (int i = 0; i < free.length; i++) {
      for (int k = 0; k < free.length; k++) {
        covariance.setEntry(free[i], free[k], some.getEntry(i, k));
      }
    }
    return new Fitted(new CameraView(whole(best.getPoint())), covariance);
  }

  private Pair<RealVector, RealMatrix> model(RealVector point, int[] kept, double deviationPx) {
    CameraView view = new CameraView(whole(point));
    double[] values = new double[2 * kept.length + before.size()];
    double[][] slopes = new double[values.length][free.length];
    double[][] byNumbers = new double[2][CameraView.NUMBERS];
    double[][] byPlace = new double[2][3];
    for (int i = 0; i < kept.length; i++) {
      CameraMark m = marks.get(kept[i]);
      double[] px = view.slopes(m.xMm(), m.yMm(), m.height(), byNumbers, byPlace);
      for (int axis = 0; axis < 2; axis++) {
        values[2 * i + axis] = px[axis] / deviationPx;
        for (int k = 0; k < free.length; k++) {
          slopes[2 * i + axis][k] = byNumbers[axis][free[k]] / deviationPx;
        }
      }
    }
    for (int i = 0; i < before.size(); i++) {
      Before b = before.get(i);
      int at = Arrays.binarySearch(free, b.number);
      values[2 * kept.length + i] = point.getEntry(at) / b.deviation;
      slopes[2 * kept.length + i][at] = 1 / b.deviation;
    }
    return new Pair<>(new ArrayRealVector(values, false), new Array2DRowRealMatrix(slopes, false));
  }
}
