package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.ProofField.Answer;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.sheet.FigureTile;
import zebrawood.desktop.sheet.GuardLine;
import zebrawood.desktop.sheet.Outcome;
import zebrawood.desktop.sheet.Part;
import zebrawood.desktop.sheet.Practice;
import zebrawood.desktop.sheet.StationWork;
import zebrawood.desktop.sheet.Step;
import zebrawood.desktop.solve.Solver;
import zebrawood.desktop.stations.StationDefinition;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Ledger;
import zebrawood.machine.Machine;
import zebrawood.machine.Train;
import zebrawood.measure.TurnDirection;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.mirrors.Alignment;
import zebrawood.mirrors.MirrorReadings;
import zebrawood.mirrors.MirrorReadings.Mark;
import zebrawood.mirrors.MirrorReadings.Mount;
import zebrawood.mirrors.MirrorReadings.Screw;
import zebrawood.mirrors.MirrorReadings.Towards;
import zebrawood.mirrors.MirrorStation;
import zebrawood.mirrors.MirrorVisit;
import zebrawood.mirrors.MirrorVisit.Judged;
import zebrawood.mirrors.MirrorVisit.ScrewsBy;
import zebrawood.mirrors.QuickCheck;
import zebrawood.mirrors.ScrewTrial;
import zebrawood.quantity.Amount;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.records.kept.KeptReadings;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/** The mirrors station at one machine. */
public final class MirrorsWork extends StationWork<MirrorVisit, Judged> {
  public static final StationDefinition DEFINITION =
      new StationDefinition(
          MirrorStation.STATION,
          (ledger, units) -> new MirrorsWork(ledger.machine(), units),
          Solver.of("mirrors", MirrorReadings.class, Alignment::solve, Set.of()));

  static final double FURTHEST_MM = 200;
  private static final double QUARTER = 0.25;
  private static final double USUAL_STEP_MM = 0.1;

  private final Machine machine;
  private final Train train;
  private final ChoiceField<MirrorsWay> way =
      form().choice("school", MirrorsWay.class, MirrorsWay.FULL);
  private final QuantityField resolution = form().quantity("resolution", Quantity.LENGTH, 0.01, 10);
  private final QuantityField aperture = form().quantity("aperture", Quantity.LENGTH, 1, 200);
  private final QuantityField tolerance = form().quantity("tolerance", Quantity.LENGTH, 0.05, 20);
  private final QuantityField beam = form().quantity("beam", Quantity.LENGTH, 0.1, 100);
  private final QuantityField face = form().quantity("face", Quantity.LENGTH, 1, 200);
  private final QuantityField arm = form().quantity("arm", Quantity.LENGTH, 5, 500);
  private final QuantityField pitch = form().quantity("pitch", Quantity.LENGTH, 0.05, 5);
  private final Map<MarkPlace, Aim> marks = new EnumMap<>(MarkPlace.class);
  private final ChoiceField<MarkPlace> again;
  private final BeamLegs legs;
  private final ChoiceField<ScrewsBy> screwsBy =
      form().choice("screwsBy", ScrewsBy.class, ScrewsBy.TRIAL);
  private final List<TrialFields> screws;
  private final Aim tube = aim(Field.READING + "tube");
  private final Aim againMark = aim(Field.READING + "again");
  private final NozzleFields nozzle;
  private final WordsField leastPulse = form().plainWords(Field.VISIT + "leastPulse");
  private final ProofField round = form().proof(Look.ROUND);
  private Optional<MarkPlace> active = Optional.empty();
  private Optional<MirrorReadings> before = Optional.empty();

  public MirrorsWork(Machine machine, DisplayUnits units) {
    super(new StationForm("mirrors", units));
    this.machine = machine;
    train = machine.mirrorTrain();
    nozzle = new NozzleFields(form(), train.foldsDown());
    List<MarkPlace> places = MarkPlace.of(train.mirrors());
    places.forEach(place -> marks.put(place, aim(Field.READING + nameOf(place))));
    again = form().choice("again", Message.of("mirrors.again"), places, places.getLast());
    legs = new BeamLegs(machine, form());
    screws =
        IntStream.rangeClosed(1, train.mirrors())
            .boxed()
            .flatMap(mirror -> Stream.of(screw(mirror, true), screw(mirror, false)))
            .toList();
    resolution.set(0.5);
    aperture.set(16);
    tolerance.set(1);
    arm.set(50);
    pitch.set(0.5);
    begin();
  }

  /** As it was named in the first version's records. */
  private static String nameOf(MarkPlace place) {
    return place.name().toLowerCase(Locale.ROOT);
  }

  private Aim aim(String name) {
    return aim(
        name, Message.of("mirrors.aim." + name.replaceFirst("^reading\\.", "").replace('_', '-')));
  }

  private Aim aim(String name, Message of) {
    return new Aim(
        form()
            .quantity(
                name + ".right",
                Message.of("mirrors.aim.right", of),
                Quantity.LENGTH,
                -FURTHEST_MM,
                FURTHEST_MM),
        form()
            .quantity(
                name + ".up",
                Message.of("mirrors.aim.up", of),
                Quantity.LENGTH,
                -FURTHEST_MM,
                FURTHEST_MM));
  }

  private TrialFields screw(int mirror, boolean sideways) {
    String name = mirror + (sideways ? ".sideways" : ".upDown");
    Message said =
        Message.of(sideways ? "mirrors.trial.sideways" : "mirrors.trial.up-down", mirror);
    QuantityField turned =
        form()
            .quantity(
                "trial." + name + ".turned",
                Message.of("mirrors.trial.turned-of", said),
                Quantity.NUMBER,
                -5,
                5);
    turned.set(QUARTER);
    List<Towards> ways =
        sideways ? List.of(Towards.RIGHT, Towards.LEFT) : List.of(Towards.UP, Towards.DOWN);
    return new TrialFields(
        mirror,
        sideways,
        form()
            .choice(
                "clockwise." + name,
                Message.of(
                    sideways ? "mirrors.clockwise.sideways" : "mirrors.clockwise.up-down", mirror),
                ways,
                ways.getFirst()),
        turned,
        aim("trial." + name, said));
  }

  Map<MarkPlace, Aim> marks() {
    return marks;
  }

  Train train() {
    return train;
  }

  BeamLegs legs() {
    return legs;
  }

  ChoiceField<MirrorsWay> way() {
    return way;
  }

  QuantityField resolution() {
    return resolution;
  }

  QuantityField aperture() {
    return aperture;
  }

  QuantityField face() {
    return face;
  }

  ChoiceField<ScrewsBy> screwsBy() {
    return screwsBy;
  }

  /** Sideways and up-and-down of mirror 1, then of the next. */
  List<TrialFields> screws() {
    return screws;
  }

  ChoiceField<MarkPlace> again() {
    return again;
  }

  Aim againMark() {
    return againMark;
  }

  WordsField leastPulse() {
    return leastPulse;
  }

  /** The mark that is typed now, else the first that is still to be read. */
  MarkPlace place() {
    return active.orElseGet(() ->
        marks.entrySet().stream()
            .filter(m -> !m.getValue().begun())
            .map(Map.Entry::getKey)
            .findFirst()
            .orElse(MarkPlace.of(train.mirrors()).getLast()));
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
    put(new MarksPicture(this, width, height), x, y);
  }

  private void put(MarksPicture on, double x, double y) {
    on.at(x, y)
        .ifPresent(at -> {
          double step = resolution.value().orElse(USUAL_STEP_MM);
          Aim mark = marks.get(place());
          form().quietly(() -> mark.set(stepped(at[0], step), stepped(at[1], step)));
        });
  }

  /** A mark is drawn along on the tape as it was when it was taken. */
  @Override
  public Optional<Held> grabbed(double x, double y, double width, double height) {
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
        Stream.concat(
            Stream.of(resolution, aperture, tolerance, arm, pitch), legs.fields().stream());
    Stream<QuantityField> pairs =
        Stream.concat(asked().map(Map.Entry::getValue), Stream.of(tube, againMark))
            .filter(Aim::begun)
            .flatMap(Aim::stream);
    Stream<QuantityField> trials =
        screws.stream()
            .filter(TrialFields::tried)
            .flatMap(s -> Stream.of(s.turned(), s.moved().right(), s.moved().up()));
    return Stream.of(settings, pairs, nozzle.needed(), trials).flatMap(s -> s);
  }

  /** The places that are read this way. */
  private Stream<Map.Entry<MarkPlace, Aim>> asked() {
    return marks.entrySet().stream().filter(m -> way.get() == MirrorsWay.FULL || m.getKey().head());
  }

  @Override
  protected Optional<Message> waitsFor() {
    if (asked().noneMatch(m -> m.getValue().begun())) {
      return Optional.of(Message.of(asked().findFirst().orElseThrow().getKey()));
    }
    return way.get() == MirrorsWay.QUICK && round.isEmpty()
        ? Optional.of(Message.of("mirrors.round.wait"))
        : Optional.empty();
  }

  @Override
  protected MirrorVisit readings() {
    boolean full = way.get() == MirrorsWay.FULL;
    return new MirrorVisit(
        full ? Optional.of(fullSet()) : Optional.empty(),
        full ? Optional.empty() : Optional.of(quick()),
        beam.value(),
        face.value(),
        tube.begun() ? Optional.of(spot(tube)) : Optional.empty(),
        screwsBy.get(),
        trials(),
        full ? before : Optional.empty(),
        nozzle.plumbReadings(resolution.number()),
        nozzle.pointerReadings(resolution.number()),
        text(leastPulse));
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
    Map<String, Mount> mounts = new HashMap<>();
    for (int i = 0; i < screws.size(); i += 2) {
      mounts.put(
          String.valueOf(screws.get(i).mirror()),
          new Mount(drawn(screws.get(i)), drawn(screws.get(i + 1))));
    }
    return new MirrorReadings(
        resolution.number(), aperture.number(), tolerance.number(), mounts, read, machine.train());
  }

  private Screw drawn(TrialFields screw) {
    return new Screw(arm.number(), pitch.number(), screw.clockwise().get());
  }

  private Mark mark(MarkPlace place, Aim aim) {
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
        asked().filter(e -> e.getValue().begun()).map(e -> spot(e.getValue())).toList());
  }

  private static QuickCheck.Spot spot(Aim aim) {
    return new QuickCheck.Spot(aim.right().number(), aim.up().number());
  }

  private List<ScrewTrial> trials() {
    return screws.stream()
        .filter(TrialFields::tried)
        .map(s -> {
          double[] from = legs.pathsMm(legs.furthestAfter(s.mirror()));
          return new ScrewTrial(
              s.mirror(),
              s.sideways(),
              s.turned().number(),
              s.moved().right().number(),
              s.moved().up().number(),
              from[s.mirror() - 1]);
        })
        .toList();
  }

  @Override
  protected Judged solve(MirrorVisit visit) {
    return visit.solve();
  }

  /** Too few marks, or too alike, are no fault of what is typed. */
  @Override
  protected Outcome<MirrorVisit, Judged> refused(UnusableReading e) {
    var first = e.complaints().getFirst();
    return first.field().equals("marks") || first.field().equals("corners")
        ? new Outcome.Waiting<>(first.accepted())
        : super.refused(e);
  }

  @Override
  public List<Figure> figures(MirrorVisit visit, Judged finding) {
    return visit.figures(finding);
  }

  @Override
  public List<Part> parts() {
    List<Part> parts =
        new ArrayList<>(
            List.of(
                Part.heading("sheet.readings", "mirrors.keys"),
                Part.rows(way, leastPulse),
                new Part.Anew(way.valueProperty(), this::asMany),
                new Part.Told(),
                Part.hint(train.foldsDown() ? "mirrors.hint.down" : "mirrors.hint"),
                new Part.Practising()));
    parts.add(Part.fold("mirrors.trials", trialParts()));
    parts.add(
        Part.fold(
            "mirrors.again",
            Part.hint("mirrors.again.hint"),
            Part.rows(again, againMark.right(), againMark.up())));
    parts.add(
        Part.fold(
            "mirrors.tube", Part.hint("mirrors.tube.hint"), Part.rows(tube.right(), tube.up())));
    parts.add(
        Part.fold("mirrors.plumb", Part.hint("mirrors.plumb.hint"), new Part.Rows(nozzle.plumb())));
    parts.add(
        Part.fold(
            "mirrors.pointer", Part.hint("mirrors.pointer.hint"), new Part.Rows(nozzle.pointer())));
    parts.add(Part.fold("mirrors.limits", Part.rows(resolution, aperture, tolerance, beam, face)));
    parts.add(
        Part.fold(
            "mirrors.paths",
            train.foldsDown()
                ? Part.hint("mirrors.paths.down")
                : Part.rows(legs.railAt(), legs.lastAt()),
            new Part.Rows(legs.fields())));
    parts.add(
        Part.fold(
            "mirrors.screws",
            Part.rows(screwsBy),
            new Part.Labelled(screws.stream().map(TrialFields::clockwise).toList()),
            Part.rows(arm, pitch)));
    return parts;
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
  public List<Step> steps(Outcome.Found<MirrorVisit, Judged> found) {
    return found.finding().advice().stream().map(MirrorsWork::step).toList();
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
                (Integer) advice.why().orElseThrow().arguments().getFirst(),
                (TurnDirection) of.get(1)),
            Text.of("mirrors.step.exact", (Amount) of.get(2), (Amount) of.get(3)))
        .about(advice.what().key());
  }

  /** Below a mirror that folds down, what was up is further from the tube. */
  private Message up() {
    return Message.of(train.foldsDown() ? "mirrors.away" : "mirrors.up");
  }

  /** A row a screw: how far it was turned on trial, and how far the mark moved. */
  private Part[] trialParts() {
    List<Message> tapes =
        IntStream.rangeClosed(1, train.mirrors())
            .mapToObj(
                mirror -> Message.of("mirrors.trial.tape", mirror, legs.furthestAfter(mirror)))
            .toList();
    return new Part[] {
      Part.hint("mirrors.trial.hint", Message.list(tapes)),
      new Part.Table(
          List.of(
              Message.of("mirrors.trial.screw"),
              Message.of("mirrors.trial.turned"),
              Message.of("mirrors.right"),
              up()),
          screws.stream().map(s -> new Part.TableRow(s.name(), s.fields().toList())).toList())
    };
  }

  @Override
  public void draw(Canvas on) {
    new MarksPicture(this, on.width(), on.height()).draw(on);
  }

  @Override
  public boolean hasPaperPicture() {
    return found().flatMap(f -> f.finding().alignment()).isPresent();
  }

  @Override
  public Message whyRead() {
    return Message.of("mirrors.why-read");
  }

  /** The first thing of a visit, before any mirror is touched. */
  @Override
  public List<Step> firstSteps() {
    return leastPulse.isEmpty()
        ? List.of(Step.of(Message.of("mirrors.do.pulse"), Message.of("mirrors.do.pulse.how")))
        : List.of();
  }

  @Override
  public Message caution() {
    return Message.of("mirrors.caution");
  }

  /** Each mark is a pulse into an open path. */
  @Override
  public boolean asksToday(GuardLine line) {
    return true;
  }

  @Override
  public EntryKind kindOf(EntryKind usual) {
    return way.get() == MirrorsWay.QUICK ? EntryKind.CHECK : usual;
  }

  @Override
  public Optional<Practice<?, MirrorVisit, Judged>> practice() {
    return Optional.of(new MirrorPractice(this));
  }

  @Override
  public List<FigureTile> tiles(Outcome.Found<MirrorVisit, Judged> found) {
    return MirrorSummary.tiles(found, tolerance.value());
  }

  @Override
  public List<Message> summary(Outcome.Found<MirrorVisit, Judged> found) {
    return MirrorSummary.of(found.finding());
  }

  /** What was burnt before the screws were turned last is compared with what is burnt now. */
  @Override
  public void recordChanged(List<Entry> entries) {
    context()
        .ifPresent(c ->
            setBefore(
                entries.stream()
                    .skip(Math.max(0, entries.size() - 1))
                    .filter(e -> e.verdict() == Verdict.ADJUST && !c.recorder().correcting())
                    .filter(e -> Ledger.ofVisit(e, c.workshop().clock().instant()))
                    .findFirst()
                    .flatMap(this::taughtBy)));
  }

  /** From what was typed then; nothing of a damaged or newer entry. */
  private Optional<MirrorReadings> taughtBy(Entry entry) {
    MirrorsWork earlier = new MirrorsWork(machine, DisplayUnits.METRIC);
    earlier.form().type(KeptReadings.typed(entry.readings()).orElse(Map.of()));
    return earlier.found().flatMap(f -> f.readings().taught());
  }
}
