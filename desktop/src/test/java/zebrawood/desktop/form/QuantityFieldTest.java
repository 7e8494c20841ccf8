package zebrawood.desktop.form;

import static org.assertj.core.api.Assertions.assertThat;
import static zebrawood.desktop.Models.said;

import org.junit.jupiter.api.Test;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;

class QuantityFieldTest {
  private static final DisplayUnits INCHES = DisplayUnits.METRIC.with(DisplayUnits.Length.INCH);

  private final StationForm form = new StationForm("bed", DisplayUnits.METRIC);
  private final QuantityField field = form.positive("resolution", Quantity.LENGTH, 100);

  private void type(String words) {
    field.textProperty().set(words);
  }

  private String problem() {
    return said(field.problem().orElseThrow());
  }

  /** Several lengths in one line follow the unit shown, and stay what they are. */
  @Test
  void lengthsInOneLineFollowTheUnitShown() {
    WordsField shims =
        form.lengths("atHand", words -> Thicknesses.read("bed.field.at-hand", words));
    shims.textProperty().set("0.1, 0.5 mm");
    form.setUnits(INCHES);
    assertThat(shims.text()).isEqualTo("0.1 mm, 0.5 mm");
    shims.textProperty().set("0.004, 0.02, 0.5 mm");
    assertThat(Thicknesses.read("bed.field.at-hand", shims.inMillimetres()))
        .containsExactly(0.1016, 0.508, 0.5);
    assertThat(form.typed()).containsEntry("atHand", "0.004 in, 0.02 in, 0.5 mm");
    form.setUnits(DisplayUnits.METRIC);
    assertThat(shims.text()).isEqualTo("0.004 in, 0.02 in, 0.5");
    assertThat(Thicknesses.read("bed.field.at-hand", shims.inMillimetres()))
        .containsExactly(0.1016, 0.508, 0.5);
    StationForm other = new StationForm("bed", INCHES);
    WordsField same =
        other.lengths("atHand", words -> Thicknesses.read("bed.field.at-hand", words));
    other.type(form.typed());
    assertThat(same.text()).isEqualTo("0.004, 0.02, 0.5 mm");
    assertThat(same.problem()).isEmpty();
  }

  /** Two hundredths of a millimetre in inches, and a thousandth of that. */
  @Test
  void noFigureHasAnExponent() {
    form.setUnits(INCHES);
    field.set(0.02);
    assertThat(field.text()).isEqualTo("0.000787");
    field.set(2e-5);
    assertThat(field.text()).isEqualTo("0.000000787");
    assertThat(field.value().getAsDouble()).as("exact until it is typed").isEqualTo(2e-5);
    assertThat(form.typed().get("resolution")).doesNotContain("E");
  }

  @Test
  void keepsWhatIsTypedWhateverItIs() {
    type("six");
    assertThat(field.text()).isEqualTo("six");
    assertThat(field.value()).isEmpty();
    assertThat(problem()).startsWith("Gauge step: six is no number.");
    type("6 parsec");
    assertThat(problem()).contains("parsec", "mm, in, cm");
    type("9".repeat(5000));
    assertThat(problem().length()).as("a sentence, not a page").isLessThan(600);
  }

  @Test
  void saysTheRangeInTheUnitOnShow() {
    type("101");
    assertThat(problem())
        .isEqualTo("Gauge step is 101 mm. Accepted is more than 0 mm, at most 100 mm.");
    form.setUnits(INCHES);
    type("5");
    assertThat(field.value()).isEmpty();
    type("0");
    assertThat(field.value()).isEmpty();
  }

  @Test
  void restatesOnlyWhatWasNotPlain() {
    type("6.35");
    assertThat(field.understood()).isEmpty();
    type("1/4 in");
    assertThat(said(field.understood().orElseThrow())).isEqualTo("Gauge step: 1/4 in is 6.35 mm");
  }

  @Test
  void changingTheUnitKeepsTheLength() {
    type("6.35");
    form.setUnits(INCHES);
    assertThat(field.text()).isEqualTo("0.25");
    assertThat(field.value()).hasValue(6.35);
    field.set(12.3456);
    assertThat(field.text()).isEqualTo("0.486");
    form.setUnits(DisplayUnits.METRIC);
    assertThat(field.value()).as("there and back").hasValue(12.3456);
    form.setUnits(INCHES);
    type("3 thou");
    form.setUnits(DisplayUnits.METRIC);
    assertThat(field.text()).isEqualTo("3 thou");
    assertThat(field.number()).isBetween(0.0761, 0.0763);
    type("nonsense");
    form.setUnits(INCHES);
    assertThat(field.text()).isEqualTo("nonsense");
  }

  @Test
  void emptyIsNeitherWrongNorALength() {
    type(" ");
    assertThat(field.isEmpty()).isTrue();
    assertThat(field.problem()).isEmpty();
    assertThat(field.value()).isEmpty();
  }

  @Test
  void otherQuantitiesFollowTheDisplayAsWell() {
    QuantityField speed = form.quantity("tolerance", Quantity.SPEED, 0, 10_000);
    speed.textProperty().set("100");
    form.setUnits(DisplayUnits.METRIC.with(DisplayUnits.Speed.MM_PER_MINUTE));
    assertThat(speed.text()).isEqualTo("6000");
    assertThat(form.typed().get("tolerance")).isEqualTo("100");
    QuantityField warm = form.quantity("keep", Quantity.TEMPERATURE, -40, 60);
    warm.textProperty().set("70 F");
    assertThat(said(warm.understood().orElseThrow())).contains("70 F is 21.1");
  }
}
