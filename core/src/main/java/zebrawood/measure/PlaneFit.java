package zebrawood.measure;

import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * The plane nearest to heights read at places: how does it lean, and what is left over?
 *
 * <p>In: at least three places in mm, not in one line, and a height in mm at each. Out: slopes in
 * mm per mm, heights of the plane anywhere, residuals. Coordinates are centred on the places' own
 * middle, so that the fit is well conditioned anywhere on the machine.
 */
public final class PlaneFit {
  private final double middleXMm;
  private final double middleYMm;
  private final LinearFit fit;

  private PlaneFit(double middleXMm, double middleYMm, LinearFit fit) {
    this.middleXMm = middleXMm;
    this.middleYMm = middleYMm;
    this.fit = fit;
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
    int n = places.size();
    double middleX = spread.middleXMm();
    double middleY = spread.middleYMm();
    double[][] design = new double[n][];
    double[] heights = new double[n];
    for (int i = 0; i < n; i++) {
      P place = places.get(i);
      design[i] = new double[] {1, place.xMm() - middleX, place.yMm() - middleY};
      heights[i] = heightMm.applyAsDouble(place);
    }
    return new PlaneFit(middleX, middleY, LinearFit.of(design, heights, heightErrorMm));
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
    return fit.coefficient(0)
        + fit.coefficient(1) * (xMm - middleXMm)
        + fit.coefficient(2) * (yMm - middleYMm);
  }

  /** How much higher the plane stands at {@code there} than at {@code here}. */
  public Estimate differenceMm(double thereX, double thereY, double hereX, double hereY) {
    return fit.combination(0, thereX - hereX, thereY - hereY);
  }

  /** Height read less height of the plane, in the order of the places. */
  public List<Double> residualsMm() {
    return fit.residuals();
  }

  /** Readings less the three numbers of the plane. */
  public int degreesOfFreedom() {
    return fit.degreesOfFreedom();
  }
}
