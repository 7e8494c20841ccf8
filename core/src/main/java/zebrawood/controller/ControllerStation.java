package zebrawood.controller;

import java.util.Map;
import java.util.Set;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;

/** The controller station as the ledger knows it. */
public final class ControllerStation {
  private ControllerStation() {}

  public static final Station STATION =
      new Station(
          "controller",
          Phase.AIM_THE_BEAM,
          machine -> true,
          Set.of(),
          Map.of(
              EventKind.FIRMWARE_RESET, Doubt.READ_AGAIN,
              EventKind.HEAD_SWAPPED, Doubt.READ_AGAIN,
              EventKind.POWER_CUT, Doubt.QUICK_CHECK),
          365,
          20);
}
