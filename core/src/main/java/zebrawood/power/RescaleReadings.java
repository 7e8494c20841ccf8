package zebrawood.power;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * The power curve as it was and as it is, and settings that were right with the first.
 *
 * @param before at least two percentages
 * @param after at least two percentages
 * @param scatterPercent one standard deviation of a reading, in percent of it; empty where nobody
 *     said it
 */
public record RescaleReadings(
    List<CurvePoint> before,
    List<CurvePoint> after,
    List<JobSetting> settings,
    OptionalDouble scatterPercent) {
  private static final int LEAST = 2;
  private static final double MOST_SCATTER_PERCENT = 50;
  private static final double MOST_W = 100_000;
  static final double FASTEST_MM_S = 100_000;
  private static final double SLOWEST_MM_S = 1e-3;

  /** Of the most before: with less there is no power left to rescale with. */
  private static final double LEAST_SHARE_LEFT = 1e-3;

  /** How something is burnt. */
  public record JobSetting(String name, double percent, double speedMmS) {}

  public RescaleReadings {
    before = List.copyOf(before);
    after = List.copyOf(after);
    settings = List.copyOf(settings);
    var accepts = new Accepts();
    check(accepts, "before", before);
    check(accepts, "after", after);
    for (int i = 0; i < settings.size(); i++) {
      String at = "settings[" + i + "].";
      accepts
          .filled(at + "name", settings.get(i).name)
          .between(at + "speedMmS", settings.get(i).speedMmS, SLOWEST_MM_S, FASTEST_MM_S);
    }
    scatterPercent.ifPresent(p -> accepts.between("scatterPercent", p, 0, MOST_SCATTER_PERCENT));
    accepts.orThrow();
    double mostBefore = before.stream().mapToDouble(CurvePoint::value).max().orElseThrow();
    double mostAfter = after.stream().mapToDouble(CurvePoint::value).max().orElseThrow();
    if (mostAfter < LEAST_SHARE_LEFT * mostBefore || mostAfter * LEAST_SHARE_LEFT > mostBefore) {
      accepts
          .complain(
              "after",
              Message.of("power.found.most-watts", Message.number(mostAfter)),
              Message.of(
                  "power.accepts.comparable",
                  Message.number(LEAST_SHARE_LEFT * mostBefore),
                  Message.number(mostBefore / LEAST_SHARE_LEFT)))
          .orThrow();
    }
    double low = before.stream().mapToDouble(CurvePoint::percent).min().orElseThrow();
    double high = before.stream().mapToDouble(CurvePoint::percent).max().orElseThrow();
    for (int i = 0; i < settings.size(); i++) {
      JobSetting setting = settings.get(i);
      if (!(setting.percent >= low && setting.percent <= high)) {
        accepts.complain(
            "settings[" + i + "].percent",
            Message.of(
                "power.found.setting",
                Message.number(setting.percent),
                Message.quoted(setting.name)),
            Message.of("power.accepts.measured", Message.number(low), Message.number(high)));
      }
    }
    accepts.orThrow();
  }

  /** With the scatter that somebody said, else with the one that the two curves show themselves. */
  public static RescaleReadings of(PowerReadings.Curve curve, List<JobSetting> settings) {
    OptionalDouble shown = Rescaling.roughness(curve.before(), curve.now());
    OptionalDouble scatter =
        curve.scatterPercent() > 0
            ? OptionalDouble.of(curve.scatterPercent())
            : shown.isPresent()
                ? OptionalDouble.of(Math.min(shown.getAsDouble(), MOST_SCATTER_PERCENT))
                : shown;
    return new RescaleReadings(curve.before(), curve.now(), settings, scatter);
  }

  private static void check(Accepts accepts, String field, List<CurvePoint> points) {
    for (int i = 0; i < points.size(); i++) {
      accepts
          .between(field + "[" + i + "].percent", points.get(i).percent(), 0, 100)
          .between(field + "[" + i + "].watts", points.get(i).value(), 0, MOST_W);
    }
    if (points.stream().mapToDouble(CurvePoint::percent).distinct().count() < LEAST) {
      accepts.complain(
          field,
          Message.of("accepts.of-them", points.size()),
          Message.of("accepts.at-least", LEAST, Message.of("power.count.percents")));
    }
  }
}
