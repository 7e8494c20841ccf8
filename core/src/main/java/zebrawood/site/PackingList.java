package zebrawood.site;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zebrawood.measure.Accepts;
import zebrawood.measure.PartFinding;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * The parts against the list that came with them.
 *
 * @param parts as listed
 */
public record PackingList(List<Count> parts) {
  /** Such as {@code hose clamp, 4, 3}: name, listed, found; found may still be missing. */
  private static final Pattern LINE =
      Pattern.compile("\\s*(.+?)\\s*[,;\\t]\\s*(\\d{1,5})\\s*(?:[,;\\t]\\s*(\\d{1,5})\\s*)?");

  /**
   * @param found -1 while nobody has counted
   */
  public record Count(String name, int listed, int found) {
    public Count {
      new Accepts()
          .filled("name", name)
          .between("listed", listed, 1, 99_999)
          .between("found", found, -1, 99_999)
          .orThrow();
    }

    boolean counted() {
      return found >= 0;
    }
  }

  public PackingList {
    parts = List.copyOf(parts);
    new Accepts().atLeast("parts", parts, 1, "site.count.part").orThrow();
  }

  /**
   * Reads one part a line: name, count on the list, count found, with commas, semicolons or tabs
   * between. Empty lines are passed over.
   *
   * @throws zebrawood.measure.UnusableReading naming every line that is not so
   */
  public static PackingList parse(String typed) {
    var accepts = new Accepts();
    List<Count> parts = new ArrayList<>();
    int number = 0;
    for (String line : typed.lines().toList()) {
      number++;
      if (line.isBlank()) {
        continue;
      }
      Matcher m = LINE.matcher(line);
      if (m.matches() && Integer.parseInt(m.group(2)) > 0) {
        parts.add(
            new Count(
                m.group(1),
                Integer.parseInt(m.group(2)),
                m.group(3) == null ? -1 : Integer.parseInt(m.group(3))));
      } else {
        accepts.complain(
            "packingList[" + number + "]",
            Message.quoted("\"" + line.strip() + "\""),
            Message.of("site.packing-list.name-count-listed"));
      }
    }
    accepts.orThrow();
    return new PackingList(parts);
  }

  List<PartFinding> judge() {
    List<PartFinding> parts = new ArrayList<>();
    for (Count part : this.parts) {
      if (!part.counted()) {
        parts.add(
            new PartFinding(
                zebrawood.measure.Verdict.MEASURE_AGAIN,
                List.of(Advice.read("site.packing-list.count").because(Message.quoted(part.name))),
                List.of()));
      } else if (part.found < part.listed) {
        parts.add(
            PartFinding.adjust(
                Advice.act(
                        "site.packing-list.ask-maker",
                        Amount.plain(part.listed - part.found, Quantity.NUMBER),
                        part.name)
                    .because(
                        "site.packing-list.list-found-are",
                        Amount.plain(part.listed, Quantity.NUMBER),
                        Amount.plain(part.found, Quantity.NUMBER))));
      }
    }
    return parts;
  }
}
