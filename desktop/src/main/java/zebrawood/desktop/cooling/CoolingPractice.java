package zebrawood.desktop.cooling;

import java.time.Clock;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import zebrawood.desktop.sheet.Practice;
import zebrawood.desktop.sheet.Proven;
import zebrawood.desktop.text.Text;
import zebrawood.devices.site.StandInLoop;
import zebrawood.devices.site.StandInLoop.Fault;
import zebrawood.measure.Verdict;
import zebrawood.site.CoolingReadings.Item;

/** Practice on a simulated loop with a hidden fault. Nothing of it is recorded. */
final class CoolingPractice implements Practice {
  private static final double LITRES = 20;
  private static final double CHILLER_W = 700;

  /** A chiller is set a little above what is just allowed, since it swings about its set point. */
  private static final double ABOVE_LOWEST_K = 1;

  private static final Map<Item, Fault> FAULT_OF =
      new EnumMap<>(
          Map.of(
              Item.FLOW, Fault.PUMP_STOPPED,
              Item.LEAKS, Fault.LEAK,
              Item.BUBBLES, Fault.BUBBLE,
              Item.FLOW_INTERLOCK, Fault.INTERLOCK_BRIDGED));

  private final CoolingModel model;
  private final Clock clock;
  private final ReadOnlyIntegerWrapper rounds = new ReadOnlyIntegerWrapper(-1);
  private Optional<StandInLoop> loop = Optional.empty();

  CoolingPractice(CoolingModel model, Clock clock) {
    this.model = model;
    this.clock = clock;
  }

  boolean running() {
    return loop.isPresent();
  }

  @Override
  public ReadOnlyIntegerProperty roundsProperty() {
    return rounds.getReadOnlyProperty();
  }

  void start() {
    long seed = clock.millis();
    List<Fault> faults = List.copyOf(FAULT_OF.values());
    start(EnumSet.of(faults.get(new Random(seed).nextInt(faults.size()))), seed);
  }

  void start(Set<Fault> faults, long seed) {
    loop = Optional.of(new StandInLoop(LITRES, CHILLER_W, faults, seed));
    model.wayProperty().set(CoolingWay.CHILLER);
    model.clearReadings();
    rounds.set(0);
  }

  @Override
  public void end() {
    loop = Optional.empty();
    rounds.set(-1);
  }

  /** Reads the instruments, runs for an hour, and looks at everything there is to prove. */
  void readAll() {
    StandInLoop on = loop.orElseThrow();
    set(0, on.readRoomC());
    set(1, on.readHumidityPercent());
    set(2, on.readCoolantC());
    on.run(60, 300);
    model.atSomeVisits().getFirst().set(on.readCoolantC());
    prove(Item.FLOW, on.flows());
    prove(Item.LEAKS, on.dry());
    prove(Item.BUBBLES, on.freeOfBubbles());
    prove(Item.FLOW_INTERLOCK, on.pinchStopsLaser());
  }

  private void set(int field, double value) {
    model.atEveryVisit().get(field).set(value);
  }

  private void prove(Item item, boolean passed) {
    ObjectProperty<Proven> asked = model.proofs().get(item);
    if (asked != null) {
      asked.set(passed ? Proven.YES : Proven.NO);
    }
  }

  /** Mends what failed and sets the chiller to what the air allows. */
  void obey(CoolingOutcome.Found found) {
    StandInLoop on = loop.orElseThrow();
    found.readings().proofs().stream()
        .filter(p -> !p.passed())
        .forEach(p -> on.mend(FAULT_OF.get(p.item())));
    double lowest = found.finding().air().lowestCoolantC();
    if (found.readings().air().coolantC() < lowest) {
      on.setPoint(lowest + ABOVE_LOWEST_K);
      on.run(240, 300);
    }
    model.clearReadings();
    rounds.set(rounds.get() + 1);
  }

  @Override
  public String words() {
    if (loop.isEmpty()) {
      return "";
    }
    boolean within =
        model.outcomeProperty().get() instanceof CoolingOutcome.Found found
            && found.finding().verdict() == Verdict.WITHIN;
    return Text.of(within ? "cooling.practice.done" : "practice.rounds", rounds.get());
  }
}
