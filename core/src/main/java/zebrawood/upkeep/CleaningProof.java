package zebrawood.upkeep;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.hipparchus.distribution.continuous.TDistribution;
import zebrawood.measure.Accepts;
import zebrawood.measure.Estimate;
import zebrawood.measure.Resolution;

/**
 * Did cleaning help? The same burn before and after: the gain is how much more there is after it.
 * Its standard deviation is that of two means whose tries scatter alike, no less than the reading's
 * resolution says; it counts with Student's factor for so few tries (Bevington and Robinson, Data
 * Reduction and Error Analysis, 3rd ed., section 4.2).
 *
 * @param gain part by which it is better; below 0 where it is worse
 * @param margin beyond which chance alone brings it once in twenty; empty with too few tries
 * @param afterMean as it is now, in the unit it was read in
 * @param declines whether a second cleaning in a row left it worse than it was left before
 */
public record CleaningProof(
    Result result, Estimate gain, OptionalDouble margin, double afterMean, boolean declines) {
  /** What is compared. */
  public enum Kind {
    /** The fastest that still cuts through, mm/s: more is better. */
    CUT_SPEED,
    /** The least power that still marks, %: less is better. */
    POWER_NEEDED
  }

  /** What the tries say. */
  public enum Result {
    BETTER,
    NO_CHANGE,
    WORSE,
    CANNOT_TELL
  }

  /** A gain of less is none that anybody would see in the work. */
  private static final double MATTERS = 0.05;

  /** By so much a lens that comes clean does not stay behind. */
  private static final double DECLINE = 0.1;

  private static final double ONE_IN_TWENTY = 0.975;
  private static final int MOST_TRIES = 50;

  /**
   * The tries.
   *
   * @param readTo the least step of what was tried
   * @param leftBefore means after earlier cleanings, oldest first
   */
  public record Tries(
      Kind kind, List<Double> before, List<Double> after, double readTo, List<Double> leftBefore) {
    public Tries {
      before = List.copyOf(before);
      after = List.copyOf(after);
      leftBefore = List.copyOf(leftBefore);
      var accepts =
          new Accepts()
              .atLeast("before", before, 1, "upkeep.count.tries")
              .atMost("before", before, MOST_TRIES)
              .atLeast("after", after, 1, "upkeep.count.tries")
              .atMost("after", after, MOST_TRIES)
              .positive("readTo", readTo, 1000);
      each(accepts, "before", before);
      each(accepts, "after", after);
      each(accepts, "leftBefore", leftBefore);
      accepts.orThrow();
    }

    private static void each(Accepts accepts, String field, List<Double> values) {
      for (int i = 0; i < values.size(); i++) {
        accepts.positive(field + "[" + i + "]", values.get(i), 100_000);
      }
    }
  }

  public static CleaningProof of(Tries t) {
    double before = mean(t.before());
    double after = mean(t.after());
    int freedom = t.before().size() + t.after().size() - 2;
    double scatter =
        Math.max(
            Resolution.standardDeviation(t.readTo()),
            freedom > 0
                ? Math.sqrt((squares(t.before(), before) + squares(t.after(), after)) / freedom)
                : 0);
    double ratio = t.kind() == Kind.CUT_SPEED ? after / before : before / after;
    double relative =
        Math.hypot(
            scatter / Math.sqrt(t.before().size()) / before,
            scatter / Math.sqrt(t.after().size()) / after);
    Estimate gain = new Estimate(ratio - 1, ratio * relative);
    OptionalDouble margin =
        freedom > 0
            ? OptionalDouble.of(
                gain.uncertainty()
                    * new TDistribution(freedom).inverseCumulativeProbability(ONE_IN_TWENTY))
            : OptionalDouble.empty();
    return new CleaningProof(
        margin.isPresent() ? result(gain.value(), margin.getAsDouble()) : Result.CANNOT_TELL,
        gain,
        margin,
        after,
        declines(t, after));
  }

  private static Result result(double gain, double margin) {
    if (gain > margin) {
      return Result.BETTER;
    }
    if (gain < -margin) {
      return Result.WORSE;
    }
    return Math.abs(gain) + margin < MATTERS ? Result.NO_CHANGE : Result.CANNOT_TELL;
  }

  /** The best it was ever left, against the last two. */
  private static boolean declines(Tries t, double after) {
    List<Double> left = new ArrayList<>(t.leftBefore());
    left.add(after);
    if (left.size() < 3) {
      return false;
    }
    boolean more = t.kind() == Kind.CUT_SPEED;
    List<Double> first = left.subList(0, left.size() - 2);
    double best = first.stream().reduce(more ? Math::max : Math::min).orElseThrow();
    return left.subList(left.size() - 2, left.size()).stream()
        .allMatch(v -> more ? v < best * (1 - DECLINE) : v > best * (1 + DECLINE));
  }

  private static double mean(List<Double> of) {
    return of.stream().mapToDouble(v -> v).average().orElseThrow();
  }

  private static double squares(List<Double> of, double mean) {
    return of.stream().mapToDouble(v -> (v - mean) * (v - mean)).sum();
  }
}
