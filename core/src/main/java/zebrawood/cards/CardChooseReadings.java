package zebrawood.cards;

import java.util.List;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * How dark the squares of a card came out, and how dark the work shall be.
 *
 * @param squares at least nine, of at least three speeds and three powers
 * @param darknessResolution what is told apart
 */
public record CardChooseReadings(
    List<CardSample> squares, double darknessResolution, double wantedDarkness) {
  static final double LIGHTEST = -0.1;
  static final int MOST_SQUARES = 2500;
  private static final int LEAST_SQUARES = 9;
  private static final int LEAST_A_SIDE = 3;

  public CardChooseReadings {
    squares = List.copyOf(squares);
    var accepts = new Accepts().atLeast("squares", squares, LEAST_SQUARES, "cards.count.squares");
    check(accepts, "squares", squares);
    if (accepts.fine()) {
      apart(accepts, squares.stream().mapToDouble(CardSample::speedMmS).distinct().count(), true);
      apart(accepts, squares.stream().mapToDouble(CardSample::percent).distinct().count(), false);
    }
    accepts
        .positive("darknessResolution", darknessResolution, 1)
        .between("wantedDarkness", wantedDarkness, LIGHTEST, 1)
        .orThrow();
  }

  private static void apart(Accepts accepts, long count, boolean speeds) {
    if (count < LEAST_A_SIDE) {
      accepts.complain(
          "squares",
          Message.of(speeds ? "cards.found.speeds" : "cards.found.percents", count),
          Message.of("cards.accepts.three", LEAST_A_SIDE));
    }
  }

  static void check(Accepts accepts, String field, List<CardSample> squares) {
    accepts.atMost(field, squares, MOST_SQUARES);
    for (int i = 0; i < squares.size() && squares.size() <= MOST_SQUARES; i++) {
      CardSample s = squares.get(i);
      accepts
          .positive(field + "[" + i + "].speedMmS", s.speedMmS(), CardPlanReadings.FASTEST_MM_S)
          .positive(field + "[" + i + "].percent", s.percent(), 100)
          .between(field + "[" + i + "].darkness", s.darkness(), LIGHTEST, 1);
    }
  }
}
