package zebrawood.cards;

import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * A card of squares to burn: columns by power from the left, rows by speed from the front.
 *
 * @param squareMm width and height
 * @param gapMm between squares
 * @param atMm lower left corner of the first square
 * @param intervalMm from line to line
 * @param accelerationMmS2 of both axes; empty where nobody knows it
 * @param travelMm how far the head moves in x and y, from 0
 * @param topPowerWord of the controller; empty where it takes none, or nobody knows it
 * @param travelSpeedMmS between lines and squares; empty where nobody knows it
 * @param crossMm from end to end of each of the four crosses
 * @param layersMost how many settings a controller takes at once; empty where it takes G-code
 */
public record CardPlanReadings(
    List<Double> percents,
    List<Double> speedsMmS,
    List<Double> squareMm,
    double gapMm,
    List<Double> atMm,
    double intervalMm,
    OptionalDouble accelerationMmS2,
    List<Double> travelMm,
    OptionalDouble topPowerWord,
    OptionalDouble travelSpeedMmS,
    OptionalDouble crossMm,
    CrossAt crossAt,
    OptionalInt layersMost) {
  public static final double USUAL_CROSS_MM = 4;
  public static final int MOST_SQUARES = 10_000;
  static final long MOST_LINES = 400_000;
  static final double FASTEST_MM_S = 50_000;
  static final double LARGEST_MM = 10_000;
  static final double FINEST_MM = 0.001;
  private static final double STRONGEST_MM_S2 = 10_000_000;
  private static final double LARGEST_WORD = 1_000_000;

  /** A coordinate is written to a micrometre: what is smaller does not move. */
  private static final double SMALLEST_MM = 0.01;

  /** How the crosses are burnt. */
  public record CrossAt(double percent, double speedMmS) {}

  public CardPlanReadings {
    percents = List.copyOf(percents);
    speedsMmS = List.copyOf(speedsMmS);
    squareMm = List.copyOf(squareMm);
    atMm = List.copyOf(atMm);
    travelMm = List.copyOf(travelMm);
    var accepts =
        new Accepts()
            .atLeast("percents", percents, 1, "cards.count.percents")
            .atLeast("speedsMmS", speedsMmS, 1, "cards.count.speeds");
    for (int i = 0; i < percents.size(); i++) {
      accepts.positive("percents[" + i + "]", percents.get(i), 100);
    }
    for (int i = 0; i < speedsMmS.size(); i++) {
      accepts.positive("speedsMmS[" + i + "]", speedsMmS.get(i), FASTEST_MM_S);
    }
    if ((long) percents.size() * speedsMmS.size() > MOST_SQUARES) {
      accepts.complain(
          "percents",
          Message.of("cards.found.squares", (long) percents.size() * speedsMmS.size()),
          Message.of("cards.accepts.squares", MOST_SQUARES));
    }
    pair(accepts, "squareMm", squareMm, SMALLEST_MM, LARGEST_MM);
    accepts.between("gapMm", gapMm, 0, LARGEST_MM);
    pair(accepts, "atMm", atMm, -LARGEST_MM, LARGEST_MM);
    accepts.between("intervalMm", intervalMm, FINEST_MM, LARGEST_MM);
    accelerationMmS2.ifPresent(a -> accepts.between("accelerationMmS2", a, 1, STRONGEST_MM_S2));
    pair(accepts, "travelMm", travelMm, 1, LARGEST_MM);
    topPowerWord.ifPresent(w -> accepts.positive("topPowerWord", w, LARGEST_WORD));
    travelSpeedMmS.ifPresent(v -> accepts.positive("travelSpeedMmS", v, FASTEST_MM_S));
    crossMm.ifPresent(c -> accepts.between("crossMm", c, SMALLEST_MM, LARGEST_MM));
    accepts
        .positive("crossAt.percent", crossAt.percent, 100)
        .positive("crossAt.speedMmS", crossAt.speedMmS, FASTEST_MM_S);
    layersMost.ifPresent(n -> accepts.between("layersMost", n, 1, MOST_SQUARES));
    if (accepts.fine() && allLines(percents, speedsMmS, squareMm, intervalMm) > MOST_LINES) {
      accepts.complain(
          "intervalMm",
          Message.of(
              "cards.found.lines",
              Message.number(intervalMm),
              (long) allLines(percents, speedsMmS, squareMm, intervalMm)),
          Message.of("cards.accepts.lines", MOST_LINES));
    }
    accepts.orThrow();
  }

  private static void pair(
      Accepts accepts, String field, List<Double> two, double least, double most) {
    if (two.size() != 2) {
      accepts.complain(
          field, Message.of("accepts.of-them", two.size()), Message.of("cards.accepts.two"));
      return;
    }
    for (int i = 0; i < 2; i++) {
      accepts.between(field + "[" + i + "]", two.get(i), least, most);
    }
  }

  private static double allLines(
      List<Double> percents, List<Double> speeds, List<Double> square, double intervalMm) {
    return (double) percents.size() * speeds.size() * linesOf(square.get(1), intervalMm);
  }

  private static double linesOf(double heightMm, double intervalMm) {
    return Math.floor(heightMm / intervalMm + 1e-6) + 1;
  }

  int lines() {
    return (int) linesOf(squareMm.get(1), intervalMm);
  }

  double widthMm() {
    return squareMm.get(0);
  }

  double heightMm() {
    return squareMm.get(1);
  }

  double xMm(int column) {
    return atMm.get(0) + column * (widthMm() + gapMm);
  }

  double yMm(int row) {
    return atMm.get(1) + row * (heightMm() + gapMm);
  }

  double crossSizeMm() {
    return crossMm.orElse(USUAL_CROSS_MM);
  }

  /** The crosses' middles: lower left, lower right, upper right, upper left. */
  List<List<Double>> crossesMm() {
    double out = gapMm + crossSizeMm() / 2;
    double left = xMm(0) - out;
    double right = xMm(percents.size() - 1) + widthMm() + out;
    double front = yMm(0) - out;
    double rear = yMm(speedsMmS.size() - 1) + heightMm() + out;
    return List.of(
        List.of(left, front), List.of(right, front), List.of(right, rear), List.of(left, rear));
  }
}
