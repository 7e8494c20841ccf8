package zebrawood.devices.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import zebrawood.devices.site.StandInRoom.Fault;

class StandInRoomTest {
  @Test
  void heatWarmsTheAirAndDriesIt() {
    StandInRoom room = new StandInRoom(Set.of(), 4);
    double coolC = room.readRoomC();
    double damp = room.readHumidityPercent();
    room.run(60, 1200);
    assertThat(room.readRoomC()).isGreaterThan(coolC + 3);
    assertThat(room.readHumidityPercent()).isLessThan(damp - 5);
    room.run(60, 0);
    assertThat(room.readRoomC()).isLessThan(coolC + 4);
  }

  /** At rest all heat that goes in goes out. */
  @Test
  void itComesToRestWhereItLosesWhatItIsGiven() {
    StandInRoom room = new StandInRoom(Set.of(), 9);
    room.run(60L * 24 * 60, 400);
    double warm = room.readRoomC();
    room.run(60L * 24 * 60, 800);
    assertThat(room.readRoomC() - warm).isCloseTo(400 / 40.0, within(0.5));
  }

  @Test
  void whatIsMendedReadsAsInOrder() {
    StandInRoom room = new StandInRoom(EnumSet.of(Fault.EARTH_OPEN, Fault.CLOSE_TO_WALL), 1);
    assertThat(room.readEarthOhm()).isGreaterThan(1e6);
    assertThat(room.readGapMm()).isLessThan(100);
    assertThat(room.inOrder(Fault.EARTH_OPEN)).isFalse();
    room.mend(Fault.EARTH_OPEN);
    room.mend(Fault.CLOSE_TO_WALL);
    assertThat(room.readEarthOhm()).isLessThan(0.5);
    assertThat(room.readGapMm()).isGreaterThan(200);
  }
}
