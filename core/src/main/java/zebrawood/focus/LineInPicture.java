package zebrawood.focus;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.hipparchus.util.FastMath;
import zebrawood.measure.Picture;

/**
 * Where does a dark line run in a picture, near the one that was clicked?
 *
 * <p>The neighbourhood of the clicked line is cut into blocks along it; in each, how much darker a
 * narrow stripe is than what lies on both its sides is told for every offset to the side, against
 * the block's own unrest. A straight line over all blocks with a large sum is a line: a knot, a
 * break or char is only one block's vote; of lines beside each other the one nearest to the click
 * is meant. It is then drawn through the stripes' middles, the far ones counting little.
 *
 * <p>Not for a line that bends by more than its width: a lens that distorts is to be removed first.
 */
final class LineInPicture {
  /** Offsets are told apart to this length. */
  private static final double STEP_MM = 0.1;

  private static final double[] HALF_STRIPES_MM = {0.06, 0.12, 0.25, 0.5};

  /** Beyond the stripe, on both sides, the bare board is looked at over this length. */
  private static final double BESIDE_MM = 0.7;

  private static final int BLOCKS = 120;

  /** No block's vote counts for more than this many deviations. */
  private static final double LOUDEST = 6;

  /** A line that most blocks do not vote for is none. */
  private static final double LEAST_VOTE = 1.2;

  /** A line with this share of the plainest one's votes may be the one that was meant. */
  private static final double NEARLY = 0.7;

  /** Nearer together two lines are one. */
  private static final double LEAST_BESIDE_MM = 1.2;

  private static final int ROUNDS = 6;

  /** The line: from the foot of the clicked start, in the direction of the unit vector. */
  record Axis(double startX, double startY, double alongX, double alongY, double lengthPx) {
    double x(double along, double aside) {
      return startX + along * alongX - aside * alongY;
    }

    double y(double along, double aside) {
      return startY + along * alongY + aside * alongX;
    }
  }

  private final Picture picture;
  private final double pxPerMm;
  private final Axis clicked;
  private final double reachMm;
  private final int offsets;

  /**
   * @param reachMm how far to the side the line may be
   */
  private LineInPicture(Picture picture, double pxPerMm, Axis clicked, double reachMm) {
    this.picture = picture;
    this.pxPerMm = pxPerMm;
    this.clicked = clicked;
    this.reachMm = reachMm;
    offsets = 2 * (int) Math.round(reachMm / STEP_MM) + 1;
  }

  /**
   * The line that was meant.
   *
   * @param besideMm how far to the side another line lies that is nearly as plain; empty for none
   */
  record Found(Axis axis, OptionalDouble besideMm) {}

  static Optional<Found> find(Picture picture, double pxPerMm, Axis clicked, double reachMm) {
    return new LineInPicture(picture, pxPerMm, clicked, reachMm).find();
  }

  private double offsetMm(int index) {
    return (index - offsets / 2) * STEP_MM;
  }

  /**
   * Votes are cut, so that a line is no plainer for being darker: of all that are nearly as plain
   * as the plainest it is the one nearest to the click.
   */
  private Optional<Found> find() {
    double[][] votes =
        IntStream.range(0, BLOCKS).parallel().mapToObj(this::votes).toArray(double[][]::new);
    double[][] sums = new double[offsets][offsets];
    double most = Double.NEGATIVE_INFINITY;
    for (int start = 0; start < offsets; start++) {
      for (int end = 0; end < offsets; end++) {
        double sum = 0;
        for (int b = 0; b < BLOCKS; b++) {
          double at = start + (end - start) * (b + 0.5) / BLOCKS;
          sum += votes[b][(int) (at + 0.5)];
        }
        sums[start][end] = sum;
        most = Math.max(most, sum);
      }
    }
    if (most < LEAST_VOTE * BLOCKS) {
      return Optional.empty();
    }
    double plain = Math.max(NEARLY * most, LEAST_VOTE * BLOCKS);
    List<Place> lines = new ArrayList<>();
    for (int start = 0; start < offsets; start++) {
      for (int end = 0; end < offsets; end++) {
        if (sums[start][end] >= plain && tops(sums, start, end)) {
          lines.add(new Place(offsetMm(start), offsetMm(end)));
        }
      }
    }
    lines.sort(Comparator.comparingDouble(Place::offMm));
    Place meant = middle(lines.getFirst(), lines);
    OptionalDouble beside =
        lines.stream()
            .skip(1)
            .filter(l -> l.isBeside(meant))
            .mapToDouble(l -> Math.abs(l.middleMm() - meant.middleMm()))
            .min();
    return Optional.of(new Found(refined(votes, meant.startMm, meant.endMm), beside));
  }

  /** Of those that cannot be told from one another, which have the same votes. */
  private static Place middle(Place one, List<Place> lines) {
    List<Place> same =
        lines.stream()
            .filter(l ->
                Math.abs(l.startMm - one.startMm) <= LEAST_BESIDE_MM
                    && Math.abs(l.endMm - one.endMm) <= LEAST_BESIDE_MM)
            .toList();
    return new Place(
        same.stream().mapToDouble(Place::startMm).average().orElseThrow(),
        same.stream().mapToDouble(Place::endMm).average().orElseThrow());
  }

  /** Where a line passes the ends of the clicked one. */
  private record Place(double startMm, double endMm) {
    double middleMm() {
      return (startMm + endMm) / 2;
    }

    double offMm() {
      return Math.hypot(startMm, endMm);
    }

    /** Along all of it, and not across it. */
    boolean isBeside(Place other) {
      return (startMm - other.startMm) * (endMm - other.endMm) > 0
          && Math.min(Math.abs(startMm - other.startMm), Math.abs(endMm - other.endMm))
              > LEAST_BESIDE_MM;
    }
  }

  /** Whether no line near it has more votes. */
  private boolean tops(double[][] sums, int start, int end) {
    int reach = (int) Math.round(LEAST_BESIDE_MM / STEP_MM);
    for (int s = Math.max(0, start - reach); s <= Math.min(offsets - 1, start + reach); s++) {
      for (int e = Math.max(0, end - reach); e <= Math.min(offsets - 1, end + reach); e++) {
        if (sums[s][e] > sums[start][end]) {
          return false;
        }
      }
    }
    return true;
  }

  /** How much darker a stripe at each offset is than beside it, in the block's deviations. */
  private double[] votes(int block) {
    double marginMm = HALF_STRIPES_MM[HALF_STRIPES_MM.length - 1] + BESIDE_MM;
    double finestMm = Math.max(0.05, 0.5 / pxPerMm);
    int side = (int) Math.ceil((reachMm + marginMm) / finestMm);
    double[] sums = new double[2 * side + 2];
    double blockPx = clicked.lengthPx / BLOCKS;
    int rows = Math.clamp(Math.round(blockPx / 2), 1, 40);
    for (int i = -side; i <= side; i++) {
      double sum = 0;
      for (int r = 0; r < rows; r++) {
        double along = (block + (r + 0.5) / rows) * blockPx;
        double aside = i * finestMm * pxPerMm;
        sum += lightNear(clicked.x(along, aside), clicked.y(along, aside));
      }
      sums[i + side + 1] = sums[i + side] + sum / rows;
    }
    double[] darker = new double[offsets];
    for (int o = 0; o < offsets; o++) {
      double best = 0;
      for (double half : HALF_STRIPES_MM) {
        int middle = side + (int) Math.round(offsetMm(o) / finestMm);
        int h = Math.max(1, (int) Math.round(half / finestMm));
        int far = h + Math.max(2, (int) Math.round(BESIDE_MM / finestMm));
        double stripe = mean(sums, middle - h, middle + h);
        double left = mean(sums, middle - far, middle - h - 1);
        double right = mean(sums, middle + h + 1, middle + far);
        best = Math.max(best, Math.min(left, right) - stripe);
      }
      darker[o] = best;
    }
    double[] sorted = darker.clone();
    Arrays.sort(sorted);
    double unrest = Math.max(1, sorted[sorted.length / 2] * 1.5);
    for (int o = 0; o < offsets; o++) {
      darker[o] = Math.min(LOUDEST, darker[o] / unrest);
    }
    return darker;
  }

  private static double mean(double[] sums, int from, int to) {
    int low = Math.clamp(from, 0, sums.length - 2);
    int high = Math.clamp(to, low, sums.length - 2);
    return (sums[high + 1] - sums[low]) / (high + 1 - low);
  }

  private double lightNear(double x, double y) {
    int column = Math.clamp((int) FastMath.floor(x), 0, picture.width() - 1);
    int row = Math.clamp((int) FastMath.floor(y), 0, picture.height() - 1);
    return picture.light(column, row);
  }

  /** Through the stripes' middles near the line so far, which counts less the farther they are. */
  private Axis refined(double[][] votes, double startMm, double endMm) {
    double a = startMm;
    double b = endMm;
    double near = 0.8;
    for (int round = 0; round < ROUNDS; round++) {
      double s = 0;
      double st = 0;
      double stt = 0;
      double so = 0;
      double sto = 0;
      for (int block = 0; block < BLOCKS; block++) {
        double t = (block + 0.5) / BLOCKS;
        double line = a + (b - a) * t;
        double weights = 0;
        double moment = 0;
        for (int o = 0; o < offsets; o++) {
          double off = offsetMm(o) - line;
          if (Math.abs(off) < near) {
            double share = 1 - off * off / (near * near);
            double weight = votes[block][o] * votes[block][o] * share * share;
            weights += weight;
            moment += weight * offsetMm(o);
          }
        }
        if (weights > 0) {
          double middle = moment / weights;
          s += weights;
          st += weights * t;
          stt += weights * t * t;
          so += weights * middle;
          sto += weights * t * middle;
        }
      }
      double det = s * stt - st * st;
      if (!(det > 1e-9 * s * s)) {
        break;
      }
      double slope = (s * sto - st * so) / det;
      a = (so - slope * st) / s;
      b = a + slope;
      near = Math.max(0.3, near * 0.75);
    }
    return axis(a * pxPerMm, b * pxPerMm);
  }

  /** The line through both offsets, beginning at the foot of the clicked start. */
  private Axis axis(double startAsidePx, double endAsidePx) {
    double tilt = (endAsidePx - startAsidePx) / clicked.lengthPx;
    double scale = 1 / Math.hypot(1, tilt);
    double dx = (clicked.alongX - tilt * clicked.alongY) * scale;
    double dy = (clicked.alongY + tilt * clicked.alongX) * scale;
    double throughX = clicked.x(0, startAsidePx);
    double throughY = clicked.y(0, startAsidePx);
    double foot = (clicked.startX - throughX) * dx + (clicked.startY - throughY) * dy;
    double endX = clicked.x(clicked.lengthPx, 0);
    double endY = clicked.y(clicked.lengthPx, 0);
    double footX = throughX + foot * dx;
    double footY = throughY + foot * dy;
    double length = (endX - footX) * dx + (endY - footY) * dy;
    return new Axis(footX, footY, dx, dy, length);
  }
}
