package zebrawood.desktop.fields;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import zebrawood.measure.LengthUnit;

class LengthEntryTest {
  private final LengthEntry entry = new LengthEntry("Gap", 0, 100, false, LengthUnit.MILLIMETRE);

  private void type(String words) {
    entry.textProperty().set(words);
  }

  @Test
  void keepsWhatIsTypedWhateverItIs() {
    type("six");
    assertThat(entry.text()).isEqualTo("six");
    assertThat(entry.mm()).isEmpty();
    assertThat(entry.problemProperty().get()).startsWith("Gap: \"six\" is not a length.");
  }

  @Test
  void saysTheRangeInTheUnitOnShow() {
    type("101");
    assertThat(entry.problemProperty().get())
        .isEqualTo("Gap: 101 mm is out of range. Accepted is more than 0 mm to 100 mm.");
    entry.setUnit(LengthUnit.INCH);
    type("5");
    assertThat(entry.problemProperty().get()).contains("5 in", "3.937 in");
    type("0");
    assertThat(entry.mm()).isEmpty();
  }

  @Test
  void restatesOnlyWhatWasNotPlain() {
    type("6.35");
    assertThat(entry.understood()).isEmpty();
    type("1/4 in");
    assertThat(entry.understood()).isEqualTo("Gap: 1/4 in is 6.35 mm");
  }

  @Test
  void changingTheUnitKeepsTheLength() {
    type("6.35");
    entry.setUnit(LengthUnit.INCH);
    assertThat(entry.text()).isEqualTo("0.25");
    assertThat(entry.mm()).hasValue(6.35);
    entry.setMm(12.3456);
    assertThat(entry.text()).isEqualTo("0.486");
    entry.setUnit(LengthUnit.MILLIMETRE);
    assertThat(entry.mm()).as("there and back").hasValue(12.3456);
    entry.setUnit(LengthUnit.INCH);
    type("3 thou");
    entry.setUnit(LengthUnit.MILLIMETRE);
    assertThat(entry.text()).isEqualTo("3 thou");
    assertThat(entry.mm().orElseThrow()).isBetween(0.0761, 0.0763);
    type("nonsense");
    entry.setUnit(LengthUnit.INCH);
    assertThat(entry.text()).isEqualTo("nonsense");
  }

  @Test
  void emptyIsNeitherWrongNorALength() {
    type(" ");
    assertThat(entry.isEmpty()).isTrue();
    assertThat(entry.problemProperty().get()).isEmpty();
    assertThat(entry.mm()).isEmpty();
  }
}
