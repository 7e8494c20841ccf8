package zebrawood.power;

import java.util.List;
import zebrawood.power.IsotonicFit.Point;

/**
 * Watts against percent, between the lowest and the highest percentage that was measured: readings
 * made rising, joined by cubics that rise wherever these do (Fritsch and Butland, SIAM Journal on
 * Scientific and Statistical Computing 5, 300, 1984).
 */
final class PowerCurve {
  /** Of a percentage: finer than any setting. */
  private static final double SAME_PERCENT = 1e-10;

  private final double[] x;
  private final double[] y;
  private final double[] slope;

  PowerCurve(List<CurvePoint> readings) {
    List<Point> points =
        IsotonicFit.of(
                readings.stream()
                    .map(p -> new IsotonicFit.Reading(p.percent(), p.value()))
                    .toList())
            .points();
    x = points.stream().mapToDouble(Point::at).toArray();
    y = points.stream().mapToDouble(Point::value).toArray();
    slope = slopes(x, y);
  }

  private static double[] slopes(double[] x, double[] y) {
    int n = x.length;
    double[] slope = new double[n];
    if (n == 2) {
      slope[0] = (y[1] - y[0]) / (x[1] - x[0]);
      slope[1] = slope[0];
      return slope;
    }
    double[] h = new double[n - 1];
    double[] d = new double[n - 1];
    for (int i = 0; i + 1 < n; i++) {
      h[i] = x[i + 1] - x[i];
      d[i] = (y[i + 1] - y[i]) / h[i];
    }
    for (int i = 1; i + 1 < n; i++) {
      if (d[i - 1] * d[i] > 0) {
        double w1 = 2 * h[i] + h[i - 1];
        double w2 = h[i] + 2 * h[i - 1];
        slope[i] = (w1 + w2) / (w1 / d[i - 1] + w2 / d[i]);
      }
    }
    slope[0] = atEnd(h[0], h[1], d[0], d[1]);
    slope[n - 1] = atEnd(h[n - 2], h[n - 3], d[n - 2], d[n - 3]);
    return slope;
  }

  /** Of the parabola through three, kept from turning the curve round. */
  private static double atEnd(double h0, double h1, double d0, double d1) {
    double slope = ((2 * h0 + h1) * d0 - h0 * d1) / (h0 + h1);
    if (slope * d0 <= 0) {
      return 0;
    }
    return d0 * d1 <= 0 && Math.abs(slope) > 3 * Math.abs(d0) ? 3 * d0 : slope;
  }

  double lowestPercent() {
    return x[0];
  }

  double highestPercent() {
    return x[x.length - 1];
  }

  double leastWatts() {
    return y[0];
  }

  double mostWatts() {
    return y[y.length - 1];
  }

  boolean covers(double percent) {
    return percent >= lowestPercent() && percent <= highestPercent();
  }

  /** Within what was measured. */
  double watts(double percent) {
    int i = 0;
    while (i + 2 < x.length && percent > x[i + 1]) {
      i++;
    }
    double h = x[i + 1] - x[i];
    double t = (percent - x[i]) / h;
    double u = 1 - t;
    return u * u * (1 + 2 * t) * y[i]
        + t * t * (1 + 2 * u) * y[i + 1]
        + h * t * u * (u * slope[i] - t * slope[i + 1]);
  }

  /** The lowest percentage that gives so many watts, which it can give. */
  double percent(double watts) {
    double low = lowestPercent();
    double high = highestPercent();
    while (high - low > SAME_PERCENT) {
      double middle = (low + high) / 2;
      if (middle == low || middle == high) {
        break;
      }
      if (watts(middle) < watts) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return high;
  }
}
