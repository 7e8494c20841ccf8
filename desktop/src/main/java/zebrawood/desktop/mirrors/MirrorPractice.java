package zebrawood.desktop.mirrors;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Practice.Deed;
import zebrawood.desktop.text.Text;
import zebrawood.devices.mirrors.StandInTrain;
import zebrawood.devices.mirrors.StandInTrain.Kind;
import zebrawood.devices.mirrors.StandInTrain.Knob;
import zebrawood.devices.mirrors.StandInTrain.Spot;
import zebrawood.devices.whole.Trait;
import zebrawood.devices.whole.WholeMachine;
import zebrawood.machine.Train.GantryEnd;
import zebrawood.machine.Train.TravelEnd;
import zebrawood.mirrors.MirrorFinding;
import zebrawood.mirrors.MirrorFinding.Turn;
import zebrawood.mirrors.MirrorVisitFinding;
import zebrawood.mirrors.MirrorVisitReadings;
import zebrawood.mirrors.MirrorVisitReadings.ScrewsBy;
import zebrawood.mirrors.MountScrew;
import zebrawood.mirrors.Suspicion;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** Practice on a simulated train with hidden angles and offsets. */
final class MirrorPractice
    extends Practice<MirrorsModel, StandInTrain, MirrorVisitReadings, MirrorVisitFinding> {
  /** What is hidden in the train beside its angles. */
  enum Task {
    SOUND(Kind.SOUND),
    TWISTED_RAIL(Kind.TWISTED_RAIL),
    UNSQUARE_GANTRY(Kind.UNSQUARE_GANTRY),
    LOOSE_MOUNT(Kind.LOOSE_MOUNT);

    private final Kind kind;

    Task(Kind kind) {
      this.kind = kind;
    }
  }

  private static final double ERROR_MRAD = 8;
  private static final double OFFSET_MM = 3;
  private static final double LEAST_WANDER_MM = 8.5;
  private static final double MINUTES = 60;
  private static final double QUARTER = 0.25;
  private static final double USUAL_STEP_MM = 0.5;

  private final ChoiceField<Task> task;
  private Message told = Message.NONE;
  private int burns;

  MirrorPractice(MirrorsModel model) {
    super(model);
    // Of a form of its own: what is practised is not kept.
    task = new StationForm("mirrors", model.form().units()).choice("task", Task.class, Task.SOUND);
  }

  ChoiceField<Task> task() {
    return task;
  }

  @Override
  public boolean offered() {
    return model.train.mirrors() == StandInTrain.MIRRORS;
  }

  @Override
  public List<Part> choices() {
    return List.of(Part.rows(task));
  }

  @Override
  protected void prepare() {
    model
        .form()
        .allAtOnce(() -> {
          model.leastPulse.set(Text.of("mirrors.practice.pulse"));
          model.way.set(MirrorsWay.FULL);
          model.legs.railAt().set(TravelEnd.REAR);
          model.legs.lastAt().set(GantryEnd.LEFT);
          model.screws.by().set(ScrewsBy.TRIAL);
          for (TrialFields screw : model.screws.all()) {
            screw.turned().set(QUARTER);
            screw.moved().right().textProperty().set("");
            screw.moved().up().textProperty().set("");
          }
        });
    model.setBefore(Optional.empty());
    burns = 0;
    told = Message.NONE;
  }

  @Override
  protected Optional<StandInTrain> partOf(WholeMachine whole) {
    return Optional.of(
        StandInTrain.leaning(whole.truth(Trait.MIRROR_1), whole.truth(Trait.MIRROR_2), 1));
  }

  @Override
  protected Optional<zebrawood.devices.whole.Deed> readBy() {
    return Optional.of(zebrawood.devices.whole.Deed.READ_MIRRORS);
  }

  /** Sideways, with its sign: which way a mirror leans does not matter to what it costs. */
  @Override
  protected Map<Trait, Double> inTheWhole(StandInTrain part) {
    return Map.of(Trait.MIRROR_1, signed(part, 1), Trait.MIRROR_2, signed(part, 2));
  }

  private static double signed(StandInTrain train, int mirror) {
    double[] mrad = train.trueErrorMrad(mirror);
    return Math.copySign(Math.hypot(mrad[0], mrad[1]), mrad[0]);
  }

  /** The first train from this number on that is far enough out to be worth practising. */
  @Override
  protected StandInTrain make(long number) {
    double[][] corners = corners();
    long next = number;
    while (true) {
      StandInTrain train =
          StandInTrain.withUnknownScrews(task.get().kind, ERROR_MRAD, OFFSET_MM, next);
      if (train.trueWanderMm(corners) > LEAST_WANDER_MM) {
        return train;
      }
      next++;
    }
  }

  private double step() {
    return model.resolution.value().orElse(USUAL_STEP_MM);
  }

  /** Burns every mark and reads it to what is said of the tape. */
  @Override
  protected void read(StandInTrain on) {
    for (Map.Entry<MarkPlace, MarkFields> mark : model.marks.entrySet()) {
      burn(on, mark.getKey(), mark.getValue());
    }
  }

  private void burn(StandInTrain on, MarkPlace place, MarkFields into) {
    Spot spot = spot(on, place);
    into.set(spot.rightMm(), spot.upMm());
  }

  private Spot spot(StandInTrain on, MarkPlace place) {
    burns++;
    double[] from = model.legs.pathsMm(place);
    return place.head()
        ? on.readAtHead(from[0], from[1], step())
        : on.readAtMirror2(from[0], step());
  }

  /** Does what the advice says first, as a hand does it. */
  @Override
  protected void obey(
      StandInTrain on, Outcome.Solved<MirrorVisitReadings, MirrorVisitFinding> solved) {
    told = Message.NONE;
    Optional<MirrorFinding> alignment = solved.finding().alignment();
    if (alignment.isEmpty()) {
      model.way.set(MirrorsWay.FULL);
    } else if (alignment.get().suspicion().isPresent()) {
      lookInto(on, alignment.get().suspicion().get());
    } else if (!solved.finding().untried().isEmpty()) {
      model.screws.all().stream()
          .filter(
              s -> solved.finding().untried().contains(new MountScrew(s.mirror(), s.sideways())))
          .forEach(s -> attempt(on, s));
    } else {
      turn(on, alignment.get());
      model.setBefore(solved.readings().taught());
      model.form().clearReadings();
    }
  }

  /** What is suspected is looked at and mended, or one mark is burnt again. */
  private void lookInto(StandInTrain on, Suspicion suspicion) {
    Optional<Kind> named =
        switch (suspicion.kind()) {
          case TWISTED_RAIL -> Optional.of(Kind.TWISTED_RAIL);
          case UNSQUARE_GANTRY -> Optional.of(Kind.UNSQUARE_GANTRY);
          case LOOSE_MOUNT -> Optional.of(Kind.LOOSE_MOUNT);
          case ONE_MARK, NOT_NAMED -> Optional.empty();
        };
    if (named.isPresent() && named.get() == on.kind()) {
      on.mend();
      told = Message.of("mirrors.practice.mended");
      model.setBefore(Optional.empty());
      model.form().clearReadings();
    } else {
      told = Message.of(named.isPresent() ? "mirrors.practice.not-it" : "mirrors.practice.again");
      burn(on, model.again.get(), model.againMark);
    }
  }

  /** A quarter turn, the furthest mark again, and back. */
  private void attempt(StandInTrain on, TrialFields screw) {
    MarkPlace place = model.legs.furthestAfter(screw.mirror());
    MarkFields was = model.marks.get(place);
    Knob knob = knob(screw);
    double turns = screw.turned().number();
    on.turn(knob, turns);
    Spot is = spot(on, place);
    on.turn(knob, -turns);
    screw
        .moved()
        .set(
            decimals(is.rightMm() - was.right().number()), decimals(is.upMm() - was.up().number()));
  }

  /** Without what is left of a difference of decimals. */
  private static double decimals(double mm) {
    return Math.round(mm * 1e6) / 1e6;
  }

  private static Knob knob(TrialFields screw) {
    return Knob.values()[2 * (screw.mirror() - 1) + (screw.sideways() ? 0 : 1)];
  }

  private void turn(StandInTrain on, MirrorFinding alignment) {
    for (TrialFields screw : model.screws.all()) {
      MirrorFinding.Mirror mirror = alignment.mirrors().get(String.valueOf(screw.mirror()));
      Turn turn = screw.sideways() ? mirror.sideways() : mirror.upDown();
      on.turn(knob(screw), turn.clockMinutes() / MINUTES);
    }
  }

  @Override
  protected Message told() {
    return told;
  }

  private double[][] corners() {
    return model.marks.keySet().stream()
        .filter(MarkPlace::head)
        .map(model.legs::pathsMm)
        .toArray(double[][]::new);
  }

  @Override
  protected Message stands(StandInTrain on) {
    return Message.of(
        "mirrors.practice.stands",
        Amount.of(on.trueWanderMm(corners()), Quantity.LENGTH, 2),
        burns);
  }

  /** All marks as found, one more for each screw that was never tried, and all that prove it. */
  @Override
  protected Message best(StandInTrain on) {
    return Message.of(
        "mirrors.practice.stands",
        Amount.of(on.leastWanderMm(corners()), Quantity.LENGTH, 2),
        2 * model.marks.size() + model.screws.all().size());
  }

  @Override
  protected List<Deed<StandInTrain>> deeds() {
    Stream<Deed<StandInTrain>> turns =
        model.screws.all().stream()
            .map(s ->
                Deed.by(
                    Message.of(
                        "mirrors.practice.turn", new MountScrew(s.mirror(), s.sideways()).said()),
                    (on, amount) -> on.turn(knob(s), amount)));
    Stream<Deed<StandInTrain>> looks =
        Stream.of(Task.values())
            .filter(t -> t != Task.SOUND)
            .map(t ->
                Deed.of(
                    Message.of(
                        "mirrors.practice.mend."
                            + t.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-')),
                    on -> {
                      boolean was = on.kind() == t.kind;
                      told =
                          Message.of(
                              was ? "mirrors.practice.mended" : "mirrors.practice.not-there");
                      if (was) {
                        on.mend();
                        model.setBefore(Optional.empty());
                      }
                    }));
    return Stream.concat(turns, looks).toList();
  }
}
