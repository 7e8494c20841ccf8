package zebrawood.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import zebrawood.cards.CardChoose;
import zebrawood.cards.CardChooseFinding;
import zebrawood.cards.CardChooseFinding.Setting;
import zebrawood.cards.CardChooseReadings;
import zebrawood.cards.CardDrift;
import zebrawood.cards.CardDriftFinding;
import zebrawood.cards.CardDriftReadings;
import zebrawood.cards.CardPlan;
import zebrawood.cards.CardPlanReadings;
import zebrawood.cards.CardSample;
import zebrawood.cards.ImaginedStock;

/**
 * Cards of made-up stocks, by laws that the solvers do not know: how dark the chosen settings truly
 * come out, how often the truth lies within two standard deviations, and how well a card burnt
 * again tells the power; how many burns a good setting takes with a card and without; how long a
 * card of 2500 squares takes to be planned.
 *
 * <p>Arguments: how many stocks.
 */
public final class CardTrials {
  private CardTrials() {}

  public static void main(String[] arguments) {
    int stocks = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 300;
    System.out.println(
        "kind | settings | off median | off 99 % | within 2 u | u median | none | ms");
    for (ImaginedStock.Kind kind : ImaginedStock.Kind.values()) {
      choose(kind, stocks / 4);
    }
    System.out.println("kind | burns by a card: median, 90 % | one at a time");
    for (ImaginedStock.Kind kind : ImaginedStock.Kind.values()) {
      burns(kind, stocks / 4);
    }
    planned();
    System.out.println("kind | cards | off median | off 99 % | within 2 u | u median | null | ms");
    for (ImaginedStock.Kind kind : ImaginedStock.Kind.values()) {
      drift(kind, stocks / 4);
    }
  }

  /** How many burns until the truth is within this of what is wanted. */
  private static final double GOOD = 0.05;

  private static final int MOST_BURNS = 20;

  /**
   * One card and the setting chosen from it, against one burn after another, each a step towards
   * the wanted look by how much it is off: as somebody does who has no card.
   */
  private static void burns(ImaginedStock.Kind kind, int stocks) {
    List<Double> byCard = new ArrayList<>();
    List<Double> byOne = new ArrayList<>();
    for (int seed = 0; seed < stocks; seed++) {
      Random random = new Random(seed * 41L + kind.ordinal());
      ImaginedStock stock = new ImaginedStock(kind, random);
      double noise = 0.012;
      List<CardSample> card = stock.card(7, 6, 2.5, 1, noise, random);
      double darkest = card.stream().mapToDouble(CardSample::darkness).max().orElseThrow();
      double wanted = darkest * (0.25 + 0.6 * random.nextDouble());
      CardChooseFinding found = CardChoose.solve(new CardChooseReadings(card, 0.02, wanted));
      double burnt = 1;
      if (found.fastest().setting().isPresent()) {
        Setting s = found.fastest().setting().get();
        burnt += byOne(stock, wanted, s.percent(), s.speedMmS(), noise, random);
      } else {
        burnt += MOST_BURNS;
      }
      byCard.add(burnt);
      CardSample start = card.get(random.nextInt(card.size()));
      byOne.add(byOne(stock, wanted, start.percent(), start.speedMmS(), noise, random));
    }
    byCard.sort(null);
    byOne.sort(null);
    System.out.printf(
        Locale.ROOT,
        "%s | %.0f, %.0f | %.0f, %.0f%n",
        kind,
        byCard.get(stocks / 2),
        byCard.get((int) (0.9 * stocks)),
        byOne.get(stocks / 2),
        byOne.get((int) (0.9 * stocks)));
  }

  /** Burns until it is good; the speed is changed by half of what the look is off, in its ratio. */
  private static double byOne(
      ImaginedStock stock,
      double wanted,
      double percent,
      double speed,
      double noise,
      Random random) {
    double v = speed;
    for (int burn = 1; burn <= MOST_BURNS; burn++) {
      double truth = stock.darkness(percent, v, 1);
      if (Math.abs(truth - wanted) <= GOOD) {
        return burn;
      }
      double seen = truth + noise * random.nextGaussian();
      v *= Math.clamp(Math.max(0.02, seen) / wanted, 0.5, 2);
    }
    return MOST_BURNS;
  }

  private static void planned() {
    List<Double> percents = new ArrayList<>();
    List<Double> speeds = new ArrayList<>();
    for (int i = 0; i < 50; i++) {
      percents.add(10 + 1.5 * i);
      speeds.add(50 + 8.0 * i);
    }
    CardPlanReadings card =
        new CardPlanReadings(
            percents,
            speeds,
            List.of(4.0, 4.0),
            1,
            List.of(60.0, 60.0),
            0.1,
            OptionalDouble.of(3000),
            List.of(600.0, 400.0),
            OptionalDouble.of(1000),
            OptionalDouble.of(300),
            OptionalDouble.empty(),
            new CardPlanReadings.CrossAt(40, 100),
            OptionalInt.empty());
    for (int round = 0; round < 12; round++) {
      long start = System.nanoTime();
      int squares = CardPlan.planned(card).squares().size();
      long planned = System.nanoTime();
      int letters = CardPlan.solve(card).gcode().text().orElseThrow().length();
      long whole = System.nanoTime();
      System.out.printf(
          Locale.ROOT,
          "%d squares planned in %.1f ms, with %d letters of program in %.1f ms%n",
          squares,
          (planned - start) / 1e6,
          letters,
          (whole - planned) / 1e6);
    }
  }

  private static void choose(ImaginedStock.Kind kind, int stocks) {
    List<Double> off = new ArrayList<>();
    List<Double> unsure = new ArrayList<>();
    int within = 0;
    int none = 0;
    long nanos = 0;
    for (int seed = 0; seed < stocks; seed++) {
      Random random = new Random(seed * 31L + kind.ordinal());
      ImaginedStock stock = new ImaginedStock(kind, random);
      double noise = 0.004 + 0.02 * random.nextDouble();
      List<CardSample> card =
          stock.card(
              4 + random.nextInt(5),
              4 + random.nextInt(4),
              2 + 2 * random.nextDouble(),
              1,
              noise,
              random);
      double darkest = card.stream().mapToDouble(CardSample::darkness).max().orElseThrow();
      double wanted = darkest * (0.25 + 0.6 * random.nextDouble());
      long start = System.nanoTime();
      CardChooseFinding found = CardChoose.solve(new CardChooseReadings(card, 0.02, wanted));
      nanos += System.nanoTime() - start;
      none += found.settings().isEmpty() ? 1 : 0;
      for (Setting s : found.settings()) {
        double truth = stock.darkness(s.percent(), s.speedMmS(), 1);
        off.add(Math.abs(truth - s.darkness().value()));
        unsure.add(s.darkness().uncertainty());
        within += Math.abs(truth - s.darkness().value()) <= 2 * s.darkness().uncertainty() ? 1 : 0;
      }
    }
    tell(kind, off, unsure, within, none, nanos / 1e6 / stocks);
  }

  private static void drift(ImaginedStock.Kind kind, int stocks) {
    List<Double> off = new ArrayList<>();
    List<Double> unsure = new ArrayList<>();
    int within = 0;
    int none = 0;
    long nanos = 0;
    for (int seed = 0; seed < stocks; seed++) {
      Random random = new Random(seed * 37L + kind.ordinal());
      ImaginedStock stock = new ImaginedStock(kind, random);
      double noise = 0.004 + 0.02 * random.nextDouble();
      double power = 0.7 + 0.5 * random.nextDouble();
      int columns = 4 + random.nextInt(5);
      int rows = 3 + random.nextInt(4);
      List<CardSample> before = stock.card(columns, rows, 2.5, 1, noise, random);
      List<CardSample> after = stock.card(columns, rows, 2.5, power, noise, random);
      long start = System.nanoTime();
      CardDriftFinding found = CardDrift.solve(new CardDriftReadings(before, after, 0.02));
      nanos += System.nanoTime() - start;
      if (found.powerRatio().isEmpty()) {
        none++;
        continue;
      }
      double miss = Math.abs(found.powerRatio().getAsDouble() - power);
      off.add(miss);
      unsure.add(found.powerRatioUncertainty().getAsDouble());
      within += miss <= 2 * found.powerRatioUncertainty().getAsDouble() ? 1 : 0;
    }
    tell(kind, off, unsure, within, none, nanos / 1e6 / stocks);
  }

  private static void tell(
      ImaginedStock.Kind kind,
      List<Double> off,
      List<Double> unsure,
      int within,
      int none,
      double ms) {
    off.sort(null);
    unsure.sort(null);
    System.out.printf(
        Locale.ROOT,
        "%s | %d | %.4f | %.4f | %.3f | %.4f | %d | %.1f%n",
        kind,
        off.size(),
        off.get(off.size() / 2),
        off.get((int) (0.99 * (off.size() - 1))),
        within / (double) off.size(),
        unsure.get(unsure.size() / 2),
        none,
        ms);
  }
}
