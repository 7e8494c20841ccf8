package zebrawood.ledger;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A machine's record in the order that counts.
 *
 * <p>What counts is the order in which things were written down, which no clock can upset. What was
 * dated back stands where its date puts it among what was written down before it; a correction
 * stands in the place of what it corrects; a date later than the writing says nothing.
 *
 * <p>A line whose clock was ahead says too late a time: what is told after it, by a clock that is
 * behind it, does not go before it. It is no later than the day that was found out.
 */
final class Timeline {
  private final List<Recorded> all;
  private final Map<String, Integer> places = new HashMap<>();
  private final Map<String, Instant> foundAhead;

  /**
   * @param settled lines whose order is known, before all others
   * @param written the others, in the order of writing
   * @param foundAhead when lines were found to be dated ahead, by their ids
   */
  Timeline(List<Recorded> settled, List<Recorded> written, Map<String, Instant> foundAhead) {
    this.foundAhead = Map.copyOf(foundAhead);
    List<Recorded> order = new ArrayList<>(settled);
    for (Recorded next : written) {
      order.add(placeOf(next, order), next);
    }
    all = List.copyOf(order);
    for (int i = 0; i < all.size(); i++) {
      places.put(all.get(i).id(), i);
    }
  }

  private static int placeOf(Recorded next, List<Recorded> order) {
    if (next.replaces().isPresent() && !next.withdrawal()) {
      String replaced = next.replaces().get();
      for (int i = order.size() - 1; i >= 0; i--) {
        if (order.get(i).id().equals(replaced)) {
          return i + 1;
        }
      }
    }
    int place = order.size();
    if (next.datedBack()) {
      while (place > 0 && goesBefore(next, order.get(place - 1))) {
        place--;
      }
    }
    return place;
  }

  /**
   * By their dates, where both clocks agree. Where the earlier line's clock was ahead nobody knows;
   * then what may doubt stands after what may prove, and the newer reading after the older.
   */
  private static boolean goesBefore(Recorded datedBack, Recorded earlier) {
    boolean ahead = earlier.recordedAt().isAfter(datedBack.recordedAt());
    boolean unknown = ahead && (datedBack instanceof Event || earlier instanceof Entry);
    return !unknown && earlier.time().isAfter(datedBack.at());
  }

  /** When it was, as far as is known: no later than it was found to be dated ahead. */
  Instant timeOf(Recorded line) {
    Instant found = foundAhead.get(line.id());
    return found != null && found.isBefore(line.time()) ? found : line.time();
  }

  List<Recorded> all() {
    return all;
  }

  /** Whether the one comes after the other. */
  boolean isAfter(Recorded one, Recorded other) {
    return places.get(one.id()) > places.get(other.id());
  }
}
