package zebrawood.desktop.lens;

import static org.assertj.core.api.Assertions.assertThat;
import static zebrawood.desktop.Models.ALDER;
import static zebrawood.desktop.Models.answerAll;
import static zebrawood.desktop.Models.finding;
import static zebrawood.desktop.Models.refusal;
import static zebrawood.desktop.Models.type;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.Models;
import zebrawood.desktop.form.ProofField.Answer;
import zebrawood.ledger.Ledger;
import zebrawood.machine.Lens;
import zebrawood.machine.Machine;
import zebrawood.measure.Verdict;
import zebrawood.records.picture.SvgCanvas;

class LensModelTest {
  private final LensModel model = opened(ALDER);

  private static LensModel opened(Machine machine) {
    return (LensModel) Models.open(LensModel.DEFINITION, new Ledger(machine, List.of()));
  }

  @Test
  void nothingIsWithinBeforeItsFittingIsProven() {
    assertThat(model.outcome().within()).isFalse();
    answerAll(model, Answer.YES);
    assertThat(finding(model).verdict()).isEqualTo(Verdict.WITHIN);
    model.form().proofs().findFirst().orElseThrow().set(Answer.NO);
    assertThat(finding(model).verdict()).isNotEqualTo(Verdict.WITHIN);
  }

  @Test
  void theSpotIsTheDiffractionLimitOfTheBeam() {
    type(model, "focal", "63.5", "beam", "6", "m2", "1.2", "shape", "MENISCUS");
    double limit = 4 * 1.2 * 10.6e-3 * 63.5 / (Math.PI * 6);
    assertThat(finding(model).compared().getFirst().optics().spotMm())
        .isBetween(limit, 1.5 * limit);
    type(model, "beam", "thin");
    assertThat(refusal(model)).contains("thin is no number");
  }

  @Test
  void theOnlyLensOfTheMachineIsTheOneThatIsOn() {
    LensModel one = opened(ALDER.withLenses(List.of(new Lens(50.8, OptionalDouble.empty()))));
    assertThat(one.form().typed()).containsEntry("focal", "50.8");
  }

  @Test
  void whatIsTypedIsFilledAgainAndDrawn() {
    answerAll(model, Answer.YES);
    type(
        model,
        "focal",
        "63.5",
        "beam",
        "6",
        "m2",
        "1.2",
        "rack.1.name",
        "short",
        "rack.1.focal",
        "38.1");
    LensModel other = opened(ALDER);
    other.form().type(model.form().typed());
    assertThat(other.form().typed()).isEqualTo(model.form().typed());
    assertThat(other.outcome()).isEqualTo(model.outcome());
    SvgCanvas canvas = new SvgCanvas(382, 400);
    other.draw(canvas);
    assertThat(canvas.svg()).contains("short").doesNotContain("NaN");
  }
}
