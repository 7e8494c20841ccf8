package zebrawood.tape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import zebrawood.measure.SmallSystem;

/**
 * The rim of a burn, in mm from the target's middle, and which shape it follows.
 *
 * <p>What the print hides of it is left out of every fit: what is completed there is the shape's.
 *
 * @param seen places along the rim that no print hides
 */
record Outline(List<double[]> seen) {
  private static final int TURNS = 72;
  private static final int COARSE = 36;
  private static final int MOST_POINTS = 120;
  private static final int LEAST_POINTS = 24;

  Outline {
    seen = List.copyOf(seen);
  }

  /**
   * An ellipse.
   *
   * @param rms how far the rim lies off it
   */
  record Ellipse(double x, double y, double greatest, double least, double rms) {
    double diameter() {
      return Math.sqrt(greatest * least);
    }
  }

  /**
   * A circle of which a rim has cut a piece.
   *
   * @param towards from its middle to what is missing, in rad
   * @param missing area of that, mm²
   * @param rms how far the rim lies off circle and cut together
   * @param arc the share of the circle that is there
   */
  record CutCircle(
      double x, double y, double radius, double towards, double missing, double rms, double arc) {
    double share() {
      return missing / (Math.PI * radius * radius);
    }
  }

  private List<double[]> some() {
    int step = Math.max(1, (int) Math.ceil((double) seen.size() / MOST_POINTS));
    List<double[]> some = new ArrayList<>();
    for (int i = 0; i < seen.size(); i += step) {
      some.add(seen.get(i));
    }
    return some;
  }

  /**
   * The nearest ellipse, by distances to the first order (Sampson's); empty where too little is
   * seen.
   */
  Optional<Ellipse> ellipse() {
    List<double[]> points = some();
    if (points.size() < LEAST_POINTS) {
      return Optional.empty();
    }
    double[] middle = middle(points);
    double scale = middle[2];
    double[] weights = new double[points.size()];
    Arrays.fill(weights, 1);
    double[] q = {1, 0, 1, 0, 0};
    for (int round = 0; round < 4; round++) {
      double[][] normal = new double[5][6];
      for (int i = 0; i < weights.length; i++) {
        double u = (points.get(i)[0] - middle[0]) / scale;
        double v = (points.get(i)[1] - middle[1]) / scale;
        SmallSystem.add(normal, new double[] {u * u, u * v, v * v, u, v}, 1, weights[i]);
      }
      Optional<double[]> next = SmallSystem.solve(normal);
      if (next.isEmpty()) {
        return Optional.empty();
      }
      q = next.get();
      for (int i = 0; i < weights.length; i++) {
        double slope = slope(q, points.get(i), middle);
        weights[i] = 1 / Math.max(1e-6, slope * slope);
      }
    }
    double squares = 0;
    for (double[] p : points) {
      double u = (p[0] - middle[0]) / scale;
      double v = (p[1] - middle[1]) / scale;
      double f = q[0] * u * u + q[1] * u * v + q[2] * v * v + q[3] * u + q[4] * v - 1;
      double off = scale * f / slope(q, p, middle);
      squares += off * off;
    }
    double det = 4 * q[0] * q[2] - q[1] * q[1];
    if (det <= 0 || q[0] <= 0) {
      return Optional.empty();
    }
    double u = (q[1] * q[4] - 2 * q[2] * q[3]) / det;
    double v = (q[1] * q[3] - 2 * q[0] * q[4]) / det;
    double level = 1 - (q[3] * u + q[4] * v) / 2;
    double half = (q[0] + q[2]) / 2;
    double root = Math.hypot((q[0] - q[2]) / 2, q[1] / 2);
    return Optional.of(
        new Ellipse(
            middle[0] + scale * u,
            middle[1] + scale * v,
            2 * scale * Math.sqrt(level / (half - root)),
            2 * scale * Math.sqrt(level / (half + root)),
            Math.sqrt(squares / points.size())));
  }

  private static double slope(double[] q, double[] p, double[] middle) {
    double u = (p[0] - middle[0]) / middle[2];
    double v = (p[1] - middle[1]) / middle[2];
    return Math.max(
        1e-3, Math.hypot(2 * q[0] * u + q[1] * v + q[3], q[1] * u + 2 * q[2] * v + q[4]));
  }

  /** Mean place, and mean distance from it. */
  private static double[] middle(List<double[]> points) {
    double x = 0;
    double y = 0;
    for (double[] p : points) {
      x += p[0] / points.size();
      y += p[1] / points.size();
    }
    double far = 0;
    for (double[] p : points) {
      far += Math.hypot(p[0] - x, p[1] - y) / points.size();
    }
    return new double[] {x, y, Math.max(1e-6, far)};
  }

  /**
   * The circle with a cut that the rim follows best, whichever side it is cut on; where rim and
   * circle meet, blur rounds the corner off, and neither counts.
   */
  Optional<CutCircle> cutCircle(double blurMm) {
    List<double[]> points = some();
    if (points.size() < LEAST_POINTS) {
      return Optional.empty();
    }
    double[] middle = middle(points);
    double corner = Math.max(Math.toRadians(5), 1.2 * blurMm / middle[2]);
    double[][] polar =
        points.stream()
            .map(p -> {
              double x = p[0] - middle[0];
              double y = p[1] - middle[1];
              return new double[] {x, y, Math.atan2(y, x)};
            })
            .toArray(double[][]::new);
    Optional<Tried> best = Optional.empty();
    for (int turn = 0; turn < COARSE; turn++) {
      for (double wide = 0.4; wide < 1.7; wide += 0.2) {
        best = nearer(best, cut(polar, 2 * Math.PI * turn / COARSE, wide, corner));
      }
    }
    if (best.isEmpty()) {
      return Optional.empty();
    }
    double towards = best.get().towards;
    double wide = best.get().wide;
    for (int turn = -2; turn <= 2; turn++) {
      for (double wider = -0.1; wider < 0.15; wider += 0.05) {
        double about = towards + turn * Math.PI / (2.5 * COARSE);
        best = nearer(best, cut(polar, about, wide + wider, corner));
      }
    }
    return best.flatMap(b -> b.circle(middle));
  }

  private static Optional<Tried> nearer(Optional<Tried> best, Optional<Tried> one) {
    return one.isPresent() && (best.isEmpty() || one.get().rms < best.get().rms) ? one : best;
  }

  /** One way to cut it: circle and rim in the frame that looks towards the cut. */
  private record Tried(
      double towards, double wide, double ca, double cs, double radius, double[] rim, double rms) {
    Optional<CutCircle> circle(double[] middle) {
      double c = Math.cos(towards);
      double s = Math.sin(towards);
      return missing(rim, ca, cs, radius)
          .map(m ->
              new CutCircle(
                  middle[0] + ca * c - cs * s,
                  middle[1] + ca * s + cs * c,
                  radius,
                  towards + Math.atan2(m[2] - cs, m[1] - ca),
                  m[0],
                  rms,
                  1 - m[3]));
    }
  }

  /**
   * @param polar places from the burn's own middle, with their direction
   * @param wide half of the angle, from there, under which the cut is seen
   */
  private static Optional<Tried> cut(double[][] polar, double towards, double wide, double corner) {
    double c = Math.cos(towards);
    double s = Math.sin(towards);
    double[][] circle = new double[3][4];
    double[][] rim = new double[3][4];
    double[] beyond = new double[polar.length];
    int onCircle = 0;
    int onRim = 0;
    for (int i = 0; i < polar.length; i++) {
      double along = polar[i][0] * c + polar[i][1] * s;
      double aside = -polar[i][0] * s + polar[i][1] * c;
      double turned = Math.abs(polar[i][2] - towards) % (2 * Math.PI);
      beyond[i] = Math.min(turned, 2 * Math.PI - turned) - wide;
      if (beyond[i] > corner) {
        SmallSystem.add(circle, new double[] {along, aside, 1}, along * along + aside * aside, 1);
        onCircle++;
      } else if (beyond[i] < -corner) {
        SmallSystem.add(rim, new double[] {1, aside, aside * aside}, along, 1);
        onRim++;
      }
    }
    if (onRim < 5 || onCircle < polar.length / 3) {
      return Optional.empty();
    }
    Optional<double[]> a = SmallSystem.solve(circle);
    Optional<double[]> b = SmallSystem.solve(rim);
    if (a.isEmpty() || b.isEmpty()) {
      return Optional.empty();
    }
    double ca = a.get()[0] / 2;
    double cs = a.get()[1] / 2;
    double radius = Math.sqrt(Math.max(1e-9, a.get()[2] + ca * ca + cs * cs));
    double[] r = b.get();
    double squares = 0;
    for (int i = 0; i < polar.length; i++) {
      if (Math.abs(beyond[i]) <= corner) {
        continue;
      }
      double along = polar[i][0] * c + polar[i][1] * s;
      double aside = -polar[i][0] * s + polar[i][1] * c;
      double off =
          beyond[i] > 0
              ? Math.hypot(along - ca, aside - cs) - radius
              : (along - r[0] - r[1] * aside - r[2] * aside * aside)
                  / Math.hypot(1, r[1] + 2 * r[2] * aside);
      squares += off * off;
    }
    return Optional.of(
        new Tried(towards, wide, ca, cs, radius, r, Math.sqrt(squares / (onCircle + onRim))));
  }

  private static final int STRIPS = 80;

  /**
   * What of the circle lies beyond the rim.
   *
   * @return its area, its middle along and aside, and the share of the circle's rim beyond it;
   *     empty where the rim leaves nothing or most of the circle missing
   */
  private static Optional<double[]> missing(double[] rim, double ca, double cs, double radius) {
    double area = 0;
    double along = 0;
    double aside = 0;
    double step = 2 * radius / STRIPS;
    for (int i = 0; i < STRIPS; i++) {
      double at = cs - radius + (i + 0.5) * step;
      double half = Math.sqrt(radius * radius - (at - cs) * (at - cs));
      double from = Math.max(ca - half, rim[0] + rim[1] * at + rim[2] * at * at);
      double length = ca + half - from;
      if (length > 0) {
        area += length * step;
        along += length * step * (from + length / 2);
        aside += length * step * at;
      }
    }
    if (area < 1e-6 || area > 0.75 * Math.PI * radius * radius) {
      return Optional.empty();
    }
    int beyond = 0;
    for (int i = 0; i < TURNS; i++) {
      double x = ca + radius * Math.cos(2 * Math.PI * i / TURNS);
      double y = cs + radius * Math.sin(2 * Math.PI * i / TURNS);
      beyond += x > rim[0] + rim[1] * y + rim[2] * y * y ? 1 : 0;
    }
    return Optional.of(new double[] {area, along / area, aside / area, (double) beyond / TURNS});
  }
}
