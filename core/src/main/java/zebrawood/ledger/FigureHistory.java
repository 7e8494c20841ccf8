package zebrawood.ledger;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * One figure over a station's entries: that which tells in the newest of them. Entries that have
 * another figure in its place are passed over, whatever stands first in them.
 *
 * @param entries that have it, oldest first
 * @param figures of the same entries, in the same order
 */
public record FigureHistory(List<Entry> entries, List<Figure> figures) {
  public FigureHistory {
    entries = List.copyOf(entries);
    figures = List.copyOf(figures);
  }

  /**
   * @param all entries of one station, oldest first; those without figures are passed over
   */
  public static FigureHistory of(List<Entry> all) {
    Optional<String> id =
        all.reversed().stream()
            .filter(e -> !e.figures().isEmpty())
            .findFirst()
            .map(e -> e.figures().getFirst().id());
    List<Entry> entries = new ArrayList<>();
    List<Figure> figures = new ArrayList<>();
    if (id.isPresent()) {
      for (Entry entry : all) {
        entry
            .figure(id.get())
            .ifPresent(figure -> {
              entries.add(entry);
              figures.add(figure);
            });
      }
    }
    return new FigureHistory(entries, figures);
  }

  /** The newest; empty where no entry has any. */
  public Optional<Figure> newest() {
    return figures.isEmpty() ? Optional.empty() : Optional.of(figures.getLast());
  }

  /** Whether there is more than one point to draw a line through. */
  public boolean isLine() {
    return figures.size() > 1;
  }
}
