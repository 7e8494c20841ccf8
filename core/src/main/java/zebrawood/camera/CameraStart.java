package zebrawood.camera;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.SingularValueDecomposition;

/**
 * Where a camera may stand, before anything is fitted: for some focal lengths the flat map from
 * four marks to their rays (a homography between plane and directions, R. Hartley, A. Zisserman,
 * Multiple View Geometry in Computer Vision, 2nd ed., chapters 4 and 8), for many sets of four,
 * since some marks are misread. What explains most of the marks best comes first.
 */
final class CameraStart {
  private static final int SETS = 24;
  private static final double[] WIDTHS = {
    0.18, 0.25, 0.33, 0.42, 0.53, 0.67, 0.85, 1.1, 1.5, 2.2, 3.5
  };

  /** Of an equidistant lens, and of one near a pinhole. */
  private static final double[][] BENDS = {{0, 0, 0, 0}, {0.33, 0.13, 0.05, 0.02}};

  private static final int MOST_LOOKED_AT = 200;

  private final List<CameraMark> marks;
  private final double middleX;
  private final double middleY;
  private final double size;

  private CameraStart(List<CameraMark> marks) {
    this.marks = marks;
    middleX = marks.stream().mapToDouble(CameraMark::xMm).average().orElseThrow();
    middleY = marks.stream().mapToDouble(CameraMark::yMm).average().orElseThrow();
    size =
        marks.stream()
            .mapToDouble(m -> Math.hypot(m.xMm() - middleX, m.yMm() - middleY))
            .max()
            .orElseThrow();
  }

  /**
   * @param view a camera
   * @param cost what it leaves of the marks, but for the worst that may be misread, in square
   *     pixels
   */
  record Start(CameraView view, double cost) {}

  /**
   * The best of each lens tried, the best first; empty where no camera above the marks sees them.
   *
   * @param misread so many marks count nothing, whichever these are
   */
  static List<Start> of(
      List<CameraMark> marks, CameraReadings.Image image, Optional<CameraLens> lens, int misread) {
    CameraStart from = new CameraStart(marks);
    List<CameraLens> lenses = new ArrayList<>();
    lens.ifPresentOrElse(
        lenses::add,
        () -> {
          for (double[] b : BENDS) {
            for (double width : WIDTHS) {
              lenses.add(
                  new CameraLens(
                      width * Math.max(image.widthPx(), image.heightPx()),
                      List.of(image.widthPx() / 2.0, image.heightPx() / 2.0),
                      b[0],
                      b[1],
                      b[2],
                      b[3]));
            }
          }
        });
    return lenses.stream()
        .map(l -> from.best(l, misread))
        .flatMap(Optional::stream)
        .sorted(Comparator.comparingDouble(Start::cost))
        .toList();
  }

  private Optional<Start> best(CameraLens lens, int misread) {
    Random random = new Random(marks.size());
    double farthest = lens.farthest();
    double[][] rays =
        marks.stream().map(m -> ray(lens, farthest, m.xPx(), m.yPx())).toArray(double[][]::new);
    int[] seen = IntStream.range(0, marks.size()).filter(i -> rays[i] != null).toArray();
    if (seen.length < 4) {
      return Optional.empty();
    }
    int[] looked =
        marks.size() <= MOST_LOOKED_AT
            ? IntStream.range(0, marks.size()).toArray()
            : random.ints(MOST_LOOKED_AT, 0, marks.size()).toArray();
    Start best = null;
    int sets = seen.length == 4 ? 1 : SETS;
    for (int set = 0; set < sets; set++) {
      int[] four = set == 0 && misread == 0 ? seen : apart(seen, random);
      Optional<CameraView> view = through(lens, rays, four);
      if (view.isPresent()) {
        double cost = cost(view.get(), looked, misread);
        if (best == null || cost < best.cost) {
          best = new Start(view.get(), cost);
        }
      }
    }
    return Optional.ofNullable(best);
  }

  /** Of a few sets the one that spreads widest. */
  private int[] apart(int[] seen, Random random) {
    int[] best = null;
    double most = -1;
    for (int attempt = 0; attempt < 6; attempt++) {
      int[] four = random.ints(0, seen.length).distinct().limit(4).map(i -> seen[i]).toArray();
      double least = Double.MAX_VALUE;
      for (int i = 0; i < 4; i++) {
        for (int k = 0; k < i; k++) {
          for (int m = 0; m < k; m++) {
            least = Math.min(least, area(four[i], four[k], four[m]));
          }
        }
      }
      if (least > most) {
        most = least;
        best = four;
      }
    }
    return best;
  }

  private double area(int a, int b, int c) {
    CameraMark p = marks.get(a);
    CameraMark q = marks.get(b);
    CameraMark r = marks.get(c);
    return Math.abs(
        (q.xMm() - p.xMm()) * (r.yMm() - p.yMm()) - (q.yMm() - p.yMm()) * (r.xMm() - p.xMm()));
  }

  private double cost(CameraView view, int[] looked, int misread) {
    double[] squares = new double[looked.length];
    for (int i = 0; i < looked.length; i++) {
      CameraMark m = marks.get(looked[i]);
      double[] px = view.px(m.xMm(), m.yMm(), m.height());
      double dx = px[0] - m.xPx();
      double dy = px[1] - m.yPx();
      squares[i] = dx * dx + dy * dy;
    }
    Arrays.sort(squares);
    double sum = 0;
    int counted = Math.max(4, squares.length - misread * squares.length / marks.size());
    for (int i = 0; i < Math.min(counted, squares.length); i++) {
      sum += squares[i];
    }
    return Double.isNaN(sum) ? Double.MAX_VALUE : sum;
  }

  /** As the camera has it; null where this lens has no ray there. */
  private static double[] ray(CameraLens lens, double farthest, double xPx, double yPx) {
    double dx = (xPx - lens.centreX()) / lens.focalPx();
    double dy = (yPx - lens.centreY()) / lens.focalPx();
    double radius = Math.hypot(dx, dy);
    double angle = lens.angle(radius, farthest);
    if (Double.isNaN(angle)) {
      return null;
    }
    double aside = radius < 1e-12 ? 0 : Math.sin(angle) / radius;
    return new double[] {aside * dx, aside * dy, Math.cos(angle)};
  }

  /** The camera of the flat map through these marks; empty where it is none, or lies below. */
  private Optional<CameraView> through(CameraLens lens, double[][] rays, int[] which) {
    RealMatrix m = new Array2DRowRealMatrix(Math.max(9, 2 * which.length), 9);
    double height = 0;
    for (int i = 0; i < which.length; i++) {
      CameraMark mark = marks.get(which[i]);
      height += mark.height() / which.length;
      double[] p = {(mark.xMm() - middleX) / size, (mark.yMm() - middleY) / size, 1};
      double[] d = rays[which[i]];
      // Two directions across the ray: what the plane's place has along them is nothing.
      double[] other = Math.abs(d[0]) < 0.6 ? new double[] {1, 0, 0} : new double[] {0, 1, 0};
      double[] a = unit(cross(d, other));
      double[] b = cross(d, a);
      for (int k = 0; k < 9; k++) {
        m.setEntry(2 * i, k, a[k / 3] * p[k % 3]);
        m.setEntry(2 * i + 1, k, b[k / 3] * p[k % 3]);
      }
    }
    double[] h = new SingularValueDecomposition(m).getV().getColumn(8);
    double along = 0;
    for (int i : which) {
      CameraMark mark = marks.get(i);
      double[] p = {(mark.xMm() - middleX) / size, (mark.yMm() - middleY) / size, 1};
      for (int row = 0; row < 3; row++) {
        along += rays[i][row] * (h[3 * row] * p[0] + h[3 * row + 1] * p[1] + h[3 * row + 2] * p[2]);
      }
    }
    double sign = Math.signum(along);
    double[] first = {sign * h[0], sign * h[3], sign * h[6]};
    double[] second = {sign * h[1], sign * h[4], sign * h[7]};
    double[] third = {sign * h[2], sign * h[5], sign * h[8]};
    double scale = (norm(first) + norm(second)) / 2;
    if (!(scale > 1e-9)) {
      return Optional.empty();
    }
    return placed(lens, first, second, third, size / scale, height);
  }

  /**
   * @param first the bed's x as the camera has it, {@code second} its y, of about one length
   * @param third where the marks' middle is, in units of {@code unitMm}
   */
  private Optional<CameraView> placed(
      CameraLens lens,
      double[] first,
      double[] second,
      double[] third,
      double unitMm,
      double height) {
    double[] sum = unit(plus(unit(first), unit(second), 1));
    double[] difference = unit(plus(unit(first), unit(second), -1));
    double[] x = unit(plus(sum, difference, 1));
    double[] y = unit(plus(sum, difference, -1));
    double[] z = cross(x, y);
    double[][] axes = {{x[0], y[0], z[0]}, {x[1], y[1], z[1]}, {x[2], y[2], z[2]}};
    double[] place = new double[3];
    for (int i = 0; i < 3; i++) {
      for (int k = 0; k < 3; k++) {
        place[i] -= axes[k][i] * third[k] * unitMm;
      }
    }
    if (!(place[2] > 0) || !(Math.abs(norm(z) - 1) < 1e-6)) {
      return Optional.empty();
    }
    double[] numbers = new double[CameraView.NUMBERS];
    System.arraycopy(CameraView.turnOf(axes), 0, numbers, CameraView.TURN, 3);
    numbers[CameraView.PLACE] = place[0] + middleX;
    numbers[CameraView.PLACE + 1] = place[1] + middleY;
    numbers[CameraView.PLACE + 2] = place[2] + height;
    CameraFit.put(lens, numbers);
    return Optional.of(new CameraView(numbers));
  }

  private static double[] plus(double[] a, double[] b, double times) {
    return new double[] {a[0] + times * b[0], a[1] + times * b[1], a[2] + times * b[2]};
  }

  private static double[] cross(double[] a, double[] b) {
    return new double[] {
      a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]
    };
  }

  private static double norm(double[] a) {
    return Math.sqrt(a[0] * a[0] + a[1] * a[1] + a[2] * a[2]);
  }

  private static double[] unit(double[] a) {
    double length = norm(a);
    return new double[] {a[0] / length, a[1] / length, a[2] / length};
  }
}
