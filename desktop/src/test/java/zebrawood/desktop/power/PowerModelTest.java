package zebrawood.desktop.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.desktop.Models.ALDER;
import static zebrawood.desktop.Models.advice;
import static zebrawood.desktop.Models.finding;
import static zebrawood.desktop.Models.refusal;
import static zebrawood.desktop.Models.type;
import static zebrawood.desktop.Models.waitsFor;

import java.util.List;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.Models;
import zebrawood.ledger.Ledger;
import zebrawood.measure.Verdict;
import zebrawood.records.picture.SvgCanvas;

class PowerModelTest {
  private static final String[] DIAL = {
    "tubeMaximum", "28",
    "share", "85",
    "meter", "0.5",
    "lowPulse", "4",
    "way", "SHARE",
    "visit.dial.1.percent", "20",
    "visit.dial.1.value", "6.5",
    "visit.dial.2.percent", "35",
    "visit.dial.2.value", "12",
    "visit.dial.3.percent", "50",
    "visit.dial.3.value", "17.5",
    "visit.dial.4.percent", "65",
    "visit.dial.4.value", "23.5",
    "visit.dial.5.percent", "72",
    "visit.dial.5.value", "26"
  };

  private final PowerModel model = opened();

  private static PowerModel opened() {
    return (PowerModel) Models.open(PowerModel.DEFINITION, new Ledger(ALDER, List.of()));
  }

  @Test
  void theDialForAShareOfTheMaximumFollowsFromFiveReadings() {
    type(model, "way", "SHARE", "share", "85", "meter", "0.5");
    assertThat(waitsFor(model)).isEqualTo("Tube's maximum");
    type(model, DIAL);
    assertThat(finding(model).dialPercent().orElseThrow().value())
        .as("23.8 mA")
        .isCloseTo(66, within(1.5));
    assertThat(advice(model)).isNotEmpty();
  }

  @Test
  void aCurrentAboveTheMaximumIsAStop() {
    type(model, DIAL);
    type(model, "reading.atTop", "29");
    assertThat(finding(model).verdict()).isEqualTo(Verdict.STOP);
    type(model, "reading.atTop", "23.8");
    assertThat(finding(model).verdict()).isEqualTo(Verdict.WITHIN);
    type(model, "reading.atTop", "much");
    assertThat(refusal(model)).contains("much is no number");
  }

  @Test
  void aFoldIsSolvedByItself() {
    type(model, DIAL);
    type(
        model,
        "curveWay",
        "WATTS",
        "curveResolution",
        "0.1",
        "count.visit.curveWatts",
        "3",
        "visit.curveWatts.1.percent",
        "20",
        "visit.curveWatts.1.value",
        "5",
        "visit.curveWatts.2.percent",
        "60",
        "visit.curveWatts.2.value",
        "46",
        "visit.curveWatts.3.percent",
        "100",
        "visit.curveWatts.3.value",
        "80");
    assertThat(finding(model).curve()).isPresent();
    assertThat(drawn(model)).doesNotContain("NaN");
  }

  @Test
  void whatIsTypedIsFilledAgain() {
    type(model, DIAL);
    type(model, "reading.atTop", "24", "label", "glass tube 80 W, no. 2291");
    PowerModel other = opened();
    other.form().type(model.form().typed());
    assertThat(other.form().typed()).isEqualTo(model.form().typed());
    assertThat(other.outcome()).isEqualTo(model.outcome());
  }

  private static String drawn(PowerModel model) {
    SvgCanvas canvas = new SvgCanvas(382, 400);
    model.draw(canvas);
    return canvas.svg();
  }
}
