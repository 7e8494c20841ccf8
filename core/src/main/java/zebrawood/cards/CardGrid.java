package zebrawood.cards;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * The squares of a burnt card: powers from the left, speeds from the front, or steps of another
 * figure in their place.
 *
 * @param percents one alone where {@code across} has the columns
 * @param speedsMmS one alone where {@code up} has the rows
 * @param intervalMm from line to line; empty where nobody knows it any more
 */
public record CardGrid(
    List<Double> percents,
    List<Double> speedsMmS,
    OptionalDouble intervalMm,
    Optional<CardSteps> across,
    Optional<CardSteps> up) {
  static final int MOST_A_SIDE = 30;

  public CardGrid {
    percents = List.copyOf(percents);
    speedsMmS = List.copyOf(speedsMmS);
    var accepts =
        new Accepts()
            .atLeast("percents", percents, 1, "cards.count.percents")
            .atLeast("speedsMmS", speedsMmS, 1, "cards.count.speeds")
            .atMost("percents", percents, MOST_A_SIDE)
            .atMost("speedsMmS", speedsMmS, MOST_A_SIDE);
    steps(accepts, percents, speedsMmS, across, up);
    across.ifPresent(s -> accepts.atMost("across.values", s.values(), MOST_A_SIDE));
    up.ifPresent(s -> accepts.atMost("up.values", s.values(), MOST_A_SIDE));
    for (int i = 0; i < percents.size(); i++) {
      accepts.positive("percents[" + i + "]", percents.get(i), 100);
    }
    for (int i = 0; i < speedsMmS.size(); i++) {
      accepts.positive("speedsMmS[" + i + "]", speedsMmS.get(i), CardPlanReadings.FASTEST_MM_S);
    }
    accepts.orThrow();
  }

  /** A card of powers and speeds. */
  public CardGrid(List<Double> percents, List<Double> speedsMmS, OptionalDouble intervalMm) {
    this(percents, speedsMmS, intervalMm, Optional.empty(), Optional.empty());
  }

  /** Each figure has its own columns or rows. */
  static void steps(
      Accepts accepts,
      List<Double> percents,
      List<Double> speedsMmS,
      Optional<CardSteps> across,
      Optional<CardSteps> up) {
    across.ifPresent(s -> s.check(accepts, "across"));
    up.ifPresent(s -> s.check(accepts, "up"));
    if (across.isPresent() && percents.size() != 1) {
      accepts.complain(
          "percents",
          Message.of("accepts.of-them", percents.size()),
          Message.of("cards.accepts.one-power"));
    }
    if (up.isPresent() && speedsMmS.size() != 1) {
      accepts.complain(
          "speedsMmS",
          Message.of("accepts.of-them", speedsMmS.size()),
          Message.of("cards.accepts.one-speed"));
    }
    if (across.isPresent() && across.map(CardSteps::figure).equals(up.map(CardSteps::figure))) {
      accepts.complain(
          "up.figure",
          Message.of(up.orElseThrow().figure()),
          Message.of("cards.accepts.another-figure"));
    }
  }

  public int columns() {
    return across.map(s -> s.values().size()).orElse(percents.size());
  }

  public int rows() {
    return up.map(s -> s.values().size()).orElse(speedsMmS.size());
  }

  /** Whether something else than power and speed changes on it. */
  public boolean stepped() {
    return across.isPresent() || up.isPresent();
  }

  /** One for each square, row by row. */
  void checkRows(Accepts accepts, List<? extends List<?>> squares) {
    if (squares.size() != rows()) {
      accepts.complain(
          "rows",
          Message.of("accepts.of-them", squares.size()),
          Message.of("cards.accepts.rows", rows()));
    }
    for (int i = 0; i < squares.size(); i++) {
      if (squares.get(i).size() != columns()) {
        accepts.complain(
            "rows[" + i + "]",
            Message.of("accepts.of-them", squares.get(i).size()),
            Message.of("cards.accepts.grades", columns()));
      }
    }
  }

  /** What a square was burnt with. */
  public CardSetting setting(int column, int row) {
    return setting(CardSetting.of(0, 0, intervalMm), percents, speedsMmS, across, up, column, row);
  }

  static CardSetting setting(
      CardSetting common,
      List<Double> percents,
      List<Double> speedsMmS,
      Optional<CardSteps> across,
      Optional<CardSteps> up,
      int column,
      int row) {
    CardSetting its =
        new CardSetting(
            percents.get(across.isPresent() ? 0 : column),
            speedsMmS.get(up.isPresent() ? 0 : row),
            common.intervalMm(),
            common.passes(),
            common.khz(),
            common.pulseNs(),
            common.wobbleMm());
    its =
        across.isPresent()
            ? its.with(across.get().figure(), across.get().values().get(column))
            : its;
    return up.isPresent() ? its.with(up.get().figure(), up.get().values().get(row)) : its;
  }

  /** Evenly in ratios from one to the other, to three digits. */
  public static List<Double> steps(double first, double last, int count) {
    return IntStream.range(0, count)
        .mapToObj(
            i -> round(count == 1 ? first : first * Math.pow(last / first, i / (count - 1.0))))
        .toList();
  }

  /** Evenly from one to the other, to three digits. */
  public static List<Double> evenly(double first, double last, int count) {
    return IntStream.range(0, count)
        .mapToObj(i -> round(count == 1 ? first : first + (last - first) * i / (count - 1.0)))
        .toList();
  }

  private static double round(double value) {
    return new BigDecimal(value).round(new MathContext(3)).doubleValue();
  }

  /** Whether a surface can be put through it. */
  boolean tellsLooks() {
    return !stepped()
        && percents.stream().distinct().count() >= 3
        && speedsMmS.stream().distinct().count() >= 3;
  }
}
