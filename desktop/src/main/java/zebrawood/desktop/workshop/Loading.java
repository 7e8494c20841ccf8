package zebrawood.desktop.workshop;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import zebrawood.desktop.workshop.WorkshopModel.Glance;
import zebrawood.desktop.workshop.WorkshopModel.Opened;
import zebrawood.desktop.workshop.WorkshopModel.Start;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Recorded;
import zebrawood.ledger.Station;
import zebrawood.machine.Machine;
import zebrawood.records.workshop.TwoDescriptions;
import zebrawood.records.workshop.Workshop;

/** Reads what is known of a machine from the workshop file; on any thread. */
final class Loading {
  private static final Logger LOG = LoggerFactory.getLogger(Loading.class);

  private Loading() {}

  static Start start(Workshop workshop, List<Station> stations, String person, Instant now) {
    Workshop.Machines machines = workshop.machines();
    Preferences preferences = Preferences.of(workshop, person);
    List<Machine> readable = machines.readable();
    Optional<Machine> chosen =
        readable.stream()
            .filter(m -> preferences.machine().equals(Optional.of(m.id())))
            .findFirst()
            .or(() -> readable.stream().findFirst());
    return new Start(
        workshop,
        readable,
        chosen.map(m -> opened(workshop, stations, m, machines, now)),
        preferences);
  }

  static Opened opened(
      Workshop workshop,
      List<Station> stations,
      Machine machine,
      Workshop.Machines machines,
      Instant now) {
    Ledger ledger = ledger(workshop, machine, now);
    Map<String, Map<String, String>> drafts = new LinkedHashMap<>();
    for (Station station : stations) {
      for (String name : List.of(station.id(), Workshop.correctionOf(station.id()))) {
        drafts.put(name, workshop.draft(machine.id(), name));
      }
    }
    Optional<TwoDescriptions> twice = workshop.describedTwice(machine.id());
    return new Opened(
        machine,
        ledger,
        ledger.standings(stations, now),
        drafts,
        Notices.of(
            ledger,
            stations,
            machine,
            machines.unread(),
            workshop.isDamaged(),
            twice.isPresent(),
            now),
        twice);
  }

  static Glance glance(Workshop workshop, List<Station> stations, Machine machine, Instant now) {
    Ledger ledger = workshop.atHand().glance(machine, stations);
    return new Glance(machine, ledger, ledger.standings(stations, now));
  }

  /** The machine's record. That a line is dated ahead is kept with the day it was found out. */
  static Ledger ledger(Workshop workshop, Machine machine, Instant now) {
    Map<String, Instant> known = workshop.foundAhead();
    Ledger ledger = new Ledger(machine, workshop.history(machine.id()), known);
    List<String> found =
        ledger.ahead(now).stream().map(Recorded::id).filter(id -> !known.containsKey(id)).toList();
    if (found.isEmpty()) {
      return ledger;
    }
    try {
      workshop.foundAhead(found, now);
    } catch (RuntimeException e) {
      LOG.error("which lines are dated ahead could not be kept; it is tried again", e);
      return ledger;
    }
    return new Ledger(machine, workshop.history(machine.id()), workshop.foundAhead());
  }
}
