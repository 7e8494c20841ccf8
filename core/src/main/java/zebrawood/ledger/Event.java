package zebrawood.ledger;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * Something that happened to the machine; never changed once recorded.
 *
 * @param at when it happened
 * @param recordedAt when it was written down
 * @param note free words, possibly empty
 * @param subject what it names: the lens or the configuration that is on it now
 * @param settles ids of the lines that were gone on without, for a day
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
    Optional<String> subject,
    List<String> settles,
    Optional<String> replaces)
    implements Recorded {
  public Event {
    settles = List.copyOf(settles);
    new Accepts().filled("id", id).filled("machineId", machineId).filled("by", by).orThrow();
  }

  @Override
  public boolean withdrawal() {
    return kind == EventKind.WITHDRAWN;
  }

  @Override
  public boolean unread() {
    return kind == EventKind.UNKNOWN;
  }

  /** The kind, what it names, and the note where there is one. */
  public Message said() {
    Message what =
        subject.map(s -> Message.of("ledger.event.of", kind, s)).orElse(Message.of(kind));
    if (kind == EventKind.NOTE && !note.isBlank()) {
      return Message.verbatim(note);
    }
    return note.isBlank() ? what : Message.of("ledger.event.noted", what, note);
  }

  @Override
  public Event withdrawnBy(String newId, Instant now, String initials) {
    return new Event(
        newId,
        machineId,
        EventKind.WITHDRAWN,
        now,
        now,
        initials,
        "",
        Optional.empty(),
        List.of(),
        Optional.of(id));
  }
}
