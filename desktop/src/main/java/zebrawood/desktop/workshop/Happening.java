package zebrawood.desktop.workshop;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import zebrawood.ledger.EventKind;

/**
 * Something that happened, as it is told.
 *
 * @param at empty for now
 * @param note free words, possibly empty
 * @param subject what it names, such as the lens that is on it now
 * @param settles ids of the lines that were gone on without, for a day
 */
public record Happening(
    EventKind kind,
    Optional<Instant> at,
    String note,
    Optional<String> subject,
    List<String> settles) {
  public static Happening now(EventKind kind, String note) {
    return new Happening(kind, Optional.empty(), note, Optional.empty(), List.of());
  }
}
