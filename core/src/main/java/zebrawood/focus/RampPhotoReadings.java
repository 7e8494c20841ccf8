package zebrawood.focus;

import java.util.List;
import zebrawood.measure.Accepts;
import zebrawood.measure.PixelScale;

/**
 * A photograph or scan of a ramp's board, with what was clicked in it. Pixels of the upright
 * picture, origin at the top left.
 *
 * @param scale two places in the picture that are a known length apart
 * @param line clicked near the burnt line, up to 5 mm off sideways; along is counted from its start
 * @param gapAtStartMm from the reference to the surface at the start
 */
public record RampPhotoReadings(
    String imagePath,
    PixelScale scale,
    Line line,
    double runMm,
    double riseMm,
    double gapAtStartMm) {
  private static final double LEAST_LINE_PX = 50;

  /** Where the line begins and ends, x and y each. */
  public record Line(List<Double> startPx, List<Double> endPx) {
    public Line {
      startPx = List.copyOf(startPx);
      endPx = List.copyOf(endPx);
    }
  }

  public RampPhotoReadings {
    var accepts = new Accepts().filled("imagePath", imagePath);
    scale.check(accepts, "scale", RampReadings.LONGEST_MM);
    PixelScale.place(accepts, "line.startPx", line.startPx);
    PixelScale.place(accepts, "line.endPx", line.endPx);
    RampReadings.slope(accepts, runMm, riseMm, gapAtStartMm);
    accepts.orThrow();
    PixelScale.apart(accepts, "line.endPx", line.startPx, line.endPx, LEAST_LINE_PX);
    accepts.orThrow();
  }

  RampReadings.Slope slope() {
    return new RampReadings.Slope(runMm, riseMm, gapAtStartMm, 0);
  }

  double pxPerMm() {
    return scale.pxPerMm();
  }
}
