package zebrawood.power;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.TDistribution;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * When does what a source gives fall below its limit, if it goes on as it went?
 *
 * <p>Three loss laws with equal prior weight: a constant loss per hour, a constant share per hour,
 * and a loss that grows with time. Each is a straight line, in the values, their logarithms or
 * their squares, by least squares after readings that lie far off a Theil and Sen line (the median
 * slope of all pairs; Sen, Journal of the American Statistical Association 63, 1379, 1968) are left
 * out. How likely the line is below the limit at any time is Student's t of its distance over its
 * error there; the time's quantiles are those of the mean of the three laws.
 */
public final class Ageing {
  /** Fewer do not tell a trend from chance. */
  public static final int LEAST = 4;

  private static final double FAR_OFF = 5;

  /** Of the forecast's span, until no double lies between. */
  private static final int HALVINGS = 60;

  /** Makes the median of absolute deviations a standard deviation, for a normal distribution. */
  private static final double OF_MEDIAN = 1.4826;

  /** Of the value: what no reading repeats better than. */
  private static final double LEAST_SCATTER = 0.003;

  /** No forecast beyond this many times the span of the readings. */
  private static final double LONGEST_FORECAST_SPANS = 20;

  private Ageing() {}

  /**
   * What it gave.
   *
   * @param at hours or days
   */
  public record Reading(double at, double value) {}

  /**
   * Where it goes.
   *
   * @param fallPer1000 the share lost in a thousand hours or days, of the first value
   * @param at when it crosses the limit most likely; empty where it may as well never
   * @param from nine times in ten it is later than this; with {@code until}, eight in ten between
   * @param until empty where it may be as late as one likes
   * @param leftOut numbers of the readings that lie far off
   */
  public record Trend(
      double fallPer1000,
      OptionalDouble at,
      OptionalDouble from,
      OptionalDouble until,
      List<Integer> leftOut) {
    /**
     * How fast it falls, and when it crosses its limit.
     *
     * @param inHours whether times are the counter's hours, else days
     * @param when says a time, as hours or as a date
     */
    public List<Message> said(boolean inHours, DoubleFunction<Message> when) {
      Message falls =
          Message.of(
              inHours ? "power.trend.falls-hours" : "power.trend.falls-days",
              Amount.of(100 * fallPer1000, Quantity.PERCENT, 1));
      if (from.isEmpty()) {
        return List.of(falls, Message.of("power.trend.far"));
      }
      Message earliest = when.apply(from.getAsDouble());
      return List.of(
          falls,
          until.isPresent()
              ? Message.of(
                  "power.trend.crosses",
                  at.isPresent() ? when.apply(at.getAsDouble()) : earliest,
                  earliest,
                  when.apply(until.getAsDouble()))
              : Message.of("power.trend.not-before", earliest));
    }
  }

  /** A straight line of transformed values. */
  private record Line(
      double meanAt, double meanValue, double slope, double squares, double scatter, int n) {
    double below(double at, double limit) {
      double error = scatter * Math.sqrt(1.0 / n + (at - meanAt) * (at - meanAt) / squares);
      double t = (limit - meanValue - slope * (at - meanAt)) / error;
      return new TDistribution(n - 2).cumulativeProbability(t);
    }
  }

  /**
   * @param readings at two times at least, all more than 0
   * @param limit the value that it must not fall below, more than 0
   * @return empty with fewer than four readings, or all at one time
   */
  public static Optional<Trend> of(List<Reading> readings, double limit) {
    if (readings.size() < LEAST
        || readings.stream().mapToDouble(Reading::at).distinct().count() < LEAST) {
      return Optional.empty();
    }
    List<Integer> off = farOff(readings);
    List<Reading> kept =
        IntStream.range(0, readings.size())
            .filter(i -> !off.contains(i))
            .mapToObj(readings::get)
            .toList();
    Line straight = line(kept, v -> v);
    Line shrinking = line(kept, Math::log);
    Line quickening = line(kept, v -> v * v);
    double last = readings.stream().mapToDouble(Reading::at).max().orElseThrow();
    double first = readings.stream().mapToDouble(Reading::at).min().orElseThrow();
    DoubleUnaryOperator below =
        at ->
            (straight.below(at, limit)
                    + shrinking.below(at, Math.log(limit))
                    + quickening.below(at, limit * limit))
                / 3;
    double start = straight.meanValue + straight.slope * (first - straight.meanAt);
    return Optional.of(
        new Trend(
            -1000 * straight.slope / start,
            quantile(below, 0.5, last, last - first),
            quantile(below, 0.1, last, last - first),
            quantile(below, 0.9, last, last - first),
            off));
  }

  private static List<Integer> farOff(List<Reading> readings) {
    List<Double> slopes = new ArrayList<>();
    for (int i = 0; i < readings.size(); i++) {
      for (int k = 0; k < i; k++) {
        double apart = readings.get(i).at - readings.get(k).at;
        if (apart != 0) {
          slopes.add((readings.get(i).value - readings.get(k).value) / apart);
        }
      }
    }
    double slope = median(slopes.stream().mapToDouble(d -> d).toArray());
    double[] level = readings.stream().mapToDouble(r -> r.value - slope * r.at).toArray();
    double middle = median(level);
    double[] away = Arrays.stream(level).map(v -> Math.abs(v - middle)).toArray();
    double typical = median(readings.stream().mapToDouble(Reading::value).toArray());
    double scatter = Math.max(OF_MEDIAN * median(away), LEAST_SCATTER * typical);
    List<Integer> off =
        IntStream.range(0, away.length).filter(i -> away[i] > FAR_OFF * scatter).boxed().toList();
    return readings.size() - off.size() >= LEAST ? off : List.of();
  }

  private static double median(double[] values) {
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    int n = sorted.length;
    return (sorted[(n - 1) / 2] + sorted[n / 2]) / 2;
  }

  private static Line line(List<Reading> readings, DoubleUnaryOperator of) {
    int n = readings.size();
    double meanAt = readings.stream().mapToDouble(Reading::at).average().orElseThrow();
    double mean =
        readings.stream().mapToDouble(r -> of.applyAsDouble(r.value)).average().orElseThrow();
    double squares = 0;
    double products = 0;
    for (Reading r : readings) {
      squares += (r.at - meanAt) * (r.at - meanAt);
      products += (r.at - meanAt) * (of.applyAsDouble(r.value) - mean);
    }
    double slope = products / squares;
    double left = 0;
    for (Reading r : readings) {
      double off = of.applyAsDouble(r.value) - mean - slope * (r.at - meanAt);
      left += off * off;
    }
    double typical =
        readings.stream()
            .map(Reading::value)
            .sorted(Comparator.naturalOrder())
            .skip(n / 2)
            .findFirst()
            .orElseThrow();
    double least =
        LEAST_SCATTER
            * typical
            * Math.abs(of.applyAsDouble(typical * 1.001) - of.applyAsDouble(typical))
            / (typical * 0.001);
    return new Line(meanAt, mean, slope, squares, Math.max(Math.sqrt(left / (n - 2)), least), n);
  }

  private static OptionalDouble quantile(
      DoubleUnaryOperator below, double share, double last, double span) {
    double low = last;
    double high = last + LONGEST_FORECAST_SPANS * span;
    if (below.applyAsDouble(low) >= share) {
      return OptionalDouble.of(last);
    }
    if (below.applyAsDouble(high) < share) {
      return OptionalDouble.empty();
    }
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (low + high) / 2;
      if (below.applyAsDouble(middle) < share) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return OptionalDouble.of(high);
  }
}
