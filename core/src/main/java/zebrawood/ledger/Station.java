package zebrawood.ledger;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import zebrawood.machine.Machine;
import zebrawood.words.Message;

/**
 * One stage of the work, as the ledger knows it.
 *
 * @param id as in {@code solve ID}, and in every entry; begins its keys in the bundles
 * @param phase the part of the work that it belongs to
 * @param applies whether machines of this build have it
 * @param restsOn ids of the stations that its figures trust
 * @param doubtedBy the events that put it in doubt by themselves; what rests on it follows
 * @param holdsDays after how many days without a reading it counts as stale
 * @param minutes what a visit takes, roughly
 * @param subject what its readings are of, where a machine has several: it then stands for each by
 *     itself
 * @param turn when it is to be visited again
 */
public record Station(
    String id,
    Phase phase,
    Predicate<Machine> applies,
    Set<String> restsOn,
    Map<EventKind, Doubt> doubtedBy,
    int holdsDays,
    int minutes,
    Optional<SubjectKind> subject,
    Turn turn) {
  /** When it is to be visited again. */
  public enum Turn {
    /** After so many days without a reading. */
    BY_AGE,
    /** After as many days as the telling figure of its proof says. */
    AS_READ,
    /** When somebody calls for it: while nobody does, nothing is to be done there. */
    ON_CALL
  }

  public Station {
    restsOn = Set.copyOf(restsOn);
    doubtedBy = Map.copyOf(doubtedBy);
  }

  /** A station whose readings are of the machine itself. */
  public Station(
      String id,
      Phase phase,
      Predicate<Machine> applies,
      Set<String> restsOn,
      Map<EventKind, Doubt> doubtedBy,
      int holdsDays,
      int minutes) {
    this(id, phase, applies, restsOn, doubtedBy, holdsDays, minutes, Optional.empty());
  }

  /** A station that is visited again when it was not read for a while. */
  public Station(
      String id,
      Phase phase,
      Predicate<Machine> applies,
      Set<String> restsOn,
      Map<EventKind, Doubt> doubtedBy,
      int holdsDays,
      int minutes,
      Optional<SubjectKind> subject) {
    this(id, phase, applies, restsOn, doubtedBy, holdsDays, minutes, subject, Turn.BY_AGE);
  }

  /** The same, visited again when its turn comes otherwise. */
  public Station turning(Turn otherwise) {
    return new Station(
        id, phase, applies, restsOn, doubtedBy, holdsDays, minutes, subject, otherwise);
  }

  /** For how many whole days after a proof it holds by age alone. */
  public int holdsDays(Entry proof) {
    return switch (turn) {
      case BY_AGE -> holdsDays;
      case AS_READ -> proof.tellingFigure().map(f -> (int) f.value() - 1).orElse(holdsDays);
      case ON_CALL -> Integer.MAX_VALUE;
    };
  }

  /** Stations are looked up all the time: the id, which is no other's, tells them apart. */
  @Override
  public int hashCode() {
    return id.hashCode();
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Station station && id.equals(station.id);
  }

  /** Its name on the rail. */
  public Message title() {
    return Message.of(id + ".title");
  }

  /** The plain question it answers. */
  public Message question() {
    return Message.of(id + ".question");
  }
}
