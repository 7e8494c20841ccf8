package zebrawood.ledger;

import java.time.Instant;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.SequencedMap;

/**
 * What an event put in doubt, and which of it has been proven since.
 *
 * @param doubted the stations in the order of the work, with how much each is in doubt
 * @param proved those of them that a later reading has cleared
 * @param provedAt when the last of them was cleared, once all are
 */
public record Aftermath(
    Event event,
    SequencedMap<Station, Doubt> doubted,
    List<Station> proved,
    Optional<Instant> provedAt) {
  public Aftermath {
    doubted = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(doubted));
    proved = List.copyOf(proved);
  }

  /** Whether nothing of it is in doubt any more. */
  public boolean cleared() {
    return proved.size() == doubted.size();
  }
}
