package zebrawood.cards;

import java.util.List;
import java.util.Optional;

/**
 * One visit to the cards of a stock.
 *
 * @param book the settings that are kept for it
 * @param focusHolds whether the focus of this lens holds; empty where nobody can tell
 */
public record CardsReadings(
    CardsTask task, Stock stock, List<BookLine> book, Optional<Boolean> focusHolds) {
  public CardsReadings {
    book = List.copyOf(book);
  }
}
