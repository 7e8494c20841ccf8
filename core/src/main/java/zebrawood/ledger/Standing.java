package zebrawood.ledger;

import java.time.Instant;
import java.util.Optional;

/** How a station stands today. */
public sealed interface Standing {
  /** Proven by {@code proof}, and nothing has happened since that puts it in doubt. */
  record Holds(Entry proof) implements Standing {}

  /** Was proven by {@code proof}, but is in doubt since. */
  record Stale(Entry proof, Cause cause) implements Standing {}

  /** The last readings were outside the limit and it was left so. */
  record Out(Entry last) implements Standing {}

  /**
   * Never proven with figures.
   *
   * @param lastCheck the last passed check without figures, if there was one
   * @param waitsFor the station to be proven first, if there is one
   */
  record Open(Optional<Entry> lastCheck, Optional<Station> waitsFor) implements Standing {}

  /** Nobody called for it, and nothing is to be done there. */
  record Idle() implements Standing {}

  /** Why a station is stale. */
  sealed interface Cause {
    Instant since();

    /** An event that doubts the station, or one it rests on. */
    record Happened(Event event, Doubt doubt) implements Cause {
      @Override
      public Instant since() {
        return event.time();
      }
    }

    /** Not read for longer than its figures are known to hold. */
    record Aged(Instant since, int holdsDays) implements Cause {}

    /** What its proof said would be due is due. */
    record CameDue(Instant since) implements Cause {}

    /** A station it rests on is out, or was adjusted after the proof. */
    record Upstream(Station station, Instant since) implements Cause {}
  }

  default boolean holds() {
    return this instanceof Holds;
  }

  /** Whether something is to be done there. */
  default boolean asks() {
    return !(this instanceof Holds || this instanceof Idle);
  }
}
