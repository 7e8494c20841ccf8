package zebrawood.records.handover;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zebrawood.ledger.Aftermath;
import zebrawood.ledger.Due;
import zebrawood.ledger.Entry;
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
import zebrawood.records.kept.KeptFindings;
import zebrawood.records.kept.StationPaper;
import zebrawood.records.picture.StandingSvg;
import zebrawood.records.picture.SvgCanvas;
import zebrawood.records.picture.TrendPicture;
import zebrawood.words.Dates;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/**
 * What stands on a hand-over sheet, ready for the template: texts and pictures only.
 *
 * @param code the machine's code as SVG
 */
public record HandOverSheet(
    String machine,
    List<Fact> identity,
    String written,
    String by,
    String caution,
    List<StationPart> stations,
    List<Proof> proofs,
    List<Happening> events,
    String remark,
    String code) {
  /** A line of what the machine is. */
  public record Fact(String name, String value) {}

  /**
   * One station.
   *
   * @param mark the standing's sign as SVG, told apart by shape
   * @param newest when the newest figures were read, where neither found nor left are the newest
   * @param settings what a device was left with, and {@code settingsOf} of which day they are
   * @param picture SVG of the last readings, or empty
   * @param note one or two settings, to stand beside the title: what a gap is measured from
   * @param settingsSince what was read since and differs
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
      String settingsOf,
      String settingsSince,
      String note,
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

  /** Something proven by hand and eye, when it was last asked. */
  public record Proof(String at, String station, String what, String so, String by) {}

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
  }

  private static final double TREND_WIDTH = 250;
  private static final double TREND_HEIGHT = 44;

  /** Of a station's newest entries, for what was proven: older ones are of another time. */
  private static final int MOST_LOOKED_AT = 6;

  /** A picture stands beside its figures. */
  private static final double PICTURE_WIDTH = 310;

  private static final Pattern SIZE =
      Pattern.compile("^<svg([^>]*?) width=\"([0-9.]+)\" height=\"([0-9.]+)\"");

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
        proofs(ledger, standings.keySet(), hand),
        happenings,
        hand.remark,
        MachineCode.svg(machine));
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

  /** How a station stands, with the day since when it is stale. */
  private static String standing(Standing standing, Hand hand) {
    String said = hand.words.say(StandingWords.of(standing, hand.zone));
    return switch (standing) {
      case Standing.Stale(Entry proof, Standing.Cause cause) ->
          hand.words.say("paper.since", said, hand.day(cause.since()));
      case Standing.Out(Entry last) ->
          KeptFindings.whyOut(last)
              .map(why -> hand.words.say("paper.out-for", said, hand.words.sayKept(why)))
              .orElse(said);
      default -> said;
    };
  }

  /** What each station proved when it was last asked. */
  private static List<Proof> proofs(Ledger ledger, Collection<Station> stations, Hand hand) {
    Phrasebook words = hand.words;
    List<Proof> proofs = new ArrayList<>();
    for (Station station : stations) {
      for (Entry entry :
          ledger.entriesOfFitted(station).reversed().stream().limit(MOST_LOOKED_AT).toList()) {
        List<StationPaper.Answered> proven = hand.content.of(entry).paper().proven();
        for (StationPaper.Answered one : proven) {
          proofs.add(
              new Proof(
                  hand.moment(entry.time()),
                  words.say(station.title()),
                  Phrasebook.upperFirst(words.sayKept(one.what())),
                  words.say(one.so() ? "paper.so" : "paper.not-so"),
                  entry.by()));
        }
        if (!proven.isEmpty()) {
          break;
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
    Settings settings = Settings.of(measured, hand);
    Message caution = paper.caution().isEmpty() ? hand.content.caution(station) : paper.caution();
    return new StationPart(
        of.title,
        words.say(station.question()),
        StandingSvg.of(of.standing),
        standing(of.standing, hand),
        words.sayKept(caution),
        rows(station, visit, hand),
        visit.newest().map(e -> at(Optional.of(e), hand)).orElse(""),
        checks,
        settings.left(),
        settings.of(),
        settings.since(),
        settings.note(hand),
        beside(paper.drawing()),
        printed.workedOutAnew() && !paper.drawing().isEmpty() ? words.say("paper.anew") : "",
        history.isLine() ? trend(history) : "",
        history.newest().map(f -> FigureWords.label(station.id(), f, words)).orElse(""),
        telling(station, measured, due, hand));
  }

  /** A drawing in the size that has place beside the figures. */
  private static String beside(String svg) {
    Matcher size = SIZE.matcher(svg);
    if (!size.find()) {
      return svg;
    }
    double width = Double.parseDouble(size.group(2));
    double height = Double.parseDouble(size.group(3));
    return size.replaceFirst(
        "<svg$1 width=\"%s\" height=\"%s\" viewBox=\"0 0 %s %s\""
            .formatted(
                PICTURE_WIDTH,
                Math.round(height * PICTURE_WIDTH / width),
                size.group(2),
                size.group(3)));
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
            FigureWords.dated(figure, hand.zone, hand.words),
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
            at(visit.found(), hand),
            at(visit.left(), hand),
            at(visit.newest(), hand),
            "",
            ""));
    for (Figure figure : visit.pattern().get().figures()) {
      rows.add(
          new FigureRow(
              FigureWords.label(station.id(), figure, words),
              shown(visit.found(), figure.id(), hand),
              shown(visit.left(), figure.id(), hand),
              shown(visit.newest(), figure.id(), hand),
              limit(figure, words),
              FigureWords.unit(figure, words)));
    }
    return rows;
  }

  static String at(Optional<Entry> entry, Hand hand) {
    return entry
        .map(e ->
            e.enteredLater(hand.zone)
                ? hand.words.say(
                    "paper.entered", hand.day(e.time()), e.by(), hand.day(e.recordedAt()))
                : hand.day(e.time()) + ", " + e.by())
        .orElse("–");
  }

  private static String shown(Optional<Entry> entry, String figureId, Hand hand) {
    return entry
        .flatMap(e -> e.figure(figureId))
        .map(f -> FigureWords.dated(f, hand.zone, hand.words))
        .orElse("–");
  }
}
