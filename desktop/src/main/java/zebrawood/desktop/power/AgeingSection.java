package zebrawood.desktop.power;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Supplier;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.AtMachine;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.ledger.Ledger;
import zebrawood.power.Ageing;
import zebrawood.power.PowerFinding;
import zebrawood.power.PowerReadings;
import zebrawood.power.PowerStation;
import zebrawood.quantity.Quantity;
import zebrawood.words.Dates;
import zebrawood.words.Message;

/** What the source gives at the test job, over the hours or days that this tube has run. */
final class AgeingSection extends Section<PowerReadings.Output, Ageing.Trend> {
  final QuantityField output;
  final QuantityField alike;
  final QuantityField hours;
  final QuantityField hoursMore;
  final WordsField meterName;
  final QuantityField lossLimit;
  private final WordsField label;
  private final Clock clock;
  private final Supplier<Optional<Outcome.Solved<PowerReadings, PowerFinding>>> solved;
  private Ledger ledger;
  private String labelThen = "";
  private TubeHistory history;

  /**
   * @param label of the tube that is in, as typed elsewhere on the sheet
   * @param solved what the station came to, of which the trend is told here
   */
  AgeingSection(
      StationForm form,
      AtMachine at,
      WordsField label,
      Supplier<Optional<Outcome.Solved<PowerReadings, PowerFinding>>> solved) {
    super(Message.of("power.trend.needs"));
    output = form.positive("reading.output", Quantity.POWER, 100_000);
    alike = form.positive("reading.alike", Quantity.PERCENT, 200);
    hours = form.quantity("reading.hours", Quantity.NUMBER, 0, 1_000_000);
    hoursMore = form.quantity("reading.hoursMore", Quantity.NUMBER, 0, 1_000_000);
    meterName = form.plainWords("meterName");
    lossLimit = form.quantity("lossLimit", Quantity.PERCENT, 1, 90);
    this.label = label;
    this.solved = solved;
    clock = at.clock();
    follow(at.ledger());
  }

  /** The record as it is now. */
  void follow(Ledger now) {
    ledger = now;
    lookBack();
  }

  private void lookBack() {
    labelThen = label.text();
    history = TubeHistory.of(ledger, ledger.entriesOfFitted(PowerStation.STATION), labelThen);
  }

  /** What an earlier visit to this tube said of this last. */
  OptionalDouble last(String figureId) {
    return history.last(figureId);
  }

  @Override
  public Stream<Field> fields() {
    return Stream.of(output, meterName, alike, hours, hoursMore, lossLimit);
  }

  @Override
  public Part part() {
    return Part.fold(
        "power.ageing",
        Part.hint("power.ageing.hint"),
        Part.rows(output, meterName, alike, hours, hoursMore, lossLimit),
        said());
  }

  /** In watts where they were read, else by marks. */
  @Override
  protected Optional<PowerReadings.Output> understood() {
    if (!labelThen.equals(label.text())) {
      lookBack();
    }
    OutputUnit unit =
        output.value().isPresent() || alike.value().isEmpty()
            ? OutputUnit.WATTS
            : OutputUnit.MARKS_ALIKE;
    OptionalDouble stand = hoursSoFar();
    boolean inHours = stand.isPresent() && history.inHours(unit.figureId());
    Optional<String> meter =
        Optional.of(meterName.text().strip()).filter(m -> inWatts(unit) && !m.isEmpty());
    return Optional.of(
        new PowerReadings.Output(
            inWatts(unit),
            inWatts(unit) ? output.value() : alike.value(),
            history.first(unit.figureId()),
            lossLimit.value(),
            history.readings(unit.figureId(), inHours),
            inHours ? stand.getAsDouble() : history.day(unit.figureId(), clock.instant()),
            inHours,
            stand,
            meter,
            inWatts(unit) ? OptionalInt.of(history.scale(meter)) : OptionalInt.empty()));
  }

  private static boolean inWatts(OutputUnit unit) {
    return unit == OutputUnit.WATTS;
  }

  /** The counter's, or what the entries counted up so far and the hours since then. */
  private OptionalDouble hoursSoFar() {
    if (hours.value().isPresent() || hoursMore.value().isEmpty()) {
      return hours.value();
    }
    return OptionalDouble.of(history.lastHours().orElse(0) + hoursMore.number());
  }

  @Override
  protected Message words() {
    return solved
        .get()
        .flatMap(s ->
            s.finding()
                .trend()
                .map(t ->
                    Message.sentences(
                        t.said(
                            s.readings().output().inHours(),
                            at -> when(at, s.readings().output())))))
        .orElse(Message.of("power.trend.needs"));
  }

  /** A date, and the hours where they are counted. */
  private Message when(double at, PowerReadings.Output read) {
    Instant now = clock.instant();
    if (!read.inHours()) {
      String id = (read.inWatts() ? OutputUnit.WATTS : OutputUnit.MARKS_ALIKE).figureId();
      return Dates.dayAndYear(history.start(id).orElse(now).plus(days(at)), clock.getZone());
    }
    OptionalDouble perDay = history.hoursADay();
    return perDay.isPresent()
        ? Message.of(
            "power.trend.hours-and-date",
            Math.round(at),
            Dates.dayAndYear(
                now.plus(days((at - read.at()) / perDay.getAsDouble())), clock.getZone()))
        : Message.of("power.trend.hours", Math.round(at));
  }

  private static Duration days(double days) {
    return Duration.ofMinutes(Math.round(days * 24 * 60));
  }

  /** What output is read in. */
  private enum OutputUnit {
    WATTS("output"),
    MARKS_ALIKE("alike");

    private final String figureId;

    OutputUnit(String figureId) {
      this.figureId = figureId;
    }

    String figureId() {
      return figureId;
    }
  }
}
