package zebrawood.ledger;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import zebrawood.measure.Accepts;
import zebrawood.measure.Verdict;
import zebrawood.words.Message;

/**
 * What was read at a station and what the core found; never changed once recorded.
 *
 * @param subject what the readings are of, where the station has several: a lens, a configuration
 * @param at when the readings were taken: a correction keeps the time of what it corrects
 * @param recordedAt when this entry was written down
 * @param by initials
 * @param because why the station was visited
 * @param kept what was typed and what was found
 * @param figures what the notebook shows; the first is the station's telling figure. Empty for a
 *     check without figures
 * @param replaces id of the entry that this one corrects or withdraws
 */
public record Entry(
    String id,
    String machineId,
    String stationId,
    Optional<String> subject,
    EntryKind kind,
    Instant at,
    Instant recordedAt,
    String by,
    Message because,
    Kept kept,
    Verdict verdict,
    List<Figure> figures,
    Optional<String> replaces)
    implements Recorded {
  /** Readings further apart than a working day belong to two visits. */
  public static final Duration LONGEST_VISIT = Duration.ofHours(12);

  public Entry {
    figures = List.copyOf(figures);
    var accepts =
        new Accepts()
            .filled("id", id)
            .filled("machineId", machineId)
            .filled("stationId", stationId)
            .filled("by", by);
    if (kind == EntryKind.WITHDRAWN && replaces.isEmpty()) {
      accepts.complain(
          "replaces", Message.of("accepts.missing"), Message.of("ledger.accepts.withdrawn"));
    }
    accepts.orThrow();
  }

  /** The same of both documents' texts. */
  public Entry(
      String id,
      String machineId,
      String stationId,
      Optional<String> subject,
      EntryKind kind,
      Instant at,
      Instant recordedAt,
      String by,
      Message because,
      String readings,
      String finding,
      Verdict verdict,
      List<Figure> figures,
      Optional<String> replaces) {
    this(
        id,
        machineId,
        stationId,
        subject,
        kind,
        at,
        recordedAt,
        by,
        because,
        Kept.of(readings, finding),
        verdict,
        figures,
        replaces);
  }

  /** Everything typed, as kept: any figure can be traced to it. */
  public String readings() {
    return kept.texts().readings();
  }

  /** The finding, as kept. */
  public String finding() {
    return kept.texts().finding();
  }

  /** The figure that the trend follows, if this entry has figures at all. */
  public Optional<Figure> tellingFigure() {
    return figures.isEmpty() ? Optional.empty() : Optional.of(figures.getFirst());
  }

  /** The figure of this id, if this entry has it. */
  public Optional<Figure> figure(String figureId) {
    // No stream: a trend asks ten thousand entries.
    for (Figure figure : figures) {
      if (figure.id().equals(figureId)) {
        return Optional.of(figure);
      }
    }
    return Optional.empty();
  }

  /** Whether the readings decided anything. */
  public boolean decided() {
    return verdict != Verdict.MEASURE_AGAIN && !unread();
  }

  /** Whether it was read on the visit that is under way. */
  public boolean ofVisit(Instant now) {
    return Duration.between(time(), now).abs().compareTo(LONGEST_VISIT) < 0;
  }

  /** Whether it stands in another's place. */
  public boolean corrects() {
    return replaces.isPresent() && kind != EntryKind.WITHDRAWN;
  }

  @Override
  public boolean withdrawal() {
    return kind == EntryKind.WITHDRAWN;
  }

  @Override
  public boolean unread() {
    return kind == EntryKind.UNKNOWN;
  }

  @Override
  public Entry withdrawnBy(String newId, Instant now, String initials) {
    return new Entry(
        newId,
        machineId,
        stationId,
        subject,
        EntryKind.WITHDRAWN,
        now,
        now,
        initials,
        Message.of("ledger.reason.undone"),
        "",
        "",
        verdict,
        List.of(),
        Optional.of(id));
  }
}
