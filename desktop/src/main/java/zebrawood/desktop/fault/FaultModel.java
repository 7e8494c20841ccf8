package zebrawood.desktop.fault;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.Proofs;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.AtMachine;
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Section;
import zebrawood.desktop.station.SheetContext;
import zebrawood.desktop.station.Solver;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.desktop.station.Step;
import zebrawood.fault.BeamEnters;
import zebrawood.fault.Cause;
import zebrawood.fault.CauseTest;
import zebrawood.fault.DeadCheck;
import zebrawood.fault.Fault;
import zebrawood.fault.FaultFinding;
import zebrawood.fault.FaultFinding.NextTest;
import zebrawood.fault.FaultFinding.Weighed;
import zebrawood.fault.FaultReadings;
import zebrawood.fault.FaultReadings.Answer;
import zebrawood.fault.FaultReadings.Scored;
import zebrawood.fault.FaultStation;
import zebrawood.fault.FaultVisit;
import zebrawood.fault.FaultVisitFinding;
import zebrawood.fault.FaultVisitReadings;
import zebrawood.fault.Fitted;
import zebrawood.fault.Seen;
import zebrawood.ledger.Entry;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.records.kept.KeptReadings;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/** A case at one machine, from the first sign to the proof. */
public final class FaultModel extends StationModel<FaultVisitReadings, FaultVisitFinding> {
  public static final StationDefinition DEFINITION =
      StationDefinition.opened(FaultStation.STATION, FaultModel::new)
          .with(Solver.of("fault", FaultReadings.class, Fault::solve));

  private static final int MOST_INSTEAD = 3;

  private final Machine machine;
  private final RecordPriors record;
  private final ChoiceField<Seen> seen =
      form().choice("reading.seen", Seen.class, Seen.SOMETHING_ELSE);
  private final WordsField note = form().plainWords("reading.note");
  private final ChoiceField<Enters> enters = form().choice("enters", Enters.class, Enters.NOT_SAID);
  private final ChoiceField<Meter> meter = form().choice("meter", Meter.class, Meter.NOT_SAID);
  private final SquaresSection squares = new SquaresSection(form());
  private final Map<CauseTest, TestProof> tests = new LinkedHashMap<>();
  private final Earlier earlier = new Earlier(form());
  private final WordsField mended = form().words("reading.mended", FaultModel::cause);
  private final Proofs<BurntAgain> again = form().proofs(List.of(BurntAgain.values()));
  private final Proofs<DeadCheck> dead;
  private final BooleanProperty alive = new SimpleBooleanProperty(true);
  private final BooleanProperty uneven = new SimpleBooleanProperty(false);
  private final BooleanProperty nothingHappens = new SimpleBooleanProperty(false);
  private boolean skippedNow;
  private final CasePractice practice = new CasePractice(this);

  private final ReadOnlyObjectWrapper<CaseLayout> layout =
      new ReadOnlyObjectWrapper<>(
          new CaseLayout(
              false, Optional.empty(), List.of(), List.of(), List.of(), Optional.empty()));

  private final ReadOnlyObjectWrapper<Message> untouched =
      new ReadOnlyObjectWrapper<>(Message.NONE);

  private final ReadOnlyObjectWrapper<Message> recordWords =
      new ReadOnlyObjectWrapper<>(Message.NONE);

  public FaultModel(AtMachine at) {
    super(new StationForm("fault", at.units()), FaultVisit.VISIT);
    machine = at.machine();
    record = new RecordPriors(at.ledger(), at.stations(), at.clock().instant());
    for (CauseTest test : CauseTest.values()) {
      tests.put(test, TestProof.make(form(), test));
    }
    dead = form().proofs(DeadCheck.of(machine));
    seen.valueProperty()
        .subscribe(now -> {
          alive.set(now != Seen.DEAD);
          nothingHappens.set(now == Seen.DEAD);
          uneven.set(now == Seen.UNEVEN);
        });
    startSolving();
    outcomeProperty().subscribe(now -> lay());
  }

  private static Cause cause(String words) {
    return Stream.of(Cause.values())
        .filter(c -> spelled(c).equals(words.strip()))
        .findFirst()
        .orElseThrow(() ->
            UnusableReading.of(
                "mended", Message.quoted(words.strip()), Message.of("fault.accepts.cause")));
  }

  static String spelled(Cause cause) {
    return cause.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  Optional<Cause> mended() {
    return mended.isEmpty() ? Optional.empty() : Optional.of(cause(mended.text()));
  }

  List<Fitted> fitted() {
    List<Fitted> fitted = new ArrayList<>();
    if (machine.build() == Build.GANTRY_WITH_MIRRORS) {
      fitted.add(Fitted.MIRRORS);
    }
    if (machine.cooledByWater()) {
      fitted.add(Fitted.COOLANT);
    }
    if (meter.get() == Meter.FITTED) {
      fitted.add(Fitted.METER);
    }
    if (machine.build().headTravels()) {
      fitted.add(Fitted.HONEYCOMB);
      fitted.add(Fitted.GANTRY);
    }
    return fitted;
  }

  void skip(CauseTest test) {
    skippedNow = true;
    earlier.skip(test);
  }

  void openStation(String station) {
    context().ifPresent(c -> c.host().open(station));
  }

  double wideMm() {
    return machine.areaXMm();
  }

  double deepMm() {
    return machine.areaYMm();
  }

  Optional<BeamEnters> beamEnters() {
    return enters.get().corner();
  }

  Seen seen() {
    return seen.get();
  }

  /** Types what is seen, and how squares came out. */
  void see(Seen what, List<Scored> graded) {
    seen.set(what);
    squares.type(graded);
  }

  /** Types what a test showed. */
  void answer(CauseTest test, zebrawood.fault.Outcome outcome) {
    tests.get(test).answer(outcome);
  }

  void mend(Cause cause) {
    mended.set(spelled(cause));
  }

  void burnAgain(boolean good) {
    again.of(BurntAgain.SAME_PIECE_GOOD).set(good);
  }

  @Override
  public Optional<Practice<?, ?, FaultVisitReadings, FaultVisitFinding>> practice() {
    return Optional.of(practice);
  }

  private boolean offered(CauseTest test) {
    List<Fitted> has = fitted();
    return Stream.of(Fitted.values()).noneMatch(f -> !has.contains(f) && f.tests().contains(test));
  }

  private Stream<TestProof> offered() {
    return tests.values().stream().filter(t -> offered(t.test()));
  }

  /** A case that is open goes on where it was left. */
  @Override
  protected void recordChanged(List<Entry> entries) {
    context()
        .map(SheetContext::workshop)
        .ifPresent(w -> record.lookAt(w.opened().ledger(), w.stations(), w.clock().instant()));
    if (!entries.isEmpty()
        && entries.getLast().verdict() != Verdict.WITHIN
        && form().nothingRead()) {
      KeptReadings.typed(entries.getLast()).ifPresent(form()::type);
    }
  }

  @Override
  protected void shownIn(SheetContext sheet) {
    sheet
        .workshop()
        .everywhere(
            FaultStation.STATION,
            cases -> {
              record.learnFrom(cases);
              solveAgain();
            });
  }

  @Override
  protected List<Section<?, ?>> sections() {
    return List.of(squares);
  }

  @Override
  protected Stream<Field> used() {
    return Stream.concat(Stream.of(mended), earlier.fields());
  }

  @Override
  protected Optional<Message> waitsFor() {
    return offered()
        .filter(t -> t.asksMore() && t.answer().isEmpty())
        .findFirst()
        .flatMap(TestProof::second)
        .map(Field::label);
  }

  @Override
  protected FaultVisitReadings readings() {
    List<Answer> answers =
        Stream.concat(
                earlier.answers().stream().filter(a -> offered(a.test())),
                offered().flatMap(t -> t.answer().stream()))
            .toList();
    boolean nothing = seen.get() == Seen.DEAD;
    FaultVisitReadings readings =
        new FaultVisitReadings(
            seen.get(),
            note.isEmpty() ? Optional.empty() : Optional.of(note.text().strip()),
            squares.read().map(s -> s.places(machine.areaXMm(), machine.areaYMm())),
            List.of(machine.areaXMm(), machine.areaYMm()),
            enters.get().corner(),
            answers,
            record.of(seen.get(), fitted()),
            fitted(),
            mended(),
            nothing || mended().isPresent()
                ? again.of(BurntAgain.SAME_PIECE_GOOD).so()
                : Optional.empty(),
            DeadCheck.of(machine),
            nothing ? dead.answers() : List.of());
    recordWords.set(RecordPriors.said(readings.priors()));
    untouched.set(record.untouched());
    return readings;
  }

  @Override
  public List<Part> parts() {
    return List.of(
        Part.heading("fault.known", "fault.keys"),
        Part.rows(seen),
        Part.rows(note),
        new Part.ShownWhile(alive, List.of(new Part.OpenWhile(uneven, squares.fold()))),
        new Part.ShownWhile(
            nothingHappens,
            List.of(Part.heading("fault.dead", "fault.dead.order"), Part.rows(dead.fields()))),
        new Part.Redrawn(layout, () -> new CaseParts(this).of(layout.get())),
        new Part.ReadingStatus(),
        new Part.ShownWhile(
            alive,
            List.of(
                Part.fold("fault.machine", new Part.LabelledChoices(List.of(enters, meter))),
                new Part.LiveText(untouched),
                Part.fold("fault.record", new Part.LiveText(recordWords)))),
        Part.rows(again.fields()),
        new Part.PracticeEntry());
  }

  private void lay() {
    Optional<FaultFinding> found = solved().flatMap(s -> s.finding().found());
    if (solved().isEmpty()) {
      return;
    }
    List<CauseTest> answered =
        offered().filter(t -> !t.first().isEmpty()).map(TestProof::test).toList();
    List<CauseTest> open =
        found.stream()
            .flatMap(f -> f.tests().stream())
            .map(NextTest::test)
            .filter(t -> !answered.contains(t))
            .toList();
    boolean sure = found.filter(f -> f.next().value().isEmpty()).isPresent();
    Optional<CauseTest> next =
        sure ? Optional.empty() : open.stream().filter(t -> !earlier.skipped(t)).findFirst();
    CaseLayout now =
        new CaseLayout(
            seen.get() == Seen.DEAD,
            next,
            answered,
            open.stream().filter(t -> !next.equals(Optional.of(t))).toList(),
            found.stream().flatMap(f -> f.causes().stream()).limit(3).map(Weighed::id).toList(),
            mended());
    if (!now.equals(layout.get())) {
      boolean moved = skippedNow || !now.answered().equals(layout.get().answered());
      layout.set(now);
      if (moved) {
        // What was answered stands elsewhere now: the next test comes under the hand.
        next.ifPresent(test ->
            context()
                .ifPresent(c ->
                    // Behind the key that answered, which goes on from where it was.
                    c.workshop().ui().execute(() -> c.focus(tests.get(test).first()))));
      }
    }
    skippedNow = false;
  }

  List<ProofField> fields(CauseTest test) {
    TestProof proof = tests.get(test);
    return proof.asksMore()
        ? List.of(proof.first(), proof.second().orElseThrow())
        : List.of(proof.first());
  }

  /** All answers stay, and every test can be made once more. */
  void onceMore() {
    form()
        .allAtOnce(() -> {
          offered()
              .forEach(t ->
                  t.answer()
                      .ifPresent(a -> {
                        earlier.add(a);
                        t.clear();
                      }));
        });
  }

  @Override
  public void draw(Canvas on) {
    new CausesPicture(on)
        .draw(solved().map(Outcome.Solved::finding), squares.scores(), squares::press);
  }

  /** What is to be done, and below it the tests that tell next to most. */
  @Override
  public List<Step> steps(Outcome.Solved<FaultVisitReadings, FaultVisitFinding> solved) {
    List<Step> steps = new ArrayList<>(super.steps(solved));
    CaseLayout now = layout.get();
    boolean testing =
        solved.finding().found().filter(f -> f.next().value().isPresent()).isPresent();
    if (testing && !solved.finding().closed()) {
      now.next()
          .filter(t -> earlier.skippedAny())
          .ifPresent(t -> steps.addFirst(Step.of(Message.of(Message.keyOf(t) + ".how"))));
      now.rest().stream()
          .filter(t -> !earlier.skipped(t))
          .limit(MOST_INSTEAD)
          .forEach(t -> steps.add(Step.of(Message.of("fault.or", t, t.minutes()))));
    }
    return steps;
  }

  @Override
  public List<FigureTile> tiles(Outcome.Solved<FaultVisitReadings, FaultVisitFinding> solved) {
    return CaseTiles.of(solved.readings(), solved.finding());
  }

  @Override
  public Optional<Message> primaryWords(Outcome<FaultVisitReadings, FaultVisitFinding> outcome) {
    return Optional.of(
        Message.of(
            outcome.solved().filter(s -> s.finding().closed()).isPresent()
                ? "fault.close"
                : "fault.keep-open"));
  }

  /** An open case is not left: it is kept open. */
  @Override
  public boolean canBeLeft(Outcome.Solved<FaultVisitReadings, FaultVisitFinding> solved) {
    return false;
  }
}
