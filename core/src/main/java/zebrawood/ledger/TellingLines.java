package zebrawood.ledger;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import zebrawood.measure.Verdict;

/**
 * The few lines of a long record from which follows how its stations stand, on any later day and
 * for any subject, also when more is added behind them.
 */
public final class TellingLines {
  private TellingLines() {}

  /**
   * Of each station and subject the last entry, the last that decided and the last proof; of what a
   * station rests on, the first that was out after each such proof; and every event.
   *
   * @return lines that count, in the order that counts
   */
  public static List<Recorded> of(Ledger ledger, List<Station> stations) {
    Map<String, Map<Optional<String>, List<Entry>>> groups = new LinkedHashMap<>();
    for (Entry entry : ledger.entries()) {
      groups
          .computeIfAbsent(entry.stationId(), k -> new LinkedHashMap<>())
          .computeIfAbsent(entry.subject().map(SubjectName::plain), k -> new ArrayList<>())
          .add(entry);
    }
    Set<String> telling = new HashSet<>();
    ledger.events().forEach(e -> telling.add(e.id()));
    for (var group : groups.entrySet()) {
      List<Entry> proofs = new ArrayList<>();
      for (List<Entry> entries : group.getValue().values()) {
        telling.add(entries.getLast().id());
        last(entries, Entry::decided).ifPresent(e -> telling.add(e.id()));
        last(entries, Ledger::proves).ifPresent(proofs::add);
      }
      proofs.forEach(p -> telling.add(p.id()));
      stations.stream()
          .filter(s -> s.id().equals(group.getKey()))
          .flatMap(s -> s.restsOn().stream())
          .flatMap(below -> groups.getOrDefault(below, Map.of()).values().stream())
          .forEach(below ->
              proofs.forEach(
                  proof -> outAfter(ledger, proof, below).ifPresent(e -> telling.add(e.id()))));
    }
    return Stream.concat(ledger.entries().stream(), ledger.events().stream())
        .filter(r -> telling.contains(r.id()))
        .sorted((one, other) -> one.equals(other) ? 0 : ledger.isAfter(one, other) ? 1 : -1)
        .<Recorded>map(r -> r)
        .toList();
  }

  private static Optional<Entry> last(List<Entry> entries, Predicate<Entry> wanted) {
    return entries.reversed().stream().filter(wanted).findFirst();
  }

  private static Optional<Entry> outAfter(Ledger ledger, Entry proof, List<Entry> entries) {
    return entries.stream()
        .filter(e -> e.verdict() == Verdict.ADJUST || e.verdict() == Verdict.STOP)
        .filter(e -> ledger.isAfter(e, proof))
        .findFirst();
  }
}
