package zebrawood.marks;

import java.util.Optional;
import zebrawood.measure.Picture;

/**
 * The middle of one mark to a fraction of a pixel: of a dot the centre of what is dark, of a cross
 * where the middles of its two bars meet.
 */
public final class MarkCentre {
  /** Of the pitch: what is looked at about a mark. */
  private static final double WINDOW = 0.4;

  /** Of the mark's own darkness: less is the sheet's grain. */
  private static final double CUT = 0.35;

  /** Of a dot's own darkness: from here on a place is all dot, however light falls on it. */
  private static final double FULL = 0.65;

  private static final double LEAST_LIGHT = 8;

  private static final int ROUNDS = 4;
  private static final int LEVELS = 1024;

  /** The sheet's light is told by every third pixel of every third row. */
  private static final int THINNED = 3;

  private static final double LEAST_CONTRAST = 6;

  private MarkCentre() {}

  /** Where it is, in pixels, whole ones at the pixels' corners. */
  public record Centre(double x, double y) {}

  /** Darkness about a place: nothing where it is as light as the sheet there. */
  private record Window(int left, int top, int size, double[] dark) {
    double at(int x, int y) {
      return x < 0 || y < 0 || x >= size || y >= size ? 0 : dark[y * size + x];
    }
  }

  /**
   * @param x roughly, as {@code y}
   * @param pitchPx so wide is the place that belongs to it
   * @return empty where nothing dark enough stands there, or it lies at the picture's edge
   */
  public static Optional<Centre> of(
      Picture picture, MarkKind kind, double x, double y, double pitchPx) {
    Optional<Window> window = window(picture, kind, x, y, pitchPx);
    return window.flatMap(w ->
        kind == MarkKind.DOT
            ? dot(w, x - w.left, y - w.top, pitchPx)
            : cross(w, x - w.left, y - w.top, pitchPx));
  }

  private static Optional<Window> window(
      Picture picture, MarkKind kind, double x, double y, double pitchPx) {
    int half = (int) Math.max(4, Math.round(WINDOW * pitchPx));
    int left = (int) Math.floor(x) - half;
    int top = (int) Math.floor(y) - half;
    int size = 2 * half + 1;
    if (left < 0 || top < 0 || left + size > picture.width() || top + size > picture.height()) {
      return Optional.empty();
    }
    double[] light = new double[size * size];
    double[] row = new double[size];
    for (int v = 0; v < size; v++) {
      picture.row(left, top + v, row);
      System.arraycopy(row, 0, light, v * size, size);
    }
    double[] sheet = plane(light, size);
    double[] dark = new double[size * size];
    for (int v = 0; v < size; v++) {
      for (int u = 0; u < size; u++) {
        double ground = sheet[0] + sheet[1] * (u - half) + sheet[2] * (v - half);
        // By the sheet's light there, as if it were lit evenly.
        dark[v * size + u] =
            (ground - light[v * size + u]) * sheet[0] / Math.max(LEAST_LIGHT, ground);
      }
    }
    double darkest = quantile(dark, 1, 0.995);
    if (darkest < LEAST_CONTRAST) {
      return Optional.empty();
    }
    double most = kind == MarkKind.DOT ? (FULL - CUT) * darkest : Double.MAX_VALUE;
    for (int i = 0; i < dark.length; i++) {
      dark[i] = Math.clamp(dark[i] - CUT * darkest, 0, most);
    }
    return Optional.of(new Window(left, top, size, dark));
  }

  /** The sheet's light: a plane through the lighter half of the window, fitted again and again. */
  private static double[] plane(double[] light, int size) {
    int half = size / 2;
    double[] plane = {quantile(light, THINNED, 0.7), 0, 0};
    double spread = Math.max(2, quantile(light, THINNED, 0.85) - plane[0]);
    for (int round = 0; round < ROUNDS; round++) {
      double n = 0;
      double su = 0;
      double sv = 0;
      double suu = 0;
      double svv = 0;
      double suv = 0;
      double sl = 0;
      double sul = 0;
      double svl = 0;
      for (int v = 0; v < size; v += THINNED) {
        for (int u = 0; u < size; u += THINNED) {
          double l = light[v * size + u];
          double x = u - half;
          double y = v - half;
          if (Math.abs(l - plane[0] - plane[1] * x - plane[2] * y) < 3 * spread) {
            n++;
            su += x;
            sv += y;
            suu += x * x;
            svv += y * y;
            suv += x * y;
            sl += l;
            sul += x * l;
            svl += y * l;
          }
        }
      }
      double mu = su / n;
      double mv = sv / n;
      double a = suu / n - mu * mu;
      double b = suv / n - mu * mv;
      double c = svv / n - mv * mv;
      double p = sul / n - mu * sl / n;
      double q = svl / n - mv * sl / n;
      double det = a * c - b * b;
      if (!(det > 1e-6)) {
        return plane;
      }
      double slopeX = (c * p - b * q) / det;
      double slopeY = (a * q - b * p) / det;
      plane = new double[] {sl / n - slopeX * mu - slopeY * mv, slopeX, slopeY};
    }
    return plane;
  }

  /** Of every so many values, to a quarter of a level; what is below nothing counts as nothing. */
  private static double quantile(double[] values, int every, double share) {
    int[] counts = new int[LEVELS];
    for (int i = 0; i < values.length; i += every) {
      counts[Math.clamp((long) (values[i] * LEVELS / 256), 0, LEVELS - 1)]++;
    }
    int left = (int) (share * ((values.length - 1) / every));
    int level = 0;
    while (left >= counts[level]) {
      left -= counts[level];
      level++;
    }
    return (level + 0.5) * 256 / LEVELS;
  }

  private static Optional<Centre> dot(Window w, double x, double y, double pitchPx) {
    double cx = x;
    double cy = y;
    double reach = 0.3 * pitchPx;
    for (int round = 0; round < 3 * ROUNDS; round++) {
      double sum = 0;
      double sx = 0;
      double sy = 0;
      double squares = 0;
      int from = (int) Math.max(0, Math.floor(cy - reach));
      int to = (int) Math.min(w.size - 1, Math.ceil(cy + reach));
      for (int v = from; v <= to; v++) {
        for (int u = (int) Math.max(0, Math.floor(cx - reach));
            u <= Math.min(w.size - 1, Math.ceil(cx + reach));
            u++) {
          double dx = u + 0.5 - cx;
          double dy = v + 0.5 - cy;
          double d = dx * dx + dy * dy <= reach * reach ? w.at(u, v) : 0;
          sum += d;
          sx += d * dx;
          sy += d * dy;
          squares += d * (dx * dx + dy * dy);
        }
      }
      if (sum <= 0) {
        return Optional.empty();
      }
      cx += sx / sum;
      cy += sy / sum;
      // A full circle's radius is the root of twice its mean square; a little more is let in.
      reach = Math.clamp(1.6 * Math.sqrt(2 * squares / sum) + 1.5, 3, 0.36 * pitchPx);
    }
    return Math.hypot(cx - x, cy - y) > 0.3 * pitchPx
        ? Optional.empty()
        : Optional.of(new Centre(w.left + cx, w.top + cy));
  }

  /** A bar as a line: its place across, at the cross's middle, and its slope. */
  private record Bar(double at, double slope) {}

  private static Optional<Centre> cross(Window w, double x, double y, double pitchPx) {
    double cx = x;
    double cy = y;
    double slopeAcross = 0;
    double slopeUp = 0;
    for (int round = 0; round < 2 * ROUNDS; round++) {
      double band = round < 2 ? 0.14 * pitchPx : 0.08 * pitchPx;
      Optional<Bar> across = bar(w, cx, cy, slopeAcross, band, pitchPx, false);
      Optional<Bar> up = bar(w, cy, cx, slopeUp, band, pitchPx, true);
      if (across.isEmpty() || up.isEmpty()) {
        return Optional.empty();
      }
      slopeAcross = across.get().slope;
      slopeUp = up.get().slope;
      // y = at + slopeAcross (x - cx) and x = at' + slopeUp (y - cy) meet here.
      double dy = across.get().at - cy;
      double dx = up.get().at - cx;
      double det = 1 - slopeAcross * slopeUp;
      double nx = (dx + slopeUp * dy) / det;
      double ny = (dy + slopeAcross * dx) / det;
      cx += nx;
      cy += ny;
    }
    return Math.hypot(cx - x, cy - y) > 0.3 * pitchPx
        ? Optional.empty()
        : Optional.of(new Centre(w.left + cx, w.top + cy));
  }

  /** The line through the middles of a bar's columns, those of the crossing bar left out. */
  private static Optional<Bar> bar(
      Window w,
      double along,
      double across,
      double slope,
      double band,
      double pitchPx,
      boolean upright) {
    double reach = WINDOW * pitchPx;
    double n = 0;
    double sx = 0;
    double sxx = 0;
    double sy = 0;
    double sxy = 0;
    int from = (int) Math.max(0, Math.floor(along - reach));
    int to = (int) Math.min(w.size - 1, Math.ceil(along + reach));
    for (int u = from; u <= to; u++) {
      double t = u + 0.5 - along;
      if (Math.abs(t) < 0.6 * band) {
        continue;
      }
      double middle = across + slope * t;
      double sum = 0;
      double moment = 0;
      for (int v = (int) Math.max(0, Math.floor(middle - band));
          v <= Math.min(w.size - 1, Math.ceil(middle + band));
          v++) {
        double d = upright ? w.at(v, u) : w.at(u, v);
        sum += d;
        moment += d * (v + 0.5);
      }
      if (sum > 0) {
        double at = moment / sum;
        n += sum;
        sx += sum * t;
        sxx += sum * t * t;
        sy += sum * at;
        sxy += sum * t * at;
      }
    }
    double spread = n > 0 ? sxx / n - (sx / n) * (sx / n) : 0;
    if (!(spread > 1)) {
      return Optional.empty();
    }
    double found = (sxy / n - sx / n * sy / n) / spread;
    return Optional.of(new Bar(sy / n - found * sx / n, found));
  }
}
