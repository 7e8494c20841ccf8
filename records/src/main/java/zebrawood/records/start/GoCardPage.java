package zebrawood.records.start;

import java.io.IOException;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import zebrawood.ledger.Standing;
import zebrawood.ledger.StandingWords;
import zebrawood.ledger.Station;
import zebrawood.machine.Machine;
import zebrawood.machine.NeverIn;
import zebrawood.records.paper.Paper;
import zebrawood.records.picture.StandingSvg;
import zebrawood.start.GoCard;
import zebrawood.start.GoLine;
import zebrawood.start.GoLine.Kind;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/**
 * The go card as it hangs on the wall, ready for the template.
 *
 * @param parts its lines under their headings, in the order they are done
 * @param notProven what did not hold on the day it was written
 * @param never what must never go in, with the reason
 */
public record GoCardPage(
    String machine,
    String description,
    String written,
    String caution,
    List<Part> parts,
    List<NotProven> notProven,
    List<Never> never) {

  /** Lines under one heading. */
  public record Part(String heading, List<String> lines) {}

  /** A station that did not hold on the day, with its sign as SVG. */
  public record NotProven(String mark, String station, String why) {}

  /** What must never go in. */
  public record Never(String what, String why) {}

  /**
   * @param standings of its stations
   * @param day when it was written, in words
   * @param zone in which days are named
   */
  public static GoCardPage of(
      Machine machine,
      GoCard card,
      Map<Station, Standing> standings,
      String day,
      ZoneId zone,
      Phrasebook words) {
    List<Part> parts =
        Stream.of(Kind.values())
            .map(kind -> part(card, kind, words))
            .filter(p -> !p.lines().isEmpty())
            .toList();
    return new GoCardPage(
        machine.name(),
        words.say(machine.inOneLine()),
        day,
        words.say(machine.standingCaution()),
        parts,
        standings.entrySet().stream()
            .filter(e -> e.getValue().asks())
            .map(e ->
                new NotProven(
                    StandingSvg.of(e.getValue()),
                    words.say(e.getKey().title()),
                    words.say(StandingWords.of(e.getValue(), zone))))
            .toList(),
        Stream.of(NeverIn.values())
            .map(n -> new Never(words.say(n), words.say(Message.keyOf(n) + ".why")))
            .toList());
  }

  private static Part part(GoCard card, Kind kind, Phrasebook words) {
    return new Part(
        words.say(kind),
        card.lines().stream()
            .filter(l -> l.kind() == kind)
            .map(GoLine::said)
            .map(words::line)
            .toList());
  }

  /** As one well-formed HTML page. */
  public String html(Phrasebook words) throws IOException {
    return Paper.fill("/zebrawood/records/start/go-card.html", Map.of("card", this), words);
  }
}
