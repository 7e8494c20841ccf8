package zebrawood.measure;

import java.util.DoubleSummaryStatistics;
import java.util.List;

/**
 * Where the middle of places is, and how far they spread about it, along their widest direction and
 * across it. Places in one line have no spread across.
 *
 * @param middleXMm mean of the places
 * @param middleYMm mean of the places
 * @param alongMm root-mean-square distance from the middle along the widest direction
 * @param acrossMm root-mean-square distance from the best straight line
 */
public record Spread(double middleXMm, double middleYMm, double alongMm, double acrossMm) {
  /** Below this share of their length, places count as one line: their tilt across is noise. */
  private static final double THINNEST_SHARE = 1e-3;

  /** Half a tenth of a millimetre: nobody places a gauge better. */
  private static final double THINNEST_MM = 0.05;

  public static Spread of(List<? extends Place> places) {
    double n = places.size();
    // Their sums lose nothing to rounding, as those of a stream, which costs more for a few places.
    DoubleSummaryStatistics x = new DoubleSummaryStatistics();
    DoubleSummaryStatistics y = new DoubleSummaryStatistics();
    for (Place place : places) {
      x.accept(place.xMm());
      y.accept(place.yMm());
    }
    double middleX = x.getSum() / n;
    double middleY = y.getSum() / n;
    double xx = 0;
    double yy = 0;
    double xy = 0;
    for (Place place : places) {
      double dx = place.xMm() - middleX;
      double dy = place.yMm() - middleY;
      xx += dx * dx / n;
      yy += dy * dy / n;
      xy += dx * dy / n;
    }
    double middle = (xx + yy) / 2;
    double radius = Math.hypot((xx - yy) / 2, xy);
    return new Spread(
        middleX, middleY, Math.sqrt(middle + radius), Math.sqrt(Math.max(0, middle - radius)));
  }

  public boolean inOneLine() {
    return !(acrossMm > THINNEST_MM && acrossMm > THINNEST_SHARE * alongMm);
  }
}
