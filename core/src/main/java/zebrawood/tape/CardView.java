package zebrawood.tape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import zebrawood.measure.Picture;

/**
 * A card seen from straight above: how much darker each place of it is than the bare card as lit
 * there, the print taken out.
 */
final class CardView {
  static final double STEP_MM = 0.05;
  static final double REACH_MM = 18.5;
  static final int SIDE = (int) Math.round(2 * REACH_MM / STEP_MM) + 1;

  private static final int ROUNDS = 8;
  private static final int TERMS = 10;
  private static final double CELL_MM = 1;

  /** Of what is lit: darker by more is burnt, printed or shaded, and says little of the paper. */
  private static final double PAPER_SPREAD = 0.025;

  private final double[] dark;
  private final boolean[] print;
  private final double noise;

  private final double blurMm;

  private CardView(double[] dark, boolean[] print, double noise, double blurMm) {
    this.dark = dark;
    this.print = print;
    this.noise = noise;
    this.blurMm = blurMm;
  }

  static CardView of(Picture picture, CardMap map, double[] stretch, double blurMm) {
    double[] light = new double[SIDE * SIDE];
    boolean[] print = new boolean[SIDE * SIDE];
    double margin = 0.1 + 1.4 * blurMm;
    IntStream.range(0, SIDE)
        .parallel()
        .forEach(row -> {
          double y = REACH_MM - row * STEP_MM;
          for (int column = 0; column < SIDE; column++) {
            double x = column * STEP_MM - REACH_MM;
            double[] px = map.px(x, y);
            light[row * SIDE + column] = Light.at(picture, px[0], px[1]);
            print[row * SIDE + column] =
                TapeCard.fromPrintMm(x / stretch[0], y / stretch[1]) < margin;
          }
        });
    double[] paper = paper(light, print);
    double[] dark = new double[light.length];
    for (int i = 0; i < dark.length; i++) {
      dark[i] = 1 - light[i] / Math.max(1e-6, paper[i]);
    }
    fill(dark, print);
    return new CardView(dark, print, noise(dark, print), blurMm);
  }

  double blurMm() {
    return blurMm;
  }

  double at(int column, int row) {
    return dark[row * SIDE + column];
  }

  boolean printed(int column, int row) {
    return print[row * SIDE + column];
  }

  double noise() {
    return noise;
  }

  /**
   * A smooth surface through the bare card: cells' bright parts, in which what is darker gives way.
   */
  private static double[] paper(double[] light, boolean[] print) {
    int cells = (int) (2 * REACH_MM / CELL_MM);
    int of = SIDE / cells;
    List<double[]> seen = new ArrayList<>();
    for (int v = 0; v < cells; v++) {
      for (int u = 0; u < cells; u++) {
        double[] some = new double[of * of];
        int n = 0;
        for (int y = 0; y < of; y++) {
          for (int x = 0; x < of; x++) {
            int i = (v * of + y) * SIDE + u * of + x;
            if (!print[i]) {
              some[n++] = light[i];
            }
          }
        }
        if (n > of * of / 3) {
          Arrays.sort(some, 0, n);
          seen.add(
              new double[] {
                (u + 0.5) * of * STEP_MM - REACH_MM,
                REACH_MM - (v + 0.5) * of * STEP_MM,
                Math.log(Math.max(1e-5, some[n / 2]))
              });
        }
      }
    }
    double[] weights = new double[seen.size()];
    Arrays.fill(weights, 1);
    double[] s = new double[TERMS];
    for (int round = 0; round < ROUNDS; round++) {
      var a = new Array2DRowRealMatrix(seen.size(), TERMS);
      double[] b = new double[seen.size()];
      for (int i = 0; i < b.length; i++) {
        double[] terms = terms(seen.get(i)[0], seen.get(i)[1]);
        double root = Math.sqrt(weights[i]);
        for (int k = 0; k < TERMS; k++) {
          terms[k] *= root;
        }
        a.setRow(i, terms);
        b[i] = root * seen.get(i)[2];
      }
      s = new QRDecomposition(a, 1e-12).getSolver().solve(new ArrayRealVector(b)).toArray();
      for (int i = 0; i < b.length; i++) {
        double off = seen.get(i)[2] - value(s, seen.get(i)[0], seen.get(i)[1]);
        double t = off / (off < 0 ? PAPER_SPREAD : 2 * PAPER_SPREAD);
        weights[i] = 1 / (1 + t * t * t * t);
      }
    }
    double[] paper = new double[light.length];
    for (int row = 0; row < SIDE; row++) {
      for (int column = 0; column < SIDE; column++) {
        paper[row * SIDE + column] =
            Math.exp(value(s, column * STEP_MM - REACH_MM, REACH_MM - row * STEP_MM));
      }
    }
    return paper;
  }

  private static double[] terms(double x, double y) {
    double u = x / REACH_MM;
    double v = y / REACH_MM;
    return new double[] {1, u, v, u * u, u * v, v * v, u * u * u, u * u * v, u * v * v, v * v * v};
  }

  private static double value(double[] s, double x, double y) {
    double[] terms = terms(x, y);
    double sum = 0;
    for (int k = 0; k < TERMS; k++) {
      sum += s[k] * terms[k];
    }
    return sum;
  }

  /**
   * Where print is, what lies about it counts: from four sides and between, the nearer the more.
   */
  private static void fill(double[] dark, boolean[] print) {
    int[][] ways = {{1, 0}, {-1, 0}, {0, 1}, {0, -1}, {1, 1}, {-1, -1}, {1, -1}, {-1, 1}};
    double[] filled = dark.clone();
    for (int row = 0; row < SIDE; row++) {
      for (int column = 0; column < SIDE; column++) {
        if (!print[row * SIDE + column]) {
          continue;
        }
        double sum = 0;
        double weights = 0;
        for (int[] way : ways) {
          for (int far = 1; far < 60; far++) {
            int x = column + far * way[0];
            int y = row + far * way[1];
            if (x < 0 || y < 0 || x >= SIDE || y >= SIDE) {
              break;
            }
            if (!print[y * SIDE + x]) {
              double w = 1.0 / (far * far);
              sum += w * dark[y * SIDE + x];
              weights += w;
              break;
            }
          }
        }
        filled[row * SIDE + column] = weights > 0 ? sum / weights : 0;
      }
    }
    System.arraycopy(filled, 0, dark, 0, dark.length);
  }

  /** Of the bare card, robustly. */
  private static double noise(double[] dark, boolean[] print) {
    double[] some = new double[dark.length / 7 + 1];
    int n = 0;
    for (int i = 0; i < dark.length; i += 7) {
      if (!print[i]) {
        some[n++] = dark[i];
      }
    }
    Arrays.sort(some, 0, n);
    return n < 10 ? 0.05 : Math.max(0.002, some[n / 2] - some[(int) (0.16 * n)]);
  }
}
