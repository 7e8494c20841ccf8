package zebrawood.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

class FigureHistoryTest {
  private static Entry entry(String id, Figure... figures) {
    Instant at = Instant.parse("2026-05-04T08:00:00Z");
    return new Entry(
        id,
        "alder",
        "site",
        Optional.empty(),
        EntryKind.CHECK,
        at,
        at,
        "EH",
        Message.NONE,
        "{}",
        "{}",
        Verdict.WITHIN,
        List.of(figures),
        Optional.empty());
  }

  private static Figure figure(String id, double value, Quantity quantity) {
    return Figure.of(id, value, quantity);
  }

  /** Ohms and per cent never share a line, whichever stood first in an entry. */
  @Test
  void oneFigureIsFollowedByItsIdAndNeverByItsPlace() {
    Entry first = entry("a", figure("earth", 0.12, Quantity.RESISTANCE));
    Entry other = entry("b", figure("breaker", 63, Quantity.PERCENT));
    Entry both =
        entry(
            "c",
            figure("breaker", 60, Quantity.PERCENT),
            figure("earth", 0.16, Quantity.RESISTANCE));
    Entry newest = entry("d", figure("earth", 0.14, Quantity.RESISTANCE));
    FigureHistory history = FigureHistory.of(List.of(first, other, both, entry("n"), newest));
    assertThat(history.entries()).containsExactly(first, both, newest);
    assertThat(history.figures()).extracting(Figure::value).containsExactly(0.12, 0.16, 0.14);
    assertThat(history.newest()).contains(newest.figures().getFirst());
    assertThat(FigureHistory.of(List.of(other)).isLine()).isFalse();
    assertThat(FigureHistory.of(List.of(entry("n"))).newest()).isEmpty();
  }
}
