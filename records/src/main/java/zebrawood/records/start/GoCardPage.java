package zebrawood.records.start;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import zebrawood.machine.Machine;
import zebrawood.records.paper.Paper;
import zebrawood.records.paper.Paper.Written;
import zebrawood.site.NeverIn;
import zebrawood.start.GoCard;
import zebrawood.start.GoLine;
import zebrawood.start.GoLine.Kind;

/**
 * The go card as it hangs on the wall, ready for the template.
 *
 * @param parts its lines under their headings, in the order they are done
 * @param never what must never go in, with the reason
 */
public record GoCardPage(
    String machine,
    String description,
    String written,
    String caution,
    List<Part> parts,
    List<Never> never) {

  /** Lines under one heading. */
  public record Part(String heading, List<String> lines) {}

  /** What must never go in. */
  public record Never(String what, String why) {}

  /**
   * @param day when it was written, in words
   */
  public static GoCardPage of(Machine machine, GoCard card, String day) {
    List<Part> parts =
        Stream.of(
                part(card, "Before anything is powered", Set.of(Kind.STOP_FIRST)),
                part(card, "Switch on, in this order", Set.of(Kind.SWITCH_ON)),
                part(card, "Once a day", Set.of(Kind.INTERLOCK)),
                part(card, "Before every run", Set.of(Kind.BEFORE_RUN)),
                part(card, "It went wrong here before", Set.of(Kind.LESSON)))
            .filter(p -> !p.lines().isEmpty())
            .toList();
    return new GoCardPage(
        machine.name(),
        machine.inOneLine(),
        day,
        machine.standingCaution(),
        parts,
        Stream.of(NeverIn.values()).map(n -> new Never(n.what(), n.why())).toList());
  }

  private static Part part(GoCard card, String heading, Set<Kind> kinds) {
    return new Part(
        heading,
        card.lines().stream().filter(l -> kinds.contains(l.kind())).map(GoLine::words).toList());
  }

  /** As one well-formed HTML page. */
  public String html() throws IOException {
    return Paper.fill("/zebrawood/records/start/go-card.html", Map.of("card", this));
  }

  /** Writes both files into the folder, which is made where there is none. */
  public Written write(Path folder, String name) throws IOException {
    return Paper.write(html(), folder, name);
  }
}
