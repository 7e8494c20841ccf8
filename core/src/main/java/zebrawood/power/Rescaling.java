package zebrawood.power;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.LinearFit;
import zebrawood.measure.Verdict;
import zebrawood.power.RescaleFinding.Setting;
import zebrawood.power.RescaleReadings.JobSetting;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Which settings give the same result with the power as it is now?
 *
 * <p>In: watts at percentages before and after, settings in percent and mm/s. Out: the percentage
 * that gives the same watts; where there are not so many, the highest that was measured, with a
 * speed that keeps the joules per millimetre; where even the lowest gives more, that one, faster.
 * Curves: {@link PowerCurve}. The loss is the mean over the percentages of the first curve that
 * give at least a twentieth of its most and lie within the second. Where it is known how readings
 * scatter, nothing is made anew for a loss or gain within two deviations. A setting that gave no
 * watts stays as it is. Refuses settings outside of what was measured before, by name.
 */
public final class Rescaling {
  private static final double WORTH_COMPARING = 0.05;
  private static final double UNCHANGED_PERCENT = 0.05;

  /** Of the most: less is what the fit of a curve leaves, not light. */
  private static final double NO_WATTS = 1e-6;

  private static final int MOST_MOVED = 200;
  private static final int LEAST_FOR_ROUGHNESS = 4;

  /** More sentences of one kind are not read. */
  private static final int MOST_WARNINGS = 20;

  private Rescaling() {}

  public static RescaleFinding solve(RescaleReadings readings) {
    PowerCurve before = new PowerCurve(readings.before());
    PowerCurve after = new PowerCurve(readings.after());
    OptionalDouble loss = loss(readings.before(), before, after);
    OptionalDouble unsure =
        loss.isPresent() && readings.scatterPercent().isPresent()
            ? OptionalDouble.of(unsure(readings, readings.scatterPercent().getAsDouble() / 100))
            : OptionalDouble.empty();
    boolean same = unsure.isPresent() && Math.abs(loss.getAsDouble()) <= 2 * unsure.getAsDouble();
    List<Setting> settings = new ArrayList<>(readings.settings().size());
    List<Message> warnings = new ArrayList<>();
    boolean changed = false;
    int slower = 0;
    int dark = 0;
    for (JobSetting s : readings.settings()) {
      boolean noWatts = !(before.watts(s.percent()) > NO_WATTS * before.mostWatts());
      if (noWatts && dark++ < MOST_WARNINGS) {
        warnings.add(Message.of("power.rescale.no-watts", Message.quoted(s.name())));
      }
      Setting now = same || noWatts ? asItIs(s) : rescaled(s, before, after);
      settings.add(now);
      changed |= Math.abs(now.percent() - s.percent()) > UNCHANGED_PERCENT || !now.reachable();
      if (!now.reachable() && slower++ < MOST_WARNINGS) {
        warnings.add(
            Message.of(
                now.speedMmS() < s.speedMmS() ? "power.rescale.slower" : "power.rescale.faster",
                Message.quoted(s.name()),
                Amount.of(now.speedMmS(), Quantity.SPEED, 1)));
      }
    }
    if (slower > MOST_WARNINGS) {
      warnings.add(Message.of("power.rescale.more", slower - MOST_WARNINGS));
    }
    if (dark > MOST_WARNINGS) {
      warnings.add(Message.of("power.rescale.no-watts-more", dark - MOST_WARNINGS));
    }
    return new RescaleFinding(
        loss,
        unsure,
        settings,
        loss.isEmpty() ? Verdict.MEASURE_AGAIN : changed ? Verdict.ADJUST : Verdict.WITHIN,
        List.of(advice(loss, unsure, changed)),
        warnings);
  }

  /**
   * The same power once both power words are one: what was so many percent of the job software's
   * word is as much of the controller's. What was above the controller's top was all of it.
   *
   * @param factor the job software's top power word over the controller's
   */
  public static List<Setting> byWords(List<JobSetting> settings, double factor) {
    return settings.stream()
        .map(s -> new Setting(s.name(), Math.min(100, s.percent() * factor), s.speedMmS(), true))
        .toList();
  }

  private static Setting asItIs(JobSetting s) {
    return new Setting(s.name(), s.percent(), s.speedMmS(), true);
  }

  private static Advice advice(OptionalDouble loss, OptionalDouble unsure, boolean changed) {
    if (loss.isEmpty()) {
      return Advice.read("power.rescale.again");
    }
    boolean fell = loss.getAsDouble() >= 0;
    Amount lost = Amount.of(100 * Math.abs(loss.getAsDouble()), Quantity.PERCENT, 1);
    Advice advice = changed ? Advice.act("power.rescale.use") : Advice.leave("power.rescale.leave");
    return unsure.isPresent()
        ? advice.because(
            fell ? "power.rescale.lost-about" : "power.rescale.gained-about",
            Message.bare(lost),
            Amount.of(100 * unsure.getAsDouble(), Quantity.PERCENT, 1))
        : advice.because(fell ? "power.rescale.lost" : "power.rescale.gained", lost);
  }

  /**
   * One standard deviation of the loss: each reading moved by its own, one after the other. Of long
   * lists, whose curves would be made thousands of times, as many readings at each percentage
   * compared as there are on the average.
   */
  private static double unsure(RescaleReadings readings, double scatter) {
    List<CurvePoint> before = readings.before();
    List<CurvePoint> after = readings.after();
    double loss = loss(before, after).orElse(0);
    if (before.size() + after.size() > MOST_MOVED) {
      return (1 - loss) * scatter * Math.sqrt(1.0 / before.size() + 1.0 / after.size());
    }
    double variance = 0;
    for (int i = 0; i < before.size(); i++) {
      double moved = loss(moved(before, i, scatter), after).orElse(loss) - loss;
      variance += moved * moved;
    }
    for (int i = 0; i < after.size(); i++) {
      double moved = loss(before, moved(after, i, scatter)).orElse(loss) - loss;
      variance += moved * moved;
    }
    return Math.sqrt(variance);
  }

  private static List<CurvePoint> moved(List<CurvePoint> points, int index, double scatter) {
    List<CurvePoint> all = new ArrayList<>(points);
    CurvePoint p = all.get(index);
    all.set(index, new CurvePoint(p.percent(), p.value() * (1 + scatter)));
    return all;
  }

  private static OptionalDouble loss(List<CurvePoint> before, List<CurvePoint> after) {
    return loss(before, new PowerCurve(before), new PowerCurve(after));
  }

  /** In logarithms of readings at the same percentage, less a straight line: how they scatter. */
  static OptionalDouble roughness(List<CurvePoint> before, List<CurvePoint> after) {
    List<double[]> both = new ArrayList<>();
    double most = before.stream().mapToDouble(CurvePoint::value).max().orElse(0);
    for (CurvePoint b : before) {
      after.stream()
          .filter(a -> a.percent() == b.percent() && a.value() > 0)
          .filter(a -> b.value() > WORTH_COMPARING * most)
          .findFirst()
          .ifPresent(a -> both.add(new double[] {b.percent(), Math.log(a.value() / b.value())}));
    }
    if (both.size() < LEAST_FOR_ROUGHNESS) {
      return OptionalDouble.empty();
    }
    LinearFit line =
        LinearFit.of(
            both.stream().map(d -> new double[] {1, d[0]}).toArray(double[][]::new),
            both.stream().mapToDouble(d -> d[1]).toArray(),
            1);
    // Each of the two has its own scatter.
    return OptionalDouble.of(100 * Math.sqrt(line.chiSquare() / line.degreesOfFreedom() / 2));
  }

  private static Setting rescaled(JobSetting s, PowerCurve before, PowerCurve after) {
    double watts = before.watts(s.percent());
    if (watts > after.mostWatts()) {
      double speed = s.speedMmS() * after.mostWatts() / watts;
      return new Setting(s.name(), after.highestPercent(), speed, false);
    }
    if (watts < after.leastWatts()) {
      double faster = watts > 0 ? s.speedMmS() * after.leastWatts() / watts : s.speedMmS();
      return new Setting(
          s.name(),
          after.lowestPercent(),
          faster <= RescaleReadings.FASTEST_MM_S ? faster : s.speedMmS(),
          false);
    }
    return new Setting(s.name(), after.percent(watts), s.speedMmS(), true);
  }

  private static OptionalDouble loss(List<CurvePoint> points, PowerCurve before, PowerCurve after) {
    return points.stream()
        .mapToDouble(CurvePoint::percent)
        .distinct()
        .filter(after::covers)
        .filter(p -> before.watts(p) > 0 && before.watts(p) >= WORTH_COMPARING * before.mostWatts())
        .map(p -> 1 - after.watts(p) / before.watts(p))
        .average();
  }
}
