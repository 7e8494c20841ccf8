package zebrawood.desktop.upkeep;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.controller.ControllerStation;
import zebrawood.controller.Role;
import zebrawood.desktop.station.AuditedWords;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Ledger;
import zebrawood.upkeep.UpkeepReadings.CounterReading;

/** Beam hours that a controller told with its settings, where it counts them. */
final class LinkHours {
  private LinkHours() {}

  /** One for each time its settings were recorded, oldest first. */
  static List<CounterReading> of(Ledger ledger, ZoneId zone) {
    return ledger.entriesAt(ControllerStation.STATION).stream()
        .flatMap(e -> reading(e, zone))
        .toList();
  }

  private static Stream<CounterReading> reading(Entry entry, ZoneId zone) {
    OptionalDouble hours = AuditedWords.setting(entry, Role.BEAM_HOURS);
    return hours.isEmpty()
        ? Stream.empty()
        : Stream.of(
            new CounterReading(LocalDate.ofInstant(entry.time(), zone), hours.getAsDouble()));
  }
}
