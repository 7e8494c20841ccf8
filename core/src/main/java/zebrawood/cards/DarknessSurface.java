package zebrawood.cards;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import zebrawood.cards.DarknessLaw.Square;
import zebrawood.measure.Estimate;

/**
 * How dark squares come out, by percent and speed: a law ({@link DarknessLaw}) and, where the
 * squares do not follow it, what is left as a smooth random surface beside it, so that the
 * uncertainty tells the lack of fit too.
 *
 * <p>Kriging with the law as its drift (Cressie, Statistics for Spatial Data, 1993, section 3.4);
 * how far the surface reaches and how much of it there is over the noise is averaged over a grid of
 * both, each weighted by its restricted likelihood (Patterson and Thompson, Biometrika 58, 1971).
 * Not beyond the squares that were read.
 */
final class DarknessSurface {
  /** Of the card's width and height in logarithms. */
  private static final double[] REACHES = {0.25, 0.45, 0.8};

  /** Variance of the surface over that of one square. */
  private static final double[] SHARES = {0, 0.03, 0.1, 0.3, 1, 3, 10, 30, 100};

  private static final double LEAST_WEIGHT = 1e-3;

  /** Beyond as many, neighbours are taken together. */
  private static final int MOST_SQUARES = 144;

  private static final int SIDE = 12;
  private static final int ROUNDS = 3;
  private static final double LARGEST_OF_FEW = 3;

  private final List<Square> squares;
  private final DarknessLaw law;
  private final double scalePercent;
  private final double scaleSpeed;
  private final List<Part> parts;
  private final double error;

  /** Of all parts together: how the law's numbers change, and what lies beside it a reach. */
  private final double[] change;

  private final double[][] towards = new double[REACHES.length][];
  private final boolean[] besides = new boolean[REACHES.length];
  private final double[][] logs;

  /** One surface of the grid, with what it makes of the squares. */
  private record Part(
      double weight,
      double reach,
      double share,
      double variance,
      RealMatrix inverse,
      RealVector towards,
      RealMatrix covariance,
      RealVector change,
      RealMatrix slopes) {
    Part weighing(double by) {
      return new Part(by, reach, share, variance, inverse, towards, covariance, change, slopes);
    }
  }

  private DarknessSurface(
      List<Square> squares, DarknessLaw law, double scalePercent, double scaleSpeed, double error) {
    this.squares = squares;
    this.law = law;
    this.scalePercent = scalePercent;
    this.scaleSpeed = scaleSpeed;
    this.error = error;
    parts = parts();
    int n = squares.size();
    change = new double[law.size()];
    logs = new double[n][];
    for (int i = 0; i < n; i++) {
      logs[i] = new double[] {logPercent(squares.get(i)), Math.log(squares.get(i).speedMmS())};
    }
    for (int reach = 0; reach < REACHES.length; reach++) {
      towards[reach] = new double[n];
      for (Part part : parts) {
        if (part.reach == REACHES[reach] && part.share > 0) {
          besides[reach] = true;
          for (int i = 0; i < n; i++) {
            towards[reach][i] += part.weight * part.share * part.towards.getEntry(i);
          }
        }
      }
    }
    for (Part part : parts) {
      for (int i = 0; i < change.length; i++) {
        change[i] += part.weight * part.change.getEntry(i);
      }
    }
  }

  /**
   * @param first and {@code second}: squares of the card, and of one burnt later; the second may be
   *     empty
   * @param error standard deviation of one square, as it was read
   */
  static DarknessSurface of(List<CardSample> first, List<CardSample> second, double error) {
    double noise = error;
    List<Square> kept = List.of();
    DarknessLaw law = null;
    for (int round = 0; round < ROUNDS; round++) {
      kept = new ArrayList<>(kept(first, false, noise));
      kept.addAll(kept(second, true, noise));
      kept = fewer(kept);
      law = round == 0 ? DarknessLaw.of(kept, noise) : law.fitted(kept, noise);
      noise = Math.max(error, spread(kept, law));
    }
    double leastP = kept.stream().mapToDouble(Square::percent).min().orElse(1);
    double mostP = kept.stream().mapToDouble(Square::percent).max().orElse(1);
    double leastV = kept.stream().mapToDouble(Square::speedMmS).min().orElse(1);
    double mostV = kept.stream().mapToDouble(Square::speedMmS).max().orElse(1);
    return new DarknessSurface(
        List.copyOf(kept),
        law,
        Math.max(0.1, Math.log(mostP / leastP)),
        Math.max(0.1, Math.log(mostV / leastV)),
        error);
  }

  private static List<Square> kept(List<CardSample> squares, boolean second, double noise) {
    boolean[] charred = Charring.of(squares, noise);
    List<Square> kept = new ArrayList<>();
    for (int i = 0; i < squares.size(); i++) {
      CardSample s = squares.get(i);
      if (!charred[i]) {
        kept.add(new Square(s.percent(), s.speedMmS(), s.darkness(), second, 1));
      }
    }
    return kept;
  }

  /** Neighbours as their mean, where there are very many. */
  private static List<Square> fewer(List<Square> all) {
    if (all.size() <= MOST_SQUARES) {
      return all;
    }
    return all.stream()
        .collect(
            Collectors.groupingBy(
                s -> (s.second() ? SIDE * SIDE : 0) + SIDE * bin(all, s, true) + bin(all, s, false),
                TreeMap::new,
                Collectors.toList()))
        .values()
        .stream()
        .map(DarknessSurface::mean)
        .toList();
  }

  private static int bin(List<Square> all, Square of, boolean byPercent) {
    double least =
        all.stream().mapToDouble(s -> byPercent ? s.percent() : s.speedMmS()).min().orElse(1);
    double most =
        all.stream().mapToDouble(s -> byPercent ? s.percent() : s.speedMmS()).max().orElse(1);
    double at = byPercent ? of.percent() : of.speedMmS();
    return most > least
        ? (int) Math.min(SIDE - 1, SIDE * Math.log(at / least) / Math.log(most / least))
        : 0;
  }

  private static Square mean(List<Square> near) {
    return new Square(
        Math.exp(near.stream().mapToDouble(s -> Math.log(s.percent())).average().orElse(0)),
        Math.exp(near.stream().mapToDouble(s -> Math.log(s.speedMmS())).average().orElse(0)),
        near.stream().mapToDouble(Square::darkness).average().orElse(0),
        near.getFirst().second(),
        near.size());
  }

  /** Of one square about the law. */
  private static double spread(List<Square> squares, DarknessLaw law) {
    double sum = 0;
    for (Square s : squares) {
      double off = law.darkness(s.percent(), s.speedMmS(), s.second()) - s.darkness();
      sum += s.count() * off * off;
    }
    return Math.sqrt(sum / Math.max(1, squares.size() - law.size()));
  }

  private double correlation(double logP, double logV, double logP2, double logV2, double reach) {
    double x = (logP - logP2) / scalePercent / reach;
    double y = (logV - logV2) / scaleSpeed / reach;
    return Math.exp(-(x * x + y * y) / 2);
  }

  /** As the first card would have been burnt. */
  private double logPercent(Square s) {
    return Math.log(s.percent()) + (s.second() ? law.number(DarknessLaw.RATIO) : 0);
  }

  private List<Part> parts() {
    int n = squares.size();
    double[] left = new double[n];
    double[][] slopes = new double[n][];
    for (int i = 0; i < n; i++) {
      Square s = squares.get(i);
      left[i] = s.darkness() - law.darkness(s.percent(), s.speedMmS(), s.second());
      slopes[i] = law.slopes(s.percent(), s.speedMmS(), s.second());
    }
    RealVector residual = new ArrayRealVector(left, false);
    RealMatrix h = new Array2DRowRealMatrix(slopes, false);
    List<Part> all = new ArrayList<>();
    List<Double> likelihoods = new ArrayList<>();
    for (double reach : REACHES) {
      for (double share : SHARES) {
        if (share > 0 || reach == REACHES[0]) {
          try {
            likelihoods.add(part(all, residual, h, reach, share));
          } catch (MathRuntimeException e) {
            // A surface that these squares cannot tell from noise: the others stand for it.
            continue;
          }
        }
      }
    }
    double most = likelihoods.stream().mapToDouble(l -> l).max().orElseThrow();
    double sum = likelihoods.stream().mapToDouble(l -> Math.exp(l - most)).sum();
    List<Part> kept = new ArrayList<>();
    double keptSum = 0;
    for (int i = 0; i < all.size(); i++) {
      double weight = Math.exp(likelihoods.get(i) - most) / sum;
      if (weight > LEAST_WEIGHT) {
        kept.add(all.get(i).weighing(weight));
        keptSum += weight;
      }
    }
    double total = keptSum;
    return kept.stream().map(p -> p.weighing(p.weight / total)).toList();
  }

  /**
   * @return the logarithm of its restricted likelihood
   */
  private double part(
      List<Part> into, RealVector residual, RealMatrix h, double reach, double share) {
    int n = squares.size();
    RealMatrix v = new Array2DRowRealMatrix(n, n);
    for (int i = 0; i < n; i++) {
      Square s = squares.get(i);
      for (int j = 0; j <= i; j++) {
        Square t = squares.get(j);
        double c =
            share
                * correlation(
                    logPercent(s),
                    Math.log(s.speedMmS()),
                    logPercent(t),
                    Math.log(t.speedMmS()),
                    reach);
        v.setEntry(i, j, i == j ? share + 1 / s.count() : c);
        v.setEntry(j, i, v.getEntry(i, j));
      }
    }
    CholeskyDecomposition cholesky = new CholeskyDecomposition(v);
    RealMatrix inverse = cholesky.getSolver().getInverse();
    RealMatrix prior = MatrixUtils.createRealDiagonalMatrix(law.priorWeights());
    RealMatrix hvh = h.transposeMultiply(inverse.multiply(h));
    RealVector hvr = inverse.multiply(h).preMultiply(residual);
    double rvr = residual.dotProduct(inverse.operate(residual));
    double variance = error * error;
    RealMatrix covariance = null;
    RealVector change = null;
    for (int round = 0; round < ROUNDS; round++) {
      RealMatrix information = hvh.scalarMultiply(1 / variance).add(prior);
      covariance = MatrixUtils.inverse(information);
      change =
          covariance.operate(
              hvr.mapMultiply(1 / variance).add(new ArrayRealVector(law.priorPull(), false)));
      double misfit = rvr - 2 * change.dotProduct(hvr) + change.dotProduct(hvh.operate(change));
      variance = Math.max(error * error, misfit / Math.max(1, n - h.getColumnDimension()));
    }
    RealVector towards = inverse.operate(residual.subtract(h.operate(change)));
    double logDet = 0;
    for (int i = 0; i < n; i++) {
      logDet += 2 * Math.log(cholesky.getL().getEntry(i, i));
    }
    double misfit = rvr - 2 * change.dotProduct(hvr) + change.dotProduct(hvh.operate(change));
    RealMatrix information = hvh.scalarMultiply(1 / variance).add(prior);
    double logInformation = 0;
    RealMatrix l = new CholeskyDecomposition(information).getL();
    for (int i = 0; i < l.getRowDimension(); i++) {
      logInformation += 2 * Math.log(l.getEntry(i, i));
    }
    into.add(new Part(0, reach, share, variance, inverse, towards, covariance, change, h));
    return -0.5 * (logDet + n * Math.log(variance) + logInformation + misfit / variance);
  }

  /** Of the first card. */
  double darkness(double percent, double speedMmS) {
    double sum = law.darkness(percent, speedMmS, false);
    double[] slopes = law.slopes(percent, speedMmS, false);
    for (int i = 0; i < slopes.length; i++) {
      sum += slopes[i] * change[i];
    }
    double logP = Math.log(percent);
    double logV = Math.log(speedMmS);
    for (int reach = 0; reach < REACHES.length; reach++) {
      for (int i = 0; i < logs.length && besides[reach]; i++) {
        sum += towards[reach][i] * correlation(logP, logV, logs[i][0], logs[i][1], REACHES[reach]);
      }
    }
    return sum;
  }

  private static double darkness(Part part, double byLaw, double[] slopes, RealVector beside) {
    double sum = byLaw + (part.share > 0 ? beside.dotProduct(part.towards) : 0);
    for (int i = 0; i < slopes.length; i++) {
      sum += slopes[i] * part.change.getEntry(i);
    }
    return sum;
  }

  private RealVector beside(Part part, double percent, double speedMmS) {
    double[] k = new double[squares.size()];
    for (int i = 0; i < k.length && part.share > 0; i++) {
      Square s = squares.get(i);
      k[i] =
          part.share
              * correlation(
                  Math.log(percent),
                  Math.log(speedMmS),
                  logPercent(s),
                  Math.log(s.speedMmS()),
                  part.reach);
    }
    return new ArrayRealVector(k, false);
  }

  /**
   * By how much a variance is larger that few squares' own scatter tells: of Student's t with so
   * many degrees of freedom. Nothing where the squares scatter no more than they were read to.
   */
  private double ofFew(Part part) {
    int freedom = squares.size() - law.size();
    boolean scattered = part.variance > error * error * (1 + 1e-9);
    return !scattered ? 1 : freedom > 2 ? freedom / (freedom - 2.0) : LARGEST_OF_FEW;
  }

  /** With its uncertainty, lack of fit included. */
  Estimate at(double percent, double speedMmS) {
    double mean = darkness(percent, speedMmS);
    double byLaw = law.darkness(percent, speedMmS, false);
    double[] slopes = law.slopes(percent, speedMmS, false);
    double variance = 0;
    for (Part part : parts) {
      RealVector k = beside(part, percent, speedMmS);
      RealVector inverseK = part.inverse.operate(k);
      double own = part.variance * (part.share - k.dotProduct(inverseK));
      RealVector g = new ArrayRealVector(slopes).subtract(part.slopes.preMultiply(inverseK));
      double off = darkness(part, byLaw, slopes, k) - mean;
      variance +=
          part.weight
              * (ofFew(part) * (Math.max(0, own) + g.dotProduct(part.covariance.operate(g)))
                  + off * off);
    }
    return new Estimate(mean, Math.sqrt(variance));
  }

  /** The logarithm of how many times more the second card's beam has. */
  Estimate logRatio() {
    double mean = 0;
    for (Part part : parts) {
      mean += part.weight * part.change.getEntry(DarknessLaw.RATIO);
    }
    double variance = 0;
    for (Part part : parts) {
      double off = part.change.getEntry(DarknessLaw.RATIO) - mean;
      variance +=
          part.weight
              * (ofFew(part) * part.covariance.getEntry(DarknessLaw.RATIO, DarknessLaw.RATIO)
                  + off * off);
    }
    return new Estimate(law.number(DarknessLaw.RATIO) + mean, Math.sqrt(variance));
  }

  /** Standard deviation of one square about the surface. */
  double noise() {
    double variance = 0;
    for (Part part : parts) {
      variance += part.weight * part.variance;
    }
    return Math.sqrt(variance);
  }

  /** From the lightest to the darkest of the squares that count, as fitted. */
  double span() {
    double[] at =
        squares.stream()
            .filter(s -> !s.second())
            .mapToDouble(s -> darkness(s.percent(), s.speedMmS()))
            .sorted()
            .toArray();
    return at.length == 0 ? 0 : at[at.length - 1] - at[0];
  }
}
