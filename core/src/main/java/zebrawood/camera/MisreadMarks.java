package zebrawood.camera;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.FDistribution;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import zebrawood.camera.CameraFit.Fitted;
import zebrawood.camera.CameraStart.Start;
import zebrawood.measure.FewReadings;

/**
 * A camera through marks of which up to a tenth are misread by any amount.
 *
 * <p>First by least trimmed squares from several starts: fitted through all but the worst tenth,
 * again and again until these stay the same (P. J. Rousseeuw, K. Van Driessen, Computing LTS
 * regression for large data sets, Data Mining and Knowledge Discovery 12 (2006), 29-45). Then each
 * mark is held against the fit of all others, and the one that is furthest off by its own deviation
 * is left out or taken in again, one at a time.
 */
final class MisreadMarks {
  private static final int STARTS = 4;
  private static final int ROUNDS = 12;

  /** Of one honest mark in a whole picture to be left out. */
  private static final double FALSELY = 0.005;

  private final CameraFit fit;
  private final double deviationPx;
  private final int mostLeftOut;
  private final double nearPx;

  /**
   * @param kept the marks that count, by number
   * @param deviationPx of a coordinate: the reading's, enlarged by the misfit
   * @param heldOut of all marks, how far each lies off the fit of the others, in px
   * @param more whether marks are still far off and no more could be left out
   */
  record Kept(Fitted fitted, int[] kept, double deviationPx, double[][] heldOut, boolean more) {}

  /** One fit, and what it says of every mark. */
  private record Judged(
      Fitted fitted, double squares, double freedom, double[][] off, double[] t) {}

  private MisreadMarks(CameraFit fit, double deviationPx, double nearPx) {
    this.fit = fit;
    this.nearPx = nearPx;
    this.deviationPx = deviationPx;
    this.mostLeftOut = fit.marks().size() / 10;
  }

  /**
   * @param nearPx a mark that lies no further off is not misread, however well the others agree
   * @return empty where no camera can be fitted
   */
  static Optional<Kept> of(CameraFit fit, List<Start> starts, double deviationPx, double nearPx) {
    return new MisreadMarks(fit, deviationPx, nearPx).kept(starts);
  }

  private int[] all() {
    return IntStream.range(0, fit.marks().size()).toArray();
  }

  private Optional<Kept> kept(List<Start> starts) {
    Fitted best = null;
    double least = Double.MAX_VALUE;
    for (Start start : starts.subList(0, Math.min(STARTS, starts.size()))) {
      Optional<Fitted> trimmed = trimmed(start.view());
      if (trimmed.isPresent()) {
        double cost = cost(trimmed.get().view());
        if (cost < least) {
          least = cost;
          best = trimmed.get();
        }
      }
    }
    if (best == null) {
      return Optional.empty();
    }
    if (mostLeftOut == 1) {
      best = withoutOne(best);
    }
    int[] kept = nearest(best.view());
    boolean[] out = new boolean[fit.marks().size()];
    Arrays.fill(out, true);
    Arrays.stream(kept).forEach(i -> out[i] = false);
    // Each round mends at most one; more rounds than marks that may be left out go in circles.
    Judged now = judged(best.view(), out, deviationPx);
    boolean more = false;
    for (int round = 0; round < 2 * ROUNDS + 2 * mostLeftOut; round++) {
      int back = mostLike(now, out);
      int worst = worst(now, out);
      if (back >= 0) {
        out[back] = false;
      } else if (worst >= 0 && count(out) < mostLeftOut) {
        out[worst] = true;
      } else {
        more = worst >= 0;
        break;
      }
      now = judged(now.fitted.view(), out, deviationPx);
    }
    return Optional.of(enlarged(now, out, more));
  }

  /**
   * Fitted again with the deviation that the misfit tells, so that what is known beforehand counts.
   */
  private Kept enlarged(Judged now, boolean[] out, boolean more) {
    double deviation = deviationPx;
    Judged last = now;
    for (int round = 0; round < 2; round++) {
      double chiSquare = last.squares / (deviationPx * deviationPx);
      deviation = deviationPx * FewReadings.factor(chiSquare, (int) Math.round(last.freedom));
      last = judged(last.fitted.view(), out, deviation);
    }
    int[] kept = IntStream.range(0, out.length).filter(i -> !out[i]).toArray();
    return new Kept(last.fitted, kept, deviation, last.off, more);
  }

  private static int count(boolean[] out) {
    int n = 0;
    for (boolean one : out) {
      n += one ? 1 : 0;
    }
    return n;
  }

  private Optional<Fitted> trimmed(CameraView start) {
    try {
      CameraView view = start;
      Fitted fitted = null;
      int[] before = null;
      for (int round = 0; round < ROUNDS; round++) {
        int[] kept = nearest(view);
        if (Arrays.equals(kept, before)) {
          break;
        }
        before = kept;
        fitted = fit.fit(view, kept, deviationPx);
        view = fitted.view();
      }
      // From below a plane looks mirrored: no camera over the bed stands there.
      double highest = fit.marks().stream().mapToDouble(CameraMark::height).max().orElseThrow();
      return Optional.ofNullable(fitted).filter(f -> f.view().z() > highest);
    } catch (MathRuntimeException e) {
      // From this start the numbers run away: another one decides.
      return Optional.empty();
    }
  }

  /** Of few marks a misread one can bend the fit to itself: each is left out in turn. */
  private Fitted withoutOne(Fitted start) {
    Fitted best = start;
    double least = cost(start.view());
    for (int out : all()) {
      int[] kept = Arrays.stream(all()).filter(i -> i != out).toArray();
      try {
        Fitted fitted = fit.fit(start.view(), kept, deviationPx);
        double cost = cost(fitted.view());
        if (cost < least) {
          least = cost;
          best = fitted;
        }
      } catch (MathRuntimeException e) {
        // Without this mark nothing holds the numbers: it is none that may be left out.
        continue;
      }
    }
    return best;
  }

  private double square(CameraView view, int i) {
    CameraMark m = fit.marks().get(i);
    double[] px = view.px(m.xMm(), m.yMm(), m.height());
    double dx = px[0] - m.xPx();
    double dy = px[1] - m.yPx();
    return dx * dx + dy * dy;
  }

  /** All but as many as may be misread, by number. */
  private int[] nearest(CameraView view) {
    double[] squares = Arrays.stream(all()).mapToDouble(i -> square(view, i)).toArray();
    return Arrays.stream(all())
        .boxed()
        .sorted(Comparator.comparingDouble(i -> squares[i]))
        .limit(all().length - mostLeftOut)
        .mapToInt(i -> i)
        .sorted()
        .toArray();
  }

  private double cost(CameraView view) {
    return Arrays.stream(nearest(view)).mapToDouble(i -> square(view, i)).sum();
  }

  /** Fitted through all that are not left out, and how far each mark lies off the others' fit. */
  private Judged judged(CameraView from, boolean[] out, double deviation) {
    int n = out.length;
    int[] kept = IntStream.range(0, n).filter(i -> !out[i]).toArray();
    Fitted fitted = fit.fit(from, kept, deviation);
    CameraView view = fitted.view();
    double[][] off = new double[n][2];
    double[][][] shares = new double[n][][];
    double squares = 0;
    double freedom = 0;
    double[][] plain = new double[n][];
    double[][] byNumbers = new double[2][CameraView.NUMBERS];
    double[][] byPlace = new double[2][3];
    for (int i = 0; i < n; i++) {
      CameraMark m = fit.marks().get(i);
      double[] px = view.slopes(m.xMm(), m.yMm(), m.height(), byNumbers, byPlace);
      plain[i] = new double[] {m.xPx() - px[0], m.yPx() - px[1]};
      RealMatrix slopes = new Array2DRowRealMatrix(byNumbers);
      double[][] share =
          slopes
              .multiply(fitted.covariance())
              .multiplyTransposed(slopes)
              .scalarMultiply(1 / (deviation * deviation))
              .getData();
      shares[i] = share;
      if (!out[i]) {
        squares += plain[i][0] * plain[i][0] + plain[i][1] * plain[i][1];
        freedom += 2 - share[0][0] - share[1][1];
      }
    }
    double[] t = new double[n];
    for (int i = 0; i < n; i++) {
      double sign = out[i] ? 1 : -1;
      RealMatrix spread =
          new Array2DRowRealMatrix(
              new double[][] {
                {1 + sign * shares[i][0][0], sign * shares[i][0][1]},
                {sign * shares[i][1][0], 1 + sign * shares[i][1][1]}
              });
      RealMatrix inverse = inverse(spread);
      double[] e = plain[i];
      double[] held = inverse.operate(e);
      // Of a kept mark: what the fit of all others leaves of it, and their misfit.
      off[i] = out[i] ? e : held;
      double own = e[0] * held[0] + e[1] * held[1];
      double others = out[i] ? squares : Math.max(0, squares - own);
      double rest = out[i] ? freedom : freedom - 2;
      double variance =
          Math.max(deviationPx * deviationPx, rest > 0.5 ? others / rest : Double.MAX_VALUE);
      t[i] = own / 2 / variance;
    }
    return new Judged(fitted, squares, Math.max(0, freedom), off, t);
  }

  /** Where a mark decides alone, its own weight counts as nearly all. */
  private static RealMatrix inverse(RealMatrix spread) {
    double least = 1e-6;
    RealMatrix safe = spread.copy();
    if (new LUDecomposition(safe).getDeterminant() < least * least) {
      safe.addToEntry(0, 0, least);
      safe.addToEntry(1, 1, least);
    }
    return new LUDecomposition(safe, 0).getSolver().getInverse();
  }

  private double limit(Judged now) {
    double freedom = Math.max(1, now.freedom - 2);
    return new FDistribution(2, freedom)
        .inverseCumulativeProbability(1 - FALSELY / fit.marks().size());
  }

  /** The mark left out that is nearest to the fit, where it may well belong to it; -1 if none. */
  private int mostLike(Judged now, boolean[] out) {
    int best = -1;
    for (int i = 0; i < out.length; i++) {
      if (out[i] && (best < 0 || now.t[i] < now.t[best])) {
        best = i;
      }
    }
    return best >= 0 && !misread(now, best) ? best : -1;
  }

  private boolean misread(Judged now, int i) {
    return now.t[i] > limit(now) && Math.hypot(now.off[i][0], now.off[i][1]) > nearPx;
  }

  private int worst(Judged now, boolean[] out) {
    int worst = -1;
    for (int i = 0; i < out.length; i++) {
      if (!out[i] && (worst < 0 || now.t[i] > now.t[worst]) && misread(now, i)) {
        worst = i;
      }
    }
    return worst;
  }
}
