package zebrawood.cards;

import java.util.List;
import java.util.Optional;
import zebrawood.cards.CardsFinding.Chosen;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * A card judged by eye.
 *
 * @param rows a row of grades for each speed, from the front; each with one for every power from
 *     the left
 * @param wanted what the work shall be: engraved good, or cut through
 */
public record CardGrades(CardGrid grid, List<List<Grade>> rows, Grade wanted) {
  /** A setting that wanders so much shall still do. */
  private static final int NEIGHBOUR = 1;

  public CardGrades {
    rows = rows.stream().map(List::copyOf).toList();
    var accepts = new Accepts();
    if (rows.size() != grid.speedsMmS().size()) {
      accepts.complain(
          "rows",
          Message.of("accepts.of-them", rows.size()),
          Message.of("cards.accepts.rows", grid.speedsMmS().size()));
    }
    for (int i = 0; i < rows.size(); i++) {
      if (rows.get(i).size() != grid.percents().size()) {
        accepts.complain(
            "rows[" + i + "]",
            Message.of("accepts.of-them", rows.get(i).size()),
            Message.of("cards.accepts.grades", grid.percents().size()));
      }
    }
    accepts.orThrow();
  }

  private boolean is(int column, int row) {
    return column < 0
        || row < 0
        || row >= rows.size()
        || column >= rows.get(row).size()
        || rows.get(row).get(column) == wanted;
  }

  /**
   * Whether those beside it are as wanted too; beyond the card nobody knows, which counts for it.
   */
  private int neighbours(int column, int row) {
    int as = 0;
    for (int dy = -NEIGHBOUR; dy <= NEIGHBOUR; dy++) {
      for (int dx = -NEIGHBOUR; dx <= NEIGHBOUR; dx++) {
        boolean onCard =
            column + dx >= 0
                && row + dy >= 0
                && row + dy < rows.size()
                && column + dx < rows.get(row).size();
        as += onCard && is(column + dx, row + dy) ? 1 : 0;
      }
    }
    return as;
  }

  private Optional<Chosen> best(boolean byNeighbours) {
    Chosen best = null;
    double most = 0;
    for (int row = 0; row < rows.size(); row++) {
      for (int column = 0; column < rows.get(row).size(); column++) {
        if (rows.get(row).get(column) == wanted) {
          double speed = grid.speedsMmS().get(row);
          double worth = byNeighbours ? neighbours(column, row) + 1e-6 * Math.log(speed) : speed;
          if (best == null || worth > most) {
            best = new Chosen(speed, grid.percents().get(column));
            most = worth;
          }
        }
      }
    }
    return Optional.ofNullable(best);
  }

  /** The fastest square that is as wanted; of equally fast ones the gentlest. */
  Optional<Chosen> fastest() {
    return best(false);
  }

  /** The one with most like it about it. */
  Optional<Chosen> steadiest() {
    return best(true);
  }
}
