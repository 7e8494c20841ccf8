package zebrawood.cards;

import java.util.Arrays;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealVector;
import zebrawood.cards.CrossFinder.CardMap;
import zebrawood.measure.Picture;

/** What light a rectangle of the card shows, pixel by pixel. */
final class SquareLight {
  /** As many pixels tell a mean, and their places the lines' rhythm. */
  private static final int MOST_ALONG = 90;

  /** A rectangle of fewer pixels across is looked at in parts of pixels. */
  private static final int SMALL_PX = 36;

  private static final int PARTS = 4;
  private static final int BLOCKS = 4;

  /** Of the light: some steps of eight bits, which are no specks. */
  private static final double FEW_STEPS = 0.03;

  private final double[] light;
  private final double[] weight;
  private final double[] x;
  private final double[] y;
  private final int count;
  private final int limited;
  private final double left;
  private final double front;
  private final double width;
  private final double height;

  private SquareLight(
      double[] light,
      double[] weight,
      double[] x,
      double[] y,
      int count,
      int limited,
      double[] rectangle) {
    this.light = light;
    this.weight = weight;
    this.x = x;
    this.y = y;
    this.count = count;
    this.limited = limited;
    left = rectangle[0];
    front = rectangle[1];
    width = rectangle[2];
    height = rectangle[3];
  }

  /** Whole pixels whose middles lie in a rectangle: in mm, its left, front, width and height. */
  static SquareLight of(
      Picture picture, CardMap map, double left, double front, double width, double height) {
    return of(picture, map, new double[] {left, front, width, height}, false);
  }

  /** The same, those at its edges by how much of them lies in it. */
  static SquareLight exactly(
      Picture picture, CardMap map, double left, double front, double width, double height) {
    return of(picture, map, new double[] {left, front, width, height}, true);
  }

  private static SquareLight of(Picture picture, CardMap map, double[] rectangle, boolean exactly) {
    double left = rectangle[0];
    double front = rectangle[1];
    double width = rectangle[2];
    double height = rectangle[3];
    double[][] corners = {
      map.px(left, front),
      map.px(left + width, front),
      map.px(left + width, front + height),
      map.px(left, front + height)
    };
    int fromX = (int) Math.floor(Arrays.stream(corners).mapToDouble(c -> c[0]).min().orElse(0));
    int toX = (int) Math.ceil(Arrays.stream(corners).mapToDouble(c -> c[0]).max().orElse(0));
    int fromY = (int) Math.floor(Arrays.stream(corners).mapToDouble(c -> c[1]).min().orElse(0));
    int toY = (int) Math.ceil(Arrays.stream(corners).mapToDouble(c -> c[1]).max().orElse(0));
    fromX = Math.max(0, fromX);
    fromY = Math.max(0, fromY);
    toX = Math.min(picture.width(), toX);
    toY = Math.min(picture.height(), toY);
    double[] alongX = map.along(left + width / 2, front + height / 2, true);
    boolean linesAcross = Math.abs(alongX[0]) >= Math.abs(alongX[1]);
    int length = linesAcross ? toX - fromX : toY - fromY;
    // Fewer along the lines, where they are all alike; across them every pixel.
    int stride = Math.max(1, length / MOST_ALONG);
    int strideX = linesAcross ? stride : 1;
    int strideY = linesAcross ? 1 : stride;
    int parts = exactly && Math.min(toX - fromX, toY - fromY) < SMALL_PX ? PARTS : 1;
    int room = Math.max(0, (toX - fromX) / strideX + 1) * Math.max(0, (toY - fromY) / strideY + 1);
    double[] light = new double[room];
    double[] weight = new double[room];
    double[] xs = new double[room];
    double[] ys = new double[room];
    // A pixel whose middle lies so far inside of all edges lies inside whole.
    double whole = 1 / map.pxPerMm(left + width / 2, front + height / 2);
    int n = 0;
    int limited = 0;
    for (int py = fromY; py < toY; py += strideY) {
      for (int px = fromX; px < toX; px += strideX) {
        double[] mm = map.mm(px + 0.5, py + 0.5);
        double in =
            Math.min(
                Math.min(mm[0] - left, left + width - mm[0]),
                Math.min(mm[1] - front, front + height - mm[1]));
        double share =
            parts == 1
                ? (in >= 0 ? 1 : 0)
                : in > whole ? 1 : in < -whole ? 0 : share(map, px, py, rectangle);
        if (share > 0) {
          light[n] = picture.linear(px, py);
          weight[n] = share;
          limited += picture.atLimit(px, py) ? 1 : 0;
          xs[n] = mm[0];
          ys[n++] = mm[1];
        }
      }
    }
    return new SquareLight(light, weight, xs, ys, n, limited, rectangle);
  }

  /** How much of a pixel lies in a rectangle. */
  private static double share(CardMap map, int px, int py, double[] rectangle) {
    int in = 0;
    for (int part = 0; part < PARTS * PARTS; part++) {
      double[] mm = map.mm(px + (part % PARTS + 0.5) / PARTS, py + (part / PARTS + 0.5) / PARTS);
      boolean inside =
          mm[0] >= rectangle[0]
              && mm[0] <= rectangle[0] + rectangle[2]
              && mm[1] >= rectangle[1]
              && mm[1] <= rectangle[1] + rectangle[3];
      in += inside ? 1 : 0;
    }
    return in / (double) (PARTS * PARTS);
  }

  int count() {
    return count;
  }

  double limitedShare() {
    return count == 0 ? 0 : limited / (double) count;
  }

  double mean() {
    double sum = 0;
    double weights = 0;
    for (int i = 0; i < count; i++) {
      sum += weight[i] * light[i];
      weights += weight[i];
    }
    return sum / weights;
  }

  /** Of what is no speck: far lighter or darker than most. */
  double usualMean() {
    double[] sorted = Arrays.copyOf(light, count);
    Arrays.sort(sorted);
    double median = sorted[count / 2];
    double[] off = new double[count];
    for (int i = 0; i < count; i++) {
      off[i] = Math.abs(sorted[i] - median);
    }
    Arrays.sort(off);
    double most = 4 * 1.4826 * off[count / 2] + FEW_STEPS * median;
    double sum = 0;
    int n = 0;
    for (int i = 0; i < count; i++) {
      if (Math.abs(sorted[i] - median) <= most) {
        sum += sorted[i];
        n++;
      }
    }
    return sum / n;
  }

  /** Standard deviation of one pixel. */
  double spread() {
    double mean = mean();
    double sum = 0;
    for (int i = 0; i < count; i++) {
      sum += (light[i] - mean) * (light[i] - mean);
    }
    return Math.sqrt(sum / Math.max(1, count - 1));
  }

  /**
   * How far off the mean is as a mean, told by stripes of it both ways: grain that runs along one
   * way is alike in that way. An even slope of light is no error.
   */
  double meanError() {
    double one = stripes(x, left, width);
    double other = stripes(y, front, height);
    return Math.hypot(one, other);
  }

  private double stripes(double[] along, double from, double length) {
    double[] sum = new double[BLOCKS];
    double[] n = new double[BLOCKS];
    for (int i = 0; i < count; i++) {
      int block = Math.clamp((long) (BLOCKS * (along[i] - from) / length), 0, BLOCKS - 1);
      sum[block] += weight[i] * light[i];
      n[block] += weight[i];
    }
    // What is left of four beside a straight line: two degrees of freedom.
    double[] mean = new double[BLOCKS];
    for (int b = 0; b < BLOCKS; b++) {
      if (n[b] == 0) {
        return 0;
      }
      mean[b] = sum[b] / n[b];
    }
    double middle = Arrays.stream(mean).average().orElse(0);
    double slope = (3 * (mean[3] - mean[0]) + mean[2] - mean[1]) / 10;
    double squares = 0;
    for (int b = 0; b < BLOCKS; b++) {
      double off = mean[b] - middle - slope * (b - (BLOCKS - 1) / 2.0);
      squares += off * off;
    }
    return Math.sqrt(squares / 2 / BLOCKS);
  }

  /** Amplitude of a rhythm of this length across the lines, beside an even slope. */
  double rhythm(double intervalMm) {
    double[][] a = new double[4][4];
    double[] b = new double[4];
    double middle = front + height / 2;
    for (int i = 0; i < count; i++) {
      double t = y[i] - middle;
      double phase = 2 * Math.PI * t / intervalMm;
      double[] row = {1, t / height, Math.cos(phase), Math.sin(phase)};
      for (int j = 0; j < 4; j++) {
        b[j] += weight[i] * row[j] * light[i];
        for (int k = 0; k < 4; k++) {
          a[j][k] += weight[i] * row[j] * row[k];
        }
      }
    }
    RealVector found =
        new LUDecomposition(new Array2DRowRealMatrix(a, false))
            .getSolver()
            .solve(new ArrayRealVector(b, false));
    return Math.hypot(found.getEntry(2), found.getEntry(3));
  }
}
