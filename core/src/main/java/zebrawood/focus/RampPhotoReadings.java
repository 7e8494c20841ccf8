package zebrawood.focus;

import java.util.List;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * A photograph or scan of a ramp's board, with what was clicked in it. Pixels of the upright
 * picture, origin at the top left.
 *
 * @param scale two places in the picture that are a known length apart
 * @param line clicked near the burnt line, up to 5 mm off sideways; along is counted from its start
 * @param gapAtStartMm from the reference to the surface at the start
 */
public record RampPhotoReadings(
    String imagePath, Scale scale, Line line, double runMm, double riseMm, double gapAtStartMm) {
  private static final double LARGEST_PX = 100_000;
  private static final double LEAST_SCALE_PX = 20;
  private static final double LEAST_LINE_PX = 50;

  /** Two places, x and y each, and how far apart they are. */
  public record Scale(List<Double> fromPx, List<Double> toPx, double mm) {
    public Scale {
      fromPx = List.copyOf(fromPx);
      toPx = List.copyOf(toPx);
    }
  }

  /** Where the line begins and ends, x and y each. */
  public record Line(List<Double> startPx, List<Double> endPx) {
    public Line {
      startPx = List.copyOf(startPx);
      endPx = List.copyOf(endPx);
    }
  }

  public RampPhotoReadings {
    var accepts = new Accepts().filled("imagePath", imagePath);
    place(accepts, "scale.fromPx", scale.fromPx);
    place(accepts, "scale.toPx", scale.toPx);
    place(accepts, "line.startPx", line.startPx);
    place(accepts, "line.endPx", line.endPx);
    accepts.positive("scale.mm", scale.mm, RampReadings.LONGEST_MM);
    RampReadings.slope(accepts, runMm, riseMm, gapAtStartMm);
    accepts.orThrow();
    apart(accepts, "scale.toPx", scale.fromPx, scale.toPx, LEAST_SCALE_PX);
    apart(accepts, "line.endPx", line.startPx, line.endPx, LEAST_LINE_PX);
    accepts.orThrow();
  }

  private static void place(Accepts accepts, String field, List<Double> px) {
    if (px.size() != 2) {
      accepts.complain(
          field, Message.of("accepts.of-them", px.size()), Message.of("focus.accepts.x-and-y"));
      return;
    }
    accepts
        .between(field + "[0]", px.getFirst(), 0, LARGEST_PX)
        .between(field + "[1]", px.getLast(), 0, LARGEST_PX);
  }

  private static void apart(
      Accepts accepts, String field, List<Double> from, List<Double> to, double leastPx) {
    double apart = distance(from, to);
    if (!(apart >= leastPx)) {
      accepts.complain(
          field,
          Message.of("focus.found.pixels-apart", Message.number(Math.round(apart))),
          Message.of("focus.accepts.pixels-apart", Message.number(leastPx)));
    }
  }

  static double distance(List<Double> from, List<Double> to) {
    return Math.hypot(to.getFirst() - from.getFirst(), to.getLast() - from.getLast());
  }

  RampReadings.Slope slope() {
    return new RampReadings.Slope(runMm, riseMm, gapAtStartMm);
  }

  double pxPerMm() {
    return distance(scale.fromPx, scale.toPx) / scale.mm;
  }
}
