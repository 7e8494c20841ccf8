package zebrawood.bed;

import java.util.Map;
import java.util.Set;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;

/** The bed station as the ledger knows it. */
public final class BedStation {
  private BedStation() {}

  public static final Station STATION =
      new Station(
          "bed",
          Phase.AIM_THE_BEAM,
          machine -> true,
          Set.of(),
          Map.of(
              EventKind.MOVED, Doubt.READ_AGAIN,
              EventKind.CRASH, Doubt.READ_AGAIN,
              EventKind.BED_CHANGED, Doubt.READ_AGAIN,
              EventKind.HEAD_SHIMMED, Doubt.READ_AGAIN,
              EventKind.HONEYCOMB_OR_ROTARY, Doubt.QUICK_CHECK,
              EventKind.HEAD_SWAPPED, Doubt.QUICK_CHECK,
              EventKind.ROTARY_OUT, Doubt.QUICK_CHECK),
          180,
          15);
}
