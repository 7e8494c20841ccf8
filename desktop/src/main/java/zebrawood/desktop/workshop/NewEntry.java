package zebrawood.desktop.workshop;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Figure;
import zebrawood.ledger.StandingWords;
import zebrawood.ledger.Station;
import zebrawood.measure.Verdict;

/** An entry of the open machine, before it is recorded. */
public final class NewEntry {
  private NewEntry() {}

  /**
   * What a new entry of the open machine needs beside what the sheet knows.
   *
   * @param workshop in which it will be recorded
   * @param readAt when it was read; empty for now
   */
  public static Entry of(
      WorkshopModel workshop,
      Station station,
      EntryKind kind,
      String readings,
      String finding,
      Verdict verdict,
      List<Figure> figures,
      Optional<Entry> corrects,
      Optional<Instant> readAt) {
    Instant now = workshop.clock().instant();
    return new Entry(
        UUID.randomUUID().toString(),
        workshop.opened().machine().id(),
        station.id(),
        corrects
            .map(Entry::subject)
            .orElseGet(() -> workshop.opened().ledger().subjectNow(station)),
        corrects.map(Entry::kind).orElse(kind),
        corrects.map(Entry::at).or(() -> readAt).orElse(now),
        now,
        workshop.initials().orElse("?"),
        corrects
            .map(Entry::because)
            .orElseGet(() -> StandingWords.reasonToRead(workshop.opened().standing(station))),
        readings,
        finding,
        verdict,
        figures,
        corrects.map(Entry::id));
  }
}
