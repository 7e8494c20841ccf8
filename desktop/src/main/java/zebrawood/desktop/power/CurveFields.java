package zebrawood.desktop.power;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.beans.value.ObservableValue;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.power.CurveWay.Unit;
import zebrawood.desktop.sheet.Part;
import zebrawood.power.EnergyProbe;
import zebrawood.power.PowerPoint;
import zebrawood.power.PowerReadings;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** What is read of the curve, by any of its ways, and the one that the jobs were made for. */
final class CurveFields {
  private static final int FIRST_ROWS = 5;
  private static final double MOST_W = 100_000;
  private static final double MILLI = 1000;

  private final StationForm form;
  private final ChoiceField<CurveWay> way;
  private final ChoiceField<Unit> beforeUnit;
  private final Group<CurveRow> current;
  private final Group<CurveRow> marks;
  private final Group<CurveRow> watts;
  private final Group<CurveRow> joules;
  private final Group<ProbeRow> probe;
  private final Group<CurveRow> before;
  private final QuantityField resolution;
  private final QuantityField scatter;
  private final QuantityField pulseSeconds;
  private final QuantityField heatCapacity;
  private final QuantityField room;
  private final QuantityField coolsFrom;
  private final QuantityField coolsTo;
  private final QuantityField coolsSeconds;

  CurveFields(StationForm form, boolean tube) {
    this.form = form;
    way = form.choice("curveWay", CurveWay.class, tube ? CurveWay.CURRENT : CurveWay.MARK);
    beforeUnit = form.choice("beforeUnit", Unit.class, Unit.NONE);
    current =
        rows(
            "visit.curveCurrent",
            "power.curve-row.percent",
            "power.curve-row.value",
            Quantity.SMALL_CURRENT,
            10_000,
            FIRST_ROWS);
    marks =
        rows(
            "visit.curveMark",
            "power.mark-row.percent",
            "power.mark-row.value",
            Quantity.PERCENT,
            100,
            FIRST_ROWS);
    watts =
        rows(
            "visit.curveWatts",
            "power.curve-row.percent",
            "power.curve-row.value",
            Quantity.POWER,
            MOST_W,
            FIRST_ROWS);
    joules =
        rows(
            "visit.curveJoules",
            "power.curve-row.percent",
            "power.curve-row.value",
            Quantity.PULSE_ENERGY,
            MOST_W * MILLI,
            FIRST_ROWS);
    probe = ProbeRow.group(form, "visit.curveProbe", FIRST_ROWS);
    before =
        rows(
            "before",
            "power.before-row.percent",
            "power.before-row.value",
            Quantity.NUMBER,
            MOST_W,
            1);
    resolution = form.positive("curveResolution", Quantity.NUMBER, 100_000);
    scatter = form.quantity("curveScatter", Quantity.PERCENT, 0, 50);
    pulseSeconds = form.positive("pulseSeconds", Quantity.TIME, 600);
    heatCapacity = form.positive("heatCapacity", Quantity.NUMBER, 100_000);
    room = form.quantity("visit.probeRoom", Quantity.TEMPERATURE, -20, 60);
    coolsFrom = form.quantity("visit.coolsFrom", Quantity.TEMPERATURE, -20, 1000);
    coolsTo = form.quantity("visit.coolsTo", Quantity.TEMPERATURE, -20, 1000);
    coolsSeconds = form.positive("visit.coolsSeconds", Quantity.TIME, 3600);
  }

  private Group<CurveRow> rows(
      String name, String percentKey, String valueKey, Quantity of, double most, int first) {
    return CurveRow.group(form, name, percentKey, valueKey, first, of, most);
  }

  CurveWay way() {
    return way.get();
  }

  ChoiceField<CurveWay> ways() {
    return way;
  }

  /** The rows of the way that is chosen; the probe has its own. */
  private Group<CurveRow> rows() {
    return switch (way.get()) {
      case CURRENT -> current;
      case MARK -> marks;
      case WATTS, PROBE -> watts;
      case JOULES -> joules;
    };
  }

  private List<QuantityField> ofProbe() {
    return List.of(pulseSeconds, heatCapacity, room, coolsFrom, coolsTo, coolsSeconds);
  }

  private boolean begun() {
    return way.get() == CurveWay.PROBE ? !probe.begun().isEmpty() : !rows().begun().isEmpty();
  }

  /** All that counts once a row is begun. */
  Stream<Field> needed() {
    if (!begun()) {
      return Stream.empty();
    }
    return switch (way.get()) {
      case CURRENT, MARK, WATTS ->
          Stream.concat(rows().fieldsBegun().stream(), Stream.of(resolution));
      case JOULES ->
          Stream.concat(rows().fieldsBegun().stream(), Stream.of(pulseSeconds, resolution));
      case PROBE ->
          Stream.of(probe.fieldsBegun().stream(), ofProbe().stream(), Stream.of(resolution))
              .flatMap(s -> s);
    };
  }

  Stream<Field> used() {
    return Stream.of(needed(), Stream.of(scatter), before.fieldsBegun().stream()).flatMap(s -> s);
  }

  /** Empty while no row is complete. */
  Optional<PowerReadings.Curve> read() {
    List<PowerPoint> now = points();
    return now.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new PowerReadings.Curve(
                now,
                resolution.number(),
                scatter.value().orElse(0),
                beforeUnit.get() == way.get().unit() ? before() : List.of()));
  }

  private List<PowerPoint> points() {
    return switch (way.get()) {
      case CURRENT, MARK, WATTS ->
          rows().begun().stream()
              .map(r -> new PowerPoint(r.percent().number(), r.value().number()))
              .toList();
      case JOULES ->
          joules.begun().stream()
              .map(r ->
                  new PowerPoint(
                      r.percent().number(), r.value().number() / MILLI / pulseSeconds.number()))
              .toList();
      case PROBE -> probed();
    };
  }

  private List<PowerPoint> probed() {
    if (probe.begun().isEmpty()) {
      return List.of();
    }
    EnergyProbe.Cooling cooling =
        new EnergyProbe.Cooling(
            room.number(), coolsFrom.number(), coolsTo.number(), coolsSeconds.number());
    return probe.begun().stream()
        .map(r ->
            new PowerPoint(
                r.percent().number(),
                EnergyProbe.watts(
                    heatCapacity.number(),
                    r.start().number(),
                    r.end().number(),
                    pulseSeconds.number(),
                    cooling)))
        .toList();
  }

  /** The curve that the jobs were made for, as it was kept. */
  List<PowerPoint> before() {
    return before.rows().stream()
        .filter(CurveRow::read)
        .map(r -> new PowerPoint(r.percent().number(), r.value().number()))
        .toList();
  }

  Unit beforeUnit() {
    return beforeUnit.get();
  }

  /** Keeps this curve as the one that jobs are made for from now on. */
  void keep(List<PowerPoint> curve) {
    form.quietly(() -> {
      before.resize(curve.size());
      for (int i = 0; i < curve.size(); i++) {
        before.rows().get(i).percent().set(curve.get(i).percent());
        before.rows().get(i).value().set(curve.get(i).watts());
      }
      beforeUnit.set(way.get().unit());
    });
  }

  ObservableValue<CurveWay> wayProperty() {
    return way.valueProperty();
  }

  List<Part> parts() {
    List<Part> parts = new ArrayList<>();
    switch (way.get()) {
      case CURRENT, WATTS, MARK -> parts.add(rowed(rows(), way.get()));
      case JOULES -> {
        parts.add(Part.rows(pulseSeconds));
        parts.add(rowed(joules, way.get()));
      }
      case PROBE -> {
        parts.add(Part.rows(heatCapacity, pulseSeconds));
        parts.add(
            new Part.Rowed(
                probe,
                List.of(
                    Message.of("power.heading.percent"),
                    Message.of("power.heading.start"),
                    Message.of("power.heading.end")),
                Message.of("power.another-row")));
        parts.add(Part.hint("power.probe.cools"));
        parts.add(Part.rows(room, coolsFrom, coolsTo, coolsSeconds));
      }
    }
    parts.add(Part.rows(resolution, scatter));
    return parts;
  }

  private static Part rowed(Group<CurveRow> group, CurveWay way) {
    return new Part.Rowed(
        group,
        List.of(Message.of("power.heading.percent"), way.heading()),
        Message.of("power.another-row"));
  }
}
