package zebrawood.cards;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.measure.Estimate;
import zebrawood.measure.Verdict;
import zebrawood.words.Message;

class CardDriftTest {
  private static final int STOCKS = 20;

  @Test
  void theRatioOfStocksOfOtherLawsLiesWithinTheUncertainty() {
    int within = 0;
    int same = 0;
    int all = 0;
    for (ImaginedStock.Kind kind : ImaginedStock.Kind.values()) {
      for (int seed = 0; seed < STOCKS; seed++) {
        Random random = new Random(1000L * kind.ordinal() + seed);
        ImaginedStock stock = new ImaginedStock(kind, random);
        double power = seed % 2 == 0 ? 1 : 0.85;
        List<CardSample> before = stock.card(6, 4, 2, 1, 0.01, random);
        List<CardSample> after = stock.card(5, 4, 2, power, 0.01, random);
        CardDriftFinding found = CardDrift.solve(new CardDriftReadings(before, after, 0.02));
        double off = found.powerRatio().orElseThrow() - power;
        within += Math.abs(off) <= 2 * found.powerRatioUncertainty().orElseThrow() ? 1 : 0;
        same += seed % 2 == 0 && found.same().yes().orElseThrow() ? 1 : 0;
        all++;
        assertThat(Math.abs(off)).isLessThan(0.12);
      }
    }
    assertThat(within / (double) all).isGreaterThan(0.88);
    assertThat(same).isGreaterThanOrEqualTo((int) (0.85 * all / 2));
  }

  @Test
  void aControlSquareTellsTheBeamFromTheBatch() {
    int ofBatch = 0;
    int ofBeam = 0;
    int all = 0;
    for (ImaginedStock.Kind kind : ImaginedStock.Kind.values()) {
      for (int seed = 0; seed < STOCKS; seed++) {
        Random random = new Random(77 + 1000L * kind.ordinal() + seed);
        ImaginedStock stock = new ImaginedStock(kind, random);
        double power = seed % 2 == 0 ? 1 : 0.85;
        double batch = seed % 3 == 0 ? 1 : 0.9;
        List<CardSample> kept = stock.card(6, 4, 2, 1, 0.01, random);
        List<CardSample> now = stock.card(6, 4, 2, power * batch, 0.01, random);
        CardSample control =
            stock.card(6, 4, 2, power, 0.01, random).stream()
                .min(Comparator.comparingDouble(s -> Math.abs(s.darkness() - 0.4)))
                .orElseThrow();
        CardDriftFinding both = CardDrift.solve(new CardDriftReadings(kept, now, 0.02));
        ControlSquare found = ControlSquare.of(both, kept, control, 0.02);
        if (found.batch().isEmpty()) {
          continue;
        }
        all++;
        Estimate its = found.batch().get();
        ofBatch += Math.abs(its.value() - batch) <= 2 * its.uncertainty() ? 1 : 0;
        ofBeam +=
            Math.abs(found.drift().powerRatio().orElseThrow() - power)
                    <= 2 * found.drift().powerRatioUncertainty().orElseThrow()
                ? 1
                : 0;
      }
    }
    assertThat(all).isGreaterThan(ImaginedStock.Kind.values().length * STOCKS * 9 / 10);
    assertThat(ofBatch / (double) all).as("batch").isGreaterThan(0.88);
    assertThat(ofBeam / (double) all).as("beam").isGreaterThan(0.88);
  }

  @Test
  void anotherBatchIsNotCalledAnotherPower() {
    List<CardSample> kept = row(1, 10, 20, 30, 40, 60);
    CardDriftFinding both =
        CardDrift.solve(new CardDriftReadings(kept, row(0.8, 15, 25, 35, 50, 70), 0.02));
    ControlSquare batch = ControlSquare.of(both, kept, row(1, 30).getFirst(), 0.02);
    assertThat(batch.advice())
        .extracting(a -> a.what().key())
        .containsExactly("cards.control.batch");
    assertThat(batch.batch().orElseThrow().value()).isCloseTo(0.8, within(0.04));
    ControlSquare beam = ControlSquare.of(both, kept, row(0.8, 30).getFirst(), 0.02);
    assertThat(beam.advice()).extracting(a -> a.what().key()).containsExactly("cards.drift.weaker");
    assertThat(beam.drift().warnings())
        .extracting(Message::key)
        .containsExactly("cards.control.same-batch");
    // A square that is black anyway tells nothing of the beam.
    CardSample black = new CardSample(100, 60, 0.999);
    ControlSquare none = ControlSquare.of(both, row(1, 60, 80, 90), black, 0.02);
    assertThat(none.batch()).isEmpty();
  }

  private static List<CardSample> row(double power, double... percents) {
    return Arrays.stream(percents)
        .mapToObj(p -> new CardSample(100, p, 1 - Math.exp(-p * power / 40)))
        .toList();
  }

  @Test
  void oneRowWithOtherPowersIsEnough() {
    CardDriftFinding found =
        CardDrift.solve(
            new CardDriftReadings(row(1, 10, 20, 30, 40, 60), row(0.8, 15, 25, 35, 50, 70), 0.02));
    assertThat(found.powerRatio().orElseThrow()).isCloseTo(0.8, within(0.03));
    assertThat(found.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(found.warnings()).hasSize(1);
  }

  @Test
  void cardsThatDoNotMeetAndFlatCardsTellNothing() {
    CardDriftFinding apart =
        CardDrift.solve(new CardDriftReadings(row(1, 60, 70, 80), row(0.1, 5, 10, 20), 0.02));
    assertThat(apart.powerRatio()).isEmpty();
    assertThat(apart.same().yes()).isEmpty();
    assertThat(apart.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    List<CardSample> flat =
        List.of(
            new CardSample(100, 20, 0.5),
            new CardSample(100, 40, 0.5),
            new CardSample(80, 60, 0.5));
    CardDriftFinding level = CardDrift.solve(new CardDriftReadings(flat, flat, 0.02));
    assertThat(level.powerRatio()).isEmpty();
    CardDriftFinding one =
        CardDrift.solve(new CardDriftReadings(flat.subList(0, 1), flat.subList(0, 1), 0.02));
    assertThat(one.powerRatio()).isEmpty();
  }
}
