package zebrawood.desktop.cards;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ObservableValue;
import zebrawood.cards.BookLine;
import zebrawood.cards.CardGrid;
import zebrawood.cards.CardSteps;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.machine.Machine;
import zebrawood.machine.SourceKind;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * What the squares of a card are burnt with: power from column to column and speed from row to row,
 * or another figure in their place.
 */
final class GridFields {
  static final int MOST_A_SIDE = 30;
  private static final double FASTEST_MM_S = 50_000;

  /** About a setting that is known. */
  private static final double AROUND = 1.6;

  /** Passes of a card that says nothing of them. */
  private static final double MOST_PASSES = 7;

  private final Supplier<List<Double>> pulses;
  final ChoiceField<StepOf> across;
  final ChoiceField<StepOf> up;
  final QuantityField powerLeast;
  final QuantityField powerMost;
  final QuantityField columns;
  final QuantityField speedLeast;
  final QuantityField speedMost;
  final QuantityField rows;
  final QuantityField interval;
  private final Map<StepOf, List<QuantityField>> ends = new EnumMap<>(StepOf.class);

  /**
   * @param pulses that the source offers, in ns; empty where nobody said them
   */
  GridFields(StationForm form, Machine machine, Supplier<List<Double>> pulses) {
    this.pulses = pulses;
    across =
        form.choice(
            "across",
            Message.of("cards.field.across"),
            offered(machine, StepOf.POWER),
            StepOf.POWER);
    up =
        form.choice(
            "up", Message.of("cards.field.up"), offered(machine, StepOf.SPEED), StepOf.SPEED);
    powerLeast = end(form, "powerLeast", StepOf.POWER, "cards.from");
    powerMost = end(form, "powerMost", StepOf.POWER, "cards.to");
    columns = form.quantity("columns", Quantity.NUMBER, 1, MOST_A_SIDE);
    speedLeast = end(form, "speedLeast", StepOf.SPEED, "cards.from");
    speedMost = end(form, "speedMost", StepOf.SPEED, "cards.to");
    rows = form.quantity("rows", Quantity.NUMBER, 1, MOST_A_SIDE);
    interval = form.positive("interval", Quantity.LINE_INTERVAL, 10);
    ends.put(StepOf.POWER, List.of(powerLeast, powerMost));
    ends.put(StepOf.SPEED, List.of(speedLeast, speedMost));
    for (StepOf of : StepOf.values()) {
      if (of.step().isPresent() && (pulsed(machine) || !of.ofPulses())) {
        String name = of.name().toLowerCase(Locale.ROOT).replace("_length", "");
        ends.put(
            of,
            List.of(
                end(form, name + "Least", of, "cards.from"),
                end(form, name + "Most", of, "cards.to")));
      }
    }
  }

  private static boolean pulsed(Machine machine) {
    return machine.source().kind().pulsed();
  }

  private static List<StepOf> offered(Machine machine, StepOf first) {
    return Stream.concat(
            Stream.of(first),
            Stream.of(StepOf.values())
                .filter(of -> of.step().isPresent() && (pulsed(machine) || !of.ofPulses())))
        .toList();
  }

  private static QuantityField end(StationForm form, String name, StepOf of, String end) {
    Message label = of.label(end);
    return switch (of) {
      case POWER -> form.positive(name, label, of.quantity(), 100);
      case SPEED -> form.positive(name, label, of.quantity(), FASTEST_MM_S);
      default ->
          form.quantity(name, label, of.quantity(), least(of), of.step().orElseThrow().most());
    };
  }

  private static double least(StepOf of) {
    return of.step().orElseThrow().least();
  }

  /** What changes across and up, from where to where, and what is the same for all squares. */
  Part part() {
    ObservableValue<String> both =
        Bindings.createStringBinding(
            () -> across.get() + " " + up.get(), across.valueProperty(), up.valueProperty());
    return new Part.Together(
        List.of(
            new Part.LabelledChoices(List.of(across, up)),
            new Part.Redrawn(both, () -> List.of(table()))));
  }

  private Part table() {
    List<Part.TableRow> all = new ArrayList<>();
    all.add(row(across.get(), columns));
    all.add(row(up.get(), rows));
    if (across.get() != StepOf.POWER) {
      all.add(new Part.TableRow(Message.of(StepOf.POWER), List.of(powerLeast)));
    }
    if (up.get() != StepOf.SPEED) {
      all.add(new Part.TableRow(Message.of(StepOf.SPEED), List.of(speedLeast)));
    }
    if (!stepped(StepOf.INTERVAL)) {
      all.add(new Part.TableRow(Message.of(StepOf.INTERVAL), List.of(interval)));
    }
    return new Part.Table(
        List.of(
            Message.NONE,
            Message.of("cards.from"),
            Message.of("cards.to"),
            Message.of("cards.steps")),
        all);
  }

  private Part.TableRow row(StepOf of, QuantityField count) {
    List<QuantityField> two = ends.get(of);
    return new Part.TableRow(Message.of(of), List.of(two.get(0), two.get(1), count));
  }

  private boolean stepped(StepOf of) {
    return across.get() == of || up.get() == of;
  }

  /** Without the interval, which a card may be read without. */
  Stream<Field> needed() {
    return Stream.of(
            ends.get(across.get()).stream(),
            Stream.of(columns),
            ends.get(up.get()).stream(),
            Stream.of(rows),
            across.get() == StepOf.POWER ? Stream.<QuantityField>empty() : Stream.of(powerLeast),
            up.get() == StepOf.SPEED ? Stream.<QuantityField>empty() : Stream.of(speedLeast))
        .flatMap(f -> f);
  }

  boolean known() {
    return needed().allMatch(f -> ((QuantityField) f).value().isPresent())
        && (across.get() != up.get());
  }

  /** The interval of all squares, or where it changes, of the first. */
  OptionalDouble commonInterval() {
    return stepped(StepOf.INTERVAL)
        ? ends.get(StepOf.INTERVAL).getFirst().value()
        : interval.value();
  }

  /** In the middle of what is burnt. */
  double middlePower() {
    return across.get() == StepOf.POWER
        ? Math.sqrt(powerLeast.number() * powerMost.number())
        : powerLeast.number();
  }

  double middleSpeed() {
    return up.get() == StepOf.SPEED
        ? Math.sqrt(speedLeast.number() * speedMost.number())
        : speedLeast.number();
  }

  int columnCount() {
    return (int) Math.round(columns.number());
  }

  int rowCount() {
    return (int) Math.round(rows.number());
  }

  CardGrid grid() {
    return new CardGrid(
        across.get() == StepOf.POWER
            ? CardGrid.evenly(powerLeast.number(), powerMost.number(), columnCount())
            : List.of(powerLeast.number()),
        up.get() == StepOf.SPEED
            ? CardGrid.steps(speedLeast.number(), speedMost.number(), rowCount())
            : List.of(speedLeast.number()),
        stepped(StepOf.INTERVAL) ? OptionalDouble.empty() : interval.value(),
        steps(across.get(), columnCount()),
        steps(up.get(), rowCount()));
  }

  private Optional<CardSteps> steps(StepOf of, int count) {
    return of.step()
        .map(step -> {
          double first = ends.get(of).get(0).number();
          double last = ends.get(of).get(1).number();
          return new CardSteps(
              step,
              switch (of) {
                case PASSES ->
                    CardGrid.evenly(first, last, count).stream()
                        .map(v -> (double) Math.round(v))
                        .toList();
                case PULSE_LENGTH -> offered(first, last, count);
                case WOBBLE -> CardGrid.evenly(first, last, count);
                default -> CardGrid.steps(first, last, count);
              });
        });
  }

  /** Of those that the source offers between both; where nobody said them, in even ratios. */
  private List<Double> offered(double first, double last, int count) {
    List<Double> between =
        pulses.get().stream()
            .filter(ns -> ns >= Math.min(first, last) && ns <= Math.max(first, last))
            .sorted(first <= last ? Comparator.naturalOrder() : Comparator.reverseOrder())
            .toList();
    return between.isEmpty()
        ? CardGrid.steps(first, last, count)
        : IntStream.range(0, count)
            .mapToObj(i ->
                between.get((int) Math.round(i * (between.size() - 1.0) / Math.max(1, count - 1))))
            .toList();
  }

  private void set(double p0, double p1, double v0, double v1, double intervalMm) {
    powerLeast.set(p0);
    powerMost.set(p1);
    columns.set(7);
    speedLeast.set(v0);
    speedMost.set(v1);
    rows.set(6);
    interval.set(intervalMm);
  }

  /** A first card for such a machine. */
  void usual(Machine machine) {
    across.set(StepOf.POWER);
    up.set(StepOf.SPEED);
    SourceKind kind = machine.source().kind();
    switch (kind) {
      case CO2_GLASS_TUBE, CO2_RF_TUBE -> set(10, 58, 60, 450, 0.1);
      case DIODE -> set(20, 100, 15, 120, 0.1);
      default -> set(10, 100, 200, 2000, 0.03);
    }
  }

  /**
   * About a setting of the book: what changes goes about it, what does not is as it stands there.
   */
  void around(BookLine line) {
    double p = line.percent().orElse(30);
    double v = line.speedMmS().orElse(150);
    double apart = line.intervalMm().orElse(interval.value().orElse(0.1));
    boolean powers = across.get() == StepOf.POWER;
    boolean speeds = up.get() == StepOf.SPEED;
    set(
        powers ? p / AROUND : p,
        Math.min(100, p * AROUND),
        speeds ? v / AROUND : v,
        Math.min(FASTEST_MM_S, v * AROUND),
        apart);
    about(StepOf.INTERVAL, apart / AROUND, apart * AROUND);
    about(StepOf.PASSES, 1, Math.max(MOST_PASSES, line.passes().orElse(1)));
    line.khz().ifPresent(khz -> about(StepOf.FREQUENCY, khz / AROUND, khz * AROUND));
    line.pulseNs().ifPresent(ns -> about(StepOf.PULSE_LENGTH, ns / AROUND, ns * AROUND));
  }

  private void about(StepOf of, double first, double last) {
    if (stepped(of)) {
      ends.get(of).get(0).set(first);
      ends.get(of).get(1).set(last);
    }
  }
}
