package zebrawood.site;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zebrawood.measure.Accepts;
import zebrawood.measure.Numbers;

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
    new Accepts().atLeast("parts", parts, 1, "part").orThrow();
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
            "Packing list, line " + number,
            "\"" + line.strip() + "\"",
            "a name, the count listed and the count found, with commas between");
      }
    }
    accepts.orThrow();
    return new PackingList(parts);
  }

  List<Part> judge() {
    List<Part> parts = new ArrayList<>();
    for (Count part : this.parts) {
      if (!part.counted()) {
        parts.add(
            new Part(
                zebrawood.measure.Verdict.MEASURE_AGAIN,
                List.of("Count it against the packing list: " + part.name + "."),
                List.of()));
      } else if (part.found < part.listed) {
        parts.add(
            Part.adjust(
                "Ask the maker for %s × %s: the list has %s, found are %s."
                    .formatted(
                        Numbers.plain(part.listed - part.found),
                        part.name,
                        Numbers.plain(part.listed),
                        Numbers.plain(part.found))));
      }
    }
    return parts;
  }
}
