package zebrawood.upkeep;

import java.util.List;
import java.util.OptionalDouble;

/** How long until something is to be done again, as it was found before. */
final class Interval {
  static final double MOST_DAYS = 36_525;
  private static final double LONGER = 1.15;
  private static final double SHORTER = 0.7;
  private static final double LEAST = 0.5;
  private static final double MOST = 2;

  /** Of a day: products of decimal figures are off by no more. */
  private static final double ROUNDING = 1e-9;

  private Interval() {}

  /** Fair leaves it; the limits count after each finding. */
  static OptionalDouble adapted(OptionalDouble given, List<Found> found) {
    if (given.isEmpty()) {
      return given;
    }
    double factor = 1;
    for (Found one : found) {
      factor =
          Math.clamp(
              switch (one) {
                case CLEAN -> factor * LONGER;
                case FAIR -> factor;
                case DIRTY -> factor * SHORTER;
              },
              LEAST,
              MOST);
    }
    return OptionalDouble.of(given.getAsDouble() * factor);
  }

  static long wholeDays(double days) {
    return (long) Math.floor(days + ROUNDING * Math.max(1, Math.abs(days)));
  }
}
