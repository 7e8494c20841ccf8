package zebrawood.cards;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import zebrawood.cards.CrossFinder.CardMap;
import zebrawood.measure.Estimate;
import zebrawood.measure.Picture;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * How light the bare stock is where each square was burnt, by what lies about it: a smooth surface
 * through all strips between squares, for how the card is lit, and what the strips on its own four
 * sides have beside that, for the grain.
 */
final class BareStock {
  /** Of the gap, from the square: nearer it is scorched, or the beam is as wide. */
  private static final double FROM = 0.22;

  private static final double TO = 0.78;

  /** Of a square's side: what is looked at beside it. */
  private static final double INNER = 0.7;

  private static final double LEAST_PX = 2;
  private static final int ROUNDS = 8;

  /** With so many strips a surface of the third degree is told. */
  private static final int[] ENOUGH = {4, 10, 30, 60};

  private enum Side {
    LEFT,
    RIGHT,
    FRONT,
    REAR
  }

  /**
   * One strip.
   *
   * @param logLight of its usual pixel
   */
  private record Strip(int square, Side side, double xMm, double yMm, double logLight) {}

  private final CardScanReadings r;
  private final Picture picture;
  private final CardMap map;
  private final List<Strip> strips = new ArrayList<>();
  private final double[] surface;
  private final int degree;
  private double limited;
  private double looked;
  private final List<Map<Side, Double>> beside = new ArrayList<>();
  private final double acrossVariance;
  private final double upVariance;
  private final double ownVariance;

  BareStock(CardScanReadings r, Picture picture, CardMap map) {
    this.r = r;
    this.picture = picture;
    this.map = map;
    for (int i = 0; i < r.squares().size(); i++) {
      strips(i);
    }
    if (strips.size() < ENOUGH[0]) {
      throw UnusableReading.of(
          "squares", Message.of("cards.found.no-bare"), Message.of("cards.accepts.bare"));
    }
    int most = 0;
    while (most + 1 < ENOUGH.length && strips.size() >= ENOUGH[most + 1]) {
      most++;
    }
    degree = most;
    surface = surface();
    double typical = typicalOff();
    for (int i = 0; i < r.squares().size(); i++) {
      beside.add(new EnumMap<>(Side.class));
    }
    for (Strip s : strips) {
      double off = s.logLight - at(s.xMm, s.yMm);
      // Labels and specks are no grain.
      if (Math.abs(off) < 5 * typical + 1e-4) {
        beside.get(s.square).put(s.side, off);
      }
    }
    acrossVariance = ofPairs(Side.LEFT, Side.RIGHT, typical);
    upVariance = ofPairs(Side.FRONT, Side.REAR, typical);
    ownVariance = typical * typical;
  }

  /** How far the nearest square lies on that side; empty room counts as the usual gap. */
  private double gap(int of, Side side, double usual) {
    CardScanReadings.Square s = r.squares().get(of);
    double nearest = Double.POSITIVE_INFINITY;
    for (CardScanReadings.Square t : r.squares()) {
      boolean row = t.yMm() < s.yMm() + s.hMm() && t.yMm() + t.hMm() > s.yMm();
      boolean column = t.xMm() < s.xMm() + s.wMm() && t.xMm() + t.wMm() > s.xMm();
      if (t == s) {
        continue;
      }
      double away =
          switch (side) {
            case LEFT -> row && t.xMm() < s.xMm() ? s.xMm() - t.xMm() - t.wMm() : -1;
            case RIGHT -> row && t.xMm() > s.xMm() ? t.xMm() - s.xMm() - s.wMm() : -1;
            case FRONT -> column && t.yMm() < s.yMm() ? s.yMm() - t.yMm() - t.hMm() : -1;
            case REAR -> column && t.yMm() > s.yMm() ? t.yMm() - s.yMm() - s.hMm() : -1;
          };
      if (away >= 0) {
        nearest = Math.min(nearest, away);
      }
    }
    return nearest < Double.POSITIVE_INFINITY ? nearest : usual;
  }

  private void strips(int i) {
    CardScanReadings.Square s = r.squares().get(i);
    // Beside the outermost squares lies the stock between the crosses.
    double usual = Math.min(r.crossSizeMm(), 0.5 * Math.min(s.wMm(), s.hMm()));
    double rimX = s.wMm() * (1 - INNER) / 2;
    double rimY = s.hMm() * (1 - INNER) / 2;
    for (Side side : Side.values()) {
      double gap = Math.min(gap(i, side, usual), 3 * usual);
      double wide = (TO - FROM) * gap;
      if (wide * map.pxPerMm(s.xMm(), s.yMm()) >= LEAST_PX) {
        switch (side) {
          case LEFT -> strip(i, side, s.xMm() - TO * gap, s.yMm() + rimY, wide, INNER * s.hMm());
          case RIGHT ->
              strip(i, side, s.xMm() + s.wMm() + FROM * gap, s.yMm() + rimY, wide, INNER * s.hMm());
          case FRONT -> strip(i, side, s.xMm() + rimX, s.yMm() - TO * gap, INNER * s.wMm(), wide);
          case REAR ->
              strip(i, side, s.xMm() + rimX, s.yMm() + s.hMm() + FROM * gap, INNER * s.wMm(), wide);
        }
      }
    }
  }

  private void strip(int i, Side side, double x, double y, double width, double height) {
    SquareLight light = SquareLight.of(picture, map, x, y, width, height);
    if (light.count() < 4) {
      return;
    }
    limited += light.limitedShare() * light.count();
    looked += light.count();
    strips.add(
        new Strip(
            i, side, x + width / 2, y + height / 2, Math.log(Math.max(1e-5, light.usualMean()))));
  }

  private double middleX() {
    return (r.crossesMm().get(0).get(0) + r.crossesMm().get(2).get(0)) / 2;
  }

  private double middleY() {
    return (r.crossesMm().get(0).get(1) + r.crossesMm().get(2).get(1)) / 2;
  }

  private double[] terms(double xMm, double yMm) {
    double half =
        Math.max(
            Math.abs(r.crossesMm().get(2).get(0) - middleX()),
            Math.abs(r.crossesMm().get(2).get(1) - middleY()));
    double x = (xMm - middleX()) / half;
    double y = (yMm - middleY()) / half;
    double[] terms = new double[(degree + 1) * (degree + 2) / 2];
    int at = 0;
    for (int sum = 0; sum <= degree; sum++) {
      for (int i = 0; i <= sum; i++) {
        terms[at++] = Math.pow(x, sum - i) * Math.pow(y, i);
      }
    }
    return terms;
  }

  private double at(double xMm, double yMm) {
    double[] terms = terms(xMm, yMm);
    double sum = 0;
    for (int i = 0; i < terms.length; i++) {
      sum += terms[i] * surface[i];
    }
    return sum;
  }

  /** Least squares, those far off it weighed down round by round (Tukey's weights). */
  private double[] surface() {
    int n = strips.size();
    double[] weights = new double[n];
    Arrays.fill(weights, 1);
    double[] found = new double[0];
    for (int round = 0; round < ROUNDS; round++) {
      double[][] rows = new double[n][];
      double[] right = new double[n];
      for (int i = 0; i < n; i++) {
        rows[i] = terms(strips.get(i).xMm, strips.get(i).yMm);
        for (int j = 0; j < rows[i].length; j++) {
          rows[i][j] *= weights[i];
        }
        right[i] = strips.get(i).logLight * weights[i];
      }
      try {
        found =
            new QRDecomposition(new Array2DRowRealMatrix(rows, false), 1e-9)
                .getSolver()
                .solve(new ArrayRealVector(right, false))
                .toArray();
      } catch (MathRuntimeException e) {
        // Strips on one line: as if lit evenly.
        double mean = strips.stream().mapToDouble(Strip::logLight).average().orElse(0);
        double[] even = new double[terms(0, 0).length];
        even[0] = mean;
        return even;
      }
      double[] off = new double[n];
      for (int i = 0; i < n; i++) {
        double[] terms = terms(strips.get(i).xMm, strips.get(i).yMm);
        double at = 0;
        for (int j = 0; j < terms.length; j++) {
          at += terms[j] * found[j];
        }
        off[i] = Math.abs(strips.get(i).logLight - at);
      }
      double[] sorted = off.clone();
      Arrays.sort(sorted);
      double scale = 6 * 1.4826 * sorted[n / 2] + 1e-5;
      for (int i = 0; i < n; i++) {
        double u = off[i] / scale;
        weights[i] = u < 1 ? 1 - u * u : 0;
      }
    }
    return found;
  }

  private double typicalOff() {
    double[] off =
        strips.stream()
            .mapToDouble(s -> Math.abs(s.logLight - at(s.xMm, s.yMm)))
            .sorted()
            .toArray();
    return 1.4826 * off[off.length / 2];
  }

  /** Of the mean of two opposite strips, as it stands for what lies between them. */
  private double ofPairs(Side one, Side other, double typical) {
    double sum = 0;
    int n = 0;
    for (Map<Side, Double> sides : beside) {
      if (sides.containsKey(one) && sides.containsKey(other)) {
        double off = sides.get(one) - sides.get(other);
        sum += off * off / 4;
        n++;
      }
    }
    return Math.max(1e-10, n < 3 ? typical * typical : sum / n);
  }

  /** Its light there, linear, with the uncertainty. */
  Estimate light(int square) {
    CardScanReadings.Square s = r.squares().get(square);
    double here = at(s.xMm() + s.wMm() / 2, s.yMm() + s.hMm() / 2);
    double weight = 1 / Math.max(1e-10, ownVariance);
    double sum = 0;
    for (boolean across : new boolean[] {true, false}) {
      double[] sides =
          beside.get(square).entrySet().stream()
              .filter(e -> (e.getKey() == Side.LEFT || e.getKey() == Side.RIGHT) == across)
              .mapToDouble(Map.Entry::getValue)
              .toArray();
      if (sides.length > 0) {
        double variance = (across ? acrossVariance : upVariance) * 2 / sides.length;
        sum += Arrays.stream(sides).average().orElse(0) / variance;
        weight += 1 / variance;
      }
    }
    double light = Math.exp(here + sum / weight);
    return new Estimate(light, light * Math.sqrt(1 / weight));
  }

  /** Share of its pixels that are as light or as dark as the picture can tell. */
  double limitedShare() {
    return looked == 0 ? 0 : limited / looked;
  }
}
