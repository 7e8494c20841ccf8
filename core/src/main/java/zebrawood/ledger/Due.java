package zebrawood.ledger;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * A station that holds, and until when its figures are known to.
 *
 * @param on the last moment; after it the station is stale by age alone
 */
public record Due(Station station, Instant on) {
  /** Those that hold, the first that is due first. */
  public static List<Due> of(Ledger ledger, Map<Station, Standing> standings) {
    return standings.entrySet().stream()
        .flatMap(e ->
            e.getValue() instanceof Standing.Holds(Entry proof)
                    && e.getKey().turn() != Station.Turn.ON_CALL
                ? Stream.of(
                    new Due(
                        e.getKey(),
                        ledger.timeOf(proof).plus(Duration.ofDays(e.getKey().holdsDays(proof)))))
                : Stream.empty())
        .sorted(Comparator.comparing(Due::on))
        .toList();
  }
}
