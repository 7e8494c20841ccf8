package zebrawood.cards;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import zebrawood.measure.Accepts;

/**
 * The squares of a burnt card: powers from the left, speeds from the front.
 *
 * @param intervalMm from line to line; empty where nobody knows it any more
 */
public record CardGrid(List<Double> percents, List<Double> speedsMmS, OptionalDouble intervalMm) {
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
    for (int i = 0; i < percents.size(); i++) {
      accepts.positive("percents[" + i + "]", percents.get(i), 100);
    }
    for (int i = 0; i < speedsMmS.size(); i++) {
      accepts.positive("speedsMmS[" + i + "]", speedsMmS.get(i), CardPlanReadings.FASTEST_MM_S);
    }
    accepts.orThrow();
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
    return percents.stream().distinct().count() >= 3 && speedsMmS.stream().distinct().count() >= 3;
  }
}
