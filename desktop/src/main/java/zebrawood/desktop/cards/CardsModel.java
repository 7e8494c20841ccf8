package zebrawood.desktop.cards;

import static zebrawood.desktop.station.Ways.needs;
import static zebrawood.desktop.station.Ways.shows;
import static zebrawood.desktop.station.Ways.way;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import zebrawood.cards.BookLine;
import zebrawood.cards.CardChoose;
import zebrawood.cards.CardChooseReadings;
import zebrawood.cards.CardDrift;
import zebrawood.cards.CardDriftReadings;
import zebrawood.cards.CardGrades;
import zebrawood.cards.CardPlan;
import zebrawood.cards.CardPlanReadings;
import zebrawood.cards.CardSample;
import zebrawood.cards.CardScan;
import zebrawood.cards.CardScanFinding;
import zebrawood.cards.CardScanReadings;
import zebrawood.cards.CardSetting;
import zebrawood.cards.CardsFinding;
import zebrawood.cards.CardsFinding.Chosen;
import zebrawood.cards.CardsReadings;
import zebrawood.cards.CardsStation;
import zebrawood.cards.CardsTask;
import zebrawood.cards.CardsVisit;
import zebrawood.cards.Grade;
import zebrawood.cards.PulseReadings;
import zebrawood.cards.Pulses;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.photo.PhotoModel;
import zebrawood.desktop.photo.PhotoPlace;
import zebrawood.desktop.station.AtMachine;
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Section;
import zebrawood.desktop.station.Solver;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.Ways;
import zebrawood.devices.picture.PictureFile;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.kept.KeptFindings;
import zebrawood.records.kept.KeptReadings;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/** The cards of the stock that is on the machine, through the lens that is on. */
public final class CardsModel extends PhotoModel<CardsReadings, CardsFinding> {
  public static final StationDefinition DEFINITION =
      StationDefinition.opened(CardsStation.STATION, CardsModel::new)
          .cautioning(CardsStation::caution)
          .with(
              Solver.of("card-plan", CardPlanReadings.class, CardPlan::solve),
              Solver.of(
                  "card-scan",
                  CardScanReadings.class,
                  r -> CardScan.solve(r, PictureFile.read("imagePath", r.imagePath()))),
              Solver.of("card-choose", CardChooseReadings.class, CardChoose::solve),
              Solver.of("card-drift", CardDriftReadings.class, CardDrift::solve),
              Solver.of(
                  "pulses",
                  PulseReadings.class,
                  Pulses::solve,
                  Set.of("source.pulseNs", "setting.pulseNs", "setting.wobble")));

  private static final double MOST_OF_HEIGHT = 0.46;
  private static final double DECODING = 0.5;

  final ChoiceField<CardsWay> way = form().choice("way", CardsWay.class, CardsWay.SCAN);
  final ChoiceField<Purpose> purpose = form().choice("purpose", Purpose.class, Purpose.LOOK);
  final GridFields grid;
  final StockFields stock = new StockFields(form());
  final PhotoPlace photo =
      new PhotoPlace(form(), "cards.field.corner", MOST_OF_HEIGHT, DECODING, Corner.values());
  final QuantityField wanted = form().quantity("wanted", Quantity.NUMBER, -0.1, 1);
  private final QuantityField mayDiffer = form().positive("mayDiffer", Quantity.NUMBER, 1);
  private final ControlFields control = new ControlFields(form(), purpose);
  final ChoiceField<Grade> wantedGrade =
      form()
          .choice(
              "wantedGrade",
              Message.of("cards.field.wantedGrade"),
              List.of(Grade.GOOD, Grade.CUT_THROUGH),
              Grade.GOOD);
  final SquareRows squares;
  final DepthFields depth;
  final QuantityField figuresTo = form().positive("figuresTo", Quantity.NUMBER, 1);
  private final TrialFields trial = new TrialFields(form());
  final PlanSection plan;
  final BookSection book;
  private final Optional<PulsesSection> pulses;
  private final Optional<GlassSection> glass;
  private final Ways<CardsWay, CardsTask> ways;
  private Optional<Boolean> focusHolds = Optional.empty();

  /** The kept card, as it was read; empty where none was. */
  private List<CardSample> kept = List.of();

  private String subject = "";

  public CardsModel(AtMachine at) {
    super(new StationForm("cards", at.units()), CardsVisit.VISIT);
    Machine machine = at.machine();
    pulses =
        machine.build() == Build.GALVO
            ? Optional.of(new PulsesSection(form(), machine))
            : Optional.empty();
    grid =
        new GridFields(form(), machine, () -> pulses.map(PulsesSection::offered).orElse(List.of()));
    squares = new SquareRows(form(), grid);
    depth = new DepthFields(form(), squares);
    plan = new PlanSection(form(), machine, grid, this::lastGood, () -> stock.kind.get());
    book =
        new BookSection(
            form(),
            () -> solved().flatMap(s -> s.finding().fastest()),
            () -> grid.interval.value(),
            () -> subject,
            plan);
    glass = pulses.map(p -> new GlassSection(form(), p::line));
    ways = new Ways<>(way, ways());
    startSolving();
    photo.follow(this::loadPhoto);
  }

  private Optional<BookLine> lastGood() {
    return book.lastGood();
  }

  private Map<CardsWay, Ways.Way<CardsTask>> ways() {
    Ways.Ask readFor = shows(new Part.LabelledChoices(List.of(purpose)));
    return Map.of(
        CardsWay.SCAN,
        way(
            () -> new CardsTask.ByScan(grid.grid(), scan(), readFor()),
            readFor,
            scanned(),
            Ways.takes(wanted, mayDiffer),
            control.ask()),
        CardsWay.FIGURES,
        way(
            () ->
                new CardsTask.ByFigures(
                    grid.grid(), squares.darkness(), figuresTo.number(), readFor()),
            readFor,
            card(),
            squares.byFigures(),
            needs(figuresTo),
            Ways.takes(wanted, mayDiffer),
            control.ask()),
        CardsWay.EYE,
        way(
            this::byEye,
            card(),
            shows(new Part.LabelledChoices(List.of(wantedGrade))),
            squares.byKeys()),
        CardsWay.DEPTH,
        way(() -> depth.read(grid.grid()), card(), squares.byDepth(), depth.asks()),
        CardsWay.TRIAL,
        way(trial::read, trial.asks()));
  }

  private CardsTask.ReadFor readFor() {
    return new CardsTask.ReadFor(
        wanted.value(),
        mayDiffer.value(),
        purpose.get() == Purpose.POWER_LEFT ? Optional.of(kept) : Optional.empty(),
        control.sample());
  }

  private Ways.Ask card() {
    return needs(grid::needed, grid.part());
  }

  private Ways.Ask scanned() {
    return needs(
        () ->
            Stream.of(
                    Stream.of(photo.marks().path()),
                    grid.needed(),
                    plan.geometryFields(),
                    photo.marks().fields())
                .flatMap(f -> f),
        photo.marks().fileName("cards-photo-choose"),
        grid.part(),
        Part.fold("cards.by-hand", Part.rows(photo.marks().fields().toList())));
  }

  private CardsTask byEye() {
    return new CardsTask.ByEye(new CardGrades(grid.grid(), squares.grades(), wantedGrade.get()));
  }

  private CardScanReadings scan() {
    return plan.geometryNow()
        .orElseThrow()
        .scan(photo.marks().file(), photo.marks().all().stream().map(m -> m.px()).toList());
  }

  @Override
  protected PhotoPlace place() {
    return photo;
  }

  @Override
  protected boolean pictured() {
    return way.get().pictured();
  }

  @Override
  protected List<Section<?, ?>> sections() {
    List<Section<?, ?>> all = new ArrayList<>(List.of(stock, plan, book));
    pulses.ifPresent(all::add);
    glass.ifPresent(all::add);
    return all;
  }

  @Override
  protected Stream<Field> needed() {
    return ways.needed();
  }

  @Override
  protected Stream<Field> used() {
    return ways.used();
  }

  @Override
  protected Optional<Message> waitsFor() {
    return ways.waitsFor();
  }

  @Override
  protected boolean slow() {
    return way.get().pictured();
  }

  @Override
  protected CardsReadings readings() {
    return new CardsReadings(ways.read(), stock.stock(), book.lines(), focusHolds);
  }

  @Override
  public List<Part> parts() {
    List<Part> parts =
        new ArrayList<>(
            List.of(
                Part.heading("sheet.readings", "sheet.keys"),
                ways.choice(),
                ways.parts(),
                new Part.ReadingStatus(),
                new Part.PracticeEntry(),
                stock.part(),
                plan.part(),
                book.part()));
    pulses.ifPresent(p -> parts.add(p.part()));
    glass.ifPresent(g -> parts.add(g.part()));
    return parts;
  }

  @Override
  protected void recordChanged(List<Entry> entries) {
    kept =
        entries.reversed().stream()
            .flatMap(e -> keptCard(e).stream())
            .findFirst()
            .orElse(List.of());
    context()
        .ifPresent(c -> {
          focusHolds = c.holds("focus");
          subject = c.workshop().opened().ledger().subjectNow(CardsStation.STATION).orElse("");
          solveAgain();
        });
    loadPhoto();
  }

  /** The squares of a card that was scanned to choose from. */
  private static Optional<List<CardSample>> keptCard(Entry entry) {
    Optional<CardsTask> task =
        KeptReadings.read(entry, CardsReadings.class).map(CardsReadings::task);
    return task.filter(t -> looksFor(t) && !t.grid().stepped())
        .flatMap(t ->
            KeptFindings.part(entry, "darkness", CardScanFinding.class)
                .map(d -> CardsFinding.samples(d, t.grid())))
        .filter(s -> !s.isEmpty());
  }

  private static boolean looksFor(CardsTask task) {
    return switch (task) {
      case CardsTask.ByScan scan -> scan.what().kept().isEmpty();
      case CardsTask.ByFigures typed -> typed.what().kept().isEmpty();
      case CardsTask.ByEye eye -> false;
      case CardsTask.ByDepth depth -> false;
      case CardsTask.Tried tried -> false;
    };
  }

  /** A stand-in has neither this machine's focus nor its cards. */
  void practiseWith(List<CardSample> card) {
    focusHolds = Optional.empty();
    kept = card;
  }

  List<CardSample> samplesNow() {
    return solved()
        .flatMap(s ->
            s.finding().darkness().map(d -> CardsFinding.samples(d, s.readings().task().grid())))
        .orElse(List.of());
  }

  private CardsPicture picture(double width, double height) {
    boolean pictured = way.get().pictured();
    return new CardsPicture(
        grid.known() && form().fields().allMatch(f -> f.problem().isEmpty())
            ? Optional.of(grid.grid())
            : Optional.empty(),
        pictured ? photo.view(width, height) : Optional.empty(),
        width,
        height);
  }

  @Override
  public void draw(Canvas on) {
    picture(on.width(), on.height())
        .draw(
            on,
            photo.marks(),
            way.get() == CardsWay.EYE ? squares.letters() : List.of(),
            way.get() == CardsWay.TRIAL,
            solved().map(Outcome.Solved::finding),
            wanted.value());
  }

  /** The next cross; a square then says how dark the work shall be, or is graded anew. */
  @Override
  public void pressed(double x, double y, double width, double height) {
    CardsPicture picture = picture(width, height);
    if (way.get().pictured() && photo.marks().next().isPresent()) {
      photo.pressed(x, y, width, height);
      return;
    }
    picture
        .squareAt(x, y)
        .ifPresent(square -> {
          if (way.get() == CardsWay.EYE) {
            squares.nextGrade(square[0], square[1]);
          } else if (way.get() == CardsWay.DEPTH) {
            depth.like(square[0], square[1]);
          } else {
            darknessOf(square[0], square[1])
                .ifPresent(d -> wanted.set(Math.round(100 * d) / 100.0));
          }
        });
  }

  private Optional<Double> darknessOf(int column, int row) {
    return solved()
        .flatMap(s -> s.finding().darkness())
        .flatMap(d ->
            d.squares().stream()
                .filter(s -> s.column() == column && s.row() == row)
                .map(s -> s.darkness().value())
                .findFirst());
  }

  @Override
  protected boolean burns() {
    return true;
  }

  /** One burn is a check: what was found before stays. */
  @Override
  public EntryKind kindOf(EntryKind usual) {
    return way.get() == CardsWay.TRIAL ? EntryKind.CHECK : usual;
  }

  @Override
  public Optional<Practice<?, ?, CardsReadings, CardsFinding>> practice() {
    return Optional.of(new CardsPractice(this));
  }

  @Override
  public List<FigureTile> tiles(Outcome.Solved<CardsReadings, CardsFinding> solved) {
    CardsFinding f = solved.finding();
    if (f.fastest().isEmpty()) {
      return tiles(
          solved, known("ratio"), known("batch"), known("percent"), known("speed"), known("depth"));
    }
    List<FigureTile> tiles =
        new ArrayList<>(way.get() == CardsWay.DEPTH ? tiles(solved, known("depth")) : List.of());
    tiles.add(tile("percent", percent(f.fastest().get())));
    tiles.add(tile("speed", speed(f.fastest().get())));
    f.fastest().get().all().ifPresent(s -> tiles.addAll(steps(s)));
    f.choice()
        .flatMap(c -> c.fastest().setting())
        .ifPresent(s -> {
          FigureTile dark =
              tile("darkness", Amount.of(s.darkness().value(), Quantity.NUMBER, 2))
                  .uncertain(Amount.of(s.darkness().uncertainty(), Quantity.NUMBER, 3));
          tiles.add(
              mayDiffer.value().isEmpty()
                  ? dark
                  : dark.judged(
                      2 * s.darkness().uncertainty() <= mayDiffer.number(),
                      Message.of(
                          "cards.tile.within", Amount.of(mayDiffer.number(), Quantity.NUMBER, 2))));
        });
    return tiles;
  }

  private static List<FigureTile> steps(CardSetting s) {
    List<FigureTile> tiles = new ArrayList<>();
    s.intervalMm()
        .ifPresent(v ->
            tiles.add(tile("interval", Amount.of(v, Quantity.LINE_INTERVAL, v < 0.1 ? 3 : 2))));
    s.passes().ifPresent(v -> tiles.add(tile("passes", Amount.of(v, Quantity.NUMBER, 0))));
    s.khz().ifPresent(v -> tiles.add(tile("khz", Amount.of(v, Quantity.PULSE_RATE, 1))));
    s.pulseNs().ifPresent(v -> tiles.add(tile("pulse", Amount.of(v, Quantity.PULSE_LENGTH, 1))));
    s.wobbleMm().ifPresent(v -> tiles.add(tile("wobble", Amount.mm(v, 3))));
    return tiles;
  }

  private static FigureTile tile(String figure, Amount amount) {
    return FigureTile.of(Message.of("cards.figure." + figure), amount);
  }

  private static Amount percent(Chosen c) {
    return Amount.of(c.percent(), Quantity.PERCENT, c.percent() < 10 ? 1 : 0);
  }

  private static Amount speed(Chosen c) {
    return Amount.of(c.speedMmS(), Quantity.SPEED, c.speedMmS() < 20 ? 1 : 0);
  }
}
