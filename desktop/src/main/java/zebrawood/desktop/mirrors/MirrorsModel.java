package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.ProofField.Answer;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Dragged;
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Section;
import zebrawood.desktop.station.Solver;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.desktop.station.Step;
import zebrawood.desktop.text.Text;
import zebrawood.devices.picture.PictureFile;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.machine.Machine;
import zebrawood.machine.Train;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.mirrors.Alignment;
import zebrawood.mirrors.MirrorReadings;
import zebrawood.mirrors.MirrorReadings.Mark;
import zebrawood.mirrors.MirrorStation;
import zebrawood.mirrors.MirrorVisitFinding;
import zebrawood.mirrors.MirrorVisitReadings;
import zebrawood.mirrors.QuickCheck;
import zebrawood.quantity.Amount;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.records.kept.KeptReadings;
import zebrawood.records.picture.Canvas;
import zebrawood.tape.TapePhoto;
import zebrawood.tape.TapePhotoReadings;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/** The mirrors station at one machine. */
public final class MirrorsModel extends StationModel<MirrorVisitReadings, MirrorVisitFinding> {
  public static final StationDefinition DEFINITION =
      StationDefinition.of(
              MirrorStation.STATION, (ledger, units) -> new MirrorsModel(ledger.machine(), units))
          .with(
              Solver.of("mirrors", MirrorReadings.class, Alignment::solve),
              Solver.of(
                  "tape-photo",
                  TapePhotoReadings.class,
                  r -> TapePhoto.solve(r, PictureFile.read("imagePath", r.imagePath()))));

  static final double FURTHEST_MM = 200;
  private static final double USUAL_STEP_MM = 0.1;

  private final Machine machine;
  final Train train;
  final ChoiceField<MirrorsWay> way;
  final QuantityField resolution = form().quantity("resolution", Quantity.LENGTH, 0.01, 10);
  final QuantityField aperture = form().quantity("aperture", Quantity.LENGTH, 1, 200);
  private final QuantityField tolerance = form().quantity("tolerance", Quantity.LENGTH, 0.05, 20);
  private final QuantityField beam = form().quantity("beam", Quantity.LENGTH, 0.1, 100);
  final QuantityField face = form().quantity("face", Quantity.LENGTH, 1, 200);
  final Map<MarkPlace, MarkFields> marks = new EnumMap<>(MarkPlace.class);
  final ChoiceField<MarkPlace> again;
  final BeamLegs legs;
  final ScrewFields screws;
  private final MarkFields tube = aim(Field.READING + "tube");
  final MarkFields againMark = aim(Field.READING + "again");
  private final NozzleFields nozzle;
  private final TapeSection tape;
  final WordsField leastPulse = form().plainWords(Field.VISIT + "leastPulse");
  private final ProofField round = form().proof(Look.ROUND);
  private Optional<MarkPlace> active = Optional.empty();
  private Optional<MirrorReadings> before = Optional.empty();

  public MirrorsModel(Machine machine, DisplayUnits units) {
    super(new StationForm("mirrors", units), MirrorVisitReadings.VISIT);
    this.machine = machine;
    train = machine.mirrorTrain();
    boolean sealed = train.alignedByMaker();
    way =
        form()
            .choice(
                "school",
                Message.of("mirrors.field.school"),
                sealed ? List.of(MirrorsWay.QUICK) : List.of(MirrorsWay.values()),
                sealed ? MirrorsWay.QUICK : MirrorsWay.FULL);
    nozzle = new NozzleFields(form(), train.foldsDown());
    List<MarkPlace> places = MarkPlace.of(train.mirrors());
    places.forEach(place -> marks.put(place, aim(Field.READING + nameOf(place))));
    again = form().choice("again", Message.of("mirrors.again"), places, places.getLast());
    legs = new BeamLegs(machine, form());
    screws = new ScrewFields(form(), train.mirrors());
    tape =
        new TapeSection(
            form(), resolution, () -> asked().map(Map.Entry::getValue).toList(), nozzle);
    resolution.set(0.5);
    aperture.set(16);
    tolerance.set(1);
    startSolving();
    tape.follow();
  }

  @Override
  protected List<Section<?, ?>> sections() {
    return List.of(tape);
  }

  /** As it was named in the first version's records. */
  private static String nameOf(MarkPlace place) {
    return place.name().toLowerCase(Locale.ROOT);
  }

  private MarkFields aim(String name) {
    return MarkFields.in(
        form(),
        name,
        Message.of("mirrors.aim." + name.replaceFirst("^reading\\.", "").replace('_', '-')));
  }

  /** The mark that is typed now, else the first that is still to be read. */
  MarkPlace place() {
    return active
        .filter(at -> way.get() == MirrorsWay.FULL || at.head())
        .or(() -> asked().filter(m -> !m.getValue().begun()).findFirst().map(Map.Entry::getKey))
        .orElse(MarkPlace.of(train.mirrors()).getLast());
  }

  @Override
  public void focused(Optional<Field> field) {
    field
        .flatMap(f ->
            marks.entrySet().stream()
                .filter(m -> m.getValue().fields().contains(f))
                .map(Map.Entry::getKey)
                .findFirst())
        .ifPresent(place -> active = Optional.of(place));
  }

  /** Takes a place on the drawn tape for the mark that is typed now, read to the tape's step. */
  @Override
  public void pressed(double x, double y, double width, double height) {
    if (!tape.draws()) {
      put(new MarksPicture(this, width, height), x, y);
    }
  }

  private void put(MarksPicture on, double x, double y) {
    on.at(x, y)
        .ifPresent(at -> {
          double step = resolution.value().orElse(USUAL_STEP_MM);
          MarkFields mark = marks.get(place());
          form().allAtOnce(() -> mark.set(stepped(at[0], step), stepped(at[1], step)));
        });
  }

  /** A mark is drawn along on the tape as it was when it was taken. */
  @Override
  public Optional<Dragged> grabbed(double x, double y, double width, double height) {
    if (tape.draws()) {
      return tape.grabbed(x, y, width, height);
    }
    MarksPicture as = new MarksPicture(this, width, height);
    return as.markAt(x, y)
        .map(place -> {
          active = Optional.of(place);
          context().ifPresent(c -> c.focus(marks.get(place).right()));
          return (toX, toY) -> put(as, toX, toY);
        });
  }

  private static double stepped(double mm, double step) {
    return Math.round(Math.round(mm / step) * step * 1e6) / 1e6 + 0.0;
  }

  /** What was burnt before the screws were turned last, on the same visit. */
  void setBefore(Optional<MirrorReadings> earlier) {
    if (!earlier.equals(before)) {
      before = earlier;
      solveAgain();
    }
  }

  @Override
  protected Stream<QuantityField> needed() {
    Stream<QuantityField> settings =
        Stream.concat(Stream.of(resolution, aperture, tolerance), legs.fields().stream());
    Stream<QuantityField> pairs =
        Stream.concat(asked().map(Map.Entry::getValue), Stream.of(tube, againMark))
            .filter(MarkFields::begun)
            .flatMap(MarkFields::stream);
    return Stream.of(settings, pairs, nozzle.needed(), screws.needed()).flatMap(s -> s);
  }

  /** The places that are read this way. */
  private Stream<Map.Entry<MarkPlace, MarkFields>> asked() {
    return marks.entrySet().stream().filter(m -> way.get() == MirrorsWay.FULL || m.getKey().head());
  }

  @Override
  protected Optional<Message> waitsFor() {
    if (way.get() == MirrorsWay.FULL && asked().noneMatch(m -> m.getValue().begun())) {
      return Optional.of(Message.of(asked().findFirst().orElseThrow().getKey()));
    }
    return waitsForRound() ? Optional.of(Message.of("mirrors.round.wait")) : Optional.empty();
  }

  private boolean waitsForRound() {
    return way.get() == MirrorsWay.QUICK && round.isEmpty();
  }

  @Override
  public Message whyRead() {
    return waitsForRound() ? Message.of("mirrors.round.why-read") : super.whyRead();
  }

  @Override
  protected MirrorVisitReadings readings() {
    boolean full = way.get() == MirrorsWay.FULL;
    return new MirrorVisitReadings(
        full ? Optional.of(fullSet()) : Optional.empty(),
        full ? Optional.empty() : Optional.of(quick()),
        beam.value(),
        face.value(),
        tube.begun() ? Optional.of(tube.spot()) : Optional.empty(),
        screws.by().get(),
        screws.trials(legs),
        full ? before : Optional.empty(),
        nozzle.plumbReadings(resolution.number()),
        nozzle.pointerReadings(resolution.number()),
        text(leastPulse),
        train.sealed());
  }

  private MirrorReadings fullSet() {
    List<Mark> read = new ArrayList<>();
    marks.forEach((place, aim) -> {
      if (aim.begun()) {
        read.add(mark(place, aim));
      }
    });
    if (againMark.begun()) {
      read.add(mark(again.get(), againMark));
    }
    return new MirrorReadings(
        resolution.number(),
        aperture.number(),
        tolerance.number(),
        screws.mounts(),
        read,
        machine.train());
  }

  private Mark mark(MarkPlace place, MarkFields aim) {
    double[] from = legs.pathsMm(place);
    return new Mark(
        place.at(),
        from[0],
        from.length > 1 ? OptionalDouble.of(from[1]) : OptionalDouble.empty(),
        from.length > 2 ? OptionalDouble.of(from[2]) : OptionalDouble.empty(),
        aim.right().number(),
        aim.up().number());
  }

  private QuickCheck quick() {
    return new QuickCheck(
        resolution.number(),
        tolerance.number(),
        round.get() == Answer.YES,
        asked().filter(e -> e.getValue().begun()).map(e -> e.getValue().spot()).toList());
  }

  /** Too few marks, or too alike, are no fault of what is typed. */
  @Override
  protected Outcome<MirrorVisitReadings, MirrorVisitFinding> refused(UnusableReading e) {
    var first = e.complaints().getFirst();
    return first.field().equals("marks") || first.field().equals("corners")
        ? new Outcome.Waiting<>(first.accepted())
        : super.refused(e);
  }

  @Override
  public List<Part> parts() {
    List<Part> parts =
        new ArrayList<>(
            List.of(
                Part.heading("sheet.readings", "mirrors.keys"),
                Part.rows(way, leastPulse),
                new Part.Redrawn(way.valueProperty(), this::asMany),
                new Part.ReadingStatus(),
                Part.hint(train.foldsDown() ? "mirrors.hint.down" : "mirrors.hint"),
                new Part.PracticeEntry()));
    parts.add(tape.part());
    if (train.alignedByMaker()) {
      parts.add(Part.hint("mirrors.sealed.hint"));
      parts.addAll(nozzleParts());
      return parts;
    }
    parts.add(Part.fold("mirrors.trials", screws.trialParts(legs, up()).toArray(Part[]::new)));
    parts.add(
        Part.fold(
            "mirrors.again",
            Part.hint("mirrors.again.hint"),
            Part.rows(again, againMark.right(), againMark.up())));
    parts.add(
        Part.fold(
            "mirrors.tube", Part.hint("mirrors.tube.hint"), Part.rows(tube.right(), tube.up())));
    parts.addAll(nozzleParts());
    parts.add(Part.fold("mirrors.limits", Part.rows(resolution, aperture, tolerance, beam, face)));
    parts.add(
        Part.fold(
            "mirrors.paths",
            train.foldsDown()
                ? Part.hint("mirrors.paths.down")
                : Part.rows(legs.railAt(), legs.lastAt()),
            new Part.Rows(legs.fields())));
    parts.add(Part.fold("mirrors.screws", screws.mountParts().toArray(Part[]::new)));
    return parts;
  }

  private List<Part> nozzleParts() {
    return List.of(
        Part.fold("mirrors.plumb", Part.hint("mirrors.plumb.hint"), new Part.Rows(nozzle.plumb())),
        Part.fold(
            "mirrors.pointer", Part.hint("mirrors.pointer.hint"), new Part.Rows(nozzle.pointer())));
  }

  /** A row for each mark that is asked; what is looked at comes after them. */
  private List<Part> asMany() {
    List<Part> parts = new ArrayList<>();
    parts.add(
        new Part.Table(
            List.of(Message.of("mirrors.mark"), Message.of("mirrors.right"), up()),
            asked()
                .map(m ->
                    new Part.TableRow(
                        Message.of("mirrors.row", numberOf(m.getKey()), m.getKey()),
                        m.getValue().fields()))
                .toList()));
    if (way.get() == MirrorsWay.QUICK) {
      parts.add(Part.rows(round));
    }
    return parts;
  }

  /** The number of a mark, in its row and in the picture. */
  int numberOf(MarkPlace place) {
    return asked().map(Map.Entry::getKey).toList().indexOf(place) + 1;
  }

  /** Which screw, and how far in large letters; the exact figure is small. */
  @Override
  public List<Step> steps(Outcome.Solved<MirrorVisitReadings, MirrorVisitFinding> solved) {
    return solved.finding().advice().stream().map(MirrorsModel::step).toList();
  }

  private static Step step(Advice advice) {
    if (!advice.what().key().equals(Alignment.TURN)) {
      return Step.of(advice);
    }
    List<Object> of = advice.what().arguments();
    return new Step(
            Text.words().line((Message) of.get(0)),
            Text.of(
                "mirrors.step.turn",
                (Long) advice.why().orElseThrow().arguments().getFirst(),
                (Message) of.get(1)),
            Text.of("mirrors.step.exact", (Amount) of.get(2), (Amount) of.get(3)))
        .about(advice.what().key());
  }

  /** Below a mirror that folds down, what was up is further from the tube. */
  private Message up() {
    return Message.of(train.foldsDown() ? "mirrors.away" : "mirrors.up");
  }

  @Override
  public void draw(Canvas on) {
    if (tape.draws()) {
      tape.draw(on);
    } else {
      new MarksPicture(this, on.width(), on.height()).draw(on);
    }
  }

  @Override
  public boolean hasPaperDrawing() {
    return solved().flatMap(f -> f.finding().alignment()).isPresent();
  }

  /** The first thing of a visit, before any mirror is touched. */
  @Override
  public List<Step> firstSteps() {
    return leastPulse.isEmpty()
        ? List.of(Step.of(Message.of("mirrors.do.pulse"), Message.of("mirrors.do.pulse.how")))
        : List.of();
  }

  /** Each mark is a pulse into an open path. */
  @Override
  protected boolean burns() {
    return true;
  }

  @Override
  public EntryKind kindOf(EntryKind usual) {
    return way.get() == MirrorsWay.QUICK && !train.alignedByMaker() ? EntryKind.CHECK : usual;
  }

  @Override
  public Optional<Practice<?, ?, MirrorVisitReadings, MirrorVisitFinding>> practice() {
    return Optional.of(new MirrorPractice(this));
  }

  @Override
  public List<FigureTile> tiles(Outcome.Solved<MirrorVisitReadings, MirrorVisitFinding> solved) {
    return MirrorTiles.of(solved, tolerance.value());
  }

  /** What was burnt before the screws were turned last is compared with what is burnt now. */
  @Override
  protected void recordChanged(List<Entry> entries) {
    context()
        .ifPresent(c ->
            setBefore(
                entries.stream()
                    .skip(Math.max(0, entries.size() - 1))
                    .filter(e -> e.verdict() == Verdict.ADJUST && !c.recorder().correcting())
                    .filter(e -> e.ofVisit(c.workshop().clock().instant()))
                    .findFirst()
                    .flatMap(entry -> KeptReadings.read(entry, MirrorVisitReadings.class))
                    .flatMap(MirrorVisitReadings::taught)));
  }
}
