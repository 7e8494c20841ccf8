package zebrawood.cards;

import java.util.List;

/**
 * Squares that are lighter than a gentler one, beyond noise: charred, ash or burnt away. They are
 * at least as dark as they came out, and tell nothing else.
 */
final class Charring {
  /** Of the difference of two squares: noise alone passes it once in some thousand pairs. */
  private static final double BEYOND_NOISE = 3.5 * Math.sqrt(2);

  /** Beyond a square that is charred, so much less is enough. */
  private static final double BESIDE_CHARRED = 1.5 * Math.sqrt(2);

  private Charring() {}

  /**
   * @param error standard deviation of one square
   * @return for each square whether it is charred
   */
  static boolean[] of(List<CardSample> squares, double error) {
    int n = squares.size();
    boolean[] charred = new boolean[n];
    for (int i = 0; i < n; i++) {
      charred[i] = lighterBy(squares, i, BEYOND_NOISE * error);
    }
    boolean[] all = charred.clone();
    for (int i = 0; i < n; i++) {
      if (!charred[i] && lighterBy(squares, i, BESIDE_CHARRED * error)) {
        for (int j = 0; j < n && !all[i]; j++) {
          all[i] = charred[j] && j != i && squares.get(i).noGentlerThan(squares.get(j));
        }
      }
    }
    return all;
  }

  private static boolean lighterBy(List<CardSample> squares, int i, double by) {
    CardSample square = squares.get(i);
    for (CardSample gentler : squares) {
      if (square.noGentlerThan(gentler) && gentler.darkness() - square.darkness() > by) {
        return true;
      }
    }
    return false;
  }
}
