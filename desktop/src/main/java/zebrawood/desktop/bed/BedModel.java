package zebrawood.desktop.bed;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import zebrawood.bed.BedReadings;
import zebrawood.bed.BedStation;
import zebrawood.bed.BedTask;
import zebrawood.bed.BedVisitFinding;
import zebrawood.bed.FeelCheck.FeelReadings;
import zebrawood.bed.FeelCheck.FeltPlace;
import zebrawood.bed.FeelCheck.Gauges;
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

  /** Places and screws sit this far inside the work area unless it is told otherwise. */
  static final double INSET_SHARE = 0.03;

  static final double FARTHEST_MM = 20_000;
  private static final int LEAST_PLACES = 3;
  static final int MOST_ACROSS = 30;
  private static final double LARGEST_RING_MM = 2000;

  final Machine machine;
  final ChoiceField<BedWay> way = form().choice("way", BedWay.class, BedWay.GAP);
  final QuantityField resolution = form().positive("resolution", Quantity.LENGTH, 50);
  private final QuantityField tolerance = form().positive("tolerance", Quantity.LENGTH, 20);
  private final QuantityField felt = form().positive("feltGauge", Quantity.LENGTH, 1000);
  private final QuantityField thicker = form().positive("reading.thicker", Quantity.LENGTH, 1000);
  final WordsField keep = form().plainWords("keep");
  final QuantityField ring = form().positive("ring", Quantity.LENGTH, LARGEST_RING_MM);
  private final QuantityField boltsApart =
      form().positive("boltsApart", Quantity.LENGTH, LARGEST_RING_MM);
  final Group<QuantityField> columns;
  final Group<QuantityField> rows;
  final Group<BedPlace> places;
  private final Supports supports;
  private Optional<Field> current = Optional.empty();

  /** The ring that the places were last spread over, and where each then was. */
  private OptionalDouble spreadOver = OptionalDouble.empty();

  private final Map<QuantityField, OptionalDouble> spreadTo = new HashMap<>();

  public BedModel(Machine machine, DisplayUnits units) {
    super(new StationForm("bed", units), BedTask.VISIT);
    this.machine = machine;
    columns = form().group("x", "columns", 0, 2, 2, MOST_ACROSS, i -> position("x", i));
    rows = form().group("y", "rows", 0, 2, 2, MOST_ACROSS, i -> position("y", i));
    places = form().group("reading", "places", 0, 4, 0, MOST_ACROSS * MOST_ACROSS, this::place);
    supports = new Supports(form(), machine);
    resolution.set(0.1);
    tolerance.set(machine.levelToleranceMm());
    spread();
    layOutPlaces();
    ring.textProperty().subscribe((before, now) -> followRing());
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

  /** Places that somebody typed stay where they are. */
  private void followRing() {
    if (!ring.value().equals(spreadOver)
        && Stream.concat(columns().stream(), rows().stream())
            .allMatch(at -> at.isEmpty() || at.value().equals(spreadTo.get(at)))) {
      spread();
    }
  }

  /** Over the work area; round a fixed head's ring, counted from its middle. */
  private void spread() {
    if (!underHead()) {
      spread(columns, machine.areaXMm());
      spread(rows, machine.areaYMm());
    } else {
      for (Group<QuantityField> axis : List.of(columns, rows)) {
        for (int i = 0; i < axis.size(); i++) {
          double share = (double) i / Math.max(1, axis.size() - 1) - 0.5;
          QuantityField at = axis.rows().get(i);
          ring.value()
              .ifPresentOrElse(
                  d -> at.set(Math.round(10 * share * d / Math.sqrt(2)) / 10.0),
                  () -> at.textProperty().set(""));
          spreadTo.put(at, at.value());
        }
      }
      spreadOver = ring.value();
    }
  }

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
          spread();
          places.rows().stream()
              .filter(p -> before.containsKey(p.name().toString()))
              .forEach(p -> p.reading().textProperty().set(before.get(p.name().toString())));
        });
  }

  boolean onShims() {
    return supports.onShims();
  }

  boolean underHead() {
    return supports.underHead();
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
    return supports.rows.rows();
  }

  Supports frame() {
    return supports;
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

  @Override
  protected Stream<Field> used() {
    return Stream.of(
            needed(),
            places().stream().map(BedPlace::reading),
            Stream.of((Field) supports.frame(), felt, thicker, boltsApart))
        .flatMap(s -> s);
  }

  @Override
  protected Stream<Field> needed() {
    Stream<Field> positions = Stream.concat(columns().stream(), rows().stream());
    if (way.get() == BedWay.FEEL) {
      return thicker.isEmpty()
          ? positions
          : Stream.concat(Stream.of(felt, thicker, tolerance), positions);
    }
    return Stream.of(
            Stream.of(resolution, tolerance),
            // Places may be typed one by one as well.
            underHead() && columns().stream().anyMatch(QuantityField::isEmpty)
                ? Stream.of(ring)
                : Stream.<Field>empty(),
            positions,
            supports.needed())
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
                  .toList(),
              gauges()));
    }
    if (onShims()) {
      return new BedTask.OnShims(
          new ShimReadings(gaps(), resolution.number(), tolerance.number(), supports.feet()),
          underHead(),
          supports.atHandMm(),
          underHead()
              ? Optional.of(
                  new BedTask.Head(boltsApart.value(), machine.areaXMm(), machine.areaYMm()))
              : Optional.empty());
    }
    List<Screw> screws = supports.screws();
    Optional<String> kept =
        Optional.of(text(keep)).filter(id -> screws.stream().anyMatch(s -> s.id().equals(id)));
    return new BedTask.OnScrews(
        new BedReadings(
            gaps(),
            resolution.number(),
            tolerance.number(),
            screws,
            kept,
            Optional.of(supports.frame().get())));
  }

  private Optional<Gauges> gauges() {
    return thicker.isEmpty()
        ? Optional.empty()
        : Optional.of(new Gauges(felt.number(), thicker.number(), tolerance.number()));
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

  @Override
  public List<Part> parts() {
    return List.of(
        Part.heading("sheet.readings", "bed.readings.seen"),
        Part.rows(way, resolution, tolerance),
        underHead() ? Part.rows(ring, boltsApart) : new Part.Together(List.of()),
        new Part.CustomNode(BedGrid.size(this)),
        new Part.CustomNode(BedGrid.scrolling(this)),
        new Part.ReadingStatus(),
        Part.hintOf(way, ".hint"),
        new Part.Redrawn(
            way.valueProperty(),
            () ->
                way.get() == BedWay.FEEL
                    ? List.of(Part.rows(felt, thicker), Part.hint("bed.feel.two-gauges"))
                    : List.of()),
        new Part.PracticeEntry(),
        supports.part());
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
        .filter(f -> onlyFelt(f.readings()))
        .map(f -> Message.of("button.check"))
        .or(() ->
            outcome
                .solved()
                .filter(f -> f.finding().verdict() == Verdict.ADJUST)
                .map(f -> Message.of("bed.button.done")));
  }

  @Override
  public boolean canBeLeft(Outcome.Solved<BedTask, BedVisitFinding> solved) {
    return !onlyFelt(solved.readings());
  }

  /** With one gauge, which gives no figure. */
  private static boolean onlyFelt(BedTask task) {
    return task instanceof BedTask.ByFeel(FeelReadings read) && read.gauges().isEmpty();
  }

  @Override
  public EntryKind kindOf(EntryKind usual) {
    return way.get() == BedWay.FEEL && thicker.isEmpty() ? EntryKind.CHECK : usual;
  }

  @Override
  public Optional<Practice<?, ?, BedTask, BedVisitFinding>> practice() {
    return Optional.of(new BedPractice(this));
  }
}
