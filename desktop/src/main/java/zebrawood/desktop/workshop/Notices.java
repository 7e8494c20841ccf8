package zebrawood.desktop.workshop;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Station;
import zebrawood.machine.Machine;
import zebrawood.words.Message;

/** What of a machine's record is not as it should be, to be told on the machine page. */
final class Notices {
  private Notices() {}

  static List<Message> of(
      Ledger ledger,
      List<Station> stations,
      Machine machine,
      List<String> unreadMachines,
      Instant now) {
    List<Message> notices = new ArrayList<>();
    int ahead = ledger.ahead(now).size();
    if (ahead > 0) {
      notices.add(Message.of("notice.ahead", ahead));
    }
    if (!ledger.unread().isEmpty()) {
      notices.add(Message.of("notice.unread", ledger.unread().size()));
    }
    List<String> others = ledger.stationsNotAmong(stations);
    if (!others.isEmpty()) {
      notices.add(Message.of("notice.stations", Message.quoted(String.join(", ", others))));
    }
    if (unreadMachines.contains(machine.id())) {
      notices.add(Message.of("notice.machine"));
    }
    long missing = unreadMachines.stream().filter(id -> !id.equals(machine.id())).count();
    if (missing > 0) {
      notices.add(Message.of("notice.machines", missing));
    }
    return notices;
  }
}
