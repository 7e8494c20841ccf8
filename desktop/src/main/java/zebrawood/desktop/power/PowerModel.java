package zebrawood.desktop.power;

import static zebrawood.desktop.station.Ways.needs;
import static zebrawood.desktop.station.Ways.shows;
import static zebrawood.desktop.station.Ways.takes;
import static zebrawood.desktop.station.Ways.way;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import javafx.beans.binding.BooleanBinding;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.PairRow;
import zebrawood.desktop.form.PairRow.Column;
import zebrawood.desktop.form.Proofs;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.AtMachine;
import zebrawood.desktop.station.AuditedWords;
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Section;
import zebrawood.desktop.station.SheetHost;
import zebrawood.desktop.station.Solver;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.desktop.station.Ways;
import zebrawood.desktop.station.Ways.Ask;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.machine.Machine;
import zebrawood.machine.SourceKind;
import zebrawood.power.Ceiling;
import zebrawood.power.CeilingReadings;
import zebrawood.power.Power;
import zebrawood.power.PowerFinding;
import zebrawood.power.PowerReadings;
import zebrawood.power.PowerStation;
import zebrawood.power.PowerTask;
import zebrawood.power.PowerTask.Card;
import zebrawood.power.PowerTask.Item;
import zebrawood.power.RescaleReadings;
import zebrawood.power.Rescaling;
import zebrawood.power.UnmeteredPower;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;
import zebrawood.records.power.PowerTablePage;
import zebrawood.words.Message;

/** The power station at one machine. */
public final class PowerModel extends StationModel<PowerReadings, PowerFinding> {
  public static final StationDefinition DEFINITION =
      StationDefinition.opened(PowerStation.STATION, PowerModel::new)
          .cautioning(m -> caution(isTube(m)))
          .with(
              Solver.of("power-cap", CeilingReadings.class, Ceiling::solve),
              Solver.of("rescale", RescaleReadings.class, Rescaling::solve));

  private static final Quantity MA = Quantity.SMALL_CURRENT;
  private static final Quantity PERCENT = Quantity.PERCENT;
  private static final double MOST_MA = 10_000;
  private static final int LEAST_SAMPLES = 3;
  private static final int FIRST_SAMPLES = 5;
  private static final int MOST_SAMPLES = 40;

  final Machine machine;
  private final boolean tube;
  final ChoiceField<PowerWay> way = form().choice("way", PowerWay.class, PowerWay.SHARE);
  final QuantityField tubeMaximum = form().positive("tubeMaximum", MA, MOST_MA);
  final QuantityField share = form().quantity("share", PERCENT, 1, 100);
  final QuantityField rated = form().positive("rated", MA, MOST_MA);
  final QuantityField meter = form().positive("meter", MA, MOST_MA);
  final Group<PairRow> samples =
      PairRow.group(
          form(),
          "visit.dial",
          FIRST_SAMPLES,
          MOST_SAMPLES,
          Column.of("percent", "power.dial-row.percent", PERCENT, 0, 100),
          Column.of("value", "power.dial-row.value", MA, 0, MOST_MA));
  final QuantityField atTop = form().quantity("reading.atTop", MA, 0, MOST_MA);
  final QuantityField agreed = form().positive("agreed", MA, MOST_MA);
  final QuantityField dialNow = form().quantity("reading.dialNow", PERCENT, 0, 100);
  private final QuantityField agreedPercent = form().positive("mostPercent", PERCENT, 100);
  private final ChoiceField<Card> card =
      form().choice(Field.READING + "card", Card.class, Card.NOT_BURNT);
  private final ChoiceField<Told> told = form().choice("told", Told.class, Told.WORDS);
  private final ChoiceField<Pulses> pulses = form().choice("pulses", Pulses.class, Pulses.SET);
  private final ObjectProperty<Message> audited = new SimpleObjectProperty<>(Message.NONE);
  final QuantityField slope = form().positive("slope", MA, MOST_MA);
  final QuantityField lowPulse = form().positive("lowPulse", MA, MOST_MA);
  final QuantityField jobTop = form().positive("jobTop", Quantity.NUMBER, 1_000_000);
  final QuantityField controllerTop = form().positive("controllerTop", Quantity.NUMBER, 1_000_000);
  final QuantityField firing = form().quantity("reading.firing", PERCENT, 0, 100);
  final QuantityField pulseLength = form().positive("pulseLength", Quantity.PULSE_LENGTH, 1e9);
  final QuantityField pulseRate = form().positive("pulseRate", Quantity.PULSE_RATE, 100_000);
  final Proofs<Item> proofs;
  final CurveSection curve;
  final AgeingSection ageing;
  private final TubeFileSection file;
  private final SettingsSection settings;
  private final Ways<PowerWay, PowerTask> ways;

  public PowerModel(AtMachine at) {
    super(new StationForm("power", at.units()), Power.visit(at.machine().source()));
    machine = at.machine();
    tube = isTube(machine);
    file = new TubeFileSection(form(), tube, tubeMaximum, this::top);
    curve = new CurveSection(form(), machine, file.testJob(), tube, this::print);
    ageing = new AgeingSection(form(), at, file.label(), this::solved);
    settings = new SettingsSection(form(), curve, this::wordRatio);
    proofs = form().proofs(tube ? List.of() : List.of(Item.values()));
    ways = new Ways<>(way, ways());
    startSolving();
  }

  private static boolean isTube(Machine machine) {
    return machine.source().kind() == SourceKind.CO2_GLASS_TUBE;
  }

  private Optional<PowerFinding.Top> top() {
    return solved().flatMap(s -> s.finding().top());
  }

  private Map<PowerWay, Ways.Way<PowerTask>> ways() {
    return Map.of(
        PowerWay.SHARE,
        way(
            () -> byMeter(OptionalDouble.of(share.number() / 100), OptionalDouble.empty()),
            needs(share),
            dial(),
            takes(atTop)),
        PowerWay.RATED,
        way(
            () -> byMeter(OptionalDouble.empty(), OptionalDouble.of(rated.number())),
            needs(rated),
            dial(),
            takes(atTop)),
        PowerWay.FACTORY,
        way(
            () -> new PowerTask.ByFactory(tubeMaximum.number(), meter.number(), atTop.value()),
            takes(atTop)),
        PowerWay.NEEDLE,
        way(this::byNeedle, needs(agreed, atTop), takes(dialNow)),
        PowerWay.CARD,
        way(
            () -> new PowerTask.ByCard(agreedPercent.number(), card.get()),
            needs(agreedPercent),
            shows(new Part.LabelledChoices(List.of(card)))),
        PowerWay.CHECK,
        way(this::checked, needs(agreed, atTop), takes(dialNow, slope)));
  }

  private Ask dial() {
    return Ways.rows(
        samples,
        LEAST_SAMPLES,
        "power.wait.samples",
        Part.pairs(samples, "power.heading.dial", "power.heading.current", "power.another-row"));
  }

  private PowerTask byMeter(OptionalDouble fraction, OptionalDouble ma) {
    return new PowerTask.ByMeter(
        new CeilingReadings(
            tubeMaximum.number(),
            fraction,
            ma,
            meter.number(),
            samples.begun().stream()
                .map(r -> new CeilingReadings.Sample(r.first().number(), r.second().number()))
                .toList()),
        atTop.value());
  }

  /** The dial was raised to the wanted current: how far it stands off is all there is to say. */
  private PowerTask byNeedle() {
    return new PowerTask.ByCheck(
        tubeMaximum.number(),
        meter.number(),
        agreed.number(),
        atTop.number(),
        dialNow.value(),
        OptionalDouble.empty());
  }

  private PowerTask checked() {
    return new PowerTask.ByCheck(
        tubeMaximum.number(),
        meter.number(),
        agreed.number(),
        atTop.number(),
        dialNow.value(),
        slope.value());
  }

  private PowerTask byWords() {
    return new PowerTask.ByWords(
        byDriver() ? OptionalDouble.empty() : jobTop.value(),
        byDriver() ? OptionalDouble.empty() : controllerTop.value(),
        firing.value(),
        proofs.answers(),
        machine.source().kind().pulsed() && pulses.get() == Pulses.SET,
        new PowerTask.Pulse(pulseLength.value(), pulseRate.value()),
        machine.source().pulses(),
        byDriver() ? Optional.of(card.get()) : Optional.empty());
  }

  private boolean byDriver() {
    return told.get() == Told.DRIVER;
  }

  /** Whether a current is read at all. */
  private boolean metered() {
    return tube && way.get() != PowerWay.CARD;
  }

  @Override
  protected List<Section<?, ?>> sections() {
    return List.of(ageing, curve, settings, file);
  }

  @Override
  protected Stream<Field> needed() {
    return Stream.concat(
        metered() ? Stream.of(tubeMaximum, meter) : Stream.empty(),
        tube ? ways.needed() : Stream.empty());
  }

  @Override
  protected Stream<Field> used() {
    return tube
        ? Stream.of(needed(), ways.used(), Stream.of((Field) lowPulse)).flatMap(s -> s)
        : Stream.of(jobTop, controllerTop, firing, pulseLength, pulseRate);
  }

  @Override
  protected Optional<Message> waitsFor() {
    return tube ? ways.waitsFor() : Optional.empty();
  }

  @Override
  protected PowerReadings readings() {
    return new PowerReadings(
        tube ? ways.read() : byWords(),
        tube,
        metered() ? lowPulse.value() : OptionalDouble.empty(),
        curve.read(),
        ageing.read().orElse(PowerReadings.Output.NOT_READ),
        file.read(),
        file.tubeLabel());
  }

  @Override
  public List<Part> parts() {
    List<Part> parts = new ArrayList<>();
    parts.add(Part.heading("sheet.readings", "sheet.keys"));
    if (tube) {
      BooleanBinding metered = way.valueProperty().isNotEqualTo(PowerWay.CARD);
      parts.add(new Part.ShownWhile(metered, List.of(Part.rows(lowPulse))));
      parts.add(ways.choice());
      parts.add(new Part.ShownWhile(metered, List.of(Part.rows(tubeMaximum, meter))));
      parts.add(ways.parts());
    } else {
      BooleanBinding words = told.valueProperty().isEqualTo(Told.WORDS);
      parts.add(new Part.LabelledChoices(List.of(told)));
      parts.add(
          new Part.ShownWhile(
              words, List.of(Part.rows(jobTop, controllerTop), new Part.LiveText(audited))));
      parts.add(Part.rows(firing));
      parts.add(Part.rows(proofs.fields()));
      parts.add(new Part.ShownWhile(words.not(), List.of(new Part.LabelledChoices(List.of(card)))));
      if (machine.source().kind().pulsed()) {
        parts.add(new Part.LabelledChoices(List.of(pulses)));
        parts.add(
            new Part.ShownWhile(
                pulses.valueProperty().isEqualTo(Pulses.SET),
                List.of(Part.rows(pulseLength, pulseRate))));
      }
    }
    parts.add(new Part.ReadingStatus());
    parts.add(new Part.PracticeEntry());
    sections().forEach(s -> parts.add(s.part()));
    return parts;
  }

  /** The table to stick on the machine. */
  private void print(PowerTablePage page) {
    context()
        .ifPresent(c ->
            c.host()
                .write(
                    new SheetHost.Page(
                        Text.of("power.page.title", machine.name()),
                        Text.of("power.page.why"),
                        "power-table",
                        false,
                        remark -> page.html(Text.words()))));
  }

  @Override
  public void draw(Canvas on) {
    Optional<Outcome.Solved<PowerReadings, PowerFinding>> solved = solved();
    new PowerPicture(on)
        .draw(
            new PowerPicture.Shown(
                solved.map(f -> f.readings().task()),
                solved.map(Outcome.Solved::finding),
                tube ? tubeMaximum.value() : OptionalDouble.empty(),
                solved.map(f -> f.readings().output()),
                curve.read(),
                curve.outcome(),
                curve.unit()));
  }

  @Override
  public boolean hasPaperDrawing() {
    return tube
        ? tubeMaximum.value().isPresent() && solved().isPresent()
        : curve.read().isPresent();
  }

  /** What is known from earlier visits stands there, to be looked at before it is used. */
  @Override
  protected void recordChanged(List<Entry> entries) {
    context()
        .ifPresent(c -> {
          ageing.follow(c.workshop().opened().ledger());
          AuditedWords.lastLeft(c.workshop().opened().ledger())
              .ifPresent(w -> takeAudited(w, c.workshop().clock().getZone()));
        });
    form()
        .allAtOnce(() -> {
          fill(agreed, ageing.last("agreed"));
          fill(agreedPercent, ageing.last("agreedPercent"));
          fill(slope, ageing.last("slope"));
        });
  }

  /** What the controller was left with is not asked again; what was typed here stays. */
  private void takeAudited(AuditedWords words, ZoneId zone) {
    boolean untouched = jobTop.isEmpty() && controllerTop.isEmpty() && told.isEmpty();
    if (words.silent() && untouched) {
      told.set(Told.DRIVER);
    } else if (words.jobTop().isPresent() && words.controllerTop().isPresent() && untouched) {
      jobTop.set(words.jobTop().getAsDouble());
      controllerTop.set(words.controllerTop().getAsDouble());
    }
    boolean same =
        jobTop.value().equals(words.jobTop())
            && controllerTop.value().equals(words.controllerTop());
    audited.set(
        same && jobTop.value().isPresent()
            ? Message.of("power.words.audited", DayWords.day(words.at(), zone))
            : Message.NONE);
  }

  private static void fill(QuantityField field, OptionalDouble known) {
    if (field.isEmpty()) {
      known.ifPresent(v -> field.set(Math.round(v * 1000) / 1000.0));
    }
  }

  @Override
  public Message whyRead() {
    return Message.of(tube ? "power.why-read" : "power.words.why");
  }

  /** The test job is. */
  @Override
  protected boolean burns() {
    return true;
  }

  @Override
  public Message caution() {
    return caution(tube);
  }

  private static Message caution(boolean tube) {
    return Message.of(tube ? "power.caution" : "power.caution.no-tube");
  }

  @Override
  public Optional<Practice<?, ?, PowerReadings, PowerFinding>> practice() {
    return Optional.of(tube ? new TubePractice(this) : new WordsPractice(this));
  }

  @Override
  public List<FigureTile> tiles(Outcome.Solved<PowerReadings, PowerFinding> solved) {
    return tube
        ? tiles(
            solved,
            metered() ? always("off", atTop) : known("off"),
            known("dial"),
            known("loss"),
            known("agreedPercent"),
            metered() ? always("lowPulse", lowPulse) : known("lowPulse"))
        : Stream.concat(
                tiles(solved, known("loss"), always("firing", firing)).stream(), scaleTile())
            .toList();
  }

  /** The job software's top power word over the controller's; empty while either is not known. */
  private OptionalDouble wordRatio() {
    return tube || byDriver() || jobTop.value().isEmpty() || controllerTop.value().isEmpty()
        ? OptionalDouble.empty()
        : OptionalDouble.of(jobTop.number() / controllerTop.number());
  }

  /** How much of the controller's scale the job software's "100 %" is. */
  private Stream<FigureTile> scaleTile() {
    if (wordRatio().isEmpty()) {
      return Stream.empty();
    }
    double share = wordRatio().getAsDouble();
    return Stream.of(
        FigureTile.of(Message.of("power.tile.scale"), Amount.of(100 * share, PERCENT, 0))
            .judged(UnmeteredPower.sameWord(share), Message.of("power.tile.of-controller")));
  }
}
