package zebrawood.power;

import java.util.Map;
import java.util.Set;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;

/** The power station as the ledger knows it: what "100 %" is. */
public final class PowerStation {
  private PowerStation() {}

  public static final Station STATION =
      new Station(
          "power",
          Phase.PROVE_THE_WORK,
          machine -> true,
          Set.of("controller"),
          Map.of(
              EventKind.SOURCE_REPLACED, Doubt.READ_AGAIN,
              EventKind.SUPPLY_TOUCHED, Doubt.READ_AGAIN,
              EventKind.METER_CHANGED, Doubt.QUICK_CHECK),
          30,
          10);
}
