package zebrawood.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class NumbersTest {
  @Test
  void fixedRoundsAsDecimalArithmeticDoes() {
    Random random = new Random(11);
    for (int i = 0; i < 50_000; i++) {
      double value = (random.nextDouble() - 0.5) * Math.pow(10, random.nextInt(8));
      int decimals = random.nextInt(6);
      BigDecimal exact = new BigDecimal(value).setScale(decimals, RoundingMode.HALF_UP);
      String expected = exact.signum() == 0 ? exact.abs().toPlainString() : exact.toPlainString();
      assertThat(Numbers.fixed(value, decimals)).isEqualTo(expected);
    }
  }

  @Test
  void aZeroHasNoSign() {
    assertThat(Numbers.fixed(-0.0, 2)).isEqualTo("0.00");
    assertThat(Numbers.fixed(-0.001, 2)).isEqualTo("0.00");
    assertThat(Numbers.snap(-1e-12, 1e-9)).isEqualTo(0.0);
    assertThat(1 / Numbers.snap(-1e-12, 1e-9)).isPositive();
  }

  @Test
  void plainLeavesOutWhatIsNotNeeded() {
    assertThat(Numbers.plain(0.3)).isEqualTo("0.3");
    assertThat(Numbers.plain(700)).isEqualTo("700");
    assertThat(Numbers.plain(0)).isEqualTo("0");
    assertThat(Numbers.plain(-12.50)).isEqualTo("-12.5");
    assertThat(Numbers.plain(1e300)).isEqualTo("1.0E300");
  }

  @Test
  void peakToValleyIsHighestLessLowest() {
    assertThat(Numbers.peakToValley(List.of(3.0, -1.0, 2.0))).isEqualTo(4);
    assertThat(Numbers.peakToValley(List.of())).isZero();
  }
}
