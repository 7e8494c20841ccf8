package zebrawood.desktop.power;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectWrapper;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.sheet.FigureTile;
import zebrawood.desktop.sheet.FileField;
import zebrawood.desktop.sheet.Outcome;
import zebrawood.desktop.sheet.Part;
import zebrawood.desktop.sheet.Practice;
import zebrawood.desktop.sheet.SheetContext;
import zebrawood.desktop.sheet.SheetHost;
import zebrawood.desktop.sheet.StationWork;
import zebrawood.desktop.sheet.When;
import zebrawood.desktop.solve.Solver;
import zebrawood.desktop.stations.StationDefinition;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Ledger;
import zebrawood.machine.Machine;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Estimate;
import zebrawood.measure.UnusableReading;
import zebrawood.power.Ageing;
import zebrawood.power.Ceiling;
import zebrawood.power.CeilingReadings;
import zebrawood.power.CurveFit;
import zebrawood.power.FittedCurve;
import zebrawood.power.LifeRule;
import zebrawood.power.Power;
import zebrawood.power.PowerFinding;
import zebrawood.power.PowerReadings;
import zebrawood.power.PowerStation;
import zebrawood.power.PowerTask;
import zebrawood.power.PowerTask.Item;
import zebrawood.power.PowerTask.Proof;
import zebrawood.power.RescaleFinding;
import zebrawood.power.RescaleReadings;
import zebrawood.power.Rescaling;
import zebrawood.quantity.Amount;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;
import zebrawood.records.power.PowerTablePage;
import zebrawood.records.settings.SettingsTable;
import zebrawood.words.Dates;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/** The power station at one machine. */
public final class PowerWork extends StationWork<PowerReadings, PowerFinding> {
  public static final StationDefinition DEFINITION =
      new StationDefinition(
          PowerStation.STATION,
          PowerWork::new,
          Solver.of("power-cap", CeilingReadings.class, Ceiling::solve, Set.of()),
          Solver.of("rescale", RescaleReadings.class, Rescaling::solve, Set.of()));

  private static final Quantity MA = Quantity.SMALL_CURRENT;
  private static final Quantity PERCENT = Quantity.PERCENT;
  private static final double MOST_MA = 10_000;
  private static final int LEAST_SAMPLES = 3;
  private static final int FIRST_SAMPLES = 5;
  private static final int MOST_TILES = 4;

  private final Machine machine;
  private final boolean tube;
  private final ChoiceField<PowerWay> way = form().choice("way", PowerWay.class, PowerWay.SHARE);
  private final QuantityField tubeMaximum = form().positive("tubeMaximum", MA, MOST_MA);
  private final QuantityField share = form().quantity("share", PERCENT, 1, 100);
  private final QuantityField rated = form().positive("rated", MA, MOST_MA);
  private final QuantityField meter = form().positive("meter", MA, MOST_MA);
  private final Group<CurveRow> samples =
      CurveRow.group(
          form(),
          "visit.dial",
          "power.dial-row.percent",
          "power.dial-row.value",
          FIRST_SAMPLES,
          MA,
          MOST_MA);
  private final QuantityField atTop = form().quantity("reading.atTop", MA, 0, MOST_MA);
  private final QuantityField agreed = form().positive("agreed", MA, MOST_MA);
  private final QuantityField dialNow = form().quantity("reading.dialNow", PERCENT, 0, 100);
  private final QuantityField slope = form().positive("slope", MA, MOST_MA);
  private final QuantityField lowPulse = form().positive("lowPulse", MA, MOST_MA);
  private final QuantityField output = form().positive("reading.output", Quantity.POWER, 100_000);
  private final QuantityField alike = form().positive("reading.alike", PERCENT, 200);
  private final QuantityField hours =
      form().quantity("reading.hours", Quantity.NUMBER, 0, 1_000_000);
  private final QuantityField lossLimit = form().quantity("lossLimit", PERCENT, 1, 90);
  private final WordsField testJob = form().plainWords("testJob");
  private final WordsField label = form().plainWords("label");
  private final List<QuantityField> life =
      List.of(
          form().positive("lifeMa", MA, MOST_MA),
          form().positive("lifeHours", Quantity.NUMBER, 1_000_000),
          form().positive("lifeHigherMa", MA, MOST_MA),
          form().positive("lifeFewerHours", Quantity.NUMBER, 1_000_000));
  private final QuantityField jobTop = form().positive("jobTop", Quantity.NUMBER, 1_000_000);
  private final QuantityField controllerTop =
      form().positive("controllerTop", Quantity.NUMBER, 1_000_000);
  private final QuantityField firing = form().quantity("reading.firing", PERCENT, 0, 100);
  private final QuantityField pulseLength =
      form().positive("pulseLength", Quantity.PULSE_LENGTH, 1e9);
  private final QuantityField pulseRate =
      form().positive("pulseRate", Quantity.PULSE_RATE, 100_000);
  private final Map<Item, ProofField> proofs = new EnumMap<>(Item.class);
  private final CurveFields curve;
  private final QuantityField wantedPercent = form().quantity("wantedPercent", PERCENT, 0, 100);
  private final QuantityField wantedOutput =
      form().quantity("wantedOutput", Quantity.NUMBER, 0, 100_000);
  private final WordsField settingsFile = form().words("settingsFile");
  private final WordsField settingsTo = form().words("settingsTo");
  private final ReadOnlyObjectWrapper<Message> curveSaid =
      new ReadOnlyObjectWrapper<>(Message.of("power.curve.needs"));
  private final ReadOnlyObjectWrapper<Message> ageingSaid =
      new ReadOnlyObjectWrapper<>(Message.of("power.trend.needs"));
  private final ReadOnlyObjectWrapper<Message> settingsSaid =
      new ReadOnlyObjectWrapper<>(Message.of("power.settings.hint"));
  private final ReadOnlyObjectWrapper<Message> beforeSaid =
      new ReadOnlyObjectWrapper<>(Message.NONE);
  private final ReadOnlyObjectWrapper<Message> lifeSaid = new ReadOnlyObjectWrapper<>(Message.NONE);
  private Ledger ledger;
  private List<Entry> entries;
  private TubeHistory history;

  public PowerWork(Ledger ledger, DisplayUnits units) {
    super(new StationForm("power", units));
    this.ledger = ledger;
    machine = ledger.machine();
    tube = machine.source().kind() == SourceKind.CO2_GLASS_TUBE;
    curve = new CurveFields(form(), tube);
    entries = ledger.entriesAt(PowerStation.STATION);
    history = TubeHistory.of(ledger, entries, "");
    if (!tube) {
      for (Item item : Item.values()) {
        proofs.put(item, form().proof(item));
      }
    }
    outcomeProperty().subscribe(this::tellMore);
    begin();
    label
        .textProperty()
        .subscribe(text -> {
          history = TubeHistory.of(this.ledger, entries, text);
          solveAgain();
        });
  }

  boolean tube() {
    return tube;
  }

  Machine machine() {
    return machine;
  }

  PowerWay chosen() {
    return way.get();
  }

  private Stream<Field> ofWay() {
    if (!tube) {
      return Stream.empty();
    }
    Stream<Field> always = Stream.of(tubeMaximum, meter);
    Stream<Field> own =
        switch (way.get()) {
          case SHARE -> Stream.concat(Stream.of(share), samples.fieldsBegun().stream());
          case RATED -> Stream.concat(Stream.of(rated), samples.fieldsBegun().stream());
          case FACTORY -> Stream.empty();
          case CHECK -> Stream.of(agreed, atTop);
        };
    return Stream.concat(always, own);
  }

  private Stream<Field> ofSource() {
    return tube
        ? Stream.of(lowPulse, atTop, dialNow, slope)
        : Stream.of(jobTop, controllerTop, firing, pulseLength, pulseRate);
  }

  @Override
  protected Stream<Field> used() {
    return Stream.of(
            ofWay(),
            ofSource(),
            Stream.of(output, alike, hours, lossLimit, wantedPercent, wantedOutput),
            life.stream(),
            curve.used())
        .flatMap(s -> s)
        .map(f -> (Field) f);
  }

  @Override
  protected Stream<Field> needed() {
    return Stream.of(ofWay(), curve.needed(), allOrNone(life).map(f -> (Field) f)).flatMap(s -> s);
  }

  @Override
  protected Optional<Message> waitsFor() {
    int missing = LEAST_SAMPLES - samples.begun().size();
    return tube && way.get().readsDial() && missing > 0
        ? Optional.of(Message.of("power.wait.samples", missing))
        : Optional.empty();
  }

  @Override
  protected PowerReadings readings() {
    return new PowerReadings(
        task(),
        tube,
        tube ? lowPulse.value() : OptionalDouble.empty(),
        curve.read(),
        output(),
        lifeRule());
  }

  private Optional<LifeRule> lifeRule() {
    return QuantityField.begun(life)
        ? Optional.of(
            new LifeRule(
                life.get(0).number(),
                life.get(1).number(),
                life.get(2).number(),
                life.get(3).number()))
        : Optional.empty();
  }

  private PowerTask task() {
    if (!tube) {
      return new PowerTask.ByWords(
          jobTop.value(),
          controllerTop.value(),
          firing.value(),
          answered(proofs, Proof::new),
          machine.source().kind().pulsed(),
          new PowerTask.Pulse(pulseLength.value(), pulseRate.value()),
          machine.source().pulses());
    }
    return switch (way.get()) {
      case SHARE ->
          new PowerTask.ByMeter(
              ceiling(OptionalDouble.of(share.number() / 100), OptionalDouble.empty()),
              atTop.value());
      case RATED ->
          new PowerTask.ByMeter(
              ceiling(OptionalDouble.empty(), OptionalDouble.of(rated.number())), atTop.value());
      case FACTORY -> new PowerTask.ByFactory(tubeMaximum.number(), meter.number(), atTop.value());
      case CHECK ->
          new PowerTask.ByCheck(
              tubeMaximum.number(),
              meter.number(),
              agreed.number(),
              atTop.number(),
              dialNow.value(),
              slope.value());
    };
  }

  private CeilingReadings ceiling(OptionalDouble fraction, OptionalDouble ma) {
    return new CeilingReadings(
        tubeMaximum.number(),
        fraction,
        ma,
        meter.number(),
        samples.begun().stream()
            .map(r -> new CeilingReadings.Sample(r.percent().number(), r.value().number()))
            .toList());
  }

  private Instant now() {
    return context()
        .map(c -> c.workshop().clock().instant())
        .or(() ->
            ledger.entriesAt(PowerStation.STATION).reversed().stream().map(Entry::time).findFirst())
        .orElse(Instant.EPOCH);
  }

  /** In watts where they were read, else by marks. */
  private PowerReadings.Output output() {
    boolean inWatts = output.value().isPresent() || alike.value().isEmpty();
    String id = inWatts ? "output" : "alike";
    OptionalDouble read = inWatts ? output.value() : alike.value();
    boolean inHours = hours.value().isPresent() && history.inHours(id);
    OptionalDouble first = history.first(id);
    return new PowerReadings.Output(
        inWatts,
        read,
        first,
        lossLimit.value(),
        history.readings(id, inHours),
        inHours ? hours.number() : history.day(id, now()),
        inHours,
        hours.value());
  }

  @Override
  protected PowerFinding solve(PowerReadings readings) {
    return Power.solve(readings);
  }

  @Override
  public List<Figure> figures(PowerReadings readings, PowerFinding finding) {
    return Power.figures(readings, finding);
  }

  @Override
  public List<Part> parts() {
    List<Part> parts = new ArrayList<>();
    parts.add(Part.heading("sheet.readings", "sheet.keys"));
    if (tube) {
      parts.add(Part.rows(lowPulse));
      parts.add(Part.rows(way));
      parts.add(
          new Part.Live(way.valueProperty().map(w -> Message.of(Message.keyOf(w) + ".hint"))));
      parts.add(Part.rows(tubeMaximum, meter));
      parts.add(new Part.Anew(way.valueProperty(), this::partsOfWay));
    } else {
      parts.add(Part.rows(jobTop, controllerTop, firing));
      parts.add(new Part.Rows(List.copyOf(proofs.values())));
      if (machine.source().kind().pulsed()) {
        parts.add(Part.rows(pulseLength, pulseRate));
      }
    }
    parts.add(new Part.Told());
    parts.add(new Part.Practising());
    parts.add(
        Part.fold(
            "power.ageing",
            Part.hint("power.ageing.hint"),
            Part.rows(output, alike, hours, lossLimit),
            new Part.Live(ageingSaid.getReadOnlyProperty())));
    parts.add(
        Part.fold(
            "power.curve",
            Part.rows(curve.ways()),
            new Part.Live(curve.wayProperty().map(w -> Message.of(Message.keyOf(w) + ".hint"))),
            new Part.Anew(curve.wayProperty(), curve::parts),
            new Part.Live(curveSaid.getReadOnlyProperty()),
            Part.rows(wantedPercent, wantedOutput),
            new Part.Press("power-print", Message.of("power.print"), this::print)));
    parts.add(
        Part.fold(
            "power.valid",
            new Part.Live(beforeSaid.getReadOnlyProperty()),
            new Part.Press("power-keep", Message.of("power.keep"), this::keepCurve),
            new Part.Own(pane -> new FileField(settingsFile, "power-settings-choose", pane)),
            Part.rows(settingsTo),
            new Part.Press(
                "power-settings-make", Message.of("power.settings.make"), this::makeSettings),
            new Part.Live(settingsSaid.getReadOnlyProperty())));
    parts.add(
        tube
            ? Part.fold(
                "power.file",
                Part.rows(testJob, label),
                Part.hint("power.life.hint"),
                new Part.Rows(life),
                new Part.Live(lifeSaid.getReadOnlyProperty()))
            : Part.fold("power.file", Part.rows(testJob, label)));
    return parts;
  }

  private List<Part> partsOfWay() {
    return switch (way.get()) {
      case SHARE -> List.of(Part.rows(share), dialRows(), Part.rows(atTop));
      case RATED -> List.of(Part.rows(rated), dialRows(), Part.rows(atTop));
      case FACTORY -> List.of(Part.rows(atTop));
      case CHECK -> List.of(Part.rows(agreed, atTop, dialNow, slope));
    };
  }

  private Part dialRows() {
    return new Part.Rowed(
        samples,
        List.of(Message.of("power.heading.dial"), CurveWay.CURRENT.heading()),
        Message.of("power.another-row"));
  }

  private Optional<PowerReadings.Curve> curveRead() {
    if (curve.needed().anyMatch(f -> f.isEmpty() || f.problem().isPresent())) {
      return Optional.empty();
    }
    try {
      return curve.read();
    } catch (UnusableReading e) {
      return Optional.empty();
    }
  }

  private Optional<FittedCurve> fitted() {
    return curveRead().flatMap(c -> CurveFit.of(c.now(), c.resolution(), c.scatterPercent()));
  }

  private Amount inUnit(double value) {
    return Amount.of(value, curve.way().unit().quantity(), 1);
  }

  /** What follows below the folds, whatever else is missing. */
  private void tellMore() {
    curveSaid.set(curveWords());
    ageingSaid.set(trendWords());
    lifeSaid.set(lifeWords());
    beforeSaid.set(
        curve.beforeUnit() == CurveWay.Unit.NONE
            ? Message.of("power.before.none")
            : Message.of(
                "power.before.kept",
                curve.before().size(),
                curve.beforeUnit().quantity().canonical().symbol()));
  }

  private Message curveWords() {
    Optional<FittedCurve> fitted = fitted();
    if (fitted.isEmpty()) {
      return curveRead().isPresent()
          ? Message.of("power.curve.none")
          : Message.of("power.curve.needs");
    }
    FittedCurve f = fitted.get();
    Estimate threshold = f.thresholdPercent();
    List<Message> said = new ArrayList<>();
    said.add(
        Message.of(
            "power.curve.found",
            Message.bare(Amount.of(threshold.value(), PERCENT, 1)),
            Amount.of(threshold.uncertainty(), PERCENT, 1),
            Message.bare(Amount.of(f.slopePerPercent().value(), curve.way().unit().quantity(), 3)),
            Amount.of(f.slopePerPercent().uncertainty(), curve.way().unit().quantity(), 3),
            flattening(f)));
    wantedPercent.value().stream()
        .mapToObj(p -> f.covers(p) ? gives(f, p) : outside(f))
        .forEach(said::add);
    wantedOutput.value().stream()
        .mapToObj(v -> f.percentFor(v).map(p -> takes(v, p)).orElseGet(() -> beyond(f, v)))
        .forEach(said::add);
    return Message.sentences(said);
  }

  private static Message flattening(FittedCurve f) {
    return f.flatteningUncertainty().isPresent()
        ? Message.of(
            "power.curve.flattens",
            Message.bare(Amount.of(100 * f.flatteningFraction(), PERCENT, 1)),
            Amount.of(100 * f.flatteningUncertainty().getAsDouble(), PERCENT, 1))
        : Message.of("power.curve.flattens-unknown");
  }

  private Message gives(FittedCurve f, double percent) {
    Estimate at = f.at(percent);
    return Message.of(
        "power.curve.gives",
        Amount.of(percent, PERCENT, 1),
        Message.bare(inUnit(at.value())),
        inUnit(at.uncertainty()));
  }

  private static Message outside(FittedCurve f) {
    return Message.of(
        "power.curve.outside",
        Message.bare(Amount.of(f.lowestPercent(), PERCENT, 0)),
        Amount.of(f.highestPercent(), PERCENT, 0));
  }

  private Message takes(double value, Estimate percent) {
    return Message.of(
        "power.curve.takes",
        inUnit(value),
        Message.bare(Amount.of(percent.value(), PERCENT, 1)),
        Amount.of(percent.uncertainty(), PERCENT, 1));
  }

  private Message beyond(FittedCurve f, double value) {
    return Message.of(
        "power.curve.beyond", inUnit(value), inUnit(f.at(f.highestPercent()).value()));
  }

  private Message trendWords() {
    Optional<PowerFinding> finding = found().map(Outcome.Found::finding);
    Optional<Ageing.Trend> trend = finding.flatMap(PowerFinding::trend);
    if (trend.isEmpty()) {
      return Message.of("power.trend.needs");
    }
    PowerReadings.Output read = found().get().readings().output();
    String each = read.inHours() ? "power.trend.falls-hours" : "power.trend.falls-days";
    Ageing.Trend t = trend.get();
    Message falls = Message.of(each, Amount.of(100 * t.fallPer1000(), PERCENT, 1));
    if (t.from().isEmpty()) {
      return Message.sentences(List.of(falls, Message.of("power.trend.far")));
    }
    Message from = when(t.from().getAsDouble(), read);
    Message crossing =
        t.until().isPresent()
            ? Message.of(
                "power.trend.crosses",
                t.at().isPresent() ? when(t.at().getAsDouble(), read) : from,
                from,
                when(t.until().getAsDouble(), read))
            : Message.of("power.trend.not-before", from);
    return Message.sentences(List.of(falls, crossing));
  }

  /** A date, and the hours where they are counted. */
  private Message when(double at, PowerReadings.Output read) {
    String id = read.inWatts() ? "output" : "alike";
    ZoneId zone = context().map(c -> c.workshop().clock().getZone()).orElse(ZoneOffset.UTC);
    if (!read.inHours()) {
      Instant start = history.start(id).orElseGet(this::now);
      return Dates.dayAndYear(start.plus(days(at)), zone);
    }
    Message counted = Message.of("power.trend.hours", Math.round(at));
    OptionalDouble perDay = history.hoursADay();
    return perDay.isPresent()
        ? Message.of(
            "power.trend.hours-and-date",
            Math.round(at),
            Dates.dayAndYear(now().plus(days((at - read.at()) / perDay.getAsDouble())), zone))
        : counted;
  }

  private static Duration days(double days) {
    return Duration.ofMinutes(Math.round(days * 24 * 60));
  }

  /** What driving it harder costs, by the tube's own data sheet. */
  private Message lifeWords() {
    Optional<PowerReadings> readings = found().map(Outcome.Found::readings);
    Optional<LifeRule> rule = readings.flatMap(PowerReadings::life);
    Optional<PowerFinding.Top> top = found().flatMap(f -> f.finding().top());
    if (rule.isEmpty() || top.isEmpty() || tubeMaximum.value().isEmpty()) {
      return Message.of("power.life.unknown");
    }
    double agreedMa = top.get().agreedMa();
    double maximum = tubeMaximum.number();
    return Message.of(
        "power.life.rule",
        Amount.of(agreedMa, MA, 1),
        Math.round(rule.get().hoursAt(agreedMa)),
        Amount.of(maximum, MA, 1),
        Math.round(rule.get().hoursAt(maximum)));
  }

  /** Keeps the curve as it is now as the one that jobs are made for. */
  private void keepCurve() {
    curveRead()
        .ifPresentOrElse(
            c -> curve.keep(c.now()), () -> beforeSaid.set(Message.of("power.curve.needs")));
  }

  private record Remade(RescaleFinding finding, String to) {}

  /** Reads the list, makes it anew for the curve as it is now, and writes it beside the old one. */
  private void makeSettings() {
    Optional<PowerReadings.Curve> read = curveRead();
    String from = settingsFile.text().strip();
    if (from.isEmpty()) {
      settingsSaid.set(Message.of("power.settings.no-name"));
    } else if (read.isEmpty() || read.get().before().isEmpty()) {
      settingsSaid.set(Message.of("power.settings.no-curves"));
    } else {
      String to =
          settingsTo.isEmpty()
              ? from.replaceFirst("(\\.[^./\\\\]*)?$", "-new$1")
              : settingsTo.text().strip();
      PowerReadings.Curve curves = read.get();
      beside(
          p -> {
            SettingsTable table = SettingsTable.read(from, p.part(0, 0.4));
            RescaleFinding finding =
                Rescaling.solve(
                    new RescaleReadings(curves.before(), curves.now(), table.settings()));
            p.reached(0.6);
            table.write(to, finding.settings());
            return new Remade(finding, to);
          },
          this::remade,
          this::notRemade);
    }
  }

  private void remade(Remade made) {
    List<RescaleFinding.Setting> settings = made.finding.settings();
    long kept = settings.stream().filter(RescaleFinding.Setting::reachable).count();
    List<Message> said = new ArrayList<>();
    said.add(
        Message.of(
            "power.settings.made",
            settings.size(),
            Message.quoted(made.to),
            kept,
            settings.size() - kept));
    said.addAll(made.finding.warnings().stream().limit(3).toList());
    settingsSaid.set(Message.sentences(said));
    solveAgain();
  }

  private void notRemade(Throwable because) {
    settingsSaid.set(
        because instanceof UnusableReading e
            ? StationForm.refusal(e)
            : Message.of("sheet.failed", Message.quoted(String.valueOf(because.getMessage()))));
    solveAgain();
  }

  /** The table to stick on the machine. */
  private void print() {
    Optional<FittedCurve> fitted = fitted();
    if (fitted.isEmpty() || context().isEmpty()) {
      curveSaid.set(Message.of("power.curve.needs"));
      return;
    }
    SheetHost host = context().get().host();
    Phrasebook words = Text.words();
    String day =
        When.dayAndYear(host.workshop().clock().instant(), host.workshop().clock().getZone());
    PowerTablePage page =
        PowerTablePage.of(
            machine, fitted.get(), curve.way().unit().quantity(), testJob.text(), day, words);
    host.write(
        new SheetHost.Page(
            Text.of("power.page.title", machine.name()),
            Text.of("power.page.why"),
            "power-table",
            false,
            (folder, name, remark) -> page.write(folder, name, words)));
  }

  @Override
  public void draw(Canvas on) {
    Optional<Outcome.Found<PowerReadings, PowerFinding>> found = found();
    new PowerPicture(on)
        .draw(
            new PowerPicture.Shown(
                found.map(f -> f.readings().task()),
                found.map(Outcome.Found::finding),
                tube ? tubeMaximum.value() : OptionalDouble.empty(),
                found.map(f -> f.readings().output()),
                curveRead(),
                fitted(),
                curve.way().unit().quantity()));
  }

  @Override
  public boolean hasPaperPicture() {
    return tube ? tubeMaximum.value().isPresent() && found().isPresent() : curveRead().isPresent();
  }

  @Override
  protected void attached(SheetContext sheet) {
    sheetChanged(sheet);
  }

  private void sheetChanged(SheetContext sheet) {
    ledger = sheet.workshop().opened().ledger();
  }

  /** What is known from earlier visits stands there, to be looked at before it is used. */
  @Override
  public void recordChanged(List<Entry> recorded) {
    context().ifPresent(this::sheetChanged);
    entries = recorded;
    history = TubeHistory.of(ledger, entries, label.text());
    form()
        .quietly(() -> {
          fill(agreed, history.last("agreed"));
          fill(slope, history.last("slope"));
        });
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

  @Override
  public Message caution() {
    return Message.of(tube ? "power.caution" : "power.caution.no-tube");
  }

  @Override
  public Optional<Practice<?, PowerReadings, PowerFinding>> practice() {
    return Optional.of(tube ? new TubePractice(this) : new WordsPractice(this));
  }

  @Override
  public List<FigureTile> tiles(Outcome.Found<PowerReadings, PowerFinding> found) {
    PowerFinding f = found.finding();
    List<FigureTile> tiles = new ArrayList<>();
    f.top().ifPresent(top -> tiles.add(offTile(top)));
    f.dialPercent()
        .ifPresent(d ->
            tiles.add(
                FigureTile.of(Message.of("power.figure.dial"), Amount.of(d.value(), PERCENT, 1))
                    .uncertain(Amount.of(d.uncertainty(), PERCENT, 1))));
    if (f.lossPercent().isPresent()) {
      FigureTile loss =
          FigureTile.of(
              Message.of("power.figure.loss"),
              Amount.of(f.lossPercent().getAsDouble(), PERCENT, 0));
      OptionalDouble limit = found.readings().output().lossLimitPercent();
      tiles.add(
          limit.isPresent() ? loss.limited(Amount.of(limit.getAsDouble(), PERCENT, 0)) : loss);
    }
    if (tube) {
      tiles.add(lowTile());
    } else {
      tiles.add(
          firing.value().isPresent()
              ? FigureTile.of(
                  Message.of("power.figure.firing"), Amount.of(firing.number(), PERCENT, 0))
              : FigureTile.unknown(
                  Message.of("power.figure.firing"),
                  Message.of("tile.would-tell", firing.label())));
      jobTop.value().stream()
          .filter(j -> controllerTop.value().isPresent())
          .mapToObj(j ->
              FigureTile.of(
                      Message.of("power.tile.scale"),
                      Amount.of(100 * j / controllerTop.number(), PERCENT, 0))
                  .judged(
                      Math.abs(j / controllerTop.number() - 1) < 0.001,
                      Message.of("power.tile.of-controller")))
          .forEach(tiles::add);
    }
    return tiles.subList(0, Math.min(MOST_TILES, tiles.size()));
  }

  private FigureTile offTile(PowerFinding.Top top) {
    return top.offMa().isPresent()
        ? FigureTile.of(Message.of("power.figure.off"), Amount.of(top.offMa().getAsDouble(), MA, 1))
            .limited(Amount.of(top.allowedMa(), MA, 1))
        : FigureTile.unknown(
            Message.of("power.figure.off"), Message.of("tile.would-tell", atTop.label()));
  }

  private FigureTile lowTile() {
    return lowPulse.value().isPresent()
        ? FigureTile.of(Message.of("power.figure.lowPulse"), Amount.of(lowPulse.number(), MA, 1))
        : FigureTile.unknown(
            Message.of("power.figure.lowPulse"), Message.of("tile.would-tell", lowPulse.label()));
  }

  @Override
  public List<Message> summary(Outcome.Found<PowerReadings, PowerFinding> found) {
    List<Message> said = new ArrayList<>();
    found
        .finding()
        .top()
        .ifPresent(top ->
            said.add(
                Message.of(
                    "power.summary.agreed",
                    Amount.of(top.agreedMa(), MA, 1),
                    Amount.of(top.allowedMa(), MA, 1))));
    found.finding().better().map(Message::of).ifPresent(said::add);
    if (found.readings().task() instanceof PowerTask.ByWords words
        && words.pulse().rateKhz().isPresent()) {
      double millijoules = machine.source().watts() / words.pulse().rateKhz().getAsDouble();
      said.add(
          Message.of(
              "power.summary.pulse",
              Amount.plain(machine.source().watts(), Quantity.POWER),
              Amount.of(millijoules, Quantity.PULSE_ENERGY, 3)));
    }
    return said;
  }

  List<QuantityField> ofTube() {
    return List.of(tubeMaximum, share, rated, meter);
  }

  Group<CurveRow> samples() {
    return samples;
  }

  QuantityField atTop() {
    return atTop;
  }

  QuantityField agreed() {
    return agreed;
  }

  QuantityField dialNow() {
    return dialNow;
  }

  QuantityField slope() {
    return slope;
  }

  QuantityField lowPulse() {
    return lowPulse;
  }

  QuantityField outputField() {
    return output;
  }

  CurveFields curve() {
    return curve;
  }

  List<QuantityField> ofWords() {
    return List.of(jobTop, controllerTop, firing, pulseLength, pulseRate);
  }

  Map<Item, ProofField> proofs() {
    return proofs;
  }
}
