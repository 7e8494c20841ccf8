package zebrawood.start;

import java.util.Map;
import java.util.Set;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.words.Message;

/** The start-up station as the ledger knows it. */
public final class StartStation {
  /** A switch that nobody tried for a month may be stuck; each day has its own proof beside. */
  private static final int HOLDS_DAYS = 30;

  /** Where the coolant's limit is kept; stations know one another through the ledger only. */
  public static final String COOLING = "cooling";

  private StartStation() {}

  public static final Station STATION =
      new Station(
          "start",
          Phase.MAKE_READY,
          machine -> true,
          Set.of(),
          Map.of(
              EventKind.MOVED, Doubt.READ_AGAIN,
              EventKind.SOURCE_REPLACED, Doubt.READ_AGAIN,
              EventKind.CRASH, Doubt.QUICK_CHECK,
              EventKind.SUPPLY_TOUCHED, Doubt.READ_AGAIN),
          HOLDS_DAYS,
          5);

  /** What can hurt there, of what this machine has. */
  public static Message caution(Machine machine) {
    if (!machine.has(Fitting.EMERGENCY_STOP)) {
      return Message.of("start.caution.no-stop");
    }
    return Message.of(machine.cooledByWater() ? "start.caution" : "start.caution.no-pump");
  }
}
