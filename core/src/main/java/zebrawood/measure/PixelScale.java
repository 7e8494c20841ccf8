package zebrawood.measure;

import java.util.List;
import zebrawood.words.Message;

/**
 * Two places in a picture that are a known length apart: pixels of the upright picture, origin at
 * the top left.
 *
 * @param fromPx x and y, as {@code toPx}
 */
public record PixelScale(List<Double> fromPx, List<Double> toPx, double mm) {
  private static final double LARGEST_PX = 100_000;
  private static final double LEAST_PX = 20;
  private static final double SHORTEST_MM = 0.1;

  public PixelScale {
    fromPx = List.copyOf(fromPx);
    toPx = List.copyOf(toPx);
  }

  /** Complains of what cannot be used as a scale. */
  public void check(Accepts accepts, String field, double longestMm) {
    place(accepts, field + ".fromPx", fromPx);
    place(accepts, field + ".toPx", toPx);
    accepts.between(field + ".mm", mm, SHORTEST_MM, longestMm);
    if (accepts.fine()) {
      apart(accepts, field + ".toPx", fromPx, toPx, LEAST_PX);
    }
  }

  /** Complains unless it is an x and a y of a picture. */
  public static void place(Accepts accepts, String field, List<Double> px) {
    if (px.size() != 2) {
      accepts.complain(
          field, Message.of("accepts.of-them", px.size()), Message.of("measure.accepts.x-and-y"));
      return;
    }
    accepts
        .between(field + "[0]", px.getFirst(), 0, LARGEST_PX)
        .between(field + "[1]", px.getLast(), 0, LARGEST_PX);
  }

  /** Complains where two places lie too near. */
  public static void apart(
      Accepts accepts, String field, List<Double> from, List<Double> to, double leastPx) {
    double apart = distance(from, to);
    if (!(apart >= leastPx)) {
      accepts.complain(
          field,
          Message.of("measure.found.pixels-apart", Message.number(Math.round(apart))),
          Message.of("measure.accepts.pixels-apart", Message.number(leastPx)));
    }
  }

  public static double distance(List<Double> from, List<Double> to) {
    return Math.hypot(to.getFirst() - from.getFirst(), to.getLast() - from.getLast());
  }

  public double lengthPx() {
    return distance(fromPx, toPx);
  }

  public double pxPerMm() {
    return lengthPx() / mm;
  }
}
