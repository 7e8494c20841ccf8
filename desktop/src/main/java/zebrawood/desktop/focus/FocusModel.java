package zebrawood.desktop.focus;

import static zebrawood.desktop.station.Ways.needs;
import static zebrawood.desktop.station.Ways.shows;
import static zebrawood.desktop.station.Ways.takes;
import static zebrawood.desktop.station.Ways.way;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.PairRow;
import zebrawood.desktop.form.PairRow.Column;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.photo.PhotoModel;
import zebrawood.desktop.photo.PhotoPlace;
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Section;
import zebrawood.desktop.station.Solver;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.Ways;
import zebrawood.desktop.station.Ways.Ask;
import zebrawood.desktop.station.Ways.Way;
import zebrawood.devices.picture.PictureFile;
import zebrawood.focus.Focus;
import zebrawood.focus.FocusFinding;
import zebrawood.focus.FocusReadings;
import zebrawood.focus.FocusStation;
import zebrawood.focus.FocusTask;
import zebrawood.focus.Ladder;
import zebrawood.focus.LadderReadings;
import zebrawood.focus.Ramp;
import zebrawood.focus.RampPhoto;
import zebrawood.focus.RampPhotoReadings;
import zebrawood.focus.RampReadings;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Figure;
import zebrawood.lens.LensStation;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.records.kept.StationPaper;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/** The focus station at one machine, for the lens that is on it. */
public final class FocusModel extends PhotoModel<FocusReadings, FocusFinding> {
  public static final StationDefinition DEFINITION =
      StationDefinition.of(
              FocusStation.STATION, (ledger, units) -> new FocusModel(ledger.machine(), units))
          .cautioning(FocusStation::caution)
          .with(
              Solver.of("focus-ramp", RampReadings.class, Ramp::solve),
              Solver.of(
                  "focus-ramp-photo",
                  RampPhotoReadings.class,
                  r -> RampPhoto.solve(r, PictureFile.read("imagePath", r.imagePath()))),
              Solver.of("focus-ladder", LadderReadings.class, Ladder::solve));

  private static final Quantity MM = Quantity.LENGTH;
  private static final double LONGEST_MM = 5000;
  private static final int LEAST_WIDTHS = 5;
  private static final int LEAST_RUNGS = 4;
  private static final int FIRST_SAMPLES = 7;
  private static final int FIRST_RUNGS = 6;
  private static final int MOST_ROWS = 60;

  /** Behind what the machine is set to. */
  private static final int SENSOR_AT = 4;

  final Machine machine;
  final ChoiceField<FocusWay> way = form().choice("way", FocusWay.class, FocusWay.GAUGE);
  final QuantityField setGap = form().quantity("reading.setGap", MM, 0, LONGEST_MM);
  final QuantityField setReadTo = form().positive("setReadTo", MM, 50);
  final LadderHeights heights = new LadderHeights(form(), () -> setReadTo.value().orElse(1));
  final LiveFields live = new LiveFields(form());
  final QuantityField gauge = form().positive("gauge", MM, 1000);
  private final QuantityField gaugeRead = form().positive("gaugeRead", MM, 10);
  private final ChoiceField<FeltIfTried> felt =
      form().choice(Field.READING + "felt", FeltIfTried.class, FeltIfTried.NOT_TRIED);
  final ProofField sharp = form().proof(OwnFinder.SHARP);
  final QuantityField run = form().positive("run", MM, LONGEST_MM);
  final QuantityField rise = form().positive("rise", MM, LONGEST_MM);
  final QuantityField start = form().quantity("start", MM, 0, LONGEST_MM);
  final QuantityField resolution = form().positive("resolution", MM, 50);
  private final QuantityField bow = form().quantity("bow", MM, -20, 20);
  private final QuantityField scoreResolution =
      form().positive("scoreResolution", Quantity.NUMBER, 1_000_000);
  final QuantityField thinnest = place("visit.thinnest");
  final QuantityField one = place("visit.one");
  final QuantityField other = place("visit.other");
  final QuantityField sure = form().positive("visit.sure", MM, LONGEST_MM);
  final Group<PairRow> ramp = rows("ramp", "ramp-row", FIRST_SAMPLES, MM);
  final Group<PairRow> rampY = rows("rampY", "ramp-y-row", FIRST_SAMPLES, MM);
  final Group<PairRow> widths = rows("rungWidth", "rung-width", FIRST_RUNGS, MM);
  final Group<PairRow> scores = rows("rungScore", "rung-score", FIRST_RUNGS, Quantity.NUMBER);
  final ProbeFields probe = new ProbeFields(form(), resolution);
  final PhotoFields photo = new PhotoFields(form());

  /** What the sheet of the lens that is on says of its depth; what is typed here goes before it. */
  private OptionalDouble lensDepth = OptionalDouble.empty();

  private final BedStackSection table;
  private final ReferenceSection measuredFrom;
  private final PlanSection plan;
  private final Optional<PiercingSection> head;
  private final Optional<PlumbSection> plumb;
  private final Ways<FocusWay, FocusTask> ways;

  public FocusModel(Machine machine, DisplayUnits units) {
    super(new StationForm("focus", units), Focus.VISIT);
    this.machine = machine;
    table = new BedStackSection(form(), machine.moves());
    measuredFrom =
        new ReferenceSection(
            form(), machine, () -> solved().flatMap(s -> s.finding().located().gapMm()));
    plan = new PlanSection(form(), measuredFrom.depth(), run);
    head =
        machine.build() == Build.FIBRE_CUTTING_HEAD
            ? Optional.of(new PiercingSection(form()))
            : Optional.empty();
    plumb =
        machine.build() == Build.GANTRY_WITH_HEAD_MODULE
            ? Optional.of(new PlumbSection(form()))
            : Optional.empty();
    resolution.set(0.02);
    setReadTo.set(0.1);
    scoreResolution.set(0.5);
    ways = new Ways<>(way, ways());
    startSolving();
    photo.place.follow(this::loadPhoto);
  }

  private QuantityField place(String name) {
    return form().quantity(name, MM, -LONGEST_MM, LONGEST_MM);
  }

  private Group<PairRow> rows(String name, String label, int first, Quantity of) {
    String key = "focus." + label;
    return PairRow.group(
        form(),
        "visit." + name,
        first,
        MOST_ROWS,
        Column.of("at", key + ".at", MM, -LONGEST_MM, LONGEST_MM),
        of == MM
            ? Column.positive("value", key + ".value", MM, 50)
            : Column.of("value", key + ".value", of, -1e6, 1e6));
  }

  private Map<FocusWay, Way<FocusTask>> ways() {
    Map<FocusWay, Way<FocusTask>> ways = new EnumMap<>(FocusWay.class);
    ways.put(
        FocusWay.OWN,
        way(
            () -> new FocusTask.ByOwn(sharp.get() == ProofField.Answer.YES),
            new Ask(
                Stream::empty,
                Stream::empty,
                () -> sharp.isEmpty() ? Optional.of(Message.of(OwnFinder.SHARP)) : Optional.empty(),
                Optional.of(Part.rows(sharp)))));
    ways.putAll(
        Map.of(
            FocusWay.GAUGE,
            way(
                () -> new FocusTask.ByGauge(gauge.number(), gaugeRead.value(), felt.get().felt()),
                needs(gauge),
                takes(gaugeRead),
                shows(new Part.LabelledChoices(List.of(felt)))),
            FocusWay.RAMP,
            way(
                () -> new FocusTask.ByRamp(ramp(ramp)),
                board(true),
                widths(ramp, "widths"),
                takes(bow)),
            FocusWay.PENCIL,
            way(
                () -> new FocusTask.ByPencil(thinnest.number(), sure.number(), tilted()),
                board(false),
                needs(thinnest, sure)),
            FocusWay.EQUAL_WIDTHS,
            way(
                () ->
                    new FocusTask.ByEqualWidths(
                        one.number(), other.number(), sure.number(), tilted()),
                board(false),
                needs(one, other, sure)),
            FocusWay.PHOTO,
            way(() -> new FocusTask.ByPhoto(photo.readings(tilted())), board(false), photo.asks()),
            FocusWay.LADDER_WIDTHS,
            way(
                () -> ladder(widths, resolution, false),
                heights.asks(),
                needs(resolution),
                rungs(widths, "rung-width")),
            FocusWay.LADDER_SCORES,
            way(
                () -> ladder(scores, scoreResolution, true),
                heights.asks(),
                needs(scoreResolution),
                rungs(scores, "rung-score")),
            FocusWay.LIVE,
            way(live::read, live.asks()),
            FocusWay.AXES,
            way(
                () -> new FocusTask.ByAxes(ramp(ramp), ramp(rampY)),
                board(true),
                shows(Part.hint("focus.axes.x")),
                widths(ramp, "widths-x"),
                shows(Part.hint("focus.axes.y")),
                widths(rampY, "widths-y"),
                takes(bow)),
            FocusWay.PROBE,
            way(probe::read, probe.asks())));
    return ways;
  }

  /**
   * @param read whether widths on it are read with an instrument
   */
  private Ask board(boolean read) {
    List<QuantityField> its =
        read ? List.of(run, rise, start, resolution) : List.of(run, rise, start);
    return needs(
        its::stream,
        new Part.Table(
            Stream.of("run", "rise", "start", "resolution")
                .limit(its.size())
                .map(n -> Message.of("focus.board." + n))
                .toList(),
            List.of(new Part.TableRow(Message.NONE, its))));
  }

  private static Ask widths(Group<PairRow> rows, String waits) {
    return Ways.rows(
        rows,
        LEAST_WIDTHS,
        "focus.wait." + waits,
        Part.pairs(
            rows,
            "focus.ramp-row.heading-at",
            "focus.ramp-row.heading-value",
            "focus.another-width"));
  }

  private static Ask rungs(Group<PairRow> rows, String label) {
    return Ways.rows(
        rows,
        LEAST_RUNGS,
        "focus.wait.rungs",
        Part.pairs(
            rows,
            "focus." + label + ".heading-at",
            "focus." + label + ".heading-value",
            "focus.another-rung"));
  }

  private FocusTask.Board tilted() {
    return new FocusTask.Board(run.number(), rise.number(), start.number());
  }

  private RampReadings ramp(Group<PairRow> rows) {
    return new RampReadings(
        rows.begun().stream()
            .map(r -> new RampReadings.Sample(r.first().number(), r.second().number()))
            .toList(),
        run.number(),
        rise.number(),
        start.number(),
        resolution.number(),
        bow.value());
  }

  private FocusTask ladder(Group<PairRow> rows, QuantityField readTo, boolean scored) {
    OptionalDouble not = OptionalDouble.empty();
    return new FocusTask.ByLadder(
        new LadderReadings(
            rows.begun().stream()
                .map(r ->
                    new LadderReadings.Rung(
                        r.first().number(),
                        scored ? not : r.second().value(),
                        scored ? r.second().value() : not))
                .toList(),
            readTo.number()),
        heights.scale());
  }

  @Override
  protected PhotoPlace place() {
    return photo.place;
  }

  @Override
  protected boolean pictured() {
    return way.get() == FocusWay.PHOTO;
  }

  @Override
  protected List<Section<?, ?>> sections() {
    return Stream.of(Stream.of(table, measuredFrom, plan), head.stream(), plumb.stream())
        .<Section<?, ?>>flatMap(s -> s)
        .toList();
  }

  @Override
  protected Stream<Field> needed() {
    return ways.needed();
  }

  @Override
  protected Optional<Message> waitsFor() {
    return ways.waitsFor();
  }

  @Override
  protected Stream<Field> used() {
    return Stream.concat(ways.used(), Stream.of(setGap, setReadTo));
  }

  @Override
  protected boolean slow() {
    return way.get() == FocusWay.PHOTO;
  }

  @Override
  protected FocusReadings readings() {
    return new FocusReadings(
        ways.read(),
        measuredFrom.references(),
        setGap.value(),
        setReadTo.value(),
        measuredFrom.depthMm().isPresent() ? measuredFrom.depthMm() : lensDepth,
        table.read(),
        table.then(),
        table.defocusMm(),
        table.defocusThenMm(),
        head.flatMap(Section::read),
        machine.moves(),
        plumb.flatMap(Section::read),
        measuredFrom.ringHeld());
  }

  /** What the gaps are measured from: a gap without it says nothing. */
  @Override
  public List<StationPaper.Setting> settingsLeft() {
    return measuredFrom.settingsLeft();
  }

  @Override
  public List<Part> parts() {
    List<Part> parts =
        new ArrayList<>(
            List.of(
                Part.heading("sheet.readings", "sheet.keys"),
                ways.choice(),
                Part.rows(setGap, setReadTo),
                ways.parts(),
                new Part.ReadingStatus(),
                new Part.PracticeEntry(),
                table.part(),
                measuredFrom.part(),
                plan.part()));
    plumb.ifPresent(p -> parts.add(p.part()));
    head.ifPresent(h -> {
      parts.add(SENSOR_AT, h.proof());
      parts.add(h.part());
    });
    return parts;
  }

  @Override
  public void draw(Canvas on) {
    if (way.get() == FocusWay.PHOTO) {
      new BoardPhotoView(photo.place, solved(), on).draw();
    } else {
      new FocusPicture(on, table.draw(on)).draw(solved());
    }
  }

  @Override
  protected void recordChanged(List<Entry> entries) {
    loadPhoto();
    context()
        .ifPresent(c -> {
          lensDepth =
              c.workshop().opened().ledger().entriesOfFitted(LensStation.STATION).stream()
                  .filter(Entry::decided)
                  .flatMap(e -> e.figures().stream().filter(f -> f.id().equals("depth")))
                  .mapToDouble(Figure::value)
                  .reduce((earlier, later) -> later);
          solveAgain();
        });
  }

  /** A stand-in has not this machine's lens, until the record is seen again. */
  void forgetRecord() {
    lensDepth = OptionalDouble.empty();
  }

  /** All but the gauge and the touching nozzle leave marks. */
  @Override
  protected boolean burns() {
    return way.get().leavesMarks();
  }

  @Override
  public Optional<Practice<?, ?, FocusReadings, FocusFinding>> practice() {
    return Optional.of(new FocusPractice(this));
  }

  @Override
  public List<FigureTile> tiles(Outcome.Solved<FocusReadings, FocusFinding> solved) {
    return tiles(solved, always("off", setGap), known("gap"), known("offset"), known("depth"));
  }
}
