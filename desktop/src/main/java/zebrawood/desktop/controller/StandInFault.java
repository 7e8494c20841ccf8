package zebrawood.desktop.controller;

import java.time.Duration;
import java.util.Set;
import zebrawood.controller.Role;
import zebrawood.devices.controller.Faults;

/** What is wrong with the stand-in, for whoever practises on it. */
public enum StandInFault {
  NONE(Faults.NONE),
  /** In the middle of what is done after a reading. */
  UNPLUGGED(Faults.NONE.unpluggedAfterIn(70)),
  GARBLED(Faults.NONE.garblingOut(300)),
  SLOW(Faults.NONE.slow(15_000_000L)),
  LATE(Faults.NONE.late(Duration.ofSeconds(20))),
  REJECTING(Faults.NONE.rejecting(Set.of(Role.TOP_POWER_WORD))),
  FORGETTING(Faults.NONE.strange(true, true, true));

  private final Faults faults;

  StandInFault(Faults faults) {
    this.faults = faults;
  }

  Faults faults() {
    return faults;
  }
}
