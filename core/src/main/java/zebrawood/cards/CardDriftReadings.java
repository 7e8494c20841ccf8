package zebrawood.cards;

import java.util.List;
import zebrawood.measure.Accepts;

/** A kept card, and the same or a like one burnt again. */
public record CardDriftReadings(
    List<CardSample> before, List<CardSample> after, double darknessResolution) {
  public CardDriftReadings {
    before = List.copyOf(before);
    after = List.copyOf(after);
    var accepts =
        new Accepts()
            .atLeast("before", before, 1, "cards.count.squares")
            .atLeast("after", after, 1, "cards.count.squares");
    CardChooseReadings.check(accepts, "before", before);
    CardChooseReadings.check(accepts, "after", after);
    accepts.positive("darknessResolution", darknessResolution, 1).orThrow();
  }
}
