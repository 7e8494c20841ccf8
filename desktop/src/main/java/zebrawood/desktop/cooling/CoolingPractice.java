package zebrawood.desktop.cooling;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import zebrawood.cooling.CoolingFinding;
import zebrawood.cooling.CoolingReadings;
import zebrawood.cooling.CoolingReadings.Item;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Practice.Deed;
import zebrawood.devices.site.StandInLoop;
import zebrawood.devices.site.StandInLoop.Fault;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** Practice on a simulated loop with a hidden fault. */
final class CoolingPractice
    extends Practice<CoolingModel, StandInLoop, CoolingReadings, CoolingFinding> {
  private static final double LITRES = 20;
  private static final double CHILLER_W = 700;
  private static final double HEAT_W = 300;
  private static final double SETTLING_MINUTES = 240;

  /** A chiller is set a little above what is just allowed, since it swings about its set point. */
  private static final double ABOVE_LOWEST_K = 1;

  private static final Map<Item, Fault> FAULT_OF =
      new EnumMap<>(
          Map.of(
              Item.FLOW, Fault.PUMP_STOPPED,
              Item.LEAKS, Fault.LEAK,
              Item.BUBBLES, Fault.BUBBLE,
              Item.FLOW_INTERLOCK, Fault.INTERLOCK_BRIDGED));

  CoolingPractice(CoolingModel model) {
    super(model);
  }

  @Override
  protected StandInLoop make(long number) {
    List<Fault> faults = List.copyOf(FAULT_OF.values());
    Fault hidden = faults.get(new Random(number).nextInt(faults.size()));
    return new StandInLoop(LITRES, CHILLER_W, EnumSet.of(hidden), number);
  }

  @Override
  protected void prepare() {
    model.way.set(CoolingWay.CHILLER);
  }

  /** Reads the instruments, runs for an hour, and looks at everything there is to prove. */
  @Override
  protected void read(StandInLoop on) {
    model.room.set(on.readRoomC());
    model.humidity.set(on.readHumidityPercent());
    model.coolantC.set(on.readCoolantC());
    on.run(60, HEAT_W);
    model.afterHour.set(on.readCoolantC());
    model.proofs.forEach((item, proof) ->
        proof.set(
            switch (item) {
              case FLOW -> on.flows();
              case LEAKS -> on.dry();
              case BUBBLES -> on.freeOfBubbles();
              case FLOW_INTERLOCK -> on.pinchStopsLaser();
            }));
  }

  /** Mends what failed and sets the chiller to what the air allows. */
  @Override
  protected void obey(StandInLoop on, Outcome.Solved<CoolingReadings, CoolingFinding> solved) {
    solved.readings().proofs().stream()
        .filter(p -> !p.passed())
        .forEach(p -> on.mend(FAULT_OF.get(p.item())));
    double lowest = solved.finding().air().lowestCoolantC();
    if (solved.readings().air().coolantC() < lowest) {
      on.setPoint(lowest + ABOVE_LOWEST_K);
      on.run(SETTLING_MINUTES, HEAT_W);
    }
    model.form().clearReadings();
  }

  @Override
  protected Message stands(StandInLoop on) {
    return left(on.faultsLeft().size());
  }

  @Override
  protected Message best(StandInLoop on) {
    return mendedAtOnce(on.faultsLeft().size());
  }

  @Override
  protected List<Deed<StandInLoop>> deeds() {
    Stream<Deed<StandInLoop>> mends =
        Stream.of(Item.values())
            .map(item ->
                Deed.of(Message.of("practice.see-to", item), on -> on.mend(FAULT_OF.get(item))));
    Deed<StandInLoop> set =
        Deed.by(
            Message.of("cooling.practice.set"),
            (on, celsius) -> {
              on.setPoint(celsius);
              on.run(SETTLING_MINUTES, HEAT_W);
            });
    return Stream.concat(mends, Stream.of(set)).toList();
  }

  @Override
  protected Quantity amountOf() {
    return Quantity.TEMPERATURE;
  }
}
