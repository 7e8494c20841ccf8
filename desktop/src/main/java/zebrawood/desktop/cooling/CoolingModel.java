package zebrawood.desktop.cooling;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.climate.Air;
import zebrawood.climate.Bucket;
import zebrawood.climate.Coldest;
import zebrawood.climate.Coldest.Glycol;
import zebrawood.cooling.Chiller;
import zebrawood.cooling.Coolant;
import zebrawood.cooling.Cooling;
import zebrawood.cooling.CoolingFinding;
import zebrawood.cooling.CoolingReadings;
import zebrawood.cooling.CoolingReadings.Item;
import zebrawood.cooling.CoolingStation;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Proofs;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.quantity.Amount;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/** The cooling station at one machine. */
public final class CoolingModel extends StationModel<CoolingReadings, CoolingFinding> {
  public static final StationDefinition DEFINITION =
      StationDefinition.of(
          CoolingStation.STATION, (ledger, units) -> new CoolingModel(ledger.machine(), units));

  /** Heat into the water for each watt of light: a tube turns an eighth into light. */
  private static final double HEAT_PER_WATT = 7;

  /** What nobody read may be as much. */
  private static final double DAMPEST_PERCENT = 100;

  /** Half of the time the beam is on. */
  private static final double USUAL_DUTY = 0.5;

  private static final Quantity CELSIUS = Quantity.TEMPERATURE;

  final QuantityField room = form().quantity("reading.room", CELSIUS, -40, 60);
  final QuantityField humidity = form().quantity("reading.humidity", Quantity.PERCENT, 0, 100);
  final QuantityField coolantC = form().quantity("reading.coolant", CELSIUS, -40, 100);
  final QuantityField afterHour = form().quantity("reading.afterHour", CELSIUS, -40, 100);
  private final QuantityField conductivity =
      form().quantity("reading.conductivity", Quantity.CONDUCTIVITY, 0, 100_000);
  private final QuantityField limit = form().quantity("limit", CELSIUS, 5, 60);
  private final QuantityField followsRoom =
      form().quantity("followsRoom", Quantity.TEMPERATURE_DIFFERENCE, -20, 20);
  private final QuantityField setPoint = form().quantity("reading.setPoint", CELSIUS, -40, 60);
  private final QuantityField heat = form().quantity("heat", Quantity.POWER, 0, 100_000);
  private final QuantityField litres = form().quantity("litres", Quantity.VOLUME, 0.1, 10_000);
  private final QuantityField loss = form().quantity("loss", Quantity.HEAT_LOSS, 0, 10_000);
  private final QuantityField from = form().quantity("reading.from", CELSIUS, -40, 100);
  private final QuantityField to = form().quantity("reading.to", CELSIUS, -40, 100);
  private final QuantityField minutes =
      form().quantity("reading.minutes", Quantity.MINUTES, 0.1, 10_000);
  private final QuantityField coldest = form().quantity("coldest", CELSIUS, -48, 60);
  private final ChoiceField<Hygrometer> hygrometer =
      form().choice("hygrometer", Hygrometer.class, Hygrometer.AT_HAND);
  final ChoiceField<CoolingWay> way = form().choice("way", CoolingWay.class, CoolingWay.CHILLER);
  private final ChoiceField<Coolant> coolant =
      form().choice("coolant", Coolant.class, Coolant.DISTILLED);
  private final ChoiceField<Glycol> glycol =
      form().choice("glycol", Glycol.class, Glycol.PROPYLENE);
  final Proofs<Item> proofs;
  private final boolean flowSwitch;

  public CoolingModel(Machine machine, DisplayUnits units) {
    super(new StationForm("cooling", units), Cooling.VISIT);
    flowSwitch = machine.has(Fitting.FLOW_SWITCH);
    limit.set(28);
    heat.set(Math.round(machine.source().watts() * HEAT_PER_WATT * USUAL_DUTY));
    litres.set(20);
    loss.set(6);
    way.set(machine.has(Fitting.CHILLER) ? CoolingWay.CHILLER : CoolingWay.BUCKET);
    proofs = form().proofs(Cooling.asked(flowSwitch));
    startSolving();
  }

  private boolean chilled() {
    return way.get() == CoolingWay.CHILLER;
  }

  private List<QuantityField> pullDown() {
    return List.of(from, to, minutes);
  }

  private List<QuantityField> settings() {
    return chilled() ? List.of(limit, litres, heat) : List.of(limit, litres, heat, loss);
  }

  @Override
  protected Stream<Field> used() {
    return form()
        .fields()
        .filter(f ->
            chilled() ? f != loss : !pullDown().contains(f) && f != setPoint && f != followsRoom);
  }

  @Override
  protected Stream<QuantityField> needed() {
    return Stream.of(
            hygrometer.get() == Hygrometer.NONE
                ? Stream.of(room, coolantC)
                : Stream.of(room, humidity, coolantC),
            settings().stream(),
            chilled() && QuantityField.begun(pullDown())
                ? pullDown().stream()
                : Stream.<QuantityField>empty())
        .flatMap(s -> s);
  }

  @Override
  protected CoolingReadings readings() {
    return new CoolingReadings(
        new Air.Readings(
            room.number(), noHygrometer() ? DAMPEST_PERCENT : humidity.number(), coolantC.number()),
        limit.number(),
        afterHour.value(),
        conductivity.value(),
        coolant.get(),
        chilled() ? Optional.empty() : Optional.of(bucket()),
        chilled() && !from.isEmpty() ? Optional.of(chiller()) : Optional.empty(),
        chilled() ? setPoint.value() : OptionalDouble.empty(),
        coldest.isEmpty()
            ? Optional.empty()
            : Optional.of(new Coldest.Readings(coldest.number(), glycol.get(), litres.number())),
        flowSwitch,
        proofs.answers(),
        Optional.of(noHygrometer()),
        chilled() ? followsRoom.value() : OptionalDouble.empty());
  }

  /** What is read counts, whatever is chosen. */
  private boolean noHygrometer() {
    return hygrometer.get() == Hygrometer.NONE && humidity.isEmpty();
  }

  private Bucket.Readings bucket() {
    return new Bucket.Readings(
        litres.number(),
        coolantC.number(),
        limit.number(),
        room.number(),
        heat.number(),
        loss.number());
  }

  private Chiller.Readings chiller() {
    return new Chiller.Readings(
        litres.number(), from.number(), to.number(), minutes.number(), heat.number());
  }

  @Override
  public List<Part> parts() {
    return List.of(
        Part.heading("sheet.readings", "sheet.keys"),
        Part.rows(room, humidity, coolantC),
        new Part.ReadingStatus(),
        Part.hint("cooling.proofs"),
        Part.rows(proofs.fields()),
        new Part.PracticeEntry(),
        Part.fold(
            "cooling.sometimes",
            new Part.LabelledChoices(List.of(hygrometer)),
            Part.rows(afterHour, conductivity)),
        Part.fold(
            "cooling.school",
            Part.rows(way),
            Part.hintOf(way, ".costs"),
            Part.rows(coolant),
            Part.hintOf(coolant, ".costs")),
        Part.fold(
            "cooling.settings",
            new Part.Redrawn(way.valueProperty(), () -> List.of(new Part.Rows(settings()))),
            new Part.ShownWhile(
                way.valueProperty().isEqualTo(CoolingWay.CHILLER),
                List.of(
                    Part.rows(setPoint, followsRoom),
                    Part.hint("cooling.pull-down"),
                    new Part.Rows(pullDown()))),
            Part.hint("cooling.frost"),
            Part.rows(coldest, glycol)));
  }

  @Override
  public void draw(Canvas on) {
    Thermometer.draw(on, solved());
  }

  /** The pump is. */
  @Override
  protected boolean powers() {
    return true;
  }

  @Override
  public Optional<Practice<?, ?, CoolingReadings, CoolingFinding>> practice() {
    return Optional.of(new CoolingPractice(this));
  }

  @Override
  public List<FigureTile> tiles(Outcome.Solved<CoolingReadings, CoolingFinding> solved) {
    CoolingFinding f = solved.finding();
    CoolingReadings r = solved.readings();
    List<FigureTile> tiles = new ArrayList<>();
    tiles.add(
        FigureTile.of(
                Message.of("cooling.figure.coolantStart"),
                Amount.of(r.air().coolantC(), CELSIUS, 1))
            .limited(Amount.plain(r.limitC(), CELSIUS)));
    boolean dampUnknown = r.dampUnknown();
    tiles.add(
        FigureTile.of(
                Message.of(dampUnknown ? "cooling.tile.above-room" : "cooling.figure.dewMargin"),
                Amount.of(f.air().marginK(), Quantity.TEMPERATURE_DIFFERENCE, 1))
            .judged(
                dampUnknown
                    ? f.air().marginK() >= 0
                    : r.air().coolantC() >= f.air().lowestCoolantC(),
                Message.of(
                    "cooling.tile.least",
                    Amount.of(
                        dampUnknown ? 0 : Air.SAFE_MARGIN_K, Quantity.TEMPERATURE_DIFFERENCE, 1))));
    r.afterHourC()
        .ifPresent(c ->
            tiles.add(
                FigureTile.of(Message.of("cooling.figure.afterHour"), Amount.of(c, CELSIUS, 1))));
    f.bucket()
        .filter(b -> b.steadyC().isPresent())
        .ifPresent(b ->
            tiles.add(
                FigureTile.of(
                        Message.of("cooling.tile.rests"),
                        Amount.of(b.steadyC().getAsDouble(), CELSIUS, 1))
                    .limited(Amount.plain(r.limitC(), CELSIUS))));
    f.chiller()
        .ifPresent(c ->
            tiles.add(
                FigureTile.of(
                        Message.of("cooling.tile.chiller"),
                        Amount.of(100 * c.shareUsed(), Quantity.PERCENT, 0))
                    .limited(Amount.of(100, Quantity.PERCENT, 0))));
    return tiles;
  }
}
