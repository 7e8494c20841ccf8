package zebrawood.desktop.shell;

import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import zebrawood.desktop.station.SheetHost;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Entry;
import zebrawood.ledger.FigureWords;
import zebrawood.words.Message;

/**
 * Takes an entry back. It is named, and whoever takes back what is of an earlier visit or of
 * somebody else is asked first.
 */
final class TakeBack {
  private final SheetHost host;
  private final WorkshopModel workshop;
  private final Consumer<Entry> taken;

  /**
   * @param taken what follows when an entry was taken back
   */
  TakeBack(SheetHost host, Consumer<Entry> taken) {
    this.host = host;
    this.workshop = host.workshop();
    this.taken = taken;
  }

  /** The one that was written down last. */
  void last() {
    Optional<Entry> last = workshop.lastEntry();
    if (last.isEmpty()) {
      workshop.say(Text.of("said.nothing-to-undo"));
    } else {
      entry(last.get());
    }
  }

  void entry(Entry entry) {
    host.withInitials(() -> {
      boolean own = workshop.initials().filter(entry.by()::equals).isPresent();
      if (own && entry.ofVisit(workshop.clock().instant())) {
        withdraw(entry);
      } else {
        host.confirm(
            Text.of("undo.title"),
            Text.of("undo.why"),
            List.of(said(entry), Text.of("undo.recorded-by", entry.by())),
            "",
            Text.of("notebook.take-back"),
            () -> withdraw(entry));
      }
    });
  }

  private void withdraw(Entry entry) {
    String words = said(entry);
    workshop.withdraw(
        entry,
        () -> {
          taken.accept(entry);
          workshop.say(Text.of("said.undone", words));
        });
  }

  /** Station, what sort of entry, when, and the figure that tells. */
  private String said(Entry entry) {
    ZoneId zone = workshop.clock().getZone();
    String title =
        workshop.stations().stream()
            .filter(s -> s.id().equals(entry.stationId()))
            .findFirst()
            .map(s -> Text.of(s.title()))
            .orElse(entry.stationId());
    String words =
        Text.of("said.entry", title, entry.kind(), DayWords.dayAndTime(entry.time(), zone));
    return entry
        .tellingFigure()
        .map(f ->
            Text.of(
                "said.entry.figure",
                words,
                Message.verbatim(FigureWords.label(entry.stationId(), f, Text.words())),
                FigureWords.withUnit(f, Text.words())))
        .orElse(words);
  }
}
