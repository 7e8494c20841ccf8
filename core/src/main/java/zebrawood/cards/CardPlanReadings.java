package zebrawood.cards;

import java.util.List;
import java.util.Optional;
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
 * @param across what changes from column to column instead of the power, of which there is one then
 * @param up what changes from row to row instead of the speed, of which there is one then
 * @param fill how a square is burnt; empty for lines there and back, once
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
    OptionalInt layersMost,
    Optional<CardSteps> across,
    Optional<CardSteps> up,
    Optional<CardFill> fill) {
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
    CardGrid.steps(accepts, percents, speedsMmS, across, up);
    fill.ifPresent(f -> f.check(accepts));
    long squares = (long) sizeOf(percents, across) * sizeOf(speedsMmS, up);
    if (squares > MOST_SQUARES) {
      accepts.complain(
          across.isPresent() ? "across.values" : "percents",
          Message.of("cards.found.squares", squares),
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
    if (accepts.fine()) {
      double all = allLines(percents, speedsMmS, squareMm, intervalMm, across, up, fill);
      if (all > MOST_LINES) {
        accepts.complain(
            "intervalMm",
            Message.of("cards.found.lines", Message.number(intervalMm), (long) all),
            Message.of("cards.accepts.lines", MOST_LINES));
      }
    }
    accepts.orThrow();
  }

  /** A card of powers and speeds, filled there and back. */
  public CardPlanReadings(
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
    this(
        percents,
        speedsMmS,
        squareMm,
        gapMm,
        atMm,
        intervalMm,
        accelerationMmS2,
        travelMm,
        topPowerWord,
        travelSpeedMmS,
        crossMm,
        crossAt,
        layersMost,
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
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

  private static int sizeOf(List<Double> plain, Optional<CardSteps> steps) {
    return steps.map(s -> s.values().size()).orElse(plain.size());
  }

  private static double allLines(
      List<Double> percents,
      List<Double> speeds,
      List<Double> square,
      double intervalMm,
      Optional<CardSteps> across,
      Optional<CardSteps> up,
      Optional<CardFill> fill) {
    double all = 0;
    for (int row = 0; row < sizeOf(speeds, up); row++) {
      for (int column = 0; column < sizeOf(percents, across); column++) {
        CardSetting common = common(intervalMm, fill.orElse(CardFill.USUAL).passes());
        CardSetting its = CardGrid.setting(common, percents, speeds, across, up, column, row);
        all += strokes(its, fill.orElse(CardFill.USUAL), square.get(0), square.get(1));
      }
    }
    return all;
  }

  private static CardSetting common(double intervalMm, OptionalInt passes) {
    CardSetting plain = CardSetting.of(0, 0, OptionalDouble.of(intervalMm));
    return passes.isPresent() ? plain.with(CardSteps.Step.PASSES, passes.getAsInt()) : plain;
  }

  /** Of all its passes. */
  private static double strokes(CardSetting its, CardFill fill, double wMm, double hMm) {
    double interval = its.intervalMm().orElseThrow();
    double along =
        switch (fill.lines()) {
          case BOTH_WAYS, ONE_WAY -> linesOf(hMm, interval);
          case CROSSED -> (double) linesOf(hMm, interval) + linesOf(wMm, interval);
          case NONE -> 0;
        };
    return its.passes().orElse(1) * (along + (fill.outlined() ? 4 : 0));
  }

  static long linesOf(double lengthMm, double intervalMm) {
    return (long) Math.floor(lengthMm / intervalMm + 1e-6) + 1;
  }

  /** How often something is burnt along a square, all its passes together. */
  int strokes(int column, int row) {
    return (int) strokes(setting(column, row), filled(), widthMm(), heightMm());
  }

  public int columns() {
    return sizeOf(percents, across);
  }

  public int rows() {
    return sizeOf(speedsMmS, up);
  }

  CardFill filled() {
    return fill.orElse(CardFill.USUAL);
  }

  /** What a square is burnt with. */
  public CardSetting setting(int column, int row) {
    return CardGrid.setting(
        common(intervalMm, filled().passes()), percents, speedsMmS, across, up, column, row);
  }

  /** Whether it says more than a card of powers and speeds. */
  boolean stepped() {
    return across.isPresent() || up.isPresent() || fill.isPresent();
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
    double right = xMm(columns() - 1) + widthMm() + out;
    double front = yMm(0) - out;
    double rear = yMm(rows() - 1) + heightMm() + out;
    return List.of(
        List.of(left, front), List.of(right, front), List.of(right, rear), List.of(left, rear));
  }
}
