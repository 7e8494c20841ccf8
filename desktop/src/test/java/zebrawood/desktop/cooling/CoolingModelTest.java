package zebrawood.desktop.cooling;

import static org.assertj.core.api.Assertions.assertThat;
import static zebrawood.desktop.Models.ALDER;
import static zebrawood.desktop.Models.advice;
import static zebrawood.desktop.Models.answerAll;
import static zebrawood.desktop.Models.finding;
import static zebrawood.desktop.Models.refusal;
import static zebrawood.desktop.Models.said;
import static zebrawood.desktop.Models.summary;
import static zebrawood.desktop.Models.type;
import static zebrawood.desktop.Models.waitsFor;

import java.util.EnumSet;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zebrawood.cooling.CoolingReadings.Item;
import zebrawood.desktop.form.ProofField.Answer;
import zebrawood.devices.site.StandInLoop;
import zebrawood.devices.site.StandInLoop.Fault;
import zebrawood.measure.Verdict;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.picture.SvgCanvas;

class CoolingModelTest {
  private final CoolingModel work = new CoolingModel(ALDER, DisplayUnits.METRIC);

  private void read(String room, String humidity, String coolant) {
    type(work, "reading.room", room, "reading.humidity", humidity, "reading.coolant", coolant);
  }

  @Test
  void threeReadingsAndThreeProofsAreEnough() {
    assertThat(waitsFor(work)).isEqualTo("Room");
    assertThat(work.form().nothingRead()).isTrue();
    read("22", "45", "18,5");
    assertThat(finding(work).verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(work.steps(work.solved().orElseThrow()).getFirst().where()).isEqualTo("Prove it");
    answerAll(work, Answer.YES);
    assertThat(finding(work).verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(summary(work).getFirst())
        .startsWith("The coolant is 9.0 K above the dew point of 9.5 °C");
  }

  @Test
  void aBucketIsToldHowLongItLasts() {
    read("22", "45", "20");
    answerAll(work, Answer.YES);
    type(work, "way", "BUCKET");
    assertThat(advice(work).getFirst()).startsWith("Pause after");
    assertThat(finding(work).verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(String.join(" ", summary(work)))
        .contains("comes to rest at 74.5 °C", "l would last a working day");
  }

  @Test
  void aPullDownIsAllOrNothing() {
    read("22", "45", "20");
    type(work, "reading.from", "28");
    assertThat(waitsFor(work)).isEqualTo("Cooled to");
    type(work, "reading.to", "20", "reading.minutes", "15");
    assertThat(finding(work).chiller()).isPresent();
    type(work, "reading.to", "30");
    assertThat(refusal(work)).contains("a pull-down cools");
  }

  @Test
  void theStandInIsPutInOrderByTheAdvice() {
    for (long number = 0; number < 30; number++) {
      CoolingModel practised = new CoolingModel(ALDER, DisplayUnits.METRIC);
      CoolingPractice practice = new CoolingPractice(practised);
      practice.start(
          new StandInLoop(20, 700, EnumSet.of(Fault.BUBBLE, Fault.INTERLOCK_BRIDGED), number));
      int round = 0;
      for (; round < 4; round++) {
        practice.readAll();
        var found = practised.solved().orElseThrow();
        if (found.finding().verdict() == Verdict.WITHIN) {
          break;
        }
        assertThat(round > 0 || found.finding().verdict() == Verdict.STOP).isTrue();
        practice.obey(found);
      }
      assertThat(practised.outcome().within()).as("loop %s", number).isTrue();
      assertThat(said(practice.words().orElseThrow())).startsWith("In order. Rounds");
    }
  }

  @Test
  void physicalRangesAreKeptAtTheField() {
    read("22", "120", "20");
    assertThat(refusal(work)).isEqualTo("Humidity is 120 %. Accepted is 0 % to 100 %.");
    read("warm", "45", "20");
    assertThat(refusal(work)).startsWith("Room: warm is no number.");
    read("21 K", "45", "20");
    assertThat(refusal(work)).startsWith("Room is -252.1");
  }

  @Test
  void whatIsTypedIsWhatIsFilledAgain() {
    read("22", "45", "64 F");
    answerAll(work, Answer.YES);
    work.proofs.of(Item.BUBBLES).set(false);
    type(work, "reading.afterHour", "21", "reading.conductivity", "80", "coldest", "-12");
    Map<String, String> typed = work.form().typed();
    CoolingModel other = new CoolingModel(ALDER, DisplayUnits.METRIC);
    other.form().type(typed);
    assertThat(other.form().typed()).isEqualTo(typed);
    assertThat(other.outcome()).isEqualTo(work.outcome());
    SvgCanvas drawn = new SvgCanvas(400, 300);
    work.draw(drawn);
    assertThat(drawn.svg()).contains("dew", "17.8", "after an hour", "21.0");
    other.form().clearReadings();
    assertThat(other.form().nothingRead()).isTrue();
    assertThat(other.form().typed()).containsEntry("coldest", "-12");
  }
}
