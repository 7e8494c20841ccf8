package zebrawood.records.workshop;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Stream;
import zebrawood.ledger.Recorded;
import zebrawood.machine.Machine;

/** Looks for words in all lines of all machines, the newest first. */
final class Search {
  private final Workshop workshop;
  private final BiFunction<Machine, Recorded, String> said;

  /**
   * @param said a line as a person reads it, its machine's name with it
   */
  Search(Workshop workshop, BiFunction<Machine, Recorded, String> said) {
    this.workshop = workshop;
    this.said = said;
  }

  /** Lines that have all of these words, or beginnings of words. */
  List<Hit> of(String words, int most) {
    List<String> wanted =
        Stream.of(plain(words).split("[^\\p{L}\\p{N}.,-]+")).filter(w -> !w.isBlank()).toList();
    List<Hit> hits = new ArrayList<>();
    if (wanted.isEmpty()) {
      return hits;
    }
    look(wanted, workshop::outline, hits);
    if (hits.isEmpty()) {
      // What was typed for an entry is far larger than all else: it is read where nothing else is.
      look(wanted, workshop::read, hits);
    }
    hits.sort(Comparator.comparing((Hit h) -> h.line().at()).reversed());
    return List.copyOf(hits.subList(0, Math.min(most, hits.size())));
  }

  private void look(List<String> wanted, Function<String, List<Recorded>> lines, List<Hit> hits) {
    for (Machine machine : workshop.machines().readable()) {
      for (Recorded line : lines.apply(machine.id())) {
        String text = plain(said.apply(machine, line));
        if (wanted.stream().allMatch(text::contains)) {
          hits.add(new Hit(machine.id(), line));
        }
      }
    }
  }

  private static String plain(String words) {
    return words.toLowerCase(Locale.ROOT).replace("'s", "");
  }
}
