package zebrawood.desktop.workshop;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Event;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Recorded;
import zebrawood.ledger.Station;
import zebrawood.machine.Machine;
import zebrawood.rotary.RotaryIn;
import zebrawood.words.Dates;
import zebrawood.words.Message;

/** What of a machine's record is not as it should be, to be told on the machine page. */
final class Notices {
  /** More lines are counted and not named. */
  private static final int MOST_NAMED = 3;

  private Notices() {}

  private static Message named(Recorded line, List<Station> stations) {
    Message what =
        switch (line) {
          case Entry entry ->
              Message.of(
                  "notice.entry",
                  stations.stream()
                      .filter(s -> s.id().equals(entry.stationId()))
                      .map(Station::title)
                      .findFirst()
                      .orElse(Message.quoted(entry.stationId())),
                  entry.kind());
          case Event event -> event.said();
        };
    Instant latest = line.at().isAfter(line.recordedAt()) ? line.at() : line.recordedAt();
    return Message.of("notice.dated", what, Dates.dayAndYear(latest, ZoneOffset.UTC));
  }

  static List<Message> of(
      Ledger ledger,
      List<Station> stations,
      Machine machine,
      List<String> unreadMachines,
      boolean damaged,
      boolean twice,
      Instant now) {
    List<Message> notices = new ArrayList<>();
    if (twice) {
      notices.add(Message.of("notice.twice"));
    }
    if (damaged) {
      notices.add(Message.of("notice.damaged"));
    }
    RotaryIn.since(ledger)
        .ifPresent(e ->
            notices.add(
                Message.of("notice.rotary-in", Dates.dayAndYear(e.time(), ZoneOffset.UTC))));
    List<Recorded> ahead = ledger.ahead(now);
    if (!ahead.isEmpty()) {
      notices.add(
          Message.of(
              "notice.ahead",
              ahead.size(),
              Message.list(
                  ahead.stream().limit(MOST_NAMED).map(r -> named(r, stations)).toList())));
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
