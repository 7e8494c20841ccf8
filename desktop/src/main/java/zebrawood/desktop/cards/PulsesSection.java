package zebrawood.desktop.cards;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.cards.PulseFinding;
import zebrawood.cards.PulseReadings;
import zebrawood.cards.PulseReadings.Setting;
import zebrawood.cards.PulseReadings.Source;
import zebrawood.cards.PulseReadings.Wobble;
import zebrawood.cards.Pulses;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * What a galvo source does as it is set, while it is typed; and what to change for another look.
 */
final class PulsesSection extends Section<PulseReadings, PulseFinding> {
  private final QuantityField watts;
  private final QuantityField leastKhz;

  /** A length in ns. */
  private static final String LENGTH = "\\d{1,9}([.,]\\d{1,6})?";

  private final QuantityField mostKhz;
  private final QuantityField mostMj;
  private final QuantityField spot;
  private final QuantityField percent;
  private final QuantityField speed;
  private final QuantityField khz;
  private final QuantityField pulseNs;
  private final QuantityField hatch;
  private final QuantityField wobble;
  private final QuantityField wobbleStep;
  private final QuantityField passes;
  private final WordsField offered;

  PulsesSection(StationForm form, Machine machine) {
    super(Message.of("cards.pulses.hint"));
    watts = form.positive("pulseWatts", Quantity.POWER, 100_000);
    leastKhz = form.positive("leastKhz", label("khzRange", "cards.from"), Quantity.PULSE_RATE, 1e6);
    mostKhz = form.positive("mostKhz", label("khzRange", "cards.to"), Quantity.PULSE_RATE, 1e6);
    mostMj = form.positive("mostMj", Quantity.PULSE_ENERGY, 1e6);
    spot = form.positive("spot", Quantity.LENGTH, 100);
    percent = form.positive("pulsePercent", Quantity.PERCENT, 100);
    speed = form.positive("pulseSpeed", Quantity.SPEED, 1e6);
    khz = form.positive("pulseKhz", Quantity.PULSE_RATE, 1e6);
    pulseNs = form.positive("pulseNs", Quantity.PULSE_LENGTH, 1e9);
    hatch = form.positive("hatch", Quantity.LINE_INTERVAL, 100);
    wobble = form.positive("wobble", Quantity.LENGTH, 100);
    wobbleStep = form.positive("wobbleStep", Quantity.LENGTH, 100);
    passes = form.quantity("pulsePasses", Quantity.NUMBER, 1, 10_000);
    offered = form.words("pulsesOffered", PulsesSection::lengths);
    watts.set(machine.source().watts());
    machine
        .source()
        .pulses()
        .ifPresent(p -> {
          leastKhz.set(p.leastKhz());
          mostKhz.set(p.mostKhz());
        });
    passes.set(1);
  }

  private static Message label(String field, String end) {
    return Message.of("cards.field." + field, Message.of(end));
  }

  private List<QuantityField> asked() {
    return List.of(watts, leastKhz, mostKhz, spot, percent, speed, khz, hatch, passes);
  }

  @Override
  public Stream<Field> fields() {
    return Stream.concat(asked().stream(), Stream.of(mostMj, pulseNs, wobble, wobbleStep, offered));
  }

  @Override
  public Part part() {
    List<QuantityField> rows = new ArrayList<>(asked());
    rows.addAll(List.of(pulseNs, wobble, wobbleStep, mostMj));
    return Part.fold("cards.pulses", said(), Part.rows(rows), Part.rows(offered));
  }

  /** Pulse lengths that the source offers, in ns; empty where nobody said them. */
  List<Double> offered() {
    return offered.problem().isEmpty() ? lengths(offered.text()) : List.of();
  }

  private static List<Double> lengths(String words) {
    return Stream.of(words.strip().split("[\\s;]+"))
        .filter(w -> !w.isEmpty())
        .map(PulsesSection::length)
        .toList();
  }

  private static double length(String word) {
    double ns = word.matches(LENGTH) ? Double.parseDouble(word.replace(',', '.')) : 0;
    if (!(ns > 0)) {
      throw UnusableReading.of(
          "pulsesOffered", Message.quoted(word), Message.of("cards.accepts.pulse-lengths"));
    }
    return ns;
  }

  /** How far lines lie apart, and how fast they are burnt. */
  record Line(double hatchMm, double speedMmS) {}

  Optional<Line> line() {
    return hatch.value().isPresent() && speed.value().isPresent()
        ? Optional.of(new Line(hatch.number(), speed.number()))
        : Optional.empty();
  }

  @Override
  protected Optional<PulseReadings> understood() {
    if (asked().stream().anyMatch(f -> f.value().isEmpty())) {
      return Optional.empty();
    }
    boolean wobbles = wobble.value().isPresent() && wobbleStep.value().isPresent();
    return Optional.of(
        new PulseReadings(
            new Source(
                watts.number(),
                leastKhz.number(),
                mostKhz.number(),
                offered().isEmpty() ? Optional.empty() : Optional.of(offered()),
                mostMj.value()),
            spot.number(),
            new Setting(
                percent.number(),
                speed.number(),
                khz.number(),
                pulseNs.value(),
                hatch.number(),
                wobbles
                    ? Optional.of(new Wobble(wobble.number(), wobbleStep.number()))
                    : Optional.empty(),
                (int) Math.round(passes.number()))));
  }

  @Override
  protected Optional<PulseFinding> solve(PulseReadings reading) {
    return Optional.of(Pulses.solve(reading));
  }

  @Override
  protected Message words() {
    if (outcome().isEmpty()) {
      return Message.of("cards.pulses.hint");
    }
    PulseFinding f = outcome().get();
    List<Message> said = new ArrayList<>();
    if (f.verdict() == Verdict.STOP) {
      f.advice().forEach(a -> said.add(a.said()));
    }
    said.add(
        Message.of(
            "cards.pulses.energy-is",
            Amount.of(f.pulseMj(), Quantity.PULSE_ENERGY, 3),
            Amount.of(f.fluenceJCm2(), Quantity.NUMBER, 1)));
    f.peakKw()
        .ifPresent(kw ->
            said.add(Message.of("cards.pulses.peak-is", Amount.of(1000 * kw, Quantity.POWER, 0))));
    said.add(
        Message.of(
            "cards.pulses.overlap-is",
            Amount.of(100 * f.overlap(), Quantity.PERCENT, 0),
            Amount.of(100 * f.hatchOverlap(), Quantity.PERCENT, 0)));
    said.add(
        Message.of(
            "cards.pulses.area-is",
            Amount.of(f.energyJMm2(), Quantity.NUMBER, 2),
            Amount.of(f.secondsPerCm2(), Quantity.TIME, 1)));
    if (f.pathRatio() > 1) {
      said.add(
          Message.of(
              "cards.pulses.wobble-is",
              Amount.of(f.pathRatio(), Quantity.NUMBER, 1),
              Amount.mm(f.lineWidthMm(), 3)));
    }
    said.addAll(f.warnings());
    said.add(Message.of("cards.pulses.change"));
    return Message.sentences(said);
  }
}
