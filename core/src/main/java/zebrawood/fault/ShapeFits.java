package zebrawood.fault;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import zebrawood.fault.FallOff.Form;
import zebrawood.fault.FaultReadings.Scored;
import zebrawood.fault.Pattern.Shape;

/**
 * Shapes through scores: what falls along a direction, whichever it is, what falls along the beam's
 * way, and a dome that falls from its middle in all directions.
 */
final class ShapeFits {
  private static final int DIRECTIONS = 36;
  private static final int FINER = 3;

  /** A direction is chosen among all: that counts as so many numbers. */
  private static final double CHOSEN = 2.5;

  /** Shorter than this nothing lies over the bed. */
  private static final double SHORTEST_MM = 1;

  private final List<Scored> places;
  private final double[] scores;
  private final double error;

  /**
   * A shape through the scores.
   *
   * @param numbers that it takes
   * @param weight of them, where shapes are compared
   */
  record Fit(Shape shape, double chiSquare, int numbers, double weight) {}

  ShapeFits(List<Scored> places, double error) {
    this.places = places;
    this.error = error;
    scores = of(Scored::score);
  }

  private double[] of(ToDoubleFunction<Scored> what) {
    return places.stream().mapToDouble(what).toArray();
  }

  boolean atOnePlace() {
    return unit(of(Scored::xMm)).length == 0 && unit(of(Scored::yMm)).length == 0;
  }

  /** Chi-square of the same score everywhere. */
  double even() {
    return SmallFit.of(scores).chiSquare(error);
  }

  /** All that falls along a direction, or from a middle. */
  List<Fit> overBed() {
    double step = Math.PI / DIRECTIONS;
    List<List<Fit>> directions = new ArrayList<>();
    for (int i = 0; i < DIRECTIONS; i++) {
      directions.add(inDirection(step * i));
    }
    List<Fit> fits = new ArrayList<>();
    directions.forEach(fits::addAll);
    // About the best of each shape once more, closer together.
    for (Shape shape : List.of(Shape.SLOPE, Shape.BOW)) {
      int best = bestDirection(directions, shape);
      for (int k = 1 - FINER; k < FINER; k++) {
        fits.addAll(inDirection(step * (best + (double) k / FINER)));
      }
    }
    dome().ifPresent(fits::add);
    return fits;
  }

  private static int bestDirection(List<List<Fit>> directions, Shape shape) {
    int best = 0;
    double least = Double.MAX_VALUE;
    for (int i = 0; i < directions.size(); i++) {
      for (Fit fit : directions.get(i)) {
        if (fit.shape() == shape && fit.chiSquare() < least) {
          least = fit.chiSquare();
          best = i;
        }
      }
    }
    return best;
  }

  private List<Fit> inDirection(double angle) {
    double cos = Math.cos(angle);
    double sin = Math.sin(angle);
    double[] u = unit(of(p -> p.xMm() * cos + p.yMm() * sin));
    if (u.length == 0) {
      return List.of();
    }
    return new FallOff(u, scores)
        .forms().stream()
            .map(f ->
                new Fit(
                    f.fromTheMiddle() ? Shape.BOW : Shape.SLOPE,
                    f.chiSquare(error),
                    f.numbers() + 1,
                    f.numbers() + CHOSEN))
            .toList();
  }

  /** All that falls along a way. */
  List<Fit> along(ToDoubleFunction<Scored> wayMm) {
    double[] u = unit(of(wayMm));
    return u.length == 0
        ? List.of()
        : new FallOff(u, scores)
            .forms().stream()
                .filter(Form::towardsTheEnd)
                .map(f -> new Fit(Shape.PATH, f.chiSquare(error), f.numbers(), f.numbers()))
                .toList();
  }

  /** From -1 to 1 over the places' extent; empty where they have none. */
  private static double[] unit(double[] values) {
    double least = Double.MAX_VALUE;
    double most = -Double.MAX_VALUE;
    for (double v : values) {
      least = Math.min(least, v);
      most = Math.max(most, v);
    }
    if (most - least < SHORTEST_MM) {
      return new double[0];
    }
    double[] unit = new double[values.length];
    for (int i = 0; i < unit.length; i++) {
      unit[i] = (2 * values[i] - least - most) / (most - least);
    }
    return unit;
  }

  private Optional<Fit> dome() {
    double[] x = unit(of(Scored::xMm));
    double[] y = unit(of(Scored::yMm));
    if (x.length == 0 || y.length == 0) {
      return Optional.empty();
    }
    SmallFit fit = SmallFit.of(scores, x, y, FallOff.squared(x, 0), FallOff.squared(y, 0));
    double alongX = fit.coefficient(3);
    double alongY = fit.coefficient(4);
    if (!(alongX < 0 && alongY < 0)) {
      return Optional.empty();
    }
    boolean middle =
        FallOff.inMiddleHalf(fit.coefficient(1) / (2 * alongX))
            && FallOff.inMiddleHalf(fit.coefficient(2) / (2 * alongY));
    return Optional.of(new Fit(middle ? Shape.BOW : Shape.SLOPE, fit.chiSquare(error), 5, 5));
  }
}
