package zebrawood.field;

import java.util.Optional;
import zebrawood.measure.PixelScale;

/**
 * A scanner's pixels for a millimetre in both of its directions, which differ a little.
 *
 * @param errorX relative, one standard deviation, and {@code errorY}
 */
record ScanScale(double pxPerMmX, double pxPerMmY, double errorX, double errorY) {
  /** Both ends clicked to a pixel: a uniform error of that width each (JCGM 100:2008, 4.3.7). */
  private static final double CLICKED_PX = Math.sqrt(2.0 / 12);

  /**
   * Of two rules: {@code (dx / px)² + (dy / py)² = mm²} for each. Of one: both directions alike.
   */
  static ScanScale of(PixelScale along, Optional<PixelScale> up) {
    double error = CLICKED_PX / along.lengthPx();
    if (up.isEmpty()) {
      return new ScanScale(along.pxPerMm(), along.pxPerMm(), error, error);
    }
    double a = square(dx(along));
    double b = square(dy(along));
    double c = square(dx(up.get()));
    double d = square(dy(up.get()));
    double m = square(along.mm());
    double n = square(up.get().mm());
    double det = a * d - b * c;
    double x = (d * m - b * n) / det;
    double y = (a * n - c * m) / det;
    return new ScanScale(
        1 / Math.sqrt(x), 1 / Math.sqrt(y), error, CLICKED_PX / up.get().lengthPx());
  }

  /** Whether two rules tell nothing of the two directions apart. */
  static boolean sameWay(PixelScale along, PixelScale up, double share) {
    double det = square(dx(along)) * square(dy(up)) - square(dy(along)) * square(dx(up));
    return !(det > share * square(along.lengthPx()) * square(up.lengthPx()));
  }

  private static double dx(PixelScale scale) {
    return scale.toPx().getFirst() - scale.fromPx().getFirst();
  }

  private static double dy(PixelScale scale) {
    return scale.toPx().getLast() - scale.fromPx().getLast();
  }

  private static double square(double v) {
    return v * v;
  }
}
