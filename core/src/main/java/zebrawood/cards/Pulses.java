package zebrawood.cards;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.special.elliptic.legendre.LegendreEllipticIntegral;
import zebrawood.cards.PulseReadings.Setting;
import zebrawood.cards.PulseReadings.Source;
import zebrawood.cards.PulseReadings.Wobble;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Numbers;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What the settings of a pulsed source come to on the work.
 *
 * <p>A pulse has average power over frequency; its fluence at the middle of a Gaussian spot is 2 E
 * / (pi w^2), w its radius at 1/e^2 (Siegman, Lasers, 1986, section 17.1; ISO 11146-1 for the
 * width). A wobble draws a trochoid: with r the circle's radius and c the step over 2 pi, a turn's
 * length is 4 (r + c) E(m), E the complete elliptic integral of the second kind with m = 4 r c / (r
 * + c)^2.
 */
public final class Pulses {
  private static final double SQUARE_MM_PER_CM2 = 100;
  private static final double MM_PER_CM = 10;
  private static final double J_PER_MJ = 1e-3;
  private static final double KW_PER_MJ_PER_NS = 1000;
  private static final double HZ_PER_KHZ = 1000;

  private Pulses() {}

  public static PulseFinding solve(PulseReadings r) {
    Setting s = r.setting();
    double watts = r.source().averageW() * s.percent() / 100;
    double pulseMj = watts / s.khz();
    double pitch = s.speedMmS() / (s.khz() * HZ_PER_KHZ);
    double ratio = s.wobble().map(Pulses::pathRatio).orElse(1.0);
    double advance = s.speedMmS() / ratio;
    double width = r.spotMm() + s.wobble().map(Wobble::diameterMm).orElse(0.0);
    double radiusCm = r.spotMm() / 2 / MM_PER_CM;
    List<Advice> advice = new ArrayList<>(outside(r.source(), s, pulseMj));
    boolean stop = !advice.isEmpty();
    List<Message> warnings = new ArrayList<>();
    if (pitch > r.spotMm()) {
      warnings.add(Message.of("cards.pulses.apart"));
    }
    if (s.hatchMm() > width) {
      warnings.add(Message.of("cards.pulses.lines-apart"));
    }
    if (!stop) {
      advice.add(Advice.leave("cards.pulses.within"));
    }
    return new PulseFinding(
        pulseMj,
        s.pulseNs().isPresent()
            ? OptionalDouble.of(pulseMj / s.pulseNs().getAsDouble() * KW_PER_MJ_PER_NS)
            : OptionalDouble.empty(),
        pitch,
        1 - pitch / r.spotMm(),
        1 - s.hatchMm() / width,
        2 * pulseMj * J_PER_MJ / (Math.PI * radiusCm * radiusCm),
        watts * s.passes() / (advance * s.hatchMm()),
        ratio,
        width,
        SQUARE_MM_PER_CM2 / (advance * s.hatchMm()),
        stop ? Verdict.STOP : Verdict.WITHIN,
        advice,
        warnings);
  }

  static double pathRatio(Wobble w) {
    double radius = w.diameterMm() / 2;
    double step = w.stepMm() / (2 * Math.PI);
    double sum = radius + step;
    double m = 4 * radius * step / (sum * sum);
    return 4 * sum * LegendreEllipticIntegral.bigE(Math.min(1, m)) / w.stepMm();
  }

  private static List<Advice> outside(Source source, Setting s, double pulseMj) {
    List<Advice> outside = new ArrayList<>();
    if (s.khz() < source.leastKhz() || s.khz() > source.mostKhz()) {
      outside.add(
          Advice.act(
              "cards.pulses.frequency",
              Message.number(source.leastKhz()),
              Message.number(source.mostKhz())));
    }
    Optional<List<Double>> pulses = source.pulseNs();
    if (pulses.isPresent()
        && s.pulseNs().isPresent()
        && !pulses.get().contains(s.pulseNs().getAsDouble())) {
      outside.add(
          Advice.act(
              "cards.pulses.length",
              Message.list(pulses.get().stream().map(Message::number).toList())));
    }
    source
        .mostPulseMj()
        .ifPresent(most -> {
          if (pulseMj > most) {
            outside.add(
                Advice.act(
                        "cards.pulses.energy",
                        Message.verbatim(
                            Numbers.plain(rounded(source.averageW() * s.percent() / 100 / most))))
                    .because(
                        "cards.pulses.energy.why",
                        Message.number(rounded(pulseMj)),
                        Message.number(most)));
          }
        });
    return outside;
  }

  private static double rounded(double value) {
    return Math.ceil(value * 1000) / 1000;
  }
}
