package zebrawood.cooling;

import java.util.Map;
import java.util.Set;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;
import zebrawood.machine.Machine;

/** The cooling station as the ledger knows it. */
public final class CoolingStation {
  private CoolingStation() {}

  public static final Station STATION =
      new Station(
          "cooling",
          Phase.MAKE_READY,
          Machine::cooledByWater,
          Set.of(),
          Map.of(
              EventKind.MOVED, Doubt.READ_AGAIN,
              EventKind.SOURCE_REPLACED, Doubt.READ_AGAIN),
          90,
          20);
}
