package zebrawood.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.quantity.TypedQuantity.Empty;
import zebrawood.quantity.TypedQuantity.NoNumber;
import zebrawood.quantity.TypedQuantity.Understood;
import zebrawood.quantity.TypedQuantity.UnknownUnit;
import zebrawood.words.Language;
import zebrawood.words.Phrasebook;

class TypedQuantityTest {
  private static final DisplayUnits INCHES =
      DisplayUnits.METRIC
          .with(DisplayUnits.Length.INCH)
          .with(DisplayUnits.Temperature.FAHRENHEIT)
          .with(DisplayUnits.Speed.INCH_PER_SECOND)
          .with(DisplayUnits.Interval.LINES_PER_INCH);

  private static TypedQuantity read(String typed, Quantity quantity, DisplayUnits shown) {
    return TypedQuantity.read(typed, quantity, quantity.shownIn(shown));
  }

  private static double value(String typed, Quantity quantity, DisplayUnits shown) {
    return ((Understood) read(typed, quantity, shown)).canonical();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          6.35        | LENGTH | 6.35
          6,35        | LENGTH | 6.35
          .5          | LENGTH | 0.5
          0.01968503937007874015748 | LENGTH | 0.01968503937007874
          7.          | LENGTH | 7
          -0.25       | LENGTH | -0.25
          +3          | LENGTH | 3
          \u22121.5        | LENGTH | -1.5
          1/4 in      | LENGTH | 6.35
          1 1/4 in    | LENGTH | 31.75
          1-1/4"      | LENGTH | 31.75
          0.25"       | LENGTH | 6.35
          0.25 inch   | LENGTH | 6.35
          3 thou      | LENGTH | 0.0762
          250 um      | LENGTH | 0.25
          250 µm      | LENGTH | 0.25
          250µm       | LENGTH | 0.25
          2 mil       | LENGTH | 0.0508
          1.2 cm      | LENGTH | 12
          0.1m        | LENGTH | 100
          12 MM       | LENGTH | 12
          2 ft        | LENGTH | 609.6
          68 °F       | TEMPERATURE | 20
          68F         | TEMPERATURE | 20
          20 C        | TEMPERATURE | 20
          293.15 K    | TEMPERATURE | 20
          9 °F        | TEMPERATURE_DIFFERENCE | 5
          6 m/min     | SPEED | 100
          600 mm/min  | SPEED | 10
          2 in/s      | SPEED | 50.8
          254 lpi     | LINE_INTERVAL | 0.1
          100 l/cm    | LINE_INTERVAL | 0.1
          0.1         | LINE_INTERVAL | 0.1
          2 kW        | POWER | 2000
          500 mW      | POWER | 0.5
          3 mΩ        | RESISTANCE | 0.003
          3 MΩ        | RESISTANCE | 3000000
          3 ohm       | RESISTANCE | 3
          1 kPa       | PRESSURE | 1000
          100 kPa     | GAS_PRESSURE | 1
          90 cfm      | FLOW | 152.910972
          3 l/s       | FLOW | 10.8
          1e-9        | TIME | 0.000000001
          20 us       | PULSE_LENGTH | 20000
          """)
  void readsQuantitiesAsPeopleTypeThem(String typed, Quantity quantity, double canonical) {
    assertThat(value(typed.replace("\\u2212", "\u2212"), quantity, DisplayUnits.METRIC))
        .isCloseTo(canonical, within(1e-9 * Math.max(1, Math.abs(canonical))));
  }

  @Test
  void aBareNumberIsInTheUnitOnShow() {
    assertThat(value("2", Quantity.LENGTH, INCHES)).isEqualTo(50.8);
    assertThat(value("2 mm", Quantity.LENGTH, INCHES)).isEqualTo(2);
    assertThat(value("68", Quantity.TEMPERATURE, INCHES)).isCloseTo(20, within(1e-12));
    assertThat(value("254", Quantity.LINE_INTERVAL, INCHES)).isCloseTo(0.1, within(1e-12));
    assertThat(value("10", Quantity.DISTANCE, INCHES)).isCloseTo(3.048, within(1e-12));
    assertThat(((Understood) read("2", Quantity.LENGTH, INCHES)).plainly()).isTrue();
    assertThat(((Understood) read("2 mm", Quantity.LENGTH, INCHES)).plainly()).isFalse();
  }

  @ParameterizedTest
  @ValueSource(strings = {"six", "1/0 in", "1 2", "--3", "6.3.5", "/", "mm", "½", "NaN", "0 lpi"})
  void whatIsNoNumberIsToldFromANumber(String typed) {
    assertThat(read(typed, Quantity.LINE_INTERVAL, DisplayUnits.METRIC))
        .isInstanceOfAny(NoNumber.class, UnknownUnit.class);
  }

  @ParameterizedTest
  @ValueSource(strings = {"5 furlong", "90d", "3 kg", "7 e", "4 f"})
  void aLetterBehindANumberIsAUnitOrNothing(String typed) {
    assertThat(read(typed, Quantity.LENGTH, DisplayUnits.METRIC)).isInstanceOf(UnknownUnit.class);
  }

  @Test
  void blanksAreNothing() {
    assertThat(read("  ", Quantity.LENGTH, DisplayUnits.METRIC)).isInstanceOf(Empty.class);
  }

  @Test
  void everyUnitGoesThereAndBack() {
    for (Quantity quantity : Quantity.values()) {
      for (Unit unit : quantity.units()) {
        assertThat(unit.toCanonical(unit.fromCanonical(3.7)))
            .as("%s in %s", quantity, unit.symbol())
            .isCloseTo(3.7, within(1e-12 * 300));
        assertThat(quantity.spelled(unit.symbol())).as("%s", unit).contains(unit);
      }
      assertThat(quantity.shownIn(INCHES)).isIn(quantity.units());
    }
  }

  @Test
  void anInchShowsTwoMoreDecimals() {
    assertThat(said(Amount.mm(25.4, 2), INCHES)).isEqualTo("1.0000 in");
    assertThat(said(Amount.mm(1.005, 1), DisplayUnits.METRIC)).isEqualTo("1.0 mm");
    assertThat(said(Amount.of(20, Quantity.TEMPERATURE, 1), INCHES)).isEqualTo("68.0 °F");
    assertThat(said(Amount.plain(0.1, Quantity.LINE_INTERVAL), INCHES)).isEqualTo("254 lines/in");
  }

  @Test
  void neverThrowsWhateverIsTyped() {
    Random random = new Random(7);
    String letters = "0123456789.,/ -+\"'µumilnchteEdF°\u2212½\n\t(){}é漢";
    for (int i = 0; i < 20_000; i++) {
      StringBuilder typed = new StringBuilder();
      for (int length = random.nextInt(12); length > 0; length--) {
        typed.append(letters.charAt(random.nextInt(letters.length())));
      }
      Quantity quantity = Quantity.values()[random.nextInt(Quantity.values().length)];
      if (read(typed.toString(), quantity, INCHES) instanceof Understood u) {
        assertThat(u.canonical()).isFinite();
      }
    }
  }

  private static String said(Amount amount, DisplayUnits units) {
    return Phrasebook.of(Language.ENGLISH, units).say(amount);
  }
}
