package zebrawood.records.handover;

import java.util.List;
import java.util.Optional;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;

/**
 * The last visit to a station.
 *
 * @param newest the last entry, where it is neither of the others
 */
record Visit(Optional<Entry> found, Optional<Entry> left, Optional<Entry> newest) {
  /** The last entry as left with what was found before it on that visit, and what came after. */
  static Visit last(List<Entry> measured) {
    Optional<Entry> left = last(measured, EntryKind.AS_LEFT);
    List<Entry> before =
        left.map(l -> measured.subList(0, measured.indexOf(l) + 1)).orElse(measured);
    Optional<Entry> found =
        last(before, EntryKind.AS_FOUND)
            .filter(f -> left.isEmpty() || f.ofVisit(left.get().time()));
    Optional<Entry> newest =
        measured.isEmpty()
            ? Optional.empty()
            : Optional.of(measured.getLast())
                .filter(e -> !left.equals(Optional.of(e)))
                .filter(e -> left.isPresent() || !found.equals(Optional.of(e)));
    return new Visit(found, left, newest);
  }

  private static Optional<Entry> last(List<Entry> entries, EntryKind kind) {
    return entries.reversed().stream().filter(e -> e.kind() == kind).findFirst();
  }

  Optional<Entry> pattern() {
    return newest.or(() -> left).or(() -> found);
  }
}
