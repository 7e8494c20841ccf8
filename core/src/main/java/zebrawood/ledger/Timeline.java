package zebrawood.ledger;

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
 */
final class Timeline {
  private final List<Recorded> all;
  private final Map<String, Integer> places = new HashMap<>();

  /**
   * @param written in the order of writing
   */
  Timeline(List<? extends Recorded> written) {
    List<Recorded> order = new ArrayList<>(written.size());
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
      while (place > 0 && order.get(place - 1).time().isAfter(next.at())) {
        place--;
      }
    }
    return place;
  }

  List<Recorded> all() {
    return all;
  }

  /** Whether the one comes after the other. */
  boolean isAfter(Recorded one, Recorded other) {
    return places.get(one.id()) > places.get(other.id());
  }
}
