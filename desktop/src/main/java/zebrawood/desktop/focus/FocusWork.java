package zebrawood.desktop.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.DoubleConsumer;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectWrapper;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
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
import zebrawood.focus.Focus;
import zebrawood.focus.FocusFinding;
import zebrawood.focus.FocusReadings;
import zebrawood.focus.FocusReference;
import zebrawood.focus.FocusStation;
import zebrawood.focus.FocusTask;
import zebrawood.focus.Ladder;
import zebrawood.focus.LadderReadings;
import zebrawood.focus.Ramp;
import zebrawood.focus.RampPhoto;
import zebrawood.focus.RampPhotoReadings;
import zebrawood.focus.RampPlan;
import zebrawood.focus.RampReadings;
import zebrawood.focus.References;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Figure;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.Amount;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.records.kept.KeptReadings;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/** The focus station at one machine, for the lens that is on it. */
public final class FocusWork extends StationWork<FocusReadings, FocusFinding> {
  public static final StationDefinition DEFINITION =
      new StationDefinition(
          FocusStation.STATION,
          (ledger, units) -> new FocusWork(ledger.machine(), units),
          Solver.of("focus-ramp", RampReadings.class, Ramp::solve, Set.of()),
          Solver.of(
              "focus-ramp-photo",
              RampPhotoReadings.class,
              r -> RampPhoto.solve(r, PictureFile.read("imagePath", r.imagePath())),
              Set.of()),
          Solver.of("focus-ladder", LadderReadings.class, Ladder::solve, Set.of()));

  private static final Quantity MM = Quantity.LENGTH;
  private static final double LONGEST_MM = 5000;

  /** Behind what the machine is set to. */
  private static final int FITTING_AT = 4;

  /** With uncertainties there is no room for more. */
  private static final int MOST_TILES = 3;

  /** What a picture takes longest for is its decoding. */
  private static final double DECODING = 0.7;

  private static final int FIRST_SAMPLES = 7;
  private static final int FIRST_RUNGS = 6;
  private static final int FIRST_PROBES = 4;
  private static final int MOST_PROBES = 30;

  private final Machine machine;
  private final ChoiceField<FocusWay> way = form().choice("way", FocusWay.class, FocusWay.RAMP);
  private final ChoiceField<FocusReference> reference =
      form().choice("reference", FocusReference.class, FocusReference.NOZZLE_TIP);
  private final QuantityField lensRing = form().quantity("lensRing", MM, -1000, 1000);
  private final QuantityField headLine = form().quantity("headLine", MM, -1000, 1000);
  private final QuantityField setGap = form().quantity("reading.setGap", MM, 0, LONGEST_MM);
  private final QuantityField depth = form().positive("depth", MM, 1000);
  private final QuantityField gauge = form().positive("gauge", MM, 1000);
  private final QuantityField gaugeRead = form().positive("gaugeRead", MM, 10);
  private final QuantityField run = form().positive("run", MM, LONGEST_MM);
  private final QuantityField rise = form().positive("rise", MM, LONGEST_MM);
  private final QuantityField start = form().quantity("start", MM, 0, LONGEST_MM);
  private final QuantityField resolution = form().positive("resolution", MM, 50);
  private final QuantityField scoreResolution =
      form().positive("scoreResolution", Quantity.NUMBER, 1_000_000);
  private final QuantityField thinnest =
      form().quantity("visit.thinnest", MM, -LONGEST_MM, LONGEST_MM);
  private final QuantityField one = form().quantity("visit.one", MM, -LONGEST_MM, LONGEST_MM);
  private final QuantityField other = form().quantity("visit.other", MM, -LONGEST_MM, LONGEST_MM);
  private final QuantityField sure = form().positive("visit.sure", MM, LONGEST_MM);
  private final QuantityField rampGap = form().quantity("visit.rampGap", MM, 0, LONGEST_MM);
  private final QuantityField rampUnsure = form().quantity("visit.rampUnsure", MM, 0, 100);
  private final QuantityField offsetSet = form().quantity("offsetSet", MM, -1000, 1000);
  private final QuantityField roughGap = form().quantity("roughGap", MM, 0, LONGEST_MM);
  private final QuantityField roughUnsure = form().quantity("roughUnsure", MM, 0, 500);
  private final QuantityField clearance = form().quantity("clearance", MM, 0, 500);
  private final Group<PairRow> ramp =
      PairRow.group(
          form(), "visit.ramp", "focus.ramp-row.at", "focus.ramp-row.value", FIRST_SAMPLES, MM, 50);
  private final Group<PairRow> rampY =
      PairRow.group(
          form(),
          "visit.rampY",
          "focus.ramp-y-row.at",
          "focus.ramp-y-row.value",
          FIRST_SAMPLES,
          MM,
          50);
  private final Group<PairRow> widths =
      PairRow.group(
          form(),
          "visit.rungWidth",
          "focus.rung-width.at",
          "focus.rung-width.value",
          FIRST_RUNGS,
          MM,
          50);
  private final Group<PairRow> scores =
      PairRow.group(
          form(),
          "visit.rungScore",
          "focus.rung-score.at",
          "focus.rung-score.value",
          FIRST_RUNGS,
          Quantity.NUMBER,
          1e6);
  private final Group<QuantityField> probes =
      form()
          .group(
              "visit.probe",
              FIRST_PROBES,
              MOST_PROBES,
              i ->
                  form()
                      .quantity(
                          "visit.probe." + i, Message.of("focus.probe-row", i), MM, 0, LONGEST_MM));
  private final PhotoFields photo = new PhotoFields(form());
  private final TableFields table = new TableFields(form());
  private final Optional<HeadFields> head;
  private final Photograph photograph = new Photograph();
  private final ReadOnlyObjectWrapper<Message> move = new ReadOnlyObjectWrapper<>(Message.NONE);
  private final ReadOnlyObjectWrapper<Message> plan = new ReadOnlyObjectWrapper<>(Message.NONE);

  public FocusWork(Machine machine, DisplayUnits units) {
    super(new StationForm("focus", units));
    this.machine = machine;
    head =
        machine.build() == Build.FIBRE_CUTTING_HEAD
            ? Optional.of(new HeadFields(form()))
            : Optional.empty();
    resolution.set(0.02);
    scoreResolution.set(0.5);
    begin();
    table.fields().forEach(f -> f.textProperty().subscribe(text -> showMove()));
    table.zGrows().valueProperty().subscribe(way -> showMove());
    Stream.of(roughGap, roughUnsure, clearance, depth, run)
        .forEach(f -> f.textProperty().subscribe(text -> showPlan()));
    photo.photo().path().textProperty().subscribe(text -> loadPhoto());
  }

  Machine machine() {
    return machine;
  }

  FocusWay chosen() {
    return way.get();
  }

  private List<QuantityField> board() {
    return List.of(run, rise, start);
  }

  private List<QuantityField> withResolution() {
    return way.get().readsWidths() ? List.of(run, rise, start, resolution) : board();
  }

  private Stream<Field> ofWay() {
    return switch (way.get()) {
      case GAUGE -> Stream.of(gauge);
      case RAMP -> rows(ramp, resolution);
      case AXES -> Stream.concat(rows(ramp, resolution), rampY.fieldsBegun().stream());
      case PENCIL -> Stream.of(thinnest, sure);
      case EQUAL_WIDTHS -> Stream.of(one, other, sure);
      case PHOTO -> photo.fields();
      case LADDER_WIDTHS -> rows(widths, resolution);
      case LADDER_SCORES -> rows(scores, scoreResolution);
      case PROBE ->
          Stream.concat(
              Stream.of(rampGap, rampUnsure, resolution),
              probes.begun().stream().map(f -> (Field) f));
    };
  }

  private static Stream<Field> rows(Group<PairRow> group, QuantityField resolution) {
    return Stream.concat(group.fieldsBegun().stream(), Stream.of(resolution));
  }

  @Override
  protected Stream<Field> used() {
    return Stream.of(
            needed(),
            table.fields().map(f -> (Field) f),
            head.stream().flatMap(HeadFields::used),
            Stream.of(lensRing, headLine, setGap, depth, gaugeRead, offsetSet))
        .flatMap(s -> s);
  }

  @Override
  protected Stream<Field> needed() {
    return way.get().onBoard() ? Stream.concat(board().stream(), ofWay()) : ofWay();
  }

  @Override
  protected Optional<Message> waitsFor() {
    return switch (way.get()) {
      case RAMP -> more(ramp, 5, "focus.wait.widths");
      case AXES ->
          more(ramp, 5, "focus.wait.widths-x").or(() -> more(rampY, 5, "focus.wait.widths-y"));
      case LADDER_WIDTHS -> more(widths, 4, "focus.wait.rungs");
      case LADDER_SCORES -> more(scores, 4, "focus.wait.rungs");
      case PROBE -> more(probes, 3, "focus.wait.probes");
      case GAUGE, PENCIL, EQUAL_WIDTHS, PHOTO -> Optional.empty();
    };
  }

  private static Optional<Message> more(Group<?> group, int least, String key) {
    int missing = least - group.begun().size();
    return missing > 0 ? Optional.of(Message.of(key, missing)) : Optional.empty();
  }

  @Override
  protected boolean slow() {
    return way.get() == FocusWay.PHOTO;
  }

  @Override
  protected FocusReadings readings() {
    return new FocusReadings(
        task(),
        new References(reference.get(), lensRing.value(), headLine.value()),
        setGap.value(),
        depth.value(),
        table.now(),
        table.then(),
        table.defocusMm(),
        head.map(HeadFields::told));
  }

  private FocusTask task() {
    return switch (way.get()) {
      case GAUGE -> new FocusTask.ByGauge(gauge.number(), gaugeRead.value());
      case RAMP -> new FocusTask.ByRamp(ramp(ramp));
      case AXES -> new FocusTask.ByAxes(ramp(ramp), ramp(rampY));
      case PENCIL -> new FocusTask.ByPencil(thinnest.number(), sure.number(), tilted());
      case EQUAL_WIDTHS ->
          new FocusTask.ByEqualWidths(one.number(), other.number(), sure.number(), tilted());
      case PHOTO ->
          new FocusTask.ByPhoto(photo.readings(run.number(), rise.number(), start.number()));
      case LADDER_WIDTHS ->
          new FocusTask.ByLadder(
              new LadderReadings(
                  widths.begun().stream()
                      .map(r ->
                          new LadderReadings.Rung(
                              r.at().number(), r.value().value(), OptionalDouble.empty()))
                      .toList(),
                  resolution.number()));
      case LADDER_SCORES ->
          new FocusTask.ByLadder(
              new LadderReadings(
                  scores.begun().stream()
                      .map(r ->
                          new LadderReadings.Rung(
                              r.at().number(), OptionalDouble.empty(), r.value().value()))
                      .toList(),
                  scoreResolution.number()));
      case PROBE ->
          new FocusTask.ByProbe(
              probes.begun().stream().map(QuantityField::number).toList(),
              resolution.number(),
              rampGap.number(),
              rampUnsure.number(),
              offsetSet.value());
    };
  }

  private FocusTask.Board tilted() {
    return new FocusTask.Board(run.number(), rise.number(), start.number());
  }

  private RampReadings ramp(Group<PairRow> rows) {
    return new RampReadings(
        rows.begun().stream()
            .map(r -> new RampReadings.Sample(r.at().number(), r.value().number()))
            .toList(),
        run.number(),
        rise.number(),
        start.number(),
        resolution.number());
  }

  @Override
  protected FocusFinding solve(FocusReadings readings) {
    DoubleConsumer nobody = share -> {};
    return Focus.solve(readings, path -> photograph.picture(path, nobody), nobody);
  }

  @Override
  protected FocusFinding solve(FocusReadings readings, Jobs.Progress progress) {
    return Focus.solve(
        readings,
        path -> photograph.picture(path, progress.part(0, DECODING)),
        progress.part(DECODING, 1));
  }

  @Override
  public List<Figure> figures(FocusReadings readings, FocusFinding finding) {
    return Focus.figures(finding);
  }

  @Override
  public List<Part> parts() {
    List<Part> parts = new ArrayList<>(usualParts());
    head.ifPresent(h -> {
      parts.add(FITTING_AT, h.proof());
      parts.addAll(h.folds());
    });
    return parts;
  }

  private List<Part> usualParts() {
    return List.of(
        Part.heading("sheet.readings", "sheet.keys"),
        Part.rows(way),
        new Part.Live(way.valueProperty().map(w -> Message.of(Message.keyOf(w) + ".hint"))),
        Part.rows(setGap),
        new Part.Anew(way.valueProperty(), this::partsOfWay),
        new Part.Told(),
        new Part.Practising(),
        new Part.Fold(
            "focus-table-fold", Message.of("focus.table"), table.parts(move.getReadOnlyProperty())),
        Part.fold(
            "focus.measured-from",
            Part.rows(reference),
            Part.hint("focus.measured-from.hint"),
            Part.rows(lensRing, headLine, depth)),
        Part.fold(
            "focus.plan",
            Part.hint("focus.plan.hint"),
            Part.rows(roughGap, roughUnsure, clearance),
            new Part.Live(plan.getReadOnlyProperty())));
  }

  private List<Part> partsOfWay() {
    List<Part> parts = new ArrayList<>();
    if (way.get().onBoard()) {
      parts.add(
          new Part.Table(
              Stream.of(
                      "focus.board.run",
                      "focus.board.rise",
                      "focus.board.start",
                      "focus.board.resolution")
                  .limit(withResolution().size())
                  .map(Message::of)
                  .toList(),
              List.of(new Part.TableRow(Message.NONE, withResolution()))));
    } else if (way.get().readsWidths()) {
      parts.add(Part.rows(resolution));
    }
    switch (way.get()) {
      case GAUGE -> parts.add(Part.rows(gauge, gaugeRead));
      case RAMP ->
          parts.add(
              pairs(
                  ramp,
                  "focus.ramp-row.heading-at",
                  "focus.ramp-row.heading-value",
                  "focus.another-width"));
      case AXES -> {
        parts.add(Part.hint("focus.axes.x"));
        parts.add(
            pairs(
                ramp,
                "focus.ramp-row.heading-at",
                "focus.ramp-row.heading-value",
                "focus.another-width"));
        parts.add(Part.hint("focus.axes.y"));
        parts.add(
            pairs(
                rampY,
                "focus.ramp-row.heading-at",
                "focus.ramp-row.heading-value",
                "focus.another-width"));
      }
      case PENCIL -> parts.add(Part.rows(thinnest, sure));
      case EQUAL_WIDTHS -> parts.add(Part.rows(one, other, sure));
      case PHOTO -> {
        parts.add(
            new Part.Own(pane -> new FileField(photo.photo().path(), "focus-photo-choose", pane)));
        parts.add(Part.rows(photo.scaleMm()));
        parts.add(Part.fold("focus.marks", new Part.Rows(photo.photo().fields().toList())));
      }
      case LADDER_WIDTHS ->
          parts.add(
              pairs(
                  widths,
                  "focus.rung-width.heading-at",
                  "focus.rung-width.heading-value",
                  "focus.another-rung"));
      case LADDER_SCORES -> {
        parts.add(Part.rows(scoreResolution));
        parts.add(
            pairs(
                scores,
                "focus.rung-score.heading-at",
                "focus.rung-score.heading-value",
                "focus.another-rung"));
      }
      case PROBE -> {
        parts.add(Part.rows(rampGap, rampUnsure, resolution));
        parts.add(
            new Part.Rowed(
                probes, List.of(Message.of("focus.probed")), Message.of("focus.another-probe")));
        parts.add(Part.rows(offsetSet));
      }
    }
    return parts;
  }

  private static Part pairs(Group<PairRow> group, String at, String value, String another) {
    return new Part.Rowed(group, List.of(Message.of(at), Message.of(value)), Message.of(another));
  }

  @Override
  public void draw(Canvas on) {
    if (way.get() == FocusWay.PHOTO) {
      new PhotoPicture(this, on).draw();
    } else {
      new FocusPicture(on, 0).draw(found());
    }
  }

  @Override
  public boolean hasPaperPicture() {
    return found().isPresent();
  }

  PhotoFields photo() {
    return photo;
  }

  Optional<Preview> preview() {
    return photograph.preview(photo.photo().file());
  }

  /** Behind the interface; then the sheet is made anew. */
  private void loadPhoto() {
    String file = photo.photo().file();
    if (file.isEmpty() || preview().isPresent() || context().isEmpty()) {
      return;
    }
    beside(p -> photograph.picture(file, p.part(0, 1)), picture -> solveAgain());
  }

  @Override
  public Optional<Held> grabbed(double x, double y, double width, double height) {
    return way.get() == FocusWay.PHOTO
        ? PhotoPicture.grabbed(this, x, y, width, height)
        : Optional.empty();
  }

  @Override
  public void pressed(double x, double y, double width, double height) {
    if (way.get() == FocusWay.PHOTO) {
      PhotoPicture.pressed(this, x, y, width, height);
    }
  }

  @Override
  public void recordChanged(List<Entry> entries) {
    Optional<Entry> left = entries.reversed().stream().filter(Entry::decided).findFirst();
    table.remember(left.flatMap(e -> KeptReadings.typed(e.readings())));
    showMove();
    loadPhoto();
  }

  private void showMove() {
    move.set(table.move());
  }

  private void showPlan() {
    List<QuantityField> fields = List.of(roughGap, roughUnsure, clearance, depth, run);
    if (fields.stream().anyMatch(f -> f.value().isEmpty())) {
      plan.set(Message.of("focus.plan.needs"));
      return;
    }
    try {
      RampPlan made =
          RampPlan.of(
              roughGap.number(),
              roughUnsure.number(),
              depth.number(),
              run.number(),
              clearance.number());
      plan.set(
          Message.of(
              made.tooNear() ? "focus.plan.cut" : "focus.plan.made",
              Amount.mm(made.riseMm(), 1),
              Amount.mm(made.gapAtStartMm(), 1),
              Amount.mm(made.everyMm(), 0)));
    } catch (UnusableReading e) {
      plan.set(StationForm.refusal(e));
    }
  }

  @Override
  public Message whyRead() {
    return Message.of("focus.why-read");
  }

  @Override
  public Message caution() {
    return Message.of("focus.caution");
  }

  @Override
  public Optional<Practice<?, FocusReadings, FocusFinding>> practice() {
    return Optional.of(new FocusPractice(this));
  }

  @Override
  public List<FigureTile> tiles(Outcome.Found<FocusReadings, FocusFinding> found) {
    List<FigureTile> tiles = new ArrayList<>();
    if (found.finding().offMm().isEmpty()) {
      tiles.add(
          FigureTile.unknown(
              Message.of("focus.figure.off"), Message.of("tile.would-tell", setGap.label())));
    }
    tiles.addAll(super.tiles(found));
    return tiles.subList(0, Math.min(MOST_TILES, tiles.size()));
  }

  /** The same gap from the other references. */
  @Override
  public List<Message> summary(Outcome.Found<FocusReadings, FocusFinding> found) {
    List<Message> sentences = new ArrayList<>();
    found
        .finding()
        .located()
        .gapMm()
        .ifPresent(gap -> {
          for (FocusReference to : FocusReference.values()) {
            found
                .readings()
                .references()
                .gapMm(gap.value(), to)
                .ifPresent(mm ->
                    sentences.add(
                        Message.of(
                            "focus.summary.from",
                            Message.bare(Amount.mm(mm, 2)),
                            Amount.mm(gap.uncertainty(), 2),
                            to)));
          }
        });
    return sentences;
  }

  List<QuantityField> boardFields() {
    return board();
  }

  Group<PairRow> rows(FocusWay of) {
    return switch (of) {
      case LADDER_WIDTHS -> widths;
      case LADDER_SCORES -> scores;
      default -> ramp;
    };
  }

  Group<PairRow> rowsAlongY() {
    return rampY;
  }

  Group<QuantityField> probed() {
    return probes;
  }

  QuantityField setGap() {
    return setGap;
  }

  QuantityField gauge() {
    return gauge;
  }

  QuantityField resolution() {
    return resolution;
  }

  List<QuantityField> byEye() {
    return List.of(thinnest, one, other, sure);
  }

  List<QuantityField> ofProbe() {
    return List.of(rampGap, rampUnsure, offsetSet);
  }
}
