package zebrawood.desktop.cards;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.cards.BookLine;
import zebrawood.cards.BookLine.Air;
import zebrawood.cards.BookLine.Origin;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** A line of the settings book. */
record BookRow(
    WordsField work,
    QuantityField speed,
    QuantityField power,
    QuantityField interval,
    QuantityField passes,
    QuantityField least,
    QuantityField pause,
    QuantityField focusOffset,
    QuantityField khz,
    QuantityField pulseNs,
    QuantityField wobble,
    ChoiceField<AirBlown> air,
    ChoiceField<Origin> from) {

  /** How much air is blown, or that nobody said. */
  enum AirBlown {
    NOT_SAID,
    OFF,
    LEAST,
    FULL
  }

  static BookRow make(StationForm form, int number) {
    String at = "book." + number + ".";
    return new BookRow(
        form.plainWords(at + "work", label("work", number)),
        form.positive(at + "speed", label("speed", number), Quantity.SPEED, 50_000),
        form.positive(at + "power", label("power", number), Quantity.PERCENT, 100),
        form.positive(at + "interval", label("interval", number), Quantity.LINE_INTERVAL, 100),
        form.quantity(at + "passes", label("passes", number), Quantity.NUMBER, 1, 1000),
        form.quantity(at + "least", label("least", number), Quantity.PERCENT, 0, 100),
        form.quantity(at + "pause", label("pause", number), Quantity.TIME, 0, 36_000),
        form.quantity(at + "focusOffset", label("focusOffset", number), Quantity.LENGTH, -500, 500),
        form.positive(at + "khz", label("khz", number), Quantity.PULSE_RATE, 1e6),
        form.positive(at + "pulseNs", label("pulseNs", number), Quantity.PULSE_LENGTH, 1e9),
        form.quantity(at + "wobble", label("wobble", number), Quantity.LENGTH, 0, 100),
        form.choice(
            at + "air", label("air", number), List.of(AirBlown.values()), AirBlown.NOT_SAID),
        form.choice(at + "from", label("from", number), List.of(Origin.values()), Origin.COPIED));
  }

  private static Message label(String what, int number) {
    return Message.of("cards.book." + what, number);
  }

  boolean told() {
    return !work.isEmpty();
  }

  /** What is seldom asked for. */
  Stream<Field> rest() {
    return Stream.of(passes, least, pause, focusOffset, khz, pulseNs, wobble, air, from);
  }

  BookLine line() {
    return new BookLine(
        work.text().strip(),
        speed.value(),
        least.value(),
        power.value(),
        interval.value(),
        passes.value(),
        pause.value(),
        focusOffset.value(),
        khz.value(),
        pulseNs.value(),
        wobble.value(),
        air.get() == AirBlown.NOT_SAID
            ? Optional.empty()
            : Optional.of(Air.valueOf(air.get().name())),
        from.get());
  }

  /** The whole line: what it does not tell is empty afterwards. */
  void set(BookLine line) {
    work.set(line.work());
    set(speed, line.speedMmS());
    set(power, line.percent());
    set(interval, line.intervalMm());
    set(passes, line.passes());
    set(least, line.leastPercent());
    set(pause, line.pauseS());
    set(focusOffset, line.focusOffsetMm());
    set(khz, line.khz());
    set(pulseNs, line.pulseNs());
    set(wobble, line.wobbleMm());
    air.set(line.air().map(a -> AirBlown.valueOf(a.name())).orElse(AirBlown.NOT_SAID));
    from.set(line.from());
  }

  private static void set(QuantityField field, OptionalDouble value) {
    if (value.isPresent()) {
      field.set(value.getAsDouble());
    } else {
      field.textProperty().set("");
    }
  }
}
