package zebrawood.fault;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import zebrawood.fault.FaultReadings.Scored;
import zebrawood.fault.ShapeFits.Fit;

/**
 * How scores lie over the bed. Shapes are put through them by least squares ({@link ShapeFits}),
 * each score off by half of the resolution. The shape of the least chi-square, with a penalty for
 * each number that it takes (Schwarz, Estimating the dimension of a model, 1978), is claimed where
 * it is within the scatter and clearly better than even; even where that is within the scatter;
 * else it is mixed.
 */
public final class Pattern {
  /** What scores over the bed can look like. */
  public enum Shape {
    EVEN,
    SLOPE,
    PATH,
    BOW,
    MIXED;

    /** Those that say something; mixed does not. */
    static final Set<Shape> CLAIMED = EnumSet.of(EVEN, SLOPE, PATH, BOW);
  }

  /** As seldom as this, scatter alone is worse than the shape. */
  private static final double WITHIN = 0.005;

  /** As seldom as this, scatter alone makes the shape so much better than even. */
  private static final double CLEARLY = 0.002;

  private Pattern() {}

  /**
   * @param r with places
   */
  static Shape of(FaultReadings r) {
    List<Scored> places = r.places().orElseThrow();
    double error = r.scoreResolution().orElse(FaultReadings.USUAL_RESOLUTION) / 2;
    ShapeFits fits = new ShapeFits(places, error);
    double even = fits.even();
    if (fits.atOnePlace()) {
      return Shape.MIXED;
    }
    List<Fit> shapes = new ArrayList<>(fits.overBed());
    r.beamEnters()
        .ifPresent(corner ->
            shapes.addAll(
                fits.along(
                    p -> corner.wayMm(p.xMm(), p.yMm(), r.bedMm().get(0), r.bedMm().get(1)))));
    Optional<Fit> best = best(shapes, places.size(), even);
    return best.map(Fit::shape)
        .orElse(withinScatter(even, places.size() - 1) ? Shape.EVEN : Shape.MIXED);
  }

  private static Optional<Fit> best(List<Fit> shapes, int places, double even) {
    double penalty = Math.log(places);
    return IntStream.range(0, shapes.size())
        .mapToObj(shapes::get)
        .filter(f -> withinScatter(f.chiSquare(), places - f.numbers()))
        .filter(f -> chance(even - f.chiSquare(), f.numbers() - 1) < CLEARLY)
        .min((a, b) ->
            Double.compare(
                a.chiSquare() + penalty * a.weight(), b.chiSquare() + penalty * b.weight()));
  }

  private static boolean withinScatter(double chiSquare, int freedom) {
    return freedom <= 0 ? chiSquare < 1e-6 : chance(chiSquare, freedom) > WITHIN;
  }

  /** That scatter alone makes a chi-square of at least this. */
  private static double chance(double chiSquare, int freedom) {
    return 1 - new ChiSquaredDistribution(freedom).cumulativeProbability(Math.max(0, chiSquare));
  }
}
