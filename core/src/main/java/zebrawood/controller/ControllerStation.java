package zebrawood.controller;

import java.util.Map;
import java.util.Set;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;
import zebrawood.machine.Build;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.words.Message;

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
              EventKind.CONFIGURATION_LOADED, Doubt.READ_AGAIN,
              EventKind.FIRMWARE_RESET, Doubt.READ_AGAIN,
              EventKind.HEAD_SWAPPED, Doubt.READ_AGAIN,
              EventKind.ROTARY_OUT, Doubt.QUICK_CHECK,
              EventKind.POWER_CUT, Doubt.QUICK_CHECK),
          365,
          20);

  /** What can hurt there, of what this machine has. */
  public static Message caution(Machine machine) {
    return Message.of(
        "controller.caution",
        Message.of(
            machine.build() == Build.GALVO
                ? "controller.caution.galvo"
                : "controller.caution.moves"),
        Message.of(machine.enclosed() ? "controller.caution.enclosed" : "controller.caution.open"),
        Message.of(
            machine.has(Fitting.EMERGENCY_STOP)
                ? "controller.caution.stop"
                : "controller.caution.no-stop"));
  }
}
