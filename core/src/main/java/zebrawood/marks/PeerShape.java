package zebrawood.marks;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import zebrawood.marks.MarkCentre.Centre;
import zebrawood.measure.Picture;
import zebrawood.measure.SmallSystem;

/**
 * What the marks of a sheet look like together, and how well one of them is seen: the common shape
 * is laid over a mark and moved until the light agrees, in which what lies on the mark alone (a
 * pen's stroke, a speck) counts nothing (Tukey's biweight). What is left of the light then tells
 * the uncertainty of the mark's place.
 */
final class PeerShape {
  private static final int ROUNDS = 12;
  private static final double STILL_PX = 1e-3;

  /** Tukey's constant, and what a median of absolute values is of a standard deviation. */
  private static final double TUKEY = 4.685;

  private static final double OF_MEDIAN = 1.4826;

  /** Of the shape's own darkness: what no scan is better than. */
  private static final double LEAST_SPREAD = 0.01;

  /** Place, depth, and the sheet's light as a plane. */
  private static final int UNKNOWNS = 6;

  /** Neighbouring pixels agree, by blur, grain and compression: no more than this is believed. */
  private static final double MOST_AGREEMENT = 0.8;

  /** Pixels: what sampling between them and whole levels leave, however clear the mark is. */
  private static final double OF_PIXELS = 0.03;

  /** Places a side that are looked at: a mark of many more pixels is sampled. */
  private static final int MOST_A_SIDE = 91;

  private final Picture picture;
  private final int half;

  /** Pixels from one place to the next. */
  private final int step;

  /** Darkness as a share of the sheet's light, row by row from the upper left. */
  private final double[] shape;

  /** What each unknown does to a place's darkness, place by place; null at the rim. */
  private final double[][] terms;

  /**
   * A mark's place in pixels, with a standard deviation of each coordinate.
   *
   * @param seen which share of what tells its place is not covered by something else
   */
  record Fit(double x, double y, double uncertaintyPx, double seen) {}

  private PeerShape(Picture picture, int half, int step, double[] shape) {
    this.picture = picture;
    this.half = half;
    this.step = step;
    this.shape = shape;
    this.terms = new double[shape.length][];
    int n = 2 * half + 1;
    for (int v = 1; v < n - 1; v++) {
      for (int u = 1; u < n - 1; u++) {
        terms[v * n + u] = terms(u, v);
      }
    }
  }

  /**
   * The median of all.
   *
   * @param aboutPx so wide is what is looked at about each
   */
  static PeerShape of(Picture picture, List<Centre> centres, double aboutPx) {
    int step = (int) Math.max(1, Math.ceil(aboutPx / MOST_A_SIDE));
    int half = (int) Math.max(4, Math.round(aboutPx / 2 / step));
    int n = 2 * half + 1;
    List<double[]> windows =
        centres.stream()
            .map(c -> window(picture, c.x(), c.y(), half, step))
            .flatMap(Optional::stream)
            .map(PeerShape::darkness)
            .toList();
    double[] shape = new double[n * n];
    double[] here = new double[windows.size()];
    for (int i = 0; i < shape.length; i++) {
      for (int k = 0; k < here.length; k++) {
        here[k] = windows.get(k)[i];
      }
      Arrays.sort(here);
      shape[i] = here.length == 0 ? 0 : (here[(here.length - 1) / 2] + here[here.length / 2]) / 2;
    }
    return new PeerShape(picture, half, step, shape);
  }

  /** The light about a place, between the pixels' middles; empty at the picture's edge. */
  private static Optional<double[]> window(
      Picture picture, double x, double y, int half, int step) {
    int left = (int) Math.floor(x - 0.5) - half * step;
    int top = (int) Math.floor(y - 0.5) - half * step;
    int n = 2 * half + 1;
    int wide = 2 * half * step + 2;
    if (left < 0 || top < 0 || left + wide > picture.width() || top + wide > picture.height()) {
      return Optional.empty();
    }
    double fx = x - 0.5 - Math.floor(x - 0.5);
    double fy = y - 0.5 - Math.floor(y - 0.5);
    double[] above = new double[wide];
    double[] below = new double[wide];
    double[] window = new double[n * n];
    for (int v = 0; v < n; v++) {
      picture.row(left, top + v * step, above);
      picture.row(left, top + v * step + 1, below);
      for (int k = 0; k < n; k++) {
        int u = k * step;
        window[v * n + k] =
            (1 - fy) * ((1 - fx) * above[u] + fx * above[u + 1])
                + fy * ((1 - fx) * below[u] + fx * below[u + 1]);
      }
    }
    return Optional.of(window);
  }

  private static double[] darkness(double[] window) {
    double[] sorted = window.clone();
    Arrays.sort(sorted);
    double sheet = Math.max(1, sorted[(int) (0.7 * sorted.length)]);
    return Arrays.stream(window).map(l -> 1 - l / sheet).toArray();
  }

  /** Empty where the light does not tell a place, or the mark lies at the picture's edge. */
  Optional<Fit> fit(Centre from) {
    int n = 2 * half + 1;
    double cx = from.x();
    double cy = from.y();
    double[] weights = new double[n * n];
    Arrays.fill(weights, 1);
    double[] rest = new double[n * n];
    double spread = 0;
    double depth = 0;
    for (int round = 0; round < ROUNDS; round++) {
      Optional<double[]> window = window(picture, cx, cy, half, step);
      if (window.isEmpty()) {
        return Optional.empty();
      }
      double[] dark = darkness(window.get());
      Optional<double[]> moved = Optional.empty();
      // The weights first by the shape as it lies, then by what the fit leaves.
      for (int again = 0; again < 2; again++) {
        moved = fitted(dark, weights);
        if (moved.isEmpty()) {
          return Optional.empty();
        }
        spread = left(dark, moved.get(), rest);
        for (int i = 0; i < weights.length; i++) {
          double t = rest[i] / (TUKEY * spread);
          weights[i] = Math.abs(t) < 1 ? (1 - t * t) * (1 - t * t) : 0;
        }
      }
      depth = moved.get()[0];
      if (!(depth > 0)) {
        return Optional.empty();
      }
      double dx = -moved.get()[1] / depth;
      double dy = -moved.get()[2] / depth;
      double far = Math.hypot(dx, dy);
      double most = Math.min(1, step / Math.max(far, 1e-9));
      cx += dx * most;
      cy += dy * most;
      if (Math.hypot(cx - from.x(), cy - from.y()) > half * step / 2.0) {
        return Optional.empty();
      }
      if (far < STILL_PX) {
        break;
      }
    }
    return judged(cx, cy, depth, weights, rest, spread);
  }

  /** Depth, depth times the way from the place to the mark, and the sheet's plane. */
  private Optional<double[]> fitted(double[] dark, double[] weights) {
    double[][] normal = new double[UNKNOWNS][UNKNOWNS + 1];
    int n = 2 * half + 1;
    for (int v = 1; v < n - 1; v++) {
      for (int u = 1; u < n - 1; u++) {
        int i = v * n + u;
        if (weights[i] > 0) {
          SmallSystem.add(normal, terms[i], dark[i], weights[i]);
        }
      }
    }
    return SmallSystem.solve(normal);
  }

  private double[] terms(int u, int v) {
    int n = 2 * half + 1;
    int i = v * n + u;
    return new double[] {
      shape[i],
      (shape[i + 1] - shape[i - 1]) / (2 * step),
      (shape[i + n] - shape[i - n]) / (2 * step),
      1,
      (u - half) / (double) half,
      (v - half) / (double) half
    };
  }

  /** What the fit leaves of each pixel, and how far these spread. */
  private double left(double[] dark, double[] fitted, double[] rest) {
    int n = 2 * half + 1;
    double[] far = new double[(n - 2) * (n - 2)];
    int k = 0;
    for (int v = 1; v < n - 1; v++) {
      for (int u = 1; u < n - 1; u++) {
        double said = 0;
        double[] its = terms[v * n + u];
        for (int j = 0; j < UNKNOWNS; j++) {
          said += its[j] * fitted[j];
        }
        rest[v * n + u] = dark[v * n + u] - said;
        far[k++] = Math.abs(rest[v * n + u]);
      }
    }
    Arrays.sort(far);
    double deepest = Arrays.stream(shape).max().orElse(0);
    return Math.max(LEAST_SPREAD * deepest, OF_MEDIAN * far[far.length / 2]);
  }

  private Optional<Fit> judged(
      double x, double y, double depth, double[] weights, double[] rest, double spread) {
    double[] whole = told(weights, false);
    double[] kept = told(weights, true);
    double least = Math.min(kept[0], kept[1]);
    if (!(least > 0)) {
      return Optional.empty();
    }
    double agreement = agreement(weights, rest, 1) * agreement(weights, rest, 2 * half + 1);
    double seen = Math.min(kept[0] / whole[0], kept[1] / whole[1]);
    double ofLight = spread / depth * Math.sqrt(agreement / least);
    return Optional.of(new Fit(x, y, Math.hypot(ofLight, OF_PIXELS), seen));
  }

  /** How much the pixels tell of the place, across and up. */
  private double[] told(double[] weights, boolean weighted) {
    double[] told = new double[2];
    for (int i = 0; i < weights.length; i++) {
      if (terms[i] != null) {
        double w = weighted ? weights[i] : 1;
        told[0] += w * terms[i][1] * terms[i][1];
        told[1] += w * terms[i][2] * terms[i][2];
      }
    }
    return told;
  }

  /** By how much neighbours that agree make the mean less certain (first-order, one direction). */
  private static double agreement(double[] weights, double[] rest, int next) {
    double products = 0;
    double squares = 0;
    for (int i = 0; i + next < rest.length; i++) {
      double w = weights[i] * weights[i + next];
      products += w * rest[i] * rest[i + next];
      squares += w * (rest[i] * rest[i] + rest[i + next] * rest[i + next]) / 2;
    }
    double r = squares > 0 ? Math.clamp(products / squares, 0, MOST_AGREEMENT) : 0;
    return (1 + r) / (1 - r);
  }
}
