package zebrawood.field;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.hipparchus.exception.MathIllegalArgumentException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import zebrawood.field.FieldReadings.Point;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * Where a mark comes to lie for where it is commanded: a polynomial of both coordinates, in
 * products of Chebyshev polynomials over the field, for each coordinate of the place.
 *
 * <p>The degree is the one whose fit predicts each mark best from all the others: the root mean
 * square of the residuals over one less their leverage (D. M. Allen, Technometrics 16, 125, 1974).
 * A higher degree is taken only where it predicts clearly better.
 */
final class FieldMap {
  private static final int HIGHEST_DEGREE = 9;

  /** Less is chance. */
  private static final double CLEARLY_BETTER = 0.98;

  /** What depends on the others is not determined. */
  private static final double SMALLEST_PIVOT = 1e-10;

  /** A fit through a mark does not predict it. */
  private static final double MOST_LEVERAGE = 0.999;

  private static final int MOST_STEPS = 60;

  /** In half fields: no command reaches further. */
  private static final double FURTHEST = 4;

  private final double half;
  private final Axis x;
  private final Axis y;
  private final double noise;
  private final double heldBackRms;
  private final double heldBackMost;

  /** One degree's terms at every mark, with what they cost. */
  private record Design(List<int[]> terms, double[][] rows, double[][] inverse, double[] leverage) {
    static Optional<Design> of(List<Point> points, double half, int degree) {
      List<int[]> terms = termsTo(degree);
      int n = points.size();
      int p = terms.size();
      if (p >= n) {
        return Optional.empty();
      }
      double[][] rows = new double[n][];
      for (int i = 0; i < n; i++) {
        rows[i] = values(terms, points.get(i).xMm() / half, points.get(i).yMm() / half);
      }
      RealMatrix normal = new Array2DRowRealMatrix(p, p);
      for (int a = 0; a < p; a++) {
        for (int b = 0; b <= a; b++) {
          double sum = 0;
          for (double[] row : rows) {
            sum += row[a] * row[b];
          }
          normal.setEntry(a, b, sum);
          normal.setEntry(b, a, sum);
        }
      }
      double[][] inverse;
      try {
        inverse =
            new CholeskyDecomposition(normal, SMALLEST_PIVOT * n, SMALLEST_PIVOT * n)
                .getSolver()
                .getInverse()
                .getData();
      } catch (MathIllegalArgumentException notDetermined) {
        return Optional.empty();
      }
      double[] leverage = new double[n];
      for (int i = 0; i < n; i++) {
        leverage[i] = form(inverse, rows[i]);
        if (!(leverage[i] <= MOST_LEVERAGE)) {
          return Optional.empty();
        }
      }
      return Optional.of(new Design(terms, rows, inverse, leverage));
    }
  }

  /** One coordinate of the place. */
  private record Axis(
      Design design, double[] coefficients, double[] heldBack, double squares, double rms) {
    static Axis of(Design design, double[] measured) {
      int p = design.terms.size();
      int n = measured.length;
      double[] sums = new double[p];
      for (int i = 0; i < n; i++) {
        for (int k = 0; k < p; k++) {
          sums[k] += design.rows[i][k] * measured[i];
        }
      }
      double[] coefficients = new double[p];
      for (int k = 0; k < p; k++) {
        coefficients[k] = dot(design.inverse[k], sums);
      }
      double[] heldBack = new double[n];
      double squares = 0;
      double missed = 0;
      for (int i = 0; i < n; i++) {
        double off = measured[i] - dot(design.rows[i], coefficients);
        squares += off * off;
        heldBack[i] = off / (1 - design.leverage[i]);
        missed += heldBack[i] * heldBack[i];
      }
      return new Axis(design, coefficients, heldBack, squares, Math.sqrt(missed / n));
    }

    double at(double u, double v) {
      return dot(values(design.terms, u, v), coefficients);
    }

    /** What an error of one makes there, squared. */
    double variance(double u, double v) {
      return form(design.inverse, values(design.terms, u, v));
    }

    int freedom() {
      return heldBack.length - coefficients.length;
    }
  }

  private FieldMap(double half, Axis x, Axis y, double least) {
    this.half = half;
    this.x = x;
    this.y = y;
    double scatter = Math.sqrt((x.squares + y.squares) / (x.freedom() + y.freedom()));
    noise = Math.max(least, scatter);
    heldBackRms = Math.hypot(x.rms, y.rms);
    double most = 0;
    for (int i = 0; i < x.heldBack.length; i++) {
      most = Math.max(most, Math.hypot(x.heldBack[i], y.heldBack[i]));
    }
    heldBackMost = most;
  }

  /**
   * @param least standard deviation of a coordinate by the instrument; 0 where only their scatter
   *     tells
   */
  static FieldMap of(List<Point> points, double fieldMm, double least) {
    double half = fieldMm / 2;
    List<Design> designs = new ArrayList<>();
    for (int degree = 1; degree <= HIGHEST_DEGREE; degree++) {
      Optional<Design> design = Design.of(points, half, degree);
      if (design.isEmpty()) {
        break;
      }
      designs.add(design.get());
    }
    if (designs.isEmpty()) {
      throw UnusableReading.of(
          "points", Message.of("field.found.alone"), Message.of("field.accepts.spread"));
    }
    return new FieldMap(
        half,
        best(designs, points, Point::measuredXMm),
        best(designs, points, Point::measuredYMm),
        least);
  }

  private static Axis best(
      List<Design> designs, List<Point> points, ToDoubleFunction<Point> coordinate) {
    double[] measured = points.stream().mapToDouble(coordinate).toArray();
    Axis best = Axis.of(designs.getFirst(), measured);
    for (Design design : designs.subList(1, designs.size())) {
      Axis next = Axis.of(design, measured);
      if (next.rms < CLEARLY_BETTER * best.rms) {
        best = next;
      }
    }
    return best;
  }

  private static List<int[]> termsTo(int degree) {
    List<int[]> terms = new ArrayList<>();
    for (int total = 0; total <= degree; total++) {
      for (int ofY = 0; ofY <= total; ofY++) {
        terms.add(new int[] {total - ofY, ofY});
      }
    }
    return terms;
  }

  private static double form(double[][] matrix, double[] vector) {
    double sum = 0;
    for (int i = 0; i < vector.length; i++) {
      sum += vector[i] * dot(matrix[i], vector);
    }
    return sum;
  }

  private static double dot(double[] a, double[] b) {
    double sum = 0;
    for (int i = 0; i < a.length; i++) {
      sum += a[i] * b[i];
    }
    return sum;
  }

  private static double[] chebyshev(double t) {
    double[] values = new double[HIGHEST_DEGREE + 1];
    values[0] = 1;
    values[1] = t;
    for (int k = 2; k <= HIGHEST_DEGREE; k++) {
      values[k] = 2 * t * values[k - 1] - values[k - 2];
    }
    return values;
  }

  private static double[] values(List<int[]> terms, double u, double v) {
    double[] ofU = chebyshev(u);
    double[] ofV = chebyshev(v);
    double[] values = new double[terms.size()];
    for (int i = 0; i < values.length; i++) {
      values[i] = ofU[terms.get(i)[0]] * ofV[terms.get(i)[1]];
    }
    return values;
  }

  /** Root mean square of how far each mark lies off what all others predict. */
  double heldBackRmsMm() {
    return heldBackRms;
  }

  double heldBackMostMm() {
    return heldBackMost;
  }

  /** Standard deviation of one coordinate of a mark. */
  double noiseMm() {
    return noise;
  }

  /** Where it comes to lie. */
  double[] at(double commandX, double commandY) {
    double u = commandX / half;
    double v = commandY / half;
    return new double[] {x.at(u, v), y.at(u, v)};
  }

  /** Standard deviation of that place, both coordinates together. */
  double uncertaintyMm(double commandX, double commandY) {
    double u = commandX / half;
    double v = commandY / half;
    double ofX = x.variance(u, v);
    double ofY = x.design == y.design ? ofX : y.variance(u, v);
    return noise * Math.sqrt(ofX + ofY);
  }

  /**
   * What is to be commanded so that it comes to lie there, found by stepping back what is missed.
   */
  double[] commandFor(double xMm, double yMm, double[] from) {
    double cx = from[0];
    double cy = from[1];
    double step = half * 1e-5;
    for (int i = 0; i < MOST_STEPS; i++) {
      double[] here = at(cx, cy);
      double missX = xMm - here[0];
      double missY = yMm - here[1];
      if (Math.hypot(missX, missY) < 1e-10 * half) {
        break;
      }
      double[] right = at(cx + step, cy);
      double[] up = at(cx, cy + step);
      double a = (right[0] - here[0]) / step;
      double b = (up[0] - here[0]) / step;
      double c = (right[1] - here[1]) / step;
      double d = (up[1] - here[1]) / step;
      double det = a * d - b * c;
      cx += (d * missX - b * missY) / det;
      cy += (a * missY - c * missX) / det;
    }
    boolean found = Math.hypot(cx, cy) <= FURTHEST * half;
    return found ? new double[] {cx, cy} : from.clone();
  }
}
