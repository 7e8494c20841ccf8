package zebrawood.measure;

import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.hipparchus.exception.MathIllegalArgumentException;

/**
 * The plane nearest to heights read at places: how does it lean, and what is left over?
 *
 * <p>In: at least three places in mm, not in one line, and a height in mm at each. Out: slopes in
 * mm per mm, heights of the plane anywhere, residuals. Coordinates are centred on the places' own
 * middle, so that the fit is well conditioned anywhere on the machine.
 *
 * <p>A twisted one has {@code x y} as well: four corners each at a height of its own.
 */
public final class PlaneFit {
  /** Times the error of a height: a twist that is known no better was not told. */
  private static final double MOST_UNSURE = 1e3;

  private final double middleXMm;
  private final double middleYMm;
  private final LinearFit fit;

  /** What {@code x y} is counted in; 0 of a plane. */
  private final double twistMm2;

  private PlaneFit(double middleXMm, double middleYMm, LinearFit fit, double twistMm2) {
    this.middleXMm = middleXMm;
    this.middleYMm = middleYMm;
    this.fit = fit;
    this.twistMm2 = twistMm2;
  }

  /**
   * @param heightErrorMm standard deviation of one height, more than 0
   * @throws UnusableReading when there are fewer than three places or all lie in one line
   */
  public static <P extends Place> PlaneFit of(
      List<P> places, ToDoubleFunction<? super P> heightMm, double heightErrorMm) {
    new Accepts().atLeast("points", places, 3, "accepts.places").orThrow();
    Spread spread = Spread.of(places);
    new Accepts().notInOneLine("points", spread).orThrow();
    return of(places, heightMm, heightErrorMm, spread, 0);
  }

  /**
   * @return empty where the places do not tell a twist: fewer than four, or on two lines that cross
   */
  public static <P extends Place> Optional<PlaneFit> twisted(
      List<P> places, ToDoubleFunction<? super P> heightMm, double heightErrorMm) {
    Spread spread = Spread.of(places);
    double largest =
        places.stream()
            .mapToDouble(p -> Math.abs(product(spread, p.xMm(), p.yMm())))
            .max()
            .orElse(0);
    if (places.size() < 4 || !(largest > 0)) {
      return Optional.empty();
    }
    try {
      PlaneFit fit = of(places, heightMm, heightErrorMm, spread, largest);
      return Double.isFinite(fit.fit.estimate(3).uncertainty())
              && fit.fit.estimate(3).uncertainty() < MOST_UNSURE * heightErrorMm
          ? Optional.of(fit)
          : Optional.empty();
    } catch (MathIllegalArgumentException notDetermined) {
      return Optional.empty();
    }
  }

  private static double product(Spread spread, double xMm, double yMm) {
    return (xMm - spread.middleXMm()) * (yMm - spread.middleYMm());
  }

  private static <P extends Place> PlaneFit of(
      List<P> places,
      ToDoubleFunction<? super P> heightMm,
      double heightErrorMm,
      Spread spread,
      double twistMm2) {
    int n = places.size();
    double middleX = spread.middleXMm();
    double middleY = spread.middleYMm();
    double[][] design = new double[n][];
    double[] heights = new double[n];
    for (int i = 0; i < n; i++) {
      P place = places.get(i);
      double x = place.xMm() - middleX;
      double y = place.yMm() - middleY;
      design[i] = twistMm2 > 0 ? new double[] {1, x, y, x * y / twistMm2} : new double[] {1, x, y};
      heights[i] = heightMm.applyAsDouble(place);
    }
    return new PlaneFit(middleX, middleY, LinearFit.of(design, heights, heightErrorMm), twistMm2);
  }

  /** Rise of the plane to the right, mm per mm. */
  public Estimate slopeX() {
    return fit.estimate(1);
  }

  /** Rise of the plane to the rear, mm per mm. */
  public Estimate slopeY() {
    return fit.estimate(2);
  }

  public double heightMm(double xMm, double yMm) {
    double flat =
        fit.coefficient(0)
            + fit.coefficient(1) * (xMm - middleXMm)
            + fit.coefficient(2) * (yMm - middleYMm);
    return twistMm2 > 0 ? flat + fit.coefficient(3) * twist(xMm, yMm) : flat;
  }

  private double twist(double xMm, double yMm) {
    return (xMm - middleXMm) * (yMm - middleYMm) / twistMm2;
  }

  /** How much higher the plane stands at {@code there} than at {@code here}. */
  public Estimate differenceMm(double thereX, double thereY, double hereX, double hereY) {
    return twistMm2 > 0
        ? fit.combination(
            0, thereX - hereX, thereY - hereY, twist(thereX, thereY) - twist(hereX, hereY))
        : fit.combination(0, thereX - hereX, thereY - hereY);
  }

  /** Height read less height of the plane, in the order of the places. */
  public List<Double> residualsMm() {
    return fit.residuals();
  }

  /** Readings less the numbers of the surface: three of a plane, four of a twisted one. */
  public int degreesOfFreedom() {
    return fit.degreesOfFreedom();
  }
}
