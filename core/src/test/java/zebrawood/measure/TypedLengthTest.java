package zebrawood.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.measure.TypedLength.Empty;
import zebrawood.measure.TypedLength.NotUnderstood;
import zebrawood.measure.TypedLength.Understood;

class TypedLengthTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          6.35        | 6.35
          6,35        | 6.35
          .5          | 0.5
          7.          | 7
          -0.25       | -0.25
          +3          | 3
          −1.5        | -1.5
          1/4 in      | 6.35
          1 1/4 in    | 31.75
          1-1/4"      | 31.75
          0.25"       | 6.35
          0.25 inch   | 6.35
          3 thou      | 0.0762
          250 um      | 0.25
          250 µm      | 0.25
          250µm       | 0.25
          2 mil       | 0.0508
          1.2 cm      | 12
          0.1m        | 100
          12 MM       | 12
          """)
  void readsLengthsAsPeopleTypeThem(String typed, double mm) {
    assertThat(TypedLength.read(typed, LengthUnit.MILLIMETRE))
        .isInstanceOfSatisfying(
            Understood.class, u -> assertThat(u.mm()).isCloseTo(mm, within(1e-12)));
  }

  @Test
  void aBareNumberIsInTheUnitOnShow() {
    assertThat(TypedLength.read("2", LengthUnit.INCH)).isEqualTo(new Understood(50.8, true));
    assertThat(TypedLength.read("2 mm", LengthUnit.INCH)).isEqualTo(new Understood(2, false));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"six", "1/0 in", "5 furlong", "1 2", "--3", "1e5", "6.3.5", "/", "mm", "½", "NaN"})
  void saysWhatItCannotRead(String typed) {
    assertThat(TypedLength.read(typed, LengthUnit.MILLIMETRE))
        .isInstanceOfSatisfying(NotUnderstood.class, n -> assertThat(n.because()).isNotBlank());
  }

  @Test
  void blanksAreNoLength() {
    assertThat(TypedLength.read("  ", LengthUnit.MILLIMETRE)).isInstanceOf(Empty.class);
  }

  @Test
  void neverThrowsWhateverIsTyped() {
    Random random = new Random(7);
    String letters = "0123456789.,/ -+\"'µumilncht\u2212½\n\t(){}é漢";
    for (int i = 0; i < 20_000; i++) {
      StringBuilder typed = new StringBuilder();
      for (int length = random.nextInt(12); length > 0; length--) {
        typed.append(letters.charAt(random.nextInt(letters.length())));
      }
      TypedLength read = TypedLength.read(typed.toString(), LengthUnit.INCH);
      if (read instanceof Understood(double mm, boolean plainly)) {
        assertThat(mm).isFinite();
      }
    }
  }
}
