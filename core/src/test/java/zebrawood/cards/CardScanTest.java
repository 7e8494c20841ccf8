package zebrawood.cards;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.measure.Picture;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;

class CardScanTest {
  @ParameterizedTest
  @EnumSource
  void darknessIsTheCardsOwnHoweverItIsPictured(DrawnCard.Way way) {
    int within = 0;
    int all = 0;
    for (int seed = 0; seed < 3; seed++) {
      DrawnCard card = new DrawnCard(5, 4, way, 5, 0.02, seed);
      CardScanFinding found = CardScan.solve(card.readings(OptionalDouble.empty()), card.picture());
      assertThat(found.saturated()).isFalse();
      for (CardScanFinding.Square s : found.squares()) {
        double off = s.darkness().value() - card.darkness(s.column(), s.row());
        within += Math.abs(off) <= 2 * s.darkness().uncertainty() ? 1 : 0;
        all++;
        assertThat(Math.abs(off)).isLessThan(0.02);
        assertThat(s.banding()).isEmpty();
      }
    }
    assertThat(within / (double) all).isGreaterThan(0.9);
  }

  @Test
  void bandsAreAsStrongAsTheyArePictured() {
    DrawnCard card = new DrawnCard(3, 3, DrawnCard.Way.SCAN, 40, 0.05, 3);
    CardScanFinding found =
        CardScan.solve(card.readings(OptionalDouble.of(DrawnCard.INTERVAL_MM)), card.picture());
    assertThat(found.squares())
        .allSatisfy(s -> assertThat(s.banding().orElseThrow()).isCloseTo(0.05, within(0.006)));
    DrawnCard coarse = new DrawnCard(3, 3, DrawnCard.Way.SCAN, 8, 0.05, 3);
    assertThat(
            CardScan.solve(
                    coarse.readings(OptionalDouble.of(DrawnCard.INTERVAL_MM)), coarse.picture())
                .squares())
        .allSatisfy(s -> assertThat(s.banding()).isEmpty());
  }

  private static CardScanReadings pressed(CardScanReadings r, List<List<Double>> px) {
    return new CardScanReadings(r.imagePath(), r.crossesMm(), r.crossMm(), px, r.squares());
  }

  @Test
  void aMirroredOrderAndAMissingCrossAreRefused() {
    DrawnCard card = new DrawnCard(3, 3, DrawnCard.Way.SCAN, 6, 0.02, 1);
    CardScanReadings r = card.readings(OptionalDouble.empty());
    List<List<Double>> px = r.crossesPx();
    assertThatThrownBy(() -> pressed(r, List.of(px.get(1), px.get(0), px.get(3), px.get(2))))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("crossesPx");
    assertThatThrownBy(() -> pressed(r, List.of(px.get(0), px.get(2), px.get(1), px.get(3))))
        .hasMessageContaining("crossesPx");
    List<Double> aside = List.of(px.get(2).get(0) - 40, px.get(2).get(1) + 40);
    Picture picture = card.picture();
    assertThatThrownBy(() ->
            CardScan.solve(pressed(r, List.of(px.get(0), px.get(1), aside, px.get(3))), picture))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("crossesPx[2]");
  }

  @Test
  void turnedByAQuarterItIsTheSameCard() {
    DrawnCard card = new DrawnCard(4, 3, DrawnCard.Way.SCAN, 6, 0.02, 7);
    Picture upright = card.picture();
    Picture turned =
        new Picture() {
          @Override
          public int width() {
            return upright.height();
          }

          @Override
          public int height() {
            return upright.width();
          }

          @Override
          public double light(int x, int y) {
            return upright.light(y, upright.height() - 1 - x);
          }
        };
    CardScanReadings r = card.readings(OptionalDouble.empty());
    List<List<Double>> px =
        r.crossesPx().stream().map(p -> List.of(upright.height() - p.get(1), p.get(0))).toList();
    CardScanFinding one = CardScan.solve(r, upright);
    CardScanFinding other = CardScan.solve(pressed(r, px), turned);
    for (int i = 0; i < one.squares().size(); i++) {
      assertThat(other.squares().get(i).darkness().value())
          .isCloseTo(one.squares().get(i).darkness().value(), within(0.003));
    }
  }

  @Test
  void aScanThatIsTooLightIsToldAndItsFiguresKept() {
    DrawnCard card = new DrawnCard(3, 3, DrawnCard.Way.SCAN, 6, 0.02, 5);
    Picture picture = card.picture();
    Picture lighter =
        new Picture() {
          @Override
          public int width() {
            return picture.width();
          }

          @Override
          public int height() {
            return picture.height();
          }

          @Override
          public double light(int x, int y) {
            return Math.min(255, 1.6 * picture.light(x, y));
          }
        };
    CardScanFinding found = CardScan.solve(card.readings(OptionalDouble.empty()), lighter);
    assertThat(found.saturated()).isTrue();
    assertThat(found.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(found.squares()).hasSize(9);
    assertThat(found.warnings()).hasSize(1);
  }
}
