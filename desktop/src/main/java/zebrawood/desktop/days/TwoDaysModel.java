package zebrawood.desktop.days;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zebrawood.cards.CardsReadings;
import zebrawood.cards.CardsStation;
import zebrawood.cards.CardsTask;
import zebrawood.cards.Trial;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Standing;
import zebrawood.ledger.StandingWords;
import zebrawood.ledger.Station;
import zebrawood.ledger.TwoDays;
import zebrawood.ledger.TwoDays.Line;
import zebrawood.ledger.TwoDays.Why;
import zebrawood.records.kept.KeptReadings;
import zebrawood.words.Message;

/** Which two moments are compared, and what is said of them. */
public final class TwoDaysModel {
  private static final int MOST_MOMENTS = 60;

  private final Ledger ledger;
  private final List<Station> stations;
  private final ZoneId zone;
  private final List<Moment> moments;

  /**
   * A moment of the record that can be chosen.
   *
   * @param words what happened then
   */
  public record Moment(Instant at, String words, boolean good) {
    @Override
    public String toString() {
      return words;
    }
  }

  /**
   * One line of what differs.
   *
   * @param mark how the station stands now
   */
  public record Row(
      Standing mark, String name, String before, String after, String says, String stationId) {}

  /**
   * @param now the moment up to which everything counts
   */
  public TwoDaysModel(Ledger ledger, List<Station> stations, Instant now, ZoneId zone) {
    this.ledger = ledger;
    this.stations = stations;
    this.zone = zone;
    List<Moment> all = new ArrayList<>();
    all.add(new Moment(now, Text.of("days.now"), false));
    ledger.entries().reversed().stream()
        .filter(e -> !e.unread())
        .filter(e -> run(e).isPresent() || e.kind() == EntryKind.AS_LEFT)
        .map(this::moment)
        .limit(MOST_MOMENTS)
        .forEach(all::add);
    moments = List.copyOf(all);
  }

  private static Optional<Trial> run(Entry entry) {
    return entry.stationId().equals(CardsStation.STATION.id())
        ? KeptReadings.read(entry, CardsReadings.class)
            .map(CardsReadings::task)
            .filter(t -> t instanceof CardsTask.Tried)
            .map(t -> ((CardsTask.Tried) t).trial())
        : Optional.empty();
  }

  private Moment moment(Entry entry) {
    String day = DayWords.dayAndTime(ledger.timeOf(entry), zone);
    Optional<Trial> run = run(entry);
    return run.map(t ->
            new Moment(
                ledger.timeOf(entry),
                Text.of("days.run", day, t.what(), Message.of(t.result())),
                t.result() == Trial.Result.GOOD))
        .orElseGet(() ->
            new Moment(
                ledger.timeOf(entry), Text.of("days.left", day, title(entry.stationId())), true));
  }

  private Message title(String stationId) {
    return stations.stream()
        .filter(s -> s.id().equals(stationId))
        .findFirst()
        .map(Station::title)
        .orElse(Message.verbatim(stationId));
  }

  /** Now, then the runs and what was left in order, the newest first. */
  public List<Moment> moments() {
    return moments;
  }

  /** When it worked, as far as is known: the last good run, or what was left in order last. */
  public Moment firstGuess() {
    return moments.stream().skip(1).filter(Moment::good).findFirst().orElse(moments.getLast());
  }

  /** When it does not: the last spoilt run, or now. */
  public Moment secondGuess() {
    return moments.stream()
        .skip(1)
        .filter(m -> !m.good())
        .findFirst()
        .filter(m -> m.at().isAfter(firstGuess().at()))
        .orElse(moments.getFirst());
  }

  public TwoDays compare(Moment worked, Moment not) {
    return TwoDays.of(ledger, stations, worked.at(), not.at());
  }

  public Row row(Line line) {
    String station = Text.of(line.station().title());
    String name =
        line.figureId()
            .map(id ->
                Text.of(
                    "days.figure",
                    station,
                    line.after()
                        .flatMap(Figure::label)
                        .map(Message::quoted)
                        .orElse(Message.of(line.station().id() + ".figure." + id))))
            .orElse(station);
    boolean subject = line.why() == Why.OTHER_SUBJECT;
    return new Row(
        line.standing(),
        name,
        subject ? line.subjects().get(0).orElse("–") : said(line.before()),
        subject
            ? line.subjects().get(1).orElse("–")
            : line.why() == Why.IN_DOUBT ? Text.of("days.not-read") : said(line.after()),
        says(line),
        line.station().id());
  }

  private static String said(Optional<Figure> figure) {
    return figure.map(f -> Text.words().say(f.amount())).orElse("–");
  }

  private String says(Line line) {
    return switch (line.why()) {
      case OUT, IN_DOUBT -> Text.of(StandingWords.of(line.standing(), zone));
      case OTHER_SUBJECT -> Text.of("days.other-subject");
      case NEW -> Text.of("days.new");
      case OVER_LIMIT -> Text.of("days.over-limit");
      case CHANGED, LITTLE ->
          line.shareOfAllowed()
              .map(s ->
                  Text.of(
                      line.why() == Why.LITTLE ? "days.little" : "days.much", Math.round(100 * s)))
              .orElse(Text.of(line.why() == Why.LITTLE ? "days.hardly" : "days.changed"));
      case SAME -> Text.of("days.same");
    };
  }

  /** What to look at, likeliest first: each station once. */
  public List<Row> toLookAt(TwoDays days) {
    return days.differs().stream()
        .filter(l -> l.why() != Why.LITTLE)
        .map(this::row)
        .collect(Collectors.toMap(Row::stationId, r -> r, (a, b) -> a, LinkedHashMap::new))
        .values()
        .stream()
        .toList();
  }

  /** What happened in between, oldest first. */
  public List<String> between(TwoDays days) {
    return days.between().stream()
        .map(e -> Text.of("days.event", DayWords.dayAndYear(ledger.timeOf(e), zone), e.said()))
        .toList();
  }

  /** Names of what was read on neither day. */
  public String neverRead(TwoDays days) {
    return Stream.of(days.neverRead())
        .flatMap(List::stream)
        .map(s -> Text.of(s.title()))
        .collect(Collectors.joining(", "));
  }
}
