package zebrawood.desktop.focus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.desktop.Models.ALDER;
import static zebrawood.desktop.Models.finding;
import static zebrawood.desktop.Models.refusal;
import static zebrawood.desktop.Models.type;
import static zebrawood.desktop.Models.waitsFor;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.Models;
import zebrawood.ledger.Ledger;
import zebrawood.measure.Verdict;
import zebrawood.records.picture.SvgCanvas;

class FocusModelTest {
  private final FocusModel model = opened();

  private static FocusModel opened() {
    return (FocusModel) Models.open(FocusModel.DEFINITION, new Ledger(ALDER, List.of()));
  }

  /** Widths of a line whose waist lies 6.5 mm below the reference, to the hundredth. */
  private static Map<String, String> ramp(int widths) {
    Map<String, String> typed = new TreeMap<>();
    typed.putAll(
        Map.of("way", "RAMP", "run", "200", "rise", "16", "start", "14", "resolution", "0.02"));
    typed.put("count.visit.ramp", String.valueOf(widths));
    for (int i = 1; i <= widths; i++) {
      double at = 10 + 180.0 * (i - 1) / Math.max(1, widths - 1);
      double gap = 14 - 16 * at / 200;
      double width = Math.sqrt(0.15 * 0.15 + Math.pow(0.06 * (gap - 6.5), 2));
      typed.put("visit.ramp." + i + ".at", String.valueOf(at));
      typed.put("visit.ramp." + i + ".value", "%.2f".formatted(width));
    }
    return typed;
  }

  @Test
  void aGaugeThatFitsIsWithinAndNothingIsSaidOfAGapNobodyRead() {
    type(model, "way", "GAUGE", "gaugeRead", "0.05");
    assertThat(waitsFor(model)).isEqualTo("Gauge's length");
    type(model, "gauge", "8");
    assertThat(finding(model).verdict()).as("nobody read the gap").isNotEqualTo(Verdict.WITHIN);
    type(model, "depth", "0.6", "reading.setGap", "8.05");
    assertThat(finding(model).verdict()).isEqualTo(Verdict.WITHIN);
    type(model, "reading.setGap", "9");
    assertThat(finding(model).verdict()).isEqualTo(Verdict.ADJUST);
  }

  @Test
  void oneMoreWidthIsOne() {
    model.form().type(ramp(4));
    assertThat(waitsFor(model)).isEqualTo("1 more width");
    model.form().type(ramp(2));
    assertThat(waitsFor(model)).isEqualTo("3 more widths");
  }

  @Test
  void aRampFindsTheWaistAndItsPicture() {
    model.form().type(ramp(11));
    assertThat(finding(model).located().gapMm().orElseThrow().value()).isCloseTo(6.5, within(0.3));
    SvgCanvas canvas = new SvgCanvas(382, 400);
    model.draw(canvas);
    assertThat(canvas.svg()).contains("<circle").doesNotContain("NaN");
    type(model, "visit.ramp.3.value", "thin");
    assertThat(refusal(model)).contains("thin is no number");
  }

  @Test
  void whatIsTypedIsFilledAgain() {
    model.form().type(ramp(11));
    type(model, "reading.setGap", "6.4");
    FocusModel other = opened();
    other.form().type(model.form().typed());
    assertThat(other.form().typed()).isEqualTo(model.form().typed());
    assertThat(other.outcome()).isEqualTo(model.outcome());
  }

  @Test
  void aPhotographThatIsGoneIsSaidAndWhatWasTypedStays() {
    String gone = Path.of("no", "such", "board.png").toString();
    type(model, "way", "PHOTO", "visit.photo", gone);
    assertThat(model.solved()).isEmpty();
    assertThat(model.form().typed()).containsEntry("visit.photo", gone);
    SvgCanvas canvas = new SvgCanvas(382, 400);
    model.draw(canvas);
    assertThat(canvas.svg()).startsWith("<svg");
  }
}
