package zebrawood.fault;

import java.util.Map;
import java.util.Set;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;

/** The fault finder as the ledger knows it: nothing is to be done there while nobody calls. */
public final class FaultStation {
  private FaultStation() {}

  public static final Station STATION =
      new Station("fault", Phase.KEEP_IT_SO, machine -> true, Set.of(), Map.of(), 0, 15)
          .turning(Station.Turn.ON_CALL);
}
