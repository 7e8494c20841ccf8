package zebrawood.power;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.DoubleFunction;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import zebrawood.measure.Estimate;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * When does what a source gives fall below its limit, if it goes on as it went?
 *
 * <p>Tubes wear slower and slower, evenly, or faster and faster: {@code v = a - b t^p} with t since
 * the first reading, for p from a half to four. Each law is fitted by least squares and counts as
 * likely as it makes the readings (the marginal likelihood of a and b free: Gelman and others,
 * Bayesian Data Analysis, 3rd ed., chapter 14), so that few readings leave all of them open. How
 * likely a law is below the limit at a time is Student's t of its distance over its error there.
 * Where neighbouring readings are off alike, they count as fewer.
 *
 * <p>A reading that the law of all others misses is left out, one at a time. Where the readings
 * jump between two days, as they do when another meter is taken, both are as likely: that the
 * source fell, and that the scale changed. Where it was told that another meter was taken, its
 * scale is fitted beside the wear, and all is told on the first meter's.
 */
public final class Ageing {
  /** Fewer do not tell a trend from chance. */
  public static final int LEAST = 4;

  private static final double[] POWERS = {0.5, 0.75, 1, 1.5, 2, 3, 4};

  /** Chance makes one of so many series show a slip. */
  private static final double BY_CHANCE = 0.002;

  /** Of the likeliest law's: less changes no quantile. */
  private static final double LEAST_WEIGHT = 1e-3;

  /** How likely there was one, for it to be told. */
  private static final double CLEAR_JUMP = 0.9;

  /** Of the readings; the least that stand before and after a jump. */
  private static final double MOST_LEFT_OUT = 0.2;

  static final int BESIDE_A_JUMP = 2;

  private static final int MOST_TRIED = 4;

  /** Fewer do not tell a jump from a bend. */
  private static final int LEAST_FOR_A_JUMP = 8;

  /** Of the forecast's span: to a minute of a year. */
  private static final int HALVINGS = 22;

  /** No forecast beyond this many times the span of the readings. */
  private static final double LONGEST_FORECAST_SPANS = 20;

  private static final double MOST_LIKENESS = 0.8;

  private Ageing() {}

  /**
   * What it gave.
   *
   * @param at hours or days
   * @param onMeter readings with the same number were read with one meter, as far as anybody said;
   *     what another meter shows differs by a share that nobody knows. Empty counts as 0
   */
  public record Reading(double at, double value, OptionalInt onMeter) {
    public Reading(double at, double value) {
      this(at, value, OptionalInt.empty());
    }

    public Reading(double at, double value, int meter) {
      this(at, value, OptionalInt.of(meter));
    }

    int scale() {
      return onMeter.orElse(0);
    }
  }

  /**
   * A jump between two readings that no wear makes.
   *
   * @param share of the value, less than 0 for down
   * @param after when it was read last before it, and {@code before} when first after it
   */
  public record Step(double share, double after, double before) {}

  /**
   * Where it goes.
   *
   * @param fallPer1000 the share lost in a thousand hours or days of late, of the first value
   * @param now what it gives at the last reading, by all of them, on the first meter's scale
   * @param at when it crosses the limit most likely; empty where it may as well never
   * @param from nine times in ten it is later than this; with {@code until}, eight in ten between
   * @param until empty where it may be as late as one likes
   * @param leftOut numbers of the readings that lie far off
   * @param lastAlone whether the newest reading is one of them
   */
  public record Trend(
      double fallPer1000,
      Optional<Estimate> now,
      OptionalDouble at,
      OptionalDouble from,
      OptionalDouble until,
      List<Integer> leftOut,
      boolean lastAlone,
      Optional<Step> step) {
    /**
     * How fast it falls, and when it crosses its limit.
     *
     * @param inHours whether times are the counter's hours, else days
     * @param when says a time, as hours or as a date
     */
    public List<Message> said(boolean inHours, DoubleFunction<Message> when) {
      List<Message> said = new ArrayList<>();
      said.add(
          Message.of(
              inHours ? "power.trend.falls-hours" : "power.trend.falls-days",
              Amount.of(100 * fallPer1000, Quantity.PERCENT, 1)));
      said.add(crosses(when));
      step.ifPresent(s ->
          said.add(
              Message.of(
                  "power.trend.step",
                  Amount.of(100 * Math.abs(s.share), Quantity.PERCENT, 0),
                  when.apply(s.after),
                  when.apply(s.before))));
      return said;
    }

    private Message crosses(DoubleFunction<Message> when) {
      if (from.isEmpty()) {
        return Message.of("power.trend.far");
      }
      Message earliest = when.apply(from.getAsDouble());
      return until.isPresent()
          ? Message.of(
              "power.trend.crosses",
              at.isPresent() ? when.apply(at.getAsDouble()) : earliest,
              earliest,
              when.apply(until.getAsDouble()))
          : Message.of("power.trend.not-before", earliest);
    }
  }

  /** All laws through the readings, each by how likely it is. */
  private record Laws(List<WearLaw> laws, List<Double> weights) {
    static Laws plain(List<Reading> readings) {
      return of(readings, false);
    }

    /** With every jump that there may have been. */
    static Laws withJumps(List<Reading> readings) {
      return of(readings, readings.size() >= LEAST_FOR_A_JUMP);
    }

    private static Laws of(List<Reading> readings, boolean jumping) {
      List<WearLaw> laws = all(readings, jumping);
      double alike = alike(laws.get(mostLikely(laws)).fit.residuals());
      laws.forEach(law -> law.countAs(alike));
      double most = laws.get(mostLikely(laws)).likelihood;
      double[] w = laws.stream().mapToDouble(l -> Math.exp(l.likelihood - most)).toArray();
      int[] counted = IntStream.range(0, w.length).filter(i -> w[i] > LEAST_WEIGHT).toArray();
      double sum = Arrays.stream(counted).mapToDouble(i -> w[i]).sum();
      return new Laws(
          Arrays.stream(counted).mapToObj(laws::get).toList(),
          Arrays.stream(counted).mapToObj(i -> w[i] / sum).toList());
    }

    private static List<WearLaw> all(List<Reading> readings, boolean jumping) {
      int n = readings.size();
      List<WearLaw> laws = new ArrayList<>();
      for (double power : POWERS) {
        add(laws, new WearLaw(readings, power, n));
        for (int at = BESIDE_A_JUMP; jumping && at <= n - BESIDE_A_JUMP; at++) {
          // A change of meter that was told has its own scale.
          if (readings.get(at).at > readings.get(at - 1).at
              && readings.get(at).scale() == readings.get(at - 1).scale()) {
            add(laws, new WearLaw(readings, power, at));
          }
        }
      }
      return laws;
    }

    /**
     * Where all readings beside a jump are of one time, as seen by a law, it is not told from wear.
     */
    private static void add(List<WearLaw> laws, WearLaw law) {
      if (law.determined) {
        laws.add(law);
      }
    }

    /** The likeliest jump, where that there was one is clear. */
    Optional<Step> jump(List<Reading> readings) {
      if (mean(l -> l.jumps() ? 1 : 0) < CLEAR_JUMP) {
        return Optional.empty();
      }
      WearLaw law =
          laws.stream()
              .filter(WearLaw::jumps)
              .max(Comparator.comparingDouble(l -> l.likelihood))
              .orElseThrow();
      double before = law.value(readings.get(law.jump).at - readings.getFirst().at, false).value();
      return Optional.of(
          new Step(
              law.jumpsBy() / before, readings.get(law.jump - 1).at, readings.get(law.jump).at));
    }

    private static int mostLikely(List<WearLaw> laws) {
      return IntStream.range(0, laws.size())
          .boxed()
          .max(Comparator.comparingDouble(i -> laws.get(i).likelihood))
          .orElseThrow();
    }

    WearLaw likeliest() {
      return laws.get(mostLikely(laws));
    }

    double mean(ToDoubleFunction<WearLaw> of) {
      double sum = 0;
      for (int i = 0; i < laws.size(); i++) {
        sum += weights.get(i) * of.applyAsDouble(laws.get(i));
      }
      return sum;
    }

    /** After a jump: on the scale of the last readings. */
    Estimate value(double sinceFirst) {
      double mean = mean(l -> l.value(sinceFirst, true).value());
      double variance =
          mean(l -> {
            Estimate e = l.value(sinceFirst, true);
            double off = e.value() - mean;
            return e.uncertainty() * e.uncertainty() + off * off;
          });
      return new Estimate(mean, Math.sqrt(variance));
    }
  }

  /** By how much the variance of a mean is larger where neighbours are off alike. */
  private static double alike(List<Double> residuals) {
    double products = 0;
    double squares = 0;
    for (int i = 0; i < residuals.size(); i++) {
      squares += residuals.get(i) * residuals.get(i);
      products += i > 0 ? residuals.get(i) * residuals.get(i - 1) : 0;
    }
    // Residuals of a fitted line are a little less alike than what they are of.
    double like = squares > 0 ? products / squares + 2.0 / residuals.size() : 0;
    double capped = Math.clamp(like, 0, MOST_LIKENESS);
    return (1 + capped) / (1 - capped);
  }

  /**
   * @param readings at two times at least, all more than 0
   * @param limit the value that it must not fall below, more than 0
   * @return empty with fewer than four readings at different times, and one more for each meter
   *     beside the first
   */
  public static Optional<Trend> of(List<Reading> readings, double limit) {
    if (tooFew(readings)) {
      return Optional.empty();
    }
    List<Integer> order =
        IntStream.range(0, readings.size())
            .boxed()
            .sorted(Comparator.comparingDouble(i -> readings.get(i).at))
            .toList();
    int newest = order.getLast();
    List<Integer> off = farOff(readings, order);
    List<Reading> kept = order.stream().filter(i -> !off.contains(i)).map(readings::get).toList();
    double first = kept.getFirst().at;
    double last = kept.getLast().at;
    Laws laws = Laws.withJumps(kept);
    DoubleUnaryOperator below = at -> laws.mean(l -> l.below(at - first, limit));
    return Optional.of(
        new Trend(
            -1000 * laws.mean(WearLaw::slopeAtEnd) / laws.mean(l -> l.value(0, false).value()),
            Optional.of(laws.value(last - first)),
            quantile(below, 0.5, last, last - first),
            quantile(below, 0.1, last, last - first),
            quantile(below, 0.9, last, last - first),
            off.stream().sorted().toList(),
            off.contains(newest),
            laws.jump(kept)));
  }

  /** Each meter takes a reading for its own scale. */
  private static boolean tooFew(List<Reading> readings) {
    long scales = readings.stream().mapToInt(Reading::scale).distinct().count();
    long different = readings.stream().map(r -> new Reading(r.at, 0, r.scale())).distinct().count();
    return different - scales < LEAST - 1;
  }

  /** The few that lie farthest off the likeliest law of all. */
  private static List<Integer> farthest(List<Reading> readings, List<Integer> kept) {
    List<Double> off =
        Laws.plain(kept.stream().map(readings::get).toList()).likeliest().fit.residuals();
    return IntStream.range(0, kept.size())
        .boxed()
        .sorted(Comparator.comparingDouble(k -> -Math.abs(off.get(k))))
        .limit(MOST_TRIED)
        .map(kept::get)
        .toList();
  }

  /** Readings that the likeliest law of all others misses by more than chance. */
  private static List<Integer> farOff(List<Reading> readings, List<Integer> order) {
    List<Integer> off = new ArrayList<>();
    List<Integer> kept = new ArrayList<>(order);
    while (off.size() + 1 <= MOST_LEFT_OUT * readings.size() && kept.size() > LEAST + 1) {
      int worst = -1;
      double least = BY_CHANCE / kept.size();
      for (int i : farthest(readings, kept)) {
        List<Reading> others = kept.stream().filter(k -> k != i).map(readings::get).toList();
        int scale = readings.get(i).scale();
        if (tooFew(others) || others.stream().noneMatch(o -> o.scale() == scale)) {
          continue;
        }
        WearLaw law = Laws.plain(others).likeliest();
        double away = law.awayOf(readings.get(i), others.getFirst().at);
        double chance = 2 * law.students.cumulativeProbability(-Math.abs(away));
        if (chance < least) {
          least = chance;
          worst = i;
        }
      }
      if (worst < 0) {
        break;
      }
      off.add(worst);
      kept.remove(Integer.valueOf(worst));
    }
    return off;
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
