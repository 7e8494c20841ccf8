package zebrawood.ledger;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zebrawood.ledger.Ledger.Withdrawn;

/** Which lines of a record count: those that none that counts replaces. */
final class Replacements {
  /** So that a damaged file whose lines replace one another in a ring ends. */
  private static final int DEEPEST = 100;

  private final List<Recorded> written;
  private final Map<String, List<Recorded>> replacedBy = new HashMap<>();

  Replacements(List<Recorded> written) {
    this.written = written;
    for (Recorded one : written) {
      one.replaces().ifPresent(r -> replacedBy.computeIfAbsent(r, k -> new ArrayList<>()).add(one));
    }
  }

  /** Whether it says something of the machine today. */
  boolean counts(Recorded one) {
    return !one.withdrawal() && stands(one, 0);
  }

  /** What was taken back, and what took it back, in the order of writing. */
  List<Withdrawn> withdrawn() {
    return written.stream()
        .filter(one -> !one.withdrawal())
        .flatMap(one ->
            replacedBy.getOrDefault(one.id(), List.of()).stream()
                .filter(later -> later.withdrawal() && stands(later, 0))
                .map(later -> new Withdrawn(one, later)))
        .toList();
  }

  private boolean stands(Recorded one, int depth) {
    return depth > DEEPEST
        || replacedBy.getOrDefault(one.id(), List.of()).stream()
            .noneMatch(later -> stands(later, depth + 1));
  }
}
