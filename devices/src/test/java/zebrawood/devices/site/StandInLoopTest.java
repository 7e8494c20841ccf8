package zebrawood.devices.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Set;
import org.junit.jupiter.api.Test;
import zebrawood.climate.Bucket;
import zebrawood.cooling.Chiller;
import zebrawood.devices.site.StandInLoop.Fault;

class StandInLoopTest {
  /** The solver's one lump against this model's two. */
  @Test
  void aBucketWarmsAboutAsTheSolverSays() {
    for (long seed = 0; seed < 20; seed++) {
      StandInLoop loop = new StandInLoop(20, 0, Set.of(), seed);
      double start = loop.readCoolantC();
      double room = loop.readRoomC();
      double limit = start + 6;
      double said =
          Bucket.solve(new Bucket.Readings(20, start, limit, room, 500, 6))
              .minutesToLimit()
              .orElseThrow();
      double minutes = 0;
      while (loop.readCoolantC() < limit) {
        loop.run(0.25, 500);
        minutes += 0.25;
      }
      assertThat(said).isCloseTo(minutes, within(0.08 * minutes + 0.5));
      assertThat(loop.tubeC()).as("the tube leads the tank").isGreaterThan(limit + 2);
    }
  }

  @Test
  void thePullDownGivesTheChillersCapacity() {
    StandInLoop loop = new StandInLoop(15, 600, Set.of(), 3);
    loop.setPoint(60);
    loop.run(240, 500);
    double from = loop.readCoolantC();
    loop.setPoint(5);
    loop.run(10, 0);
    double to = loop.readCoolantC();
    double capacity = Chiller.solve(new Chiller.Readings(15, from, to, 10, 300)).capacityW();
    assertThat(capacity).isCloseTo(600, within(150.0));
  }

  @Test
  void aChillerHoldsItsSetPointAndAStoppedPumpLetsTheTubeBoil() {
    StandInLoop loop = new StandInLoop(15, 800, Set.of(), 4);
    loop.setPoint(20);
    loop.run(60, 300);
    assertThat(loop.readCoolantC()).isCloseTo(20, within(1.0));
    StandInLoop stopped = new StandInLoop(15, 800, Set.of(Fault.PUMP_STOPPED), 4);
    stopped.run(10, 300);
    assertThat(stopped.tubeC()).isGreaterThan(70);
    stopped.mend(Fault.PUMP_STOPPED);
    stopped.run(10, 0);
    assertThat(stopped.tubeC()).isLessThan(40);
  }

  @Test
  void faultsShowWhereTheyAreLookedForAndCanBeMended() {
    StandInLoop loop =
        new StandInLoop(15, 800, Set.of(Fault.LEAK, Fault.BUBBLE, Fault.INTERLOCK_BRIDGED), 5);
    assertThat(loop.dry()).isFalse();
    assertThat(loop.freeOfBubbles()).isFalse();
    assertThat(loop.pinchStopsLaser()).isFalse();
    for (Fault fault : Fault.values()) {
      loop.mend(fault);
    }
    assertThat(loop.dry() && loop.freeOfBubbles() && loop.pinchStopsLaser()).isTrue();
    assertThat(loop.readHumidityPercent()).isBetween(35.0, 80.0);
  }
}
