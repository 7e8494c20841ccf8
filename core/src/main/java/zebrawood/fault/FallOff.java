package zebrawood.fault;

import java.util.ArrayList;
import java.util.List;

/**
 * How scores fall along one coordinate, from -1 to 1 over the places' extent: in a straight line,
 * as a parabola, as a roof with a straight fall on both sides, or as one over one and a square, as
 * the fluence of a beam does out of focus (Siegman, Lasers, 1986, section 17.1). Where the ridge
 * lies is tried place by place, the rest by linear least squares.
 */
final class FallOff {
  private static final int RIDGES = 41;

  /** Ridges are looked for from -2 to 2. */
  private static final double FARTHEST = 2;

  private static final double[] DEPTHS = {0.3, 0.5, 0.8, 1.3};
  private static final double MIDDLE_HALF = 0.5;

  private final double[] u;
  private final double[] scores;

  /**
   * One way of falling.
   *
   * @param ridge where it falls from; beyond -1 or 1 where it falls from one end to the other
   * @param numbers that it takes
   */
  record Form(double ridge, double squares, int numbers) {
    boolean fromTheMiddle() {
      return inMiddleHalf(ridge);
    }

    /** Whether it falls from the beginning to the end. */
    boolean towardsTheEnd() {
      return ridge < -MIDDLE_HALF;
    }

    double chiSquare(double error) {
      return squares / (error * error);
    }
  }

  /**
   * @param u of each place
   * @param scores of each place
   */
  FallOff(double[] u, double[] scores) {
    this.u = u;
    this.scores = scores;
  }

  static boolean inMiddleHalf(double ridge) {
    return Math.abs(ridge) <= MIDDLE_HALF;
  }

  static double[] squared(double[] u, double ridge) {
    double[] squared = new double[u.length];
    for (int i = 0; i < u.length; i++) {
      squared[i] = (u[i] - ridge) * (u[i] - ridge);
    }
    return squared;
  }

  List<Form> forms() {
    List<Form> forms = new ArrayList<>();
    SmallFit line = SmallFit.of(scores, u);
    forms.add(new Form(line.coefficient(1) < 0 ? -FARTHEST : FARTHEST, line.squares(), 2));
    parabola(forms);
    for (int k = 0; k < RIDGES; k++) {
      double ridge = FARTHEST * (2.0 * k / (RIDGES - 1) - 1);
      roof(forms, ridge);
      for (double depth : DEPTHS) {
        fluence(forms, ridge, depth);
      }
    }
    return forms;
  }

  private void parabola(List<Form> forms) {
    // The square made independent of the line, so that sums are enough.
    double[] square = SmallFit.of(squared(u, 0), u).residuals();
    SmallFit line = SmallFit.of(scores, u);
    SmallFit bent = SmallFit.of(line.residuals(), square);
    double a = bent.coefficient(1);
    if (a == 0) {
      return;
    }
    double b = line.coefficient(1) - a * SmallFit.of(squared(u, 0), u).coefficient(1);
    double vertex = -b / (2 * a);
    if (a < 0) {
      forms.add(new Form(vertex, bent.squares(), 3));
    } else if (Math.abs(vertex) >= 1) {
      // It flattens out: it falls towards where it is lowest.
      forms.add(new Form(-vertex, bent.squares(), 3));
    }
  }

  private void roof(List<Form> forms, double ridge) {
    if (Math.abs(ridge) < 1) {
      double[] falling = new double[u.length];
      for (int i = 0; i < u.length; i++) {
        falling[i] = Math.abs(u[i] - ridge);
      }
      add(forms, ridge, falling);
    }
  }

  private void fluence(List<Form> forms, double ridge, double depth) {
    double[] falling = new double[u.length];
    for (int i = 0; i < u.length; i++) {
      double off = (u[i] - ridge) / depth;
      falling[i] = -1 / (1 + off * off);
    }
    add(forms, ridge, falling);
  }

  private void add(List<Form> forms, double ridge, double[] falling) {
    SmallFit fit = SmallFit.of(scores, falling);
    if (fit.coefficient(1) < 0) {
      forms.add(new Form(ridge, fit.squares(), 3));
    }
  }
}
