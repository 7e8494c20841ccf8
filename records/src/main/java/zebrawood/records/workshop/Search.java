package zebrawood.records.workshop;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import zebrawood.ledger.Recorded;
import zebrawood.machine.Machine;

/** Looks for words in all lines of all machines, the newest first. */
final class Search {
  private static final Pattern BETWEEN = Pattern.compile("[^\\p{L}\\p{N}.,-]+");
  private static final Pattern SAYS = Pattern.compile("[\\p{L}\\p{N}]");

  private final List<Machine> machines;
  private final Function<Recorded, String> said;
  private final int most;

  /**
   * @param said a line as a person reads it
   * @param most lines
   */
  Search(List<Machine> machines, Function<Recorded, String> said, int most) {
    this.machines = machines;
    this.said = said;
    this.most = most;
  }

  static List<String> wanted(String words) {
    return Stream.of(BETWEEN.split(plain(words))).filter(w -> SAYS.matcher(w).find()).toList();
  }

  /** Lines that have all of these words, or beginnings of words, or their machine's name has. */
  List<Hit> known(List<String> wanted, WordTable table) {
    List<Hit> hits = new ArrayList<>();
    table.lines("", wanted, most).forEach(w -> hits.add(hit(w.line())));
    for (Machine machine : machines) {
      List<String> rest = without(wanted, machine);
      if (rest.isEmpty()) {
        table.newest(machine.id(), most).forEach(w -> hits.add(hit(w.line())));
      } else if (rest.size() < wanted.size()) {
        table.lines(machine.id(), rest, most).forEach(w -> hits.add(hit(w.line())));
      }
    }
    return newest(hits);
  }

  /** The same by reading every line, where its words are not known or a part of one is wanted. */
  List<Hit> read(List<String> wanted, Function<String, List<Recorded>> lines) {
    List<Hit> hits = new ArrayList<>();
    for (Machine machine : machines) {
      List<String> rest = without(wanted, machine);
      for (Recorded line : lines.apply(machine.id())) {
        String text = plain(said.apply(line));
        if (rest.stream().allMatch(text::contains)) {
          hits.add(hit(line));
        }
      }
    }
    return newest(hits);
  }

  private List<String> without(List<String> wanted, Machine machine) {
    String name = plain(machine.name());
    return wanted.stream().filter(w -> !name.contains(w)).toList();
  }

  private static Hit hit(Recorded line) {
    return new Hit(line.machineId(), line);
  }

  private List<Hit> newest(List<Hit> hits) {
    return hits.stream()
        .distinct()
        .sorted(Comparator.comparing((Hit h) -> h.line().at()).reversed())
        .limit(most)
        .toList();
  }

  private static String plain(String words) {
    return words.toLowerCase(Locale.ROOT).replace("'s", "");
  }
}
