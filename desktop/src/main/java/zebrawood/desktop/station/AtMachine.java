package zebrawood.desktop.station;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Station;
import zebrawood.machine.Machine;
import zebrawood.quantity.DisplayUnits;

/**
 * Where and when a station is opened.
 *
 * @param ledger the machine's record, up to now
 * @param units in which values are shown
 * @param clock when something is read: for what was read earlier it stands still at that time
 * @param stations all there are, for a station that looks at how the others stand; empty where none
 *     does
 */
public record AtMachine(Ledger ledger, DisplayUnits units, Clock clock, List<Station> stations) {
  public AtMachine {
    stations = List.copyOf(stations);
  }

  /** Where no station looks at the others. */
  public AtMachine(Ledger ledger, DisplayUnits units, Clock clock) {
    this(ledger, units, clock, List.of());
  }

  /** With all stations there are. */
  public AtMachine among(List<Station> all) {
    return new AtMachine(ledger, units, clock, all);
  }

  /** The machine that is open, now. */
  public static AtMachine now(WorkshopModel workshop) {
    return new AtMachine(
        workshop.opened().ledger(), workshop.units(), workshop.clock(), workshop.stations());
  }

  /** At one moment of the past. */
  public static AtMachine on(Ledger ledger, DisplayUnits units, Instant then) {
    return new AtMachine(ledger, units, Clock.fixed(then, ZoneOffset.UTC));
  }

  public Machine machine() {
    return ledger.machine();
  }
}
