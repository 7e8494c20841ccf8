package zebrawood.records.handover;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.function.Function;
import zebrawood.ledger.Aftermath;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Event;
import zebrawood.ledger.Figure;
import zebrawood.ledger.FigureWords;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Standing;
import zebrawood.ledger.StandingWords;
import zebrawood.ledger.Station;
import zebrawood.machine.Machine;
import zebrawood.records.picture.SvgCanvas;
import zebrawood.records.picture.TrendPicture;
import zebrawood.words.Dates;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/** What stands on a hand-over sheet, ready for the template: texts and pictures only. */
public record HandOverSheet(
    String machine,
    String description,
    String written,
    String by,
    String caution,
    List<StationPart> stations,
    List<Happening> events) {
  /**
   * One station.
   *
   * @param mark the standing's sign as SVG, told apart by shape
   * @param picture SVG of the last readings, or empty
   * @param trend SVG of the telling figure, or empty
   */
  public record StationPart(
      String title,
      String question,
      String mark,
      String standing,
      List<FigureRow> figures,
      List<String> checks,
      String picture,
      String trend,
      String trendOf) {}

  /** A figure as found and as left, with its limit. */
  public record FigureRow(String label, String found, String left, String limit, String unit) {}

  /** An event, what it put in doubt, and whether that was proven again. */
  public record Happening(String at, String what, String doubted, String proved, String by) {}

  /**
   * What a sheet is written with.
   *
   * @param pictures draws the plan of an entry of a station, by the station's id; empty where there
   *     is none
   */
  public record Hand(
      Map<String, Function<Entry, String>> pictures,
      Instant now,
      ZoneId zone,
      String by,
      Phrasebook words) {
    String day(Instant at) {
      return words.say(Dates.dayAndYear(at, zone));
    }
  }

  private static final double TREND_WIDTH = 220;
  private static final double TREND_HEIGHT = 56;

  public static HandOverSheet of(Ledger ledger, List<Station> stations, Hand hand) {
    Machine machine = ledger.machine();
    Phrasebook words = hand.words;
    SequencedMap<Station, Standing> standings = ledger.standings(stations, hand.now);
    List<StationPart> parts = new ArrayList<>();
    standings.forEach((station, standing) -> parts.add(part(ledger, station, standing, hand)));
    List<Happening> happenings =
        ledger.aftermaths(stations).stream().map(after -> happening(after, hand)).toList();
    return new HandOverSheet(
        machine.name(),
        words.say(
            machine
                .identity()
                .map(its -> Message.of("machine.identity.and", machine.inOneLine(), its.said()))
                .orElse(machine.inOneLine())),
        hand.day(hand.now),
        hand.by,
        words.say(machine.standingCaution()),
        parts,
        happenings);
  }

  private static Happening happening(Aftermath after, Hand hand) {
    Phrasebook words = hand.words;
    Event event = after.event();
    String names =
        String.join(
            ", ", after.doubted().keySet().stream().map(s -> words.say(s.title())).toList());
    String proved =
        after.doubted().isEmpty()
            ? "–"
            : after
                .provedAt()
                .map(at -> words.say("paper.proved.yes", hand.day(at)))
                .orElseGet(() ->
                    words.say("paper.proved.part", after.proved().size(), after.doubted().size()));
    return new Happening(
        hand.day(event.time()),
        words.sayKept(event.said()),
        names.isEmpty() ? words.say("paper.doubt.nothing") : names,
        proved,
        event.by());
  }

  private static StationPart part(Ledger ledger, Station station, Standing standing, Hand hand) {
    Phrasebook words = hand.words;
    List<Entry> entries = ledger.entriesAt(station);
    Optional<Entry> left = last(entries, EntryKind.AS_LEFT);
    Optional<Entry> found = foundBefore(entries, left);
    List<String> checks =
        entries.stream()
            .filter(e -> e.tellingFigure().isEmpty())
            .map(e ->
                words.say(
                    "paper.check", hand.day(e.time()), words.say(StandingWords.of(e)), e.by()))
            .toList();
    List<Entry> measured = entries.stream().filter(e -> e.tellingFigure().isPresent()).toList();
    Function<Entry, String> picture = hand.pictures.get(station.id());
    return new StationPart(
        words.say(station.title()),
        words.say(station.question()),
        StandingSvg.of(standing),
        words.say(StandingWords.of(standing, hand.zone)),
        rows(station, found, left, hand),
        checks,
        picture == null || measured.isEmpty() ? "" : picture.apply(measured.getLast()),
        measured.size() > 1 ? trend(measured) : "",
        measured.isEmpty()
            ? ""
            : FigureWords.label(station.id(), measured.getLast().figures().getFirst(), words));
  }

  private static String trend(List<Entry> measured) {
    SvgCanvas on = new SvgCanvas(TREND_WIDTH, TREND_HEIGHT);
    TrendPicture.draw(on, measured.stream().map(e -> e.figures().getFirst()).toList(), 6);
    return on.svg();
  }

  private static Optional<Entry> last(List<Entry> entries, EntryKind kind) {
    return entries.reversed().stream()
        .filter(e -> e.kind() == kind && e.tellingFigure().isPresent())
        .findFirst();
  }

  /** The as-found entry of the visit that ended in this as-left one, else the last as found. */
  private static Optional<Entry> foundBefore(List<Entry> entries, Optional<Entry> left) {
    List<Entry> before = left.map(l -> entries.subList(0, entries.indexOf(l) + 1)).orElse(entries);
    return last(before, EntryKind.AS_FOUND);
  }

  private static List<FigureRow> rows(
      Station station, Optional<Entry> found, Optional<Entry> left, Hand hand) {
    List<FigureRow> rows = new ArrayList<>();
    Entry pattern = left.or(() -> found).orElse(null);
    if (pattern == null) {
      return rows;
    }
    Phrasebook words = hand.words;
    rows.add(new FigureRow(words.say("paper.read-on"), at(found, hand), at(left, hand), "", ""));
    for (Figure figure : pattern.figures()) {
      rows.add(
          new FigureRow(
              FigureWords.label(station.id(), figure, words),
              shown(found, figure.id(), words),
              shown(left, figure.id(), words),
              figure.limit().isPresent()
                  ? FigureWords.number(figure, figure.limit().getAsDouble(), words)
                  : "–",
              FigureWords.unit(figure, words)));
    }
    return rows;
  }

  private static String at(Optional<Entry> entry, Hand hand) {
    return entry.map(e -> hand.day(e.time()) + ", " + e.by()).orElse("–");
  }

  private static String shown(Optional<Entry> entry, String figureId, Phrasebook words) {
    return entry
        .flatMap(e -> e.figures().stream().filter(f -> f.id().equals(figureId)).findFirst())
        .map(f -> FigureWords.full(f, words))
        .orElse("–");
  }
}
