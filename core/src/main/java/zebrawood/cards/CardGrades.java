package zebrawood.cards;

import java.util.List;
import java.util.Optional;
import zebrawood.cards.CardsFinding.Chosen;
import zebrawood.measure.Accepts;

/**
 * A card judged by eye.
 *
 * @param rows a row of grades for each speed, from the front; each with one for every power from
 *     the left
 * @param wanted what the work shall be: engraved good, or cut through
 */
public record CardGrades(CardGrid grid, List<List<Grade>> rows, Grade wanted) {
  public CardGrades {
    rows = rows.stream().map(List::copyOf).toList();
    var accepts = new Accepts();
    grid.checkRows(accepts, rows);
    accepts.orThrow();
  }

  private boolean is(int column, int row) {
    return row >= 0
        && row < rows.size()
        && column >= 0
        && column < rows.get(row).size()
        && rows.get(row).get(column) == wanted;
  }

  /** How many of those about it, and itself, are as wanted. */
  private int neighbours(int column, int row) {
    int as = 0;
    for (int dy = -1; dy <= 1; dy++) {
      for (int dx = -1; dx <= 1; dx++) {
        as += is(column + dx, row + dy) ? 1 : 0;
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
          Chosen its = SteppedCard.chosen(grid, column, row);
          double pace = SteppedCard.pace(its);
          int near = neighbours(column, row);
          double worth =
              byNeighbours ? near + 1e-6 * Math.log(pace) : pace * (1 + ofEqualOnes(near));
          if (best == null || worth > most) {
            best = its;
            most = worth;
          }
        }
      }
    }
    return Optional.ofNullable(best);
  }

  /** Of equally fast ones on a card of steps the one with most like it; else the gentlest. */
  private double ofEqualOnes(int near) {
    return grid.stepped() ? 1e-9 * near : 0;
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
