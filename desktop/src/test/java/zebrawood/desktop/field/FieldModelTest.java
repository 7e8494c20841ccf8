package zebrawood.desktop.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.desktop.Models.finding;
import static zebrawood.desktop.Models.refusal;
import static zebrawood.desktop.Models.type;
import static zebrawood.desktop.Models.waitsFor;

import java.util.List;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.Models;
import zebrawood.field.FieldFinding.OfGrid;
import zebrawood.field.FieldFinding.OfSquare;
import zebrawood.ledger.Ledger;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Verdict;
import zebrawood.records.picture.SvgCanvas;

class FieldModelTest {
  private static final Machine FLINT =
      new Machine(
          "id",
          "Flint",
          Build.GALVO,
          new Source(SourceKind.FIBRE, 20, 1064),
          110,
          110,
          BedSupport.SHIMS,
          0.3);

  private final FieldModel model = opened();

  private static FieldModel opened() {
    return (FieldModel) Models.open(FieldModel.DEFINITION, new Ledger(FLINT, List.of()));
  }

  private void typeSquare() {
    type(
        model,
        "field",
        "110",
        "tolerance",
        "0.1",
        "resolution",
        "0.05",
        "commanded",
        "90",
        "reading.across",
        "100.8",
        "reading.up",
        "99");
  }

  @Test
  void aSquareGivesTheScaleOfEachAxis() {
    type(model, "field", "110", "tolerance", "0.1", "resolution", "0.05", "commanded", "90");
    assertThat(waitsFor(model)).isEqualTo("Measured across");
    typeSquare();
    OfSquare square = (OfSquare) finding(model).field();
    assertThat(square.scaleX().value()).isCloseTo(90 / 100.8, within(1e-9));
    assertThat(square.scaleY().value()).isCloseTo(90 / 99.0, within(1e-9));
    assertThat(finding(model).verdict()).isEqualTo(Verdict.ADJUST);
    type(model, "reading.up", "wide");
    assertThat(refusal(model)).contains("wide is no number");
  }

  @Test
  void aGridThatIsPastedGivesSkewToo() {
    StringBuilder grid = new StringBuilder("x, y, measured x, measured y\n");
    for (int v = -50; v <= 50; v += 25) {
      for (int u = -50; u <= 50; u += 25) {
        grid.append("%d, %d, %.3f, %.3f%n".formatted(u, v, 1.1 * u - 0.01 * v, 1.05 * v));
      }
    }
    type(model, "way", "GRID", "field", "110", "tolerance", "0.1", "resolution", "0.01");
    assertThat(waitsFor(model)).isNotBlank();
    type(model, "visit.grid", grid.toString());
    OfGrid found = (OfGrid) finding(model).field();
    assertThat(found.scaleX().value()).isCloseTo(1 / 1.1, within(1e-4));
    assertThat(found.skewMrad().value()).isCloseTo(-1000 * Math.atan(0.01 / 1.05), within(0.05));
    assertThat(drawn(model)).contains("<line").doesNotContain("NaN");
    type(model, "visit.grid", "1, 2, 3, 4\nnot a mark");
    assertThat(refusal(model)).contains("line 2 with 1 number");
  }

  @Test
  void whatIsTypedIsFilledAgain() {
    typeSquare();
    type(model, "reading.rising", "142", "reading.falling", "140.7", "spot", "0.05");
    FieldModel other = opened();
    other.form().type(model.form().typed());
    assertThat(other.form().typed()).isEqualTo(model.form().typed());
    assertThat(other.outcome()).isEqualTo(model.outcome());
    other.form().clearReadings();
    assertThat(other.form().nothingRead()).isTrue();
    assertThat(other.form().typed()).as("the head stays").containsEntry("field", "110");
  }

  private static String drawn(FieldModel model) {
    SvgCanvas canvas = new SvgCanvas(382, 400);
    model.draw(canvas);
    return canvas.svg();
  }
}
