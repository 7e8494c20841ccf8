package zebrawood.desktop.start;

import static org.assertj.core.api.Assertions.assertThat;
import static zebrawood.desktop.Models.ALDER;
import static zebrawood.desktop.Models.answerAll;
import static zebrawood.desktop.Models.finding;
import static zebrawood.desktop.Models.found;
import static zebrawood.desktop.Models.refusal;
import static zebrawood.desktop.Models.type;

import java.util.List;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.ProofField.Answer;
import zebrawood.ledger.Ledger;
import zebrawood.measure.Verdict;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.picture.SvgCanvas;
import zebrawood.start.StartReadings;
import zebrawood.words.Message;

class StartModelTest {
  private final StartModel work = new StartModel(new Ledger(ALDER, List.of()), DisplayUnits.METRIC);

  private String next() {
    return work.asked()
        .filter(a -> a.answer() == StartReadings.Answer.NOT_YET)
        .map(a -> a.line().id())
        .findFirst()
        .orElse("");
  }

  private ProofField proof(String id) {
    return (ProofField) work.form().find("reading.proof." + id).orElseThrow();
  }

  private String drawn() {
    SvgCanvas canvas = new SvgCanvas(400, 300);
    work.draw(canvas);
    return canvas.svg();
  }

  @Test
  void theNextLineIsTheFirstThatNobodyAnswered() {
    assertThat(next()).isEqualTo("emergency-stop");
    assertThat(drawn()).contains("emergency");
    proof("emergency-stop").set(true);
    assertThat(next()).isEqualTo("switch-on-1");
    answerAll(work, Answer.YES);
    assertThat(next()).isEmpty();
    assertThat(drawn()).contains("Through with the card");
    assertThat(finding(work).verdict())
        .as("the coolant is still to be read")
        .isEqualTo(Verdict.MEASURE_AGAIN);
    type(work, "reading.coolant", "18.5");
    assertThat(finding(work).verdict()).isEqualTo(Verdict.WITHIN);
    type(work, "reading.coolant", "cold");
    assertThat(refusal(work)).contains("cold is no number");
  }

  @Test
  void whatIsSettledIsNotAskedAgainButNoIsNo() {
    answerAll(work, Answer.YES);
    type(work, "reading.coolant", "18.5");
    proof("lid").set(Answer.NOT_YET);
    assertThat(finding(work).verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    proof("lid").settledProperty().set(true);
    work.recordChanged(List.of());
    type(work, "reading.coolant", "18.6");
    assertThat(finding(work).verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(found(work).readings().asked())
        .anyMatch(a -> a.answer() == StartReadings.Answer.EARLIER);
    proof("lid").set(false);
    assertThat(finding(work).verdict()).isEqualTo(Verdict.STOP);
  }

  @Test
  void aLineThatComesOntoTheCardLaterFindsItsAnswer() {
    type(work, "reading.proof.late", "YES");
    assertThat(work.form().proof("late", Message.verbatim("late")).get()).isEqualTo(Answer.YES);
  }

  @Test
  void whatIsTypedIsFilledAgainAndALineThatIsNoMoreIsHarmless() {
    answerAll(work, Answer.YES);
    type(work, "reading.coolant", "18.5", "reading.proof.lesson-gone", "YES");
    StartModel other = new StartModel(new Ledger(ALDER, List.of()), DisplayUnits.METRIC);
    other.form().type(work.form().typed());
    assertThat(other.outcome()).isEqualTo(work.outcome());
    assertThat(other.form().typed()).containsEntry("reading.proof.lesson-gone", "YES");
    other.form().clearReadings();
    assertThat(other.form().nothingRead()).isTrue();
  }
}
