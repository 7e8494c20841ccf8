package zebrawood.desktop.bed;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import zebrawood.bed.BedFinding;
import zebrawood.bed.BedTask;
import zebrawood.bed.Clockwise;
import zebrawood.bed.Screw;
import zebrawood.bed.ScrewTurn;
import zebrawood.bed.ShimFinding;
import zebrawood.desktop.text.Text;
import zebrawood.devices.bed.StandInBed;
import zebrawood.measure.Numbers;
import zebrawood.measure.Verdict;

/**
 * Practice on a simulated bed in place of the machine's: read, turn, read again. Nothing of it is
 * recorded. Which variant it is, the technician has to find out.
 */
final class BedPractice {
  private final BedModel model;
  private final Clock clock;
  private StandInBed bed;
  private final ReadOnlyIntegerWrapper rounds = new ReadOnlyIntegerWrapper(-1);

  BedPractice(BedModel model, Clock clock) {
    this.model = model;
    this.clock = clock;
  }

  boolean running() {
    return bed != null;
  }

  /** Rounds of turning so far; -1 when there is no practice. */
  ReadOnlyIntegerProperty roundsProperty() {
    return rounds.getReadOnlyProperty();
  }

  void start() {
    long seed = clock.millis();
    start(
        new Random(seed).nextInt(3) == 0 ? StandInBed.Variant.WARPED : StandInBed.Variant.TILTED,
        seed);
  }

  void start(StandInBed.Variant variant, long seed) {
    if (model.wayProperty().get() == BedWay.FEEL) {
      model.wayProperty().set(BedWay.GAP);
    }
    bed =
        new StandInBed(
            variant,
            model.areaXMm(),
            model.areaYMm(),
            screws(),
            model.resolution().mm().orElse(0.1),
            seed);
    model.clearReadings();
    rounds.set(0);
  }

  void end() {
    bed = null;
    rounds.set(-1);
  }

  /** Shims are to the stand-in what screws of 1 mm pitch are; under a head they work downwards. */
  private List<Screw> screws() {
    List<Screw> screws = new ArrayList<>();
    for (Support s : model.supportsProperty().get()) {
      Clockwise clockwise =
          model.onShims()
              ? model.underHead() ? Clockwise.LOWERS : Clockwise.RAISES
              : s.clockwiseProperty().get();
      screws.add(
          new Screw(
              s.idProperty().get(),
              s.x().mm().orElse(0),
              s.y().mm().orElse(0),
              model.onShims() ? 1 : s.pitch().mm().orElse(1),
              clockwise));
    }
    return screws;
  }

  /** Puts the gauge to every place and types what it reads. */
  void readAll() {
    for (BedPlace place : model.placesProperty().get()) {
      OptionalDouble x = model.columnsProperty().get().get(place.column()).mm();
      OptionalDouble y = model.rowsProperty().get().get(place.row()).mm();
      if (x.isPresent() && y.isPresent()) {
        double gap = bed.readGapMm(x.getAsDouble(), y.getAsDouble());
        place.reading().setMm(model.wayProperty().get() == BedWay.HEAD_HEIGHT ? 50 - gap : gap);
      }
    }
  }

  /** Turns the screws by the rounded turns, or puts the stacks in; then the bed is read anew. */
  void obey(BedOutcome.Found found) {
    if (found.finding().verdict() == Verdict.WITHIN) {
      return;
    }
    switch (found.finding()) {
      case BedFinding f -> {
        for (ScrewTurn turn : f.screws()) {
          bed.turn(turn.id(), turn.eighths() / 8.0);
        }
      }
      case ShimFinding f -> {
        BedTask.OnShims task = (BedTask.OnShims) found.task();
        var stacks = task.stacks(f);
        for (int i = 0; i < stacks.size(); i++) {
          bed.turn(f.shims().get(i).id(), stacks.get(i).totalMm());
        }
      }
      default -> {}
    }
    model.clearReadings();
    rounds.set(rounds.get() + 1);
  }

  /** Where the practice stands, in words; empty when there is none. */
  String words() {
    if (bed == null) {
      return "";
    }
    boolean within =
        model.outcomeProperty().get() instanceof BedOutcome.Found found
            && found.finding().verdict() == Verdict.WITHIN;
    return within
        ? Text.of("bed.practice.done", rounds.get(), Numbers.fixed(trueHighToLowMm(), 2))
        : Text.of("practice.rounds", rounds.get());
  }

  private double trueHighToLowMm() {
    List<Double> gaps = new ArrayList<>();
    for (BedPlace place : model.placesProperty().get()) {
      OptionalDouble x = model.columnsProperty().get().get(place.column()).mm();
      OptionalDouble y = model.rowsProperty().get().get(place.row()).mm();
      gaps.add(bed.trueGapMm(x.orElse(0), y.orElse(0)));
    }
    return Numbers.peakToValley(gaps);
  }
}
