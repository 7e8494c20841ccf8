package zebrawood.site;

import java.util.Map;
import java.util.Set;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.words.Message;

/** The site station as the ledger knows it. */
public final class SiteStation {
  private SiteStation() {}

  public static final Station STATION =
      new Station(
          "site",
          Phase.MAKE_READY,
          machine -> true,
          Set.of(),
          Map.of(EventKind.MOVED, Doubt.READ_AGAIN),
          365,
          30);

  /** What can hurt there, of what this machine has. */
  public static Message caution(Machine machine) {
    return Message.of(
        machine.has(Fitting.EMERGENCY_STOP) ? "site.caution" : "site.caution.no-stop");
  }
}
