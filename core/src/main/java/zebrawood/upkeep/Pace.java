package zebrawood.upkeep;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.upkeep.UpkeepReadings.CounterReading;

/**
 * How many hours of beam a day: the median of the slopes of all pairs of readings of the last 90
 * days (Theil 1950; Sen, Estimates of the regression coefficient based on Kendall's tau, 1968).
 *
 * @param hoursPerDay empty with fewer than two days read
 * @param uncertainty half the width of Sen's interval that holds the slope twice in three times;
 *     empty where there are too few readings to tell
 * @param last the latest reading; empty where there is none
 */
record Pace(OptionalDouble hoursPerDay, OptionalDouble uncertainty, Optional<CounterReading> last) {
  static final int DAYS = 90;

  static List<CounterReading> inOrder(List<CounterReading> counter) {
    return counter.stream()
        .sorted(
            Comparator.comparing(CounterReading::date).thenComparingDouble(CounterReading::hours))
        .toList();
  }

  static Pace of(List<CounterReading> counter, LocalDate today) {
    List<CounterReading> all = inOrder(counter);
    List<CounterReading> late =
        all.stream().filter(r -> !r.date().isBefore(today.minusDays(DAYS))).toList();
    double[] slopes = slopes(late);
    Optional<CounterReading> last = all.isEmpty() ? Optional.empty() : Optional.of(all.getLast());
    return slopes.length == 0
        ? new Pace(OptionalDouble.empty(), OptionalDouble.empty(), last)
        : new Pace(OptionalDouble.of(median(slopes)), spread(slopes, late.size()), last);
  }

  private static double[] slopes(List<CounterReading> late) {
    double[] slopes = new double[late.size() * (late.size() - 1) / 2];
    int n = 0;
    for (int i = 0; i < late.size(); i++) {
      for (int j = i + 1; j < late.size(); j++) {
        long days = ChronoUnit.DAYS.between(late.get(i).date(), late.get(j).date());
        if (days > 0) {
          slopes[n++] = (late.get(j).hours() - late.get(i).hours()) / days;
        }
      }
    }
    double[] sorted = Arrays.copyOf(slopes, n);
    Arrays.sort(sorted);
    return sorted;
  }

  private static double median(double[] sorted) {
    int n = sorted.length;
    return n % 2 == 1 ? sorted[n / 2] : (sorted[n / 2 - 1] + sorted[n / 2]) / 2;
  }

  /** Ranks one standard deviation of Kendall's score from the middle. */
  private static OptionalDouble spread(double[] sorted, int readings) {
    double deviation = Math.sqrt(readings * (readings - 1.0) * (2.0 * readings + 5) / 18);
    int lower = (int) Math.floor((sorted.length - deviation) / 2) - 1;
    int upper = (int) Math.ceil((sorted.length + deviation) / 2);
    return lower < 0 || upper >= sorted.length
        ? OptionalDouble.empty()
        : OptionalDouble.of((sorted[upper] - sorted[lower]) / 2);
  }

  /** Whether it makes days of hours. */
  boolean counts() {
    return hoursPerDay.orElse(0) > 0;
  }

  /** The day on which the counter will have come to this; empty where nothing tells it. */
  Optional<LocalDate> when(double hours) {
    return counts() && last.isPresent()
        ? dayAfter(last.get().date(), (hours - last.get().hours()) / hoursPerDay.getAsDouble())
        : Optional.empty();
  }

  /** So many hours after a day; empty where nothing tells it. */
  Optional<LocalDate> after(LocalDate day, double hours) {
    return counts() ? dayAfter(day, hours / hoursPerDay.getAsDouble()) : Optional.empty();
  }

  /** A counter that hardly moves gets nowhere in a hundred years. */
  private static Optional<LocalDate> dayAfter(LocalDate day, double days) {
    return Math.abs(days) > Interval.MOST_DAYS
        ? Optional.empty()
        : Optional.of(day.plusDays(Interval.wholeDays(days)));
  }
}
