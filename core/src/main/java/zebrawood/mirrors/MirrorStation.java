package zebrawood.mirrors;

import java.util.Map;
import java.util.Set;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;
import zebrawood.machine.Build;

/** The mirrors station as the ledger knows it. */
public final class MirrorStation {
  private MirrorStation() {}

  public static final Station STATION =
      new Station(
          "mirrors",
          Phase.AIM_THE_BEAM,
          machine -> machine.build() == Build.GANTRY_WITH_MIRRORS,
          Set.of(),
          Map.of(
              EventKind.MOVED, Doubt.READ_AGAIN,
              EventKind.CRASH, Doubt.READ_AGAIN,
              EventKind.SOURCE_REPLACED, Doubt.READ_AGAIN,
              EventKind.MIRROR_REPLACED, Doubt.READ_AGAIN,
              EventKind.MIRROR_CLEANED, Doubt.QUICK_CHECK),
          180,
          30);
}
