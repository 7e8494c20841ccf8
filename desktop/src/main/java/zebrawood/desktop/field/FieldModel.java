package zebrawood.desktop.field;

import static zebrawood.desktop.station.Ways.needs;
import static zebrawood.desktop.station.Ways.shows;
import static zebrawood.desktop.station.Ways.way;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.photo.PhotoModel;
import zebrawood.desktop.photo.PhotoPlace;
import zebrawood.desktop.photo.PhotoView;
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
import zebrawood.field.FieldCorrection;
import zebrawood.field.FieldFinding;
import zebrawood.field.FieldReadings;
import zebrawood.field.FieldReadings.Edges;
import zebrawood.field.FieldScan;
import zebrawood.field.FieldScanReadings;
import zebrawood.field.FieldStation;
import zebrawood.field.FieldTask;
import zebrawood.field.FieldVisit;
import zebrawood.field.FieldVisitFinding;
import zebrawood.field.FieldVisitReadings;
import zebrawood.field.PointerReadings;
import zebrawood.field.RedPointer;
import zebrawood.ledger.Entry;
import zebrawood.machine.Machine;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.records.field.GridText;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/** The field station of a galvo head, for the lens that is on it. */
public final class FieldModel extends PhotoModel<FieldVisitReadings, FieldVisitFinding> {
  public static final StationDefinition DEFINITION =
      StationDefinition.opened(FieldStation.STATION, FieldModel::new)
          .with(
              Solver.of("field", FieldReadings.class, FieldCorrection::solve),
              Solver.of(
                  "field-scan",
                  FieldScanReadings.class,
                  r -> FieldScan.solve(r, PictureFile.read("imagePath", r.imagePath()))),
              Solver.of("pointer", PointerReadings.class, RedPointer::solve));

  private static final Quantity MM = Quantity.LENGTH;
  private static final double LARGEST_MM = 5000;

  /** More marks than some eighty take longer than a keystroke may. */
  private static final int QUICK_GRID_LETTERS = 2_500;

  private static final int GRID_LINES = 7;

  private final ZoneId zone;
  private List<Entry> recorded = List.of();

  /** In the record of the lens that is on. */
  private LensTables tables;

  private final Machine machine;
  final ChoiceField<FieldWay> way = form().choice("way", FieldWay.class, FieldWay.SQUARE);
  final QuantityField field = form().positive("field", MM, LARGEST_MM);
  final QuantityField tolerance = form().positive("tolerance", MM, 100);
  final QuantityField resolution = form().positive("resolution", MM, 10);
  final QuantityField commanded = form().positive("commanded", MM, LARGEST_MM);
  final QuantityField across = form().positive("reading.across", MM, LARGEST_MM);
  final QuantityField up = form().positive("reading.up", MM, LARGEST_MM);
  final QuantityField rising = form().positive("reading.rising", MM, 2 * LARGEST_MM);
  final QuantityField falling = form().positive("reading.falling", MM, 2 * LARGEST_MM);
  private final ChoiceField<Edges> edges = form().choice("edges", Edges.class, Edges.CENTRE);
  private final QuantityField lineWidth = form().quantity("lineWidth", MM, 0, 10);
  private final QuantityField commanded2 = form().positive("commanded2", MM, LARGEST_MM);
  private final QuantityField across2 = form().positive("reading.across2", MM, LARGEST_MM);
  private final QuantityField up2 = form().positive("reading.up2", MM, LARGEST_MM);
  private final QuantityField scaleNowX = scaleNow("reading.scaleNowX");
  private final QuantityField scaleNowY = scaleNow("reading.scaleNowY");
  final WordsField grid = grid();
  final ScanFields scan = new ScanFields(form());
  final PointerSection pointer = new PointerSection(form(), resolution, way);
  private final CommandTableSection table;
  private final BurnSection burn = new BurnSection(form(), field, scan, way);
  private final TiltSection tilt =
      new TiltSection(form(), field, () -> solved().flatMap(s -> s.finding().keystone()));
  private final HatchSection hatch = new HatchSection(form());
  private final Ways<FieldWay, FieldTask> ways;
  private Optional<Boolean> focusHolds = Optional.empty();

  public FieldModel(AtMachine at) {
    super(new StationForm("field", at.units()), FieldVisit.VISIT);
    machine = at.machine();
    zone = at.clock().getZone();
    tables = new LensTables(List.of(), zone);
    table = new CommandTableSection(form(), field, this::solved, () -> tables);
    field.set(
        machine
            .lenses()
            .filter(l -> l.size() == 1)
            .map(l -> l.getFirst().fieldMm())
            .orElse(OptionalDouble.empty())
            .orElse(machine.areaXMm()));
    ways = new Ways<>(way, ways());
    startSolving();
    scan.place.follow(this::loadPhoto);
  }

  private QuantityField scaleNow(String name) {
    return form().positive(name, Quantity.NUMBER, 1e9);
  }

  double fieldMm() {
    return field.value().orElse(machine.areaXMm());
  }

  private Map<FieldWay, Ways.Way<FieldTask>> ways() {
    return Map.of(
        FieldWay.SQUARE,
        way(
            this::bySquare,
            needs(resolution, commanded, across, up),
            Ways.together(
                List.of(scaleNowX, scaleNowY),
                Part.fold(
                    "field.scale-now",
                    Part.hint("field.scale-now.hint"),
                    Part.rows(scaleNowX, scaleNowY))),
            Ways.together(
                List.of(rising, falling),
                Part.fold(
                    "field.diagonals",
                    Part.hint("field.diagonals.hint"),
                    Part.rows(rising, falling))),
            Ways.together(
                List.of(commanded2, across2, up2),
                Part.fold(
                    "field.edges",
                    Part.rows(edges, lineWidth),
                    Part.hint("field.edges.hint"),
                    Part.rows(commanded2, across2, up2)))),
        FieldWay.GRID,
        way(
            () ->
                new FieldTask.ByGrid(of(Optional.empty(), Optional.of(GridText.read(grid.text())))),
            needs(resolution),
            shows(Part.hint("field.grid.hint")),
            needs(
                () -> Stream.of(grid),
                new Part.Area(grid, GRID_LINES, Message.of("field.grid.prompt")))),
        FieldWay.SCAN,
        way(
            () ->
                new FieldTask.ByScan(
                    scan.readings(field.number(), tolerance.number(), table.size())),
            scan.asks()));
  }

  private FieldTask bySquare() {
    return new FieldTask.BySquare(
        of(Optional.of(square(commanded, across, up)), Optional.empty()),
        rising.isEmpty()
            ? Optional.empty()
            : Optional.of(new FieldTask.Diagonals(rising.number(), falling.number())),
        commanded2.isEmpty() ? Optional.empty() : Optional.of(square(commanded2, across2, up2)),
        scaleNowX.isEmpty()
            ? Optional.empty()
            : Optional.of(new FieldTask.ScaleNow(scaleNowX.number(), scaleNowY.number())));
  }

  private FieldReadings.Square square(
      QuantityField size, QuantityField measuredAcross, QuantityField measuredUp) {
    return new FieldReadings.Square(
        size.number(),
        measuredAcross.number(),
        measuredUp.number(),
        Optional.of(edges.get()),
        edges.get() == Edges.CENTRE ? OptionalDouble.empty() : lineWidth.value());
  }

  private FieldReadings of(
      Optional<FieldReadings.Square> square, Optional<List<FieldReadings.Point>> points) {
    return new FieldReadings(
        field.number(), resolution.number(), tolerance.number(), square, points, table.size());
  }

  /** What is pasted while inches are shown is in inches, and says so from then on. */
  private WordsField grid() {
    WordsField field = form().words("visit.grid", GridText::read);
    field.completing((text, shown) ->
        shown.length() == DisplayUnits.Length.INCH ? GridText.inInches(text) : text);
    return field;
  }

  @Override
  protected PhotoPlace place() {
    return scan.place;
  }

  @Override
  protected boolean pictured() {
    return way.get() == FieldWay.SCAN;
  }

  @Override
  protected List<Section<?, ?>> sections() {
    return List.of(pointer, table, burn, tilt, hatch);
  }

  @Override
  protected Stream<Field> needed() {
    return Stream.concat(Stream.of(field, tolerance), ways.needed());
  }

  @Override
  protected Stream<Field> used() {
    return Stream.concat(needed(), Stream.of(lineWidth));
  }

  @Override
  protected boolean slow() {
    return way.get() == FieldWay.SCAN
        || way.get() == FieldWay.GRID && grid.text().length() > QUICK_GRID_LETTERS;
  }

  @Override
  protected FieldVisitReadings readings() {
    return new FieldVisitReadings(ways.read(), focusHolds, pointer.read(), table.read());
  }

  @Override
  public List<Part> parts() {
    List<Part> parts =
        new ArrayList<>(
            List.of(
                Part.heading("sheet.readings", "sheet.keys"),
                ways.choice(),
                Part.rows(field, tolerance),
                ways.parts(),
                new Part.ReadingStatus(),
                new Part.PracticeEntry()));
    sections().forEach(s -> parts.add(s.part()));
    return parts;
  }

  @Override
  protected void recordChanged(List<Entry> entries) {
    recorded = entries;
    tables = new LensTables(entries, zone);
    tilt.practising(false);
    context()
        .ifPresent(c -> {
          focusHolds = c.holds(FieldStation.FOCUS);
          solveAgain();
        });
    loadPhoto();
  }

  /** A stand-in has neither this machine's focus nor its past, until the record is seen again. */
  void forgetRecord() {
    focusHolds = Optional.empty();
    recorded = List.of();
    tables = new LensTables(List.of(), zone);
    tilt.practising(true);
  }

  @Override
  public void draw(Canvas on) {
    Optional<FieldVisitReadings> readings = solved().map(Outcome.Solved::readings);
    Optional<FieldVisitFinding> finding = solved().map(Outcome.Solved::finding);
    FieldPicture picture =
        new FieldPicture(on, finding.flatMap(f -> SquareShape.before(recorded, SquareShape.of(f))));
    Optional<PhotoView> view =
        way.get() == FieldWay.SCAN ? scan.place.view(on.width(), on.height()) : Optional.empty();
    if (view.isPresent()) {
      picture.drawScan(view.get(), scan.place.marks(), readings, finding);
    } else {
      picture.draw(readings, finding);
    }
  }

  /** The marks are. */
  @Override
  protected boolean burns() {
    return true;
  }

  @Override
  public Optional<Practice<?, ?, FieldVisitReadings, FieldVisitFinding>> practice() {
    return Optional.of(new FieldPractice(this));
  }

  /** The scales stand in what is to be done, and among all figures. */
  @Override
  public List<FigureTile> tiles(Outcome.Solved<FieldVisitReadings, FieldVisitFinding> solved) {
    boolean scalesToo =
        solved.finding().field() instanceof FieldFinding.OfSquare
            && solved.finding().skewMrad().isEmpty();
    return scalesToo
        ? tiles(solved, known("edge"), known("scaleX"), known("scaleY"))
        : tiles(solved, known("edge"), known("after"), known("skew"));
  }
}
