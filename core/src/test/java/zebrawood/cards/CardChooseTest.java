package zebrawood.cards;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.cards.CardChooseFinding.Setting;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;

class CardChooseTest {
  private static final int STOCKS = 12;

  @Test
  void theTruthOfStocksOfOtherLawsLiesWithinTheUncertainty() {
    int within = 0;
    int all = 0;
    for (ImaginedStock.Kind kind : ImaginedStock.Kind.values()) {
      for (int seed = 0; seed < STOCKS; seed++) {
        Random random = new Random(100L * kind.ordinal() + seed);
        ImaginedStock stock = new ImaginedStock(kind, random);
        List<CardSample> card = stock.card(6, 6, 2.5, 1, 0.012, random);
        double darkest = card.stream().mapToDouble(CardSample::darkness).max().orElseThrow();
        CardChooseFinding found =
            CardChoose.solve(new CardChooseReadings(card, 0.02, 0.55 * darkest));
        assertThat(found.settings()).hasSizeBetween(10, 40);
        for (Setting s : found.settings()) {
          double off = stock.darkness(s.percent(), s.speedMmS(), 1) - s.darkness().value();
          within += Math.abs(off) <= 2 * s.darkness().uncertainty() ? 1 : 0;
          all++;
          assertThat(Math.abs(off)).isLessThan(0.12);
          assertThat(s.darkness().value()).isCloseTo(0.55 * darkest, within(1e-4));
        }
      }
    }
    assertThat(within / (double) all).isBetween(0.88, 0.995);
  }

  /** A card whose darkness is 1 - exp(-3 p / v), without noise. */
  private static List<CardSample> plain() {
    List<CardSample> card = new ArrayList<>();
    for (double speed : new double[] {50, 80, 130, 200}) {
      for (double percent : new double[] {10, 20, 35, 60}) {
        card.add(new CardSample(speed, percent, 1 - Math.exp(-3 * percent / speed)));
      }
    }
    return card;
  }

  @Test
  void settingsLieAlongTheWantedDarknessSlowToFast() {
    CardChooseFinding found = CardChoose.solve(new CardChooseReadings(plain(), 0.01, 0.6));
    // 3 p / v = -ln 0.4: the fastest is where the power is most.
    assertThat(found.fastest().setting().orElseThrow().percent()).isCloseTo(60, within(1.5));
    assertThat(found.fastest().setting().orElseThrow().speedMmS())
        .isCloseTo(60 * 3 / -Math.log(0.4), within(4.0));
    double before = 0;
    for (Setting s : found.settings()) {
      assertThat(s.speedMmS()).isGreaterThan(before);
      before = s.speedMmS();
      assertThat(3 * s.percent() / s.speedMmS()).isCloseTo(-Math.log(0.4), within(0.02));
    }
    assertThat(found.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(found.settings()).contains(found.steadiest().setting().orElseThrow());
  }

  @Test
  void aShortLineAcrossACornerHasAsManySettings() {
    // Only the strongest square at its slowest is so dark: 3 * 60 / 50.
    CardChooseFinding found = CardChoose.solve(new CardChooseReadings(plain(), 0.01, 0.965));
    assertThat(found.settings()).hasSizeBetween(10, 40);
    assertThat(found.settings())
        .allSatisfy(s ->
            assertThat(3 * s.percent() / s.speedMmS()).isCloseTo(-Math.log(0.035), within(0.1)));
  }

  @Test
  void theOrderOfSquaresDoesNotCount() {
    List<CardSample> mixed = plain();
    Collections.shuffle(mixed, new Random(1));
    assertThat(CardChoose.solve(new CardChooseReadings(mixed, 0.01, 0.6)).settings().getFirst())
        .satisfies(s -> {
          Setting same =
              CardChoose.solve(new CardChooseReadings(plain(), 0.01, 0.6)).settings().getFirst();
          assertThat(s.percent()).isCloseTo(same.percent(), within(1e-3));
        });
  }

  @Test
  void whatNoSquareBearsOutIsNotChosen() {
    CardChooseFinding darker = CardChoose.solve(new CardChooseReadings(plain(), 0.01, 0.99));
    assertThat(darker.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(darker.settings()).isEmpty();
    assertThat(darker.fastest().setting()).isEmpty();
    CardChooseFinding lighter = CardChoose.solve(new CardChooseReadings(plain(), 0.01, 0.02));
    assertThat(lighter.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(lighter.advice()).isNotEqualTo(darker.advice());
    for (double wanted : new double[] {0.2, 0.45, 0.7, 0.85}) {
      for (Setting s : CardChoose.solve(new CardChooseReadings(plain(), 0.01, wanted)).settings()) {
        assertThat(plain())
            .anyMatch(q ->
                q.percent() >= s.percent()
                    && q.speedMmS() <= s.speedMmS()
                    && q.darkness() >= wanted)
            .anyMatch(q ->
                q.percent() <= s.percent()
                    && q.speedMmS() >= s.speedMmS()
                    && q.darkness() <= wanted);
      }
    }
  }

  @Test
  void charredSquaresAreLeftAside() {
    List<CardSample> card = new ArrayList<>();
    for (CardSample s : plain()) {
      boolean charred = s.percent() == 60 && s.speedMmS() <= 80;
      card.add(charred ? new CardSample(s.speedMmS(), s.percent(), 0.5) : s);
    }
    CardChooseFinding found = CardChoose.solve(new CardChooseReadings(card, 0.01, 0.6));
    assertThat(found.warnings()).hasSize(1);
    for (Setting s : found.settings()) {
      assertThat(3 * s.percent() / s.speedMmS()).isCloseTo(-Math.log(0.4), within(0.03));
    }
  }

  @Test
  void tooFewSquaresAreRefused() {
    assertThatThrownBy(() -> new CardChooseReadings(plain().subList(0, 8), 0.01, 0.6))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("squares");
    List<CardSample> twoSpeeds = plain().stream().filter(s -> s.speedMmS() < 100).toList();
    List<CardSample> nine = new ArrayList<>(twoSpeeds);
    nine.addAll(twoSpeeds.subList(0, 1));
    assertThatThrownBy(() -> new CardChooseReadings(nine, 0.01, 0.6))
        .hasMessageContaining("squares");
    assertThatThrownBy(() -> new CardChooseReadings(plain(), 0.01, Double.NaN))
        .hasMessageContaining("wantedDarkness");
  }
}
