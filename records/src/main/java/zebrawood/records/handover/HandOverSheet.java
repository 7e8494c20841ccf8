package zebrawood.records.handover;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedMap;
import zebrawood.ledger.Aftermath;
import zebrawood.ledger.Due;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Event;
import zebrawood.ledger.Figure;
import zebrawood.ledger.FigureHistory;
import zebrawood.ledger.FigureWords;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Standing;
import zebrawood.ledger.StandingWords;
import zebrawood.ledger.Station;
import zebrawood.machine.Identity;
import zebrawood.machine.Machine;
import zebrawood.records.kept.StationPaper;
import zebrawood.records.picture.SvgCanvas;
import zebrawood.records.picture.TrendPicture;
import zebrawood.words.Dates;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/** What stands on a hand-over sheet, ready for the template: texts and pictures only. */
public record HandOverSheet(
    String machine,
    List<Fact> identity,
    String written,
    String by,
    String caution,
    List<StationPart> stations,
    List<Undone> undone,
    List<Proof> proofs,
    List<DueOn> due,
    List<Happening> events,
    String remark) {
  /** A line of what the machine is. */
  public record Fact(String name, String value) {}

  /**
   * One station.
   *
   * @param mark the standing's sign as SVG, told apart by shape
   * @param newest when the newest figures were read, where neither found nor left are the newest
   * @param picture SVG of the last readings, or empty
   * @param anew that it was not kept with them, or empty
   * @param trend SVG of the telling figure, or empty
   * @param telling the telling figure as it was read last, or empty
   */
  public record StationPart(
      String title,
      String question,
      String mark,
      String standing,
      String caution,
      List<FigureRow> figures,
      String newest,
      List<String> checks,
      List<StationPaper.Setting> settings,
      String picture,
      String anew,
      String trend,
      String trendOf,
      Telling telling) {}

  /** One figure, for a card of one page. */
  public record Telling(String value, String limit, String on, String due) {}

  /** A figure as found and as left on the last visit, with its limit, and as it was read last. */
  public record FigureRow(
      String label, String found, String left, String last, String limit, String unit) {}

  /** A station that does not hold, and why. */
  public record Undone(String mark, String station, String why) {}

  /** Something proven by hand and eye on the day of the sheet. */
  public record Proof(String at, String station, String what, String so, String by) {}

  /** Until when a station's figures hold. */
  public record DueOn(String station, String on) {}

  /** An event, what it put in doubt, and whether that was proven again. */
  public record Happening(String at, String what, String doubted, String proved, String by) {}

  /**
   * What a sheet is written with.
   *
   * @param content what is printed of stations and entries beside their figures
   * @param remark what the technician says of what was not done; possibly empty
   */
  public record Hand(
      PaperContent content, Instant now, ZoneId zone, String by, Phrasebook words, String remark) {
    String day(Instant at) {
      return words.say(Dates.dayAndYear(at, zone));
    }

    String moment(Instant at) {
      return words.say(Dates.dayAndTime(at, zone));
    }

    boolean isToday(Instant at) {
      return LocalDate.ofInstant(at, zone).equals(LocalDate.ofInstant(now, zone));
    }
  }

  private static final double TREND_WIDTH = 560;
  private static final double TREND_HEIGHT = 64;

  public static HandOverSheet of(Ledger ledger, List<Station> stations, Hand hand) {
    Machine machine = ledger.machine();
    Phrasebook words = hand.words;
    SequencedMap<Station, Standing> standings = ledger.standings(stations, hand.now);
    List<Due> due = Due.of(ledger, standings);
    List<StationPart> parts = new ArrayList<>();
    standings.forEach((station, standing) -> {
      Optional<String> fitted = ledger.subjectNow(station);
      parts.add(
          part(
              new Part(station, title(ledger, station, words), standing),
              ledger.of(station, fitted),
              due,
              hand));
      ledger
          .onFile(station, stations, hand.now)
          .forEach((subject, onFile) ->
              parts.add(
                  part(
                      new Part(
                          station, words.say("paper.on-file", station.title(), subject), onFile),
                      ledger.of(station, Optional.of(subject)),
                      List.of(),
                      hand)));
      if (fitted.isPresent() && !ledger.of(station, Optional.empty()).isEmpty()) {
        parts.add(
            part(
                new Part(
                    station,
                    words.say("paper.of-unknown", station.title(), station.subject().get()),
                    new Standing.Open(Optional.empty(), Optional.empty())),
                ledger.of(station, Optional.empty()),
                List.of(),
                hand));
      }
    });
    List<Happening> happenings =
        ledger.aftermaths(stations).stream().map(after -> happening(after, hand)).toList();
    return new HandOverSheet(
        machine.name(),
        identity(machine, words),
        hand.day(hand.now),
        hand.by,
        words.say(machine.standingCaution()),
        parts,
        undone(ledger, standings, hand),
        proofs(ledger, standings.keySet(), hand),
        due.stream().map(d -> new DueOn(words.say(d.station().title()), hand.day(d.on()))).toList(),
        happenings,
        hand.remark);
  }

  /** What of the machine was told; what was not is said to be so. */
  private static List<Fact> identity(Machine machine, Phrasebook words) {
    Identity its =
        machine
            .identity()
            .orElse(new Identity(Optional.empty(), Optional.empty(), Optional.empty()));
    String unknown = words.say("paper.not-told");
    return List.of(
        new Fact(words.say("paper.kind"), words.say(machine.inOneLine())),
        new Fact(words.say("machine.field.serialNumber"), its.serialNumber().orElse(unknown)),
        new Fact(words.say("machine.field.place"), its.place().orElse(unknown)),
        new Fact(words.say("machine.field.customer"), its.customer().orElse(unknown)));
  }

  /** A station, with the lens or the like that is on the machine. */
  private static String title(Ledger ledger, Station station, Phrasebook words) {
    return ledger
        .subjectNow(station)
        .map(s -> words.say("paper.of-subject", station.title(), s))
        .orElse(words.say(station.title()));
  }

  private static List<Undone> undone(Ledger ledger, Map<Station, Standing> standings, Hand hand) {
    return standings.entrySet().stream()
        .filter(e -> !e.getValue().holds())
        .map(e ->
            new Undone(
                StandingSvg.of(e.getValue()),
                title(ledger, e.getKey(), hand.words),
                hand.words.say(StandingWords.of(e.getValue(), hand.zone))))
        .toList();
  }

  private static List<Proof> proofs(Ledger ledger, Collection<Station> stations, Hand hand) {
    Phrasebook words = hand.words;
    List<Proof> proofs = new ArrayList<>();
    for (Station station : stations) {
      for (Entry entry : ledger.entriesAt(station)) {
        if (hand.isToday(entry.time())) {
          for (StationPaper.Answered proven : hand.content.of(entry).paper().proven()) {
            proofs.add(
                new Proof(
                    hand.moment(entry.time()),
                    words.say(station.title()),
                    Phrasebook.upperFirst(words.sayKept(proven.what())),
                    words.say(proven.so() ? "paper.so" : "paper.not-so"),
                    entry.by()));
          }
        }
      }
    }
    return proofs;
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

  /** Of what a part of the sheet is, and how that stands. */
  private record Part(Station station, String title, Standing standing) {}

  private static StationPart part(Part of, List<Entry> entries, List<Due> due, Hand hand) {
    Phrasebook words = hand.words;
    Station station = of.station;
    List<Entry> measured = entries.stream().filter(e -> e.tellingFigure().isPresent()).toList();
    FigureHistory history = FigureHistory.of(entries);
    Visit visit = Visit.last(measured);
    List<String> checks =
        entries.stream()
            .filter(e -> e.tellingFigure().isEmpty())
            .map(e ->
                words.say(
                    "paper.check", hand.day(e.time()), words.say(StandingWords.of(e)), e.by()))
            .toList();
    PaperContent.Printed printed =
        measured.isEmpty() ? PaperContent.Printed.NOTHING : hand.content.of(measured.getLast());
    StationPaper paper = printed.paper();
    Message caution = paper.caution().isEmpty() ? hand.content.caution(station) : paper.caution();
    return new StationPart(
        of.title,
        words.say(station.question()),
        StandingSvg.of(of.standing),
        words.say(StandingWords.of(of.standing, hand.zone)),
        words.sayKept(caution),
        rows(station, visit, hand),
        visit.newest().map(e -> at(Optional.of(e), hand)).orElse(""),
        checks,
        paper.settings(),
        paper.drawing(),
        printed.workedOutAnew() && !paper.drawing().isEmpty() ? words.say("paper.anew") : "",
        history.isLine() ? trend(history) : "",
        history.newest().map(f -> FigureWords.label(station.id(), f, words)).orElse(""),
        telling(station, measured, due, hand));
  }

  private static Telling telling(Station station, List<Entry> measured, List<Due> due, Hand hand) {
    String until =
        due.stream()
            .filter(d -> d.station().equals(station))
            .findFirst()
            .map(d -> hand.day(d.on()))
            .orElse("–");
    if (measured.isEmpty()) {
      return new Telling("–", "–", "–", until);
    }
    Entry last = measured.getLast();
    Figure figure = last.figures().getFirst();
    String unit = FigureWords.unit(figure, hand.words);
    return new Telling(
        hand.words.say(
            "paper.telling",
            FigureWords.label(station.id(), figure, hand.words),
            FigureWords.full(figure, hand.words),
            unit),
        limit(figure, hand.words),
        at(Optional.of(last), hand),
        until);
  }

  private static String limit(Figure figure, Phrasebook words) {
    return figure.limit().isPresent()
        ? FigureWords.number(figure, figure.limit().getAsDouble(), words)
        : "–";
  }

  /**
   * The last visit to a station.
   *
   * @param newest the last entry, where it is neither of the others
   */
  private record Visit(Optional<Entry> found, Optional<Entry> left, Optional<Entry> newest) {
    /** The last entry as left with what was found before it on that visit, and what came after. */
    static Visit last(List<Entry> measured) {
      Optional<Entry> left = last(measured, EntryKind.AS_LEFT);
      List<Entry> before =
          left.map(l -> measured.subList(0, measured.indexOf(l) + 1)).orElse(measured);
      Optional<Entry> found =
          last(before, EntryKind.AS_FOUND)
              .filter(f -> left.isEmpty() || Ledger.ofVisit(f, left.get().time()));
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

  private static String trend(FigureHistory history) {
    SvgCanvas on = new SvgCanvas(TREND_WIDTH, TREND_HEIGHT);
    TrendPicture.draw(on, history.figures(), 6);
    return on.svg();
  }

  private static List<FigureRow> rows(Station station, Visit visit, Hand hand) {
    List<FigureRow> rows = new ArrayList<>();
    if (visit.pattern().isEmpty()) {
      return rows;
    }
    Phrasebook words = hand.words;
    rows.add(
        new FigureRow(
            words.say("paper.read-on"),
            at(visit.found, hand),
            at(visit.left, hand),
            at(visit.newest, hand),
            "",
            ""));
    for (Figure figure : visit.pattern().get().figures()) {
      rows.add(
          new FigureRow(
              FigureWords.label(station.id(), figure, words),
              shown(visit.found, figure.id(), words),
              shown(visit.left, figure.id(), words),
              shown(visit.newest, figure.id(), words),
              limit(figure, words),
              FigureWords.unit(figure, words)));
    }
    return rows;
  }

  private static String at(Optional<Entry> entry, Hand hand) {
    return entry
        .map(e ->
            e.enteredLater(hand.zone)
                ? hand.words.say(
                    "paper.entered", hand.day(e.time()), e.by(), hand.day(e.recordedAt()))
                : hand.day(e.time()) + ", " + e.by())
        .orElse("–");
  }

  private static String shown(Optional<Entry> entry, String figureId, Phrasebook words) {
    return entry.flatMap(e -> e.figure(figureId)).map(f -> FigureWords.full(f, words)).orElse("–");
  }
}
