package zebrawood.desktop.field;

import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import zebrawood.field.FieldFinding;
import zebrawood.field.FieldTask;
import zebrawood.field.FieldVisit;
import zebrawood.field.FieldVisitReadings;
import zebrawood.field.LoadedTable;
import zebrawood.ledger.Entry;
import zebrawood.measure.UnusableReading;
import zebrawood.records.field.FieldTable;
import zebrawood.records.kept.KeptFindings;
import zebrawood.records.kept.KeptReadings;
import zebrawood.words.Dates;
import zebrawood.words.Message;

/** The tables that a lens's entries stand for: each is made of its marks again. */
final class LensTables {
  /** So often one was burnt through another. */
  private static final int MOST_JOINED = 20;

  private final List<Entry> entries;
  private final ZoneId zone;

  /** Null until it is asked for: documents of grids are long. */
  private Optional<Entry> newest;

  /**
   * @param entries of one lens, oldest first
   */
  LensTables(List<Entry> entries, ZoneId zone) {
    this.entries = List.copyOf(entries);
    this.zone = zone;
  }

  Message day(Entry entry) {
    return Dates.dayAndYear(entry.time(), zone);
  }

  /** The newest entry with a grid that decided something. */
  Optional<Entry> newest() {
    if (newest == null) {
      newest = findNewest();
    }
    return newest;
  }

  private Optional<Entry> findNewest() {
    return entries.reversed().stream()
        .filter(e -> !e.unread() && e.decided())
        .filter(e -> KeptReadings.read(e, FieldVisitReadings.class).filter(this::grid).isPresent())
        .findFirst();
  }

  private boolean grid(FieldVisitReadings readings) {
    return !(readings.task() instanceof FieldTask.BySquare);
  }

  /** Whether it was said what was loaded, of all that an entry's table is made of. */
  boolean saysAll(Entry entry) {
    Optional<Entry> next = Optional.of(entry);
    for (int i = 0; i < MOST_JOINED && next.isPresent(); i++) {
      Optional<LoadedTable> loaded =
          KeptReadings.read(next.get(), FieldVisitReadings.class)
              .flatMap(FieldVisitReadings::loaded);
      if (loaded.isEmpty()) {
        return false;
      }
      next =
          loaded.get() instanceof LoadedTable.Recorded(String id)
              ? entries.stream().filter(e -> e.id().equals(id)).findFirst()
              : Optional.empty();
    }
    return true;
  }

  /**
   * The whole table of an entry, joined to all that it was burnt through.
   *
   * @throws UnusableReading when one of them is not there any more
   */
  FieldTable of(String entryId) {
    return of(entryId, MOST_JOINED);
  }

  private FieldTable of(String entryId, int most) {
    Entry entry =
        entries.stream()
            .filter(e -> e.id().equals(entryId) && most > 0)
            .findFirst()
            .orElseThrow(LensTables::gone);
    FieldVisitReadings readings =
        KeptReadings.read(entry, FieldVisitReadings.class)
            .filter(this::grid)
            .orElseThrow(LensTables::gone);
    FieldFinding found =
        KeptFindings.part(entry, "field", FieldFinding.class).orElseThrow(LensTables::gone);
    return joined(
        readings.loaded(),
        FieldTable.of(
            FieldVisit.fieldMm(readings.task()), FieldVisit.table(readings.task(), found)),
        most);
  }

  /** With what was loaded as its marks were burnt. */
  FieldTable joined(Optional<LoadedTable> loaded, FieldTable marks) {
    return joined(loaded, marks, MOST_JOINED);
  }

  private FieldTable joined(Optional<LoadedTable> loaded, FieldTable marks, int most) {
    return loaded
        .flatMap(l ->
            switch (l) {
              case LoadedTable.None() -> Optional.<FieldTable>empty();
              case LoadedTable.OfFile(String name) -> Optional.of(FieldTable.read(name));
              case LoadedTable.Recorded(String id) -> Optional.of(of(id, most - 1));
            })
        .map(before -> FieldTable.of(marks.fieldMm(), before.joined(marks.rows())))
        .orElse(marks);
  }

  private static UnusableReading gone() {
    return UnusableReading.of(
        "loadedTable", Message.of("field.loaded.gone"), Message.of("field.loaded.accepts"));
  }
}
