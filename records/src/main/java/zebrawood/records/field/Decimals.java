package zebrawood.records.field;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Millimetres as files have them: to a tenth of a micrometre, a point, no exponent. */
public final class Decimals {
  private static final int DIGITS = 4;

  private Decimals() {}

  public static String of(double mm) {
    BigDecimal rounded = BigDecimal.valueOf(mm).setScale(DIGITS, RoundingMode.HALF_UP);
    BigDecimal plain = rounded.signum() == 0 ? BigDecimal.ZERO : rounded.stripTrailingZeros();
    return plain.toPlainString();
  }
}
