package zebrawood.desktop.power;

import static zebrawood.desktop.station.Ways.needs;
import static zebrawood.desktop.station.Ways.way;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.PairRow;
import zebrawood.desktop.form.PairRow.Column;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.power.CurveWay.Unit;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.desktop.station.Ways;
import zebrawood.desktop.station.Ways.Ask;
import zebrawood.desktop.text.Text;
import zebrawood.machine.Machine;
import zebrawood.power.CurveFit;
import zebrawood.power.CurvePoint;
import zebrawood.power.EnergyProbe;
import zebrawood.power.FittedCurve;
import zebrawood.power.PowerReadings;
import zebrawood.quantity.Quantity;
import zebrawood.records.power.PowerTablePage;
import zebrawood.words.Message;

/** What a percentage gives: read by any of its ways, fitted once a change, printed as a table. */
final class CurveSection extends Section<PowerReadings.Curve, FittedCurve> {
  private static final int FIRST_ROWS = 5;
  private static final int MOST_ROWS = 40;
  private static final double MOST_W = 100_000;
  private static final double MILLI = 1000;
  private static final Quantity PERCENT = Quantity.PERCENT;

  private final StationForm form;
  private final Machine machine;
  private final WordsField testJob;
  private final Consumer<PowerTablePage> print;
  final ChoiceField<CurveWay> way;
  private final ChoiceField<Unit> beforeUnit;
  private final Group<PairRow> current;
  private final Group<PairRow> marks;
  private final Group<PairRow> watts;
  private final Group<PairRow> joules;
  private final Group<ProbeRow> probe;
  private final Group<PairRow> before;
  private final QuantityField resolution;
  private final QuantityField scatter;
  private final QuantityField pulseSeconds;
  private final QuantityField heatCapacity;
  private final QuantityField room;
  private final QuantityField coolsFrom;
  private final QuantityField coolsTo;
  private final QuantityField coolsSeconds;
  private final QuantityField wantedPercent;
  private final QuantityField wantedOutput;
  private final Ways<CurveWay, List<CurvePoint>> ways;

  /**
   * @param print offers to write the table
   */
  CurveSection(
      StationForm form,
      Machine machine,
      WordsField testJob,
      boolean tube,
      Consumer<PowerTablePage> print) {
    super(Message.of("power.curve.needs"));
    this.form = form;
    this.machine = machine;
    this.testJob = testJob;
    this.print = print;
    way = form.choice("curveWay", CurveWay.class, tube ? CurveWay.CURRENT : CurveWay.MARK);
    beforeUnit = form.choice("beforeUnit", Unit.class, Unit.NONE);
    current = rows("visit.curveCurrent", "curve-row", Quantity.SMALL_CURRENT, 10_000, FIRST_ROWS);
    marks = rows("visit.curveMark", "mark-row", PERCENT, 100, FIRST_ROWS);
    watts = rows("visit.curveWatts", "curve-row", Quantity.POWER, MOST_W, FIRST_ROWS);
    joules =
        rows("visit.curveJoules", "curve-row", Quantity.PULSE_ENERGY, MOST_W * MILLI, FIRST_ROWS);
    probe = ProbeRow.group(form, "visit.curveProbe", FIRST_ROWS);
    before = rows("before", "before-row", Quantity.NUMBER, MOST_W, 1);
    resolution = form.positive("curveResolution", Quantity.NUMBER, 100_000);
    scatter = form.quantity("curveScatter", PERCENT, 0, 50);
    pulseSeconds = form.positive("pulseSeconds", Quantity.TIME, 600);
    heatCapacity = form.positive("heatCapacity", Quantity.NUMBER, 100_000);
    room = form.quantity("visit.probeRoom", Quantity.TEMPERATURE, -20, 60);
    coolsFrom = form.quantity("visit.coolsFrom", Quantity.TEMPERATURE, -20, 1000);
    coolsTo = form.quantity("visit.coolsTo", Quantity.TEMPERATURE, -20, 1000);
    coolsSeconds = form.positive("visit.coolsSeconds", Quantity.TIME, 3600);
    wantedPercent = form.quantity("wantedPercent", PERCENT, 0, 100);
    wantedOutput = form.quantity("wantedOutput", Quantity.NUMBER, 0, 100_000);
    ways =
        new Ways<>(
            way,
            Map.of(
                CurveWay.CURRENT,
                way(() -> points(current), asked(current), readTo()),
                CurveWay.MARK,
                way(() -> points(marks), asked(marks), readTo()),
                CurveWay.WATTS,
                way(() -> points(watts), asked(watts), readTo()),
                CurveWay.JOULES,
                way(this::byEnergy, needs(pulseSeconds), asked(joules), readTo()),
                CurveWay.PROBE,
                way(
                    this::byProbe,
                    needs(heatCapacity, pulseSeconds),
                    asked(probe),
                    needs(
                        () -> Stream.of(room, coolsFrom, coolsTo, coolsSeconds),
                        Part.hint("power.probe.cools"),
                        Part.rows(room, coolsFrom, coolsTo, coolsSeconds)),
                    readTo())));
  }

  private Group<PairRow> rows(String name, String label, Quantity of, double most, int first) {
    return PairRow.group(
        form,
        name,
        first,
        MOST_ROWS,
        Column.of("percent", "power." + label + ".percent", PERCENT, 0, 100),
        Column.of("value", "power." + label + ".value", of, 0, most));
  }

  private Ask readTo() {
    return needs(resolution);
  }

  private Ask asked(Group<?> group) {
    Stream<String> columns =
        group == probe
            ? Stream.of("power.heading.percent", "power.heading.start", "power.heading.end")
            : Stream.of("power.heading.percent", heading(group));
    return needs(
        () -> group.fieldsBegun().stream(),
        new Part.GrowingRows(
            group, columns.map(Message::of).toList(), Message.of("power.another-row")));
  }

  private String heading(Group<?> group) {
    return (group == current
            ? CurveWay.CURRENT
            : group == marks ? CurveWay.MARK : group == joules ? CurveWay.JOULES : CurveWay.WATTS)
        .heading();
  }

  private Group<?> rowsOfWay() {
    return switch (way.get()) {
      case CURRENT -> current;
      case MARK -> marks;
      case WATTS -> watts;
      case JOULES -> joules;
      case PROBE -> probe;
    };
  }

  /** What its values are of. */
  Quantity unit() {
    return way.get().unit().quantity();
  }

  /** All that counts once a row is begun. */
  @Override
  public Stream<Field> needed() {
    return rowsOfWay().begun().isEmpty() ? Stream.empty() : ways.needed();
  }

  @Override
  public Stream<Field> fields() {
    return Stream.of(
            needed(),
            Stream.of(scatter, wantedPercent, wantedOutput),
            before.fieldsBegun().stream())
        .flatMap(s -> s);
  }

  /** Empty while no row is begun. */
  @Override
  protected Optional<PowerReadings.Curve> understood() {
    return rowsOfWay().begun().isEmpty()
        ? Optional.empty()
        : Optional.of(
            new PowerReadings.Curve(
                ways.read(),
                resolution.number(),
                scatter.value().orElse(0),
                beforeUnit.get() == way.get().unit() ? before() : List.of()));
  }

  private static List<CurvePoint> points(Group<PairRow> rows) {
    return rows.begun().stream()
        .map(r -> new CurvePoint(r.first().number(), r.second().number()))
        .toList();
  }

  private List<CurvePoint> byEnergy() {
    return points(joules).stream()
        .map(p -> new CurvePoint(p.percent(), p.value() / MILLI / pulseSeconds.number()))
        .toList();
  }

  private List<CurvePoint> byProbe() {
    EnergyProbe.Cooling cooling =
        new EnergyProbe.Cooling(
            room.number(), coolsFrom.number(), coolsTo.number(), coolsSeconds.number());
    return probe.begun().stream()
        .map(r ->
            new CurvePoint(
                r.percent().number(),
                EnergyProbe.watts(
                    heatCapacity.number(),
                    r.start().number(),
                    r.end().number(),
                    pulseSeconds.number(),
                    cooling)))
        .toList();
  }

  @Override
  protected Optional<FittedCurve> solve(PowerReadings.Curve curve) {
    return CurveFit.of(curve.now(), curve.resolution(), curve.scatterPercent());
  }

  @Override
  protected Message words() {
    return outcome()
        .map(f -> Message.sentences(f.said(unit(), wantedPercent.value(), wantedOutput.value())))
        .orElse(Message.of(read().isPresent() ? "power.curve.none" : "power.curve.needs"));
  }

  @Override
  public Part part() {
    return Part.fold(
        "power.curve",
        ways.choice(),
        ways.parts(),
        Part.rows(scatter),
        said(),
        Part.rows(wantedPercent, wantedOutput),
        new Part.Press("power-print", Message.of("power.print"), this::print));
  }

  private void print() {
    if (outcome().isEmpty()) {
      say(Message.of("power.curve.needs"));
      return;
    }
    today()
        .ifPresent(day ->
            print.accept(
                PowerTablePage.of(
                    machine, outcome().get(), unit(), testJob.text(), day, Text.words())));
  }

  /** The curve that the jobs were made for, as it was kept. */
  private List<CurvePoint> before() {
    return before.rows().stream()
        .filter(PairRow::read)
        .map(r -> new CurvePoint(r.first().number(), r.second().number()))
        .toList();
  }

  /** What the jobs were made for. */
  Message beforeSaid() {
    return beforeUnit.get() == Unit.NONE
        ? Message.of("power.before.none")
        : Message.of(
            "power.before.kept", before().size(), beforeUnit.get().quantity().canonical().symbol());
  }

  /** Keeps the curve as the one that jobs are made for from now on; false where there is none. */
  boolean keep() {
    read()
        .ifPresent(curve ->
            form.allAtOnce(() -> {
              PairRow.type(before, curve.now(), CurvePoint::percent, CurvePoint::value);
              beforeUnit.set(way.get().unit());
            }));
    return read().isPresent();
  }
}
