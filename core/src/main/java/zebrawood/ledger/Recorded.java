package zebrawood.ledger;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;

/** A line of a machine's record: an entry or an event. Never changed once recorded. */
public sealed interface Recorded permits Entry, Event {
  String id();

  String machineId();

  /** When it was read or happened, as far as anybody said. */
  Instant at();

  /** What the clock said when it was written down; the clock may have been wrong. */
  Instant recordedAt();

  String by();

  /** Id of what this one corrects or withdraws. */
  Optional<String> replaces();

  /** Whether it only makes another one void. */
  boolean withdrawal();

  /** Whether it is of a kind, or in a form, that this version does not know. */
  boolean unread();

  /** Nothing is read after it was written down: a later date is the writing's own. */
  default Instant time() {
    return at().isAfter(recordedAt()) ? recordedAt() : at();
  }

  /** Whether somebody said that it was earlier than it was written down. */
  default boolean datedBack() {
    return at().isBefore(recordedAt());
  }

  /** Whether it was written down on a later day than it was read or happened. */
  default boolean enteredLater(ZoneId zone) {
    return LocalDate.ofInstant(time(), zone).isBefore(LocalDate.ofInstant(recordedAt(), zone));
  }

  /** What makes this one void. */
  Recorded withdrawnBy(String newId, Instant now, String initials);
}
