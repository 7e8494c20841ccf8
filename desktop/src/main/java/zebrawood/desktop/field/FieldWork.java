package zebrawood.desktop.field;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.DoubleConsumer;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectWrapper;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.Thicknesses;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.job.Jobs;
import zebrawood.desktop.photo.Photograph;
import zebrawood.desktop.sheet.FigureTile;
import zebrawood.desktop.sheet.FileField;
import zebrawood.desktop.sheet.Outcome;
import zebrawood.desktop.sheet.Part;
import zebrawood.desktop.sheet.Practice;
import zebrawood.desktop.sheet.StationWork;
import zebrawood.desktop.solve.Solver;
import zebrawood.desktop.stations.StationDefinition;
import zebrawood.devices.picture.PictureFile;
import zebrawood.devices.picture.Preview;
import zebrawood.field.FieldFinding;
import zebrawood.field.FieldReadings;
import zebrawood.field.FieldReadings.Edges;
import zebrawood.field.FieldScan;
import zebrawood.field.FieldScanReadings;
import zebrawood.field.FieldStation;
import zebrawood.field.FieldTask;
import zebrawood.field.FieldVisit;
import zebrawood.field.Hatch;
import zebrawood.field.HeadTilt;
import zebrawood.field.PlainTerms;
import zebrawood.field.Pointer;
import zebrawood.field.PointerReadings;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Station;
import zebrawood.machine.Lens;
import zebrawood.machine.Machine;
import zebrawood.measure.ShimStacks;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.Amount;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.records.field.BurnGrid;
import zebrawood.records.field.FieldTable;
import zebrawood.records.field.GridText;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/** The field station of a galvo head, for the lens that is on it. */
public final class FieldWork extends StationWork<FieldVisit.Readings, FieldVisit.Found> {
  public static final StationDefinition DEFINITION =
      new StationDefinition(
          FieldStation.STATION,
          FieldWork::new,
          Solver.of("field", FieldReadings.class, zebrawood.field.Field::solve, Set.of()),
          Solver.of(
              "field-scan",
              FieldScanReadings.class,
              r -> FieldScan.solve(r, PictureFile.read("imagePath", r.imagePath())),
              Set.of()),
          Solver.of("pointer", PointerReadings.class, Pointer::solve, Set.of()));

  private static final Quantity MM = Quantity.LENGTH;
  private static final double LARGEST_MM = 5000;
  private static final double DECODING = 0.5;

  /** A stack of shims may be off by so much. */
  private static final double NEAR_ENOUGH_MM = 0.05;

  private static final int FIRST_POINTERS = 3;
  private static final int MOST_POINTERS = 60;
  private static final int LARGEST_TABLE = 513;

  /** More marks than some eighty take longer than a keystroke may. */
  private static final int QUICK_GRID_LETTERS = 2_500;

  private static final int SIZED_MARKS = 11;

  /** What is known better stands with one decimal more. */
  private static final double COARSE_MM = 0.01;

  private final Machine machine;
  private final ChoiceField<FieldWay> way = form().choice("way", FieldWay.class, FieldWay.SQUARE);
  private final QuantityField field = form().positive("field", MM, LARGEST_MM);
  private final QuantityField tolerance = form().positive("tolerance", MM, 100);
  private final QuantityField resolution = form().positive("resolution", MM, 10);
  private final QuantityField commanded = form().positive("commanded", MM, LARGEST_MM);
  private final QuantityField across = form().positive("reading.across", MM, LARGEST_MM);
  private final QuantityField up = form().positive("reading.up", MM, LARGEST_MM);
  private final QuantityField rising = form().positive("reading.rising", MM, 2 * LARGEST_MM);
  private final QuantityField falling = form().positive("reading.falling", MM, 2 * LARGEST_MM);
  private final ChoiceField<Edges> edges = form().choice("edges", Edges.class, Edges.CENTRE);
  private final QuantityField lineWidth = form().quantity("lineWidth", MM, 0, 10);
  private final QuantityField commanded2 = form().positive("commanded2", MM, LARGEST_MM);
  private final QuantityField across2 = form().positive("reading.across2", MM, LARGEST_MM);
  private final QuantityField up2 = form().positive("reading.up2", MM, LARGEST_MM);
  private final WordsField grid = form().words("visit.grid", GridText::read);
  private final ScanFields scan = new ScanFields(form());
  private final Group<PointerRow> pointer =
      form().group("visit.pointer", FIRST_POINTERS, MOST_POINTERS, i -> PointerRow.make(form(), i));
  private final QuantityField crossSize = form().positive("crossSize", MM, 500);
  private final QuantityField burnSpeed = form().positive("burnSpeed", Quantity.SPEED, 100_000);
  private final QuantityField burnWord = form().positive("burnWord", Quantity.NUMBER, 1_000_000);
  private final WordsField burnFile = form().words("burnFile");
  private final QuantityField tableSize =
      form().quantity("tableSize", Quantity.NUMBER, 2, LARGEST_TABLE);
  private final WordsField tableFile = form().words("tableFile");
  private final WordsField loadedTable = form().words("reading.loadedTable");
  private final QuantityField distance = form().positive("distance", MM, LARGEST_MM);
  private final QuantityField columnBase = form().positive("columnBase", MM, LARGEST_MM);
  private final QuantityField bracketBase = form().positive("bracketBase", MM, LARGEST_MM);
  private final WordsField atHand = form().lengths("atHand", FieldWork::thicknesses);
  private final QuantityField spot = form().positive("spot", MM, 10);
  private final QuantityField interval = form().positive("interval", MM, 10);
  private final QuantityField markSpeed = form().positive("markSpeed", Quantity.SPEED, 100_000);
  private final QuantityField pulseRate =
      form().positive("pulseRate", Quantity.PULSE_RATE, 100_000);
  private final ChoiceField<CornerLook> corner =
      form().choice("corner", CornerLook.class, CornerLook.NOT_LOOKED);
  private final Photograph photograph = new Photograph();
  private final ReadOnlyObjectWrapper<Message> burnSaid =
      new ReadOnlyObjectWrapper<>(Message.of("field.burn.hint"));
  private final ReadOnlyObjectWrapper<Message> tableSaid =
      new ReadOnlyObjectWrapper<>(Message.of("field.table.hint"));
  private final ReadOnlyObjectWrapper<Message> tiltSaid =
      new ReadOnlyObjectWrapper<>(Message.of("field.tilt.needs"));
  private final ReadOnlyObjectWrapper<Message> hatchSaid =
      new ReadOnlyObjectWrapper<>(Message.of("field.hatch.needs"));
  private Optional<Boolean> focusHolds = Optional.empty();
  private List<Entry> recorded = List.of();
  private boolean onStandIn;

  public FieldWork(Ledger ledger, DisplayUnits units) {
    super(new StationForm("field", units));
    machine = ledger.machine();
    lensOn(ledger)
        .flatMap(FieldWork::fieldOf)
        .ifPresentOrElse(field::set, () -> field.set(machine.areaXMm()));
    outcomeProperty().subscribe(this::tellMore);
    begin();
    scan.photo().path().textProperty().subscribe(text -> loadScan());
  }

  private Optional<Lens> lensOn(Ledger ledger) {
    return machine.lenses().filter(l -> l.size() == 1).map(List::getFirst);
  }

  private static Optional<Double> fieldOf(Lens lens) {
    return lens.fieldMm().isPresent()
        ? Optional.of(lens.fieldMm().getAsDouble())
        : Optional.empty();
  }

  FieldWay chosen() {
    return way.get();
  }

  double fieldMm() {
    return field.value().orElse(machine.areaXMm());
  }

  private Stream<Field> ofWay() {
    return switch (way.get()) {
      case SQUARE ->
          Stream.of(
                  Stream.of((Field) resolution, commanded, across, up),
                  allOrNone(List.of(rising, falling)).map(f -> (Field) f),
                  allOrNone(List.of(commanded2, across2, up2)).map(f -> (Field) f))
              .flatMap(s -> s);
      case GRID -> Stream.of(resolution, grid);
      case SCAN -> scan.needed();
    };
  }

  @Override
  protected Stream<Field> needed() {
    Stream<Field> pointed =
        pointer.begun().isEmpty()
            ? Stream.empty()
            : Stream.concat(Stream.of(resolution), pointer.fieldsBegun().stream());
    return Stream.of(Stream.of((Field) field, tolerance), ofWay(), pointed).flatMap(s -> s);
  }

  @Override
  protected Stream<Field> used() {
    return Stream.concat(
        needed(),
        Stream.of(
            lineWidth,
            tableSize,
            crossSize,
            burnSpeed,
            burnWord,
            distance,
            columnBase,
            bracketBase,
            atHand,
            spot,
            interval,
            markSpeed,
            pulseRate));
  }

  @Override
  protected boolean slow() {
    return way.get() == FieldWay.SCAN
        || way.get() == FieldWay.GRID && grid.text().length() > QUICK_GRID_LETTERS;
  }

  @Override
  protected FieldVisit.Readings readings() {
    return new FieldVisit.Readings(task(), focusHolds, pointed());
  }

  private Optional<PointerReadings> pointed() {
    return pointer.begun().isEmpty()
        ? Optional.empty()
        : Optional.of(
            new PointerReadings(
                pointer.begun().stream().map(PointerRow::mark).toList(), resolution.number()));
  }

  private FieldTask task() {
    return switch (way.get()) {
      case SQUARE ->
          new FieldTask.BySquare(
              of(Optional.of(square(commanded, across, up)), Optional.empty()),
              rising.isEmpty()
                  ? Optional.empty()
                  : Optional.of(new FieldTask.Diagonals(rising.number(), falling.number())),
              commanded2.isEmpty()
                  ? Optional.empty()
                  : Optional.of(square(commanded2, across2, up2)));
      case GRID ->
          new FieldTask.ByGrid(of(Optional.empty(), Optional.of(GridText.read(grid.text()))));
      case SCAN -> new FieldTask.ByScan(scan.readings(field.number(), tolerance.number(), size()));
    };
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
        field.number(), resolution.number(), tolerance.number(), square, points, size());
  }

  /** Of the table; the usual one where nobody said. */
  private OptionalInt size() {
    return tableSize.value().isPresent()
        ? OptionalInt.of((int) Math.round(tableSize.number()))
        : OptionalInt.empty();
  }

  @Override
  protected FieldVisit.Found solve(FieldVisit.Readings readings) {
    DoubleConsumer nobody = share -> {};
    return FieldVisit.solve(readings, path -> photograph.picture(path, nobody), nobody);
  }

  @Override
  protected FieldVisit.Found solve(FieldVisit.Readings readings, Jobs.Progress progress) {
    return FieldVisit.solve(
        readings,
        path -> photograph.picture(path, progress.part(0, DECODING)),
        progress.part(DECODING, 1));
  }

  @Override
  public List<Figure> figures(FieldVisit.Readings readings, FieldVisit.Found finding) {
    return FieldVisit.figures(readings, finding);
  }

  @Override
  public List<Part> parts() {
    return List.of(
        Part.heading("sheet.readings", "sheet.keys"),
        Part.rows(way),
        new Part.Live(way.valueProperty().map(w -> Message.of(Message.keyOf(w) + ".hint"))),
        Part.rows(field, tolerance),
        new Part.Anew(way.valueProperty(), this::partsOfWay),
        new Part.Told(),
        new Part.Practising(),
        Part.fold(
            "field.pointer",
            Part.hint("field.pointer.hint"),
            new Part.Anew(
                way.valueProperty(),
                () -> way.get() == FieldWay.SCAN ? List.of(Part.rows(resolution)) : List.of()),
            new Part.Rowed(
                pointer,
                List.of(
                    Message.of("field.heading.x"),
                    Message.of("field.heading.y"),
                    Message.of("field.heading.px"),
                    Message.of("field.heading.py")),
                Message.of("field.another-mark"))),
        Part.fold(
            "field.files",
            new Part.Live(tableSaid.getReadOnlyProperty()),
            Part.rows(tableSize, loadedTable, tableFile),
            new Part.Press("field-write-table", Message.of("field.table.write"), this::writeTable)),
        Part.fold(
            "field.burn",
            new Part.Live(burnSaid.getReadOnlyProperty()),
            new Part.Anew(
                way.valueProperty(),
                () ->
                    way.get() == FieldWay.SCAN
                        ? List.of(Part.hint("field.burn.as-scanned"))
                        : List.of(new Part.Rows(scan.grid()))),
            new Part.Press("field-size-grid", Message.of("field.burn.sized"), this::sizeGrid),
            Part.rows(crossSize, burnSpeed, burnWord, burnFile),
            new Part.Press("field-write-grid", Message.of("field.burn.write"), this::writeGrid)),
        Part.fold(
            "field.height",
            Part.rows(distance, columnBase, bracketBase, atHand),
            new Part.Live(tiltSaid.getReadOnlyProperty()),
            new Part.Press("field-shimmed", Message.of("field.tilt.shimmed"), this::shimmed)),
        Part.fold(
            "field.hatch",
            Part.rows(spot, interval, markSpeed, pulseRate),
            new Part.Live(hatchSaid.getReadOnlyProperty()),
            new Part.Labelled(List.of(corner)),
            new Part.Live(
                corner.valueProperty().map(c -> Message.of(Message.keyOf(c) + ".hint")))));
  }

  private List<Part> partsOfWay() {
    return switch (way.get()) {
      case SQUARE ->
          List.of(
              Part.rows(resolution, commanded, across, up),
              Part.fold(
                  "field.diagonals", Part.hint("field.diagonals.hint"), Part.rows(rising, falling)),
              Part.fold(
                  "field.edges",
                  Part.rows(edges, lineWidth),
                  Part.hint("field.edges.hint"),
                  Part.rows(commanded2, across2, up2)));
      case GRID ->
          List.of(
              Part.rows(resolution),
              Part.hint("field.grid.hint"),
              new Part.Area(grid, 7, Message.of("field.grid.prompt")));
      case SCAN ->
          List.of(
              new Part.Own(pane -> new FileField(scan.photo().path(), "field-scan-choose", pane)),
              new Part.Rows(scan.grid()),
              Part.rows(scan.mark(), scan.ruleMm(), scan.uprightMm()),
              Part.fold("field.ends", new Part.Rows(scan.photo().fields().toList())));
    };
  }

  /** What follows below the folds. */
  private void tellMore() {
    tiltSaid.set(tiltWords());
    hatchSaid.set(hatchWords());
    Optional<FieldVisit.Found> found = found().map(Outcome.Found::finding);
    tableSaid.set(
        found
            .flatMap(FieldVisit.Found::plain)
            .map(FieldWork::plainWords)
            .orElse(Message.of("field.table.hint")));
  }

  private static Message plainWords(PlainTerms p) {
    return Message.of(
        "field.plain",
        Amount.of(p.scaleX(), Quantity.NUMBER, 5),
        Amount.of(p.scaleY(), Quantity.NUMBER, 5),
        Amount.of(p.skewMrad(), Quantity.ANGLE, 2),
        Amount.of(p.trapezoidXPercent(), Quantity.PERCENT, 2),
        Amount.of(p.trapezoidYPercent(), Quantity.PERCENT, 2),
        Message.bare(Amount.mm(p.bowXMm(), 3)),
        Amount.mm(p.bowYMm(), 3),
        Amount.mm(p.leftRmsMm(), 3));
  }

  /** What wrong height does, and what shims a trapezoid asks for. */
  private Message tiltWords() {
    if (distance.value().isEmpty() || field.value().isEmpty()) {
      return Message.of("field.tilt.needs");
    }
    List<Message> said = new ArrayList<>();
    said.add(
        Message.of(
            "field.height.makes",
            Amount.of(100 / distance.number(), Quantity.PERCENT, 2),
            Amount.mm(field.number() / 2 / distance.number(), 3)));
    found()
        .flatMap(f -> f.finding().plain())
        .ifPresentOrElse(
            plain -> said.addAll(shims(plain)), () -> said.add(Message.of("field.tilt.grid")));
    return Message.sentences(said);
  }

  private List<Message> shims(PlainTerms plain) {
    HeadTilt tilt = HeadTilt.of(plain, field.number(), distance.number());
    List<Message> said = new ArrayList<>();
    for (HeadTilt.Lean lean : tilt.leans()) {
      columnBase.value().stream()
          .mapToObj(base -> shim("field.tilt.column", lean, base))
          .forEach(said::add);
      bracketBase.value().stream()
          .mapToObj(base -> shim("field.tilt.bracket", lean, base))
          .forEach(said::add);
    }
    if (columnBase.isEmpty() && bracketBase.isEmpty()) {
      said.add(Message.of("field.tilt.base"));
    } else {
      said.add(Message.of("field.tilt.then"));
    }
    return said;
  }

  private void shimmed() {
    if (onStandIn) {
      tiltSaid.set(Message.of("field.tilt.practice"));
    } else {
      context().ifPresent(c -> c.host().askEvent(EventKind.HEAD_SHIMMED));
    }
  }

  private Message shim(String key, HeadTilt.Lean lean, double baseMm) {
    double mm = lean.shimMm(baseMm);
    Message exact = Message.of(key, Amount.mm(mm, 2), lean.side());
    if (atHand.isEmpty() || atHand.problem().isPresent() || mm > ShimStacks.THICKEST_MM) {
      return exact;
    }
    Message stack = new ShimStacks(thicknesses(atHand.text()), NEAR_ENOUGH_MM).stackFor(mm).said();
    return Message.of("field.tilt.stack", exact, stack);
  }

  private static List<Double> thicknesses(String words) {
    return Thicknesses.read("field.field.atHand", words);
  }

  private Message hatchWords() {
    if (spot.value().isEmpty()) {
      return Message.of("field.hatch.needs");
    }
    List<Message> said = new ArrayList<>();
    interval.value().stream()
        .mapToObj(mm -> Hatch.ofInterval(spot.number(), mm))
        .forEach(said::add);
    if (markSpeed.value().isPresent() && pulseRate.value().isPresent()) {
      said.add(Hatch.ofPulses(spot.number(), markSpeed.number(), pulseRate.number()));
    }
    return said.isEmpty() ? Message.of("field.hatch.needs") : Message.sentences(said);
  }

  private void writeTable() {
    Optional<Outcome.Found<FieldVisit.Readings, FieldVisit.Found>> grid =
        found().filter(f -> f.finding().plain().isPresent());
    if (grid.isEmpty()) {
      tableSaid.set(Message.of("field.table.none"));
    } else if (tableFile.isEmpty()) {
      tableSaid.set(Message.of("field.file.no-name"));
    } else {
      String name = tableFile.text().strip();
      double of = field.number();
      Optional<String> loaded =
          loadedTable.isEmpty() ? Optional.empty() : Optional.of(text(loadedTable));
      String said = loaded.isPresent() ? "field.table.joined" : "field.table.alone";
      beside(
          p -> {
            List<FieldFinding.Row> rows =
                FieldVisit.table(grid.get().readings(), grid.get().finding());
            FieldTable.of(of, loaded.map(t -> FieldTable.read(t).joined(rows)).orElse(rows))
                .write(name);
            return name;
          },
          written -> said(tableSaid, Message.of(said, Message.quoted(written))),
          because -> said(tableSaid, refusalOf(because)));
    }
  }

  private void said(ReadOnlyObjectWrapper<Message> where, Message what) {
    solveAgain();
    where.set(what);
  }

  private static Message refusalOf(Throwable because) {
    return because instanceof UnusableReading e
        ? StationForm.refusal(e)
        : Message.of("sheet.failed", Message.quoted(String.valueOf(because.getMessage())));
  }

  /** Eleven by eleven, out to the edge of this lens's field. */
  private void sizeGrid() {
    if (field.value().isEmpty()) {
      burnSaid.set(Message.of("field.burn.needs"));
      return;
    }
    double pitchMm = Math.floor(10 * field.number() / (SIZED_MARKS - 1)) / 10;
    form()
        .quietly(() -> {
          scan.grid().get(0).set(SIZED_MARKS);
          scan.grid().get(1).set(SIZED_MARKS);
          scan.grid().get(2).set(pitchMm);
          crossSize.set(Math.min(5, Math.round(0.5 * pitchMm)));
        });
  }

  private void writeGrid() {
    List<QuantityField> size = new ArrayList<>(scan.grid());
    size.add(crossSize);
    if (size.stream().anyMatch(f -> f.value().isEmpty()) || burnFile.isEmpty()) {
      burnSaid.set(Message.of("field.burn.needs"));
      return;
    }
    String name = burnFile.text().strip();
    List<Double> typed = size.stream().map(QuantityField::number).toList();
    OptionalDouble speed = burnSpeed.value();
    OptionalDouble word = burnWord.value();
    beside(
        p -> {
          new BurnGrid(
                  (int) Math.round(typed.get(0)),
                  (int) Math.round(typed.get(1)),
                  typed.get(2),
                  typed.get(3))
              .write(name, speed, word);
          return name;
        },
        written -> said(burnSaid, Message.of("field.file.written", Message.quoted(written))),
        because -> said(burnSaid, refusalOf(because)));
  }

  private Optional<Preview> preview() {
    return photograph.preview(scan.photo().file());
  }

  private void loadScan() {
    String file = scan.photo().file();
    if (!file.isEmpty() && preview().isEmpty() && context().isPresent()) {
      beside(p -> photograph.picture(file, p.part(0, 1)), picture -> solveAgain());
    }
  }

  @Override
  public void recordChanged(List<Entry> entries) {
    recorded = entries;
    onStandIn = false;
    context()
        .ifPresent(c -> {
          Optional<Station> focus =
              c.workshop().stations().stream().filter(s -> s.id().equals("focus")).findFirst();
          focusHolds = focus.map(s -> c.workshop().opened().standing(s).holds());
          solveAgain();
        });
    loadScan();
  }

  @Override
  public void draw(Canvas on) {
    Optional<FieldVisit.Readings> readings = found().map(Outcome.Found::readings);
    Optional<FieldVisit.Found> finding = found().map(Outcome.Found::finding);
    FieldPicture picture =
        new FieldPicture(on, finding.flatMap(f -> SquareShape.before(recorded, SquareShape.of(f))));
    Optional<Preview> preview = way.get() == FieldWay.SCAN ? preview() : Optional.empty();
    if (preview.isPresent()) {
      picture.drawScan(preview.get(), scan.photo(), readings, finding);
    } else {
      picture.draw(readings, finding);
    }
  }

  @Override
  public boolean hasPaperPicture() {
    return found().isPresent();
  }

  @Override
  public Optional<Held> grabbed(double x, double y, double width, double height) {
    return way.get() == FieldWay.SCAN
        ? preview().flatMap(p -> FieldPicture.view(p, width, height).grabbed(scan.photo(), x, y))
        : Optional.empty();
  }

  @Override
  public void pressed(double x, double y, double width, double height) {
    if (way.get() == FieldWay.SCAN) {
      preview().ifPresent(p -> FieldPicture.view(p, width, height).pressed(scan.photo(), x, y));
    }
  }

  @Override
  public Message whyRead() {
    return Message.of("field.why-read");
  }

  @Override
  public Message caution() {
    return Message.of("field.caution");
  }

  @Override
  public Optional<Practice<?, FieldVisit.Readings, FieldVisit.Found>> practice() {
    return Optional.of(new FieldPractice(this));
  }

  @Override
  public List<FigureTile> tiles(Outcome.Found<FieldVisit.Readings, FieldVisit.Found> found) {
    FieldFinding f = found.finding().field();
    List<FigureTile> tiles = new ArrayList<>();
    int decimals = f.edgeUncertaintyMm() < COARSE_MM ? 3 : 2;
    tiles.add(
        FigureTile.of(Message.of("field.figure.edge"), Amount.mm(f.edgeErrorNowMm(), decimals))
            .uncertain(Amount.mm(f.edgeUncertaintyMm(), decimals))
            .limited(Amount.mm(tolerance.number(), 2)));
    // The scales stand in what is to be done, and among all figures.
    f.residualRmsAfterMm()
        .ifPresentOrElse(
            mm -> tiles.add(FigureTile.of(Message.of("field.figure.after"), Amount.mm(mm, 3))),
            () -> {
              if (found.finding().skewMrad().isEmpty()) {
                tiles.add(scale("field.figure.scaleX", f.scaleX(), f.scaleXUncertainty()));
                tiles.add(scale("field.figure.scaleY", f.scaleY(), f.scaleYUncertainty()));
              }
            });
    found
        .finding()
        .skewMrad()
        .ifPresent(s ->
            tiles.add(
                FigureTile.of(
                        Message.of("field.figure.skew"), Amount.of(s.value(), Quantity.ANGLE, 1))
                    .uncertain(Amount.of(s.uncertainty(), Quantity.ANGLE, 1))));
    return tiles;
  }

  private static FigureTile scale(String key, double value, double uncertainty) {
    return FigureTile.of(Message.of(key), Amount.of(value, Quantity.NUMBER, 4))
        .uncertain(Amount.of(uncertainty, Quantity.NUMBER, 4));
  }

  @Override
  public List<Message> summary(Outcome.Found<FieldVisit.Readings, FieldVisit.Found> found) {
    List<Message> said = new ArrayList<>();
    FieldFinding f = found.finding().field();
    said.add(
        Message.of(
            "field.summary.unsure",
            Amount.mm(f.edgeUncertaintyMm(), 3),
            f.advisedSquareMm().isPresent()
                ? Message.of(
                    "field.summary.advised", Amount.mm(f.advisedSquareMm().getAsDouble(), 0))
                : Message.of("field.summary.no-square")));
    found.finding().plain().map(FieldWork::plainWords).ifPresent(said::add);
    found
        .finding()
        .lineWidthMm()
        .ifPresent(mm -> said.add(Message.of("field.summary.line", Amount.mm(mm, 3))));
    f.missing()
        .filter(m -> !m.isEmpty())
        .ifPresent(m ->
            said.add(
                Message.of(
                    "field.summary.missing",
                    m.size(),
                    Message.list(
                        m.stream()
                            .limit(12)
                            .map(c -> Message.of("field.summary.cell", c.column() + 1, c.row() + 1))
                            .toList()))));
    return said;
  }

  /** A stand-in has neither this machine's focus nor its past, until the record is seen again. */
  void forgetRecord() {
    focusHolds = Optional.empty();
    recorded = List.of();
    onStandIn = true;
  }

  /** The first so many rows of the pointer. */
  List<PointerRow> pointerRows(int count) {
    pointer.resize(Math.max(pointer.size(), count));
    return pointer.rows().subList(0, count);
  }

  QuantityField field() {
    return field;
  }

  QuantityField tolerance() {
    return tolerance;
  }

  QuantityField resolution() {
    return resolution;
  }

  QuantityField commanded() {
    return commanded;
  }

  List<QuantityField> sides() {
    return List.of(across, up, rising, falling);
  }

  WordsField grid() {
    return grid;
  }

  ScanFields scan() {
    return scan;
  }
}
