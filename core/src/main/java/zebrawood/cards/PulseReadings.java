package zebrawood.cards;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * A pulsed source and how it is set.
 *
 * @param spotMm diameter of the spot at 1/e^2 of its peak
 */
public record PulseReadings(Source source, double spotMm, Setting setting) {
  private static final double MOST_W = 100_000;
  private static final double MOST_KHZ = 1_000_000;
  private static final double MOST_NS = 1e9;
  private static final double MOST_MM = 1000;
  private static final double MOST_MM_S = 1_000_000;
  private static final double MOST_MJ = 1_000_000;
  private static final int MOST_PULSES = 100;
  private static final int MOST_PASSES = 10_000;

  /**
   * As its data sheet has it.
   *
   * @param pulseNs the lengths of pulse that can be chosen; empty where there is nothing to choose
   * @param mostPulseMj empty where the data sheet does not say it
   */
  public record Source(
      double averageW,
      double leastKhz,
      double mostKhz,
      Optional<List<Double>> pulseNs,
      OptionalDouble mostPulseMj) {
    public Source {
      pulseNs = pulseNs.map(List::copyOf);
    }
  }

  /**
   * How it is set.
   *
   * @param percent of the average power
   * @param speedMmS along the path
   * @param pulseNs empty where it is not known
   * @param hatchMm from line to line
   * @param wobble empty where the beam goes straight
   */
  public record Setting(
      double percent,
      double speedMmS,
      double khz,
      OptionalDouble pulseNs,
      double hatchMm,
      Optional<Wobble> wobble,
      int passes) {}

  /**
   * A circle that goes along the line.
   *
   * @param diameterMm of the circle that the beam's middle draws
   * @param stepMm by how much it goes on with each turn
   */
  public record Wobble(double diameterMm, double stepMm) {}

  public PulseReadings {
    var accepts =
        new Accepts()
            .positive("source.averageW", source.averageW, MOST_W)
            .positive("source.leastKhz", source.leastKhz, MOST_KHZ)
            .positive("source.mostKhz", source.mostKhz, MOST_KHZ);
    if (accepts.fine() && source.leastKhz > source.mostKhz) {
      accepts.complain(
          "source.leastKhz", source.leastKhz, Message.of("cards.accepts.least-below-most"));
    }
    source.pulseNs.ifPresent(all -> {
      accepts.atLeast("source.pulseNs", all, 1, "cards.count.pulses");
      accepts.atMost("source.pulseNs", all, MOST_PULSES);
      for (int i = 0; i < all.size(); i++) {
        accepts.positive("source.pulseNs[" + i + "]", all.get(i), MOST_NS);
      }
    });
    source.mostPulseMj.ifPresent(e -> accepts.positive("source.mostPulseMj", e, MOST_MJ));
    accepts
        .positive("spotMm", spotMm, MOST_MM)
        .positive("setting.percent", setting.percent, 100)
        .positive("setting.speedMmS", setting.speedMmS, MOST_MM_S)
        .positive("setting.khz", setting.khz, MOST_KHZ)
        .positive("setting.hatchMm", setting.hatchMm, MOST_MM)
        .between("setting.passes", setting.passes, 1, MOST_PASSES);
    setting.pulseNs.ifPresent(ns -> accepts.positive("setting.pulseNs", ns, MOST_NS));
    setting.wobble.ifPresent(w ->
        accepts
            .positive("setting.wobble.diameterMm", w.diameterMm, MOST_MM)
            .positive("setting.wobble.stepMm", w.stepMm, MOST_MM));
    accepts.orThrow();
  }
}
