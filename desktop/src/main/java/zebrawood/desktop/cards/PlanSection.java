package zebrawood.desktop.cards;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zebrawood.cards.BookLine;
import zebrawood.cards.CardFill;
import zebrawood.cards.CardFill.Lines;
import zebrawood.cards.CardGrid;
import zebrawood.cards.CardPlan;
import zebrawood.cards.CardPlanFinding;
import zebrawood.cards.CardPlanReadings;
import zebrawood.cards.CardScanReadings;
import zebrawood.cards.CardSteps;
import zebrawood.cards.StockKind;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.AuditedWords;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Figure;
import zebrawood.machine.Machine;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.cards.CardFile;
import zebrawood.words.Message;

/** A card to burn: where its squares lie, how long it takes, whether it fits, and its files. */
final class PlanSection extends Section<CardPlanReadings, CardPlanFinding> {
  /** The station, and its figure, that say below which power nothing fires. */
  private static final String POWER = "power";

  private static final String FIRING = "firing";
  private static final double USUAL_SQUARE_MM = 6;
  private static final double USUAL_GAP_MM = 2;

  /** From the corner of the bed: room for crosses, labels and run-up. */
  private static final double USUAL_AT_MM = 30;

  private final StationForm form;
  private final Machine machine;
  private final GridFields grid;
  private final Supplier<Optional<BookLine>> lastGood;
  private final Supplier<StockKind> stock;
  final QuantityField squareW;
  final QuantityField squareH;
  final QuantityField gap;
  private final QuantityField atX;
  private final QuantityField atY;
  private final QuantityField acceleration;
  final QuantityField topWord;
  private final QuantityField travelSpeed;
  private final QuantityField crossPower;
  private final QuantityField crossSpeed;
  private final QuantityField layersMost;
  private final ChoiceField<Lines> lines;
  private final ChoiceField<Outline> outline;
  private final QuantityField passes;
  private final WordsField file;
  private Optional<AuditedWords> audited = Optional.empty();

  /** As the power station found it; empty where it did not. */
  private OptionalDouble firing = OptionalDouble.empty();

  PlanSection(
      StationForm form,
      Machine machine,
      GridFields grid,
      Supplier<Optional<BookLine>> lastGood,
      Supplier<StockKind> stock) {
    super(Message.of("cards.plan.hint"));
    this.form = form;
    this.machine = machine;
    this.grid = grid;
    this.lastGood = lastGood;
    this.stock = stock;
    squareW = side(form, "squareW", "cards.wide");
    squareH = side(form, "squareH", "cards.high");
    gap = form.quantity("gap", Quantity.LENGTH, 0, 1000);
    atX = at(form, "atX", "cards.right");
    atY = at(form, "atY", "cards.rear");
    acceleration = form.positive("acceleration", Quantity.ACCELERATION, 1e6);
    topWord = form.positive("topWord", Quantity.NUMBER, 1e6);
    travelSpeed = form.positive("travelSpeed", Quantity.SPEED, 50_000);
    crossPower = form.positive("crossPower", Quantity.PERCENT, 100);
    crossSpeed = form.positive("crossSpeed", Quantity.SPEED, 50_000);
    layersMost = form.quantity("layersMost", Quantity.NUMBER, 1, 1000);
    lines = form.choice("lines", Lines.class, Lines.BOTH_WAYS);
    outline = form.choice("outline", Outline.class, Outline.WITHOUT);
    passes = form.quantity("cardPasses", Quantity.NUMBER, 1, 100);
    file = form.words("cardFile");
  }

  /** Whether a square's edge is burnt too. */
  enum Outline {
    WITHOUT,
    WITH
  }

  private static QuantityField side(StationForm form, String name, String which) {
    return form.positive(
        name, Message.of("cards.field.square", Message.of(which)), Quantity.LENGTH, 1000);
  }

  private static QuantityField at(StationForm form, String name, String which) {
    return form.quantity(
        name, Message.of("cards.field.at", Message.of(which)), Quantity.LENGTH, -10_000, 10_000);
  }

  private List<QuantityField> geometry() {
    return List.of(squareW, squareH, gap);
  }

  private List<QuantityField> all() {
    return List.of(
        squareW,
        squareH,
        gap,
        atX,
        atY,
        crossPower,
        crossSpeed,
        acceleration,
        topWord,
        travelSpeed,
        layersMost);
  }

  @Override
  public Stream<Field> fields() {
    return Stream.concat(all().stream(), Stream.of(lines, outline, passes));
  }

  @Override
  public Part part() {
    return Part.fold(
        "cards.plan",
        said(),
        new Part.Press("cards-usual", Message.of("cards.plan.usual"), this::usual),
        new Part.Press("cards-around", Message.of("cards.plan.around"), this::around),
        Part.rows(all()),
        Part.rows(passes),
        new Part.LabelledChoices(List.of(lines, outline)),
        Part.rows(file),
        new Part.Press("cards-write", Message.of("cards.plan.write"), this::write));
  }

  private void usual() {
    form.allAtOnce(() -> {
      grid.usual(machine);
      usualSquares();
    });
  }

  private void around() {
    Optional<BookLine> line = lastGood.get();
    if (line.isEmpty()) {
      say(Message.of("cards.plan.no-good"));
      return;
    }
    form.allAtOnce(() -> {
      grid.around(line.get());
      usualSquares();
    });
  }

  private static void ifEmpty(QuantityField field, double value) {
    if (field.isEmpty()) {
      field.set(value);
    }
  }

  private void usualSquares() {
    ifEmpty(squareW, USUAL_SQUARE_MM);
    ifEmpty(squareH, USUAL_SQUARE_MM);
    ifEmpty(gap, USUAL_GAP_MM);
    ifEmpty(atX, USUAL_AT_MM);
    ifEmpty(atY, USUAL_AT_MM);
    // Crosses as the middle of the card is burnt: they must be seen, and no more.
    crossPower.set(grid.middlePower());
    crossSpeed.set(grid.middleSpeed());
    audited.map(AuditedWords::controllerTop).ifPresent(top -> top.ifPresent(topWord::set));
  }

  @Override
  protected void recordChanged(List<Entry> entries) {
    sheet()
        .map(s -> s.workshop().opened().ledger())
        .ifPresent(ledger -> {
          audited = AuditedWords.lastLeft(ledger);
          firing =
              ledger.entries().reversed().stream()
                  .filter(e -> e.stationId().equals(POWER))
                  .flatMap(e -> e.figure(FIRING).stream())
                  .mapToDouble(Figure::value)
                  .findFirst();
        });
  }

  /** Below it the source gives nothing, or not evenly. */
  private Message ofFiring() {
    boolean below =
        firing.isPresent()
            && grid.powerLeast.value().isPresent()
            && grid.powerLeast.number() < firing.getAsDouble();
    return below
        ? Message.of(
            "cards.plan.below-firing", Amount.of(firing.getAsDouble(), Quantity.PERCENT, 0))
        : Message.NONE;
  }

  @Override
  protected Optional<CardPlanReadings> understood() {
    boolean enough =
        grid.known()
            && grid.commonInterval().isPresent()
            && geometry().stream().allMatch(f -> f.value().isPresent())
            && Stream.of(atX, atY, crossPower, crossSpeed).allMatch(f -> f.value().isPresent());
    if (!enough) {
      return Optional.empty();
    }
    CardGrid squares = grid.grid();
    return Optional.of(
        new CardPlanReadings(
            squares.percents(),
            squares.speedsMmS(),
            List.of(squareW.number(), squareH.number()),
            gap.number(),
            List.of(atX.number(), atY.number()),
            grid.commonInterval().getAsDouble(),
            acceleration.value(),
            List.of(machine.areaXMm(), machine.areaYMm()),
            topWord.value(),
            travelSpeed.value(),
            OptionalDouble.empty(),
            new CardPlanReadings.CrossAt(crossPower.number(), crossSpeed.number()),
            layersMost.value().isPresent()
                ? OptionalInt.of((int) Math.round(layersMost.number()))
                : OptionalInt.empty(),
            squares.across(),
            squares.up(),
            fill()));
  }

  /** Empty where it is the usual one. */
  private Optional<CardFill> fill() {
    OptionalInt often =
        passes.value().isPresent()
            ? OptionalInt.of((int) Math.round(passes.number()))
            : OptionalInt.empty();
    boolean usual =
        lines.get() == Lines.BOTH_WAYS && outline.get() == Outline.WITHOUT && often.isEmpty();
    return usual
        ? Optional.empty()
        : Optional.of(new CardFill(lines.get(), outline.get() == Outline.WITH, often));
  }

  @Override
  protected Optional<CardPlanFinding> solve(CardPlanReadings reading) {
    return Optional.of(CardPlan.planned(reading));
  }

  @Override
  protected Message words() {
    Optional<Message> beyond = beyondSource();
    if (beyond.isPresent()) {
      return beyond.get();
    }
    Message ofFiring = ofFiring();
    return ofFiring.isEmpty() ? ofPlan() : Message.sentences(List.of(ofPlan(), ofFiring));
  }

  private Message ofPlan() {
    return outcome()
        .map(p ->
            !p.fits()
                ? p.advice().getFirst().said()
                : Message.of(
                    "cards.plan.told",
                    p.squares().size(),
                    Message.bare(Amount.mm(p.extentMm().get(2) - p.extentMm().get(0), 0)),
                    Amount.mm(p.extentMm().get(3) - p.extentMm().get(1), 0),
                    p.seconds().isPresent()
                        ? Message.of(
                            "cards.plan.takes",
                            Amount.of(p.seconds().getAsDouble() / 60, Quantity.MINUTES, 1))
                        : Message.of("cards.plan.time-unknown")))
        .orElse(Message.of("cards.plan.hint"));
  }

  /** Why nothing is written to burn on this stock; empty where it may be burnt. */
  Optional<Message> neverBurnt() {
    StockKind.Hazard hazard = stock.get().hazard();
    return hazard.never()
        ? Optional.of(Message.of("words.because", Message.of("cards.never"), Message.of(hazard)))
        : Optional.empty();
  }

  /** Frequencies that the source does not take; empty where its range was not said. */
  private Optional<Message> beyondSource() {
    return machine
        .source()
        .pulses()
        .filter(p ->
            read().stream()
                .flatMap(r -> Stream.concat(r.across().stream(), r.up().stream()))
                .filter(s -> s.figure() == CardSteps.Step.FREQUENCY)
                .flatMap(s -> s.values().stream())
                .anyMatch(khz -> khz < p.leastKhz() || khz > p.mostKhz()))
        .map(p ->
            Message.of(
                "cards.pulses.frequency",
                Message.number(p.leastKhz()),
                Message.number(p.mostKhz())));
  }

  private void write() {
    if (beyondSource().isPresent()) {
      say(beyondSource().get());
      return;
    }
    if (neverBurnt().isPresent()) {
      say(neverBurnt().get());
      return;
    }
    Optional<CardPlanReadings> plan = read();
    if (plan.isEmpty()) {
      say(Message.of("cards.plan.needs"));
      return;
    }
    withFile(
        file,
        Message.of("field.file.no-name"),
        (name, progress) -> {
          new CardFile(plan.get()).write(name, Text.words());
          return Message.of("field.file.written", Message.quoted(name));
        });
  }

  /** The first square's corner, x and y; empty where nobody said it. */
  Optional<double[]> firstSquareMm() {
    return atX.value().isPresent() && atY.value().isPresent()
        ? Optional.of(new double[] {atX.number(), atY.number()})
        : Optional.empty();
  }

  /** The power word of so many per cent; empty where the top word is not known. */
  OptionalDouble wordOf(double percent) {
    return topWord.value().isPresent()
        ? OptionalDouble.of(Math.round(percent / 100 * topWord.number()))
        : OptionalDouble.empty();
  }

  /** The card as a scan is read by; empty while its squares are not known. */
  Optional<Geometry> geometryNow() {
    return grid.known() && geometry().stream().allMatch(f -> f.value().isPresent())
        ? Optional.of(new Geometry(grid.grid(), squareW.number(), squareH.number(), gap.number()))
        : Optional.empty();
  }

  Stream<Field> geometryFields() {
    return geometry().stream().map(f -> f);
  }

  /** Where the squares lie, from the first one's corner. */
  record Geometry(CardGrid grid, double wMm, double hMm, double gapMm) {
    double xMm(int column) {
      return column * (wMm + gapMm);
    }

    double yMm(int row) {
      return row * (hMm + gapMm);
    }

    List<List<Double>> crossesMm() {
      double out = gapMm + CardPlanReadings.USUAL_CROSS_MM / 2;
      double right = xMm(grid.columns() - 1) + wMm + out;
      double rear = yMm(grid.rows() - 1) + hMm + out;
      return List.of(
          List.of(-out, -out), List.of(right, -out), List.of(right, rear), List.of(-out, rear));
    }

    CardScanReadings scan(String path, List<List<Double>> crossesPx) {
      List<CardScanReadings.Square> squares =
          IntStream.range(0, grid.columns() * grid.rows())
              .mapToObj(i -> {
                int column = i % grid.columns();
                int row = i / grid.columns();
                return new CardScanReadings.Square(
                    column,
                    row,
                    xMm(column),
                    yMm(row),
                    wMm,
                    hMm,
                    grid.setting(column, row).intervalMm());
              })
              .toList();
      return new CardScanReadings(path, crossesMm(), OptionalDouble.empty(), crossesPx, squares);
    }
  }
}
