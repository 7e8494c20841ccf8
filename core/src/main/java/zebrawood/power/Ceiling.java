package zebrawood.power;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Estimate;
import zebrawood.measure.Resolution;
import zebrawood.measure.Verdict;
import zebrawood.power.CeilingReadings.Sample;
import zebrawood.power.IsotonicFit.Point;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * At which setting of the dial does the tube draw the agreed current?
 *
 * <p>In: currents in mA at settings in percent. Out: the setting for the ceiling. The readings are
 * made rising ({@link IsotonicFit}) and joined by straight lines; nothing is said beyond the lowest
 * and the highest of them. The uncertainty is that of the two readings between which the ceiling
 * lies, over the slope there, enlarged by the misfit, with what a straight line misses of a bend
 * between them: {@code (x - a)(b - x) f'' / 2}, by the readings on both sides (Abramowitz and
 * Stegun, Handbook of Mathematical Functions, 25.2.7). Refuses fewer than three readings and a
 * ceiling above the tube's maximum; stops where any reading was above that.
 */
public final class Ceiling {
  private Ceiling() {}

  public static CeilingFinding solve(CeilingReadings readings) {
    double cap = readings.ceilingMa();
    IsotonicFit rising = rising(readings);
    Optional<Estimate> dial = dial(rising, cap, readings.meterResolutionMa());
    double highest = readings.samples().stream().mapToDouble(Sample::currentMa).max().orElseThrow();
    boolean over = highest > readings.tubeMaximumMa();
    List<Advice> advice = new ArrayList<>();
    if (over) {
      advice.add(
          Advice.act("power.ceiling.down")
              .because(
                  "power.ceiling.down.why",
                  Amount.plain(highest, Quantity.SMALL_CURRENT),
                  Amount.plain(readings.tubeMaximumMa(), Quantity.SMALL_CURRENT)));
    }
    dial.ifPresentOrElse(
        d ->
            advice.add(
                Advice.act("power.ceiling.set", Amount.of(d.value(), Quantity.PERCENT, 1))
                    .because(
                        "power.ceiling.set.why",
                        Message.bare(Amount.of(d.uncertainty(), Quantity.PERCENT, 1)),
                        Amount.of(cap, Quantity.SMALL_CURRENT, 1))),
        () -> advice.add(again(rising, cap)));
    return new CeilingFinding(
        cap,
        dial,
        cap,
        highest,
        over ? Verdict.STOP : dial.isPresent() ? Verdict.ADJUST : Verdict.MEASURE_AGAIN,
        advice,
        List.of());
  }

  private static Advice again(IsotonicFit rising, double cap) {
    Amount ceiling = Amount.of(cap, Quantity.SMALL_CURRENT, 1);
    return cap > rising.last().value()
        ? Advice.read("power.ceiling.higher", Amount.of(rising.last().at(), Quantity.PERCENT, 0))
            .because("power.ceiling.outside", ceiling)
        : Advice.read("power.ceiling.lower", Amount.of(rising.first().at(), Quantity.PERCENT, 0))
            .because("power.ceiling.outside", ceiling);
  }

  /** What a percent of the dial changes about the ceiling; empty outside of what was read. */
  static OptionalDouble slopeAtCap(CeilingReadings readings) {
    IsotonicFit rising = rising(readings);
    return between(rising.points(), readings.ceilingMa())
        .map(pair -> OptionalDouble.of(pair.slope()))
        .orElse(OptionalDouble.empty());
  }

  private static IsotonicFit rising(CeilingReadings readings) {
    return IsotonicFit.of(
        readings.samples().stream()
            .map(s -> new IsotonicFit.Reading(s.dialPercent(), s.currentMa()))
            .toList());
  }

  /** Two neighbours between which the ceiling lies. */
  private record Pair(Point low, Point high) {
    double slope() {
      return (high.value() - low.value()) / (high.at() - low.at());
    }
  }

  private static Optional<Pair> between(List<Point> points, double cap) {
    for (int i = 0; i + 1 < points.size(); i++) {
      Point low = points.get(i);
      Point high = points.get(i + 1);
      if (low.value() <= cap && cap <= high.value() && low.value() < high.value()) {
        return Optional.of(new Pair(low, high));
      }
    }
    return Optional.empty();
  }

  private static Optional<Estimate> dial(IsotonicFit rising, double cap, double resolution) {
    double error = Resolution.standardDeviation(resolution);
    double enlarged = error * rising.enlarge(error);
    return between(rising.points(), cap)
        .map(pair -> {
          double share = (cap - pair.low.value()) / (pair.high.value() - pair.low.value());
          double read =
              enlarged
                  * Math.sqrt(
                      (1 - share) * (1 - share) / pair.low.count()
                          + share * share / pair.high.count());
          double apart = pair.high.at() - pair.low.at();
          double currentError =
              Math.hypot(
                  read,
                  share * (1 - share) * apart * apart / 2 * bend(rising.points(), pair, enlarged));
          return new Estimate(
              pair.low.at() + share * (pair.high.at() - pair.low.at()),
              // Somewhere between 0 and 100 it is, whatever was read.
              Math.min(currentError / pair.slope(), Resolution.standardDeviation(100)));
        });
  }

  /**
   * How much the slope changes for one percent of the dial there: the larger of both sides, less
   * what the readings' own error makes of a straight line.
   */
  private static double bend(List<Point> points, Pair pair, double error) {
    int low = points.indexOf(pair.low);
    double most = 0;
    for (int i = Math.max(1, low); i <= Math.min(points.size() - 2, low + 1); i++) {
      Point a = points.get(i - 1);
      Point b = points.get(i);
      Point c = points.get(i + 1);
      double left = b.at() - a.at();
      double right = c.at() - b.at();
      double bend =
          2
              * ((c.value() - b.value()) / right - (b.value() - a.value()) / left)
              / (c.at() - a.at());
      double byError =
          2
              * error
              * Math.hypot(Math.hypot(1 / left, 1 / right), 1 / left + 1 / right)
              / (c.at() - a.at());
      most = Math.max(most, bend * bend - 4 * byError * byError);
    }
    return Math.sqrt(most);
  }
}
