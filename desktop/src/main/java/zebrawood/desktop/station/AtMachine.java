package zebrawood.desktop.station;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import zebrawood.ledger.Ledger;
import zebrawood.machine.Machine;
import zebrawood.quantity.DisplayUnits;

/**
 * Where and when a station is opened.
 *
 * @param ledger the machine's record, up to now
 * @param units in which values are shown
 * @param clock when something is read: for what was read earlier it stands still at that time
 */
public record AtMachine(Ledger ledger, DisplayUnits units, Clock clock) {
  /** At one moment of the past. */
  public static AtMachine on(Ledger ledger, DisplayUnits units, Instant then) {
    return new AtMachine(ledger, units, Clock.fixed(then, ZoneOffset.UTC));
  }

  public Machine machine() {
    return ledger.machine();
  }
}
