package zebrawood.desktop.mirrors;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.SimpleObjectProperty;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.mirrors.MirrorModel.ScrewFields;
import zebrawood.desktop.sheet.Practice;
import zebrawood.desktop.text.Text;
import zebrawood.devices.mirrors.StandInTrain;
import zebrawood.devices.mirrors.StandInTrain.Kind;
import zebrawood.devices.mirrors.StandInTrain.Knob;
import zebrawood.devices.mirrors.StandInTrain.Spot;
import zebrawood.measure.Verdict;
import zebrawood.mirrors.MirrorFinding;
import zebrawood.mirrors.MirrorFinding.Turn;
import zebrawood.mirrors.MirrorVisit.ScrewsBy;
import zebrawood.mirrors.MountScrew;
import zebrawood.mirrors.Suspicion;

/** Practice on a simulated train with hidden angles and offsets. Nothing of it is recorded. */
final class MirrorPractice implements Practice {
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

  /** Six marks as found, one more for each of four screws, and six that prove it. */
  private static final int BEST_BURNS = 16;

  private final MirrorModel model;
  private final Clock clock;
  private final ObjectProperty<Task> task = new SimpleObjectProperty<>(Task.SOUND);
  private final ReadOnlyIntegerWrapper rounds = new ReadOnlyIntegerWrapper(-1);
  private Optional<StandInTrain> train = Optional.empty();
  private String told = "";
  private int burns;

  MirrorPractice(MirrorModel model, Clock clock) {
    this.model = model;
    this.clock = clock;
  }

  @Override
  public ReadOnlyIntegerProperty roundsProperty() {
    return rounds.getReadOnlyProperty();
  }

  ObjectProperty<Task> taskProperty() {
    return task;
  }

  void start() {
    start(new Random(clock.millis()).nextLong());
  }

  void start(long number) {
    train = Optional.of(amiss(number));
    model.clearReadings();
    model.leastPulse().textProperty().set(Text.of("mirrors.practice.pulse"));
    model.schoolProperty().set(MirrorModel.School.FULL);
    model.mirrorOneAtProperty().set(MirrorOneAt.REAR);
    model.screwsByProperty().set(ScrewsBy.TRIAL);
    model.setBefore(Optional.empty());
    for (ScrewFields screw : model.screws()) {
      screw.trial().get(0).set(0.25);
      screw.trial().get(1).textProperty().set("");
      screw.trial().get(2).textProperty().set("");
    }
    burns = 0;
    told = "";
    rounds.set(0);
  }

  /** The first train from this number on that is far enough out to be worth practising. */
  private StandInTrain amiss(long number) {
    double[][] corners =
        model.marks().keySet().stream()
            .filter(MarkPlace::head)
            .map(model::pathsMm)
            .toArray(double[][]::new);
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

  @Override
  public void end() {
    train = Optional.empty();
    rounds.set(-1);
  }

  private double step() {
    return model.limits().getFirst().value().orElse(0.5);
  }

  /** Burns every mark and reads it to what is said of the tape. */
  void readAll() {
    for (Map.Entry<MarkPlace, List<NumberEntry>> entry : model.marks().entrySet()) {
      burn(entry.getKey(), entry.getValue());
    }
  }

  private void burn(MarkPlace place, List<NumberEntry> into) {
    Spot spot = spot(place);
    into.get(0).set(spot.rightMm());
    into.get(1).set(spot.upMm());
  }

  private Spot spot(MarkPlace place) {
    burns++;
    StandInTrain on = train.orElseThrow();
    double[] from = model.pathsMm(place);
    return place.head()
        ? on.readAtHead(from[0], from[1], step())
        : on.readAtMirror2(from[0], step());
  }

  /** Does what the advice says first, as a hand does it. */
  void obey(MirrorOutcome.Found found) {
    told = "";
    MirrorFinding alignment = found.finding().alignment().orElseThrow();
    if (alignment.suspicion().isPresent()) {
      lookInto(alignment.suspicion().get());
    } else if (!found.finding().untried().isEmpty()) {
      model.screws().stream()
          .filter(s -> found.finding().untried().contains(new MountScrew(s.mirror(), s.sideways())))
          .forEach(this::attempt);
    } else {
      turn(alignment);
      model.setBefore(found.visit().taught());
      model.clearReadings();
    }
    rounds.set(rounds.get() + 1);
  }

  /** What is suspected is looked at and mended, or one mark is burnt again. */
  private void lookInto(Suspicion suspicion) {
    StandInTrain on = train.orElseThrow();
    Optional<Kind> named =
        switch (suspicion.kind()) {
          case TWISTED_RAIL -> Optional.of(Kind.TWISTED_RAIL);
          case UNSQUARE_GANTRY -> Optional.of(Kind.UNSQUARE_GANTRY);
          case LOOSE_MOUNT -> Optional.of(Kind.LOOSE_MOUNT);
          case ONE_MARK, NOT_NAMED -> Optional.empty();
        };
    if (named.isPresent() && named.get() == on.kind()) {
      on.mend();
      told = Text.of("mirrors.practice.mended");
      model.setBefore(Optional.empty());
      model.clearReadings();
    } else {
      told = Text.of(named.isPresent() ? "mirrors.practice.not-it" : "mirrors.practice.again");
      burn(model.againProperty().get(), model.againMark());
    }
  }

  /** A quarter turn, the furthest mark again, and back. */
  private void attempt(ScrewFields screw) {
    MarkPlace place = MarkPlace.furthestAfter(screw.mirror(), StandInTrain.MIRRORS);
    List<NumberEntry> was = model.marks().get(place);
    Knob knob = knob(screw);
    double turns = screw.trial().getFirst().number();
    train.orElseThrow().turn(knob, turns);
    Spot is = spot(place);
    train.orElseThrow().turn(knob, -turns);
    screw.trial().get(1).set(moved(was.get(0), is.rightMm()));
    screw.trial().get(2).set(moved(was.get(1), is.upMm()));
  }

  /** Without what is left of a difference of decimals. */
  private static double moved(NumberEntry wasMm, double isMm) {
    return Math.round((isMm - wasMm.number()) * 1e6) / 1e6;
  }

  private static Knob knob(ScrewFields screw) {
    return Knob.values()[2 * (screw.mirror() - 1) + (screw.sideways() ? 0 : 1)];
  }

  private void turn(MirrorFinding alignment) {
    for (ScrewFields screw : model.screws()) {
      MirrorFinding.Mirror mirror = alignment.mirrors().get(String.valueOf(screw.mirror()));
      Turn turn = screw.sideways() ? mirror.sideways() : mirror.upDown();
      train.orElseThrow().turn(knob(screw), turn.clockMinutes() / MINUTES);
    }
  }

  @Override
  public String words() {
    if (train.isEmpty()) {
      return "";
    }
    boolean within =
        model.outcomeProperty().get() instanceof MirrorOutcome.Found found
            && found.finding().verdict() == Verdict.WITHIN;
    String words =
        within
            ? Text.of("mirrors.practice.done", burns, BEST_BURNS)
            : Text.of("practice.rounds", rounds.get());
    return told.isEmpty() ? words : told + " " + words;
  }
}
