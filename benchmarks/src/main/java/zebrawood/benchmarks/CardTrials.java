package zebrawood.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import zebrawood.cards.CardChoose;
import zebrawood.cards.CardChooseFinding;
import zebrawood.cards.CardChooseFinding.Setting;
import zebrawood.cards.CardChooseReadings;
import zebrawood.cards.CardDrift;
import zebrawood.cards.CardDriftFinding;
import zebrawood.cards.CardDriftReadings;
import zebrawood.cards.CardSample;
import zebrawood.cards.ImaginedStock;

/**
 * Cards of made-up stocks, by laws that the solvers do not know: how dark the chosen settings truly
 * come out, how often the truth lies within two standard deviations, and how well a card burnt
 * again tells the power.
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
    System.out.println("kind | cards | off median | off 99 % | within 2 u | u median | null | ms");
    for (ImaginedStock.Kind kind : ImaginedStock.Kind.values()) {
      drift(kind, stocks / 4);
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
