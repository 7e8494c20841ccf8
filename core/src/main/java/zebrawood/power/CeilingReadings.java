package zebrawood.power;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * Currents read at several settings of the dial, and the agreed ceiling.
 *
 * @param capFraction share of the tube's maximum; or {@code capMa}, one of the two
 * @param samples at least three
 */
public record CeilingReadings(
    double tubeMaximumMa,
    OptionalDouble capFraction,
    OptionalDouble capMa,
    double meterResolutionMa,
    List<Sample> samples) {
  private static final int LEAST = 3;
  static final double MOST_MA = 10_000;

  /** No tube is as small. */
  static final double LEAST_MAXIMUM_MA = 0.1;

  private static final double LEAST_CAP_MA = 0.001;

  /** One reading of the meter. */
  public record Sample(double dialPercent, double currentMa) {}

  public CeilingReadings {
    samples = List.copyOf(samples);
    var accepts =
        new Accepts()
            .between("tubeMaximumMa", tubeMaximumMa, LEAST_MAXIMUM_MA, MOST_MA)
            .between("meterResolutionMa", meterResolutionMa, 1e-9, MOST_MA)
            .atLeast("samples", samples, LEAST, "power.count.samples");
    if (capFraction.isPresent() == capMa.isPresent()) {
      accepts.complain(
          "capFraction",
          Message.of(capMa.isPresent() ? "power.found.both" : "power.found.neither"),
          Message.of("power.accepts.one-of-two"));
    }
    capFraction.ifPresent(share -> accepts.between("capFraction", share, 0.01, 1));
    capMa.ifPresent(
        ma -> accepts.between("capMa", ma, LEAST_CAP_MA, Math.max(LEAST_CAP_MA, tubeMaximumMa)));
    for (int i = 0; i < samples.size(); i++) {
      accepts
          .between("samples[" + i + "].dialPercent", samples.get(i).dialPercent, 0, 100)
          .between("samples[" + i + "].currentMa", samples.get(i).currentMa, 0, MOST_MA);
    }
    accepts.orThrow();
  }

  double ceilingMa() {
    return capMa.orElseGet(() -> capFraction.getAsDouble() * tubeMaximumMa);
  }
}
