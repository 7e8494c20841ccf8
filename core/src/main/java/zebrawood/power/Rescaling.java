package zebrawood.power;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
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
 * give at least a twentieth of its most and lie within the second. Refuses settings outside of what
 * was measured before, by name.
 */
public final class Rescaling {
  private static final double WORTH_COMPARING = 0.05;
  private static final double UNCHANGED_PERCENT = 0.05;

  /** More sentences of one kind are not read. */
  private static final int MOST_WARNINGS = 20;

  private Rescaling() {}

  public static RescaleFinding solve(RescaleReadings readings) {
    PowerCurve before = new PowerCurve(readings.before());
    PowerCurve after = new PowerCurve(readings.after());
    List<Setting> settings = new ArrayList<>(readings.settings().size());
    List<Message> warnings = new ArrayList<>();
    boolean changed = false;
    int slower = 0;
    for (JobSetting s : readings.settings()) {
      Setting now = rescaled(s, before, after);
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
    OptionalDouble loss = loss(readings.before(), before, after);
    return new RescaleFinding(
        loss,
        settings,
        loss.isEmpty() ? Verdict.MEASURE_AGAIN : changed ? Verdict.ADJUST : Verdict.WITHIN,
        List.of(advice(loss, changed)),
        warnings);
  }

  private static Advice advice(OptionalDouble loss, boolean changed) {
    if (loss.isEmpty()) {
      return Advice.read("power.rescale.again");
    }
    Amount lost = Amount.of(100 * loss.getAsDouble(), Quantity.PERCENT, 1);
    return (changed ? Advice.act("power.rescale.use") : Advice.leave("power.rescale.leave"))
        .because("power.rescale.lost", lost);
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
