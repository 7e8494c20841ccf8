package zebrawood.desktop.mirrors;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.sheet.Practice;
import zebrawood.desktop.text.Text;
import zebrawood.devices.mirrors.StandInTrain;
import zebrawood.devices.mirrors.StandInTrain.Kind;
import zebrawood.devices.mirrors.StandInTrain.Knob;
import zebrawood.devices.mirrors.StandInTrain.Spot;
import zebrawood.measure.Verdict;
import zebrawood.mirrors.MirrorReadings.Towards;

/** Practice on a simulated train with hidden angles and offsets. Nothing of it is recorded. */
final class MirrorPractice implements Practice {
  private static final double ERROR_MRAD = 6;
  private static final double OFFSET_MM = 3;
  private static final double MINUTES = 60;

  /** Two rounds of six marks each are what a perfect hand needs. */
  private static final int BEST_BURNS = 12;

  private final MirrorModel model;
  private final Clock clock;
  private final ReadOnlyIntegerWrapper rounds = new ReadOnlyIntegerWrapper(-1);
  private Optional<StandInTrain> train = Optional.empty();
  private int burns;

  MirrorPractice(MirrorModel model, Clock clock) {
    this.model = model;
    this.clock = clock;
  }

  @Override
  public ReadOnlyIntegerProperty roundsProperty() {
    return rounds.getReadOnlyProperty();
  }

  void start() {
    start(new Random(clock.millis()).nextLong());
  }

  void start(long number) {
    train = Optional.of(new StandInTrain(Kind.SOUND, ERROR_MRAD, OFFSET_MM, number));
    model.clearReadings();
    model.mirrorOneAtProperty().set(MirrorOneAt.REAR);
    model.screws().get(0).set(StandInTrain.ARM_MM);
    model.screws().get(1).set(StandInTrain.PITCH_MM);
    List<Towards> ways = List.of(Towards.RIGHT, Towards.UP, Towards.RIGHT, Towards.UP);
    for (int i = 0; i < ways.size(); i++) {
      model.clockwise().get(i).set(ways.get(i));
    }
    burns = 0;
    rounds.set(0);
  }

  @Override
  public void end() {
    train = Optional.empty();
    rounds.set(-1);
  }

  /** Burns every mark and reads it to what is said of the tape. */
  void readAll() {
    StandInTrain on = train.orElseThrow();
    double step = model.limits().getFirst().value().orElse(0.5);
    for (Map.Entry<MarkPlace, List<NumberEntry>> entry : model.marks().entrySet()) {
      MarkPlace place = entry.getKey();
      double from1 = model.pathFrom1Mm(place);
      double from2 = model.pathFrom2Mm(place);
      Spot spot =
          place.head() ? on.readAtHead(from1 + from2, from2, step) : on.readAtMirror2(from1, step);
      entry.getValue().get(0).set(spot.rightMm());
      entry.getValue().get(1).set(spot.upMm());
      burns++;
    }
  }

  /** Turns what the advice says, as a hand turns it. */
  void obey(MirrorOutcome.Found found) {
    StandInTrain on = train.orElseThrow();
    var one = found.finding().mirrors().get("1");
    var two = found.finding().mirrors().get("2");
    on.turn(Knob.SIDEWAYS_1, one.sideways().clockMinutes() / MINUTES);
    on.turn(Knob.UP_DOWN_1, one.upDown().clockMinutes() / MINUTES);
    on.turn(Knob.SIDEWAYS_2, two.sideways().clockMinutes() / MINUTES);
    on.turn(Knob.UP_DOWN_2, two.upDown().clockMinutes() / MINUTES);
    model.clearReadings();
    rounds.set(rounds.get() + 1);
  }

  @Override
  public String words() {
    if (train.isEmpty()) {
      return "";
    }
    boolean within =
        model.outcomeProperty().get() instanceof MirrorOutcome.Found found
            && found.finding().verdict() == Verdict.WITHIN;
    return within
        ? Text.of("mirrors.practice.done", burns, BEST_BURNS)
        : Text.of("practice.rounds", rounds.get());
  }
}
