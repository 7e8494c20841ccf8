package zebrawood.measure;

import java.util.List;

/**
 * How far places spread about their own middle, along their widest direction and across it. Places
 * in one line have no spread across.
 *
 * @param alongMm root-mean-square distance from the middle along the widest direction
 * @param acrossMm root-mean-square distance from the best straight line
 */
public record Spread(double alongMm, double acrossMm) {
  /** Below this share of their length, places count as one line: their tilt across is noise. */
  private static final double THINNEST_SHARE = 1e-3;

  /** Half a tenth of a millimetre: nobody places a gauge better. */
  private static final double THINNEST_MM = 0.05;

  public static Spread of(List<? extends Place> places) {
    double n = places.size();
    double meanX = places.stream().mapToDouble(Place::xMm).sum() / n;
    double meanY = places.stream().mapToDouble(Place::yMm).sum() / n;
    double xx = 0;
    double yy = 0;
    double xy = 0;
    for (Place place : places) {
      double dx = place.xMm() - meanX;
      double dy = place.yMm() - meanY;
      xx += dx * dx / n;
      yy += dy * dy / n;
      xy += dx * dy / n;
    }
    double middle = (xx + yy) / 2;
    double radius = Math.hypot((xx - yy) / 2, xy);
    return new Spread(Math.sqrt(middle + radius), Math.sqrt(Math.max(0, middle - radius)));
  }

  public boolean inOneLine() {
    return !(acrossMm > THINNEST_MM && acrossMm > THINNEST_SHARE * alongMm);
  }
}
