package zebrawood.field;

import java.util.ArrayList;
import java.util.Comparator;
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
 * The forms that one coordinate of a {@link FieldMap} may have, fitted.
 *
 * @param best predicts the marks best
 * @param near predict the marks nearly as well: where a form with many terms follows a misread
 *     mark, one of them shows it
 * @param asWell predict them as well, so that any may be the true one
 * @param anyOfThese may be the true one where no mark lies: the next larger ones
 */
record MapForms(Axis best, List<Axis> near, List<Axis> asWell, List<Axis> anyOfThese) {
  private static final int HIGHEST_DEGREE = 9;

  /** Terms that a head adds to a coordinate, one group after the other; along it, across it. */
  private static final int[][][] OF_HEADS = {{{1, 1}, {0, 2}}, {{1, 2}}, {{2, 0}}, {{3, 0}}};

  private static final double NEARLY_AS_WELL = 1.3;

  /** So many forms with more terms than the best may be it as well, where no mark tells. */
  private static final int LARGER = 2;

  /** Less is chance. */
  private static final double CLEARLY_BETTER = 0.98;

  /** What depends on the others is not determined. */
  private static final double SMALLEST_PIVOT = 1e-10;

  /** A fit through a mark does not predict it. */
  private static final double MOST_LEVERAGE = 0.999;

  /** One degree's terms at every mark, with what they cost. */
  record Design(List<int[]> terms, double[][] rows, double[][] inverse, double[] leverage) {
    static Optional<Design> of(List<Point> points, double half, List<int[]> terms) {
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
  record Axis(Design design, double[] coefficients, double[] heldBack, double squares, double rms) {
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

    /** How far it is from an even map there. */
    double bentAt(double u, double v) {
      double sum = 0;
      double[] values = values(design.terms, u, v);
      for (int i = 0; i < values.length; i++) {
        int[] term = design.terms.get(i);
        sum += term[0] + term[1] > 1 ? values[i] * coefficients[i] : 0;
      }
      return sum;
    }

    /** The factor of u v², by 1 and 2, or of u² v, by 2 and 1; 0 where the form has none. */
    double cube(int ofU, int ofV) {
      for (int i = 0; i < coefficients.length; i++) {
        int[] term = design.terms.get(i);
        if (term[0] == ofU && term[1] == ofV) {
          // The square is half of Chebyshev's second polynomial and one more.
          return 2 * coefficients[i];
        }
      }
      return 0;
    }

    /** What an error of one makes there, squared. */
    double variance(double u, double v) {
      return form(design.inverse, values(design.terms, u, v));
    }

    /**
     * What one mark makes of the coefficients: these less those without it (R. D. Cook,
     * Technometrics 19, 15, 1977).
     */
    double[] because(int mark) {
      double[] change = new double[coefficients.length];
      for (int k = 0; k < change.length; k++) {
        change[k] = heldBack[mark] * dot(design.inverse[k], design.rows[mark]);
      }
      return change;
    }

    /** How much such a change of the coefficients moves it there. */
    double moved(double[] change, double u, double v) {
      return dot(values(design.terms, u, v), change);
    }

    int freedom() {
      return heldBack.length - coefficients.length;
    }
  }

  /** Of both coordinates, which have the forms of whole degrees in common. */
  record Both(MapForms x, MapForms y) {}

  static Both of(List<Point> points, double half) {
    List<Design> whole = new ArrayList<>();
    for (int degree = 1; degree <= HIGHEST_DEGREE; degree++) {
      Optional<Design> design = Design.of(points, half, termsTo(degree));
      if (design.isEmpty()) {
        break;
      }
      whole.add(design.get());
    }
    if (whole.isEmpty()) {
      throw UnusableReading.of(
          "points", Message.of("field.found.alone"), Message.of("field.accepts.spread"));
    }
    return new Both(
        forms(designs(points, half, whole, true), points, Point::measuredXMm),
        forms(designs(points, half, whole, false), points, Point::measuredYMm));
  }

  /** All that the marks determine, from few terms to many. */
  private static List<Design> designs(
      List<Point> points, double half, List<Design> whole, boolean ofX) {
    List<Design> all = new ArrayList<>(whole);
    List<int[]> terms = new ArrayList<>(termsTo(1));
    for (int[][] group : OF_HEADS) {
      for (int[] term : group) {
        terms.add(ofX ? term : new int[] {term[1], term[0]});
      }
      Design.of(points, half, List.copyOf(terms)).ifPresent(all::add);
    }
    all.sort(Comparator.comparingInt(d -> d.terms.size()));
    return all;
  }

  private static MapForms forms(
      List<Design> designs, List<Point> points, ToDoubleFunction<Point> coordinate) {
    double[] measured = points.stream().mapToDouble(coordinate).toArray();
    List<Axis> all = designs.stream().map(d -> Axis.of(d, measured)).toList();
    int best = 0;
    for (int i = 1; i < all.size(); i++) {
      if (all.get(i).rms < CLEARLY_BETTER * all.get(best).rms) {
        best = i;
      }
    }
    // A root mean square of n residuals is known to some 1 / sqrt(n) of itself.
    double asWellRms = all.get(best).rms * (1 + 1 / Math.sqrt(points.size()));
    double nearRms = NEARLY_AS_WELL * all.get(best).rms;
    List<Axis> near = new ArrayList<>();
    List<Axis> well = new ArrayList<>();
    List<Axis> others = new ArrayList<>();
    int larger = 0;
    for (int i = 0; i < all.size(); i++) {
      if (i != best && all.get(i).rms <= nearRms) {
        near.add(all.get(i));
      }
      if (i != best && all.get(i).rms <= asWellRms) {
        well.add(all.get(i));
      }
      if (i > best && larger < LARGER) {
        others.add(all.get(i));
        larger++;
      }
    }
    return new MapForms(all.get(best), near, well, others);
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
}
