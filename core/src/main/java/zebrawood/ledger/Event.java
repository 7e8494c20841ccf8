package zebrawood.ledger;

import java.time.Instant;
import java.util.Optional;
import zebrawood.measure.Accepts;

/**
 * Something that happened to the machine; never changed once recorded.
 *
 * @param at when it happened
 * @param recordedAt when it was written down
 * @param note free words, possibly empty
 * @param replaces id of the event that this one withdraws
 */
public record Event(
    String id,
    String machineId,
    EventKind kind,
    Instant at,
    Instant recordedAt,
    String by,
    String note,
    Optional<String> replaces) {

  public Event {
    new Accepts().filled("id", id).filled("machineId", machineId).filled("by", by).orThrow();
  }

  /** The kind, and the note where there is one. */
  public String inWords() {
    if (kind == EventKind.NOTE && !note.isBlank()) {
      return note;
    }
    return note.isBlank() ? kind.words() : kind.words() + ": " + note;
  }
}
