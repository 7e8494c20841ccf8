package zebrawood.tape;

import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;
import zebrawood.measure.Projective;

/**
 * From places of a card in mm to pixels: a projective map of the flat card, and before it what a
 * bowed card or a bent lens shifts.
 */
final class CardMap implements TapeSeen.Card {
  /** Bowed across, bowed up, and about a diagonal. */
  private static final int SHAPES = 3;

  /** Focal length over the picture's longer side: of 24 to 28 mm on 36 mm of film. */
  private static final double FOCAL_SHARE = 0.75;

  private final Projective flat;
  private final double[] bow;

  private CardMap(Projective flat, double[] bow) {
    this.flat = flat;
    this.bow = bow;
  }

  /** Through four or more places, flat. */
  static CardMap flat(double[][] mm, double[][] px) {
    return new CardMap(Projective.through(mm, px), new double[2 * SHAPES]);
  }

  /**
   * Through what was found: flat first, then what is left, as a bow in either direction.
   *
   * @param weak the deviation that a bow is expected to have, over that of a place
   */
  static CardMap bowed(double[][] mm, double[][] px, double weak) {
    CardMap flat = flat(mm, px);
    int n = mm.length;
    double[] bow = new double[2 * SHAPES];
    for (int round = 0; round < 3; round++) {
      CardMap now = new CardMap(flat.flat, bow);
      // What is left, in mm, told by the map's own slope.
      double[] left = new double[2 * n];
      double[][] moved = new double[n][];
      for (int i = 0; i < n; i++) {
        double[] back = now.leftMm(mm[i], px[i]);
        left[2 * i] = back[0];
        left[2 * i + 1] = back[1];
      }
      for (int axis = 0; axis < 2; axis++) {
        RealMatrix a = new Array2DRowRealMatrix(n + SHAPES, SHAPES);
        double[] b = new double[n + SHAPES];
        for (int i = 0; i < n; i++) {
          a.setRow(i, shapes(mm[i][0], mm[i][1]));
          b[i] = left[2 * i + axis];
        }
        for (int k = 0; k < SHAPES; k++) {
          a.setEntry(n + k, k, 1 / weak);
          b[n + k] = -bow[SHAPES * axis + k] / weak;
        }
        double[] more =
            new QRDecomposition(a, 1e-12).getSolver().solve(new ArrayRealVector(b)).toArray();
        for (int k = 0; k < SHAPES; k++) {
          bow[SHAPES * axis + k] += more[k];
        }
      }
      for (int i = 0; i < n; i++) {
        double[] d = shift(bow, mm[i][0], mm[i][1]);
        moved[i] = new double[] {mm[i][0] + d[0], mm[i][1] + d[1]};
      }
      flat = flat(moved, px);
    }
    return new CardMap(flat.flat, bow);
  }

  private static double[] shapes(double x, double y) {
    double u = x / TapeCard.CORNER_MM;
    double v = y / TapeCard.CORNER_MM;
    return new double[] {1 - u * u, 1 - v * v, u * v};
  }

  private static double[] shift(double[] bow, double x, double y) {
    double[] s = shapes(x, y);
    double[] shift = new double[2];
    for (int k = 0; k < SHAPES; k++) {
      shift[0] += bow[k] * s[k];
      shift[1] += bow[SHAPES + k] * s[k];
    }
    return shift;
  }

  private static final int STEPS = 8;

  @Override
  public double[] mm(double xPx, double yPx) {
    double[] at = {0, 0};
    for (int i = 0; i < STEPS; i++) {
      double[] off = leftMm(at, new double[] {xPx, yPx});
      at = new double[] {at[0] + off[0], at[1] + off[1]};
    }
    return at;
  }

  @Override
  public double[] px(double x, double y) {
    double[] d = shift(bow, x, y);
    return flat.at(x + d[0], y + d[1]);
  }

  /** How far, in mm on the card, a place in the picture lies from where this map has a mark. */
  double[] leftMm(double[] mm, double[] px) {
    double[] at = px(mm[0], mm[1]);
    double[] j = slope(mm[0], mm[1]);
    double det = j[0] * j[3] - j[1] * j[2];
    double ex = px[0] - at[0];
    double ey = px[1] - at[1];
    return new double[] {(j[3] * ex - j[1] * ey) / det, (j[0] * ey - j[2] * ex) / det};
  }

  /** Pixels a millimetre: of x by x and y, of y by x and y. */
  double[] slope(double x, double y) {
    double e = 0.01;
    double[] r = px(x + e, y);
    double[] l = px(x - e, y);
    double[] u = px(x, y + e);
    double[] d = px(x, y - e);
    return new double[] {
      (r[0] - l[0]) / (2 * e),
      (u[0] - d[0]) / (2 * e),
      (r[1] - l[1]) / (2 * e),
      (u[1] - d[1]) / (2 * e)
    };
  }

  double pxPerMm() {
    double[] j = slope(0, 0);
    return Math.sqrt(Math.abs(j[0] * j[3] - j[1] * j[2]));
  }

  /**
   * From the card's normal to the line of sight, by how much shorter one direction looks from
   * there.
   *
   * @param wide of the picture, whose middle the lens looks at; a camera in a phone sees it under
   *     about {@link #FOCAL_SHARE}
   * @param high of the picture
   */
  double tiltDeg(int wide, int high) {
    double[] at = px(0, 0);
    double[] j = slope(0, 0);
    double focal = FOCAL_SHARE * Math.max(wide, high);
    double u = (at[0] - wide / 2.0) / focal;
    double v = (at[1] - high / 2.0) / focal;
    double far = 1 + u * u + v * v;
    // How far the direction of sight turns, squared, as the place in the picture moves.
    double gxx = (far - u * u) / (far * far);
    double gyy = (far - v * v) / (far * far);
    double gxy = -u * v / (far * far);
    double xx = gxx * j[0] * j[0] + 2 * gxy * j[0] * j[2] + gyy * j[2] * j[2];
    double yy = gxx * j[1] * j[1] + 2 * gxy * j[1] * j[3] + gyy * j[3] * j[3];
    double xy = gxx * j[0] * j[1] + gxy * (j[0] * j[3] + j[1] * j[2]) + gyy * j[2] * j[3];
    double root = Math.hypot((xx - yy) / 2, xy);
    double ratio = Math.sqrt(((xx + yy) / 2 - root) / ((xx + yy) / 2 + root));
    return Math.toDegrees(Math.acos(Math.clamp(ratio, 0, 1)));
  }
}
