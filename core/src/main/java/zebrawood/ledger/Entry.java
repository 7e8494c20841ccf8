package zebrawood.ledger;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import zebrawood.measure.Accepts;
import zebrawood.measure.Verdict;

/**
 * What was read at a station and what the core found; never changed once recorded.
 *
 * @param at when the readings were taken: a correction keeps the time of what it corrects
 * @param recordedAt when this entry was written down
 * @param by initials
 * @param because why the station was visited, in words
 * @param readings everything typed, as the station's codec wrote it: any figure can be traced to it
 * @param finding the finding, as the station's codec wrote it
 * @param figures what the notebook shows; the first is the station's telling figure. Empty for a
 *     check without figures
 * @param replaces id of the entry that this one corrects or withdraws
 */
public record Entry(
    String id,
    String machineId,
    String stationId,
    EntryKind kind,
    Instant at,
    Instant recordedAt,
    String by,
    String because,
    String readings,
    String finding,
    Verdict verdict,
    List<Figure> figures,
    Optional<String> replaces) {

  public Entry {
    figures = List.copyOf(figures);
    var accepts =
        new Accepts()
            .filled("id", id)
            .filled("machineId", machineId)
            .filled("stationId", stationId)
            .filled("by", by);
    if (kind == EntryKind.WITHDRAWN && replaces.isEmpty()) {
      accepts.complain("replaces", "missing", "the id of the entry that is withdrawn");
    }
    accepts.orThrow();
  }

  /** The figure that the trend follows, if this entry has figures at all. */
  public Optional<Figure> tellingFigure() {
    return figures.isEmpty() ? Optional.empty() : Optional.of(figures.getFirst());
  }

  /** Whether the readings decided anything. */
  public boolean decided() {
    return verdict != Verdict.MEASURE_AGAIN;
  }

  /** The entry that makes this one void. */
  public Entry withdrawnBy(String newId, Instant now, String initials) {
    return new Entry(
        newId,
        machineId,
        stationId,
        EntryKind.WITHDRAWN,
        now,
        now,
        initials,
        "undone",
        "",
        "",
        verdict,
        List.of(),
        Optional.of(id));
  }
}
