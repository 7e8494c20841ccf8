package zebrawood.power;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Readings that must rise, made to: neighbours that fall are given their common mean, which is the
 * nearest rising sequence by least squares (pool adjacent violators; Barlow, Bartholomew, Bremner
 * and Brunk, Statistical Inference under Order Restrictions, 1972, section 1.2). Readings at one
 * place are one, their mean.
 */
final class IsotonicFit {
  /**
   * One place.
   *
   * @param count readings that went into the value
   */
  record Point(double at, double value, int count) {}

  private final List<Point> points;
  private final double sumOfSquares;
  private final int freedom;

  private IsotonicFit(List<Point> points, double sumOfSquares, int freedom) {
    this.points = points;
    this.sumOfSquares = sumOfSquares;
    this.freedom = freedom;
  }

  /** One reading. */
  record Reading(double at, double value) {}

  private static final class Block {
    double sum;
    int count;
    int places = 1;

    double mean() {
      return sum / count;
    }
  }

  static IsotonicFit of(List<Reading> readings) {
    List<Reading> sorted =
        readings.stream().sorted(Comparator.comparingDouble(Reading::at)).toList();
    List<Double> at = new ArrayList<>();
    List<Block> blocks = new ArrayList<>();
    for (Reading r : sorted) {
      if (at.isEmpty() || r.at > at.getLast()) {
        at.add(r.at);
        blocks.add(new Block());
      }
      blocks.getLast().sum += r.value;
      blocks.getLast().count++;
    }
    List<Block> pooled = new ArrayList<>();
    for (Block block : blocks) {
      pooled.add(block);
      while (pooled.size() > 1 && pooled.get(pooled.size() - 2).mean() >= pooled.getLast().mean()) {
        Block last = pooled.removeLast();
        Block into = pooled.getLast();
        into.sum += last.sum;
        into.count += last.count;
        into.places += last.places;
      }
    }
    List<Point> points = new ArrayList<>();
    for (Block block : pooled) {
      for (int i = 0; i < block.places; i++) {
        points.add(new Point(at.get(points.size()), block.mean(), block.count));
      }
    }
    double squares = 0;
    for (Reading r : sorted) {
      double off = r.value - points.get(at.indexOf(r.at)).value;
      squares += off * off;
    }
    return new IsotonicFit(List.copyOf(points), squares, readings.size() - pooled.size());
  }

  List<Point> points() {
    return points;
  }

  Point first() {
    return points.getFirst();
  }

  Point last() {
    return points.getLast();
  }

  /** How much larger the readings' error is than this one, by their misfit; 1 at least. */
  double enlarge(double error) {
    return freedom > 0 ? Math.sqrt(Math.max(1, sumOfSquares / freedom / (error * error))) : 1;
  }
}
