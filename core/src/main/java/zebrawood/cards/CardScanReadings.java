package zebrawood.cards;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * A burnt card in a scan or photograph.
 *
 * @param crossesMm the middles of its four crosses: lower left, lower right, upper right, upper
 *     left
 * @param crossMm from end to end of a cross
 * @param crossesPx where they were pressed in the picture, in that order
 */
public record CardScanReadings(
    String imagePath,
    List<List<Double>> crossesMm,
    OptionalDouble crossMm,
    List<List<Double>> crossesPx,
    List<Square> squares) {
  static final int CROSSES = 4;

  /** A cross is looked for as far about where it was pressed, in x and y each. */
  static final double PRESSED_TO_PX = 15;

  private static final int MOST_SQUARES = 2500;
  private static final double MOST_PX = 200_000;

  /**
   * One square.
   *
   * @param xMm of its lower left corner, as {@code yMm}
   * @param intervalMm of its lines; empty where their bands are not asked for
   */
  public record Square(
      int column,
      int row,
      double xMm,
      double yMm,
      double wMm,
      double hMm,
      OptionalDouble intervalMm) {}

  public CardScanReadings {
    crossesMm = List.copyOf(crossesMm);
    crossesPx = List.copyOf(crossesPx);
    squares = List.copyOf(squares);
    var accepts = new Accepts().filled("imagePath", imagePath);
    places(
        accepts, "crossesMm", crossesMm, -CardPlanReadings.LARGEST_MM, CardPlanReadings.LARGEST_MM);
    places(accepts, "crossesPx", crossesPx, 0, MOST_PX);
    crossMm.ifPresent(c -> accepts.between("crossMm", c, 0.1, CardPlanReadings.LARGEST_MM));
    accepts
        .atLeast("squares", squares, 1, "cards.count.squares")
        .atMost("squares", squares, MOST_SQUARES);
    for (int i = 0; i < squares.size() && squares.size() <= MOST_SQUARES; i++) {
      Square s = squares.get(i);
      String at = "squares[" + i + "].";
      double largest = CardPlanReadings.LARGEST_MM;
      accepts
          .between(at + "column", s.column, 0, CardPlanReadings.MOST_SQUARES)
          .between(at + "row", s.row, 0, CardPlanReadings.MOST_SQUARES)
          .between(at + "xMm", s.xMm, -largest, largest)
          .between(at + "yMm", s.yMm, -largest, largest)
          .positive(at + "wMm", s.wMm, largest)
          .positive(at + "hMm", s.hMm, largest);
      s.intervalMm.ifPresent(
          v -> accepts.between(at + "intervalMm", v, CardPlanReadings.FINEST_MM, largest));
    }
    if (accepts.fine()) {
      turn(accepts, crossesMm, crossesPx);
    }
    accepts.orThrow();
  }

  private static void places(
      Accepts accepts, String field, List<List<Double>> four, double least, double most) {
    if (four.size() != CROSSES) {
      accepts.complain(
          field, Message.of("accepts.of-them", four.size()), Message.of("cards.accepts.four"));
      return;
    }
    for (int i = 0; i < CROSSES; i++) {
      if (four.get(i).size() != 2) {
        accepts.complain(
            field + "[" + i + "]",
            Message.of("accepts.of-them", four.get(i).size()),
            Message.of("cards.accepts.two"));
        return;
      }
      accepts.between(field + "[" + i + "][0]", four.get(i).get(0), least, most);
      accepts.between(field + "[" + i + "][1]", four.get(i).get(1), least, most);
    }
  }

  /** Round the card in the one sense, and in the picture, whose y goes down, in the other. */
  private static void turn(Accepts accepts, List<List<Double>> mm, List<List<Double>> px) {
    int against = 0;
    for (int i = 0; i < CROSSES; i++) {
      double onCard = corner(mm, i);
      if (onCard == 0) {
        accepts.complain(
            "crossesMm", Message.of("cards.found.in-line"), Message.of("cards.accepts.corners"));
        return;
      }
      against += onCard * corner(px, i) < 0 ? 1 : 0;
    }
    if (against < CROSSES) {
      accepts.complain(
          "crossesPx",
          Message.of(against == 0 ? "cards.found.mirrored" : "cards.found.order"),
          Message.of("cards.accepts.order"));
    }
  }

  /** Above 0 where the way turns left at it. */
  private static double corner(List<List<Double>> of, int i) {
    List<Double> before = of.get((i + CROSSES - 1) % CROSSES);
    List<Double> at = of.get(i);
    List<Double> after = of.get((i + 1) % CROSSES);
    return (at.get(0) - before.get(0)) * (after.get(1) - at.get(1))
        - (at.get(1) - before.get(1)) * (after.get(0) - at.get(0));
  }

  double crossSizeMm() {
    return crossMm.orElse(CardPlanReadings.USUAL_CROSS_MM);
  }
}
