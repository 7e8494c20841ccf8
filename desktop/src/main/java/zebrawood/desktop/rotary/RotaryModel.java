package zebrawood.desktop.rotary;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectWrapper;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Proofs;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.AtMachine;
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Section;
import zebrawood.desktop.station.Solver;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.ledger.EventKind;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.kept.KeptReadings;
import zebrawood.records.picture.Canvas;
import zebrawood.rotary.Crown;
import zebrawood.rotary.PutIn;
import zebrawood.rotary.Rotary;
import zebrawood.rotary.RotaryFinding;
import zebrawood.rotary.RotaryReadings;
import zebrawood.rotary.RotaryReadings.Kind;
import zebrawood.rotary.RotaryReadings.Length;
import zebrawood.rotary.RotaryReadings.Taper;
import zebrawood.rotary.RotaryReadings.Turn;
import zebrawood.rotary.RotaryStation;
import zebrawood.rotary.School;
import zebrawood.rotary.Seating.Axis;
import zebrawood.rotary.Seating.Gaps;
import zebrawood.rotary.TakenOut;
import zebrawood.words.Message;

/** The rotary of one machine, and the work in it. */
public final class RotaryModel extends StationModel<RotaryReadings, RotaryFinding> {
  public static final StationDefinition DEFINITION =
      StationDefinition.opened(RotaryStation.STATION, RotaryModel::new)
          .with(Solver.of("rotary", RotaryReadings.class, Rotary::solve, Set.of("setStepsPerMm")));

  private static final Quantity MM = Quantity.LENGTH;
  private static final double MOST = 10_000;
  private static final double MOST_STEPS = 1e8;
  private static final double USUAL_READ = 0.5;

  private final ChoiceField<Kind> kind = form().choice("kind", Kind.class, Kind.CHUCK);
  private final QuantityField steps = positive("stepsPerTurn", Quantity.NUMBER, MOST_STEPS);
  private final QuantityField roller = positive("rollerDiameter", MM, MOST);
  private final QuantityField diameter = positive("reading.diameter", MM, MOST);
  private final QuantityField unsure = form().quantity("diameterError", MM, 0, MOST);
  private final QuantityField set = positive("reading.set", Quantity.NUMBER, MOST_STEPS);
  private final QuantityField round = positive("reading.round", MM, MOST);
  private final QuantityField along = positive("reading.along", MM, MOST);
  private final QuantityField depth = positive("depth", MM, MOST);
  private final QuantityField tolerance = positive("tolerance", MM, MOST);
  private final QuantityField readTo = form().quantity("readTo", MM, 0, MOST);
  private final QuantityField turnSent = positive("reading.turnSent", MM, MOST);
  private final QuantityField closesBy = form().quantity("reading.closesBy", MM, -MOST, MOST);
  private final QuantityField lengthSent = positive("reading.lengthSent", MM, MOST);
  private final QuantityField measured = positive("reading.measured", MM, MOST);
  private final QuantityField large = positive("reading.large", MM, MOST);
  private final QuantityField small = positive("reading.small", MM, MOST);
  private final QuantityField over = positive("reading.over", MM, MOST);
  private final Proofs<PutIn> putIn = form().proofs(List.of(PutIn.values()));
  private final Proofs<TakenOut> takenOut = form().proofs(List.of(TakenOut.values()));
  private final ReadOnlyObjectWrapper<Message> left = new ReadOnlyObjectWrapper<>(Message.NONE);
  private final ChoiceField<School> school = form().choice("school", School.class, School.STEPS);
  private final QuantityField typed = positive("reading.typed", MM, MOST);
  private final QuantityField rollersApart = positive("rollersApart", MM, MOST);
  private final SeatSection seat = new SeatSection(form(), this::crownRise);
  private final RotaryPractice practice = new RotaryPractice(this);
  private final AtMachine at;

  public RotaryModel(AtMachine at) {
    super(new StationForm("rotary", at.units()), RotaryStation.VISIT);
    this.at = at;
    unsure.set(0.05);
    readTo.set(USUAL_READ);
    tolerance.set(0.5);
    startSolving();
  }

  private QuantityField positive(String name, Quantity quantity, double most) {
    return form().positive(name, quantity, most);
  }

  @Override
  protected Stream<Field> used() {
    return Stream.concat(
            needed(), Stream.of(set, typed, rollersApart, unsure, readTo, turnSent, closesBy))
        .distinct()
        .map(f -> f);
  }

  @Override
  protected Stream<Field> needed() {
    Stream<Field> always = Stream.of(steps, diameter, round, along, depth, tolerance, unsure);
    Stream<Field> rollers = kind.get() == Kind.ROLLERS ? Stream.of(roller) : Stream.of();
    return Stream.of(
            always,
            rollers,
            begun(turnSent, closesBy),
            begun(lengthSent, measured),
            begun(large, small, over),
            marked() ? Stream.of(byDiameter() ? typed : set, readTo) : Stream.<Field>of())
        .flatMap(f -> f);
  }

  /** All of them, where one is typed. */
  private static Stream<Field> begun(QuantityField... fields) {
    return Stream.of(fields).anyMatch(f -> !f.isEmpty()) ? Stream.of(fields) : Stream.of();
  }

  private boolean marked() {
    return Stream.of(turnSent, closesBy, lengthSent, measured).anyMatch(f -> !f.isEmpty());
  }

  @Override
  protected RotaryReadings readings() {
    return new RotaryReadings(
        kind.get(),
        steps.number(),
        kind.get() == Kind.ROLLERS ? roller.value() : OptionalDouble.empty(),
        diameter.number(),
        unsure.number(),
        byDiameter() ? setByDiameter() : set.value(),
        List.of(round.number(), along.number()),
        depth.number(),
        tolerance.number(),
        turnSent.isEmpty()
            ? Optional.empty()
            : Optional.of(new Turn(turnSent.number(), closesBy.number(), readTo.number())),
        lengthSent.isEmpty()
            ? Optional.empty()
            : Optional.of(new Length(lengthSent.number(), measured.number(), readTo.number())),
        large.isEmpty()
            ? Optional.empty()
            : Optional.of(new Taper(large.number(), small.number(), over.number())),
        seat.read(),
        Optional.of(school.get()));
  }

  private boolean byDiameter() {
    return school.get() == School.DIAMETER;
  }

  /** The job software turns a diameter into steps a millimetre, with the steps a turn it knows. */
  private OptionalDouble setByDiameter() {
    return typed.value().isPresent()
        ? OptionalDouble.of(steps.number() / (Math.PI * typed.number()))
        : OptionalDouble.empty();
  }

  /** Against the work that was last read in this rotary, whatever work it was. */
  private OptionalDouble crownRise() {
    OptionalDouble before =
        context()
            .map(c -> c.workshop().opened().ledger())
            .orElse(at.ledger())
            .entriesAt(RotaryStation.STATION)
            .reversed()
            .stream()
            .flatMap(e -> KeptReadings.read(e, RotaryReadings.class).stream())
            .filter(r -> r.kind() == kind.get())
            .mapToDouble(RotaryReadings::workDiameterMm)
            .findFirst();
    return before.isEmpty() || diameter.value().isEmpty()
        ? OptionalDouble.empty()
        : Crown.riseMm(
            kind.get(),
            roller.value(),
            rollersApart.value(),
            before.getAsDouble(),
            diameter.number());
  }

  @Override
  protected List<Section<?, ?>> sections() {
    return List.of(seat);
  }

  @Override
  public List<Part> parts() {
    return List.of(
        Part.fold(
            "rotary.put-in",
            Part.rows(putIn.fields()),
            new Part.Press("rotary-is-in", Message.of("rotary.is-in"), this::isIn)),
        Part.heading("sheet.readings", "sheet.keys"),
        Part.rows(kind),
        Part.rows(steps),
        Part.rows(roller, rollersApart),
        Part.rows(diameter),
        Part.rows(school),
        Part.rows(set, typed, round, along, depth, tolerance),
        Part.heading("rotary.once-round", "rotary.once-round.why"),
        Part.rows(turnSent, closesBy),
        Part.heading("rotary.by-length", "rotary.by-length.why"),
        Part.rows(lengthSent, measured),
        new Part.ReadingStatus(),
        new Part.PracticeEntry(),
        seat.part(),
        Part.fold("rotary.cone", Part.rows(large, small, over)),
        Part.fold("rotary.how-well", Part.rows(unsure, readTo)),
        Part.fold(
            "rotary.take-out",
            Part.hint("rotary.take-out.hint"),
            Part.rows(takenOut.fields()),
            new Part.Press("rotary-is-out", Message.of("rotary.is-out"), this::isOut),
            new Part.LiveText(left)));
  }

  private void isIn() {
    context().ifPresent(c -> c.host().askEvent(EventKind.ROTARY_IN));
  }

  /** It is out once all of it is undone: what is not is named. */
  private void isOut() {
    List<Message> open =
        takenOut.fields().stream()
            .filter(f -> f.so().filter(so -> so).isEmpty())
            .map(Field::label)
            .toList();
    left.set(
        open.isEmpty() ? Message.NONE : Message.of("rotary.still-to-undo", Message.list(open)));
    if (open.isEmpty()) {
      context().ifPresent(c -> c.host().askEvent(EventKind.ROTARY_OUT));
    }
  }

  @Override
  public void draw(Canvas on) {
    new RotaryPicture(on).draw(solved());
  }

  @Override
  public List<FigureTile> tiles(Outcome.Solved<RotaryReadings, RotaryFinding> solved) {
    List<FigureTile> tiles = new ArrayList<>(tiles(solved, known("stepsPerMm"), known("factor")));
    RotaryFinding f = solved.finding();
    tiles.add(FigureTile.of(Message.of("rotary.tile.joint"), Amount.mm(f.seamMm(), 2)));
    tiles.add(FigureTile.of(Message.of("rotary.tile.strip"), Amount.mm(f.stripMm(), 0)));
    return tiles;
  }

  @Override
  protected boolean burns() {
    return true;
  }

  @Override
  public Optional<Practice<?, ?, RotaryReadings, RotaryFinding>> practice() {
    return Optional.of(practice);
  }

  /** What the practice needs beside its readings. */
  void asThere(Kind there, double plateSteps, double rollerMm) {
    kind.set(there);
    steps.set(plateSteps);
    roller.set(rollerMm);
    depth.set(2);
    tolerance.set(USUAL_READ);
  }

  void read(double diameterMm, double setNow) {
    diameter.set(diameterMm);
    set.set(setNow);
    round.set(100);
    along.set(50);
    turnSent.set(Math.PI * diameterMm);
    lengthSent.set(100);
  }

  void lies(Axis axis, Gaps gaps) {
    seat.read(axis, gaps);
  }

  void tapers(double largeMm, double smallMm, double overMm) {
    large.set(largeMm);
    small.set(smallMm);
    over.set(overMm);
  }

  void burnt(double closesByMm, double measuredMm) {
    closesBy.set(closesByMm);
    measured.set(measuredMm);
  }

  double onceRoundMm() {
    return turnSent.number();
  }
}
