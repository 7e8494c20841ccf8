package zebrawood.field;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import org.hipparchus.distribution.continuous.FDistribution;
import zebrawood.field.FieldReadings.Point;

/**
 * Where a mark comes to lie for where it is commanded: a polynomial of both coordinates, in
 * products of Chebyshev polynomials over the field, for each coordinate of the place.
 *
 * <p>The form is the one whose fit predicts each mark best from all the others: the root mean
 * square of the residuals over one less their leverage (D. M. Allen, Technometrics 16, 125, 1974).
 * One with more terms is taken only where it predicts clearly better. Beside all terms up to a
 * degree there are the few that a head of two mirrors makes, which nine marks bear: trapezoid and
 * bow, the pincushion of the mirrors' distance, uneven growth, and the lens's own cube.
 *
 * <p>Outside of the marks nothing tells how the field goes on: what the forms differ there that
 * predict the marks about as well, and the next larger ones, counts as uncertainty.
 */
final class FieldMap {
  /** In variances: two forms differ by less than this by chance alone. */
  private static final double BY_SCATTER = 4;

  private static final int FEW_LINES = 3;

  /** Of a bend that three marks tell: what heads add to it between them. */
  private static final double OF_BENT = 0.05;

  /** In half fields: nearer to the outermost marks their hull is not left. */
  private static final double AT_THE_HULL = 0.02;

  /** In larger grids no form follows one mark. */
  private static final int MOST_TRIED = 700;

  /** A grid without a misread mark shows one so seldom. */
  private static final double BY_CHANCE = 0.001;

  private static final int MOST_STEPS = 60;

  /** In half fields: no command reaches further. */
  private static final double FURTHEST = 4;

  /** In half fields. */
  private static final double[] CORNERS = {-1, 1};

  private final double half;
  private final MapForms.Axis x;
  private final MapForms.Axis y;
  private final MapForms formsX;
  private final MapForms formsY;
  private final double[] hull;

  /** Three marks across the field: they tell a bend, not how it goes on between them. */
  private final boolean fewLines;

  private final double noise;
  private final double heldBackRms;
  private final double heldBackMost;

  private FieldMap(
      List<Point> points, double half, MapForms formsX, MapForms formsY, double least) {
    this.half = half;
    x = formsX.best();
    y = formsY.best();
    this.formsX = formsX;
    this.formsY = formsY;
    hull = hull(points, half);
    fewLines = lines(points, Point::xMm) <= FEW_LINES || lines(points, Point::yMm) <= FEW_LINES;
    double scatter = Math.sqrt((x.squares() + y.squares()) / (x.freedom() + y.freedom()));
    noise = Math.max(least, scatter);
    heldBackRms = Math.hypot(x.rms(), y.rms());
    double most = 0;
    for (int i = 0; i < x.heldBack().length; i++) {
      most = Math.max(most, Math.hypot(x.heldBack()[i], y.heldBack()[i]));
    }
    heldBackMost = most;
  }

  /**
   * @param least standard deviation of a coordinate by the instrument; 0 where only their scatter
   *     tells
   */
  static FieldMap of(List<Point> points, double fieldMm, double least) {
    double half = fieldMm / 2;
    MapForms.Both forms = MapForms.of(points, half);
    return new FieldMap(points, half, forms.x(), forms.y(), least);
  }

  private static long lines(List<Point> points, ToDoubleFunction<Point> of) {
    return points.stream().mapToDouble(of).map(d -> Math.round(d * 1e6)).distinct().count();
  }

  /** The rectangle of the outermost marks, in half fields: left, right, lower, upper. */
  private static double[] hull(List<Point> points, double half) {
    var x = points.stream().mapToDouble(Point::xMm).summaryStatistics();
    var y = points.stream().mapToDouble(Point::yMm).summaryStatistics();
    return new double[] {
      x.getMin() / half, x.getMax() / half, y.getMin() / half, y.getMax() / half
    };
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

  /**
   * Standard deviation of that place, both coordinates together; outside of the marks with what the
   * forms differ.
   */
  double uncertaintyMm(double commandX, double commandY) {
    double u = commandX / half;
    double v = commandY / half;
    double ofX = x.variance(u, v);
    double ofY = x.design() == y.design() ? ofX : y.variance(u, v);
    double read = noise * Math.sqrt(ofX + ofY);
    boolean outside =
        u < hull[0] - AT_THE_HULL
            || u > hull[1] + AT_THE_HULL
            || v < hull[2] - AT_THE_HULL
            || v > hull[3] + AT_THE_HULL;
    double forms = Math.hypot(differ(formsX, outside, u, v), differ(formsY, outside, u, v));
    return Math.hypot(Math.hypot(read, forms), fewLines ? betweenThree(u, v) : 0);
  }

  /**
   * Three marks across are as well on a line as on its cube: what a lens's cube along the other
   * coordinate is, it may be along this one too.
   */
  private double betweenThree(double u, double v) {
    double bent = OF_BENT * Math.hypot(x.bentAt(u, v), y.bentAt(u, v));
    double cube = Math.max(Math.abs(x.cube(1, 2)), Math.abs(y.cube(2, 1)));
    return Math.hypot(bent, cube * Math.hypot(u * u * u - u, v * v * v - v));
  }

  /**
   * What a coordinate's forms differ there; between the marks less what the readings' scatter makes
   * of a larger form's more terms.
   */
  private double differ(MapForms forms, boolean outside, double u, double v) {
    double here = forms.best().at(u, v);
    double own = forms.best().variance(u, v);
    double most = 0;
    for (MapForms.Axis other : outside ? forms.anyOfThese() : forms.asWell()) {
      double apart = other.at(u, v) - here;
      double scatter =
          (outside ? 1 : BY_SCATTER) * noise * noise * Math.abs(other.variance(u, v) - own);
      most = Math.max(most, apart * apart - scatter);
    }
    return Math.sqrt(most);
  }

  /**
   * The mark that was misread, if there is one: the map of all others misses it, by the scatter of
   * the others (externally studentised, both coordinates together: R. D. Cook and S. Weisberg,
   * Residuals and Influence in Regression, chapter 2), by more than chance makes of so many marks
   * once in a thousand grids. Tried are the marks that stand out most of the forms, since a form
   * with many terms follows a mark that another one shows.
   *
   * @param least standard deviation of a coordinate by the instrument
   */
  OptionalInt misread(List<Point> points, double least) {
    int n = points.size();
    Set<Integer> standOut = new LinkedHashSet<>();
    standOut.add(farthest(x, y));
    if (n <= MOST_TRIED) {
      for (MapForms.Axis form : formsX.near()) {
        standOut.add(farthest(form, y));
      }
      for (MapForms.Axis form : formsY.near()) {
        standOut.add(farthest(x, form));
      }
    }
    double likely = BY_CHANCE / n;
    OptionalInt found = OptionalInt.empty();
    for (int i : standOut) {
      List<Point> others = new ArrayList<>(points);
      Point mark = others.remove(i);
      double chance = of(others, 2 * half, least).chanceOf(mark);
      if (chance < likely) {
        likely = chance;
        found = OptionalInt.of(i);
      }
    }
    return found;
  }

  /** How likely a mark lies so far off this map of others, or farther, by chance. */
  private double chanceOf(Point mark) {
    int freedom = x.freedom() + y.freedom();
    double u = mark.xMm() / half;
    double v = mark.yMm() / half;
    double dx = mark.measuredXMm() - x.at(u, v);
    double dy = mark.measuredYMm() - y.at(u, v);
    double f =
        (dx * dx / (1 + x.variance(u, v)) + dy * dy / (1 + y.variance(u, v))) / 2 / noise / noise;
    return freedom < 2 || !(f > 0) || Double.isInfinite(f)
        ? 1
        : 1 - new FDistribution(2, freedom).cumulativeProbability(f);
  }

  /** The mark that lies farthest off what the others predict, by its own leverage. */
  private static int farthest(MapForms.Axis x, MapForms.Axis y) {
    int worst = 0;
    double most = -1;
    for (int i = 0; i < x.heldBack().length; i++) {
      double off =
          x.heldBack()[i] * x.heldBack()[i] * (1 - x.design().leverage()[i])
              + y.heldBack()[i] * y.heldBack()[i] * (1 - y.design().leverage()[i]);
      if (off > most) {
        most = off;
        worst = i;
      }
    }
    return worst;
  }

  /**
   * The mark that alone moves the map most, where it moves it by more than so much at the field's
   * corners or at itself: had it been misread, nobody would know.
   */
  OptionalInt decidesAlone(List<Point> points, double mm) {
    double most = mm;
    OptionalInt found = OptionalInt.empty();
    for (int i = 0; i < points.size(); i++) {
      double[] ofX = x.because(i);
      double[] ofY = y.because(i);
      double moved = moved(ofX, ofY, points.get(i).xMm() / half, points.get(i).yMm() / half);
      for (double u : CORNERS) {
        for (double v : CORNERS) {
          moved = Math.max(moved, moved(ofX, ofY, u, v));
        }
      }
      if (moved > most) {
        most = moved;
        found = OptionalInt.of(i);
      }
    }
    return found;
  }

  private double moved(double[] ofX, double[] ofY, double u, double v) {
    return Math.hypot(x.moved(ofX, u, v), y.moved(ofY, u, v));
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
