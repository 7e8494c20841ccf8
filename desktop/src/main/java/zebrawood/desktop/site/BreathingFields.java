package zebrawood.desktop.site;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.site.Breathing;
import zebrawood.site.Breathing.AirAssist;
import zebrawood.site.Breathing.AirSource;
import zebrawood.site.Breathing.BlowerAt;
import zebrawood.site.Breathing.Outlet;
import zebrawood.site.Duct;
import zebrawood.words.Message;

/** Exhaust and air assist, as typed. */
final class BreathingFields {
  private static final int MOST_ROWS = 30;

  private record Piece(
      QuantityField bore,
      QuantityField length,
      QuantityField bends,
      ChoiceField<DuctWall> wall,
      ChoiceField<SideBySide> sideBySide) {}

  private record Fitted(QuantityField bore, ChoiceField<Duct.FittingKind> kind) {}

  private record FanPoint(QuantityField flow, QuantityField pressure) {}

  private final Machine machine;
  private final QuantityField flow;
  private final QuantityField port;
  private final Group<Piece> pieces;
  private final Group<Fitted> fittings;
  private final Group<FanPoint> fan;
  private final ChoiceField<BlowerAt> blowerAt;
  private final ChoiceField<Outlet> outlet;
  private final ChoiceField<AirSource> airSource;
  private final QuantityField bar;
  private final QuantityField leastBar;
  private final boolean airAssist;

  BreathingFields(StationForm form, Machine machine) {
    this.machine = machine;
    flow = form.quantity("flow", Quantity.FLOW, 1, 1_000_000);
    port = form.quantity("port", Quantity.LENGTH, 10, 2000);
    pieces = form.group("bore", "count.piece", 1, 2, 1, MOST_ROWS, i -> piece(form, i));
    fittings = form.group("fitting", "count.fitting", 1, 2, 1, MOST_ROWS, i -> fitted(form, i));
    fan = form.group("fanFlow", "count.fan", 1, 3, 1, MOST_ROWS, i -> fanPoint(form, i));
    blowerAt = form.choice("blowerAt", BlowerAt.class, BlowerAt.OUTLET);
    outlet = form.choice("outlet", Outlet.class, Outlet.OUTDOORS);
    airSource = form.choice("airSource", AirSource.class, AirSource.PUMP);
    bar = form.quantity("reading.bar", Quantity.GAS_PRESSURE, 0, 40);
    leastBar = form.quantity("leastBar", Quantity.GAS_PRESSURE, 0, 40);
    airAssist = machine.has(Fitting.AIR_ASSIST);
  }

  private static Piece piece(StationForm form, int i) {
    return new Piece(
        form.quantity("bore." + i, Message.of("site.field.bore", i), Quantity.LENGTH, 10, 5000),
        form.quantity(
            "length." + i, Message.of("site.field.length", i), Quantity.DISTANCE, 0, 1000),
        form.quantity("bends." + i, Message.of("site.field.bends", i), Quantity.NUMBER, 0, 100),
        form.choice(
            "wall." + i,
            Message.of("site.field.wall", i),
            List.of(DuctWall.values()),
            DuctWall.FLEXIBLE),
        form.choice(
            "beside." + i,
            Message.of("site.field.side-by-side", i),
            List.of(SideBySide.values()),
            SideBySide.ONE));
  }

  private static Fitted fitted(StationForm form, int i) {
    return new Fitted(
        form.quantity(
            "fitting." + i, Message.of("site.field.fitting", i), Quantity.LENGTH, 10, 5000),
        form.choice(
            "fittingKind." + i,
            Message.of("site.field.fitting-kind", i),
            List.of(Duct.FittingKind.values()),
            Duct.FittingKind.FLANGED_PORT));
  }

  private static FanPoint fanPoint(StationForm form, int i) {
    return new FanPoint(
        form.quantity(
            "fanFlow." + i, Message.of("site.field.fan-flow", i), Quantity.FLOW, 0, 1_000_000),
        form.quantity(
            "fanPa." + i, Message.of("site.field.fan-pa", i), Quantity.PRESSURE, 0, 1_000_000));
  }

  boolean hasAirAssist() {
    return airAssist;
  }

  QuantityField bar() {
    return bar;
  }

  QuantityField leastBar() {
    return leastBar;
  }

  BlowerAt blowerAt() {
    return blowerAt.get();
  }

  Part exhaust() {
    return Part.fold(
        "site.exhaust",
        Part.rows(flow, port),
        new Part.LiveText(port.textProperty().map(typed -> flowNeeded())),
        new Part.GrowingRows(
            pieces,
            List.of(
                Message.of("site.bore"),
                Message.of("site.length"),
                Message.of("site.bends"),
                Message.NONE,
                Message.of("site.side-by-side")),
            Message.of("site.piece.another")),
        new Part.GrowingRows(
            fittings,
            List.of(Message.of("site.bore"), Message.of("site.fitting")),
            Message.of("site.fitting.another")),
        Part.hint("site.blower"),
        new Part.GrowingRows(
            fan,
            List.of(Message.of("site.fan-flow"), Message.of("site.fan-pressure")),
            Message.of("site.fan.another")),
        Part.rows(blowerAt, outlet));
  }

  /** What the machine was made for, by its port and by its bed: told, and never taken. */
  private Message flowNeeded() {
    Message bed =
        Message.of(
            "site.flow.by-bed",
            Amount.of(Duct.overBedM3H(machine.areaXMm(), machine.areaYMm()), Quantity.FLOW, 0));
    if (port.value().isEmpty()) {
      return machine.enclosed() ? bed : Message.of("site.flow.unknown");
    }
    return Message.of(
        "site.flow.by-port",
        Amount.plain(port.number(), Quantity.LENGTH),
        Amount.of(Duct.throughPortM3H(port.number()), Quantity.FLOW, 0));
  }

  Part air() {
    return Part.fold("site.air", Part.rows(airSource, bar, leastBar));
  }

  private boolean ducted() {
    return !pieces.begun().isEmpty();
  }

  Stream<Field> needed() {
    boolean more = !fittings.begun().isEmpty() || !fan.begun().isEmpty();
    Stream<Field> first =
        ducted() || more
            ? Stream.concat(Stream.of(flow), pieces.fieldsOf(0).stream())
            : Stream.empty();
    return Stream.concat(
        first, Stream.concat(pieces.fieldsBegun().stream(), fan.fieldsBegun().stream()));
  }

  Breathing readings() {
    return new Breathing(
        duct(),
        blowerAt.get(),
        outlet.get(),
        airAssist
            ? Optional.of(new AirAssist(airSource.get(), bar.value(), leastBar.value()))
            : Optional.empty());
  }

  private Optional<Duct.Readings> duct() {
    if (!ducted()) {
      return Optional.empty();
    }
    List<Duct.FanPoint> curve =
        fan.begun().stream()
            .map(p -> new Duct.FanPoint(p.flow.number(), p.pressure.number()))
            .toList();
    return Optional.of(
        Duct.Readings.of(
            pieces.begun().stream()
                .map(p ->
                    new Duct.Piece(
                        p.bore.number(),
                        p.length.number(),
                        p.bends.number(),
                        p.wall.get().roughnessMm(),
                        OptionalDouble.of(p.sideBySide.get().count())))
                .toList(),
            fittings.begun().stream()
                .map(f -> new Duct.Fitting(f.kind.get(), f.bore.number()))
                .toList(),
            flow.number(),
            curve.isEmpty() ? Optional.empty() : Optional.of(curve)));
  }
}
