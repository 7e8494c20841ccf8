package zebrawood.desktop.cooling;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
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
import zebrawood.cooling.CoolingReadings.Proof;
import zebrawood.cooling.CoolingStation;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.sheet.FigureTile;
import zebrawood.desktop.sheet.GuardLine;
import zebrawood.desktop.sheet.Outcome;
import zebrawood.desktop.sheet.Part;
import zebrawood.desktop.sheet.Practice;
import zebrawood.desktop.sheet.StationWork;
import zebrawood.desktop.stations.StationDefinition;
import zebrawood.ledger.Figure;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.quantity.Amount;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/** The cooling station at one machine. */
public final class CoolingWork extends StationWork<CoolingReadings, CoolingFinding> {
  public static final StationDefinition DEFINITION =
      new StationDefinition(
          CoolingStation.STATION, (ledger, units) -> new CoolingWork(ledger.machine(), units));

  /** Heat into the water for each watt of light: a tube turns an eighth into light. */
  private static final double HEAT_PER_WATT = 7;

  /** Half of the time the beam is on. */
  private static final double USUAL_DUTY = 0.5;

  private static final Quantity CELSIUS = Quantity.TEMPERATURE;

  private final QuantityField room = form().quantity("reading.room", CELSIUS, -40, 60);
  private final QuantityField humidity =
      form().quantity("reading.humidity", Quantity.PERCENT, 0, 100);
  private final QuantityField coolantC = form().quantity("reading.coolant", CELSIUS, -40, 100);
  private final QuantityField afterHour = form().quantity("reading.afterHour", CELSIUS, -40, 100);
  private final QuantityField conductivity =
      form().quantity("reading.conductivity", Quantity.CONDUCTIVITY, 0, 100_000);
  private final QuantityField limit = form().quantity("limit", CELSIUS, 5, 60);
  private final QuantityField setPoint = form().quantity("reading.setPoint", CELSIUS, -40, 60);
  private final QuantityField heat = form().quantity("heat", Quantity.POWER, 0, 100_000);
  private final QuantityField litres = form().quantity("litres", Quantity.VOLUME, 0.1, 10_000);
  private final QuantityField loss = form().quantity("loss", Quantity.HEAT_LOSS, 0, 10_000);
  private final QuantityField from = form().quantity("reading.from", CELSIUS, -40, 100);
  private final QuantityField to = form().quantity("reading.to", CELSIUS, -40, 100);
  private final QuantityField minutes =
      form().quantity("reading.minutes", Quantity.MINUTES, 0.1, 10_000);
  private final QuantityField coldest = form().quantity("coldest", CELSIUS, -48, 60);
  private final ChoiceField<CoolingWay> way =
      form().choice("way", CoolingWay.class, CoolingWay.CHILLER);
  private final ChoiceField<Coolant> coolant =
      form().choice("coolant", Coolant.class, Coolant.DISTILLED);
  private final ChoiceField<Glycol> glycol =
      form().choice("glycol", Glycol.class, Glycol.PROPYLENE);
  private final Map<Item, ProofField> proofs = new EnumMap<>(Item.class);
  private final boolean flowSwitch;

  public CoolingWork(Machine machine, DisplayUnits units) {
    super(new StationForm("cooling", units));
    flowSwitch = machine.has(Fitting.FLOW_SWITCH);
    limit.set(28);
    heat.set(Math.round(machine.source().watts() * HEAT_PER_WATT * USUAL_DUTY));
    litres.set(20);
    loss.set(6);
    way.set(machine.has(Fitting.CHILLER) ? CoolingWay.CHILLER : CoolingWay.BUCKET);
    for (Item item : Item.values()) {
      if (item != Item.FLOW_INTERLOCK || flowSwitch) {
        proofs.put(item, form().proof(item));
      }
    }
    begin();
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
        .filter(f -> chilled() ? f != loss : !pullDown().contains(f) && f != setPoint);
  }

  @Override
  protected Stream<QuantityField> needed() {
    return Stream.of(
            Stream.of(room, humidity, coolantC),
            settings().stream(),
            chilled() ? allOrNone(pullDown()) : Stream.<QuantityField>empty())
        .flatMap(s -> s);
  }

  @Override
  protected CoolingReadings readings() {
    return new CoolingReadings(
        new Air.Readings(room.number(), humidity.number(), coolantC.number()),
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
        answered(proofs, Proof::new));
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
  protected CoolingFinding solve(CoolingReadings readings) {
    return Cooling.solve(readings);
  }

  @Override
  public List<Figure> figures(CoolingReadings readings, CoolingFinding finding) {
    return Cooling.figures(readings, finding);
  }

  @Override
  public List<Part> parts() {
    return List.of(
        Part.heading("sheet.readings", "sheet.keys"),
        Part.rows(room, humidity, coolantC),
        new Part.Told(),
        Part.hint("cooling.proofs"),
        new Part.Rows(List.copyOf(proofs.values())),
        new Part.Practising(),
        Part.fold("cooling.sometimes", Part.rows(afterHour, conductivity)),
        Part.fold(
            "cooling.school",
            Part.rows(way),
            new Part.Live(way.valueProperty().map(w -> costs(w))),
            Part.rows(coolant),
            new Part.Live(coolant.valueProperty().map(c -> costs(c)))),
        Part.fold(
            "cooling.settings",
            new Part.Anew(way.valueProperty(), () -> List.of(new Part.Rows(settings()))),
            new Part.When(
                way.valueProperty().isEqualTo(CoolingWay.CHILLER),
                List.of(
                    Part.rows(setPoint),
                    Part.hint("cooling.pull-down"),
                    new Part.Rows(pullDown()))),
            Part.hint("cooling.frost"),
            Part.rows(coldest, glycol)));
  }

  private static Message costs(Enum<?> school) {
    return Message.of(Message.keyOf(school) + ".costs");
  }

  @Override
  public void draw(Canvas on) {
    Thermometer.draw(on, found());
  }

  @Override
  public boolean hasPaperPicture() {
    return found().isPresent();
  }

  @Override
  public Message whyRead() {
    return Message.of("cooling.why-read");
  }

  @Override
  public Message caution() {
    return Message.of("cooling.caution");
  }

  /** The pump is powered here: the emergency stop comes first. */
  @Override
  public boolean asksToday(GuardLine line) {
    return line.kind() == GuardLine.Kind.STOP_FIRST;
  }

  @Override
  public Optional<Practice<?, CoolingReadings, CoolingFinding>> practice() {
    return Optional.of(new CoolingPractice(this));
  }

  @Override
  public List<FigureTile> tiles(Outcome.Found<CoolingReadings, CoolingFinding> found) {
    CoolingFinding f = found.finding();
    List<FigureTile> tiles = new ArrayList<>();
    tiles.add(
        FigureTile.of(
                Message.of("cooling.figure.coolantStart"),
                Amount.of(found.readings().air().coolantC(), CELSIUS, 1))
            .limited(Amount.plain(found.readings().limitC(), CELSIUS)));
    tiles.add(
        FigureTile.of(
                Message.of("cooling.figure.dewMargin"),
                Amount.of(f.air().marginK(), Quantity.TEMPERATURE_DIFFERENCE, 1))
            .judged(
                found.readings().air().coolantC() >= f.air().lowestCoolantC(),
                Message.of(
                    "cooling.tile.lowest", Amount.of(f.air().lowestCoolantC(), CELSIUS, 1))));
    found
        .readings()
        .afterHourC()
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
                    .limited(Amount.plain(found.readings().limitC(), CELSIUS))));
    f.chiller()
        .ifPresent(c ->
            tiles.add(
                FigureTile.of(
                        Message.of("cooling.tile.chiller"),
                        Amount.of(100 * c.shareUsed(), Quantity.PERCENT, 0))
                    .limited(Amount.of(100, Quantity.PERCENT, 0))));
    return tiles;
  }

  @Override
  public List<Message> summary(Outcome.Found<CoolingReadings, CoolingFinding> found) {
    CoolingFinding f = found.finding();
    List<Message> sentences = new ArrayList<>();
    sentences.add(
        Message.of(
            "cooling.summary.air",
            Amount.of(f.air().marginK(), Quantity.TEMPERATURE_DIFFERENCE, 1),
            Amount.of(f.air().dewPointC(), CELSIUS, 1),
            Message.bare(Amount.of(f.air().lowestCoolantC(), CELSIUS, 1)),
            Amount.plain(found.readings().limitC(), CELSIUS)));
    f.bucket()
        .filter(b -> b.steadyC().isPresent())
        .ifPresent(b ->
            sentences.add(
                Message.of(
                    "cooling.summary.bucket", Amount.of(b.steadyC().getAsDouble(), CELSIUS, 1))));
    f.minutesToCool()
        .ifPresent(m ->
            sentences.add(Message.of("cooling.summary.cool", Amount.of(m, Quantity.MINUTES, 0))));
    f.litresEnough()
        .ifPresent(l ->
            sentences.add(Message.of("cooling.summary.litres", Amount.of(l, Quantity.VOLUME, 0))));
    f.chiller()
        .ifPresent(c ->
            sentences.add(
                Message.of(
                    "cooling.summary.chiller",
                    Amount.of(c.capacityW(), Quantity.POWER, 0),
                    Amount.of(100 * c.shareUsed(), Quantity.PERCENT, 0))));
    f.setPoint()
        .filter(s -> s.leastC() <= s.mostC())
        .ifPresent(s ->
            sentences.add(
                Message.of(
                    "cooling.summary.set-point",
                    Message.bare(Amount.of(s.leastC(), CELSIUS, 1)),
                    Amount.of(s.mostC(), CELSIUS, 1))));
    return sentences;
  }

  ChoiceField<CoolingWay> way() {
    return way;
  }

  List<QuantityField> atEveryVisit() {
    return List.of(room, humidity, coolantC);
  }

  QuantityField afterHour() {
    return afterHour;
  }

  Map<Item, ProofField> proofs() {
    return proofs;
  }
}
