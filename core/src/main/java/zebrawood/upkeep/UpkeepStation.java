package zebrawood.upkeep;

import java.util.Map;
import java.util.Set;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;

/** Upkeep as the ledger knows it: it holds until something is due. */
public final class UpkeepStation {
  private UpkeepStation() {}

  private static final int NO_FIGURE_DAYS = 30;

  public static final Station STATION =
      new Station(
              "upkeep", Phase.KEEP_IT_SO, machine -> true, Set.of(), Map.of(), NO_FIGURE_DAYS, 35)
          .turning(Station.Turn.AS_READ);
}
