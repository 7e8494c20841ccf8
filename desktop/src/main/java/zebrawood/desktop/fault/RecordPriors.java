package zebrawood.desktop.fault;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.fault.Cause;
import zebrawood.fault.FaultStation;
import zebrawood.fault.FaultTable;
import zebrawood.fault.FaultVisitReadings;
import zebrawood.fault.Fitted;
import zebrawood.fault.Prior;
import zebrawood.fault.RecordSays;
import zebrawood.fault.Seen;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Standing;
import zebrawood.ledger.Standing.Cause.Happened;
import zebrawood.ledger.Station;
import zebrawood.records.kept.KeptReadings;
import zebrawood.words.Message;

/** What the record of this machine, and closed cases, say of each cause. */
final class RecordPriors {
  private static final String UPKEEP = "upkeep";

  /** Cleaned so lately that it cannot have got dirty by use alone: part of the interval. */
  private static final double LATELY = 0.5;

  private final Map<Cause, RecordSays> says = new EnumMap<>(Cause.class);
  private Map<Cause, Integer> closed;
  private List<Message> untouched = List.of();

  RecordPriors(Ledger ledger, List<Station> stations, Instant now) {
    lookAt(ledger, stations, now);
    closed = closedCases(ledger.entriesAt(FaultStation.STATION));
  }

  /** Looks at the record as it is now. */
  void lookAt(Ledger ledger, List<Station> stations, Instant now) {
    Map<String, Standing> standings = new HashMap<>();
    ledger.standings(stations, now).forEach((s, how) -> standings.put(s.id(), how));
    untouched =
        stations.stream()
            .filter(s -> standings.get(s.id()) instanceof Standing.Holds)
            .filter(s -> s.turn() == Station.Turn.BY_AGE)
            .map(Station::title)
            .toList();
    for (Cause cause : Cause.values()) {
      says.put(
          cause,
          cause
              .cleaned()
              .map(figure -> cleaned(ledger, figure, now))
              .orElseGet(() ->
                  cause
                      .station()
                      .filter(standings::containsKey)
                      .map(s -> of(standings.get(s)))
                      .orElse(RecordSays.NOTHING)));
    }
  }

  private static RecordSays of(Standing standing) {
    return switch (standing) {
      case Standing.Holds h -> RecordSays.HOLDS;
      case Standing.Out o -> RecordSays.OUT;
      case Standing.Stale(Entry proof, Happened h) -> RecordSays.DISTURBED;
      case Standing.Stale s -> RecordSays.AGED;
      case Standing.Open o -> RecordSays.NOTHING;
      case Standing.Idle i -> RecordSays.NOTHING;
    };
  }

  /** By the days that upkeep gave it when it was looked at last. */
  private static RecordSays cleaned(Ledger ledger, String figure, Instant now) {
    Optional<Entry> last =
        ledger.entries().reversed().stream()
            .filter(e -> e.stationId().equals(UPKEEP) && e.figure(figure).isPresent())
            .findFirst();
    if (last.isEmpty()) {
      return RecordSays.NOTHING;
    }
    double days = last.get().figure(figure).map(Figure::value).orElse(0.0);
    long since = Duration.between(ledger.timeOf(last.get()), now).toDays();
    if (since >= days) {
      return RecordSays.OVERDUE;
    }
    return since < LATELY * days ? RecordSays.CLEANED : RecordSays.NOTHING;
  }

  /** What was proven and not touched since: it is the same as when it was good. */
  Message untouched() {
    return untouched.isEmpty()
        ? Message.of("fault.untouched.none")
        : Message.of("fault.untouched", Message.list(untouched));
  }

  /** Counts closed cases on these machines. */
  void learnFrom(List<Entry> cases) {
    closed = closedCases(cases);
  }

  private static Map<Cause, Integer> closedCases(List<Entry> cases) {
    Map<Cause, Integer> closed = new EnumMap<>(Cause.class);
    cases.stream()
        .flatMap(e -> KeptReadings.read(e, FaultVisitReadings.class).stream())
        .filter(r -> r.burntAgain().orElse(false))
        .flatMap(r -> r.mended().stream())
        .forEach(c -> closed.merge(c, 1, Integer::sum));
    return closed;
  }

  /**
   * Of each cause that this machine can have.
   *
   * @param seen the words for what is seen
   */
  List<Prior> of(Seen seen, List<Fitted> fitted) {
    var pointed = FaultTable.pointedTo(seen);
    return Stream.of(Cause.values())
        .filter(c ->
            Stream.of(Fitted.values())
                .noneMatch(f -> !fitted.contains(f) && f.causes().contains(c)))
        .map(c ->
            new Prior(
                c,
                pointed.isEmpty() || pointed.contains(c),
                says.get(c),
                closed.getOrDefault(c, 0)))
        .toList();
  }

  /** The priors that the record changes, in words. */
  static Message said(List<Prior> priors) {
    List<Message> said =
        priors.stream()
            .filter(p -> p.says() != RecordSays.NOTHING || p.closed() > 0)
            .sorted(Comparator.comparingDouble(Prior::weight).reversed())
            .map(p ->
                p.closed() > 0
                    ? Message.of("fault.record.closed", p.cause(), p.says(), p.closed())
                    : Message.of(
                        "fault.record.line",
                        p.cause(),
                        p.says(),
                        Message.number(p.says().factor())))
            .toList();
    return said.isEmpty()
        ? Message.of("fault.record.nothing")
        : Message.of("fault.record.says", Message.list(said));
  }
}
