package zebrawood.desktop.bed;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import zebrawood.bed.BedReadings;
import zebrawood.bed.BedStation;
import zebrawood.bed.BedTask;
import zebrawood.bed.BedVisitFinding;
import zebrawood.bed.Clockwise;
import zebrawood.bed.FeelCheck.FeelReadings;
import zebrawood.bed.FeelCheck.FeltPlace;
import zebrawood.bed.Foot;
import zebrawood.bed.GapPoint;
import zebrawood.bed.Levelling;
import zebrawood.bed.Screw;
import zebrawood.bed.ShimReadings;
import zebrawood.bed.Shimming;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.Thicknesses;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Solver;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.desktop.station.Step;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.EntryKind;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.measure.Verdict;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;
import zebrawood.records.picture.SvgCanvas;
import zebrawood.words.Message;

/** The bed station at one machine. */
public final class BedModel extends StationModel<BedTask, BedVisitFinding> {
  public static final StationDefinition DEFINITION =
      StationDefinition.of(
              BedStation.STATION, (ledger, units) -> new BedModel(ledger.machine(), units))
          .cautioning(BedModel::cautionAt)
          .with(
              Solver.of("bed", BedReadings.class, Levelling::solve, Set.of("keepScrew")),
              Solver.of("shims", ShimReadings.class, Shimming::underHead));

  /** A foot has a name and a place; a screw its pitch and its sense beside. */
  private static final int FOOT_COLUMNS = 3;

  private static final int SCREW_COLUMNS = 5;

  /** Places and screws sit this far inside the work area unless it is told otherwise. */
  private static final double INSET_SHARE = 0.03;

  private static final double USUAL_PITCH_MM = 0.7;
  private static final String USUAL_SHIMS = "0.1, 0.2, 0.5, 1.0";
  private static final double FARTHEST_MM = 20_000;
  private static final int LEAST_PLACES = 3;
  static final int MOST_ACROSS = 30;
  private static final int MOST_SUPPORTS = 30;

  final Machine machine;
  final ChoiceField<BedWay> way = form().choice("way", BedWay.class, BedWay.GAP);
  final QuantityField resolution = form().positive("resolution", Quantity.LENGTH, 50);
  private final QuantityField tolerance = form().positive("tolerance", Quantity.LENGTH, 20);
  private final WordsField atHand = form().lengths("atHand", BedModel::thicknesses);
  final WordsField keep = form().plainWords("keep");
  final Group<QuantityField> columns;
  final Group<QuantityField> rows;
  final Group<BedPlace> places;
  private final Group<Support> supports;
  private Optional<Field> current = Optional.empty();

  public BedModel(Machine machine, DisplayUnits units) {
    super(new StationForm("bed", units), BedTask.VISIT);
    this.machine = machine;
    columns = form().group("x", "columns", 0, 2, 2, MOST_ACROSS, i -> position("x", i));
    rows = form().group("y", "rows", 0, 2, 2, MOST_ACROSS, i -> position("y", i));
    places = form().group("reading", "places", 0, 4, 0, MOST_ACROSS * MOST_ACROSS, this::place);
    supports = form().group("support", "supports", 0, 4, 3, MOST_SUPPORTS, this::support);
    resolution.set(0.1);
    tolerance.set(machine.levelToleranceMm());
    atHand.set(USUAL_SHIMS);
    spread(columns, machine.areaXMm());
    spread(rows, machine.areaYMm());
    layOutPlaces();
    columns.rowsProperty().subscribe((before, now) -> layOutPlaces());
    rows.rowsProperty().subscribe((before, now) -> layOutPlaces());
    way.valueProperty().subscribe(w -> places.rows().forEach(p -> p.readBy(w)));
    startSolving();
  }

  private QuantityField position(String axis, int i) {
    return form()
        .quantity(
            axis + "." + i,
            Message.of("bed.field." + axis, i + 1),
            Quantity.LENGTH,
            -FARTHEST_MM,
            FARTHEST_MM);
  }

  /** From the front left to the right, then the next row to the rear. */
  private BedPlace place(int i) {
    int across = columns.size();
    int column = i % across;
    int row = Math.min(i / across, rows.size() - 1);
    QuantityField reading =
        form()
            .quantity(
                "reading." + i,
                BedPlace.name(column, row, across, rows.size()),
                Quantity.LENGTH,
                0,
                GapPoint.LARGEST_GAP_MM);
    BedPlace place =
        new BedPlace(column, row, reading, columns.rows().get(column), rows.rows().get(row));
    place.readBy(way.get());
    return place;
  }

  private Support support(int i) {
    String at = "support." + i + ".";
    double inset = onShims() ? 0 : INSET_SHARE;
    boolean corner = i < 4;
    boolean right = i % 2 == 1;
    boolean rear = i / 2 == 1;
    String name =
        Text.of(corner ? BedPlace.corner(right, rear) : Message.of("bed.support.number", i + 1));
    WordsField id = form().plainWords(at + "id", Message.of("bed.support.name"));
    id.set(name);
    QuantityField x = supportField(at + "x", "bed.field.support-x", i);
    QuantityField y = supportField(at + "y", "bed.field.support-y", i);
    QuantityField pitch =
        form()
            .quantity(
                at + "pitch", Message.of("bed.field.pitch", i + 1), Quantity.LENGTH, 0.001, 20);
    double shareX = corner ? right ? 1 - inset : inset : 0.5;
    double shareY = corner ? rear ? 1 - inset : inset : 0;
    x.set(machine.areaXMm() * shareX);
    y.set(machine.areaYMm() * shareY);
    pitch.set(USUAL_PITCH_MM);
    return new Support(
        id,
        x,
        y,
        pitch,
        form()
            .choice(
                at + "clockwise",
                Message.of("bed.field.clockwise"),
                List.of(Clockwise.values()),
                Clockwise.RAISES));
  }

  private QuantityField supportField(String name, String key, int i) {
    return form()
        .quantity(name, Message.of(key, i + 1), Quantity.LENGTH, -FARTHEST_MM, FARTHEST_MM);
  }

  /** Spreads the places over the work area. */
  private static void spread(Group<QuantityField> axis, double lengthMm) {
    double inset = Math.round(lengthMm * INSET_SHARE / 5) * 5.0;
    for (int i = 0; i < axis.size(); i++) {
      double at = inset + i * (lengthMm - 2 * inset) / Math.max(1, axis.size() - 1);
      axis.rows().get(i).set(Math.round(at * 10) / 10.0);
    }
  }

  private void layOutPlaces() {
    places.resize(0);
    places.resize(columns.size() * rows.size());
  }

  /** Spreads so many places over the work area; readings at corners that remain are kept. */
  void setGrid(int across, int deep) {
    Map<String, String> before = new TreeMap<>();
    places.rows().forEach(p -> before.put(p.name().toString(), p.reading().text()));
    form()
        .allAtOnce(() -> {
          columns.resize(across);
          rows.resize(deep);
          spread(columns, machine.areaXMm());
          spread(rows, machine.areaYMm());
          places.rows().stream()
              .filter(p -> before.containsKey(p.name().toString()))
              .forEach(p -> p.reading().textProperty().set(before.get(p.name().toString())));
        });
  }

  /** Whether shims level it: a bed without screws, or a fixed head. */
  boolean onShims() {
    return machine.bedSupport() == BedSupport.SHIMS || underHead();
  }

  /** Whether the shims go under the column of a fixed head. */
  boolean underHead() {
    return machine.build() == Build.GALVO;
  }

  List<QuantityField> columns() {
    return columns.rows();
  }

  List<QuantityField> rows() {
    return rows.rows();
  }

  List<BedPlace> places() {
    return places.rows();
  }

  List<Support> supports() {
    return supports.rows();
  }

  /** The place whose reading has the focus. */
  Optional<BedPlace> current() {
    return current.flatMap(
        field -> places().stream().filter(p -> p.reading() == field).findFirst());
  }

  /** The reading of the place that is pressed has the focus. */
  @Override
  public void pressed(double x, double y, double width, double height) {
    new BedPlan(this, new SvgCanvas(width, height))
        .placeAt(x, y)
        .ifPresent(place -> context().ifPresent(c -> c.focus(place.reading())));
  }

  @Override
  public void focused(Optional<Field> field) {
    current = field;
  }

  private Stream<Field> supportFields() {
    return supports().stream()
        .flatMap(s ->
            onShims()
                ? Stream.of(s.id(), s.x(), s.y())
                : Stream.of(s.id(), s.x(), s.y(), s.pitch()));
  }

  @Override
  protected Stream<Field> used() {
    return Stream.concat(needed(), places().stream().map(BedPlace::reading));
  }

  @Override
  protected Stream<Field> needed() {
    Stream<Field> positions = Stream.concat(columns().stream(), rows().stream());
    if (way.get() == BedWay.FEEL) {
      return positions;
    }
    return Stream.of(
            Stream.of(resolution, tolerance),
            positions,
            supportFields(),
            onShims() ? Stream.of(atHand) : Stream.<Field>empty())
        .flatMap(s -> s);
  }

  private List<BedPlace> read() {
    return places().stream().filter(BedPlace::isRead).toList();
  }

  @Override
  protected Optional<Message> waitsFor() {
    int more = LEAST_PLACES - read().size();
    return more <= 0 ? Optional.empty() : Optional.of(Message.of("bed.wait.more", more));
  }

  @Override
  protected BedTask readings() {
    if (way.get() == BedWay.FEEL) {
      return new BedTask.ByFeel(
          new FeelReadings(
              read().stream()
                  .map(p ->
                      new FeltPlace(
                          Text.of(p.name()),
                          p.x().number(),
                          p.y().number(),
                          p.feel().orElseThrow()))
                  .toList()));
    }
    if (onShims()) {
      List<Foot> feet =
          supports().stream().map(s -> new Foot(s.name(), s.x().number(), s.y().number())).toList();
      return new BedTask.OnShims(
          new ShimReadings(gaps(), resolution.number(), tolerance.number(), feet),
          underHead(),
          thicknesses(atHand.inMillimetres()));
    }
    List<Screw> screws =
        supports().stream()
            .map(s ->
                new Screw(
                    s.name(),
                    s.x().number(),
                    s.y().number(),
                    s.pitch().number(),
                    s.clockwise().get()))
            .toList();
    Optional<String> kept =
        Optional.of(text(keep)).filter(id -> screws.stream().anyMatch(s -> s.id().equals(id)));
    return new BedTask.OnScrews(
        new BedReadings(gaps(), resolution.number(), tolerance.number(), screws, kept));
  }

  /** Heights become gaps below the highest of them, which the fit is indifferent to. */
  private List<GapPoint> gaps() {
    List<BedPlace> read = read();
    double most = read.stream().mapToDouble(p -> p.reading().number()).max().orElse(0);
    double least = read.stream().mapToDouble(p -> p.reading().number()).min().orElse(0);
    return read.stream()
        .map(p -> {
          double mm = p.reading().number();
          double gap =
              switch (way.get()) {
                case GAP, FEEL -> mm;
                case HEAD_HEIGHT -> most - mm;
                case BED_HEIGHT -> mm - least;
              };
          return new GapPoint(p.x().number(), p.y().number(), gap);
        })
        .toList();
  }

  private static List<Double> thicknesses(String words) {
    return Thicknesses.read("bed.field.at-hand", words);
  }

  @Override
  public List<Part> parts() {
    boolean shims = onShims();
    String title = shims ? underHead() ? "bed.feet.column" : "bed.feet" : "bed.screws";
    return List.of(
        Part.heading("sheet.readings", "bed.readings.seen"),
        Part.rows(way, resolution, tolerance),
        new Part.CustomNode(BedGrid.size(this)),
        new Part.CustomNode(BedGrid.scrolling(this)),
        new Part.ReadingStatus(),
        Part.hintOf(way, ".hint"),
        new Part.PracticeEntry(),
        Part.fold(
            title,
            new Part.GrowingRows(
                supports,
                Stream.of(
                        "bed.support.heading",
                        "bed.support.x",
                        "bed.support.y",
                        "bed.support.pitch",
                        "bed.field.clockwise")
                    .limit(shims ? FOOT_COLUMNS : SCREW_COLUMNS)
                    .map(key -> Message.of(key))
                    .toList(),
                Message.of(shims ? "bed.foot.another" : "bed.screw.another")),
            shims ? Part.rows(atHand) : new Part.Hint(Message.of("bed.screws.hint"))));
  }

  @Override
  public void draw(Canvas on) {
    new BedPlan(this, on).draw();
  }

  @Override
  public List<Step> steps(Outcome.Solved<BedTask, BedVisitFinding> solved) {
    return BedAdvice.steps(solved, read().size() == places().size());
  }

  @Override
  public List<FigureTile> tiles(Outcome.Solved<BedTask, BedVisitFinding> solved) {
    return BedAdvice.tiles(solved);
  }

  /** Only where something is to be touched. */
  @Override
  public Message caution() {
    boolean acts = solved().filter(f -> f.finding().verdict() != Verdict.WITHIN).isPresent();
    return acts ? cautionAt(machine) : Message.NONE;
  }

  private static Message cautionAt(Machine machine) {
    return Message.of(machine.build() == Build.GALVO ? "bed.caution.head" : "bed.caution");
  }

  @Override
  public Optional<Message> primaryWords(Outcome<BedTask, BedVisitFinding> outcome) {
    return outcome
        .solved()
        .filter(f -> f.readings() instanceof BedTask.ByFeel)
        .map(f -> Message.of("button.check"))
        .or(() ->
            outcome
                .solved()
                .filter(f -> f.finding().verdict() == Verdict.ADJUST)
                .map(f -> Message.of("bed.button.done")));
  }

  @Override
  public boolean canBeLeft(Outcome.Solved<BedTask, BedVisitFinding> solved) {
    return !(solved.readings() instanceof BedTask.ByFeel);
  }

  @Override
  public EntryKind kindOf(EntryKind usual) {
    return way.get() == BedWay.FEEL ? EntryKind.CHECK : usual;
  }

  @Override
  public Optional<Practice<?, ?, BedTask, BedVisitFinding>> practice() {
    return Optional.of(new BedPractice(this));
  }
}
