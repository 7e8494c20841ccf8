package zebrawood.focus;

import java.util.List;

/**
 * The law that was put through the readings, to be drawn.
 *
 * @param parameters the first is the height of the focus
 */
public record FittedLaw(Law law, List<Double> parameters) {
  public FittedLaw {
    parameters = List.copyOf(parameters);
  }

  /** The width or score at a height. */
  public double valueAt(double heightMm) {
    double[] p = parameters.stream().mapToDouble(d -> d).toArray();
    return law.value(p, heightMm - p[0]);
  }
}
