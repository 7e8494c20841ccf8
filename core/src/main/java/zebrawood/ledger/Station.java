package zebrawood.ledger;

import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import zebrawood.machine.Machine;

/**
 * One stage of the work, as the ledger knows it.
 *
 * @param id as in {@code solve ID}, and in every entry
 * @param title its name on the rail
 * @param question the plain question it answers
 * @param applies whether machines of this build have it
 * @param restsOn ids of the stations that its figures trust
 * @param doubtedBy the events that put it in doubt by themselves; what rests on it follows
 * @param holdsDays after how many days without a reading it counts as stale
 * @param minutes what a visit takes, roughly
 */
public record Station(
    String id,
    String title,
    String question,
    Predicate<Machine> applies,
    Set<String> restsOn,
    Map<EventKind, Doubt> doubtedBy,
    int holdsDays,
    int minutes) {
  public Station {
    restsOn = Set.copyOf(restsOn);
    doubtedBy = Map.copyOf(doubtedBy);
  }
}
